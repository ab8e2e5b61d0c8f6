import { useCallback, useMemo } from 'react';
import type { CastPlan } from '@/core/cast';
import { type LogEvent, onRun } from '@/core/logbook';
import type { Rig } from '@/core/tackle';
import type { Reading, Run } from '@/core/water';

import { newId, useAppend, useEvents, useSave, useSession } from '@/store/hooks';

/** What an event says beyond when, where and with what. */
export type EventBody = LogEvent extends infer E
  ? E extends LogEvent
    ? Omit<E, 'id' | 'at' | 'runId' | 'xM' | 'yM' | 'rig'>
    : never
  : never;

/** Fishing one run: where one is in it, what to do next, and the ways to log what happens. */
export function useOuting(run: Run | null | undefined, waterId: string | null) {
  const [session, setSession] = useSession();
  const outingId = session?.outingId ?? null;
  const events = useEvents(outingId);
  const append = useAppend();
  const { put, update } = useSave('outing');
  const state = useMemo(() => (events && run ? onRun(events, run.id) : null), [events, run]);

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
    await append(
      id,
      stamp({ kind: 'run start', runName: run.name }, at, run.id),
      stamp({ kind: 'rig', set: rig }, at, run.id),
      stamp({ kind: 'reading', reading }, at, run.id),
    );
  };

  const log = async (plan: CastPlan, ...bodies: EventBody[]) => {
    if (!outingId || !run) return;
    const at = { xM: plan.xM, yM: plan.yM, rig: state?.rigKey ?? null };
    await append(outingId, ...bodies.map((b) => stamp(b, at, run.id)));
  };

  const changeRig = async (plan: CastPlan, rig: Rig) => {
    if (!outingId || !run) return;
    await append(outingId, stamp({ kind: 'rig', set: rig }, { xM: plan.xM, yM: plan.yM, rig: newId() }, run.id));
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
    start,
    log,
    changeRig,
    leave,
  };
}
