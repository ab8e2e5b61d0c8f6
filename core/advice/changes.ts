import type { FishLie } from '../lies';
import { checkRig, type WaterRules } from '../rules';
import { NUMERICS } from '../swing';
import { rigBodies, type KitItem, type Rig } from '../tackle';
import type { Channel } from '../water';
import { CAST_ANGLE_DEG, LONGEST_CAST_M, MOST_MEND_M, ROD_WAYS, type CastPlan, type Hands } from './plan';
import { handsOf, ownsTheRod, PRESENTATIONS } from './presentation';
import { byMiss, type Tried, type Wanted } from './rank';
import { shortestCast, wadeTo } from './stand';
import { tryOut } from './trial';

/** What can be changed, the cheaper at the river first. */
export const LEVERS = [
  'angle',
  'rod',
  'count',
  'mend',
  'feed',
  'walk',
  'length',
  'stand',
  'shot',
  'tip',
  'fly',
  'head',
] as const;
export type Lever = (typeof LEVERS)[number];

/** Seconds that a change costs at the river with cold hands: an assumption (common practice, no source). What belongs
 * to the next cast anyway costs least, knots a minute and more, another head or rod most. */
export const COST_S: Record<Lever, number> = {
  angle: 0,
  rod: 0,
  count: 1,
  mend: 2,
  feed: 2,
  walk: 3,
  length: 4,
  stand: 10,
  shot: 60,
  tip: 90,
  fly: 120,
  head: 300,
};

export interface Change extends Tried {
  /** What is changed; two levers where none alone does it. */
  readonly levers: readonly Lever[];
  readonly costS: number;
  /** The fly passes as wanted. */
  readonly does: boolean;
}

export interface ChangesRequest extends Wanted {
  readonly channel: Channel;
  readonly lengthM: number;
  /** All lies: nobody is sent to stand on one. */
  readonly lies: readonly FishLie[];
  readonly rig: Rig;
  readonly plan: CastPlan;
  /** What could be tied on instead. */
  readonly kit: readonly KitItem[];
  readonly rules: WaterRules | null;
}

export interface Changes {
  /** How the fly passes now; null when the cast cannot be made. */
  readonly now: Tried | null;
  /** What does it, the cheapest first; then what only helps, the best first. */
  readonly changes: readonly Change[];
}

interface Patch {
  readonly plan?: Partial<CastPlan>;
  readonly hands?: Partial<Hands>;
  readonly rig?: Partial<Rig>;
}

const patched = (rig: Rig, plan: CastPlan, ...patches: Patch[]) => {
  let out = { rig, plan };
  for (const p of patches)
    out = {
      rig: { ...out.rig, ...p.rig },
      plan: { ...out.plan, ...p.plan, ...(p.hands ? { hands: { ...handsOf(out.plan), ...p.hands } } : null) },
    };
  return out;
};

/** Every setting of a lever that can be tried, the smaller change first. */
function patchesOf(lever: Lever, q: ChangesRequest): Patch[] {
  const { plan, rig, channel } = q;
  const hands = handsOf(plan);
  const { sets } = PRESENTATIONS[hands.way];
  /** Values up and down from `at`, nearest first. */
  const around = (at: number, steps: readonly number[], least: number, most: number) =>
    steps
      .flatMap((s) => [at + s, at - s])
      .map((v) => Math.round(100 * v) / 100)
      .filter((v) => v >= least && v <= most);
  switch (lever) {
    case 'angle':
      return around(plan.angleDeg, [5, 10, 15, 20, 25, 30, 40, 50], CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most).map(
        (angleDeg) => ({ plan: { angleDeg } }),
      );
    case 'rod':
      return [
        ...(ownsTheRod(hands) ? [] : ROD_WAYS.filter((r) => r !== plan.rod).map((rod) => ({ plan: { rod } }))),
        { plan: { tipUnder: !plan.tipUnder } },
      ];
    case 'count':
      return sets.includes('count')
        ? around(hands.countS, [1, 2, 3, 4, 6, 8], 0, 30).map((countS) => ({ hands: { countS } }))
        : [];
    case 'mend':
      return around(plan.mendM, [0.5, 1, 1.5, 2, 3, 4], -MOST_MEND_M, MOST_MEND_M).map((mendM) => ({
        plan: { mendM },
      }));
    case 'feed':
      return sets.includes('feed')
        ? around(hands.feedM, [0.5, 1, 2, 3, 4], 0, 6).map((feedM) => ({ hands: { feedM } }))
        : [];
    case 'walk':
      return sets.includes('walk') && wadeTo(channel, q.lies, plan.xM + 1.5) >= plan.yM - 0.5
        ? around(hands.walkM, [0.75, 1.5, 2.25, 3], 0, 4).map((walkM) => ({ hands: { walkM } }))
        : [];
    case 'length':
      return around(plan.outM, [0.5, 1, 1.5, 2, 3, 4, 5], shortestCast(rig), LONGEST_CAST_M).map((outM) => ({
        plan: { outM },
      }));
    case 'stand':
      return [
        ...around(plan.xM, [0.5, 1, 2, 3, 4, 6, 8], 0, q.lengthM)
          .filter((xM) => plan.yM <= wadeTo(channel, q.lies, xM))
          .map((xM) => ({ plan: { xM } })),
        ...around(plan.yM, [0.5, 1, 2, 3], channel.edgeNear[0]!, wadeTo(channel, q.lies, plan.xM)).map((yM) => ({
          plan: { yM },
        })),
      ];
    case 'shot':
      return [0, 2e-4, 4e-4, 8e-4]
        .filter((massKg) => massKg !== (rig.shot?.massKg ?? 0))
        .map((massKg) => ({
          rig: { shot: massKg > 0 ? { massKg, aboveFlyM: rig.shot?.aboveFlyM ?? 0 } : undefined },
        }));
    case 'tip':
      return [null, ...owned(q.kit, 'tip')]
        .filter((tip) => tip?.id !== rig.tip?.id)
        .sort(nearest((tip) => (tip ? tip.lengthM * tip.sinkRateMps : 0), rig.tip))
        .map((tip) => ({ rig: { tip } }));
    case 'fly':
      return owned(q.kit, 'fly')
        .filter((fly) => fly.id !== rig.fly.id)
        .sort(nearest((fly) => rigBodies({ ...rig, fly })[0]!.massInWaterKg, rig.fly))
        .map((fly) => ({ rig: { fly } }));
    case 'head':
      return owned(q.kit, 'head')
        .filter((head) => head.id !== rig.head.id)
        .sort(nearest((head) => head.sinkRateMps, rig.head))
        .map((head) => ({ rig: { head } }));
  }
}

const owned = <T extends KitItem['type']>(kit: readonly KitItem[], type: T) =>
  kit.filter((k): k is Extract<KitItem, { type: T }> => k.type === type);

const nearest =
  <T>(of: (item: T) => number, to: T) =>
  (a: T, b: T) =>
    Math.abs(of(a) - of(to)) - Math.abs(of(b) - of(to));

/** Of each lever so many settings are tried in pairs, so many pairs in all, and so many that do it are enough. */
const SETTINGS = 5;
const MOST_PAIRS = 500;
const ENOUGH = 3;
/** At most so many levers are moved together. */
const MOST_LEVERS = 5;
/** How the progress is shared out. */
const SHARES = { alone: 0.5, pairs: 0.25, several: 0.25 } as const;
/** A lever that gains less is not worth a word. */
const LEAST_HELP = 0.1;
/** Two levers are tried together when their gains alone add up to this share of what is missing. */
const TOGETHER = 0.7;

/** A lever and what its settings do alone, the better first. */
interface Alone {
  readonly lever: Lever;
  readonly settings: readonly { readonly patch: Patch; readonly tried: Tried }[];
}

/**
 * The smallest changes that put the fly before a lie as wanted, by search over the engine.
 *
 * Each lever alone, from the smallest change on, in full; where none alone does it, two together, the cheapest pairs
 * first (coarse, what looks right again in full); where no pair does, one after the other, each time the step that
 * gains most. A lever that does not do it is given at the setting that comes
 * nearest. Rigs that the water's rules forbid, and places too deep to wade or upon a lie, are left out.
 *
 * @yields the share done, 0 to 1
 */
export function* changesFor(q: ChangesRequest): Generator<number, Changes, undefined> {
  const { channel, rig, plan } = q;
  const now = tryOut(channel, q, { rig, plan }, NUMERICS.full);
  if (now?.miss === 0) return { now, changes: [] };
  const before = new Set(q.rules ? checkRig(q.rules, rig).map((b) => b.rule) : []);
  const legal = (r: Rig) => !q.rules || checkRig(q.rules, r).every((b) => before.has(b.rule));
  const levers = LEVERS.map((lever) => ({
    lever,
    patches: patchesOf(lever, q).filter((p) => !p.rig || legal(patched(rig, plan, p).rig)),
  }));
  const whole = levers.reduce((n, l) => n + l.patches.length, 0);
  const alone: Alone[] = [];
  let done = 0;
  for (const { lever, patches } of levers) {
    const settings: { patch: Patch; tried: Tried }[] = [];
    for (const [i, patch] of patches.entries()) {
      yield (SHARES.alone * (done + i)) / whole;
      const tried = tryOut(channel, q, patched(rig, plan, patch), NUMERICS.full);
      if (tried) settings.push({ patch, tried });
      if (tried?.miss === 0) break;
    }
    done += patches.length;
    settings.sort((a, b) => byMiss(a.tried, b.tried));
    if (settings.length > 0) alone.push({ lever, settings });
  }
  const missNow = now?.miss ?? Infinity;
  const changes = alone
    .map(({ lever, settings: [best] }) => changeOf([lever], best!.tried))
    .filter((c) => c.does || c.miss < missNow - LEAST_HELP);
  if (!changes.some((c) => c.does)) changes.push(...(yield* pairs(q, missNow, alone)));
  if (!changes.some((c) => c.does)) changes.push(...(yield* several(q, legal)));
  changes.sort((a, b) => Number(b.does) - Number(a.does) || (a.does ? a.costS - b.costS : 0) || byMiss(a, b));
  return { now, changes };
}

const changeOf = (levers: readonly Lever[], tried: Tried): Change => ({
  ...tried,
  levers,
  costS: levers.reduce((sum, l) => sum + COST_S[l], 0),
  does: tried.miss === 0,
});

/** Pairs of levers that do it together, the cheapest first. */
function* pairs(q: ChangesRequest, missNow: number, alone: readonly Alone[]): Generator<number, Change[], undefined> {
  const gain = (l: Alone) => (missNow === Infinity ? missNow : Math.max(0, missNow - l.settings[0]!.tried.miss));
  const all = alone
    .flatMap((a, i) => alone.slice(i + 1).map((b) => [a, b] as const))
    .filter(([a, b]) => gain(a) + gain(b) >= TOGETHER * missNow)
    .sort(([a, b], [c, d]) => COST_S[a.lever] + COST_S[b.lever] - COST_S[c.lever] - COST_S[d.lever]);
  const out: Change[] = [];
  let tries = 0;
  for (const [a, b] of all) {
    const promising: Tried[] = [];
    for (const { patch: pa } of a.settings.slice(0, SETTINGS))
      for (const { patch: pb } of b.settings.slice(0, SETTINGS)) {
        if (tries++ >= MOST_PAIRS) return out;
        yield SHARES.alone + (SHARES.pairs * tries) / MOST_PAIRS;
        const tried = tryOut(q.channel, q, patched(q.rig, q.plan, pa, pb), NUMERICS.rough);
        if (tried && tried.miss < LEAST_HELP) promising.push(tried);
      }
    for (const t of promising) {
      yield SHARES.alone + (SHARES.pairs * tries) / MOST_PAIRS;
      const tried = tryOut(q.channel, q, t, NUMERICS.full);
      if (tried?.miss !== 0) continue;
      out.push(changeOf([a.lever, b.lever], tried));
      break;
    }
    if (out.length >= ENOUGH) break;
  }
  return out;
}

/** One lever after the other, each time the setting that gains most, until it does or nothing gains any more. */
function* several(q: ChangesRequest, legal: (r: Rig) => boolean): Generator<number, Change[], undefined> {
  let best: Tried | null = tryOut(q.channel, q, q, NUMERICS.rough);
  const moved = new Set<Lever>();
  for (let round = 0; round < MOST_LEVERS && best?.miss !== 0; round++) {
    const from: ChangesRequest = best ? { ...q, rig: best.rig, plan: best.plan } : q;
    const before: number = best?.miss ?? Infinity;
    let lever: Lever | null = null;
    for (const l of LEVERS) {
      yield SHARES.alone + SHARES.pairs + (SHARES.several * (round + LEVERS.indexOf(l) / LEVERS.length)) / MOST_LEVERS;
      for (const patch of patchesOf(l, from)) {
        const trial = patched(from.rig, from.plan, patch);
        const tried = legal(trial.rig) ? tryOut(q.channel, q, trial, NUMERICS.rough) : null;
        if (!tried || tried.miss >= (best?.miss ?? Infinity) - 1e-9) continue;
        best = tried;
        lever = l;
      }
    }
    if (!lever || (best?.miss ?? Infinity) > before - LEAST_HELP) break;
    moved.add(lever);
  }
  const tried = best && moved.size > 2 ? tryOut(q.channel, q, best, NUMERICS.full) : null;
  return tried
    ? [
        changeOf(
          LEVERS.filter((l) => moved.has(l)),
          tried,
        ),
      ]
    : [];
}
