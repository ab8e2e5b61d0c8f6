import { describeFly, profileOf } from './flies';
import { isWeighted, isWetFly } from './families';
import {
  type FloatItem,
  type FlyItem,
  type HeadItem,
  itemOf,
  type KitItem,
  type LeaderItem,
  type RodItem,
  type RunningItem,
  type TipItem,
} from './kit';
import { leaderLengthM } from './leader';
import { roundTo } from '../maths/bounds';

/** Two schools place it: at the fly's head (0), or so far above it, 6 to 8 in (common practice, no source), m. */
export const SHOT_ABOVE_M = 0.18;
export interface Shot {
  readonly massKg: number;
  readonly aboveFlyM: number;
}

export const TIE_WAYS = ['tag', 'ring', 'bend', 'loop'] as const;
/** How a second fly hangs: on the long tag of a surgeon's join, on a piece from a tippet ring, in line from the bend of the
 * hook above, on a loop that slides above a stop knot. */
export type TieWay = (typeof TIE_WAYS)[number];

/** A fly above (or, from the bend, before) the point fly. */
export interface Dropper {
  readonly fly: FlyItem;
  readonly way: TieWay;
  /** Along the leader above the point fly, m. */
  readonly aboveM: number;
  /** Length of what it hangs on, m; 0 in line. */
  readonly armM: number;
}

/** A float on the leader. */
export interface SetFloat {
  readonly item: FloatItem;
  /** Along the leader above the point fly, m: how deep the fly hangs at the most. */
  readonly aboveM: number;
}

/** What is tied on. Whole items, not references: the log must not change when the kit does. */
export interface Rig {
  readonly rod: RodItem;
  readonly head: HeadItem;
  /** Not said: a plain floating one. */
  readonly running?: RunningItem;
  readonly tip: TipItem | null;
  readonly leader: LeaderItem;
  /** On the point. */
  readonly fly: FlyItem;
  /** The others, from the point upwards. */
  readonly droppers: readonly Dropper[];
  /** Split shot on the leader. */
  readonly shot?: Shot;
  readonly float?: SetFloat;
  /** Clean floats by surface tension, dirty does not (see docs/swing.md). */
  readonly lineClean: boolean;
}

/** All flies of a rig, the point fly first. */
export const fliesOf = (rig: Pick<Rig, 'fly' | 'droppers'>): FlyItem[] => [rig.fly, ...rig.droppers.map((d) => d.fly)];

/** Some of the line itself sinks. */
export const headSinks = ({ sinkRatesMps }: Pick<HeadItem, 'sinkRatesMps'>): boolean => sinkRatesMps.some((r) => r > 0);

/** The line next to the leader sinks. */
export const endSinks = ({ tip, head }: Pick<Rig, 'tip' | 'head'>): boolean =>
  (tip ? tip.sinkRateMps : head.sinkRatesMps.at(-1)!) > 0;

/** Shot is on, or a weighted fly. */
export const isHeavy = (rig: Rig): boolean => rig.shot !== undefined || fliesOf(rig).some(isWeighted);

/** How one calls a fly of a rig by its place. @example placeName(rig, 1) // 'dropper' */
export const placeName = (rig: Pick<Rig, 'droppers'>, place: number): string =>
  place === 0 ? 'point fly' : rig.droppers.length === 1 ? 'dropper' : place === 1 ? 'middle fly' : 'top fly';

interface DropperChoice extends Omit<Dropper, 'fly'> {
  readonly flyId: string;
}

/** A rig as choices from the kit; empty strings are not chosen yet. */
export interface RigChoice {
  readonly rodId: string;
  readonly headId: string;
  /** Empty: a plain floating one. */
  readonly runningId: string;
  readonly tipId: string;
  readonly leaderId: string;
  readonly flyId: string;
  readonly droppers: readonly DropperChoice[];
  /** Split shot, kg; not said: none. */
  readonly shotKg?: number;
  /** How far above the fly it is pinched on, m; not said: at the fly's head. */
  readonly shotAboveM?: number;
  readonly floatId: string;
  /** How far above the point fly the float sits, m; not said: FLOAT_ABOVE_M. */
  readonly floatAboveM?: number;
  readonly lineClean: boolean;
}

export const NO_RIG: RigChoice = {
  rodId: '',
  headId: '',
  runningId: '',
  tipId: '',
  leaderId: '',
  flyId: '',
  droppers: [],
  floatId: '',
  lineClean: true,
};

/** Another rod taken up: what was in hand stands ready in its place. */
export const takenUp = (
  inHand: RigChoice,
  ready: readonly RigChoice[],
  next: RigChoice,
): { readonly rig: RigChoice; readonly rigged: readonly RigChoice[] } => ({
  rig: next,
  rigged: ready.map((c) => (c.rodId === next.rodId ? inHand : c)),
});

/** Under a float: 2 to 4 ft (common practice, no source). */
export const FLOAT_ABOVE_M = 0.9;

/** The whole items behind a choice; null while something is not chosen. A second fly that the kit has no more is left out. */
export function rigOf(kit: readonly KitItem[], c: RigChoice): Rig | null {
  const rod = itemOf(kit, 'rod', c.rodId);
  const head = itemOf(kit, 'head', c.headId);
  const leader = itemOf(kit, 'leader', c.leaderId);
  const fly = itemOf(kit, 'fly', c.flyId);
  if (!rod || !head || !leader || !fly) return null;
  const running = itemOf(kit, 'running', c.runningId);
  const float = itemOf(kit, 'float', c.floatId);
  return {
    rod,
    head,
    ...(running ? { running } : null),
    leader,
    fly,
    tip: itemOf(kit, 'tip', c.tipId),
    droppers: c.droppers.flatMap(({ flyId, ...hung }) => {
      const of = itemOf(kit, 'fly', flyId);
      return of ? [{ ...hung, fly: of }] : [];
    }),
    lineClean: c.lineClean,
    ...(c.shotKg ? { shot: { massKg: c.shotKg, aboveFlyM: c.shotAboveM ?? 0 } } : null),
    ...(float ? { float: { item: float, aboveM: c.floatAboveM ?? FLOAT_ABOVE_M } } : null),
  };
}

/** The choice behind a rig: rigOf gives it back, where the kit has its parts. */
export const choiceOf = (rig: Rig): RigChoice => ({
  rodId: rig.rod.id,
  headId: rig.head.id,
  runningId: rig.running?.id ?? '',
  tipId: rig.tip?.id ?? '',
  leaderId: rig.leader.id,
  flyId: rig.fly.id,
  droppers: rig.droppers.map(({ fly, ...hung }) => ({ ...hung, flyId: fly.id })),
  floatId: rig.float?.item.id ?? '',
  ...(rig.float ? { floatAboveM: rig.float.aboveM } : null),
  lineClean: rig.lineClean,
  ...(rig.shot ? { shotKg: rig.shot.massKg, shotAboveM: rig.shot.aboveFlyM } : null),
});

/** Spacing of two flies, m: streamers 15 to 20 in, soft hackles 3 to 4 ft, under a float 12 to 18 in; arm 6 to 8 in (common
 * practice, no source). */
export const SPACING_M = { streamers: 0.45, wets: 1.05, 'under a float': 0.38, arm: 0.18 } as const;

/** No second fly is hung nearer to the line than this share of the leader. */
const HIGHEST = 0.85;

/** What two flies are, for how far apart they are hung. */
export const spacingOf = (rig: Pick<Rig, 'fly' | 'float'>, fly: FlyItem): Exclude<keyof typeof SPACING_M, 'arm'> =>
  rig.float ? 'under a float' : isWetFly(fly) && isWetFly(rig.fly) ? 'wets' : 'streamers';

type Hung = Pick<Rig, 'fly' | 'droppers' | 'leader' | 'float'>;
/** Where a fly usually hangs above another, on this leader, m. */
const usualM = (rig: Hung, fly: FlyItem, belowM: number): number =>
  roundTo(100, Math.min(belowM + SPACING_M[spacingOf(rig, fly)], HIGHEST * leaderLengthM(rig.leader)));

/** Where and how another fly is hung on a rig unless one says otherwise. */
export function hangAnother(rig: Hung, fly: FlyItem): Dropper {
  return { fly, way: 'ring', aboveM: usualM(rig, fly, rig.droppers.at(-1)?.aboveM ?? 0), armM: SPACING_M.arm };
}

/** A rig with other flies in the places of those before: what hung as is usual for the kind hangs as is usual for its kind now, what was
 * set otherwise stays. */
export function hungAnew(before: Hung, after: Rig): Rig {
  let [was, is] = [0, 0];
  const droppers = after.droppers.map((d, i) => {
    const old = before.droppers[i];
    const usual = old && Math.abs(old.aboveM - usualM(before, old.fly, was)) < NEARLY_M;
    const aboveM = usual ? usualM(after, d.fly, is) : d.aboveM;
    [was, is] = [old?.aboveM ?? d.aboveM, aboveM];
    return { ...d, aboveM };
  });
  return { ...after, droppers };
}
const NEARLY_M = 0.02;

/** The same of a rig as choices from the kit. */
export function chosenAnew(kit: readonly KitItem[], before: RigChoice, after: RigChoice): RigChoice {
  const [was, is] = [rigOf(kit, before), rigOf(kit, after)];
  return was && is ? { ...after, droppers: choiceOf(hungAnew(was, is)).droppers } : after;
}

/** A leader so long that hardly any line leaves the rod, m: a mono rig. */
const MONO_RIG_M = 4;
export const isMonoRig = ({ leader }: Pick<Rig, 'leader'>): boolean => leaderLengthM(leader) >= MONO_RIG_M;

/** A rig in one line. @example describeRig(rig) // 'black rabbit strip on 10 ft fast' */
export function describeRig(rig: Rig): string {
  const flies = fliesOf(rig).map(describeFly).join(' + ');
  if (rig.float) return `${flies} under a float`;
  if (rig.tip) return `${flies} on ${rig.tip.name}`;
  if (isMonoRig(rig)) return `${flies} on a mono rig`;
  return headSinks(rig.head) ? `${flies} on ${rig.head.name}` : `${flies} · no tip`;
}

/** Larger and heavier flies first: which of two turns over which. */
export const heft = (fly: FlyItem): number => fly.lengthM * (profileOf(fly) === 'sparse' ? 0.5 : 1);
