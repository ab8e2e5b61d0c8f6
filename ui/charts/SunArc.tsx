import { type GestureResponderEvent, View } from 'react-native';
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import { useTheme } from '../theme';
import { Words } from './marks';
import { pathOf, useWidth } from './plane';
import type { SeriesPoint } from './TimeCharts';

interface SunArcProps {
  altitude: readonly { readonly at: number; readonly deg: number }[];
  marks: readonly { readonly at: number; readonly text: string }[];
  now: number;
  /** When to fish. */
  windows?: readonly { readonly fromAt: number; readonly toAt: number }[];
  /** How good each half hour is, 0 to 1: bars of that height, those of the windows dark; not said: the windows alone. */
  good?: readonly { readonly at: number; readonly share: number }[];
  /** The moment that is talked about; it follows the finger. */
  chosenAt?: number;
  onChoose?: (at: number) => void;
  /** Water temperature in shown units, and how it is written. */
  temps?: readonly SeriesPoint[];
  tempText?: (value: number) => string;
  /** Wind, m/s, and where it comes from, degrees from north. */
  winds?: readonly { readonly at: number; readonly mps: number; readonly fromDeg: number }[];
  height: number;
  summary: string;
}

/** Room above the sun for the bars of the hours, px; for those that say how good each is. */
const [BARS, GOOD_BARS] = [12, 30];

/** Room below it for the arrows of the wind, px; one every so many hours. */
const [WINDS, WIND_EVERY_H] = [26, 3];
const NO_TEMPS: readonly SeriesPoint[] = [];

/**
 * The height of the sun through the day; night and twilight lie below the line, the hours to fish stand above as bars, the wind below
 * as arrows that fly with it. Water temperature is a dashed line, its lowest and highest written.
 */
export function SunArc(props: SunArcProps) {
  const {
    altitude,
    marks,
    now,
    windows = [],
    good,
    chosenAt,
    onChoose,
    temps = NO_TEMPS,
    tempText,
    winds = [],
    height,
    summary,
  } = props;
  const theme = useTheme();
  const [width, onLayout] = useWidth();
  const first = altitude[0]!.at;
  const last = altitude[altitude.length - 1]!.at;
  const high = Math.max(20, ...altitude.map((a) => a.deg)) * 1.15;
  const low = -14;
  const w = Math.max(1, width - 16);
  const h = height - 20 - (winds.length > 0 ? WINDS : 0);
  const sx = (at: number) => 8 + ((at - first) / (last - first)) * w;
  const bars = good ? GOOD_BARS : windows.length > 0 ? BARS : 0;
  const top = bars + 4;
  const sy = (deg: number) => top + ((high - Math.max(low, deg)) / (high - low)) * (h - top);
  const line = altitude.map((a) => [sx(a.at), sy(a.deg)] as const);
  const choose = (e: GestureResponderEvent) =>
    onChoose?.(first + Math.min(1, Math.max(0, (e.nativeEvent.locationX - 8) / w)) * (last - first));
  const touch = onChoose
    ? { onStartShouldSetResponder: () => true, onResponderGrant: choose, onResponderMove: choose }
    : null;
  const here =
    now >= first && now <= last
      ? altitude.reduce((b, a) => (Math.abs(a.at - now) < Math.abs(b.at - now) ? a : b))
      : null;
  return (
    <View onLayout={onLayout} role="img" aria-label={summary} style={{ height }} {...touch}>
      {width > 0 ? (
        <Svg width={width} height={height} pointerEvents="none">
          <Rect x={8} y={sy(0)} width={w} height={sy(-6) - sy(0)} fill={theme.sand} />
          <Rect x={8} y={sy(-6)} width={w} height={sy(low) - sy(-6)} fill={theme.hairline} />
          <Line x1={8} x2={8 + w} y1={sy(0)} y2={sy(0)} stroke={theme.ink} strokeWidth={1.5} />
          <Path d={pathOf(line)} stroke={theme.ink} strokeWidth={2.5} fill="none" />
          <TempLine temps={temps} text={tempText} sx={sx} top={top} h={h} width={width} />
          <WindArrows winds={winds} sx={sx} y={h + 4 + WINDS / 2} />
          {good ? <GoodBars good={good} windows={windows} sx={sx} /> : null}
          {(good ? [] : windows).map((b) => (
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
              y1={bars}
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

/** How good the hours are: a bar each, dark where one is to fish. */
function GoodBars({ good, windows, sx }: Required<Pick<SunArcProps, 'good' | 'windows'>> & Pick<TempLineProps, 'sx'>) {
  const theme = useTheme();
  const slot = good.length > 1 ? sx(good[1]!.at) - sx(good[0]!.at) : 0;
  return good.map(({ at, share }) => {
    const best = windows.some((b) => at >= b.fromAt && at < b.toAt);
    const height = share * (GOOD_BARS - 4);
    return share > 0 ? (
      <Rect
        key={at}
        x={sx(at)}
        y={GOOD_BARS - height}
        width={Math.max(1, slot - 1)}
        height={height}
        fill={best ? theme.ink : theme.line}
        fillOpacity={best ? 1 : 0.45}
      />
    ) : null;
  });
}

interface TempLineProps {
  temps: readonly SeriesPoint[];
  text: ((value: number) => string) | undefined;
  sx: (at: number) => number;
  top: number;
  h: number;
  width: number;
}

/** Its own scale, from its lowest to its highest; these two are written. */
function TempLine({ temps, text, sx, top, h, width }: TempLineProps) {
  const theme = useTheme();
  if (temps.length < 2 || !text) return null;
  const low = temps.reduce((a, b) => (b.value < a.value ? b : a));
  const high = temps.reduce((a, b) => (b.value > a.value ? b : a));
  const span = Math.max(1, high.value - low.value);
  const sy = (v: number) => top + h * (0.62 - (0.4 * (v - low.value)) / span);
  const inside = (x: number) => Math.min(width - 28, Math.max(28, x));
  return (
    <>
      <Path
        d={pathOf(temps.map((t) => [sx(t.at), sy(t.value)] as const))}
        stroke={theme.line}
        strokeWidth={2.5}
        strokeDasharray="6 4"
        fill="none"
      />
      {(text(low.value) === text(high.value) ? [low] : [low, high]).map((t, i) => (
        <Words key={i} x={inside(sx(t.at))} y={sy(t.value) + (i === 0 ? 16 : -7)} text={text(t.value)} bold />
      ))}
    </>
  );
}

/** An arrow flies with the wind, north up; the longer the stronger. */
function WindArrows({ winds, sx, y }: { winds: SunArcProps['winds'] & object; sx: (at: number) => number; y: number }) {
  const theme = useTheme();
  return winds
    .filter((w) => new Date(w.at).getHours() % WIND_EVERY_H === 1)
    .map((w) => {
      const half = 4 + Math.min(8, w.mps * 0.7);
      return (
        <Path
          key={w.at}
          d={`M0 ${-half}V${half}M${-0.45 * half} ${half - 0.6 * half}L0 ${half}L${0.45 * half} ${half - 0.6 * half}`}
          transform={`translate(${sx(w.at)} ${y}) rotate(${w.fromDeg})`}
          stroke={theme.ink}
          strokeWidth={2}
          fill="none"
        />
      );
    });
}
