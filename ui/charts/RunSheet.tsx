import { useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import type { WadePoint } from '@/core/cover';
import type { Survey } from '@/core/lies';
import type { UnitSystem } from '@/core/units';
import type { PlanPoint, Run } from '@/core/water';

import { radius, useTheme } from '../theme';
import { DRAGGED, useDrag, type DragPoint } from '../useDrag';
import { FeatureKey } from './FeatureKey';
import { FeatureMark } from './FeatureMark';
import { pathOf, plane, useWidth, type Window } from './plane';
import { DepthLabels, ShadeBand, WadeLine, type Shade } from './SheetDay';
import { badges, LieNumbers, Lies } from './SheetLies';
import { Angler, BankNames, FlowArrow, Grip, ScaleBar, SectionLine } from './SheetMarks';
import { KeptPath, SwingPath, type SheetSwing } from './SheetSwing';
import { DepthKey, Water } from './SheetWater';

/** Something on the sheet that can be taken hold of. */
export interface Handle {
  readonly id: string;
  readonly xM: number;
  readonly yM: number;
  /** Whether a grip is drawn (what has a mark of its own needs none). */
  readonly grip?: boolean;
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
  /** Another swing to compare with. */
  kept?: SheetSwing | null;
  /** Paths of the fly on casts already made, as [x, y] in metres. */
  covered?: readonly (readonly (readonly [number, number])[])[];
  takes?: readonly PlanPoint[];
  handles?: readonly Handle[];
  /** Drag or tap on the sheet, in metres, with the handle that was taken hold of, if one was. */
  onPoint?: (p: { xM: number; yM: number }, handle: string | null) => void;
  /** Shade of the banks' trees. */
  shade?: Shade | null;
  /** The way on foot. */
  wade?: readonly WadePoint[] | null;
  /** Depths on their contours, and what the symbols mean below. */
  explained?: boolean;
  /** A handle was taken hold of. */
  onHold?: (handle: string) => void;
  /** The drag has ended. */
  onRelease?: () => void;
  /** Whether the key to the tints stands below; shown unless it is said not to be. */
  showKey?: boolean;
  summary: string;
}

/** Narrower sheets do without the banks' names. */
const NAMES_PX = 240;
/** A thumb takes hold of what lies this near, px. */
const HOLD_PX = 24;

/** The run from above, flow down the screen. */
export function RunSheet(p: Props) {
  const t = useTheme();
  const [width, onLayout] = useWidth();
  const { channel, tints, flow, lies } = p.survey;
  const window: Window = useMemo(() => {
    const near = Math.min(...channel.edgeNear) - 2.5;
    const far = Math.max(...channel.edgeFar) + 2.5;
    return { fromM: p.from ?? 0, toM: p.to ?? p.run.lengthM, nearM: near, farM: far };
  }, [channel, p.from, p.to, p.run.lengthM]);
  const at = useMemo(() => plane(p.run.bank, window, width || 1, p.height), [p.run.bank, window, width, p.height]);
  const water = useMemo(() => <Water tints={tints} flow={flow} at={at} theme={t} />, [tints, flow, at, t]);
  const held = useRef<string | null>(null);
  const pixels = (s: DragPoint) => [s.x * at.width, s.y * at.height] as const;
  const move = (s: DragPoint) => p.onPoint?.(at.m(...pixels(s)), held.current);
  const start = (s: DragPoint) => {
    const [px, py] = pixels(s);
    const near = (p.handles ?? [])
      .map((h) => ({ h, d: Math.hypot(at.px(h.xM, h.yM)[0] - px, at.px(h.xM, h.yM)[1] - py) }))
      .sort((a, b) => a.d - b.d)[0];
    held.current = near && near.d < HOLD_PX ? near.h.id : null;
    if (held.current) p.onHold?.(held.current);
    else move(s);
  };
  const drag = useDrag(move, start, p.onRelease);
  const deepest = useMemo(() => channel.h.reduce((a, b) => Math.max(a, b), 0), [channel]);
  const placed = useMemo(() => badges(lies, at), [lies, at]);
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
            {p.shade ? <ShadeBand channel={channel} shade={p.shade} at={at} theme={t} /> : null}
            {p.explained ? (
              <DepthLabels tints={tints} taken={placed.map((l) => l.badge)} at={at} theme={t} units={p.units} />
            ) : null}
            {p.wade ? <WadeLine way={p.wade} at={at} theme={t} /> : null}
            {p.sectionX !== undefined ? <SectionLine at={at} xM={p.sectionX} theme={t} window={window} /> : null}
            <Lies placed={placed} theme={t} chosen={p.chosen ?? null} />
            {p.kept ? <KeptPath swing={p.kept} at={at} theme={t} /> : null}
            {p.swing ? <SwingPath swing={p.swing} at={at} theme={t} /> : null}
            <LieNumbers placed={placed} theme={t} chosen={p.chosen ?? null} />
            {p.takes?.map((k, i) => {
              const [x, y] = at.px(k.xM, k.yM);
              return <Circle key={i} cx={x} cy={y} r={6} fill={t.fly} stroke={t.flyHalo} strokeWidth={2} />;
            })}
            {p.handles?.map((h) =>
              h.grip ? <Grip key={h.id} at={at.px(h.xM, h.yM)} theme={t} text={h.id} width={at.width} /> : null,
            )}
            {p.angler ? <Angler at={at} theme={t} {...p.angler} /> : null}
            {width > NAMES_PX ? <BankNames at={at} theme={t} /> : null}
            <FlowArrow at={at} theme={t} />
            <ScaleBar at={at} theme={t} units={p.units} />
          </Svg>
        ) : null}
      </View>
      {p.showKey === false ? null : <DepthKey units={p.units} deepest={deepest} />}
      {p.explained ? <FeatureKey features={p.run.features} way={!!p.wade} shade={!!p.shade} /> : null}
    </View>
  );
}

const s = StyleSheet.create({ frame: { borderRadius: radius.m, overflow: 'hidden' } });
