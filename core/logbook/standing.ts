import { type Happened, isCorrection, type LogEvent } from './events';

/** Ids of what was taken back. An undo can be undone. */
export function undoneIn(events: readonly LogEvent[]): Set<string> {
  const undone = new Set<string>();
  for (let i = events.length - 1; i >= 0; i--) {
    const e = events[i]!;
    if (e.kind === 'undo' && !undone.has(e.id)) undone.add(e.undoes);
  }
  return undone;
}

/** Puts events among others by their times, behind those of the same time; the order of the others stays as it is. */
function placed(base: readonly Happened[], moved: readonly Happened[]): Happened[] {
  if (moved.length === 0) return [...base];
  /** The earliest time from here to the end: what is earlier than all that comes stands before it. */
  const earliest = base.map((e) => e.at);
  for (let i = earliest.length - 2; i >= 0; i--) earliest[i] = Math.min(earliest[i]!, earliest[i + 1]!);
  const rest = [...moved].sort((a, b) => a.at - b.at);
  const out: Happened[] = [];
  let next = 0;
  base.forEach((e, i) => {
    while (next < rest.length && rest[next]!.at < earliest[i]!) out.push(rest[next++]!);
    out.push(e);
  });
  return [...out, ...rest.slice(next)];
}

/** Ids of what stands in another outing. Splitting, joining and taking either back follow each other: the last word counts. */
function goneFrom(events: readonly LogEvent[]): Set<string> {
  const gone = new Set<string>();
  /** Of each of them, what it moves and whether it moves it away. */
  const moves = new Map<string, { readonly ids: readonly string[]; readonly away: boolean }>();
  for (const e of events) {
    const of = e.kind === 'undo' ? moves.get(e.undoes) : undefined;
    const move =
      e.kind === 'split' || e.kind === 'join'
        ? { ids: e.ids, away: e.kind === 'split' }
        : of && { ids: of.ids, away: !of.away };
    if (!move) continue;
    moves.set(e.id, move);
    for (const id of move.ids)
      if (move.away) gone.add(id);
      else gone.delete(id);
  }
  return gone;
}

/**
 * What stands of a log: without what was taken back or went to another outing, with every correction carried out. The later
 * correction of two counts.
 */
export function standing(events: readonly LogEvent[]): Happened[] {
  const undone = undoneIn(events);
  const amended = new Map<string, Happened>();
  const came = new Set<string>();
  for (const e of events) {
    if (undone.has(e.id)) continue;
    if (e.kind === 'amend') amended.set(e.to.id, e.to);
    else if (e.kind === 'join') e.ids.forEach((id) => came.add(id));
  }
  const gone = goneFrom(events);
  const base: Happened[] = [];
  const moved: Happened[] = [];
  for (const e of events) {
    if (isCorrection(e)) continue;
    const now = amended.get(e.id) ?? e;
    amended.delete(e.id);
    if (undone.has(e.id) || gone.has(e.id)) continue;
    (came.has(e.id) || now.at !== e.at ? moved : base).push(now);
  }
  // What is said anew and was never said before was missed as it happened.
  for (const [id, missed] of amended) if (!undone.has(id) && !gone.has(id)) moved.push(missed);
  return placed(base, moved);
}
