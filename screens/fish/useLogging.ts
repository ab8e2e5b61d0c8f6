import type { CastPlan } from '@/core/cast';
import { type Cover, type Progress } from '@/core/cover';
import type { EventBody, EventKind, OnRun } from '@/core/logbook';
import type { Outcome } from '@/store/database';
import { useToast } from '@/ui';
import type { useOuting } from './useOuting';

/** What has just been undone, as one says it. */
const NAMES: Partial<Record<EventKind, string>> = {
  cast: 'Cast',
  take: 'Take',
  bed: 'Bed touch',
  fouled: 'Fouled fly',
  'hang-up': 'Hang-up',
  'fly lost': 'Lost fly',
};

/** Said of what is entered while the store fails. */
const NOT_STORED = 'Kept, not stored yet.';

export interface Logging {
  /** The next cast, with the step that leads to it. */
  cast: () => void;
  undo: () => void;
  undoable: boolean;
  juvenile: () => void;
  /** Says what was logged, and whether it is stored. */
  say: (said: string, outcome: Outcome | null) => void;
  /** Logs something where one stands, and says so once it is stored, or held. */
  note: (body: EventBody, said: string) => void;
}

/** One tap each: what happens is logged where one stands, and said. */
export function useLogging(
  outing: ReturnType<typeof useOuting>,
  state: OnRun,
  plan: CastPlan,
  cover: Cover,
  progressOf: (s: OnRun) => Progress,
): Logging {
  const toast = useToast();
  const say = (said: string, outcome: Outcome | null) => toast(outcome === 'kept' ? `${said} ${NOT_STORED}` : said);
  const note = (body: EventBody, said: string) => {
    void outing.log(plan, body).then((outcome) => say(said, outcome));
  };
  return {
    say,
    note,
    undoable: !!state.last,
    cast: () => {
      const next = progressOf(outing.latest() ?? state);
      if (next.move.kind === 'done') return;
      const event = { kind: 'cast', plan: next.plan } as const;
      void (next.move.kind === 'step'
        ? outing.log(next.plan, { kind: 'step', byM: cover.stepM }, event)
        : outing.log(next.plan, event));
    },
    undo: () => {
      const { last } = outing.latest() ?? state;
      if (last) note({ kind: 'undo', undoes: last.id }, `${NAMES[last.kind] ?? 'Last entry'} taken back.`);
    },
    juvenile: () =>
      note(
        { kind: 'take', where: null, sign: null, what: 'pluck', juvenile: true, fish: null },
        'Juvenile noted; it stays out of the rates.',
      ),
  };
}
