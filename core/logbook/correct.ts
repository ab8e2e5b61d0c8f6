import type { Correction, EventBase, EventOf, Happened, LogEvent, OutingFacts } from './events';
import type { Rig } from '../tackle';
import { standing } from './standing';

/** Makes ids, and says what time it is. */
export interface Scribe {
  readonly id: () => string;
  readonly now: number;
}

/** An outing with its whole log. */
export interface LoggedOuting {
  readonly outing: OutingFacts;
  readonly events: readonly LogEvent[];
}

/** What a correction of outings comes to: entries that are appended, outings that are kept as they are here, or go. */
export interface Rearranged {
  readonly appended: readonly { readonly outingId: string; readonly events: readonly LogEvent[] }[];
  readonly kept: readonly OutingFacts[];
  readonly gone: readonly string[];
}

const base = ({ id, now }: Scribe): EventBase => ({ id: id(), at: now, runId: null, xM: null, yM: null, rig: null });

/** Says an entry anew. */
export const amended = (to: Happened, by: Scribe): Correction => ({ ...base(by), kind: 'amend', to });

/** Takes an entry back, or a correction. */
export const takenBack = (id: string, by: Scribe): Correction => ({ ...base(by), kind: 'undo', undoes: id });

/**
 * Something that was tied on and not logged: casts and takes from then on, until something else was tied on, count for it.
 *
 * @param at ms UTC; @param key by which the entries will know it
 */
export function missedRig(events: readonly LogEvent[], set: Rig, at: number, key: string, by: Scribe): Correction[] {
  const all = standing(events);
  const before = all.filter((e) => e.at <= at);
  const after = all.slice(before.length);
  const next = after.findIndex((e) => e.kind === 'rig');
  const { runId, xM, yM } = before.at(-1) ?? all[0] ?? { runId: null, xM: null, yM: null };
  const rig: Happened = { id: by.id(), at, runId, xM, yM, rig: key, kind: 'rig', set };
  const since = (next < 0 ? after : after.slice(0, next)).filter((e) => e.rig !== null);
  return [rig, ...since.map((e): Happened => ({ ...withoutDid(e), rig: key }))].map((to) => amended(to, by));
}

/** A cast that was made otherwise: what the engine said of it as it was logged no longer holds. */
export function withoutDid<E extends Happened>(e: E): E {
  if (e.kind !== 'cast') return e;
  const { did: _did, ...cast } = e;
  return cast as E;
}

/** A cast goes with what was said of it: that its fly was fouled. */
export function castTakenBack(cast: EventOf<'cast'>, events: readonly LogEvent[], by: Scribe): Correction[] {
  const all = standing(events);
  const i = all.findIndex((e) => e.id === cast.id);
  const rest = all.slice(i + 1);
  const next = rest.findIndex((e) => e.kind === 'cast');
  const own = (next < 0 ? rest : rest.slice(0, next)).filter((e) => e.kind === 'fouled');
  return [cast, ...own].map((e) => takenBack(e.id, by));
}

/** A take belongs to the cast before it: a moment after another cast it is that one's. */
const MOMENT_MS = 1;
export const movedTo = (cast: EventOf<'cast'>, take: EventOf<'take'>, by: Scribe): Correction =>
  amended({ ...take, at: cast.at + MOMENT_MS, rig: cast.rig, runId: cast.runId, xM: cast.xM, yM: cast.yM }, by);

/** These entries and all that was ever said of them, in the order of the log. */
function concerning(events: readonly LogEvent[], ids: readonly string[]): LogEvent[] {
  const own = new Set(ids);
  return events.filter((e) => {
    if (e.kind === 'amend' && own.has(e.to.id)) own.add(e.id);
    if (e.kind === 'undo' && own.has(e.undoes)) own.add(e.id);
    return own.has(e.id);
  });
}

const latest = <K extends Happened['kind']>(events: readonly Happened[], kind: K): EventOf<K> | undefined =>
  events.filter((e): e is Happened & EventOf<K> => e.kind === kind).at(-1);

/** What is in force before the second part of a day begins, said again for it: run, rigs, reading. */
function carried(before: readonly Happened[], after: readonly Happened[], { id }: Scribe): Happened[] {
  const first = after[0]!;
  const start = latest(before, 'run start');
  const end = latest(before, 'run end');
  const fishing = start && !(end && before.indexOf(end) > before.indexOf(start));
  const rigs = new Map(before.flatMap((e) => (e.kind === 'rig' ? [[e.rig, e] as const] : [])));
  const inForce = latest(before, 'rig');
  if (inForce) {
    rigs.delete(inForce.rig);
    rigs.set(inForce.rig, inForce); // last, so that it is in force
  }
  const reading = latest(before, 'reading');
  return [
    ...(fishing && first.kind !== 'run start' ? [start] : []),
    ...rigs.values(),
    ...(reading ? [reading] : []),
  ].map((e) => ({ ...e, id: id(), at: first.at }));
}

/**
 * Splits a day in two. Nothing is removed: the first log says where its later entries stand from now on.
 *
 * @param at ms UTC; what was logged then or later is the second outing's
 * @param into id of the second outing
 * @throws RangeError where nothing stands on one side
 */
export function split({ outing, events }: LoggedOuting, at: number, into: string, by: Scribe): Rearranged {
  const all = standing(events);
  const [before, after] = [all.filter((e) => e.at < at), all.filter((e) => e.at >= at)];
  if (before.length === 0 || after.length === 0)
    throw new RangeError('Nothing was logged on one side of that time: choose one between two entries.');
  const again = carried(before, after, by);
  const second: OutingFacts = {
    ...{ outingId: into, waterId: outing.waterId, startedAt: after[0]!.at, endedAt: outing.endedAt, notes: '' },
  };
  const ids = [...again, ...after].map((e) => e.id);
  const own = after.map((e) => e.id);
  return {
    appended: [
      { outingId: outing.outingId, events: [{ ...base(by), kind: 'split', ids, outing: second }] },
      { outingId: into, events: [...again, ...concerning(events, own)] },
    ],
    kept: [{ ...outing, endedAt: Math.max(...before.map((e) => e.at)) }, second],
    gone: [],
  };
}

/** What was said again for an outing when it was split off this log: it stands in that one alone. */
function saidAgainFor(outingId: string, events: readonly LogEvent[]): Set<string> {
  const out = new Set<string>();
  const here = new Set<string>();
  for (const e of events) {
    here.add(e.id);
    if (e.kind === 'split' && e.outing.outingId === outingId) e.ids.forEach((id) => here.has(id) || out.add(id));
  }
  return out;
}

const bothNotes = (a: string, b: string) => [a, b].filter(Boolean).join('\n');

/** Takes a split back: the second outing, with what was corrected in it since, goes into the first again. */
export function unsplit(first: LoggedOuting, cut: EventOf<'split'>, second: LoggedOuting, by: Scribe): Rearranged {
  const here = new Set(first.events.map((e) => e.id));
  const again = saidAgainFor(second.outing.outingId, first.events);
  const news = second.events.filter((e) => !here.has(e.id) && !again.has(e.id));
  // It may have come here by joining.
  const back = [...again].filter((id) => here.has(id)).map((id) => takenBack(id, by));
  return {
    appended: [{ outingId: first.outing.outingId, events: [takenBack(cut.id, by), ...back, ...news] }],
    kept: [
      {
        ...first.outing,
        endedAt: second.outing.endedAt,
        notes: bothNotes(first.outing.notes, second.outing.notes),
      },
    ],
    gone: [second.outing.outingId],
  };
}

/** Makes one outing of two: the later goes into the earlier, which says what came to it. */
export function join(a: LoggedOuting, b: LoggedOuting, by: Scribe): Rearranged {
  const [first, second] = a.outing.startedAt <= b.outing.startedAt ? [a, b] : [b, a];
  const known = new Set(first.events.map((e) => e.id));
  const again = saidAgainFor(second.outing.outingId, first.events);
  const ids = standing(second.events).flatMap((e) => (again.has(e.id) ? [] : [e.id]));
  const { outing } = first;
  return {
    appended: [
      {
        outingId: outing.outingId,
        events: [
          ...second.events.filter((e) => !known.has(e.id)),
          { ...base(by), kind: 'join', ids, outing: second.outing },
        ],
      },
    ],
    kept: [
      {
        ...outing,
        endedAt:
          outing.endedAt === null || second.outing.endedAt === null
            ? null
            : Math.max(outing.endedAt, second.outing.endedAt),
        notes: bothNotes(outing.notes, second.outing.notes),
      },
    ],
    gone: [second.outing.outingId],
  };
}

/** Takes a joining back: what came, as it is by now, is an outing of its own again. */
export function unjoin({ outing, events }: LoggedOuting, joined: EventOf<'join'>, by: Scribe): Rearranged {
  const second = joined.outing;
  const rest = standing([...events, takenBack(joined.id, by)]);
  // What it began with comes first, as it did.
  const again = concerning(events, [...saidAgainFor(second.outingId, events)]);
  return {
    appended: [
      { outingId: outing.outingId, events: [takenBack(joined.id, by)] },
      { outingId: second.outingId, events: [...again, ...concerning(events, joined.ids)] },
    ],
    kept: [{ ...outing, endedAt: outing.endedAt && Math.max(outing.startedAt, ...rest.map((e) => e.at)) }, second],
    gone: [],
  };
}
