import { openingOf, type OpeningRule } from '../cast';
import type { Fit } from '../advice';
import { tryOut } from '../advice/trial';
import type { Look } from '../sight';
import { NUMERICS } from '../swing';
import { fliesOf, type FlyItem, type Rig } from '../tackle';
import { fliesFor, type FlyCode, type FlyFactor, type JudgedFly, judgeFly } from './flies';
import { AS_GOOD, GIVEN_UP_OF_TEN } from './weights';
import { type Method, METHODS, type SignFact, signFact, signsFor } from './methods';
import { fitsOf, takesDown } from './fits';
import { refitted, type Setup, tipsOf } from './rigs';
import { type Fished, type Outcome, outcomeOf } from './fished';
import { shownAt } from '../cover/shownAt';
import { type Served, type Stand, surestFirst } from './stands';
import { methodsToTry } from './looks';
import { rideOf, WELL_SHOWN } from '../showing';
import { bandOf } from '../lies';
import type { Situation } from './situation';
import { type Bench, costOf, isBetter, methodFactor } from './setupWorth';

/** What decided, in m and m/s. */
export type Reason =
  | { readonly code: 'no use'; readonly method: Method }
  | ({ readonly code: 'sign' } & SignFact)
  | {
      readonly code: 'depth';
      readonly lie: number;
      readonly depthM: number;
      readonly speedMps: number;
      readonly topM: number;
      readonly bottomM: number;
      readonly tip: string | null;
      readonly passesM: number;
      readonly fit: Fit;
      /** The next lighter tip, and how much higher it rides. */
      readonly lighter: { readonly tip: string; readonly higherM: number } | null;
    }
  | { readonly code: 'fly'; readonly fly: FlyItem; readonly why: FlyWhy; readonly visibilityM: number }
  | { readonly code: 'opening'; readonly rule: OpeningRule };

/** Why a fly: what speaks for it; or, where nothing does, what it is beside another of the bag. */
export type FlyWhy =
  | { readonly code: 'speaks for it'; readonly codes: readonly FlyCode[] }
  | { readonly code: 'on, another suits better' | 'fishes better on this rig'; readonly than: FlyItem }
  | { readonly code: 'nearest' }
  | { readonly code: 'carried by'; readonly by: 'sight' | 'size' | 'method'; readonly than: FlyItem };

/** So many signs are told; with depth, way and fly that makes four. */
const SIGNS_TOLD = 2;
const MOST_REASONS = 4;

/** The readings that decided, the strongest first: what speaks for the method, the depth that is wanted, the fly. */
export function reasonsOf(b: Bench, served: Served): Reason[] {
  const { s } = b;
  const { method, rig } = served.setup;
  const other = b.votes.find((v) => v.method !== method && !v.noFly)?.method ?? null;
  const signs = signsFor(s, method, other)
    .slice(0, SIGNS_TOLD)
    .map((sign): Reason => ({ code: 'sign', ...signFact(s, sign) }));
  const swings = (METHODS[method].ways as readonly string[]).includes('swing') && method !== 'wake fly';
  const rule = openingOf(s.reading, rig, s.school.depth);
  const cast = leadStand(served)?.plan.angleDeg;
  // Where another angle serves better, the rule of thumb is no reason.
  const byRule = swings && cast !== undefined && Math.abs(cast - rule.angleDeg) <= BY_RULE_DEG;
  const opening: Reason[] = byRule && rule.by ? [{ code: 'opening', rule: rule.by }] : [];
  return [...outOfUse(b, method), ...signs, ...depthReason(b, served), flyReason(b, rig, served), ...opening].slice(
    0,
    MOST_REASONS,
  );
}
const BY_RULE_DEG = 10;

/** That what the water asks for comes to nothing here, where the best of the bag is fished otherwise for want of it. */
function outOfUse(b: Bench, method: Method): Reason[] {
  const tried = methodsToTry(b);
  return b.s.ask !== 'best' || tried.includes(method) ? [] : [{ code: 'no use', method: tried[0]! }];
}

/** The stand at the best lie that is served; where none is, the one that comes nearest to it. */
export const leadStand = ({ stands, of }: Served): Stand | null =>
  of.map((l) => stands.find((x) => x.lie === l)).find((x) => x && (x.chance ?? 0) >= GIVEN_UP_OF_TEN) ??
  surestFirst(stands)[0] ??
  null;

/** What the best lie wants, and how deep tip and fly get there; what the next lighter tip would do in its place. */
function depthReason({ s }: Bench, served: Served): Reason[] {
  const lead = leadStand(served);
  if (!lead || served.setup.method === 'wake fly') return [];
  const { verdict: v, lie } = lead;
  const { rig } = served.setup;
  // As Read tells it: for the lie as a whole, by how the fly rides.
  const band = bandOf(lie.willing, lie.depthM, rideOf(fliesOf(rig)[v.place]!));
  const { tip } = rig;
  const lighter =
    tip &&
    tipsOf(s, served.setup.method)
      .filter((t) => takesDown(t) < takesDown(tip))
      .at(-1);
  const swapped = lighter === undefined || lighter === null ? null : refitted(s, served.setup, { tip: lighter });
  const tried =
    swapped && tryOut(s.channel, lie, { ...lead, rig: { ...served.setup.rig, tip: swapped.rig.tip } }, NUMERICS.full);
  const higherM = tried ? v.pass.depthM - tried.verdict.pass.depthM : 0;
  return [
    {
      ...{ code: 'depth', lie: lie.rank, depthM: lie.depthM, speedMps: lie.speedMps },
      ...{ topM: band.topM, bottomM: band.bottomM, tip: tip?.name ?? null, passesM: v.pass.depthM, fit: v.fit },
      lighter: lighter && higherM > LEAST_TOLD_M ? { tip: lighter.name, higherM } : null,
    },
  ];
}
const LEAST_TOLD_M = 0.04;

/** Why this fly: what speaks for it most, and from how far it is seen. */
function flyReason({ s, look }: Bench, rig: Rig, { setup }: Served): Reason {
  const j = judgeFly(s, setup.method, rig.fly, look);
  const cue = j.factors.find((f) => f.of === 'cue' && f.by > 1);
  const colour = j.factors.find((f) => f.of === 'colour' && f.by >= SUITS);
  const bed = j.factors.find((f) => f.of === 'bed' && f.by > 1);
  const codes = [cue, colour, bed].flatMap((f) => (f ? [f.code] : []));
  const why: FlyWhy = codes.length > 0 ? { code: 'speaks for it', codes } : asNear(s, setup, j, look);
  return { code: 'fly', fly: rig.fly, why, visibilityM: s.visibilityM };
}

/** For a fly that nothing speaks for: what it is to the best of the bag, and to what has the colour that is wanted. */
function asNear(s: Situation, { method, rig }: Setup, j: JudgedFly, look: Look): FlyWhy {
  const beside = rig.droppers.map((d) => d.fly.id); // it is held against what is not tied on with it
  const flies = fliesFor(s, method, look).filter((x) => !beside.includes(x.fly.id));
  const best = flies[0];
  if (best && isBetter(best.merit, j.merit)) {
    const on = s.tiedOn?.fly.id === rig.fly.id;
    return { code: on ? 'on, another suits better' : 'fishes better on this rig', than: best.fly };
  }
  const suits = flies.find((x) => by(x, 'colour') >= SUITS);
  if (!suits) return { code: 'nearest' };
  const gain = (of: FlyFactor['of']) => by(j, of) / by(suits, of);
  const most = (['sight', 'size', 'method'] as const).reduce((a, of) => (gain(of) > gain(a) ? of : a));
  return { code: 'carried by', by: most, than: suits.fly };
}
/** From here on a colour is what the school, or the murk, asks for. */
const SUITS = 0.95;
const by = ({ factors }: JudgedFly, of: FlyFactor['of']): number => factors.find((f) => f.of === of)?.by ?? 1;

/** What came second, and why it lost. */
export interface Second {
  readonly fished: Outcome;
  /** The share of the willing fish that the first finds. */
  readonly against: number;
  readonly why: Lost;
  /** Lies that the first gives up and this shows the fly well, by their numbers. */
  readonly adds: readonly number[];
}

/** Why a set-up came second. */
export type Lost =
  | { readonly code: 'as good' | 'finds less' | 'little between' | 'water speaks less' | 'fly suits less' }
  | { readonly code: 'costs more'; readonly moreS: number }
  | ({ readonly code: 'sign' } & SignFact)
  | { readonly code: 'tackle'; readonly part: keyof Fits };

/** Finds so many more of a hundred are told as the reason. */
const FINDS = 0.02;

/** The second, and why it lost: fished over the same run. */
export function secondOf(b: Bench, best: Served, second: Fished): Second {
  const shows = (lie: Served['of'][number]) =>
    second.covering.casts.some((cast) => shownAt(second.covering, cast, lie) >= WELL_SHOWN);
  const adds = best.givesUp.filter(({ lie }) => shows(lie)).map(({ lie }) => lie.rank);
  const why: Lost =
    second.worth >= AS_GOOD * best.worth
      ? { code: 'as good' }
      : second.found + FINDS < best.found
        ? { code: 'finds less' }
        : lesser(b, best, second);
  return { fished: outcomeOf(second), against: best.found, adds, why };
}

/** By what a set-up is worth less though its fly passes as well. */
function lesser(b: Bench, best: Fished, second: Fished): Lost {
  const { s, votes } = b;
  const ratio = (of: (x: Fished) => number) => Math.log(Math.max(1e-6, of(second)) / Math.max(1e-6, of(best)));
  const method = ratio((x) => methodFactor(votes, x.setup.method));
  const fly = ratio((x) => x.setup.merit);
  const tackle = ratio((x) => x.setup.fits);
  const least = Math.min(method, fly, tackle);
  if (least >= -0.02) {
    const moreS = costOf(s, second.setup.rig) - costOf(s, best.setup.rig);
    return moreS > 0 ? { code: 'costs more', moreS } : { code: 'little between' };
  }
  if (least === method) {
    const sign = signsFor(s, best.setup.method, second.setup.method)[0];
    return sign ? { code: 'sign', ...signFact(s, sign) } : { code: 'water speaks less' };
  }
  if (least === fly) return { code: 'fly suits less' };
  const [has, had] = [second, best].map(({ setup }) => fitsOf(s, setup.method, setup.rig)) as [Fits, Fits];
  const parts = Object.keys(has) as (keyof Fits)[];
  return { code: 'tackle', part: parts.reduce((a, x) => (has[x] / had[x] < has[a] / had[a] ? x : a)) };
}
type Fits = ReturnType<typeof fitsOf>;
