import { View } from 'react-native';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { useTheme } from '../theme';
import { ticks, Words } from './marks';
import { pathOf, useWidth } from './plane';

export interface DepthTrack {
  readonly name: string;
  /** [seconds after landing, depth in shown units] */
  readonly points: readonly (readonly [number, number])[];
  /** Drawn strong. */
  readonly strong?: boolean;
}

interface Props {
  tracks: readonly DepthTrack[];
  /** Depths that are wanted, in shown units. */
  wanted: readonly [number, number] | null;
  unit: string;
  height: number;
  summary: string;
}

const LEFT = 40;
const RIGHT = 96;
const TOP = 12;
const BOTTOM = 22;
/** Names nearer together than this are moved apart, px. */
const LINE_PX = 16;

/** Names from the top down, none nearer to the last than a line. */
function apart<T extends { readonly y: number }>(ends: readonly T[]): (T & { readonly at: number })[] {
  let last = -Infinity;
  return ends.map((e) => ({ ...e, at: (last = Math.max(e.y, last + LINE_PX)) }));
}

/** Swings side by side: how deep each fly is, second by second. */
export function DepthTracks({ tracks, wanted, unit, height, summary }: Props) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const all = tracks.flatMap((t) => t.points);
  const longest = Math.max(1, ...all.map(([s]) => s));
  const deepest = 1.08 * Math.max(1e-3, wanted?.[1] ?? 0, ...all.map(([, d]) => d));
  const w = Math.max(1, width - LEFT - RIGHT);
  const h = height - TOP - BOTTOM;
  const sx = (s: number) => LEFT + (s / longest) * w;
  const sy = (d: number) => TOP + (Math.max(0, d) / deepest) * h;
  const ends = tracks
    .flatMap((t) => (t.points.length > 0 ? [{ ...t, x: sx(t.points.at(-1)![0]), y: sy(t.points.at(-1)![1]) }] : []))
    .sort((a, b) => a.y - b.y);
  const names = apart(ends);
  return (
    <View onLayout={onLayout} role="img" aria-label={summary} style={{ height }}>
      {width > 0 ? (
        <Svg width={width} height={height} pointerEvents="none">
          {wanted ? (
            <Rect x={LEFT} y={sy(wanted[0])} width={w} height={sy(wanted[1]) - sy(wanted[0])} fill={theme.depth[1]} />
          ) : null}
          {ticks(deepest, 3).map((v) => (
            <G key={v}>
              <Line x1={LEFT} x2={LEFT + w} y1={sy(v)} y2={sy(v)} stroke={theme.hairline} strokeWidth={1} />
              <Words x={LEFT - 6} y={sy(v) + 4} text={v === 0 ? `0 ${unit}` : String(v)} anchor="end" />
            </G>
          ))}
          {tracks.map((t) => (
            <Path
              key={t.name}
              d={pathOf(t.points.map(([s, d]) => [sx(s), sy(d)] as const))}
              stroke={theme.fly}
              strokeWidth={t.strong ? 3.5 : 1.8}
              strokeDasharray={t.strong ? undefined : '6 4'}
              fill="none"
              strokeLinejoin="round"
            />
          ))}
          {names.map((n) => (
            <Words key={n.name} x={LEFT + w + 6} y={n.at + 4} text={n.name} anchor="start" bold={n.strong === true} />
          ))}
          {ticks(longest, 4).map((s) => (
            <Words key={s} x={sx(s)} y={height - 5} text={`${s} s`} anchor={s === 0 ? 'start' : 'middle'} />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
