import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { useTheme } from '../theme';
import { ticks, Words } from './marks';
import { pathOf, useWidth } from './plane';
import { NowLine } from './TimeCharts';
import { DAY_MS } from '@/core/units';

interface BandPoint {
  readonly at: number;
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

interface Props {
  /** Visibility in shown units: the middle, and the ends of four in five. */
  readonly points: readonly BandPoint[];
  /** What was read; `atLeast` is only a lower bound. */
  readonly readings: readonly { readonly at: number; readonly value: number; readonly atLeast: boolean }[];
  /** Below it water is dirty. */
  readonly dirty: number;
  readonly now: number;
  /** From when to when it is drawn; not said: where there are points. */
  readonly span?: readonly [number, number];
  readonly unit: string;
  readonly height: number;
  readonly summary: string;
}

const LEFT = 40;
const BOTTOM = 20;
const TOP = 14;
/** What is clearer than this is drawn at the upper edge, as a multiple of where dirty ends. */
const MOST = 4;

/** How far one will see, with its doubt; the past before the line of now. */
export function ColourBand({ points, readings, dirty, now, span, unit, height, summary }: Props) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const [first, last] = span ?? [points[0]?.at ?? now, points.at(-1)?.at ?? now + DAY_MS];
  const top = Math.min(MOST * dirty, Math.max(2 * dirty, ...points.map((p) => p.high)));
  const w = Math.max(1, width - LEFT - 8);
  const h = height - TOP - BOTTOM;
  const sx = (at: number) => LEFT + ((at - first) / (last - first)) * w;
  const sy = (v: number) => TOP + (1 - Math.min(v, top) / top) * h;
  const line = (of: (p: BandPoint) => number) => points.map((p) => [sx(p.at), sy(of(p))] as const);
  const days: number[] = [];
  for (let d = new Date(first).setHours(24, 0, 0, 0); d < last; d += DAY_MS) days.push(d);
  const dayName = (at: number) => new Date(at).toLocaleDateString('en-GB', { weekday: 'short' });
  return (
    <View onLayout={onLayout} role="img" aria-label={summary} style={{ height }}>
      {width > 0 && points.length > 1 ? (
        <Svg width={width} height={height} pointerEvents="none">
          <Rect x={LEFT} y={sy(dirty)} width={w} height={TOP + h - sy(dirty)} fill={theme.sand} />
          <Path
            d={pathOf([...line((p) => p.high), ...line((p) => p.low).reverse()], true)}
            fill={theme.depth[2]}
            fillOpacity={0.75}
          />
          {days.map((d) => (
            <Line key={d} x1={sx(d)} x2={sx(d)} y1={TOP} y2={TOP + h} stroke={theme.hairline} strokeWidth={1} />
          ))}
          <Path d={pathOf(line((p) => p.middle))} stroke={theme.line} strokeWidth={2.5} fill="none" />
          <NowLine x={sx(now)} from={span ? 0 : TOP - 4} to={TOP + h} />
          <Line x1={LEFT} x2={LEFT + w} y1={TOP + h} y2={TOP + h} stroke={theme.ink} strokeWidth={1.5} />
          {readings.map((r) => (
            <G key={r.at}>
              <Circle cx={sx(r.at)} cy={sy(r.value)} r={5} fill={theme.ink} stroke={theme.paper} strokeWidth={2} />
              {r.atLeast ? (
                <Path
                  d={`M${sx(r.at)} ${sy(r.value) - 6}v-12m-4 4l4 -5l4 5`}
                  stroke={theme.ink}
                  strokeWidth={2}
                  fill="none"
                />
              ) : null}
            </G>
          ))}
          {ticks(top, 3).map((v) => (
            <Words key={v} x={LEFT - 6} y={sy(v) + 4} text={String(v)} anchor="end" />
          ))}
          <Words x={4} y={10} text={unit} anchor="start" />
          <Words x={Math.min(width - 40, sx(now) + (span ? 18 : 0))} y={10} text="now" />
          {days.slice(0, -1).map((d) => (
            <Words key={d} x={sx(d + DAY_MS / 2)} y={height - 4} text={dayName(d)} />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
