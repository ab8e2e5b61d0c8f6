import { chanceBetter } from '../learn/rate';
import { PRIOR } from '../learn/prior';
import { drawnOf } from '../lies/survey';
import { clamp, meanOf, normal, seeded } from '../maths';
import { finished } from '../maths/work';
import { buildChannel, type PlanPoint, waterAt } from '../water';
import { responseCurve } from './curve';
import {
  type DayRound,
  dayRound,
  type FlyRound,
  flyRound,
  type OrderRound,
  orderRound,
  type StayRound,
  stayRound,
} from './judged';
import { isChoice, worthsOf } from './marks';
import { type MomentRound, momentRound } from './moment';
import { another, type Asked, type OnWater, onWater, waterFor } from './onWater';
import type { RoundKind } from './played';
import {
  type AngleRound,
  angleRound,
  type ChangeRound,
  changeRound,
  type StandRound,
  standRound,
  type TipRound,
  tipRound,
} from './tried';
import { VARIABLES } from './variables';

/** Where do they hold? */
export type LiesRound = OnWater & { readonly kind: 'lies' };
/** How deep, or how fast on the surface, is it here? One other place is told. */
export type NumberRound = OnWater & {
  readonly kind: 'depth' | 'speed';
  readonly at: PlanPoint;
  readonly told: PlanPoint & { readonly value: number };
  /** m or m/s */
  readonly truth: number;
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
/** A choice in which every option was tried. */
export type ChosenRound = TipRound | AngleRound | ChangeRound | StandRound;
export type Round =
  | LiesRound
  | NumberRound
  | ChosenRound
  | OrderRound
  | FlyRound
  | MomentRound
  | HangRound
  | StayRound
  | DayRound
  | LuckRound;

/** Where any choice is nearly as good as the best there is no question. */
const TELLS = 0.85;
/** Tried one after the other until a seed’s water has a question in it. */
const TRIES = 12;

/**
 * A round of a kind, the same for the same seed, grade and run.
 *
 * @throws RangeError where no such question can be made up, e.g. on a run where no fish holds
 */
export function roundOf(kind: RoundKind, asked: Asked): Round {
  for (let i = 0; i < TRIES; i++) {
    const round = MAKERS[kind](another(asked, i));
    if (round && (!isChoice(round) || meanOf(worthsOf(round), (w) => w) <= TELLS)) return round;
  }
  throw new RangeError(`practice: no ${kind} round from seed ${asked.seed}`);
}

const MAKERS: Readonly<Record<RoundKind, (asked: Asked) => Round | null>> = {
  lies: (asked) => {
    const on = onWater(asked);
    return on.survey.lies.length > 0 ? { kind: 'lies', ...on } : null;
  },
  depth: (asked) => numberRound('depth', asked),
  speed: (asked) => numberRound('speed', asked),
  tip: tipRound,
  angle: angleRound,
  change: changeRound,
  stand: standRound,
  order: orderRound,
  fly: flyRound,
  moment: momentRound,
  hang: hangRound,
  stay: stayRound,
  day: dayRound,
  luck: luckRound,
};

/** Thinner water is not asked about, m, nor slower, m/s. */
const LEAST = { depth: 0.25, speed: 0.1 } as const;

function numberRound(kind: 'depth' | 'speed', asked: Asked): NumberRound | null {
  const water = waterFor(asked);
  // Where fish hold is not asked.
  const on: OnWater = { water, survey: { ...drawnOf(buildChannel(water.run, water.reading)), lies: [] } };
  const rand = seeded(asked.seed + 1);
  const { channel } = on.survey;
  const place = (): PlanPoint => ({
    xM: on.water.run.lengthM * (0.1 + 0.8 * rand()),
    yM: channel.y0 + channel.dy * (channel.ny - 1) * (0.1 + 0.8 * rand()),
  });
  const valueAt = (p: PlanPoint) => {
    const { depthM, speedMps } = waterAt(channel, p.xM, p.yM);
    // A float tells the surface.
    return depthM < LEAST.depth ? 0 : kind === 'depth' ? depthM : speedMps * (1 + channel.profile.m);
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

function hangRound({ seed }: Asked): HangRound {
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

function luckRound({ seed }: Asked): LuckRound {
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
