import { MINUTE_MS } from '@/core/units';
import { calendarOf, type Entry } from './calendar';
import type { Veiled, VeiledOuting } from './veil';
import { several } from '@/words/counting';

function entry(o: VeiledOuting, names: boolean): Entry {
  const { casts, takes, landed, byHand } = o.tally;
  const counts = `${byHand > 0 ? 'about ' : ''}${several(casts, 'cast')}, ${several(takes, 'take')}, ${landed} landed`;
  return {
    uid: `${o.uid}@wanderung.invalid`,
    fromAt: o.startedAt,
    toAt: Math.max(o.endedAt, o.startedAt + MINUTE_MS),
    title: `Fishing: ${counts}`,
    description: [...o.visits.map((v) => `${v.run}: ${several(v.casts, 'cast')}, ${several(v.takes, 'take')}`), o.notes]
      .filter(Boolean)
      .join('\n'),
    ...(names && o.water !== null && { location: o.water }),
    ...(o.place && { place: o.place }),
  };
}

/** Outings as iCalendar, times in UTC. @throws RangeError where there are none */
export function outingsCalendar({ privacy, outings }: Veiled): string {
  if (outings.length === 0) throw new RangeError('there is no outing to put into a calendar');
  return calendarOf(
    outings.map((o) => entry(o, privacy.names)),
    Math.max(...outings.map((o) => o.endedAt)),
  );
}
