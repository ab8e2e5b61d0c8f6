import type { Breach } from '../rules';
import { HOUR_MS, MINUTE_MS } from '../units';
import { type Release, releasesOn } from './dam';
import type { DayAsk, Stop } from './dayAsk';
import { atHomeMin, LONG_DAY_H, propose } from './propose';
import { spanOn } from './spans';
import { walkBackMin, walkMinBetween } from './walks';

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
  /** Both ends of the day would be too long: one of them is planned. */
  | { readonly code: 'one end'; readonly hours: number }
  | { readonly code: 'more road than water'; readonly roadMin: number; readonly fishedMin: number };

/** The water with least road, where that is less by a third than the one that is planned (assumed); null: none is. */
export function nearerThan<W extends { readonly id: string; readonly driveMin?: number | null }>(
  water: W,
  all: readonly W[],
): (W & { readonly driveMin: number }) | null {
  const far = water.driveMin ?? null;
  const near = all.filter(
    (w): w is W & { readonly driveMin: number } => typeof w.driveMin === 'number' && w.id !== water.id,
  );
  const [least] = [...near].sort((a, b) => a.driveMin - b.driveMin);
  return far !== null && least && least.driveMin <= NEARER * far ? least : null;
}
const NEARER = 2 / 3;

/** So much rain while one is out, mm, and a river may rise under one (common practice, no source). */
const RAIN_MM = 8;
/**
 * A day by the clock: the drive, walks, runs and breaks one after the other, and what there is to beware of.
 *
 * @param leaveMin minutes since midnight; null: so as to be there when the hours begin
 */
export function planDay(a: DayAsk, stops: readonly Stop[], leaveMin: number | null): PlannedDay {
  const proposal = propose(a);
  const leaveAt = leaveMin === null ? proposal.leaveAt : spanOn(a.dayStart, { fromMin: leaveMin, toMin: 1440 }).fromAt;
  const legs = legsOf(a, stops, leaveAt);
  const fishedUntil = legs.findLast((l) => l.kind === 'run')?.toAt ?? leaveAt;
  const cautions = cautionsOf(a, stops, legs, fishedUntil);
  const asProposed = stops.length > 0 && JSON.stringify(stops) === JSON.stringify(proposal.stops);
  if (asProposed && proposal.wholeH >= LONG_DAY_H && !cautions.some((c) => c.code === 'long day'))
    cautions.push({ code: 'one end', hours: proposal.wholeH });
  return { stops, legs, leaveAt, backAt: legs.at(-1)?.toAt ?? leaveAt, cautions };
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
    add('walk', before?.kind === 'run' ? walkMinBetween(a, before.runId, stop.runId) : a.walkMin);
    add('run', stop.minutes, names.get(stop.runId) ?? '', i);
  });
  const ran = stops.flatMap((s) => (s.kind === 'run' ? [s.runId] : []));
  if (stops.length > 0) add('walk back', ran.length > 0 ? walkBackMin(a, ran[0]!, ran.at(-1)!) : a.walkMin);
  add('back', a.driveMin);
  return legs;
}

function cautionsOf(a: DayAsk, stops: readonly Stop[], legs: readonly Leg[], fishedUntil: number): DayCaution[] {
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
    const walked = legs.find((l) => l.kind === 'walk back')?.toAt ?? fishedUntil;
    if (walked > a.lastLightAt) out.push({ code: 'dark', fromAt: a.lastLightAt, backAt: walked });
  }
  const first = runs[0];
  if (a.rainMm && first) {
    // What fell in the hours before comes down while one is there.
    const mm = Math.round(a.rainMm(first.fromAt - 6 * HOUR_MS, fishedUntil));
    if (mm >= RAIN_MM) out.push({ code: 'rain', mm });
  }
  const fishedMin = runs.reduce((sum, l) => sum + l.toAt - l.fromAt, 0) / MINUTE_MS;
  const hours = legs.length > 0 ? (legs.at(-1)!.toAt - legs[0]!.fromAt) / HOUR_MS - atHomeMin(a, stops) / 60 : 0;
  if (hours >= LONG_DAY_H) out.push({ code: 'long day', hours });
  if (runs.length > 0 && 2 * a.driveMin > fishedMin)
    out.push({ code: 'more road than water', roadMin: 2 * a.driveMin, fishedMin });
  return out;
}
