import {
  CAST_ANGLE_DEG,
  type CastPlan,
  type Hands,
  handsOf,
  LONGEST_CAST_M,
  MOST_MEND_M,
  ownsTheRod,
  PRESENTATIONS,
  ROD_WAYS,
  shortestCast,
  wadeTo,
} from '../cast';
import type { FishLie } from '../lies';
import { checkRig, type WaterRules } from '../rules';
import { itemsOf, type KitItem, type Rig, rigBodies } from '../tackle';
import { format, type UnitSystem } from '../units';
import type { Channel } from '../water';
import type { Trial, Wanted } from './types';

/** From where the smallest changes are looked for, and with what. */
export interface ChangesRequest extends Wanted, Trial {
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
  /** Seconds that it costs with cold hands: an assumption (common practice, no source). What belongs to the next cast
   * anyway costs least, knots a minute and more, another head or rod most. */
  readonly costS: number;
  /** Every setting that can be tried, the smaller change first. */
  readonly settings: (q: ChangesRequest) => readonly Patch[];
  /** What to do, as one says it. */
  readonly words: (to: Trial, from: Trial, system: UnitSystem) => string;
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

const length = (m: number, system: UnitSystem) => format('line', Math.abs(m), system);

/** What can be changed, the cheaper at the river first. */
export const LEVERS = {
  angle: {
    costS: 0,
    settings: ({ plan }) =>
      around(plan.angleDeg, [5, 10, 15, 20, 25, 30, 40, 50], CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most).map(
        (angleDeg) => ({ plan: { angleDeg } }),
      ),
    words: (to, from) => {
      const by = to.plan.angleDeg - from.plan.angleDeg;
      return `cast ${Math.abs(by)}° further ${by > 0 ? 'upstream' : 'downstream'}`;
    },
  },
  rod: {
    costS: 0,
    settings: ({ plan }) => [
      ...(ownsTheRod(handsOf(plan)) ? [] : ROD_WAYS.filter((r) => r !== plan.rod).map((rod) => ({ plan: { rod } }))),
      { plan: { tipUnder: !plan.tipUnder } },
    ],
    words: ({ plan }, from) => {
      if (plan.tipUnder !== from.plan.tipUnder)
        return plan.tipUnder ? 'hold the rod tip under water' : 'lift the rod tip out of the water';
      return { still: 'hold the rod still', follow: 'follow the fly with the rod', lead: 'lead the fly with the rod' }[
        plan.rod
      ];
    },
  },
  count: {
    costS: 1,
    settings: (q) => handSettings(q, 'count', 'countS', [1, 2, 3, 4, 6, 8], 30),
    words: ({ plan }) => `begin at the count of ${Math.round(handsOf(plan).countS)}`,
  },
  mend: {
    costS: 2,
    settings: ({ plan }) =>
      around(plan.mendM, [0.5, 1, 1.5, 2, 3, 4], -MOST_MEND_M, MOST_MEND_M).map((mendM) => ({ plan: { mendM } })),
    words: ({ plan: { mendM } }, _from, system) =>
      mendM === 0 ? 'leave the mend out' : `mend ${length(mendM, system)} ${mendM > 0 ? 'upstream' : 'downstream'}`,
  },
  feed: {
    costS: 2,
    settings: (q) => handSettings(q, 'feed', 'feedM', [0.5, 1, 2, 3, 4], 6),
    words: ({ plan }, _from, system) => {
      const { feedM } = handsOf(plan);
      return feedM === 0 ? 'pay no line in' : `pay ${length(feedM, system)} of line into the drift`;
    },
  },
  walk: {
    costS: 3,
    settings: (q) =>
      wadeTo(q.channel, q.lies, q.plan.xM + 1.5) >= q.plan.yM - 0.5
        ? handSettings(q, 'walk', 'walkM', [0.75, 1.5, 2.25, 3], 4)
        : [],
    words: ({ plan }, _from, system) => {
      const { walkM } = handsOf(plan);
      return walkM === 0 ? 'stand while it sinks' : `step down ${length(walkM, system)} while it sinks`;
    },
  },
  length: {
    costS: 4,
    settings: ({ plan, rig }) =>
      around(plan.outM, [0.5, 1, 1.5, 2, 3, 4, 5], shortestCast(rig), LONGEST_CAST_M).map((outM) => ({
        plan: { outM },
      })),
    words: (to, from, system) => {
      const by = to.plan.outM - from.plan.outM;
      return `cast ${length(by, system)} ${by > 0 ? 'longer' : 'shorter'}`;
    },
  },
  stand: {
    costS: 10,
    settings: ({ plan, channel, lies, lengthM }) => [
      ...around(plan.xM, [0.5, 1, 2, 3, 4, 6, 8], 0, lengthM)
        .filter((xM) => plan.yM <= wadeTo(channel, lies, xM))
        .map((xM) => ({ plan: { xM } })),
      ...around(plan.yM, [0.5, 1, 2, 3], channel.edgeNear[0]!, wadeTo(channel, lies, plan.xM)).map((yM) => ({
        plan: { yM },
      })),
    ],
    words: (to, from, system) => {
      const down = to.plan.xM - from.plan.xM;
      const out = to.plan.yM - from.plan.yM;
      return down !== 0
        ? `stand ${length(down, system)} further ${down > 0 ? 'down' : 'up'}`
        : `stand ${length(out, system)} ${out > 0 ? 'further out' : 'nearer your bank'}`;
    },
  },
  shot: {
    costS: 60,
    settings: ({ rig }) =>
      [0, 2e-4, 4e-4, 8e-4]
        .filter((massKg) => massKg !== (rig.shot?.massKg ?? 0))
        .map((massKg) => ({
          rig: { shot: massKg > 0 ? { massKg, aboveFlyM: rig.shot?.aboveFlyM ?? 0 } : undefined },
        })),
    words: ({ rig: { shot } }) =>
      shot ? `pinch on ${(1000 * shot.massKg).toFixed(1)} g of shot` : 'take the shot off',
  },
  tip: {
    costS: 90,
    settings: ({ kit, rig }) =>
      instead([null, ...itemsOf(kit, 'tip')], rig.tip, (tip) => (tip ? tip.lengthM * tip.sinkRateMps : 0)).map(
        (tip) => ({ rig: { tip } }),
      ),
    words: ({ rig: { tip } }) => (tip ? `loop on ${tip.name}` : 'take the tip off'),
  },
  fly: {
    costS: 120,
    settings: ({ kit, rig }) =>
      instead(itemsOf(kit, 'fly'), rig.fly, (fly) => rigBodies({ ...rig, fly })[0]!.massInWaterKg).map((fly) => ({
        rig: { fly },
      })),
    words: ({ rig }) => `tie on ${rig.fly.name}`,
  },
  head: {
    costS: 300,
    settings: ({ kit, rig }) =>
      instead(itemsOf(kit, 'head'), rig.head, (head) => head.sinkRateMps).map((head) => ({ rig: { head } })),
    words: ({ rig }) => `change to ${rig.head.name}`,
  },
} as const satisfies Record<string, LeverRow>;
export type Lever = keyof typeof LEVERS;
export const LEVER_NAMES = Object.keys(LEVERS) as Lever[];

/** A trial with patches laid over it, the later over the earlier. */
export function patched(t: Trial, ...patches: readonly Patch[]): Trial {
  let { rig, plan } = t;
  for (const p of patches) {
    rig = { ...rig, ...p.rig };
    plan = { ...plan, ...p.plan, ...(p.hands ? { hands: { ...handsOf(plan), ...p.hands } } : null) };
  }
  return { rig, plan };
}

/** The settings of a lever that the water's rules allow; a breach that stands already is not held against them. */
export function legalSettings(lever: Lever, q: ChangesRequest): readonly Patch[] {
  const all: readonly Patch[] = LEVERS[lever].settings(q);
  const { rules } = q;
  if (!rules) return all;
  const before = new Set(checkRig(rules, q.rig).map((b) => b.rule));
  return all.filter((p) => !p.rig || checkRig(rules, { ...q.rig, ...p.rig }).every((b) => before.has(b.rule)));
}
