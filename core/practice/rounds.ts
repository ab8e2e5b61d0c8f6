import { tryOut } from '../advice/trial';
import type { Verdict } from '../advice';
import { type CastPlan, castAt, openingOf } from '../cast';
import { chanceBetter } from '../learn/rate';
import { PRIOR } from '../learn/prior';
import type { FishLie, Survey } from '../lies';
import { drawnOf, survey } from '../lies/survey';
import { clamp, normal, seeded } from '../maths';
import { finished } from '../maths/work';
import { NUMERICS } from '../swing';
import { level, type Rig, type TipItem } from '../tackle';
import { FOOT_M, GRAIN_KG, INCH_M } from '../units';
import { buildChannel, type PlanPoint, waterAt } from '../water';
import { responseCurve } from './curve';
import { inventedWater, type InventedWater } from './invented';
import { type Grade, PLACES, type RoundKind } from './played';
import { VARIABLES } from './variables';

/** A run on a day, rebuilt, and what is true of it. */
interface OnWater {
  readonly water: InventedWater;
  readonly survey: Survey;
}

/** Where do they hold? */
export type LiesRound = OnWater & { readonly kind: 'lies' };
/** How deep, or how fast, is it here? One other place is told. */
export type NumberRound = OnWater & {
  readonly kind: 'depth' | 'speed';
  readonly at: PlanPoint;
  readonly told: PlanPoint & { readonly value: number };
  /** m or m/s */
  readonly truth: number;
};
/** Which tip shows the fly best at this lie? */
export type TipRound = OnWater & {
  readonly kind: 'tip';
  readonly lie: FishLie;
  /** From the lightest on; the same cast with each. */
  readonly tips: readonly { readonly tip: TipItem | null; readonly verdict: Verdict }[];
  readonly plan: CastPlan;
};
/** How deep does the fly hang below one with this tip in this current? */
export interface HangRound {
  readonly kind: 'hang';
  readonly sinkRateMps: number;
  readonly currentMps: number;
  /** The same cast with another tip is told. */
  readonly told: { readonly sinkRateMps: number; readonly depthM: number };
  /** m */
  readonly truth: number;
}
/** Is it better, or lucky? */
export interface LuckRound {
  readonly kind: 'luck';
  readonly a: { readonly casts: number; readonly takes: number };
  readonly b: { readonly casts: number; readonly takes: number };
  readonly aIsBetter: boolean;
  /** That A is better, by the counts alone. */
  readonly chance: number;
}
export type Round = LiesRound | NumberRound | TipRound | HangRound | LuckRound;

/** Tried one after the other until a seed’s water has a question in it. */
const TRIES = 12;

/** The rig of the rounds: a two-hander with a short head, a short leader and a big fly without weight. */
const rigWith = (tip: TipItem | null): Rig => ({
  rod: { type: 'rod', id: 'rod', name: 'two-hander', lengthM: 12.5 * FOOT_M, hands: 2, lineNumber: 7 },
  head: {
    ...{ type: 'head', id: 'head', name: 'short head', shape: 'short' },
    ...{ lengthM: 23 * FOOT_M, massKg: 450 * GRAIN_KG, sinkRatesMps: [0] },
  },
  tip,
  leader: { type: 'leader', id: 'leader', name: '4 ft', pieces: level(4 * FOOT_M, 0.25e-3, 'nylon') },
  fly: {
    ...{ type: 'fly', id: 'fly', name: 'black rabbit strip', family: 'rabbit strip', colour: 'black' },
    ...{ lengthM: 0.06, hook: '6', weight: 'none', barbless: true },
  },
  droppers: [],
  lineClean: true,
});
const TIPS: readonly TipItem[] = [
  { ips: 0, name: '10 ft floating' },
  { ips: 1.5, name: '10 ft intermediate' },
  { ips: 3, name: '10 ft slow' },
  { ips: 7, name: '10 ft fast' },
].map(({ ips, name }) => ({ type: 'tip', id: name, name, lengthM: 10 * FOOT_M, sinkRateMps: ips * INCH_M }));

function onWater(seed: number, grade: Grade): OnWater {
  const water = inventedWater(seed, grade);
  const { run, reading, quarry, school } = water;
  return { water, survey: survey(run, reading, { quarry, school, most: 8 }) };
}

/** A round of a kind, the same for the same seed and grade. */
export function roundOf(kind: RoundKind, seed: number, grade: Grade): Round {
  for (let i = 0; i < TRIES; i++) {
    const round = MAKERS[kind](seed + 7919 * i, grade);
    if (round) return round;
  }
  throw new RangeError(`practice: no ${kind} round from seed ${seed}`);
}

const MAKERS: Readonly<Record<RoundKind, (seed: number, grade: Grade) => Round | null>> = {
  lies: (seed, grade) => {
    const on = onWater(seed, grade);
    return on.survey.lies.length > 0 ? { kind: 'lies', ...on } : null;
  },
  depth: (seed, grade) => numberRound('depth', seed, grade),
  speed: (seed, grade) => numberRound('speed', seed, grade),
  tip: tipRound,
  hang: hangRound,
  luck: luckRound,
};

/** Thinner water is not asked about, m, nor slower, m/s. */
const LEAST = { depth: 0.25, speed: 0.1 } as const;

function numberRound(kind: 'depth' | 'speed', seed: number, grade: Grade): NumberRound | null {
  const water = inventedWater(seed, grade);
  // Where fish hold is not asked.
  const on: OnWater = { water, survey: { ...drawnOf(buildChannel(water.run, water.reading)), lies: [] } };
  const rand = seeded(seed + 1);
  const { channel } = on.survey;
  const place = (): PlanPoint => ({
    xM: on.water.run.lengthM * (0.1 + 0.8 * rand()),
    yM: channel.y0 + channel.dy * (channel.ny - 1) * (0.1 + 0.8 * rand()),
  });
  const valueAt = (p: PlanPoint) => {
    const { depthM, speedMps } = waterAt(channel, p.xM, p.yM);
    return depthM < LEAST.depth ? 0 : kind === 'depth' ? depthM : speedMps;
  };
  for (let i = 0; i < TRIES; i++) {
    const [at, other] = [place(), place()];
    const [truth, value] = [valueAt(at), valueAt(other)];
    // What is told must not be the answer.
    if (Math.min(truth, value) >= LEAST[kind] && Math.abs(Math.log(truth / value)) > 0.15)
      return { kind, ...on, at, told: { ...other, value }, truth };
  }
  return null;
}

/** The best must be worth choosing, and the worst clearly less. */
const [LEAST_BEST, LEAST_APART] = [0.3, 0.15];

function tipRound(seed: number, grade: Grade): TipRound | null {
  const on = onWater(seed, grade);
  const { lies, channel } = on.survey;
  for (const lie of lies.slice(0, PLACES)) {
    const opening = openingOf(on.water.reading, rigWith(null), on.water.school);
    const middle = rigWith(TIPS[2]!);
    const plan = castAt(lie, channel, middle, lies, opening);
    const tips = TIPS.flatMap((tip) => {
      const tried = tryOut(channel, lie, { rig: rigWith(tip), plan }, NUMERICS.coarse);
      return tried ? [{ tip, verdict: tried.verdict }] : [];
    });
    const shown = tips.map((t) => t.verdict.showing);
    if (
      tips.length === TIPS.length &&
      Math.max(...shown) >= LEAST_BEST &&
      Math.max(...shown) - Math.min(...shown) >= LEAST_APART
    )
      return { kind: 'tip', ...on, lie, tips, plan };
  }
  return null;
}

function hangRound(seed: number): HangRound {
  const rand = seeded(seed + 2);
  const currentMps = [0.5, 0.7, 0.9, 1.1][Math.floor(4 * rand())]!;
  const curve = finished(responseCurve({ variable: 'tip', u: currentMps, lineClean: true }));
  const settings = VARIABLES.tip.settings;
  const n = Math.floor(settings.length * rand());
  const other = (n + 2 + Math.floor((settings.length - 4) * rand())) % settings.length;
  return {
    ...{ kind: 'hang', currentMps, sinkRateMps: settings[n]!.value, truth: curve[n]!.dangleM },
    told: { sinkRateMps: settings[other]!.value, depthM: curve[other]!.dangleM },
  };
}

/** Rates of two flies differ as flies of the trade do, in takes a cast about so many (assumed). */
const [USUAL_RATE, UNLIKE] = [0.015, 0.6];

function luckRound(seed: number): LuckRound {
  const rand = seeded(seed + 3);
  const side = () => {
    const rate = USUAL_RATE * Math.exp(UNLIKE * normal(rand));
    const casts = 40 + Math.floor(360 * rand());
    let takes = 0;
    for (let i = 0; i < casts; i++) if (rand() < rate) takes++;
    return { rate, casts, takes };
  };
  const [a, b] = [side(), side()];
  const counts = ({ casts, takes }: ReturnType<typeof side>) => ({ casts, takes });
  return {
    ...{ kind: 'luck', a: counts(a), b: counts(b), aIsBetter: a.rate > b.rate },
    chance: clamp(chanceBetter(a, b, PRIOR), 0, 1),
  };
}
