import { useIsFocused, useRouter } from 'expo-router';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { CastPlan } from '@/core/cast';
import { type EventBody, fold, type LogEvent, onRun } from '@/core/logbook';
import type { Rig } from '@/core/tackle';
import { HOUR_MS } from '@/core/units';
import type { Reading, Run } from '@/core/water';

import { append, patch, put } from '@/store/changes';
import type { Outcome } from '@/store/database';
import { askToKeep } from '@/store/keeping';
import { newId, ofSession, useCommit, useEvents, useRecord, useSession } from '@/store/hooks';
import type { Outing, Water } from '@/store/records';
import { useNow } from '../shared/useNow';
import { useRiverThen } from './useRiverThen';

/** By then what was stored has come back to the screen, ms. */
const SHOWN_MS = 1000;

/** A day that was not ended. */
interface Forgotten {
  readonly startedAt: number;
  readonly lastAt: number;
  readonly casts: number;
  /** Ends it with its last entry. */
  readonly end: () => Promise<Outcome>;
  readonly goOn: () => void;
}
/** Who fishes through midnight goes on. */
const AWAY_MS = 6 * HOUR_MS;
const wasLeft = (lastAt: number, now: number): boolean =>
  now - lastAt > AWAY_MS && new Date(lastAt).toDateString() !== new Date(now).toDateString();

/** Fishing one run: where one is in it, what to do next, and the ways to log what happens. */
export function useOuting(run: Run | null | undefined, water: Pick<Water, 'id' | 'stationId'> | null) {
  const router = useRouter();
  const river = useRiverThen(water?.stationId ?? null);
  const [session] = useSession();
  const outingId = session?.outingId ?? null;
  const events = useEvents(outingId);
  const outing = useRecord('outing', outingId);
  const commit = useCommit();
  const now = useNow();
  const [goesOn, setGoesOn] = useState(false);
  const focused = useIsFocused();
  const isHere = useRef(focused);
  useEffect(() => void (isHere.current = focused), [focused]);
  // Without its record nothing could be logged: then no button says that it was.
  const state = useMemo(() => (events && run && outing ? onRun(events, run.id) : null), [events, run, outing]);
  /** Logged and not yet shown as stored. */
  const onTheWay = useRef<readonly LogEvent[]>([]);

  /** The state with what is on its way: the next of two quick taps must not repeat the first. */
  const latest = () => {
    if (!events || !run) return state;
    const known = new Set(events.map((e) => e.id));
    return onRun([...events, ...onTheWay.current.filter((e) => !known.has(e.id))], run.id);
  };

  /** Stores events of an outing, with the outing itself where it is new or has gone. */
  const store = async (day: Outing, isNew: boolean, added: readonly LogEvent[]): Promise<Outcome> => {
    onTheWay.current = [...onTheWay.current, ...added];
    const logged = append(day.id, added, day);
    try {
      return await (isNew ? commit(put('outing', day), logged, ofSession({ outingId: day.id })) : commit(logged));
    } finally {
      // Kept until the list that is read shows them: a little longer does no harm, ids tell them apart.
      setTimeout(() => (onTheWay.current = onTheWay.current.filter((e) => !added.includes(e))), SHOWN_MS);
    }
  };

  const stamp = useCallback(
    (
      body: EventBody,
      at: { xM: number | null; yM: number | null; rig: string | null },
      runId: string | null,
    ): LogEvent => ({ id: newId(), at: Date.now(), runId, ...at, ...body }) as LogEvent,
    [],
  );

  /** A reading as it is logged, with how the river goes. */
  const readingBody = (reading: Reading) => ({ kind: 'reading', reading, ...(river && { river }) }) as const;

  const start = async (rig: Rig, reading: Reading, plan: CastPlan) => {
    if (!run || !water) return;
    const key = newId();
    const at = { xM: plan.xM, yM: plan.yM, rig: key };
    const outcome = await store(
      outing ?? { id: newId(), waterId: water.id, startedAt: Date.now(), endedAt: null, notes: '' },
      !outing,
      [
        stamp({ kind: 'run start', runName: run.name }, at, run.id),
        stamp({ kind: 'rig', set: rig }, at, run.id),
        stamp(readingBody(reading), at, run.id),
      ],
    );
    if (outcome === 'stored') void askToKeep();
  };

  /** Logs what happened where one stands; null where no outing is open. */
  const log = async (plan: CastPlan, ...bodies: EventBody[]): Promise<Outcome | null> => {
    if (!outing || !run) return null;
    const at = { xM: plan.xM, yM: plan.yM, rig: latest()?.rigKey ?? null };
    return store(
      outing,
      false,
      bodies.map((b) => stamp(b, at, run.id)),
    );
  };

  const changeRig = async (plan: CastPlan, rig: Rig): Promise<Outcome | null> => {
    if (!outing || !run) return null;
    const at = { xM: plan.xM, yM: plan.yM, rig: newId() };
    return store(outing, false, [stamp({ kind: 'rig', set: rig }, at, run.id)]);
  };

  /** The end of a day opens what it came to, unless one has gone elsewhere meanwhile. */
  const leave = async (plan: CastPlan, endDay: boolean) => {
    if (!endDay) return void (state && (await log(plan, { kind: 'run end' })));
    if (!outing || !run) return;
    const at = { xM: plan.xM, yM: plan.yM, rig: latest()?.rigKey ?? null };
    await end(outing, state ? [stamp({ kind: 'run end' }, at, run.id)] : []);
    if (isHere.current) router.navigate({ pathname: '/learn/[outing]', params: { outing: outing.id } });
  };
  /** All that ends a day is one: a page that goes meanwhile leaves it ended, or as it was. */
  const end = (day: Outing, last: readonly LogEvent[], at?: number) =>
    commit(
      ...(last.length > 0 ? [append(day.id, last, day)] : []),
      patch('outing', day.id, { endedAt: at ?? Date.now() }, day),
      ofSession({ outingId: null }),
    );

  /** A day before this one that nobody ended, until it was asked about. */
  const lastAt = events?.at(-1)?.at ?? outing?.startedAt ?? now;
  const left = outing && events && !goesOn && wasLeft(lastAt, now) ? outing : null;
  const forgotten: Forgotten | null = left && {
    ...{ startedAt: left.startedAt, lastAt, casts: fold(events!).tally.casts },
    end: () => end(left, [], lastAt),
    goOn: () => setGoesOn(true),
  };

  return {
    loading: !session || (outingId !== null && (events === undefined || outing === undefined)),
    outingId: outing?.id ?? null,
    state,
    latest,
    start,
    readingBody,
    log,
    changeRig,
    leave,
    forgotten,
  };
}
