import {
  ANY_MEANS,
  beyondMeans,
  CAST_ANGLE_DEG,
  type CastPlan,
  dipOf,
  DIPS_M,
  footing,
  type Hands,
  handsOf,
  knotFactor,
  longestCast,
  LONGEST_CAST_M,
  MOST_MEND_M,
  ownsTheRod,
  PRESENTATIONS,
  ROD_WAYS,
  shortestCast,
  TIP_WAYS,
} from '../cast';
import type { FishLie } from '../lies';
import { checkRig, type WaterRules } from '../rules';
import { itemsOf, type KitItem, leaderLengthM, type Rig, rigBodies, SHOT_ABOVE_M, shotsToHand } from '../tackle';
import { type Channel, rowAt } from '../water';
import type { Trial } from './types';

/** From where changes are looked for, and with what. */
export interface ChangesRequest extends Trial {
  /** Whose fish are to be shown the fly. */
  readonly lie: FishLie;
  readonly channel: Channel;
  readonly lengthM: number;
  /** All lies: nobody is sent to stand on one. */
  readonly lies: readonly FishLie[];
  /** What could be tied on instead. */
  readonly kit: readonly KitItem[];
  readonly rules: WaterRules | null;
}

/** One setting of a lever, as what it replaces. */
export interface Patch {
  readonly plan?: Partial<CastPlan>;
  readonly hands?: Partial<Hands>;
  readonly rig?: Partial<Rig>;
}

/** Something that can be changed at the river. */
interface LeverRow {
  /** What it sets, to tell whether it has been moved. */
  readonly of: (t: Trial) => unknown;
  /** Seconds that it costs with cold hands: an assumption (common practice, no source). What belongs to the next cast
   * anyway costs least and grows with its amount, knots a minute and more, another head or rod most. */
  readonly costS: (to: Trial, from: Trial) => number;
  /** Every setting that can be tried, the smaller change first. */
  readonly settings: (q: ChangesRequest) => readonly Patch[];
}

/** Values up and down from `at`, nearest first. */
const around = (at: number, steps: readonly number[], least: number, most: number) =>
  steps
    .flatMap((s) => [at + s, at - s])
    .map((v) => Math.round(100 * v) / 100)
    .filter((v) => v >= least && v <= most);

/** Settings of something that hands or feet do, where the way of showing the fly asks for it. */
const handSettings = (
  q: ChangesRequest,
  set: (typeof PRESENTATIONS)[Hands['way']]['sets'][number],
  key: 'countS' | 'feedM' | 'walkM',
  steps: readonly number[],
  most: number,
): Patch[] => {
  const hands = handsOf(q.plan);
  return PRESENTATIONS[hands.way].sets.includes(set)
    ? around(hands[key], steps, 0, most).map((v) => ({ hands: { [key]: v } }))
    : [];
};

/** What one owns instead of what is on, the likest first. */
const instead = <T extends { readonly id: string } | null>(all: readonly T[], now: T, of: (item: T) => number): T[] =>
  all.filter((item) => item?.id !== now?.id).sort((a, b) => Math.abs(of(a) - of(now)) - Math.abs(of(b) - of(now)));

/** Who is moved by no more than this stands where he was, m. */
const SAME_FEET_M = 0.05;

/** A few degrees belong to the next cast; half a right angle is another cast, and another place to stand. */
const angleCostS = (byDeg: number): number => (byDeg <= 5 ? 0 : (byDeg / 10) ** 2);

/** What can be changed, the cheaper at the river first. */
export const LEVERS = {
  angle: {
    of: ({ plan }) => plan.angleDeg,
    costS: (to, from) => angleCostS(Math.abs(to.plan.angleDeg - from.plan.angleDeg)),
    settings: ({ plan }) =>
      around(plan.angleDeg, [5, 10, 15, 20, 25, 30, 40, 50], CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most).map(
        (angleDeg) => ({ plan: { angleDeg } }),
      ),
  },
  rod: {
    of: ({ plan }) => [plan.rod, dipOf(plan), plan.tip ?? null],
    costS: () => 0,
    settings: ({ plan }) => [
      ...(ownsTheRod(handsOf(plan)) ? [] : ROD_WAYS.filter((r) => r !== plan.rod).map((rod) => ({ plan: { rod } }))),
      { plan: { tipUnder: !plan.tipUnder, tip: undefined } },
      ...(plan.tipUnder ? DIPS_M.filter((m) => m !== dipOf(plan)).map((tipUnderM) => ({ plan: { tipUnderM } })) : []),
      ...[undefined, ...TIP_WAYS].filter((tip) => tip !== plan.tip).map((tip) => ({ plan: { tip, tipUnder: false } })),
    ],
  },
  count: {
    of: ({ plan }) => handsOf(plan).countS,
    costS: () => 1,
    settings: (q) => handSettings(q, 'count', 'countS', [1, 2, 3, 4, 6, 8], 30),
  },
  mend: {
    of: ({ plan }) => plan.mendM,
    costS: (to, from) => 1 + Math.abs(to.plan.mendM - from.plan.mendM),
    settings: ({ plan }) =>
      around(plan.mendM, [0.5, 1, 1.5, 2, 3, 4], -MOST_MEND_M, MOST_MEND_M).map((mendM) => ({ plan: { mendM } })),
  },
  feed: {
    of: ({ plan }) => handsOf(plan).feedM,
    costS: () => 2,
    settings: (q) => handSettings(q, 'feed', 'feedM', [0.5, 1, 2, 3, 4], 6),
  },
  walk: {
    of: ({ plan }) => handsOf(plan).walkM,
    costS: () => 3,
    settings: (q) =>
      footing(q.channel, q.lies, q.plan.xM + 1.5, q.plan.yM, q.means) >= q.plan.yM - 0.5
        ? handSettings(q, 'walk', 'walkM', [0.75, 1.5, 2.25, 3, 4.5, 6], 8)
        : [],
  },
  length: {
    of: ({ plan }) => plan.outM,
    costS: (to, from) => 2 * Math.abs(to.plan.outM - from.plan.outM),
    settings: ({ plan, rig, means }) =>
      around(
        plan.outM,
        [0.5, 1, 1.5, 2, 3, 4, 5, 6, 8, 10],
        shortestCast(rig),
        means ? Math.max(plan.outM, longestCast(means, rig)) : LONGEST_CAST_M,
      ).map((outM) => ({
        plan: { outM },
      })),
  },
  stand: {
    of: ({ plan }) => [plan.xM, plan.yM],
    costS: (to, from) => 5 + 3 * Math.hypot(to.plan.xM - from.plan.xM, to.plan.yM - from.plan.yM),
    settings: ({ plan, channel, lies, lengthM, means }) => [
      ...around(plan.xM, [0.5, 1, 2, 3, 4, 6, 8], 0, lengthM)
        .filter((xM) => footing(channel, lies, xM, plan.yM, means) >= plan.yM - SAME_FEET_M)
        .map((xM) => ({ plan: { xM } })),
      ...around(plan.yM, [0.5, 1, 2, 3], channel.y0, channel.edgeFar[rowAt(channel, plan.xM)]!)
        .map((yM) => footing(channel, lies, plan.xM, yM, means))
        .filter((yM, i, all) => Math.abs(yM - plan.yM) > SAME_FEET_M && all.indexOf(yM) === i)
        .map((yM) => ({ plan: { yM } })),
    ],
  },
  'other rod': {
    of: ({ rig }) => rig.rod.id,
    costS: () => 20,
    settings: ({ rig, rigged }) => (rigged ?? []).filter((r) => r.rod.id !== rig.rod.id).map((r) => ({ rig: only(r) })),
  },
  shot: {
    of: ({ rig }) => rig.shot?.massKg ?? 0,
    costS: () => 60,
    settings: ({ rig, kit }) =>
      [0, ...shotsToHand(kit)]
        .filter((massKg) => massKg !== (rig.shot?.massKg ?? 0))
        .map((massKg) => ({
          rig: { shot: massKg > 0 ? { massKg, aboveFlyM: rig.shot?.aboveFlyM ?? SHOT_ABOVE_M } : undefined },
        })),
  },
  dropper: {
    of: ({ rig }) => rig.droppers.map((d) => [d.fly.id, d.aboveM]),
    costS: () => 30,
    settings: ({ rig }) => (rig.droppers.length > 0 ? [{ rig: { droppers: [] } }] : []),
  },
  tip: {
    of: ({ rig }) => rig.tip?.id ?? null,
    costS: () => 90,
    settings: ({ kit, rig }) =>
      instead([null, ...itemsOf(kit, 'tip')], rig.tip, (tip) => (tip ? tip.lengthM * tip.sinkRateMps : 0)).map(
        (tip) => ({ rig: { tip } }),
      ),
  },
  fly: {
    of: ({ rig }) => rig.fly.id,
    costS: () => 120,
    settings: ({ kit, rig }) =>
      instead(itemsOf(kit, 'fly'), rig.fly, (fly) => rigBodies({ ...rig, fly })[0]!.massInWaterKg).map((fly) => ({
        rig: { fly },
      })),
  },
  leader: {
    of: ({ rig }) => rig.leader.id,
    costS: () => 150,
    settings: ({ kit, rig }) =>
      instead(itemsOf(kit, 'leader'), rig.leader, leaderLengthM)
        .filter((leader) => !leader.nicked && rig.droppers.every((d) => d.aboveM < leaderLengthM(leader)))
        .map((leader) => ({ rig: { leader } })),
  },
  head: {
    of: ({ rig }) => rig.head.id,
    costS: () => 300,
    settings: ({ kit, rig }) =>
      instead(itemsOf(kit, 'head'), rig.head, (head) => head.sinkRatesMps.at(-1)!).map((head) => ({ rig: { head } })),
  },
} as const satisfies Record<string, LeverRow>;
export type Lever = keyof typeof LEVERS;
export const LEVER_NAMES = Object.keys(LEVERS) as Lever[];

/** A whole rig as what it puts in place of another: nothing of that is left. */
const only = (rig: Rig): Partial<Rig> => ({ running: undefined, shot: undefined, float: undefined, ...rig });

/** What is on a rod, not the rod: it comes along when another rod is taken up. */
const ON_THE_ROD: readonly Lever[] = ['shot', 'dropper', 'tip', 'fly', 'leader', 'head'];
/** What asks for knots. */
const KNOTS: readonly Lever[] = ['dropper', 'fly', 'leader'];

/** A trial with patches laid over it, the later over the earlier. */
export function patched(t: Trial, ...patches: readonly Patch[]): Trial {
  let { rig, plan } = t;
  for (const p of patches) {
    rig = { ...rig, ...p.rig };
    plan = { ...plan, ...p.plan, ...(p.hands ? { hands: { ...handsOf(plan), ...p.hands } } : null) };
  }
  return { ...t, rig, plan };
}

const isLegal = (rules: WaterRules | null, rig: Rig): boolean => checkRig(rules, rig).length === 0;

/** The settings of a lever that the water's rules allow and that ask no more of the angler than what is on does. */
export function possibleSettings(lever: Lever, q: ChangesRequest): readonly Patch[] {
  const means = q.means ?? ANY_MEANS;
  const beyond = (t: Trial) => beyondMeans(means, t.rig).length;
  const most = beyond(q);
  return (LEVERS[lever].settings(q) as readonly Patch[]).filter(
    (p) => !p.rig || (isLegal(q.rules, { ...q.rig, ...p.rig }) && beyond(patched(q, p)) <= most),
  );
}

/** The levers that have been moved: with another rod only what on it is not as it stood ready. */
export function leversBetween(from: Trial, to: Trial): Lever[] {
  const ready = from.rig.rod.id === to.rig.rod.id ? undefined : from.rigged?.find((r) => r.rod.id === to.rig.rod.id);
  const moved = (l: Lever) => {
    const base = ready && ON_THE_ROD.includes(l) ? { ...from, rig: ready } : from;
    return JSON.stringify(LEVERS[l].of(to)) !== JSON.stringify(LEVERS[l].of(base));
  };
  return LEVER_NAMES.filter(moved);
}

/** What it costs to go from one to the other, s; knots take longer without good eyes. */
export const costBetween = (from: Trial, to: Trial): number =>
  leversBetween(from, to).reduce(
    (sum, l) => sum + LEVERS[l].costS(to, from) * (KNOTS.includes(l) ? knotFactor(from.means ?? ANY_MEANS) : 1),
    0,
  );

/** The rig that the rules allow at the least cost: the same one where it breaks none; null when the kit has none. */
export function legalRig(q: ChangesRequest): Rig | null {
  const flies = [
    q.rig.fly,
    ...instead(itemsOf(q.kit, 'fly'), q.rig.fly, (fly) => rigBodies({ ...q.rig, fly })[0]!.massInWaterKg),
  ];
  const all = flies.flatMap((fly) =>
    [q.rig.droppers, []].flatMap((droppers) =>
      [q.rig.shot, undefined].map((shot): Rig => ({ ...q.rig, fly, droppers, shot })),
    ),
  );
  all.push(...(q.rigged ?? []));
  const cost = (rig: Rig) => costBetween(q, { rig, plan: q.plan });
  return all.filter((rig) => isLegal(q.rules, rig)).sort((a, b) => cost(a) - cost(b))[0] ?? null;
}
