import type { Rig } from '../tackle';
import { type EventOf, isUndoable, type LogEvent } from './events';
import { fold } from './fold';
import { standing } from './standing';
import { rigsOf } from './visits';

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
  /** What was tied on, by the key that events carry. */
  readonly rigs: ReadonlyMap<string, Rig>;
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
  const undoable = here.filter(isUndoable);
  return {
    events: here,
    casts: here.filter((e): e is EventOf<'cast'> => e.kind === 'cast'),
    takes: here.filter((e): e is EventOf<'take'> => e.kind === 'take'),
    folded: fold(here),
    last: undoable[undoable.length - 1] ?? null,
    rigKey: all.findLast((e) => e.kind === 'rig')?.rig ?? null,
    rigs: rigsOf(all),
    startedAt: all[start]!.at,
  };
}
