import { openingOf } from '../cast';
import type { Fit } from '../advice';
import { tryOut } from '../advice/trial';
import type { Look } from '../sight';
import { NUMERICS } from '../swing';
import { describeFly, describeRig, fliesOf, type Rig } from '../tackle';
import { capital, format, percent } from '../units';
import { fliesFor, type FlyFactor, type JudgedFly, judgeFly } from './flies';
import { AS_GOOD, GIVEN_UP_OF_TEN } from './weights';
import { type Method, METHODS, signsFor } from './methods';
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

const sentence = (words: string): string => `${capital(words)}.`;

/** So many signs are told; with depth, way and fly that makes four. */
const SIGNS_TOLD = 2;
const MOST_REASONS = 4;

/** The readings that decided, the strongest first: what speaks for the method, the depth that is wanted, the fly. */
export function reasonsOf(b: Bench, served: Served): string[] {
  const { s } = b;
  const { method, rig } = served.setup;
  const other = b.votes.find((v) => v.method !== method && !v.noFly)?.method ?? null;
  const signs = signsFor(s, method, other)
    .slice(0, SIGNS_TOLD)
    .map((sign) => sentence(sign.says(s, s.units)));
  const swings = (METHODS[method].ways as readonly string[]).includes('swing') && method !== 'wake fly';
  const rule = openingOf(s.reading, rig, s.school.depth);
  const cast = leadStand(served)?.plan.angleDeg;
  // Where another angle serves better, the rule of thumb is no reason.
  const opening = swings && cast !== undefined && Math.abs(cast - rule.angleDeg) <= BY_RULE_DEG ? [rule.says] : [];
  return [...outOfUse(b, method), ...signs, ...depthReason(b, served), flyReason(b, rig, served), ...opening].slice(
    0,
    MOST_REASONS,
  );
}
const BY_RULE_DEG = 10;

/** That what the water asks for comes to nothing here, where the best of the bag is fished otherwise for want of it. */
function outOfUse(b: Bench, method: Method): string[] {
  const tried = methodsToTry(b);
  return b.s.ask !== 'best' || tried.includes(method)
    ? []
    : [sentence(`${tried[0]!} would be the way in such water, but no lie is served so`)];
}

/** The stand at the best lie that is served; where none is, the one that comes nearest to it. */
export const leadStand = ({ stands, of }: Served): Stand | null =>
  of.map((l) => stands.find((x) => x.lie === l)).find((x) => x && (x.chance ?? 0) >= GIVEN_UP_OF_TEN) ??
  surestFirst(stands)[0] ??
  null;

/** What the best lie wants, and how deep tip and fly get there; what the next lighter tip would do in its place. */
function depthReason({ s }: Bench, served: Served): string[] {
  const lead = leadStand(served);
  if (!lead || served.setup.method === 'wake fly') return [];
  const { verdict: v, lie } = lead;
  const m = (d: number) => format('depth', d, s.units);
  const { rig } = served.setup;
  // As Read tells it: for the lie as a whole, by how the fly rides.
  const band = bandOf(lie.willing, lie.depthM, rideOf(fliesOf(rig)[v.place]!));
  const wants = `lie ${lie.rank} is ${m(lie.depthM)} deep at ${format('speed', lie.speedMps, s.units)} and wants the fly at ${m(band.topM)} to ${m(band.bottomM)}`;
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
  const less = lighter && higherM > LEAST_TOLD_M ? `; ${lighter.name} rides ${m(higherM)} higher` : '';
  return [
    sentence(`${wants}: ${tip ? `on ${tip.name} ` : ''}it passes at ${m(v.pass.depthM)}${OFF[v.fit] ?? ''}${less}`),
  ];
}
const LEAST_TOLD_M = 0.04;
/** That the best there is does not pass as wanted, the water being as read. */
const OFF: Partial<Record<Fit, string>> = {
  'too shallow': ', too high',
  'too deep': ', too deep',
  'on the bed': ', on the bed there',
};

/** Why this fly: what speaks for it most, and from how far it is seen. */
function flyReason({ s, look }: Bench, rig: Rig, { setup }: Served): string {
  const j = judgeFly(s, setup.method, rig.fly, look);
  const cue = j.factors.find((f) => f.of === 'cue' && f.by > 1);
  const colour = j.factors.find((f) => f.of === 'colour' && f.by >= SUITS);
  const bed = j.factors.find((f) => f.of === 'bed' && f.by > 1);
  const because = [...new Set([cue, colour, bed].flatMap((f) => (f ? [f.says] : [])))];
  const sight = `${format('depth', s.visibilityM, s.units)} of sight`;
  if (because.length === 0) because.push(asNear(s, setup, j, look));
  return sentence(`${describeFly(rig.fly)}: ${because.join('; ')} (${sight})`);
}

/** For a fly that nothing speaks for: what it is to the best of the bag, and to what has the colour that is wanted. */
function asNear(s: Situation, { method, rig }: Setup, j: JudgedFly, look: Look): string {
  const beside = rig.droppers.map((d) => d.fly.id); // it is held against what is not tied on with it
  const flies = fliesFor(s, method, look).filter((x) => !beside.includes(x.fly.id));
  const best = flies[0];
  if (best && isBetter(best.merit, j.merit)) {
    const other = describeFly(best.fly);
    return s.tiedOn?.fly.id === rig.fly.id
      ? `it is on; ${other} would suit this water better`
      : `it fishes better on this rig than ${other}`;
  }
  const suits = flies.find((x) => by(x, 'colour') >= SUITS);
  if (!suits) return 'the nearest to it in the bag';
  const gain = (of: FlyFactor['of']) => by(j, of) / by(suits, of);
  const most = (['sight', 'size', 'method'] as const).reduce((a, of) => (gain(of) > gain(a) ? of : a));
  return `${CARRIED_BY[most]} than ${describeFly(suits.fly)}`;
}
/** From here on a colour is what the school, or the murk, asks for. */
const SUITS = 0.95;
const CARRIED_BY = {
  sight: 'seen from further',
  size: 'nearer to the size that suits',
  method: 'better for this way of fishing',
} as const;
const by = ({ factors }: JudgedFly, of: FlyFactor['of']): number => factors.find((f) => f.of === of)?.by ?? 1;

/** What came second, and why it lost. */
export interface Second {
  readonly fished: Outcome;
  readonly says: string;
  /** Lies that the first gives up and this shows the fly well, by their numbers. */
  readonly adds: readonly number[];
}

/** Finds so many more of a hundred are told as the reason. */
const FINDS = 0.02;

/** The second, and why it lost: fished over the same run. */
export function secondOf(b: Bench, best: Served, second: Fished): Second {
  const shows = (lie: Served['of'][number]) =>
    second.covering.casts.some((cast) => shownAt(second.covering, cast, lie) >= WELL_SHOWN);
  const adds = best.givesUp.filter(({ lie }) => shows(lie)).map(({ lie }) => lie.rank);
  const name = `${second.setup.method}, ${describeRig(second.setup.rig)}`;
  const found = `finds ${percent(second.found)} of the willing fish in an hour, against ${percent(best.found)}`;
  const why =
    second.worth >= AS_GOOD * best.worth
      ? 'as good: take what is at hand'
      : second.found + FINDS < best.found
        ? ''
        : lesser(b, best, second);
  return { fished: outcomeOf(second), adds, says: sentence([`${name}: ${found}`, why].filter(Boolean).join('; ')) };
}

/** By what a set-up is worth less though its fly passes as well. */
function lesser(b: Bench, best: Fished, second: Fished): string {
  const { s, votes } = b;
  const ratio = (of: (x: Fished) => number) => Math.log(Math.max(1e-6, of(second)) / Math.max(1e-6, of(best)));
  const method = ratio((x) => methodFactor(votes, x.setup.method));
  const fly = ratio((x) => x.setup.merit);
  const tackle = ratio((x) => x.setup.fits);
  const least = Math.min(method, fly, tackle);
  if (least >= -0.02) {
    const more = costOf(s, second.setup.rig) - costOf(s, best.setup.rig);
    return more > 0 ? `it costs ${Math.round(more)} s more to change` : 'there is little between them';
  }
  if (least === method) {
    const sign = signsFor(s, best.setup.method, second.setup.method)[0];
    return sign ? `but ${sign.says(s, s.units)}` : 'but the water speaks less for it';
  }
  if (least === fly) return 'but its fly suits this water and light less';
  const [has, had] = [second, best].map(({ setup }) => fitsOf(s, setup.method, setup.rig)) as [Fits, Fits];
  const parts = Object.keys(has) as (keyof Fits)[];
  return LESSER[parts.reduce((a, part) => (has[part] / had[part] < has[a] / had[a] ? part : a))];
}
type Fits = ReturnType<typeof fitsOf>;
const LESSER: Record<keyof Fits, string> = {
  outfit: 'but its rod and line suit this water and these fish less',
  light: 'but it sinks more than it need',
  turnsOver: 'but its line hardly turns over what hangs on it',
  leader: 'but its leader suits it less',
};
