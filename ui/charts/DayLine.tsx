import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { useTheme } from '../theme';
import { Words } from './marks';
import { pathOf, useWidth } from './plane';
import type { SeriesPoint } from './TimeCharts';
import { HOUR_MS, MINUTE_MS } from '@/core/units';

interface Props {
  readonly from: number;
  readonly to: number;
  /** Height of the sun through the outing, degrees. */
  readonly sun: readonly { readonly at: number; readonly deg: number }[];
  /** Level as it was read, in shown units against normal. */
  readonly level: readonly SeriesPoint[];
  readonly unit: string;
  readonly casts: readonly number[];
  /** Something was tied on or shown otherwise. */
  readonly changes: readonly number[];
  readonly takes: readonly number[];
  readonly height: number;
  readonly summary: string;
}

const LEFT = 40;
const RIGHT = 12;
const LIGHT = 10;
const BOTTOM = 20;
/** Height of the bars for casts, px. */
const BARS = 34;
const BIN_MS = 10 * MINUTE_MS;
/** So long at the least, so that a short outing is not stretched. */
const LEAST_MS = 30 * MINUTE_MS;
/** Hours are written at least so far apart, px. */
const HOUR_PX = 54;
/** Below it is twilight, and below that dark (civil twilight), degrees. */
const [SUNSET_DEG, DARK_DEG] = [-0.833, -6];

/** An outing from its beginning to its end: light, level as read, casts in ten minutes, changes and takes. */
export function DayLine(p: Props) {
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const span = Math.max(LEAST_MS, p.to - p.from);
  const w = Math.max(1, width - LEFT - RIGHT);
  const sx = (at: number) => LEFT + ((at - p.from) / span) * w;
  const floor = p.height - BOTTOM;
  const [top, mid] = [LIGHT + 16, floor - BARS - 16];
  const levels = p.level.map((l) => l.value);
  const [low, high] = [Math.min(0, ...levels), Math.max(0, ...levels)];
  const sy = (v: number) => (high > low ? top + ((high - v) / (high - low)) * (mid - top) : (top + mid) / 2);
  const last = p.level.at(-1);
  const line = [...p.level, ...(last ? [{ ...last, at: p.to }] : [])].map((l) => [sx(l.at), sy(l.value)] as const);
  const bins = new Map<number, number>();
  for (const at of p.casts) {
    const bin = Math.floor((at - p.from) / BIN_MS);
    bins.set(bin, (bins.get(bin) ?? 0) + 1);
  }
  const most = Math.max(6, ...bins.values());
  const everyH = [1, 2, 3, 6].find((h) => (h * HOUR_MS * w) / span >= HOUR_PX) ?? 12;
  const hours: number[] = [];
  for (let h = new Date(p.from).setMinutes(60, 0, 0); h < p.from + span; h += HOUR_MS)
    if (new Date(h).getHours() % everyH === 0) hours.push(h);
  const light = (deg: number) => (deg > SUNSET_DEG ? theme.paper : deg > DARK_DEG ? theme.hairline : theme.ink2);
  return (
    <View onLayout={onLayout} role="img" aria-label={p.summary} style={{ height: p.height }}>
      {width > 0 ? (
        <Svg width={width} height={p.height} pointerEvents="none">
          {p.sun.map((s, i) => {
            const x = Math.max(LEFT, sx(s.at));
            const end = Math.min(LEFT + w, sx(p.sun[i + 1]?.at ?? p.to));
            return end > x ? (
              <Rect key={s.at} x={x} y={0} width={end - x + 0.5} height={LIGHT} fill={light(s.deg)} />
            ) : null;
          })}
          <Rect x={LEFT} y={0} width={w} height={LIGHT} fill="none" stroke={theme.ink2} strokeWidth={1} />
          {hours.map((h) => (
            <G key={h}>
              <Line x1={sx(h)} x2={sx(h)} y1={LIGHT} y2={floor} stroke={theme.hairline} strokeWidth={1} />
              <Words
                x={sx(h)}
                y={p.height - 4}
                text={new Date(h).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}
              />
            </G>
          ))}
          {line.length > 0 ? (
            <G>
              <Line
                x1={LEFT}
                x2={LEFT + w}
                y1={sy(0)}
                y2={sy(0)}
                stroke={theme.ink2}
                strokeWidth={1}
                strokeDasharray="5 4"
              />
              <Path d={pathOf(line)} stroke={theme.line} strokeWidth={2.5} fill="none" />
              {p.level.map((l) => (
                <Circle key={l.at} cx={sx(l.at)} cy={sy(l.value)} r={3.5} fill={theme.line} />
              ))}
              <Words x={LEFT - 6} y={sy(0) + 4} text="norm." anchor="end" />
              {[low, high]
                .filter((v) => v !== 0 && Math.abs(sy(v) - sy(0)) > 13)
                .map((v) => (
                  <Words
                    key={v}
                    x={LEFT - 6}
                    y={sy(v) + 4}
                    text={`${v > 0 ? '+' : '−'}${Math.round(Math.abs(v))}`}
                    anchor="end"
                  />
                ))}
              <Words x={LEFT - 6} y={LIGHT} text={p.unit} anchor="end" />
            </G>
          ) : null}
          {[...bins].map(([bin, n]) => {
            const x = sx(p.from + bin * BIN_MS);
            const end = Math.min(LEFT + w, sx(p.from + (bin + 1) * BIN_MS));
            const h = (n / most) * BARS;
            return (
              <Rect key={bin} x={x + 0.5} y={floor - h} width={Math.max(1, end - x - 1)} height={h} fill={theme.line} />
            );
          })}
          <Line x1={LEFT} x2={LEFT + w} y1={floor} y2={floor} stroke={theme.ink} strokeWidth={1.5} />
          {p.changes.map((at) => (
            <Path
              key={at}
              d={`M${sx(at)} ${floor}V${floor - BARS - 4}m-4 -5l4 5l4 -5z`}
              stroke={theme.ink}
              strokeWidth={1.5}
              fill={theme.ink}
            />
          ))}
          {p.takes.map((at, i) => (
            <Circle
              key={i}
              cx={sx(at)}
              cy={floor - BARS / 2}
              r={5}
              fill={theme.fly}
              stroke={theme.flyHalo}
              strokeWidth={2}
            />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
