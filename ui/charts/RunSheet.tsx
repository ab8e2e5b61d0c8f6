import { useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle } from 'react-native-svg';
import type { Survey } from '@/core/lies';
import type { PlanPoint, Run } from '@/core/water';

import { radius, useTheme } from '../theme';
import { DRAGGED, PALE, useDrag, type DragPoint } from '../useDrag';
import { FeatureKey } from './FeatureKey';
import { LAYER, SheetStill } from './SheetStill';
import { acrossOf, plane, useWidth, type Window } from './plane';
import { type Shade } from './SheetDay';
import { badges, LieNumbers, type Moved, Moves } from './SheetLies';
import { Angler, BankNames, FlowArrow, Grip, ScaleBar } from './SheetMarks';
import { KeptPath, SwingPath, type SheetSwing } from './SheetSwing';
import { DepthKey } from './SheetWater';
import { type UnitSystem } from '@/words/units';

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
  /** A long narrow run may be drawn up to so many times as wide as it is; the scale says so. Not said: true to scale. */
  stretch?: number;
  /** From where to where across, m, where two sheets must match; as wide as the water by default. */
  across?: readonly [number, number];
  /** Rank of the lie that is talked about. */
  chosen?: number | null;
  /** What lies are called in place of their ranks, and where they were on another day. */
  names?: ReadonlyMap<number, string>;
  moved?: readonly Moved[];
  /** Where a cross-section is shown, m. */
  sectionX?: number;
  angler?: { readonly xM: number; readonly yM: number };
  swing?: SheetSwing | null;
  /** Another swing to compare with. */
  kept?: SheetSwing | null;
  /** Paths of the fly on casts already made, as [x, y] in metres. */
  covered?: readonly (readonly (readonly [number, number])[])[];
  /** Paths of casts that are planned, and holding water that has not been shown the fly. */
  planned?: readonly (readonly (readonly [number, number])[])[];
  /** Of another plan, to compare with. */
  other?: readonly (readonly (readonly [number, number])[])[];
  gaps?: readonly PlanPoint[];
  takes?: readonly PlanPoint[];
  /** Fish that did not take. */
  missed?: readonly PlanPoint[];
  handles?: readonly Handle[];
  /** Drag or tap on the sheet, in metres, with the handle that was taken hold of, if one was. */
  onPoint?: (p: { xM: number; yM: number }, handle: string | null) => void;
  /** Shade of the banks' trees. */
  shade?: Shade | null;
  /** The way on foot. */
  wade?: readonly PlanPoint[] | null;
  /** Depths on their contours, and what the symbols mean below. */
  explained?: boolean;
  /** A handle was taken hold of. */
  onHold?: (handle: string) => void;
  /** Two fingers draw apart or together: so many times as large, and where between them, m down the run, before and now. */
  onPinch?: (times: number, beforeM: number, nowM: number) => void;
  /** Tapped twice at a place, m down the run. */
  onDouble?: (xM: number) => void;
  /** The drag has ended. */
  onRelease?: () => void;
  /** Whether the key to the tints stands below; shown unless it is said not to be. */
  showKey?: boolean;
  /** Only a first look: what is drawn is pale, the words beside it are not. */
  pale?: boolean;
  summary: string;
}

/** Narrower sheets do without the banks' names. */
const NAMES_PX = 240;
/** Two taps within this are one, ms. */
const DOUBLE_MS = 300;
/** A thumb takes hold of what lies this near, px. */
const HOLD_PX = 24;

/** The run from above, flow down the screen. */
export function RunSheet(p: Props) {
  const t = useTheme();
  const [width, onLayout] = useWidth();
  const { channel, lies } = p.survey;
  const window: Window = useMemo(() => {
    const [nearM, farM] = p.across ?? acrossOf(channel);
    // As long as the water that is drawn: a run being entered may be longer by now.
    return { fromM: p.from ?? 0, toM: p.to ?? channel.x0 + (channel.nx - 1) * channel.dx, nearM, farM };
  }, [channel, p.from, p.to, p.across]);
  const at = useMemo(
    () => plane(p.run.bank, window, width || 1, p.height, p.stretch),
    [p.run.bank, window, width, p.height, p.stretch],
  );
  const placed = useMemo(() => badges(lies, at), [lies, at]);
  const badgesAt = useMemo(() => placed.map((l) => l.badge), [placed]);
  const frame = useMemo(
    () => (
      <>
        {width > NAMES_PX ? <BankNames at={at} theme={t} /> : null}
        <ScaleBar at={at} theme={t} units={p.units} numbers={badgesAt} />
      </>
    ),
    [width, at, t, p.units, badgesAt],
  );
  const chosen = p.chosen ?? null;
  const numbers = useMemo(
    () => <LieNumbers placed={placed} theme={t} chosen={chosen} names={p.names} />,
    [placed, t, chosen, p.names],
  );
  const grips = (p.handles ?? []).filter((h) => h.grip).map((h) => ({ id: h.id, at: at.px(h.xM, h.yM) }));
  const you = p.angler ? at.px(p.angler.xM, p.angler.yM) : null;
  const held = useRef<string | null>(null);
  const pixels = (s: DragPoint) => [s.x * at.width, s.y * at.height] as const;
  const move = (s: DragPoint) => p.onPoint?.(at.m(...pixels(s)), held.current);
  const tapped = useRef({ at: -Infinity, px: 0, py: 0 });
  const start = (s: DragPoint) => {
    const [px, py] = pixels(s);
    const now = performance.now();
    const { at: last, px: x, py: y } = tapped.current;
    const again = now - last < DOUBLE_MS && Math.hypot(x - px, y - py) < HOLD_PX;
    // A third tap begins anew.
    tapped.current = { at: again ? -Infinity : now, px, py };
    if (p.onDouble && again) return p.onDouble(at.m(px, py).xM);
    const near = (p.handles ?? [])
      .map((h) => ({ h, d: Math.hypot(at.px(h.xM, h.yM)[0] - px, at.px(h.xM, h.yM)[1] - py) }))
      .sort((a, b) => a.d - b.d)[0];
    held.current = near && near.d < HOLD_PX ? near.h.id : null;
    if (held.current) p.onHold?.(held.current);
    else move(s);
  };
  const downM = (s: DragPoint) => at.m(...pixels(s)).xM;
  const pinch =
    p.onPinch && ((times: number, was: DragPoint, is: DragPoint) => p.onPinch!(times, downM(was), downM(is)));
  const drag = useDrag(move, start, p.onRelease, pinch);
  const deepest = useMemo(() => channel.h.reduce((a, b) => Math.max(a, b), 0), [channel]);
  return (
    <View>
      <View
        onLayout={onLayout}
        role="img"
        aria-label={p.summary}
        style={[
          s.frame,
          { height: p.height, backgroundColor: t.sand },
          p.onPoint ? DRAGGED : null,
          p.pale ? PALE : null,
        ]}
        {...(p.onPoint ? drag : null)}
      >
        {width > 0 ? (
          <>
            <SheetStill
              survey={p.survey}
              features={p.run.features}
              placed={placed}
              chosen={chosen}
              covered={p.covered}
              planned={p.planned}
              other={p.other}
              gaps={p.gaps}
              shade={p.shade}
              wade={p.wade}
              explained={p.explained}
              sectionX={p.sectionX}
              units={p.units}
              window={window}
              at={at}
              theme={t}
            />
            <View style={LAYER}>
              <Svg width={width} height={p.height} pointerEvents="none">
                {p.kept ? <KeptPath swing={p.kept} at={at} theme={t} /> : null}
                {p.swing ? (
                  <SwingPath swing={p.swing} at={at} theme={t} taken={grips.map((g) => g.at)} numbers={badgesAt} />
                ) : null}
                {p.moved ? <Moves moves={p.moved} at={at} theme={t} /> : null}
                {numbers}
                {p.missed?.map((k, i) => {
                  const [x, y] = at.px(k.xM, k.yM);
                  return <Circle key={i} cx={x} cy={y} r={6} fill={t.flyHalo} stroke={t.fly} strokeWidth={2.5} />;
                })}
                {p.takes?.map((k, i) => {
                  const [x, y] = at.px(k.xM, k.yM);
                  return <Circle key={i} cx={x} cy={y} r={6} fill={t.fly} stroke={t.flyHalo} strokeWidth={2} />;
                })}
                {grips.map((g) => (
                  <Grip key={g.id} at={g.at} theme={t} text={g.id} width={at.width} clearOf={you} />
                ))}
                {p.angler ? <Angler at={at} theme={t} {...p.angler} /> : null}
                {frame}
                <FlowArrow at={at} theme={t} clearOf={you} />
              </Svg>
            </View>
          </>
        ) : null}
      </View>
      {p.showKey === false ? null : <DepthKey units={p.units} deepest={deepest} />}
      {p.explained ? <FeatureKey features={p.run.features} way={!!p.wade} shade={!!p.shade} /> : null}
    </View>
  );
}

const s = StyleSheet.create({ frame: { borderRadius: radius.m, overflow: 'hidden' } });
