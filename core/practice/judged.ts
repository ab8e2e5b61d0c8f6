import { fliesFor, type JudgedFly } from '../answer/flies';
import { type Method, methodsFor } from '../answer/methods';
import { SCHOOLS, type Schools } from '../answer/schools';
import { benchOf } from '../answer/setupWorth';
import { situationOf } from '../answer/situation';
import { ANY_CAST, ANY_MEANS } from '../cast';
import { forecastColour, type HydroPoint, plainForecast, type River, RIVER_KINDS } from '../colour';
import { type Next, nextOf, PACE_M, REST_MINUTES } from '../cover';
import { type Trend, trend as trendOf } from '../gauge/points';
import { type FishLie, type Quarry } from '../lies';
import type { EventBase, EventOf, LogEvent } from '../logbook';
import { roundTo, seeded, shuffled } from '../maths';
import { chooseWaters, type WaterChoice } from '../plan/waters';
import { MIDDLING_SUN_DEG } from '../sight';
import type { FlyItem } from '../tackle';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../units';
import { type Asked, flyOf, type OnWater, onWater } from './onWater';
import { STAY_CHOICES, type StayChoice } from './played';

/** In which order are three lies fished? */
export type OrderRound = OnWater & {
  readonly kind: 'order';
  readonly lies: readonly FishLie[];
  /** Casts go up the run, from its tail; else down it. */
  readonly upstream: boolean;
  /** All orders of their indices. */
  readonly orders: readonly (readonly number[])[];
  readonly right: readonly number[];
};
/** One stand serves lies no further apart along the run than this, m; there what is nearer comes first. */
const ONE_STAND_M = 6;
const ORDERS = [
  [0, 1, 2],
  [0, 2, 1],
  [1, 0, 2],
  [1, 2, 0],
  [2, 0, 1],
  [2, 1, 0],
] as const;

/** Whether of two lies one is fished before the other: down (or up) the run; from one stand near water first (common practice, no
 * source; as core/cover orders its casts). Null: either will do. */
function before(a: FishLie, b: FishLie, upstream: boolean): boolean | null {
  const along = (upstream ? -1 : 1) * (a.xM - b.xM);
  if (Math.abs(along) > ONE_STAND_M) return along < 0;
  const [nearer, further] = a.yM < b.yM ? [a, b] : [b, a];
  return further.yM - nearer.yM < nearer.widthM / 2 + further.widthM / 2 ? null : nearer === a;
}

export function orderRound(asked: Asked): OrderRound | null {
  const on = onWater(asked);
  const { lies } = on.survey;
  const upstream = asked.seed % 3 === 0;
  for (const pick of ORDERS_OF_FIVE) {
    const three = pick.flatMap((i) => lies[i] ?? []);
    const comes = (i: number, j: number) => before(three[i]!, three[j]!, upstream);
    if (three.length < 3 || comes(0, 1) === null || comes(0, 2) === null || comes(1, 2) === null) continue;
    const right = ORDERS.find((o) => comes(o[0], o[1]) && comes(o[0], o[2]) && comes(o[1], o[2]));
    if (!right) continue;
    return { kind: 'order', ...on, lies: three, upstream, orders: ORDERS, right };
  }
  return null;
}
/** Threes of the best five lies, the best first. */
const ORDERS_OF_FIVE = [
  [0, 1, 2],
  [0, 1, 3],
  [0, 2, 3],
  [1, 2, 3],
  [0, 1, 4],
  [0, 2, 4],
  [1, 2, 4],
  [2, 3, 4],
] as const;

/** What fly, by which school? */
export type FlyRound = OnWater & {
  readonly kind: 'fly';
  readonly method: Method;
  /** The school of colour that one fishes by. */
  readonly school: Schools['colour'];
  readonly options: readonly JudgedFly[];
};

/** What there is to choose among. */
const FLY_BOX: readonly FlyItem[] = [
  flyOf('rabbit strip', 'black'),
  flyOf('rabbit strip', 'white'),
  flyOf('shank fly', 'black and blue'),
  flyOf('woolly bugger', 'olive'),
  flyOf('woolly bugger', 'black'),
  flyOf('slim baitfish', 'white'),
  flyOf('sculpin', 'brown'),
  flyOf('articulated streamer', 'yellow'),
  flyOf('tube fly', 'orange'),
  flyOf('hair-wing wet', 'black'),
  flyOf('large soft hackle', 'tan'),
  flyOf('soft-hackle spider', 'brown'),
  flyOf('waking fly', 'black'),
  flyOf('micro streamer', 'olive'),
];
const OFFERED = 4;
/** The best must be so much better than the least. */
const FLIES_APART = 0.6;

export function flyRound(asked: Asked): FlyRound | null {
  const on = onWater(asked);
  if (on.survey.lies.length === 0) return null;
  const rand = seeded(asked.seed + 6);
  const school = SCHOOLS.colour[Math.floor(SCHOOLS.colour.length * rand())]!;
  const { run, reading, quarry, school: depth } = on.water;
  const b = benchOf(
    situationOf({
      ...{ run, reading, quarry, channel: on.survey.channel, lies: on.survey.lies },
      ...{ options: { quarry, school: depth, most: 8 }, rules: null, kit: FLY_BOX, means: ANY_MEANS },
      ...{ sunDeg: MIDDLING_SUN_DEG, seen: [], goal: 'any', schools: { depth, colour: school } },
      ...{ tiedOn: null, rigged: [], ask: 'best', closed: [] },
    }),
  );
  const { method } = methodsFor(b.s)[0]!;
  const judged = fliesFor(b.s, method, b.look);
  const [best, ...others] = judged;
  // One is a good one, and one at least is not.
  const least = judged.filter((j) => j.merit < FLIES_APART * (best?.merit ?? 0));
  if (!best || least.length === 0) return null;
  const wrong = least[Math.floor(least.length * rand())]!;
  const rest = shuffled(
    others.filter((j) => j !== wrong),
    rand,
  ).slice(0, OFFERED - 2);
  if (rest.length < OFFERED - 2) return null;
  return { kind: 'fly', ...on, method, school, options: shuffled([best, wrong, ...rest], rand) };
}

/** Cast again, rest it, change, go up, or leave? */
export interface StayRound {
  readonly kind: 'stay';
  /** What happened, as it would be told. */
  readonly log: StayLog;
  readonly flies: 1 | 2;
  readonly hasSmaller: boolean;
  /** What one can do. */
  readonly choices: readonly StayChoice[];
  /** As the program itself goes on after such a log. */
  readonly right: StayChoice;
  /** Why, where there is more to say than what it is. */
  readonly why: Next['why'];
}
export type StayLog =
  | { readonly code: 'pluck' | 'pluck, cast again' | 'pluck, rested' | 'pluck, rested, cast again' }
  | { readonly code: 'young fish' | 'all cast' }
  | { readonly code: 'nothing yet'; readonly casts: number; readonly left: number };

const STAY_LOGS: readonly StayLog['code'][] = [
  ...(['pluck', 'pluck, cast again', 'pluck, rested', 'pluck, rested, cast again'] as const),
  ...(['pluck, rested, cast again', 'young fish', 'all cast', 'nothing yet'] as const),
];
/** Room to go up for a fish that came: a stand so far down, m. */
const [STAND_M, STANDS] = [30, 8] as const;

const TAKE = { kind: 'take', where: null, sign: null, what: 'pluck', fish: null } as const;

/** The log of a round, as the program keeps it. */
function eventsOf(code: StayLog['code'], casts: number): { events: LogEvent[]; now: number } {
  const events: LogEvent[] = [];
  let at = 0;
  const log = (event: (base: EventBase) => LogEvent) => {
    events.push(event({ id: `practice-${events.length}`, at, runId: 'run', xM: null, yM: null, rig: null }));
    at += MINUTE_MS;
  };
  const cast = (n: number) => log((base) => ({ ...base, kind: 'cast', plan: planAt(n) }));
  const take = (juvenile: boolean) => log((base) => ({ ...base, ...TAKE, juvenile }));
  for (let n = 0; n < casts; n++) {
    cast(n);
    if (code === 'young fish' && n >= casts - 3) take(true);
  }
  if (code.startsWith('pluck')) {
    take(false);
    if (code !== 'pluck') cast(casts - 1);
    if (code.startsWith('pluck, rested')) {
      log((base) => ({ ...base, kind: 'rest', minutes: REST_MINUTES }));
      at += REST_MINUTES * MINUTE_MS;
      if (code.endsWith('cast again')) cast(casts - 1);
    }
  }
  return { events, now: at };
}
const planAt = (n: number) => ({ ...ANY_CAST, xM: STAND_M + PACE_M * n, yM: 1 });

export function stayRound({ seed }: Asked): StayRound {
  const rand = seeded(seed + 8);
  const code = STAY_LOGS[Math.floor(STAY_LOGS.length * rand())]!;
  const flies = rand() < 0.3 ? 2 : 1;
  const hasSmaller = rand() < 0.6;
  const casts = code === 'all cast' ? STANDS : 3 + Math.floor((STANDS - 4) * rand());
  const { events, now } = eventsOf(code, casts);
  const { kind, why } = nextOf({
    planned: Array.from({ length: STANDS }, (_, n) => planAt(n)),
    visit: { events, casts: events.filter((e): e is EventOf<'cast'> => e.kind === 'cast') },
    ...{ sign: 1, flies, hasSmaller, now },
  });
  const right = STAY_CHOICES.find((c) => c === kind);
  if (!right) throw new RangeError(`practice: a log of ${code} goes on with ${kind}`);
  const log: StayLog = code === 'nothing yet' ? { code, casts, left: STANDS - casts } : { code };
  const choices = STAY_CHOICES.filter((c) => (c !== 'dropper' || flies > 1) && (c !== 'smaller' || hasSmaller));
  return { kind: 'stay', log, flies, hasSmaller, choices, right, why };
}

/** On which day would you go? */
export interface DayRound {
  readonly kind: 'day';
  readonly river: River;
  readonly quarry: Quarry;
  /** Its level against the first hour's, m, every hour. */
  readonly series: readonly HydroPoint[];
  /** The days to choose among, by when one would fish, in time. */
  readonly days: readonly { readonly at: number; readonly trend: Trend; readonly choice: WaterChoice }[];
  /** Each day's place among them, the best first; days that are as good share one. */
  readonly places: readonly number[];
}

/** The days of a hydrograph, and of these the ones to choose among; at which hour one fishes. */
const SPAN_DAYS = 12;
const [FIRST_DAY, CHOICES, HOUR] = [3, 4, 10] as const;
/** A gauge’s year begins here, ms UTC: any autumn will do. */
const BEGINS = Date.UTC(2025, 9, 1);
/** A rise takes so long, and is half gone after so long, h, by kind of river (common practice, no source). */
const GOES: Readonly<Record<River['kind'], readonly [number, number]>> = {
  spate: [6, 22],
  lowland: [24, 70],
  spring: [18, 60],
  snowmelt: [12, 40],
  'below a dam': [2, 12],
};

export function dayRound({ seed, grade }: Asked): DayRound | null {
  const rand = seeded(seed + 9);
  const kinds = grade === 'plain' ? (['spate', 'lowland'] as const) : RIVER_KINDS.filter((k) => k !== 'below a dam');
  const river: River = { kind: kinds[Math.floor(kinds.length * rand())]!, peaty: grade === 'hard' && rand() < 0.4 };
  const quarry: Quarry = rand() < 0.5 ? 'steelhead' : 'sea trout';
  const rises = Array.from({ length: grade === 'plain' ? 1 : 2 }, (_, i) => ({
    atH: 24 * (FIRST_DAY - 0.5 + 3.5 * i + 2.5 * rand()),
    times: 1.2 + 2.2 * rand(),
  }));
  const [up, half] = GOES[river.kind];
  const flowAt = (h: number) =>
    rises.reduce((q, r) => {
      const since = h - r.atH;
      const share = since < -up ? 0 : since < 0 ? 1 + since / up : 0.5 ** (since / half);
      return q + 6 * r.times * share;
    }, 6);
  const series = Array.from({ length: 24 * SPAN_DAYS }, (_, h): HydroPoint => {
    const flowM3s = roundTo(1000, flowAt(h));
    return { at: BEGINS + h * HOUR_MS, stageM: roundTo(1000, 0.35 * (flowM3s ** 0.4 - flowAt(0) ** 0.4)), flowM3s };
  });
  const at = (d: number) => BEGINS + d * DAY_MS + HOUR * HOUR_MS;
  const dates = shuffled(
    Array.from({ length: SPAN_DAYS - FIRST_DAY - 1 }, (_, i) => at(FIRST_DAY + i)),
    rand,
  )
    .slice(0, CHOICES)
    .sort((a, b) => a - b);
  const colours = forecastColour(river, series, [], dates).map(plainForecast);
  const peakAt = (r: (typeof rises)[number]) => BEGINS + r.atH * HOUR_MS;
  const waters = dates.map((date, i) => {
    const trend = trendOf(
      series
        .filter((p) => p.at <= date)
        .map(({ at: then, stageM, flowM3s }) => ({ at: then, stageM: stageM!, flowM3s: flowM3s!, tempC: NaN })),
    );
    const since = rises.map((r) => (date - peakAt(r)) / DAY_MS).filter((d) => d >= 0);
    return {
      ...{
        id: String(i),
        name: '',
        quarry,
        driveMin: 30,
        closed: null,
        colour: colours[i]!,
        noColour: null,
        springs: [],
        trend,
      },
      ...{
        warmestC: 9,
        closesAtC: null,
        winds: [],
        reports: [],
        own: { casts: 0, takes: 0, longestM: null, byMonth: [] },
      },
      freshetDays: since.length > 0 ? Math.floor(Math.min(...since)) : null,
      fishedSince: 0,
    };
  });
  const order = chooseWaters(waters, { goal: 'any', quarry: null, shoulders: [], now: BEGINS });
  const days = dates.map((date, i) => ({
    at: date,
    trend: waters[i]!.trend,
    choice: order.find((c) => c.id === String(i))!,
  }));
  const saidOf = ({ verdict, reasons }: WaterChoice) =>
    JSON.stringify([verdict, reasons.map((r) => [r.code, r.tone]).sort()]);
  const kindsOfDay = order.map(saidOf).filter((k, i, all) => all.indexOf(k) === i);
  const places = days.map(({ choice }) => kindsOfDay.indexOf(saidOf(choice)));
  return Math.max(...places) < 1 ? null : { kind: 'day', river, quarry, series, days, places };
}
