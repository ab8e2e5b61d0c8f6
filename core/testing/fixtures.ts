import type { CastPlan } from '../cast';
import type { EventOf } from '../logbook';
import type { WaterRules } from '../rules';
import { level, type Rig } from '../tackle';
import type { Reading, Run } from '../water';
import { MINUTE_MS } from '../units';

const section = (xM: number, ...depths: number[]) => ({
  xM,
  points: depths.map((depthM, i) => ({ yM: 5 * i, depthM })),
});

/** A plain run and rig for tests. */
export const RUN: Run = {
  id: 'run',
  waterId: 'water',
  name: 'Test run',
  lengthM: 60,
  bank: 'left',
  bearingDeg: 180,
  bed: 'cobble',
  levelM: 0,
  sections: [
    section(0, 0, 0.3, 0.6, 0.8, 0.5, 0),
    section(30, 0, 0.5, 1, 1.5, 1, 0),
    section(60, 0, 0.4, 0.7, 0.9, 0.6, 0),
  ],
  features: [{ id: 'b', kind: 'boulder', xM: 30, yM: 12, lengthM: 1.5, widthM: 1.5 }],
  speed: { surfaceMps: 0.9, xM: 30, yM: 15 },
  notes: '',
};

export const RIG: Rig = {
  rod: { type: 'rod', id: 'r', name: 'two-hander', lengthM: 3.6, hands: 2, lineNumber: 7 },
  head: { type: 'head', id: 'h', name: 'short head', shape: 'short', lengthM: 7, massKg: 0.0324, sinkRatesMps: [0] },
  tip: { type: 'tip', id: 't', name: '10 ft fast', lengthM: 3.048, sinkRateMps: 0.127 },
  leader: { type: 'leader', id: 'l', name: '4 ft', pieces: level(1.2, 0.25e-3, 'nylon') },
  fly: {
    type: 'fly',
    id: 'f',
    name: 'black strip',
    family: 'rabbit strip',
    colour: 'black',
    lengthM: 0.06,
    hook: '6',
    weight: 'none',
    barbless: true,
  },
  droppers: [],
  lineClean: true,
};

/** A middling day on it: normal level, fair green water, 11 °C. */
export const day = (o: Partial<Reading> = {}): Reading => ({
  id: 'x',
  runId: 'run',
  at: 0,
  levelM: 0,
  visibilityM: 1.2,
  atLeast: false,
  colour: 'green',
  speed: null,
  waterTempC: 11,
  sky: 'broken',
  ...o,
});

/** A plain cast from the bank. */
export const PLAN: CastPlan = { xM: 1, yM: 2, outM: 12, angleDeg: 60, mendM: 0, rod: 'follow' };

/** A logged cast, a minute after the one before by number. */
export const castEvent = (n: number, plan: Partial<CastPlan> = {}, rig: string | null = null): EventOf<'cast'> => ({
  id: `e${n}`,
  at: n * MINUTE_MS,
  runId: 'run',
  xM: plan.xM ?? PLAN.xM,
  yM: plan.yM ?? PLAN.yM,
  rig,
  kind: 'cast',
  plan: { ...PLAN, ...plan },
});

/** A water with no more rules than most; and one that allows one barbless fly and no weight. */
export const OPEN: WaterRules = {
  ...{ maxFlies: 3, barbless: false, noAddedWeight: false, season: null, closesAtC: null, text: '', source: 'made up' },
};
export const STRICT: WaterRules = { ...OPEN, maxFlies: 1, barbless: true, noAddedWeight: true };

/** Runs a search to its end; the shares it gave on the way, too. */
export function whole<T>(g: Generator<number, T, undefined>): { value: T; shares: number[] } {
  const shares: number[] = [];
  for (;;) {
    const r = g.next();
    if (r.done) return { value: r.value, shares };
    shares.push(r.value);
  }
}

/** A list that must not be empty: a loop over nothing checks nothing. */
export function some<T>(list: readonly T[]): readonly T[] {
  if (list.length === 0) throw new RangeError('list: is empty, nothing would be checked');
  return list;
}

/** The same with one value put in its place, e.g. at "cast.hands.countS" or "values.0.1". */
export function withAt(data: object, path: string, value: unknown): object {
  const out = structuredClone(data) as Record<string, unknown>;
  const steps = path.split('.');
  const holder = steps.slice(0, -1).reduce((o, k) => o[k] as Record<string, unknown>, out);
  holder[steps.at(-1)!] = value;
  return out;
}

/** What decided a forecast of which nothing is known. */
export const BECAUSE = {
  ...{ river: { code: 'middling' as const }, readings: 0, latestH: null, pastH: 0, rainMm: null },
};
