import { useCallback, useMemo, useRef } from 'react';
import type { CastPlan } from '@/core/cast';
import { type EventBody, type LogEvent, onRun } from '@/core/logbook';
import type { Rig } from '@/core/tackle';
import type { Reading, Run } from '@/core/water';

import { newId, useAppend, useEvents, useSave, useSession } from '@/store/hooks';

/** By then what was stored has come back to the screen, ms. */
const SHOWN_MS = 1000;

/** Fishing one run: where one is in it, what to do next, and the ways to log what happens. */
export function useOuting(run: Run | null | undefined, waterId: string | null) {
  const [session, setSession] = useSession();
  const outingId = session?.outingId ?? null;
  const events = useEvents(outingId);
  const append = useAppend();
  const { put, update } = useSave('outing');
  const state = useMemo(() => (events && run ? onRun(events, run.id) : null), [events, run]);
  /** Logged and not yet shown as stored. */
  const onTheWay = useRef<readonly LogEvent[]>([]);

  /** The state with what is on its way: the next of two quick taps must not repeat the first. */
  const latest = () => {
    if (!events || !run) return state;
    const known = new Set(events.map((e) => e.id));
    return onRun([...events, ...onTheWay.current.filter((e) => !known.has(e.id))], run.id);
  };

  const store = async (id: string, ...added: LogEvent[]) => {
    onTheWay.current = [...onTheWay.current, ...added];
    try {
      await append(id, ...added);
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

  const start = async (rig: Rig, reading: Reading, plan: CastPlan) => {
    if (!run || !waterId) return;
    let id = outingId;
    if (!id) {
      id = newId();
      await put({ id, waterId, startedAt: Date.now(), endedAt: null, notes: '' });
      setSession({ outingId: id });
    }
    const key = newId();
    const at = { xM: plan.xM, yM: plan.yM, rig: key };
    await store(
      id,
      stamp({ kind: 'run start', runName: run.name }, at, run.id),
      stamp({ kind: 'rig', set: rig }, at, run.id),
      stamp({ kind: 'reading', reading }, at, run.id),
    );
  };

  const log = async (plan: CastPlan, ...bodies: EventBody[]) => {
    if (!outingId || !run) return;
    const at = { xM: plan.xM, yM: plan.yM, rig: latest()?.rigKey ?? null };
    await store(outingId, ...bodies.map((b) => stamp(b, at, run.id)));
  };

  const changeRig = async (plan: CastPlan, rig: Rig) => {
    if (!outingId || !run) return;
    await store(outingId, stamp({ kind: 'rig', set: rig }, { xM: plan.xM, yM: plan.yM, rig: newId() }, run.id));
  };

  const leave = async (plan: CastPlan, endDay: boolean) => {
    if (!outingId) return;
    if (state) await log(plan, { kind: 'run end' });
    if (endDay) {
      await update(outingId, (o) => ({ ...o!, endedAt: Date.now() }));
      setSession({ outingId: null });
    }
  };

  return {
    loading: !session || (outingId !== null && events === undefined),
    outingId,
    state,
    latest,
    start,
    log,
    changeRig,
    leave,
  };
}
