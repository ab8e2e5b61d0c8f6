import { View } from 'react-native';
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import { useTheme } from '../theme';
import { ticks, Words } from './marks';
import { pathOf, useWidth } from './plane';

export interface SeriesPoint {
  readonly at: number;
  readonly value: number;
}

interface HydrographProps {
  /** Level against normal, in shown units. */
  points: readonly SeriesPoint[];
  unit: string;
  now: number;
  height: number;
  summary: string;
}

const LEFT = 40;
const BOTTOM = 20;
const TOP = 10;
const DAY = 86_400_000;

const dayName = (at: number) => new Date(at).toLocaleDateString(undefined, { weekday: 'short' });

/** The level over the last days, against normal. */
export function Hydrograph({ points, unit, now, height, summary }: HydrographProps) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const first = points[0]?.at ?? now - DAY;
  const last = Math.max(now, points[points.length - 1]?.at ?? now);
  const high = Math.max(5, ...points.map((p) => p.value));
  const low = Math.min(-5, ...points.map((p) => p.value));
  const w = Math.max(1, width - LEFT - 8);
  const h = height - TOP - BOTTOM;
  const sx = (at: number) => LEFT + ((at - first) / (last - first)) * w;
  const sy = (v: number) => TOP + ((high - v) / (high - low)) * h;
  const line = points.map((p) => [sx(p.at), sy(p.value)] as const);
  const days: number[] = [];
  for (let d = new Date(first).setHours(24, 0, 0, 0); d < last; d += DAY) days.push(d);
  const end = points[points.length - 1];
  const marks = [...ticks(high, 2), ...ticks(-low, 2).map((v) => -v)].filter(
    (v, i, all) => all.indexOf(v) === i && (v === 0 || Math.abs(sy(v) - sy(0)) > 15),
  );
  return (
    <View onLayout={onLayout} role="img" aria-label={summary} style={{ height }}>
      {width > 0 ? (
        <Svg width={width} height={height} pointerEvents="none">
          {line.length > 1 ? (
            <Path
              d={pathOf([...line, [line[line.length - 1]![0], TOP + h], [line[0]![0], TOP + h]], true)}
              fill={theme.depth[1]}
            />
          ) : null}
          {days.map((d) => (
            <Line key={d} x1={sx(d)} x2={sx(d)} y1={TOP} y2={TOP + h} stroke={theme.hairline} strokeWidth={1} />
          ))}
          <Line
            x1={LEFT}
            x2={LEFT + w}
            y1={sy(0)}
            y2={sy(0)}
            stroke={theme.ink2}
            strokeWidth={1.5}
            strokeDasharray="5 4"
          />
          <Path d={pathOf(line)} stroke={theme.depth[5]} strokeWidth={2.5} fill="none" />
          {end ? <Circle cx={sx(end.at)} cy={sy(end.value)} r={5} fill={theme.ink} /> : null}
          {marks.map((v) => (
            <Words
              key={v}
              x={LEFT - 6}
              y={sy(v) + 4}
              text={v === 0 ? 'norm.' : `${v > 0 ? '+' : '−'}${Math.abs(v)}`}
              anchor="end"
            />
          ))}
          <Words x={4} y={10} text={unit} anchor="start" />
          {days.slice(0, -1).map((d) => (
            <Words key={d} x={sx(d + DAY / 2)} y={height - 4} text={dayName(d)} />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}

interface SunArcProps {
  altitude: readonly { readonly at: number; readonly deg: number }[];
  marks: readonly { readonly at: number; readonly text: string }[];
  now: number;
  /** When to fish. */
  windows?: readonly { readonly fromAt: number; readonly toAt: number }[];
  /** The moment that is talked about. */
  chosenAt?: number;
  height: number;
  summary: string;
}

/** Room above the sun for the bars of the hours, px. */
const BARS = 12;

/** The height of the sun through the day; night and twilight lie below the line, the hours to fish stand above as bars. */
export function SunArc({ altitude, marks, now, windows = [], chosenAt, height, summary }: SunArcProps) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const first = altitude[0]!.at;
  const last = altitude[altitude.length - 1]!.at;
  const high = Math.max(20, ...altitude.map((a) => a.deg)) * 1.15;
  const low = -14;
  const w = Math.max(1, width - 16);
  const h = height - 20;
  const sx = (at: number) => 8 + ((at - first) / (last - first)) * w;
  const top = windows.length > 0 ? BARS + 4 : 4;
  const sy = (deg: number) => top + ((high - Math.max(low, deg)) / (high - low)) * (h - top);
  const line = altitude.map((a) => [sx(a.at), sy(a.deg)] as const);
  const here =
    now >= first && now <= last
      ? altitude.reduce((b, a) => (Math.abs(a.at - now) < Math.abs(b.at - now) ? a : b))
      : null;
  return (
    <View onLayout={onLayout} role="img" aria-label={summary} style={{ height }}>
      {width > 0 ? (
        <Svg width={width} height={height} pointerEvents="none">
          <Rect x={8} y={sy(0)} width={w} height={sy(-6) - sy(0)} fill={theme.sand} />
          <Rect x={8} y={sy(-6)} width={w} height={sy(low) - sy(-6)} fill={theme.hairline} />
          <Line x1={8} x2={8 + w} y1={sy(0)} y2={sy(0)} stroke={theme.ink} strokeWidth={1.5} />
          <Path d={pathOf(line)} stroke={theme.ink} strokeWidth={2.5} fill="none" />
          {windows.map((b) => (
            <Rect
              key={b.fromAt}
              x={sx(b.fromAt)}
              y={2}
              width={Math.max(2, sx(b.toAt) - sx(b.fromAt))}
              height={BARS - 4}
              rx={3}
              fill={theme.ink}
            />
          ))}
          {chosenAt !== undefined ? (
            <Line
              x1={sx(chosenAt)}
              x2={sx(chosenAt)}
              y1={BARS}
              y2={4 + h}
              stroke={theme.ink}
              strokeWidth={1.5}
              strokeDasharray="3 3"
            />
          ) : null}
          {here ? (
            <Circle cx={sx(here.at)} cy={sy(here.deg)} r={6} fill={theme.ink} stroke={theme.paper} strokeWidth={2} />
          ) : null}
          {marks.map((m) => (
            <Line
              key={`l${m.text}`}
              x1={sx(m.at)}
              x2={sx(m.at)}
              y1={sy(0) - 5}
              y2={sy(0) + 5}
              stroke={theme.ink}
              strokeWidth={2}
            />
          ))}
          {marks.map((m) => (
            <Words key={m.text} x={Math.min(width - 34, Math.max(34, sx(m.at)))} y={height - 4} text={m.text} />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}

interface RateBarProps {
  low: number;
  mean: number;
  high: number;
  /** Right end of the scale. */
  max: number;
}

/** An interval on a common scale: the whole line is the doubt, the mark its middle. */
export function RateBar({ low, mean, high, max }: RateBarProps) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const sx = (v: number) => 4 + (Math.min(v, max) / max) * (width - 8);
  return (
    <View onLayout={onLayout} style={{ height: 16 }} aria-hidden>
      {width > 0 ? (
        <Svg width={width} height={16} pointerEvents="none">
          <Line x1={4} x2={width - 4} y1={8} y2={8} stroke={theme.hairline} strokeWidth={2} />
          <Line
            x1={sx(low)}
            x2={sx(high)}
            y1={8}
            y2={8}
            stroke={theme.depth[4]}
            strokeWidth={8}
            strokeLinecap="round"
          />
          <Circle cx={sx(mean)} cy={8} r={5} fill={theme.ink} stroke={theme.paper} strokeWidth={1.5} />
        </Svg>
      ) : null}
    </View>
  );
}
