import type { CastPlan } from '@/core/cast';
import type { GaugePoint } from '@/core/gauge';
import { riverThen, type RiverThen } from '@/core/gauge/then';
import type { LogEvent, TakeKind, TakePlace } from '@/core/logbook';
import { normal, radians, seeded } from '@/core/maths';
import type { FlyColour, Rig } from '@/core/tackle';
import { clarity, type Reading, type Run, type Sky, TYPICAL_DAY, type WaterColour } from '@/core/water';
import type { Outing, Water } from '@/store/records';

import { KIT, kitItem } from './kit';
import { stageOf } from './river/river';
import { stationNamed } from './stations';
import { RUNS, WATERS } from './waters';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '@/core/units';

/**
 * What is true in the invented scenario, so that what Learn finds can be held against what was put in: takes a cast
 * are `baseRate`, times the effect of the fly's colour in that water, times 0.5 outside 7 to 17 °C.
 */
const TRUTH = {
  baseRate: 0.013,
  /** In water seen into two feet or less. */
  dirty: { black: 2.4, 'black and blue': 2, white: 0.4, olive: 0.5 } as Partial<Record<FlyColour, number>>,
  /** In all other water. */
  clear: { olive: 1.8, tan: 1.3, black: 0.6, orange: 0.7 } as Partial<Record<FlyColour, number>>,
  coldOrWarm: 0.5,
  hookedShare: 0.55,
  landedShare: 0.7,
  juvenileRate: 0.006,
  bedRate: 0.02,
  fouledRate: 0.01,
} as const;

const OUTINGS = 40;
/** The waters that were fished, the first of all; the others are new to the angler. */
const FISHED = 3;
const SEED = 19;

const colourOf = (vis: number, peaty: boolean): WaterColour =>
  peaty && vis > 0.4
    ? 'tea'
    : vis > 1.8
      ? 'clear'
      : vis > 1.1
        ? 'green'
        : vis > 0.7
          ? 'blue-green'
          : vis > 0.3
            ? 'grey-brown'
            : 'brown soup';

function rigFor(rand: () => number, waterId: string): Rig {
  const flies = KIT.filter((k) => k.type === 'fly').filter((f) => waterId !== 'talluquin' || f.weight === 'none');
  const small = waterId === 'pimmeril';
  // Anglers have favourites: the first half of the box is tied on twice as often.
  const fly = flies[Math.floor(flies.length * rand() ** 1.5)]!;
  const tips = KIT.filter((k) => k.type === 'tip');
  return {
    rod: kitItem('rod', small ? 'rod-4' : rand() < 0.6 ? 'rod-7' : 'rod-6'),
    head: kitItem('head', small ? 'head-taper-4' : 'head-short'),
    tip: small && rand() < 0.5 ? null : tips[Math.floor(tips.length * rand())]!,
    leader: kitItem('leader', small ? 'leader-fine' : 'leader-short'),
    fly,
    droppers: [],
    lineClean: true,
  };
}

interface History {
  readonly outings: readonly Outing[];
  readonly readings: readonly Reading[];
  readonly logs: readonly { readonly outingId: string; readonly events: LogEvent[] }[];
}

/**
 * Two past seasons of outings before `now` (ms UTC): forty of them, about 4,000 casts, from one seed. Level, temperature
 * and clarity are those of the simulated stations on the day.
 */
export function makeHistory(now: number): History {
  const rand = seeded(SEED);
  const outings: Outing[] = [];
  const readings: Reading[] = [];
  const logs: { outingId: string; events: LogEvent[] }[] = [];
  const today = Math.floor(now / DAY_MS);
  for (let n = 0; n < OUTINGS; n++) {
    const water = WATERS[n % FISHED]!;
    const start =
      seasonDay(today, n, water.rules!.season!, rand) * DAY_MS + Math.round((5 + 9 * rand()) * 60) * MINUTE_MS;
    const outingId = `demo-${String(n + 1).padStart(2, '0')}`;
    const runs = RUNS.filter((r) => r.waterId === water.id);
    const events: LogEvent[] = [];
    let at = start;
    let rigs = 0;
    let rigKey = '';
    let rig: Rig | null = null;
    let runId = '';
    let x = 0;
    let serial = 0;
    const push = (body: Record<string, unknown>) => {
      events.push({ id: `${outingId}-${++serial}`, at, runId, xM: x, yM: 1, rig: rigKey || null, ...body } as LogEvent);
    };
    const tieOn = () => {
      rig = rigFor(rand, water.id);
      rigKey = `${outingId}-rig-${++rigs}`;
      push({ kind: 'rig', set: rig });
    };
    const visits = rand() < 0.5 ? 1 : 2;
    for (let k = 0; k < visits; k++) {
      const run = runs[Math.floor(runs.length * rand())]!;
      runId = run.id;
      x = 0;
      push({ kind: 'run start', runName: run.name });
      if (!rig) tieOn();
      const reading = readingOn(water, run.id, at, rand);
      readings.push(reading);
      push({ kind: 'reading', reading, river: riverAt(water, at) });
      const reachM = reachOn(run);
      const casts = Math.round((run.lengthM / 1.5) * (1.05 + 0.58 * rand())) + (water.id === 'pimmeril' ? 25 : 5);
      for (let i = 0; i < casts; i++) {
        at += Math.round((35 + 45 * rand()) * 1000);
        if (rand() < 1 / 45) {
          at += 3 * MINUTE_MS;
          tieOn();
        }
        if (i > 6) {
          const byM = Math.min(1.5, run.lengthM - x);
          if (byM > 0.2) {
            x += byM;
            push({ kind: 'step', byM });
          }
        }
        const outM = Math.round(10 * Math.min(18, reachM, 8 + 0.6 * i)) / 10;
        const plan: CastPlan = { xM: x, yM: 1, outM, angleDeg: ANGLE_DEG, mendM: rand() < 0.3 ? 1 : 0, rod: 'follow' };
        push({ kind: 'cast', plan });
        at += 20_000;
        if (rand() < TRUTH.fouledRate) push({ kind: 'fouled' });
        if (rand() < TRUTH.bedRate) push({ kind: rand() < 0.1 ? 'hang-up' : 'bed' });
        if (rand() < TRUTH.juvenileRate) push(take(rand, true, water.quarry));
        if (rand() < trueRate(rig!.fly.colour, reading)) {
          push(take(rand, false, water.quarry));
          at += 4 * MINUTE_MS;
        }
      }
      push({ kind: 'run end' });
      at += 15 * MINUTE_MS;
    }
    outings.push({ id: outingId, waterId: water.id, startedAt: start, endedAt: at, notes: '' });
    logs.push({ outingId, events });
  }
  return { outings, readings, logs };
}

/** At what angle the history casts, degrees from straight downstream, and what of the far side stays dry at low water, m. */
const ANGLE_DEG = 60;
const DRY_M = 2.5;
/** How much line goes over a run's narrowest water, m. */
const reachOn = (run: Run): number =>
  (Math.min(...run.sections.map((s) => s.points.at(-1)!.yM)) - DRY_M) / Math.sin(radians(ANGLE_DEG));

/** Takes a cast that the scenario puts in. */
export function trueRate(colour: FlyColour, r: Pick<Reading, 'visibilityM' | 'waterTempC'>): number {
  const state = clarity(r.visibilityM);
  const effects = state === 'dirty' || state === 'mud' ? TRUTH.dirty : TRUTH.clear;
  const temp = r.waterTempC ?? TYPICAL_DAY.waterTempC;
  return TRUTH.baseRate * (effects[colour] ?? 1) * (temp < 7 || temp > 17 ? TRUTH.coldOrWarm : 1);
}

/** A day within the season, spread over the two years before today. */
function seasonDay(today: number, n: number, season: { from: string; to: string }, rand: () => number): number {
  const inSeason = (day: number) => {
    const md = new Date(day * DAY_MS).toISOString().slice(5, 10);
    return season.from <= season.to ? md >= season.from && md <= season.to : md >= season.from || md <= season.to;
  };
  let day = today - 2 - Math.floor(((n + rand()) / OUTINGS) * 728);
  while (!inSeason(day)) day = day - 7 > today - 760 ? day - 7 : day + 371;
  return Math.min(day, today - 1);
}

/** How deep one stands at the hip, m. */
const HIP_M = 1;
/** A reading as an angler makes it: a little off the truth of the simulated river, which nobody sees but so. */
function readingOn(water: Water, runId: string, at: number, rand: () => number): Reading {
  const { river, station, normalStageM } = stationNamed(water.stationId!)!;
  const truth = river(at);
  const vis = truth.visibilityM * Math.exp(0.12 * normal(rand));
  // Where the toes are still seen at the hip one lowers a fly from the rod on some days only.
  const toes = vis > HIP_M && Math.floor(at / MINUTE_MS) % 2 === 0;
  const skies: Sky[] = ['bright', 'broken', 'overcast', 'overcast', 'yellow'];
  return {
    id: `reading-${runId}-${at}`,
    runId,
    at,
    levelM: Math.round((stageOf(station, truth.flowM3s) - normalStageM) * 100) / 100,
    visibilityM: toes ? HIP_M : Math.round(vis * 20) / 20,
    atLeast: toes,
    colour: colourOf(vis, water.river?.peaty ?? false),
    speed: null,
    waterTempC: Math.round(truth.tempC * 10) / 10,
    sky: skies[Math.floor(skies.length * rand())]!,
  };
}

/** How long a gauge is looked back over, d. */
const LATELY_D = 7;
/** How a water went by its gauge when it was read. */
function riverAt(water: Water, at: number): RiverThen {
  const { river, station } = stationNamed(water.stationId!)!;
  const points = Array.from({ length: LATELY_D * 24 + 1 }, (_, i): GaugePoint => {
    const hour = at - (LATELY_D * 24 - i) * HOUR_MS;
    const { flowM3s, rainMm, tempC } = river(hour);
    return { at: hour, stageM: stageOf(station, flowM3s), flowM3s, rainMm, tempC };
  });
  return riverThen(points, at)!;
}

function take(rand: () => number, juvenile: boolean, quarry: string) {
  const places: TakePlace[] = [
    'coming tight',
    'mid-swing',
    'mid-swing',
    'soft inside',
    'soft inside',
    'dangle',
    'lift',
  ];
  const hooked = rand() < TRUTH.hookedShare;
  const landed = hooked && rand() < TRUTH.landedShare;
  const what: TakeKind = juvenile ? 'pluck' : landed ? 'landed' : hooked ? 'lost' : rand() < 0.5 ? 'pluck' : 'thump';
  const length = { 'brown trout': 0.27, 'sea trout': 0.42, steelhead: 0.68, 'rainbow trout': 0.34 }[quarry] ?? 0.35;
  return {
    kind: 'take',
    where: places[Math.floor(places.length * rand())]!,
    sign: 'felt',
    what,
    juvenile,
    fish:
      landed && !juvenile
        ? {
            species: quarry,
            lengthM: Math.round(100 * length * Math.exp(0.18 * normal(rand))) / 100,
            sex: null,
            condition: '',
            origin: null,
          }
        : null,
  };
}
