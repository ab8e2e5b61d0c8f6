import { useMemo, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Ellipse, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Survey } from '@/core/advice';
import type { SwingResult } from '@/core/swing';
import { format, type UnitSystem } from '@/core/units';
import { TINTS, type Run } from '@/core/water';
import { FONT, radius, space, useTheme, type Theme } from '../theme';
import { Text } from '../Text';
import { DRAGGED, useDrag } from '../useDrag';
import { FeatureMark } from './FeatureMark';
import { pathOf, plane, useWidth, type Plane, type Window } from './plane';

export interface SheetSwing {
  readonly result: SwingResult;
  /** Moment whose line is drawn strong, s. */
  readonly t: number;
}

interface Props {
  run: Run;
  survey: Survey;
  units: UnitSystem;
  height: number;
  /** Part of the run to show; the whole by default. */
  from?: number;
  to?: number;
  /** Rank of the lie that is talked about. */
  chosen?: number | null;
  /** Where a cross-section is shown, m. */
  sectionX?: number;
  angler?: { readonly xM: number; readonly yM: number };
  swing?: SheetSwing | null;
  /** Paths of the fly on casts already made, as [x, y] in metres. */
  covered?: readonly (readonly (readonly [number, number])[])[];
  takes?: readonly { readonly x: number; readonly y: number }[];
  /** Drag or tap on the sheet, in metres. */
  onPoint?: (p: { xM: number; yM: number }) => void;
  /** Whether the key to the tints stands below; shown unless it is said not to be. */
  showKey?: boolean;
  summary: string;
}

/** The run from above, flow down the screen. */
export function RunSheet(p: Props) {
  const t = useTheme();
  const [width, onLayout] = useWidth();
  const { channel } = p.survey;
  const window: Window = useMemo(() => {
    const near = Math.min(...channel.edgeNear) - 2.5;
    const far = Math.max(...channel.edgeFar) + 2.5;
    return { fromM: p.from ?? 0, toM: p.to ?? p.run.lengthM, nearM: near, farM: far };
  }, [channel, p.from, p.to, p.run.lengthM]);
  const at = useMemo(() => plane(p.run.bank, window, width || 1, p.height), [p.run.bank, window, width, p.height]);
  const water = useMemo(() => <Water survey={p.survey} at={at} theme={t} />, [p.survey, at, t]);
  const drag = useDrag((s) => p.onPoint?.(at.m(s.x * at.width, s.y * at.height)));
  const lies = useMemo(() => badges(p.survey.lies, at), [p.survey.lies, at]);
  const labels = bankLabels(at, t);
  return (
    <View>
      <View
        onLayout={onLayout}
        role="img"
        aria-label={p.summary}
        style={[s.frame, { height: p.height, backgroundColor: t.sand }, p.onPoint ? DRAGGED : null]}
        {...(p.onPoint ? drag : null)}
      >
        {width > 0 ? (
          <Svg width={width} height={p.height} pointerEvents="none">
            {water}
            {p.run.features.map((f) => (
              <FeatureMark key={f.id} feature={f} at={at} theme={t} />
            ))}
            {p.covered?.map((path, i) => (
              <Path
                key={i}
                d={pathOf(path.map(([x, y]) => at.px(x, y)))}
                stroke={t.paper}
                strokeOpacity={0.28}
                strokeWidth={Math.max(2.5, at.scale)}
                fill="none"
                strokeLinecap="round"
              />
            ))}
            {p.sectionX !== undefined ? <SectionLine at={at} xM={p.sectionX} theme={t} window={window} /> : null}
            <Lies placed={lies} theme={t} chosen={p.chosen ?? null} />
            {p.swing ? <SwingPath swing={p.swing} at={at} theme={t} /> : null}
            <LieNumbers placed={lies} theme={t} chosen={p.chosen ?? null} />
            {p.takes?.map((k, i) => {
              const [x, y] = at.px(k.x, k.y);
              return <Circle key={i} cx={x} cy={y} r={6} fill={t.fly} stroke={t.flyHalo} strokeWidth={2} />;
            })}
            {p.angler ? <Angler at={at} theme={t} {...p.angler} /> : null}
            {labels}
            <FlowArrow at={at} theme={t} />
            <ScaleBar at={at} theme={t} units={p.units} />
          </Svg>
        ) : null}
      </View>
      {p.showKey === false ? null : <DepthKey units={p.units} deepest={Math.max(...channel.h)} />}
    </View>
  );
}

function Water({ survey, at, theme }: { survey: Survey; at: Plane; theme: Theme }) {
  return (
    <G>
      {survey.tints.map((tint) => (
        <Path
          key={tint.fromM}
          d={tint.rings
            .map((ring) =>
              pathOf(
                ring.map(([x, y]) => at.px(x, y)),
                true,
              ),
            )
            .join('')}
          fill={theme.depth[TINTS.indexOf(tint.fromM as (typeof TINTS)[number])]}
          fillRule="evenodd"
        />
      ))}
      {survey.flow.map((line, i) => (
        <Path
          key={i}
          d={pathOf(line.map(([x, y]) => at.px(x, y)))}
          stroke={theme.flow}
          strokeOpacity={0.8}
          strokeWidth={1.2}
          fill="none"
        />
      ))}
    </G>
  );
}

type Placed = ReturnType<typeof badges>;

function Lies({ placed, theme, chosen }: { placed: Placed; theme: Theme; chosen: number | null }) {
  return (
    <G>
      {placed.map(({ lie, x, y, rx, ry }) => {
        const on = lie.rank === chosen;
        return (
          <Ellipse
            key={lie.rank}
            cx={x}
            cy={y}
            rx={rx}
            ry={ry}
            fill={theme.paper}
            fillOpacity={0.22}
            stroke={theme.ink}
            strokeWidth={on ? 3 : 1.6}
            strokeDasharray={on ? undefined : '5 4'}
          />
        );
      })}
    </G>
  );
}

/** The numbers lie over the path, so that none is lost under it. */
function LieNumbers({ placed, theme, chosen }: { placed: Placed; theme: Theme; chosen: number | null }) {
  return (
    <G>
      {placed.map(({ lie, badge: [x, y] }) => {
        const on = lie.rank === chosen;
        return (
          <G key={lie.rank}>
            <Circle cx={x} cy={y} r={11} fill={on ? theme.ink : theme.paper} stroke={theme.ink} strokeWidth={1.6} />
            <SvgText
              x={x}
              y={y + 5}
              textAnchor="middle"
              fontFamily={FONT}
              fontSize={14}
              fontWeight="700"
              fill={on ? theme.onInk : theme.ink}
            >
              {lie.rank}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
}

/** Lies in sight, each with its number beside it, on the side where no other number stands. */
function badges(lies: Survey['lies'], at: Plane) {
  const placed: (readonly [number, number])[] = [];
  return lies.flatMap((lie) => {
    const [x, y] = at.px(lie.x, lie.y);
    if (y < 0 || y > at.height) return [];
    const rx = Math.max(9, (lie.widthM * at.scale) / 2);
    const ry = Math.max(9, (lie.lengthM * at.scale) / 2);
    const free = ([px, py]: readonly [number, number]) =>
      px > 12 && px < at.width - 12 && placed.every(([qx, qy]) => Math.hypot(px - qx, py - qy) > 24);
    const around = [
      [x - rx - 9, y],
      [x + rx + 9, y],
      [x, y - ry - 6],
      [x, y + ry + 6],
      [x - rx - 9, y + 20],
    ] as const;
    const badge = around.find(free) ?? around[0];
    placed.push(badge);
    return [{ lie, x, y, rx, ry, badge }];
  });
}

/** The fly's way with a mark every five seconds, and the line where it is. */
function SwingPath({ swing, at, theme }: { swing: SheetSwing; at: Plane; theme: Theme }) {
  const { result, t } = swing;
  const place = (row: number) => at.px(result.series[9 * row + 1]!, result.series[9 * row + 2]!);
  const rows = Math.min(result.rows, Math.round((result.dangleS ?? result.rows / 10) * 10) + 20);
  const way: (readonly [number, number])[] = [];
  for (let i = 0; i < rows; i += 2) way.push(place(i));
  const d = pathOf(way);
  const shape = (when: number) => result.lines[Math.min(result.lines.length - 1, Math.round(when * 2))];
  const line = (when: number) => {
    const l = shape(when);
    if (!l) return '';
    const points: (readonly [number, number])[] = [];
    for (let k = 0; k < l.xyz.length; k += 3) points.push(at.px(l.xyz[k]!, l.xyz[k + 1]!));
    return pathOf(points);
  };
  const marks = Array.from({ length: Math.floor((rows - 1) / 50) }, (_, i) => place(50 * (i + 1)));
  const now = place(Math.min(rows - 1, Math.max(0, Math.round(t * 10))));
  const tight = result.tightAtFlyS ?? result.tightAtRodS;
  return (
    <G>
      {[0.25, 0.6].map((share) => (
        <Path
          key={share}
          d={line((share * rows) / 10)}
          stroke={theme.ink}
          strokeOpacity={0.35}
          strokeWidth={1.5}
          fill="none"
        />
      ))}
      <Path d={line(t)} stroke={theme.ink} strokeWidth={2.6} fill="none" strokeLinejoin="round" />
      <Path d={d} stroke={theme.flyHalo} strokeWidth={7} fill="none" strokeLinejoin="round" strokeLinecap="round" />
      <Path d={d} stroke={theme.fly} strokeWidth={3.5} fill="none" strokeLinejoin="round" strokeLinecap="round" />
      {marks.map(([x, y], i) => (
        <Circle key={i} cx={x} cy={y} r={3.6} fill={theme.flyHalo} stroke={theme.fly} strokeWidth={2} />
      ))}
      <Label at={place(0)} theme={theme} text="lands" dy={-8} width={at.width} />
      {tight !== null && tight > 1 ? (
        <Label at={place(Math.round(tight * 10))} theme={theme} text="tight" dy={4} dx={10} width={at.width} />
      ) : null}
      <Circle cx={now[0]} cy={now[1]} r={7.5} fill={theme.fly} stroke={theme.flyHalo} strokeWidth={2.5} />
    </G>
  );
}

interface LabelProps {
  at: readonly [number, number];
  theme: Theme;
  text: string;
  width: number;
  dx?: number;
  dy?: number;
  anchor?: 'start' | 'middle' | 'end';
}

/** Words on the sheet, with a halo so that no tint swallows them; kept inside the frame. */
function Label({ at: [x, y], theme, text, dx = 0, dy = 0, anchor = dx ? 'start' : 'middle', width }: LabelProps) {
  const half = text.length * 4;
  const left = anchor === 'start' ? 4 : half + 4;
  const px = Math.max(left, Math.min(width - (anchor === 'start' ? 2 * half : half) - 4, x + dx));
  const common = {
    x: px,
    y: Math.max(13, y + dy),
    fontFamily: FONT,
    fontSize: 14,
    fontWeight: '700',
    textAnchor: anchor,
  } as const;
  return (
    <G>
      <SvgText {...common} stroke={theme.flyHalo} strokeWidth={4} strokeLinejoin="round" fill={theme.flyHalo}>
        {text}
      </SvgText>
      <SvgText {...common} fill={theme.ink}>
        {text}
      </SvgText>
    </G>
  );
}

function Angler({ at, theme, xM, yM }: { at: Plane; theme: Theme; xM: number; yM: number }) {
  const [x, top] = at.px(xM, yM);
  const y = Math.max(26, top); // at the head of the run the mark still stands whole on the sheet
  return (
    <G>
      <Circle cx={x} cy={y} r={9} fill={theme.ink} stroke={theme.flyHalo} strokeWidth={2} />
      <Circle cx={x} cy={y} r={3.5} fill={theme.paper} />
      <Label at={[x, y]} theme={theme} text="you" dx={0} dy={-14} width={at.width} />
    </G>
  );
}

function SectionLine({ at, xM, theme, window }: { at: Plane; xM: number; theme: Theme; window: Window }) {
  const [x1, y1] = at.px(xM, window.nearM);
  const [x2] = at.px(xM, window.farM);
  return <Line x1={x1} x2={x2} y1={y1} y2={y1} stroke={theme.ink} strokeWidth={2} strokeDasharray="8 4" />;
}

function bankLabels(at: Plane, theme: Theme): ReactNode {
  // Flow goes down the screen, so the true left bank is at the reader's right.
  return (
    <G>
      <Label at={[6, at.height - 10]} theme={theme} text="right bank" anchor="start" dx={0.01} width={at.width} />
      <Label
        at={[at.width - 70, at.height - 10]}
        theme={theme}
        text="left bank"
        anchor="start"
        dx={0.01}
        width={at.width}
      />
    </G>
  );
}

function FlowArrow({ at, theme }: { at: Plane; theme: Theme }) {
  const x = at.width - 18;
  return (
    <Path
      d={`M${x} 12V44M${x - 7} 36L${x} 45L${x + 7} 36`}
      stroke={theme.ink}
      strokeWidth={2.5}
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}

function ScaleBar({ at, theme, units }: { at: Plane; theme: Theme; units: UnitSystem }) {
  const foot = 0.3048;
  const lengths = units === 'metric' ? [2, 5, 10, 20] : [5 * foot, 10 * foot, 20 * foot, 50 * foot];
  const m = lengths.find((l) => l * at.scale >= 40) ?? lengths[lengths.length - 1]!;
  const w = m * at.scale;
  return (
    <G>
      <Rect x={8} y={at.height - 32} width={w} height={4} fill={theme.ink} stroke={theme.flyHalo} strokeWidth={1} />
      <Label
        at={[8, at.height - 38]}
        theme={theme}
        text={format('length', m, units)}
        anchor="start"
        dx={0.01}
        width={at.width}
      />
    </G>
  );
}

/** What the tints mean. */
function DepthKey({ units, deepest }: { units: UnitSystem; deepest: number }) {
  const t = useTheme();
  const shown = TINTS.filter((d) => d < deepest);
  return (
    <View style={s.key} role="img" aria-label={`Depth tints from 0 to ${format('depth', deepest, units)}`}>
      <Text size="small" tone="ink2">
        depth over
      </Text>
      {shown.map((d, i) => (
        <View key={d} style={s.keyItem}>
          <View style={[s.swatch, { backgroundColor: t.depth[i], borderColor: t.ink2 }]} />
          <Text size="small">
            {i === 0
              ? '0'
              : format('depth', d, units)
                  .replace(/\.?0+ /, ' ')
                  .replace(/ .*/, '')}
          </Text>
        </View>
      ))}
      <Text size="small" tone="ink2">
        {units === 'metric' ? 'm' : 'ft'}
      </Text>
    </View>
  );
}

const s = StyleSheet.create({
  frame: { borderRadius: radius.m, overflow: 'hidden' },
  key: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: space.m,
    rowGap: 2,
    paddingTop: space.xs,
  },
  keyItem: { flexDirection: 'row', alignItems: 'center', gap: 4 },
  swatch: { width: 18, height: 14, borderWidth: 0.5, borderRadius: 3 },
});
