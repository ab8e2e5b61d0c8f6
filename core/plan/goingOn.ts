import { MINUTE_MS } from '../units';
import { type Leg, planDay } from './day';
import type { DayAsk, Stop } from './dayAsk';
import { proposeStops } from './propose';
import { minuteOfDay } from './spans';
import { walkMinBetween } from './walks';

/** Where one is in a day’s plan. */
interface GoingOn {
  /** Until when this run is fished by the plan, ms UTC. */
  readonly untilAt: number;
  /** The run after it; null: it is the last. */
  readonly next: Leg | null;
  /** How long one has stayed on beyond it, minutes. */
  readonly lateMin: number;
}

/** The stop of a run that is gone by at a moment: the last one that has begun, or its first. */
function stopOf(legs: readonly Leg[], stops: readonly Stop[], runId: string, now: number): Leg | null {
  const here = legs.filter((l) => {
    const stop = l.stop === undefined ? null : stops[l.stop];
    return stop?.kind === 'run' && stop.runId === runId;
  });
  return here.findLast((l) => l.fromAt <= now) ?? here[0] ?? null;
}

/** Where one is in a day’s plan on a run; null where the run is not in it. */
export function goingOn(legs: readonly Leg[], stops: readonly Stop[], runId: string, now: number): GoingOn | null {
  const here = stopOf(legs, stops, runId, now);
  if (!here) return null;
  return {
    untilAt: here.toAt,
    next: legs.find((l) => l.kind === 'run' && l.fromAt >= here.toAt) ?? null,
    lateMin: Math.max(0, Math.round((now - here.toAt) / MINUTE_MS)),
  };
}

/**
 * The plan of a day from where one is: what was fished as it was, this run from when it was begun, then the runs that are left, each when
 * it suits.
 *
 * @param begunAt when this run was begun, ms UTC
 * @param stops the plan until now; none: there was none
 * @param stayMin how long one stays on here from now on, minutes
 */
export function laidAnew(
  a: DayAsk,
  stops: readonly Stop[],
  { runId, begunAt, now, stayMin }: { runId: string; begunAt: number; now: number; stayMin: number },
): { readonly stops: readonly Stop[]; readonly leaveMin: number } {
  const at = stops.findLastIndex((s) => s.kind === 'run' && s.runId === runId);
  const before = at < 0 ? [] : stops.slice(0, at);
  const fished = new Set([runId, ...before.flatMap((s) => (s.kind === 'run' ? [s.runId] : []))]);
  const runs = a.runs.filter((r) => !fished.has(r.runId));
  const freeAt = now + stayMin * MINUTE_MS;
  const walks = runs.map((r) => walkMinBetween(a, runId, r.runId));
  // One stands on the water already: there is no road, and from the road no walk.
  const rest = proposeStops({
    ...a,
    runs,
    driveMin: 0,
    backBy: a.backBy === null ? null : a.backBy - a.driveMin * MINUTE_MS, // the road home is still there
    notBefore: freeAt + (Math.min(...walks, a.walkMin) - a.walkMin) * MINUTE_MS,
  });
  const here: Stop = { kind: 'run', runId, minutes: Math.max(1, Math.round((freeAt - begunAt) / MINUTE_MS)) };
  const laid = [...before, here, ...rest];
  // So that this run begins when it did.
  const { legs, leaveAt } = planDay(a, laid, 0);
  const begins = legs.find((l) => l.stop === before.length)!.fromAt;
  return { stops: laid, leaveMin: Math.max(0, Math.round(minuteOfDay(begunAt - (begins - leaveAt)))) };
}
