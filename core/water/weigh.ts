import { PACES, type Reading } from './reading';
import type { Run } from './run';

/** One thing that was measured or taken for granted, as an estimate with its doubt. */
export interface Estimate {
  readonly from: Source;
  /** Level above normal, m; or flow, m³/s. */
  readonly value: number;
  /** One standard deviation: m for levels, relative for flows. */
  readonly sd: number;
}
export type Source =
  | 'level by the gauge'
  | 'level by eye'
  | 'level as a guess'
  | 'depth by the leg'
  | 'depth by the staff'
  | 'depth by a sink count'
  | 'float'
  | 'pace by eye'
  | 'gauge’s flow'
  | 'float when the run was read'
  | 'typical run';

/** What one reading changed: the best value and its doubt (one standard deviation) before and after it. */
export interface ReadingEffect {
  readonly from: Source;
  readonly of: 'level' | 'flow';
  readonly before: number;
  readonly sdBefore: number;
  readonly after: number;
  readonly sdAfter: number;
}

/** Two readings that cannot both be right. */
export interface Contradiction {
  readonly of: 'level' | 'flow';
  readonly culprit: Source;
  /** What it stands against. */
  readonly against: readonly Source[];
  readonly saidCulprit: number;
  readonly saidOthers: number;
}

/** How far each kind of reading is off, as one standard deviation: m for levels, relative for flows (common practice,
 * no source; a timed stick ±20 % and a depth ±15 % in four of five). */
const SD = {
  'level by the gauge': 0.03,
  'level by eye': 0.1,
  'level as a guess': 0.15,
  float: 0.156,
  'pace by eye': 0.27,
  'gauge’s flow': 0.12,
  'gauge alone': 0.25,
  typical: 0.31,
} as const;
const DEPTH_SD = { leg: 0.1, staff: 0.05, 'sink count': 0.15 } as const;
const LEAST_DEPTH_SD_M = 0.05;
/** What can be read at the bank in a few minutes. */
export const QUICK_READINGS = ['float', 'staff'] as const;
export type QuickReading = (typeof QUICK_READINGS)[number];
/** How far it is off: a float timed, relative; a depth by the staff where one wades, m. */
export const QUICK_SD: Record<QuickReading, number> = { float: SD.float, staff: LEAST_DEPTH_SD_M };

/** Estimates further apart than so many standard deviations contradict each other. */
const APART = 2;

/** Best value and doubt of independent estimates: weights of one over the variance. Where they lie further apart than their doubts
 * allow, all of them are less sure than was thought: the doubt grows by the Birge ratio (Birge 1932; from memory).
 * @example combine([{ value: 0.35, sd: 0.05 }, { value: -0.3, sd: 0.05 }]).sd // 0.33 */
export function combine(list: readonly { readonly value: number; readonly sd: number }[]): {
  value: number;
  sd: number;
} {
  let weight = 0;
  let sum = 0;
  for (const e of list) {
    weight += 1 / e.sd ** 2;
    sum += e.value / e.sd ** 2;
  }
  const value = sum / weight;
  const chi2 = list.reduce((total, e) => total + ((e.value - value) / e.sd) ** 2, 0);
  return { value, sd: Math.sqrt(Math.max(1, chi2 / Math.max(1, list.length - 1)) / weight) };
}

const LEVELS = { gauge: 'level by the gauge', eye: 'level by eye', guess: 'level as a guess' } as const;

/** What the readings say of today's level. `depthAt` gives the run's depth at the level that was told. */
export function levelEstimates(
  run: Run,
  reading: Reading | null,
  depthAt: (x: number, y: number) => number,
): Estimate[] {
  if (!reading) return [{ from: 'level by eye', value: run.levelM, sd: SD['level by the gauge'] }];
  const told = LEVELS[reading.levelFrom ?? 'eye'];
  return [
    { from: told, value: reading.levelM, sd: SD[told] },
    ...(reading.depths ?? []).map((d): Estimate => ({
      from: ({ leg: 'depth by the leg', staff: 'depth by the staff', 'sink count': 'depth by a sink count' } as const)[
        d.how
      ],
      value: reading.levelM + d.depthM - depthAt(d.xM, d.yM),
      sd: Math.max(LEAST_DEPTH_SD_M, DEPTH_SD[d.how] * d.depthM),
    })),
  ];
}

export interface FlowSources {
  /** Flow behind a surface speed at a place, m³/s; null where there is no water. */
  readonly flowOfFloat: (surfaceMps: number, x: number, y: number) => number | null;
  /** Flow behind a surface speed of the main current. */
  readonly flowOfPace: (surfaceMps: number) => number;
  /** Flow when the run was read, by its own float, and carried to today's level. */
  readonly read: { readonly then: number; readonly now: number } | null;
  readonly typical: number;
  /** Change of level since the run was read, m. */
  readonly riseM: number;
}

/** What is known without a reading of today: the run's own float carried to today's level, or a typical run. */
export function flowPrior(s: FlowSources): Estimate {
  return s.read
    ? {
        from: 'float when the run was read',
        value: s.read.now,
        sd: SD.float + Math.min(0.23, 0.78 * Math.abs(s.riseM)),
      }
    : { from: 'typical run', value: s.typical, sd: SD.typical };
}

/** What today's readings say of the flow. */
export function flowEstimates(run: Run, reading: Reading | null, s: FlowSources): Estimate[] {
  const out: Estimate[] = [];
  if (reading?.speed) {
    const { surfaceMps, xM, yM } = reading.speed;
    const flow = s.flowOfFloat(surfaceMps, xM, yM);
    if (flow !== null) out.push({ from: 'float', value: flow, sd: SD.float });
  }
  if (reading?.pace) {
    const surfaceMps = PACES[reading.pace] / (reading.paceTimes ?? 1);
    out.push({ from: 'pace by eye', value: s.flowOfPace(surfaceMps), sd: SD['pace by eye'] });
  }
  if (reading?.flowM3s) {
    // A gauge stands elsewhere: where its flow of the day the run was read is known, only its change counts.
    const known = run.flowM3s && s.read;
    out.push({
      from: 'gauge’s flow',
      value: known ? (s.read!.then * reading.flowM3s) / run.flowM3s! : reading.flowM3s,
      sd: known ? SD['gauge’s flow'] : SD['gauge alone'],
    });
  }
  return out;
}

/** Joins estimates one after the other and notes what each changed. Flows are joined as logarithms. */
export function weigh(of: ReadingEffect['of'], prior: Estimate, today: readonly Estimate[]) {
  const scale = of === 'flow' ? Math.log : (v: number) => v;
  const back = of === 'flow' ? Math.exp : (v: number) => v;
  const told: ReadingEffect[] = [];
  let best = { value: scale(prior.value), sd: prior.sd };
  today.forEach((e, i) => {
    // A flow measured today takes the place of what was carried over; levels are joined to what was told.
    const next = { value: scale(e.value), sd: e.sd };
    const after = of === 'flow' && i === 0 ? next : combine([best, next]);
    told.push({
      from: e.from,
      of,
      before: back(best.value),
      sdBefore: best.sd,
      after: back(after.value),
      sdAfter: after.sd,
    });
    best = after;
  });
  return { value: back(best.value), sd: best.sd, told };
}

/**
 * Readings that cannot all be right: one that stands further from the rest together than their doubts allow.
 *
 * Of two, the rougher is named; of more, the one furthest off.
 */
export function contradictions(of: ReadingEffect['of'], all: readonly Estimate[]): Contradiction[] {
  if (all.length < 2) return [];
  const scale = of === 'flow' ? Math.log : (v: number) => v;
  const off = all.map((e, i) => {
    const rest = all.filter((_, j) => j !== i).map((o) => ({ value: scale(o.value), sd: o.sd }));
    const c = combine(rest);
    return Math.abs(scale(e.value) - c.value) / Math.hypot(e.sd, c.sd);
  });
  if (Math.max(...off) <= APART) return [];
  const worst = all.length === 2 ? (all[0]!.sd >= all[1]!.sd ? 0 : 1) : off.indexOf(Math.max(...off));
  const rest = all.filter((_, j) => j !== worst);
  const others = combine(rest.map((o) => ({ value: scale(o.value), sd: o.sd }))).value;
  return [
    {
      of,
      culprit: all[worst]!.from,
      against: rest.map((o) => o.from),
      saidCulprit: all[worst]!.value,
      saidOthers: of === 'flow' ? Math.exp(others) : others,
    },
  ];
}
