import { View } from 'react-native';
import Svg, { Circle, G, Line, Path } from 'react-native-svg';
import { useTheme } from '../theme';
import { ticks, Words } from './marks';
import { pathOf, useWidth } from './plane';
import { DAY_MS } from '@/core/units';

export interface SeriesPoint {
  readonly at: number;
  readonly value: number;
}

interface HydrographProps {
  /** Level against normal, in shown units. */
  points: readonly SeriesPoint[];
  /** How it goes on: the middle, and the ends of four in five. */
  ahead?: readonly { readonly at: number; readonly low: number; readonly middle: number; readonly high: number }[];
  unit: string;
  now: number;
  /** Days that are asked about. */
  asked?: readonly { readonly at: number; readonly text: string }[];
  /** It stands above another picture of these moments, which names the days of both. */
  span?: readonly [number, number];
  height: number;
  summary: string;
}

/** The name of a day wants so much room, px. */
const DAY_PX = 34;
const LEFT = 40;
const BOTTOM = 20;
const TOP = 20;
/** Above another picture, px: its lowest figure stands clear of it. */
const JOIN = 8;

const dayName = (at: number) => new Date(at).toLocaleDateString(undefined, { weekday: 'short' });

/** What is known lies before it, what is foretold behind. */
export const NowLine = ({ x, from, to }: { x: number; from: number; to: number }) => (
  <Line x1={x} x2={x} y1={from} y2={to} stroke={useTheme().ink} strokeWidth={1.5} />
);

/** The level over the last days, against normal, and as it is forecast, with its doubt. */
export function Hydrograph({
  points: told,
  ahead: coming = [],
  unit,
  now,
  asked = [],
  span,
  height,
  summary,
}: HydrographProps) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const points = span ? told.filter((p) => p.at >= span[0]) : told;
  const first = span?.[0] ?? points[0]?.at ?? now - DAY_MS;
  const last = span?.[1] ?? Math.max(now, points[points.length - 1]?.at ?? now, coming.at(-1)?.at ?? now);
  const end = points[points.length - 1];
  const ahead = end
    ? [
        { at: end.at, low: end.value, middle: end.value, high: end.value },
        ...coming.filter((p) => p.at > end.at && p.at <= last),
      ]
    : [];
  const high = Math.max(5, ...points.map((p) => p.value), ...ahead.map((p) => p.high));
  const low = Math.min(-5, ...points.map((p) => p.value), ...ahead.map((p) => p.low));
  const w = Math.max(1, width - LEFT - 8);
  const h = height - TOP - (span ? JOIN : BOTTOM);
  const sx = (at: number) => LEFT + ((at - first) / (last - first)) * w;
  const sy = (v: number) => TOP + ((high - v) / (high - low)) * h;
  const line = points.map((p) => [sx(p.at), sy(p.value)] as const);
  const days: number[] = [];
  for (let d = new Date(first).setHours(24, 0, 0, 0); d < last; d += DAY_MS) days.push(d);
  const way = (of: (p: (typeof ahead)[number]) => number) => ahead.map((p) => [sx(p.at), sy(of(p))] as const);
  const roomy = Math.max(1, Math.ceil((DAY_PX * (last - first)) / DAY_MS / w));
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
          {ahead.length > 1 ? (
            <>
              <Path
                d={pathOf([...way((p) => p.high), ...way((p) => p.low).reverse()], true)}
                fill={theme.depth[2]}
                fillOpacity={0.75}
              />
              <Path
                d={pathOf(way((p) => p.middle))}
                stroke={theme.line}
                strokeWidth={2.5}
                strokeDasharray="6 4"
                fill="none"
              />
            </>
          ) : null}
          <Path d={pathOf(line)} stroke={theme.line} strokeWidth={2.5} fill="none" />
          {span ? <NowLine x={sx(now)} from={TOP} to={height} /> : null}
          {end && asked.length === 0 ? <Circle cx={sx(end.at)} cy={sy(end.value)} r={5} fill={theme.ink} /> : null}
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
          {asked.map(({ at, text }) => (
            <G key={text}>
              <Line x1={sx(at)} x2={sx(at)} y1={TOP} y2={TOP + h} stroke={theme.ink} strokeWidth={1.5} />
              <Words x={sx(at)} y={TOP - 5} text={text} bold />
            </G>
          ))}
          {(span ? [] : days.slice(0, -1))
            .filter((_, i) => i % roomy === 0)
            .map((d) => (
              <Words key={d} x={sx(d + DAY_MS / 2)} y={height - 4} text={dayName(d)} />
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
          <Line x1={sx(low)} x2={sx(high)} y1={8} y2={8} stroke={theme.line} strokeWidth={8} strokeLinecap="round" />
          <Circle cx={sx(mean)} cy={8} r={5} fill={theme.ink} stroke={theme.paper} strokeWidth={1.5} />
        </Svg>
      ) : null}
    </View>
  );
}
