import type { Hands } from '../cast';
import type { EventOf, LogEvent, OnRun } from '../logbook';

/** What one side of a fair trial came to. */
export interface Side {
  readonly casts: number;
  readonly takes: number;
}
/** a: what was on when it began; b: what it is held against. */
type SideName = 'a' | 'b';

/** A fair trial that goes on: the two in turn, a block of casts each, over the same water and the same hour. */
export interface FairTrial {
  readonly of: EventOf<'trial'>;
  /** The fly that was on when it began. */
  readonly flyId: string;
  /** How it was shown then. */
  readonly hands: Hands | null;
  readonly sides: Readonly<Record<SideName, Side>>;
  /** The same after the last whole rounds, when both had as many blocks: by these a difference is told. */
  readonly even: Readonly<Record<SideName, Side>>;
  /** Whose turn it is, and for how many casts more. */
  readonly turn: SideName;
  readonly left: number;
  /** What is on is the other one. */
  readonly swap: boolean;
}

/** Casts each in turn: enough to be worth a knot, few enough for the hour to stay the same (assumed). */
export const BLOCK = 10;

const isContact = (e: EventOf<'take'>): boolean => !e.juvenile && e.what !== 'follow' && e.what !== 'roll';
/** What hands do beyond a plain swing: a planned cast that swings says nothing of them. */
const beyondSwing = (hands: Hands | null | undefined): Hands | null =>
  hands?.way === 'swing' ? null : (hands ?? null);
const alike = (x: Hands | null | undefined, y: Hands | null): boolean =>
  JSON.stringify(beyondSwing(x)) === JSON.stringify(beyondSwing(y));

/**
 * The fair trial that goes on, read off the log; null where none does. A, B, A, B: whatever else changes with the hour falls on
 * both alike. A cast belongs to what was on when it was made; a fouled one to none.
 */
export function trialIn({ events, rigs }: Pick<OnRun, 'events' | 'rigs'>): FairTrial | null {
  const at = events.findLastIndex((e) => e.kind === 'trial');
  const of = events[at] as EventOf<'trial'> | undefined;
  if (!of || (of.flyId === null && of.hands === null)) return null;
  const flyOf = (e: LogEvent | undefined) => (e?.rig ? (rigs.get(e.rig)?.fly.id ?? '') : '');
  const before = events.slice(0, at).findLast((e): e is EventOf<'cast'> => e.kind === 'cast');
  const isB = (e: EventOf<'cast'>) => (of.flyId === null ? alike(e.plan.hands, of.hands) : flyOf(e) === of.flyId);
  const sides = { a: { casts: 0, takes: 0 }, b: { casts: 0, takes: 0 } };
  let last: SideName = 'a';
  let since: LogEvent | undefined;
  let shown: Hands | null = before?.plan.hands ?? null;
  let made = 0;
  let even = { a: { ...sides.a }, b: { ...sides.b } };
  // A round is over with the takes of its last cast: once the next is made, or at the end of what was logged.
  const roundOver = () => {
    if (made > 0 && made % (2 * of.block) === 0) even = { a: { ...sides.a }, b: { ...sides.b } };
  };
  for (const e of events.slice(at + 1)) {
    if (e.kind === 'rig') since = e;
    if (e.kind === 'way') shown = e.hands;
    if (e.kind === 'cast') {
      roundOver();
      last = isB(e) ? 'b' : 'a';
      sides[last].casts++;
      made++;
    }
    if (e.kind === 'fouled' && sides[last].casts > 0) {
      sides[last].casts--;
      made--;
    }
    if (e.kind === 'take' && isContact(e)) sides[last].takes++;
  }
  roundOver();
  const turn = Math.floor(made / of.block) % 2 === 0 ? 'a' : 'b';
  const on = of.flyId === null ? alike(shown, of.hands) : flyOf(since ?? of) === of.flyId;
  return {
    ...{ of, sides, even, turn, left: of.block - (made % of.block), swap: on !== (turn === 'b') },
    flyId: flyOf(of),
    hands: beyondSwing(before?.plan.hands),
  };
}

type Sides = FairTrial['sides'];
const added = (x: Sides, y: Sides): Sides => ({
  a: { casts: x.a.casts + y.a.casts, takes: x.a.takes + y.a.takes },
  b: { casts: x.b.casts + y.b.casts, takes: x.b.takes + y.b.takes },
});

/** The fair trials of an outing, those of the same two on other runs together. @param events that stand, in their order */
export function trialsOf(
  events: readonly LogEvent[],
  rigs: OnRun['rigs'],
): Pick<FairTrial, 'of' | 'flyId' | 'hands' | 'sides' | 'even'>[] {
  const out = new Map<string, ReturnType<typeof trialsOf>[number]>();
  // Each lasts until another begins, or one goes on to another run.
  const cuts = events.flatMap((e, i) => (e.kind === 'trial' || e.kind === 'run start' ? [i] : []));
  for (const at of cuts) {
    if (events[at]!.kind !== 'trial') continue;
    const trial = trialIn({
      events: events.slice(
        0,
        cuts.find((c) => c > at),
      ),
      rigs,
    });
    if (!trial || trial.sides.a.casts + trial.sides.b.casts === 0) continue;
    const key = JSON.stringify([trial.flyId, trial.hands, trial.of.flyId, trial.of.hands]);
    const before = out.get(key);
    out.set(key, {
      ...trial,
      ...(before && { sides: added(before.sides, trial.sides), even: added(before.even, trial.even) }),
    });
  }
  return [...out.values()];
}
