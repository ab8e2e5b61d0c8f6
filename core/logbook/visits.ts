import { isRead } from '../water';
import type { Rig } from '../tackle';
import { type EventOf, type Happened, isTake } from './events';

/** A stay on one run, from the beginning to what was logged last on it. */
export interface Visit {
  readonly runId: string | null;
  readonly runName: string;
  readonly fromAt: number;
  readonly toAt: number;
  /** Casts that count, those that are only remembered among them. */
  readonly casts: number;
  readonly byHand: number;
  readonly takes: number;
  readonly landed: number;
  /** As it was read on it first, m against normal; null: it was not. */
  readonly levelM: number | null;
  readonly visibilityM: number | null;
  /** Whether its hours are known. */
  readonly timed: boolean;
}

type Open = { -readonly [K in keyof Visit]: Visit[K] };

/** The stays that events that stand tell of, in their order. */
export function visitsOf(events: readonly Happened[]): Visit[] {
  const visits: Open[] = [];
  let on: Open | null = null;
  const begin = (e: EventOf<'run start'>): Open => ({
    ...{ runId: e.runId, runName: e.runName, fromAt: e.at, toAt: e.at },
    ...{ casts: 0, byHand: 0, takes: 0, landed: 0, levelM: null, visibilityM: null, timed: true },
  });
  for (const e of events) {
    if (e.kind === 'run start') visits.push((on = begin(e)));
    if (!on) continue;
    on.toAt = Math.max(on.toAt, e.at);
    if (e.kind === 'cast') on.casts++;
    else if (e.kind === 'fouled') on.casts = Math.max(0, on.casts - 1);
    else if (e.kind === 'estimate') {
      on.casts += e.casts ?? 0;
      on.byHand += e.casts ?? 0;
      on.timed &&= e.timed;
      on.takes += e.takes;
      on.levelM ??= e.water?.levelM ?? null;
      on.visibilityM ??= e.water?.visibilityM ?? null;
    } else if (e.kind === 'reading') {
      on.levelM ??= e.reading.levelM;
      if (isRead(e.reading, 'visibility')) on.visibilityM ??= e.reading.visibilityM;
    } else if (e.kind === 'take' && isTake(e)) {
      on.takes++;
      if (e.what === 'landed') on.landed++;
    } else if (e.kind === 'run end') on = null;
  }
  return visits;
}

/** What happened on the run of a stay while it lasted. */
export const duringVisit = ({ runId, fromAt, toAt }: Visit, events: readonly Happened[]): Happened[] =>
  events.filter((e) => e.runId === runId && fromAt <= e.at && e.at <= toAt);

/** Whether more than the day is known of when an outing was. */
export const hoursKnown = (visits: readonly Pick<Visit, 'timed'>[]): boolean =>
  visits.length === 0 || visits.some((v) => v.timed);

/** What was tied on, by the key that entries carry. */
export const rigsOf = (events: readonly Happened[]): Map<string, Rig> =>
  new Map(events.flatMap((e) => (e.kind === 'rig' && e.rig ? [[e.rig, e.set] as const] : [])));

/** Entries that were told afterwards: when in their stay they were is not known. */
export function untimed(events: readonly Happened[]): Set<string> {
  const out = new Set<string>();
  let told = false;
  for (const e of events) {
    if (e.kind === 'estimate') told = true;
    else if (e.kind === 'cast' || e.kind === 'run start' || e.kind === 'run end') told = false;
    if (told && (e.kind === 'estimate' || e.kind === 'take')) out.add(e.id);
  }
  return out;
}
