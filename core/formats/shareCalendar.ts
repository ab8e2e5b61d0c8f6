import { createEvents, type DateTime, type EventAttributes } from 'ics';
import { several } from '../units';
import type { Veiled, VeiledOuting } from './veil';

/** A moment as year, month, day, hour, minute, UTC. */
export const utcMoment = (at: number): DateTime => {
  const d = new Date(at);
  return [d.getUTCFullYear(), d.getUTCMonth() + 1, d.getUTCDate(), d.getUTCHours(), d.getUTCMinutes()];
};

const MINUTE = 60_000;

function entry(o: VeiledOuting, names: boolean): EventAttributes {
  const { casts, takes, landed, byHand } = o.tally;
  const counts = `${byHand > 0 ? 'about ' : ''}${several(casts, 'cast')}, ${several(takes, 'take')}, ${landed} landed`;
  const end = Math.max(o.endedAt, o.startedAt + MINUTE);
  return {
    uid: `${o.uid}-${o.startedAt}@wanderung.invalid`,
    start: utcMoment(o.startedAt),
    startInputType: 'utc',
    startOutputType: 'utc',
    end: utcMoment(end),
    endInputType: 'utc',
    endOutputType: 'utc',
    title: `Fishing: ${counts}`,
    description: [...o.visits.map((v) => `${v.run}: ${several(v.casts, 'cast')}, ${several(v.takes, 'take')}`), o.notes]
      .filter(Boolean)
      .join('\n'),
    ...(names && o.water !== null && { location: o.water }),
    ...(o.place && { geo: { lat: o.place.latDeg, lon: o.place.lonDeg } }),
    productId: '-//Wanderung//EN',
  };
}

/** Outings as iCalendar (RFC 5545), times in UTC. @throws RangeError where there are none */
export function outingsCalendar({ privacy, outings }: Veiled): string {
  if (outings.length === 0) throw new RangeError('there is no outing to put into a calendar');
  const { error, value } = createEvents(outings.map((o) => entry(o, privacy.names)));
  if (error || !value) throw new RangeError(`the calendar could not be written: ${error?.message ?? 'it is empty'}`);
  return value;
}
