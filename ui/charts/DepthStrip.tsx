import { flyAt, HZ, lengthS, rowOf } from '@/core/swing/series';
import { useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Verdict } from '@/core/advice';
import type { Band, SwingResult } from '@/core/swing';
import { toShown, unitOf, type UnitSystem } from '@/core/units';
import { sample, sampleWater, type WaterGrid } from '@/core/water';

import { FONT, useTheme } from '../theme';
import { DRAGGED, useDrag } from '../useDrag';
import { pathOf, useWidth } from './plane';

interface Props {
  result: SwingResult;
  grid: WaterGrid;
  verdicts: readonly Verdict[];
  band: Band | null;
  /** Another swing to compare with. */
  kept?: SwingResult | null;
  /** The second fly's depth is drawn, too. */
  dropper?: boolean;
  units: UnitSystem;
  t: number;
  onScrub: (t: number) => void;
  /** Rank of the lie that is talked about. */
  chosen?: number | null;
  height: number;
  summary: string;
}

const LEFT = 34;
const TOP = 8;
const BOTTOM = 20;

/** No more points than the eye tells apart. */
const MOST_POINTS = 400;
/** The bed is drawn at every so many rows. */
const BED_ROWS = 5;

/** The same seconds as the path on the sheet: surface, bed under the fly, the band wanted at each lie, the fly's depth. */
export function DepthStrip({
  result,
  grid,
  verdicts,
  band,
  kept = null,
  dropper = false,
  units,
  t,
  onScrub,
  chosen = null,
  height,
  summary,
}: Props) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const { rows } = result;
  const seconds = lengthS(result);
  const { bed, deepest } = useMemo(() => {
    const depths: number[] = [];
    for (let i = 0; i < rows; i += BED_ROWS) {
      const { xM, yM } = flyAt(result, i);
      sampleWater(grid, xM, yM);
      depths.push(sample.h);
    }
    return { bed: depths, deepest: Math.max(0.6, ...depths) };
  }, [grid, result, rows]);
  const plotW = Math.max(1, width - LEFT - 6);
  const plotH = height - TOP - BOTTOM;
  const sx = (time: number) => LEFT + (time / seconds) * plotW;
  const sy = (depth: number) => TOP + (depth / (1.1 * deepest)) * plotH;
  const drag = useDrag((p) => onScrub(Math.min(seconds, Math.max(0, ((p.x * width - LEFT) / plotW) * seconds))));
  const here = flyAt(result, rowOf(result, t));
  const every = Math.max(1, Math.ceil(rows / MOST_POINTS));
  const wayOf = (r: SwingResult) =>
    Array.from({ length: Math.ceil(Math.min(rows, r.rows) / every) }, (_, i) => {
      const { tS, depthM } = flyAt(r, every * i);
      return [sx(tS), sy(depthM)] as const;
    });
  const bedPath = pathOf(
    [
      [sx(0), TOP + plotH] as const,
      ...bed.map((d, i) => [sx((BED_ROWS * i) / HZ), sy(d)] as const),
      [sx(seconds), TOP + plotH] as const,
    ],
    true,
  );
  const ground = pathOf(
    [
      [sx(0), TOP] as const,
      ...bed.map((d, i) => [sx((BED_ROWS * i) / HZ), sy(d)] as const),
      [sx(seconds), TOP] as const,
    ],
    true,
  );
  const depthMarks = ticks(toShown('depth', deepest, units), 3);
  const timeMarks = ticks(seconds, 5);
  const keys = (e: { key: string; preventDefault: () => void }) => {
    const by = { ArrowLeft: -0.5, ArrowRight: 0.5, PageDown: -5, PageUp: 5, Home: -1e3, End: 1e3 }[e.key];
    if (by === undefined) return;
    e.preventDefault();
    onScrub(Math.min(seconds, Math.max(0, t + by)));
  };
  return (
    <View
      onLayout={onLayout}
      {...drag}
      {...({ onKeyDown: keys } as object)}
      role="slider"
      tabIndex={0}
      aria-label={summary}
      aria-valuemin={0}
      aria-valuemax={Math.round(seconds)}
      aria-valuenow={Math.round(t)}
      aria-valuetext={`${t.toFixed(1)} seconds, fly at ${toShown('depth', here.depthM, units).toFixed(2)} ${unitOf('depth', units)}`}
      style={[{ height }, DRAGGED]}
    >
      {width > 0 ? (
        <Svg width={width} height={height} pointerEvents="none">
          <Path d={ground} fill={theme.depth[0]} />
          <Path d={bedPath} fill={theme.bed} />
          {verdicts.map((v) => {
            if (v.fit === 'not reached') return null;
            const half = Math.min(2.5, Math.max(0.8, v.lie.widthM / 2 / Math.max(0.15, v.pass.crossSpeedMps)));
            const x1 = sx(Math.max(0, v.pass.t - half));
            const x2 = sx(Math.min(seconds, v.pass.t + half));
            const y1 = sy(v.lie.band.topM);
            const y2 = sy(v.lie.band.bottomM);
            return (
              <G key={v.lie.rank}>
                <Rect
                  x={x1}
                  y={y1}
                  width={x2 - x1}
                  height={Math.max(4, y2 - y1)}
                  fill={theme.paper}
                  fillOpacity={v.lie.rank === chosen ? 0.8 : 0}
                  stroke={theme.ink}
                  strokeOpacity={v.lie.rank === chosen ? 1 : 0.6}
                  strokeWidth={v.lie.rank === chosen ? 2 : 1}
                />
                <Words
                  x={(x1 + x2) / 2}
                  y={Math.max(TOP + 12, y1 - 5)}
                  text={String(v.lie.rank)}
                  bold={v.lie.rank === chosen}
                />
              </G>
            );
          })}
          {band ? (
            <Path
              d={pathOf(
                [
                  ...Array.from({ length: rows }, (_, i) => [sx(i / 10), sy(band.low[i]!)] as const),
                  ...Array.from(
                    { length: rows },
                    (_, i) => [sx((rows - 1 - i) / 10), sy(band.high[rows - 1 - i]!)] as const,
                  ),
                ],
                true,
              )}
              fill={theme.fly}
              fillOpacity={0.2}
            />
          ) : null}
          {kept ? (
            <Path
              d={pathOf(wayOf(kept))}
              stroke={theme.fly}
              strokeWidth={2}
              strokeDasharray="2 5"
              strokeLinecap="round"
              fill="none"
            />
          ) : null}
          {result.bodyDepths.slice(0, dropper ? 1 : 0).map((depths, k) => (
            <Path
              key={k}
              d={pathOf(Array.from(depths.slice(0, rows), (d, i) => [sx(i / 10), sy(d)] as const))}
              stroke={theme.fly}
              strokeWidth={1.6}
              fill="none"
            />
          ))}
          <Path d={pathOf(wayOf(result))} stroke={theme.fly} strokeWidth={3} fill="none" strokeLinejoin="round" />
          {result.tightAtFlyS !== null && result.tightAtFlyS > 1 && result.tightAtFlyS < seconds ? (
            <Tick x={sx(result.tightAtFlyS)} text="tight" />
          ) : null}
          <Line x1={LEFT} x2={sx(seconds)} y1={TOP} y2={TOP} stroke={theme.ink} strokeWidth={2} />
          {depthMarks.map((d) => (
            <Words
              key={d}
              x={LEFT - 5}
              y={sy(d / toShown('depth', 1, units)) + 4}
              text={d === 0 ? '0' : String(d)}
              anchor="end"
            />
          ))}
          {timeMarks.map((s, i) => (
            <Words
              key={s}
              x={Math.min(sx(s), width - 4)}
              y={height - 5}
              anchor={sx(s) > width - 20 ? 'end' : 'middle'}
              text={i === timeMarks.length - 1 ? `${s} s` : String(s)}
            />
          ))}
          <Line x1={sx(here.tS)} x2={sx(here.tS)} y1={TOP} y2={TOP + plotH} stroke={theme.ink} strokeWidth={1.5} />
          <Circle
            cx={sx(here.tS)}
            cy={sy(here.depthM)}
            r={7.5}
            fill={theme.fly}
            stroke={theme.flyHalo}
            strokeWidth={2.5}
          />
        </Svg>
      ) : null}
    </View>
  );
}

/** A moment on the surface. */
function Tick({ x, text }: { x: number; text: string }) {
  const theme = useTheme();
  return (
    <G>
      <Line x1={x} x2={x} y1={TOP} y2={TOP + 7} stroke={theme.ink} strokeWidth={2} />
      <Words x={x + 4} y={TOP + 13} text={text} anchor="start" />
    </G>
  );
}

interface WordsProps {
  x: number;
  y: number;
  text: string;
  bold?: boolean;
  anchor?: 'start' | 'middle' | 'end';
}

export function Words({ x, y, text, bold, anchor = 'middle' }: WordsProps) {
  const theme = useTheme();
  return (
    <SvgText
      x={x}
      y={y}
      textAnchor={anchor}
      fontFamily={FONT}
      fontSize={13}
      fontWeight={bold ? '700' : '400'}
      fill={bold ? theme.ink : theme.ink2}
    >
      {text}
    </SvgText>
  );
}

/** Round values from 0 to at most `max`, about `count` of them. */
export function ticks(max: number, count: number): number[] {
  const raw = max / count;
  const power = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 5, 10].map((k) => k * power).find((k) => k >= raw) ?? raw;
  const out: number[] = [];
  for (let v = 0; v <= max + 1e-9; v += step) out.push(Number(v.toFixed(6)));
  return out;
}
