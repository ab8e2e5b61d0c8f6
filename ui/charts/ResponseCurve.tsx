import { View } from 'react-native';
import Svg, { Circle, G, Line, Path } from 'react-native-svg';
import { useTheme } from '@/ui/theme';
import { ticks, Words } from './marks';
import { pathOf, useWidth } from './plane';

export interface Curve {
  readonly name: string;
  /** In shown units; null leaves a gap. */
  readonly values: readonly (number | null)[];
  readonly dashed?: boolean;
}

interface Props {
  /** One for each place along x, as it is read. */
  labels: readonly string[];
  /** Where each stands along x, in any unit. */
  at: readonly number[];
  curves: readonly Curve[];
  /** Place that is marked. */
  chosen: number;
  unit: string;
  /** Depth grows downwards. */
  down?: boolean;
  height: number;
  summary: string;
}

const LEFT = 40;
const RIGHT = 66;
const TOP = 12;
const BOTTOM = 22;

/** What one thing does to another: a few curves over the settings of a mover. */
export function ResponseCurve({ labels, at, curves, chosen, unit, down = false, height, summary }: Props) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const first = at[0]!;
  const span = at[at.length - 1]! - first || 1;
  const most = Math.max(1e-3, ...curves.flatMap((c) => c.values.map((v) => v ?? 0)));
  const w = Math.max(1, width - LEFT - RIGHT);
  const h = height - TOP - BOTTOM;
  const sx = (i: number) => LEFT + ((at[i]! - first) / span) * w;
  const sy = (v: number) => TOP + (down ? v / (1.08 * most) : 1 - v / (1.08 * most)) * h;
  // Labels along x only where there is room for them.
  const room = Math.max(1, Math.ceil((at.length * 46) / w));
  return (
    <View onLayout={onLayout} role="img" aria-label={summary} style={{ height }}>
      {width > 0 ? (
        <Svg width={width} height={height} pointerEvents="none">
          {ticks(most, 3).map((v) => (
            <G key={v}>
              <Line x1={LEFT} x2={LEFT + w} y1={sy(v)} y2={sy(v)} stroke={theme.hairline} strokeWidth={1} />
              <Words x={LEFT - 6} y={sy(v) + 4} text={v === 0 ? `0 ${unit}` : String(v)} anchor="end" />
            </G>
          ))}
          <Line x1={sx(chosen)} x2={sx(chosen)} y1={TOP} y2={TOP + h} stroke={theme.ink} strokeWidth={1.5} />
          {curves.map((c) => {
            const points = c.values.flatMap((v, i) => (v === null ? [] : [[sx(i), sy(v)] as const]));
            const last = points[points.length - 1];
            const here = c.values[chosen];
            return (
              <G key={c.name}>
                <Path
                  d={pathOf(points)}
                  stroke={theme.fly}
                  strokeWidth={c.dashed ? 2 : 3}
                  strokeDasharray={c.dashed ? '6 5' : undefined}
                  fill="none"
                  strokeLinejoin="round"
                />
                {here !== null && here !== undefined ? (
                  <Circle cx={sx(chosen)} cy={sy(here)} r={6} fill={theme.fly} stroke={theme.flyHalo} strokeWidth={2} />
                ) : null}
                {last ? <Words x={last[0] + 8} y={last[1] + 4} text={c.name} anchor="start" /> : null}
              </G>
            );
          })}
          {labels.map((text, i) =>
            i % room === 0 ? (
              <Words key={text} x={sx(i)} y={height - 5} text={text} anchor={i === 0 ? 'start' : 'middle'} />
            ) : null,
          )}
        </Svg>
      ) : null}
    </View>
  );
}
