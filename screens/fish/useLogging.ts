import type { Hands } from '@/core/cast';
import { BLOCK } from '@/core/cover/trial';
import type { Next } from '@/core/cover';
import type { Did, EventBody, EventKind, GoWay, OnRun } from '@/core/logbook';
import { didAgain } from '@/core/logbook/asSimulated';
import type { Outcome } from '@/store/database';
import { useToast } from '@/ui';
import type { useOuting } from './useOuting';

/** What has just been undone, as one says it. */
const NAMES: Partial<Record<EventKind, string>> = {
  cast: 'Cast',
  take: 'Take',
  rise: 'Rise',
  bed: 'Bed touch',
  fouled: 'Fouled fly',
  'hang-up': 'Hang-up',
  'fly lost': 'Lost fly',
  rest: 'Rest',
  go: 'Change of way',
  way: 'Way',
  trial: 'Trial',
};

/** Said of what is entered while the store fails. */
const NOT_STORED = 'In memory, not saved yet.';
export const withOutcome = (said: string, outcome: Outcome | null): string =>
  outcome === 'kept' ? `${said} ${NOT_STORED}` : said;

export interface Logging {
  /** The next cast, with the step that leads to it. */
  cast: () => void;
  /** The last cast once more. */
  again: () => void;
  undo: () => void;
  undoable: boolean;
  juvenile: () => void;
  /** From now on what is on is held against another fly, or another way to show it; null: no longer. */
  trial: (other: { readonly flyId: string } | { readonly hands: Hands } | null) => void;
  /** Another way through the run from here on. */
  go: (
    how: GoWay,
    said: string,
    at?: { readonly xM: number; readonly yM: number },
    lie?: number | null,
    afloat?: boolean,
  ) => void;
  /** Says what was logged, and whether it is stored. */
  say: (said: string, outcome: Outcome | null) => void;
  /** Logs something where one stands, and says so once it is stored, or held. */
  note: (body: EventBody, said: string) => void;
}

/** Who moves by less has not stepped, m. */
const STEPPED_M = 0.3;
const NO_TRIAL = { kind: 'trial', flyId: null, hands: null, block: BLOCK } as const;

/** One tap each: what happens is logged where one stands, and said. @param didBy what the engine says of a cast, where it is known */
export function useLogging(
  outing: ReturnType<typeof useOuting>,
  state: OnRun,
  next: Next,
  nextIn: (s: OnRun, at: number) => Next,
  didBy: (plan: Next['plan']) => Did | null,
): Logging {
  const toast = useToast();
  const here = next.last ?? next.plan;
  const say = (said: string, outcome: Outcome | null) => toast(withOutcome(said, outcome));
  const note = (body: EventBody, said: string) => {
    void outing.log(here, body).then((outcome) => say(said, outcome));
  };
  const make = ({ plan, last }: Pick<Next, 'plan' | 'last'>) => {
    const did = didBy(plan) ?? didAgain((outing.latest() ?? state).events, plan);
    const event = { kind: 'cast', plan, ...(did ? { did } : null) } as const;
    const byM = last ? Math.hypot(plan.xM - last.xM, plan.yM - last.yM) : 0;
    void (byM > STEPPED_M
      ? outing.log(plan, { kind: 'step', byM: Math.min(50, byM) }, event)
      : outing.log(plan, event));
  };
  return {
    say,
    note,
    undoable: !!state.last,
    // The newest state: the second of two quick taps must not repeat the first.
    cast: () => make(nextIn(outing.latest() ?? state, Date.now())),
    again: () => {
      const { plan, last } = nextIn(outing.latest() ?? state, Date.now());
      make({ plan: last ?? plan, last });
    },
    go: (how, said, at = here, lie = null, afloat = false) => {
      void outing
        .log({ ...here, ...at }, { kind: 'go', how, lie, ...(afloat ? { afloat } : null) })
        .then((outcome) => say(said, outcome));
    },
    undo: () => {
      const { last } = outing.latest() ?? state;
      if (last) note({ kind: 'undo', undoes: last.id }, `${NAMES[last.kind] ?? 'Last entry'} undone.`);
    },
    trial: (other) =>
      note(
        { ...NO_TRIAL, ...other },
        other
          ? `Fair trial: ${BLOCK} casts each in turn; ${'hands' in other ? 'the present way' : 'your present fly'} first.`
          : 'Trial ended.',
      ),
    juvenile: () =>
      note(
        { kind: 'take', where: null, sign: null, what: 'pluck', juvenile: true, fish: null },
        'Juvenile logged; not counted in your rates.',
      ),
  };
}
