import { beyondMeans } from '../cast';
import { checkRig } from '../rules';
import {
  balanceOf,
  type Consequence,
  consequencesOf,
  hangAnother,
  FLOAT_ABOVE_M,
  floatCarriesKg,
  type HeadItem,
  headSinks,
  isMonoRig,
  itemsOf,
  type LeaderItem,
  leaderLengthM,
  type Rig,
  type RodItem,
  rigBodies,
  type TipItem,
} from '../tackle';
import type { JudgedFly } from './flies';
import type { Method } from './methods';
import type { Situation } from './situation';
import { fitsOf, leaderMerit, MOST_TIP, takesDown } from './fits';

/** A rig to try for a method, and how well its parts serve apart from where the fly goes. */
export interface Setup {
  readonly method: Method;
  readonly rig: Rig;
  /** Of the fly. */
  readonly merit: number;
  /** Of rod, line, tip and leader, how they balance, and how light they are, 0 to 1. */
  readonly fits: number;
}

/** What is wrong with how a rig is put together: it does not work, does not hold, or does not balance. */
export const amissIn = ({ wood }: Situation, rig: Rig): Consequence[] =>
  consequencesOf(rig, { wood }).filter(
    (c) => c.level === 'bad' || (c.level === 'care' && (c.of === 'strength' || c.of === 'balance')),
  );

/** Whether nothing is wrong with how a rig is put together that was not before. */
export function soundAfter(s: Situation, from: Rig): (rig: Rig) => boolean {
  const before = new Set(amissIn(s, from).map((c) => JSON.stringify(c)));
  return (rig) => amissIn(s, rig).every((c) => before.has(JSON.stringify(c)));
}

/** What tells rigs apart: what is tied on. */
export const rigKey = ({ rod, head, tip, leader, fly, droppers, shot, float }: Rig): string =>
  JSON.stringify([rod.id, head.id, tip?.id, leader.id, fly.id, droppers.map((d) => d.fly.id), shot, float?.item.id]);

const headClass = (head: HeadItem): string =>
  `${head.shape} ${headSinks(head) ? head.sinkRatesMps.map((r) => r.toFixed(3)).join(' ') : 'floats'}`;

/** Trout are not fished for with a two-hander for salmon-sized fish where there is a rod for one hand. */
export const suitsFish = (s: Situation, rod: RodItem): boolean =>
  s.migrant ||
  rod.hands === 1 ||
  rod.switch === true ||
  rod.lineNumber <= TROUT_LINE ||
  !itemsOf(s.kit, 'rod').some((r) => r.hands === 1);
/** Two-handers for trout end here. */
const TROUT_LINE = 5;

/** The best rod and line of each kind of line: by its shape, and how it floats or sinks. */
export function outfits(s: Situation, method: Method, flies: readonly JudgedFly[], most: number): Setup[] {
  const leaders = itemsOf(s.kit, 'leader').filter((l) => !l.nicked);
  const [first] = leaders;
  if (!first || flies.length === 0) return [];
  const all = itemsOf(s.kit, 'rod').flatMap((rod) =>
    itemsOf(s.kit, 'head').map((head) => {
      const rig: Rig = {
        rod,
        head,
        tip: null,
        leader: first,
        fly: flies[0]!.fly,
        droppers: [],
        lineClean: s.tiedOn?.lineClean ?? true,
      };
      return setupOf(s, method, { ...rig, leader: leaderFor(s, method, rig, leaders) ?? first }, flies[0]!.merit);
    }),
  );
  const able = leastBeyond(
    s,
    all.filter((o) => suitsFish(s, o.rig.rod)),
  );
  able.sort((a, b) => b.fits - a.fits);
  const kinds = new Map<string, Setup>();
  for (const o of able) if (!kinds.has(headClass(o.rig.head))) kinds.set(headClass(o.rig.head), o);
  return [...kinds.values()].slice(0, most);
}

/** Those that ask no more of the angler than they can do; where all do, those that ask least. */
function leastBeyond(s: Situation, all: readonly Setup[]): Setup[] {
  const by = all.map((o) => beyondMeans(s.means, o.rig, undefined, s.channel).length);
  const least = Math.min(...by);
  return all.filter((_, i) => by[i] === least);
}

/** The leader of the bag that suits a rig; a mono rig is one of its own (onMonoRig). */
export function leaderFor(s: Situation, method: Method, rig: Rig, leaders: readonly LeaderItem[]): LeaderItem | null {
  const fit = leaders.filter((leader) => !isMonoRig({ leader }));
  const by = (leader: LeaderItem) => leaderMerit(s, method, { ...rig, leader });
  return fit.sort((a, b) => by(b) - by(a))[0] ?? null;
}

/** Up a stream no deeper than this a tip comes back along the bed before it draws (common practice, no source), m. */
const THIN_M = 0.6;

/** No tip and the tips of the bag, from what takes down least; none to wake a fly or up thin water, light ones for soft hackles. */
export const tipsOf = (s: Situation, method: Method): (TipItem | null)[] => {
  const most = method === 'upstream' && s.depthM < THIN_M ? 0 : MOST_TIP[method];
  return [null, ...itemsOf(s.kit, 'tip')]
    .filter((t) => takesDown(t) <= most)
    .sort((a, b) => takesDown(a) - takesDown(b));
};

/** The rig under a float that carries its fly; null where the bag has none. */
export function underFloat(s: Situation, of: Setup): Setup | null {
  const loadKg = Math.max(0, rigBodies({ ...of.rig, droppers: [] })[0]!.massInWaterKg);
  const item = itemsOf(s.kit, 'float')
    .sort((a, b) => a.massKg - b.massKg)
    .find((f) => FLOATS_WITH * floatCarriesKg(f) >= loadKg);
  if (!item) return null;
  const aboveM = Math.min(FLOAT_ABOVE_M, 0.85 * s.depthM, 0.9 * leaderLengthM(of.rig.leader));
  return setupOf(s, of.method, { ...of.rig, tip: null, float: { item, aboveM } }, of.merit);
}
const FLOATS_WITH = 0.7;

/** The rig on the mono rig of the bag, which leads a drift; null where there is none, or it may not be fished so. */
export function onMonoRig(s: Situation, { method, rig, merit }: Setup): Setup | null {
  const leader = itemsOf(s.kit, 'leader').find((l) => !l.nicked && isMonoRig({ leader: l }));
  if (!leader) return null;
  const mono: Rig = { ...rig, tip: null, float: undefined, droppers: [], leader };
  const able = checkRig(s.rules, mono).length === 0 && beyondMeans(s.means, mono).length === 0;
  return able ? setupOf(s, method, mono, merit) : null;
}

/** A rig with another tip or fly, and the leader and second fly that go with it; null where it is not allowed or cannot be put
 * together. */
export function refitted(
  s: Situation,
  from: Setup,
  part: { readonly tip?: TipItem | null; readonly fly?: JudgedFly },
): Setup | null {
  const leaders = itemsOf(s.kit, 'leader').filter((l) => !l.nicked);
  const bare: Rig = {
    ...from.rig,
    droppers: [],
    ...(part.tip === undefined ? null : { tip: part.tip }),
    ...(part.fly ? { fly: part.fly.fly } : null),
  };
  const leader = leaderFor(s, from.method, bare, leaders);
  if (!leader) return null;
  const rig = { ...bare, leader };
  if (checkRig(s.rules, rig).length > 0 || !canBeCast(rig)) return null;
  if (beyondMeans(s.means, rig).length > beyondMeans(s.means, from.rig).length) return null;
  return setupOf(s, from.method, rig, part.fly?.merit ?? from.merit);
}

/** Whether line and tip can be cast together at all: a tip that drops before it turns over is not advised, nor a short head without
 * one. */
function canBeCast(rig: Rig): boolean {
  const { tipTooHeavy, tipTooLight } = balanceOf(rig);
  return !tipTooHeavy && !tipTooLight;
}

/** A rig for a method, with how well its parts serve. */
export const setupOf = (s: Situation, method: Method, rig: Rig, merit: number): Setup => ({
  ...{ method, rig, merit },
  fits: Object.values(fitsOf(s, method, rig)).reduce((product, by) => product * by, 1),
});

/** Methods that people fish with two flies. */
const PAIRED: readonly Method[] = ['soft hackles on the swing'];

/** The rig with a second fly above, where the method is fished so, the rules allow it and the bag has one; null elsewhere. */
export function withSecond(s: Situation, of: Setup, flies: readonly JudgedFly[]): Setup | null {
  // Where children or a beginner cast, a second hook is one too many (common practice, no source).
  const tangles = s.means.children || s.goal === 'action for a beginner';
  if (!PAIRED.includes(of.method) || tangles || (s.rules && s.rules.maxFlies < 2)) return null;
  const others = flies.filter((j) => j.fly.id !== of.rig.fly.id && j.merit > 0.4);
  const second = others.find((j) => j.fly.colour !== of.rig.fly.colour) ?? others[0];
  if (!second) return null;
  // With soft hackles the larger, brighter one hangs above (a school); else what is heavier goes to the point.
  const [above, point] = second.fly.lengthM > of.rig.fly.lengthM ? [second.fly, of.rig.fly] : [of.rig.fly, second.fly];
  const swap = s.school.twoFlies === 'heavier on the point';
  const rig = { ...of.rig, fly: swap ? above : point };
  const paired: Rig = { ...rig, droppers: [hangAnother(rig, swap ? point : above)] };
  return checkRig(s.rules, paired).length > 0 ? null : { ...of, rig: paired };
}
