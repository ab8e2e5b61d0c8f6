import type { CastPlan } from '@/core/advice';
import { castsLeft, nextMove, type Cover, type Move } from '@/core/cover';
import { fold, standing, type EventOf, type LogEvent } from '@/core/logbook';

/** The state of the outing on the present run, read off its events. */
export interface OnRun {
  readonly events: readonly LogEvent[];
  /** Casts on this visit, oldest first. */
  readonly casts: readonly EventOf<'cast'>[];
  readonly takes: readonly EventOf<'take'>[];
  readonly folded: ReturnType<typeof fold>;
  /** Last event that can be undone. */
  readonly last: LogEvent | null;
  readonly rigKey: string | null;
  readonly startedAt: number;
}

/** What the events say of the visit to a run that is going on; null when none is. */
export function onRun(events: readonly LogEvent[], runId: string): OnRun | null {
  const all = standing(events);
  let start = -1;
  all.forEach((e, i) => {
    if (e.kind === 'run start') start = e.runId === runId ? i : -1;
    if (e.kind === 'run end') start = -1;
  });
  if (start < 0) return null;
  const here = all.slice(start);
  const rigKey = all.reduce<string | null>((k, e) => (e.kind === 'rig' ? e.rig : k), null);
  const undoable = here.filter(
    (e) => e.kind !== 'run start' && e.kind !== 'rig' && e.kind !== 'reading' && e.kind !== 'step',
  );
  return {
    events: here,
    casts: here.filter((e): e is EventOf<'cast'> => e.kind === 'cast'),
    takes: here.filter((e): e is EventOf<'take'> => e.kind === 'take'),
    folded: fold(here),
    last: undoable[undoable.length - 1] ?? null,
    rigKey,
    startedAt: all[start]!.at,
  };
}

/** Where the angler is in the cover and what comes next. */
export interface Progress {
  readonly move: Move;
  /** The cast about to be made; the last one again when the run is done. */
  readonly plan: CastPlan;
  readonly left: number;
}

/**
 * @param start the plan of the first cast
 * @param wadeM how far out one may stand at x; the angler never goes further
 */
export function progress(
  cover: Cover,
  start: CastPlan,
  casts: readonly EventOf<'cast'>[],
  wadeM: (xM: number) => number,
): Progress {
  const safe = (p: CastPlan): CastPlan => ({ ...p, yM: Math.min(start.yM, Math.round(10 * wadeM(p.xM)) / 10) });
  const last = casts[casts.length - 1];
  if (!last) {
    const plan = safe({ ...start, outM: cover.startM });
    return { move: { kind: 'lengthen', byM: 0, plan }, plan, left: castsLeft(cover, plan) };
  }
  const before: CastPlan = { ...start, xM: last.x ?? start.xM, yM: last.y ?? start.yM, outM: last.outM };
  const move = nextMove(cover, before);
  const plan = move.kind === 'done' ? before : safe(move.plan);
  return { move, plan, left: move.kind === 'done' ? 0 : castsLeft(cover, plan) };
}
