import { Circle, G, Line, Path, Rect } from 'react-native-svg';
import type { Verdict } from '@/core/advice';
import type { Band, SwingResult } from '@/core/swing';
import { flyAt, type FlyMoment, HZ } from '@/core/swing/series';

import { useTheme } from '../theme';
import { ticks, Words } from './marks';
import { pathOf } from './plane';
import { toShown, type UnitSystem } from '@/words/units';

/** Where seconds and depths come to lie on the strip, px. */
export interface StripScale {
  readonly sx: (tS: number) => number;
  readonly sy: (depthM: number) => number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

interface Scaled {
  scale: StripScale;
}

/** No more points than the eye tells apart. */
const MOST_POINTS = 400;

/** Depth at equal steps of time as a line. */
const depthLine = (depths: ArrayLike<number>, hz: number, { sx, sy }: StripScale) =>
  Array.from({ length: depths.length }, (_, i) => [sx(i / hz), sy(depths[i]!)] as const);

function wayOf(r: Pick<SwingResult, 'series' | 'rows'>, rows: number, scale: StripScale) {
  const every = Math.max(1, Math.ceil(rows / MOST_POINTS));
  return pathOf(
    Array.from({ length: Math.ceil(Math.min(rows, r.rows) / every) }, (_, i) => {
      const { tS, depthM } = flyAt(r, every * i);
      return [scale.sx(tS), scale.sy(depthM)] as const;
    }),
  );
}

/** The water under the fly and the bed under the water. @param hz depths of the bed a second */
export function Ground({ bed, hz, scale }: Scaled & { bed: readonly number[]; hz: number }) {
  const theme = useTheme();
  const line = depthLine(bed, hz, scale);
  const closed = (y: number) => pathOf([[scale.left, y], ...line, [scale.right, y]], true);
  return (
    <>
      <Path d={closed(scale.top)} fill={theme.depth[0]} />
      <Path d={closed(scale.bottom)} fill={theme.bed} />
    </>
  );
}

interface BandsProps extends Scaled {
  verdicts: readonly Verdict[];
  chosen: number | null;
}

/** The depth wanted at each lie, where the fly passes it. */
export function LieBands({ verdicts, chosen, scale }: BandsProps) {
  const theme = useTheme();
  const { sx, sy, left, right, top } = scale;
  return verdicts.map((v) => {
    if (v.fit === 'not reached' || v.fit === 'not fishing') return null;
    const half = Math.min(2.5, Math.max(0.8, v.lie.widthM / 2 / Math.max(0.15, v.pass.crossSpeedMps)));
    const x1 = Math.max(left, sx(v.pass.t - half));
    const x2 = Math.min(right, sx(v.pass.t + half));
    const y1 = sy(v.lie.band.topM);
    const main = v.lie.rank === chosen;
    return (
      <G key={v.lie.rank}>
        <Rect
          x={x1}
          y={y1}
          width={Math.max(0, x2 - x1)}
          height={Math.max(4, sy(v.lie.band.bottomM) - y1)}
          fill={theme.paper}
          fillOpacity={main ? 0.8 : 0}
          stroke={theme.ink}
          strokeOpacity={main ? 1 : 0.6}
          strokeWidth={main ? 2 : 1}
        />
        <Words x={(x1 + x2) / 2} y={Math.max(top + 12, y1 - 5)} text={String(v.lie.rank)} bold={main} />
      </G>
    );
  });
}

/** Between these depths the fly runs in four of five cases. */
export function DoubtBand({ band, rows, scale }: Scaled & { band: Band; rows: number }) {
  const theme = useTheme();
  const low = depthLine(band.low.slice(0, rows), HZ, scale);
  const high = depthLine(band.high.slice(0, rows), HZ, scale);
  return <Path d={pathOf([...low, ...high.reverse()], true)} fill={theme.fly} fillOpacity={0.2} />;
}

interface WaysProps extends Scaled {
  result: SwingResult;
  kept: SwingResult | null;
}

/** The way of the fly, of the others above it, and of the swing one compares with. */
export function FlyWays({ result, kept, scale }: WaysProps) {
  const theme = useTheme();
  const { rows } = result;
  return (
    <>
      {kept ? (
        <Path
          d={wayOf(kept, rows, scale)}
          stroke={theme.fly}
          strokeWidth={2}
          strokeDasharray="2 5"
          strokeLinecap="round"
          fill="none"
        />
      ) : null}
      {result.others
        .filter((o) => o.isFly)
        .map((o, i) => (
          <Path key={i} d={wayOf(o, rows, scale)} stroke={theme.fly} strokeWidth={1.6} fill="none" />
        ))}
      <Path d={wayOf(result, rows, scale)} stroke={theme.fly} strokeWidth={3} fill="none" strokeLinejoin="round" />
    </>
  );
}

interface AxesProps extends Scaled {
  units: UnitSystem;
  deepestM: number;
  seconds: number;
  height: number;
}

/** The surface, depths and seconds. */
export function Axes({ units, deepestM, seconds, height, scale }: AxesProps) {
  const theme = useTheme();
  const { sx, sy, left, right, top } = scale;
  const times = ticks(seconds, 5);
  return (
    <>
      <Line x1={left} x2={right} y1={top} y2={top} stroke={theme.ink} strokeWidth={2} />
      {ticks(toShown('depth', deepestM, units), 3).map((d) => (
        <Words key={d} x={left - 5} y={sy(d / toShown('depth', 1, units)) + 4} text={String(d)} anchor="end" />
      ))}
      {times.map((t, i) => (
        <Words key={t} x={sx(t)} y={height - 5} anchor="middle" text={i === times.length - 1 ? `${t} s` : String(t)} />
      ))}
    </>
  );
}

/** A moment on the surface. */
export function Moment({ tS, text, scale }: Scaled & { tS: number; text: string }) {
  const theme = useTheme();
  const x = scale.sx(tS);
  return (
    <G>
      <Line x1={x} x2={x} y1={scale.top} y2={scale.top + 7} stroke={theme.ink} strokeWidth={2} />
      <Words x={x + 4} y={scale.top + 13} text={text} anchor="start" />
    </G>
  );
}

/** From here on it does not fish: the rest is pale. */
export function Over({ tS, text, scale: { sx, right, top, bottom } }: Scaled & { tS: number; text: string }) {
  const theme = useTheme();
  const x = sx(tS);
  return (
    <G>
      <Rect x={x} y={top} width={right - x} height={bottom - top} fill={theme.paper} fillOpacity={0.6} />
      <Line x1={x} x2={x} y1={top} y2={bottom} stroke={theme.ink} strokeWidth={1.5} strokeDasharray="3 4" />
      <Words x={right - 2} y={top + 13} text={text} anchor="end" />
    </G>
  );
}

/** The fly at the moment shown. */
export function Now({ fly, scale }: Scaled & { fly: FlyMoment }) {
  const theme = useTheme();
  const x = scale.sx(fly.tS);
  return (
    <>
      <Line x1={x} x2={x} y1={scale.top} y2={scale.bottom} stroke={theme.ink} strokeWidth={1.5} />
      <Circle cx={x} cy={scale.sy(fly.depthM)} r={7.5} fill={theme.fly} stroke={theme.flyHalo} strokeWidth={2.5} />
    </>
  );
}
