import type { FishingWindow } from './hours';
import type { Breach } from '../rules';
import { outOfWater, type Release, releasesOn } from './dam';
import { type Span, spanOn } from './spans';
import { HOUR_MS, MINUTE_MS } from '../units';

export type Stop =
  | { readonly kind: 'run'; readonly runId: string; readonly minutes: number }
  | { readonly kind: 'break'; readonly minutes: number };

/** A run that may be fished that day. */
export interface RunToFish {
  readonly runId: string;
  readonly name: string;
  /** What it takes to cover, minutes. */
  readonly minutes: number;
  /** What speaks for it, more for the better. */
  readonly worth: number;
  /** Why it may not be fished, or null. */
  readonly barred: Breach | null;
}

export interface DayAsk {
  /** First moment of the local day, ms UTC. */
  readonly dayStart: number;
  /** Nobody can leave before: now, where the day is today. */
  readonly notBefore: number;
  /** Hours to fish, in their order. */
  readonly windows: readonly FishingWindow[];
  readonly driveMin: number;
  /** From the road to the first run, from run to run, and back. */
  readonly walkMin: number;
  readonly runs: readonly RunToFish[];
  /** When the dam above releases water. */
  readonly releases: readonly Span[];
  readonly lastLightAt: number | null;
  /** Hours that reach beyond it end at their best, with the dusk; null: none do. */
  readonly sunsetAt: number | null;
  /** Rain foretold between two moments, mm; null: not known. */
  readonly rainMm: ((from: number, to: number) => number) | null;
}

export interface Leg {
  readonly kind: 'drive' | 'walk' | 'run' | 'break' | 'walk back' | 'back';
  readonly fromAt: number;
  readonly toAt: number;
  /** Of its stop: which of the list. */
  readonly stop?: number;
  /** Of a run; empty: it is no longer there, or it is none. */
  readonly name: string;
}

interface PlannedDay {
  readonly stops: readonly Stop[];
  readonly legs: readonly Leg[];
  readonly leaveAt: number;
  readonly backAt: number;
  /** What to beware of, the gravest first. */
  readonly cautions: readonly DayCaution[];
}

/** What to beware of on a day; moments in ms UTC. */
export type DayCaution =
  | { readonly code: 'closed run'; readonly run: string; readonly breach: Breach }
  | ({ readonly code: 'dam release'; readonly runs: readonly string[] } & Release)
  | { readonly code: 'dark'; readonly fromAt: number; readonly backAt: number }
  | { readonly code: 'rain'; readonly mm: number }
  | { readonly code: 'long day'; readonly hours: number }
  | { readonly code: 'more road than water'; readonly roadMin: number; readonly fishedMin: number };

/** A run that is left no longer than this is not begun, minutes (assumed). */
const LEAST_RUN_MIN = 20;
/** A run is rested before it is fished again, minutes, and fished so often at most (common practice, no source). */
const [REST_MIN, MOST_TIMES] = [45, 2];
/** So much rain while one is out, mm, and a river may rise under one (common practice, no source). */
const RAIN_MM = 8;
/** A drive home after so long a day is a danger of its own, h (assumed). */
const LONG_DAY_H = 14;

/** The runs in an order and the breaks between them, filled into the hours to fish: the best first, each as long as it takes; when all
 * have been fished and hours are left, once more. */
export function proposeStops(a: DayAsk): Stop[] {
  const windows = openWindows(a);
  const all = fishable(a);
  let left = [...all];
  let times = 1;
  const again = (): boolean => {
    if (times === MOST_TIMES || all.length === 0) return false;
    times++;
    left = [...all];
    return true;
  };
  const stops: Stop[] = [];
  /** To the next run; none where it is the one that one stands at. */
  const walkOn = (): number => {
    const last = stops.findLast((s) => s.kind === 'run');
    return last && last.runId === (left[0] ?? all[0])?.runId ? 0 : a.walkMin;
  };
  /** Minutes that are left to fish: runs, and the rests before they are fished again. */
  const toFish = (): number => {
    const more = MOST_TIMES - times;
    const rests = Math.max(0, left.length > 0 ? more : more - 1);
    return minutesOf(a, left) + more * minutesOf(a, all) + rests * REST_MIN;
  };
  let at = windows[0] ? forDusk(a, windows[0], toFish()).fromAt : 0;
  for (const open of windows) {
    const w = forDusk(a, open, toFish());
    // One walks on in the lull, so as to stand there when the next hours begin.
    const lull = Math.ceil((w.fromAt - at) / MINUTE_MS) - walkOn();
    if (left.length === 0 && lull >= REST_MIN && !again()) break;
    const waits = stops.length > 0 && lull > 0 && left.length > 0;
    if (waits) stops.push({ kind: 'break', minutes: lull });
    let walk = stops.length > 0 && !waits ? walkOn() : 0;
    if (waits) at += (lull + walkOn()) * MINUTE_MS;
    else if (stops.length === 0) at = w.fromAt;
    for (;;) {
      const room = Math.floor((w.toAt - at) / MINUTE_MS - walk);
      if (left.length === 0) {
        if (open !== windows.at(-1) || room < REST_MIN + LEAST_RUN_MIN || !again()) break;
        stops.push({ kind: 'break', minutes: REST_MIN });
        at += REST_MIN * MINUTE_MS;
        walk = walkOn();
        continue;
      }
      if (room < LEAST_RUN_MIN) break;
      const run = left.shift()!;
      const minutes = Math.min(run.minutes, room);
      stops.push({ kind: 'run', runId: run.runId, minutes });
      at += (walk + minutes) * MINUTE_MS;
      walk = walkOn();
    }
  }
  return stops;
}

/** What runs take one after the other, with the walks between them. */
const minutesOf = (a: DayAsk, runs: readonly RunToFish[]): number =>
  runs.reduce((sum, r) => sum + r.minutes + a.walkMin, 0) - (runs.length > 0 ? a.walkMin : 0);

/** Hours that end with the dusk are fished to their end: where the runs do not fill them one begins later. */
function forDusk(a: DayAsk, w: FishingWindow, minutes: number): FishingWindow {
  if (a.sunsetAt === null || w.toAt <= a.sunsetAt) return w;
  return { ...w, fromAt: Math.max(w.fromAt, w.toAt - Math.max(LEAST_RUN_MIN, minutes) * MINUTE_MS) };
}

const fishable = (a: DayAsk): RunToFish[] => a.runs.filter((r) => r.barred === null).sort((x, y) => y.worth - x.worth);

const without = (w: FishingWindow, gone: FishingWindow): FishingWindow[] =>
  gone.toAt <= w.fromAt || gone.fromAt >= w.toAt
    ? [w]
    : [
        { fromAt: w.fromAt, toAt: gone.fromAt },
        { fromAt: gone.toAt, toAt: w.toAt },
      ].filter((part) => part.toAt > part.fromAt);

/** The hours to fish that can still be reached, none during a dam release and the hour after. */
function openWindows(a: DayAsk): FishingWindow[] {
  const { dayStart, windows, releases, notBefore, driveMin, walkMin } = a;
  const there = notBefore + (driveMin + walkMin) * MINUTE_MS;
  const dark = (a.lastLightAt ?? Infinity) - walkMin * MINUTE_MS;
  return outOfWater(dayStart, releases)
    .reduce((open, wet) => open.flatMap((w) => without(w, wet)), windows)
    .map((w) => ({ fromAt: Math.max(w.fromAt, there), toAt: Math.min(w.toAt, dark) }))
    .filter((w) => w.toAt - w.fromAt >= LEAST_RUN_MIN * MINUTE_MS);
}

/** Minutes of one stretch of hours that the runs do not fill: one begins so much later, and fishes it to its end. */
function slackMin(a: DayAsk, open: FishingWindow): number {
  const leaveAt = open.fromAt - (a.driveMin + a.walkMin) * MINUTE_MS;
  const fished = legsOf(a, proposeStops(a), leaveAt).findLast((l) => l.kind === 'run');
  return fished ? Math.max(0, Math.floor((open.toAt - fished.toAt) / MINUTE_MS)) : 0;
}

/** When to leave so as to stand at the first run as the hours begin. */
export function leaveFor(a: DayAsk): number {
  const windows = openWindows(a);
  const all = minutesOf(a, fishable(a));
  const open = windows[0] && forDusk(a, windows[0], MOST_TIMES * all + REST_MIN);
  const later = open && windows.length === 1 ? slackMin(a, open) * MINUTE_MS : 0;
  const first = open ? open.fromAt + later : (a.windows[0]?.fromAt ?? a.dayStart);
  return Math.max(a.notBefore, first - (a.driveMin + a.walkMin) * MINUTE_MS);
}

/**
 * A day by the clock: the drive, walks, runs and breaks one after the other, and what there is to beware of.
 *
 * @param leaveMin minutes since midnight; null: so as to be there when the hours begin
 */
export function planDay(a: DayAsk, stops: readonly Stop[], leaveMin: number | null): PlannedDay {
  const leaveAt = leaveMin === null ? leaveFor(a) : spanOn(a.dayStart, { fromMin: leaveMin, toMin: 1440 }).fromAt;
  const legs = legsOf(a, stops, leaveAt);
  const fishedUntil = legs.findLast((l) => l.kind === 'run')?.toAt ?? leaveAt;
  return { stops, legs, leaveAt, backAt: legs.at(-1)?.toAt ?? leaveAt, cautions: cautionsOf(a, legs, fishedUntil) };
}

/** The parts of a day one after the other. */
function legsOf(a: DayAsk, stops: readonly Stop[], leaveAt: number): Leg[] {
  const names = new Map(a.runs.map((r) => [r.runId, r.name]));
  const legs: Leg[] = [];
  let at = leaveAt;
  const add = (kind: Leg['kind'], minutes: number, name = '', stop?: number) => {
    if (minutes <= 0) return;
    legs.push({ kind, fromAt: at, toAt: at + minutes * MINUTE_MS, name, ...(stop === undefined ? null : { stop }) });
    at += minutes * MINUTE_MS;
  };
  add('drive', a.driveMin);
  stops.forEach((stop, i) => {
    if (stop.kind === 'break') return add('break', stop.minutes, '', i);
    const before = stops.slice(0, i).findLast((s) => s.kind === 'run');
    // Coming back to the same run one has not gone away.
    if (before?.kind !== 'run' || before.runId !== stop.runId) add('walk', a.walkMin);
    add('run', stop.minutes, names.get(stop.runId) ?? '', i);
  });
  if (stops.length > 0) add('walk back', a.walkMin);
  add('back', a.driveMin);
  return legs;
}

function cautionsOf(a: DayAsk, legs: readonly Leg[], fishedUntil: number): DayCaution[] {
  const out: DayCaution[] = [];
  const runs = legs.filter((l) => l.kind === 'run');
  const barred = new Map(a.runs.flatMap((r) => (r.barred ? [[r.name, r.barred] as const] : [])));
  for (const run of new Set(runs.map((l) => l.name))) {
    const breach = barred.get(run);
    if (breach) out.push({ code: 'closed run', run, breach });
  }
  for (const release of releasesOn(a.dayStart, a.releases)) {
    const met = runs.filter((l) => l.fromAt < release.clearAt && l.toAt > release.fromAt);
    if (met.length > 0) out.push({ code: 'dam release', runs: [...new Set(met.map((l) => l.name))], ...release });
  }
  if (a.lastLightAt !== null && runs.length > 0) {
    const walked = fishedUntil + a.walkMin * MINUTE_MS;
    if (walked > a.lastLightAt) out.push({ code: 'dark', fromAt: a.lastLightAt, backAt: walked });
  }
  const first = runs[0];
  if (a.rainMm && first) {
    // What fell in the hours before comes down while one is there.
    const mm = Math.round(a.rainMm(first.fromAt - 6 * HOUR_MS, fishedUntil));
    if (mm >= RAIN_MM) out.push({ code: 'rain', mm });
  }
  const fishedMin = runs.reduce((sum, l) => sum + l.toAt - l.fromAt, 0) / MINUTE_MS;
  const hours = legs.length > 0 ? (legs.at(-1)!.toAt - legs[0]!.fromAt) / MINUTE_MS / 60 : 0;
  if (hours >= LONG_DAY_H) out.push({ code: 'long day', hours });
  if (runs.length > 0 && 2 * a.driveMin > fishedMin)
    out.push({ code: 'more road than water', roadMin: 2 * a.driveMin, fishedMin });
  return out;
}
