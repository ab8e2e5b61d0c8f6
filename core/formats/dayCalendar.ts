import { createEvents, type EventAttributes } from 'ics';
import type { Leg } from '../plan/day';
import { utcMoment } from './shareCalendar';

/** A planned day, for a calendar. */
export interface DayCalendar {
  /** What tells it from other days: the same day keeps its entries. */
  readonly id: string;
  readonly water: string;
  readonly legs: readonly Leg[];
  readonly cautions: readonly string[];
  /** Where the water is; null: not told. */
  readonly place: { readonly latDeg: number; readonly lonDeg: number } | null;
}

/** A planned day as iCalendar (RFC 5545), an entry for each leg, times in UTC. @throws RangeError where there is no leg */
export function dayCalendar({ id, water, legs, cautions, place }: DayCalendar): string {
  if (legs.length === 0) throw new RangeError('there is nothing to put into a calendar: add a run first');
  const { error, value } = createEvents(
    legs.map((leg, i): EventAttributes => ({
      uid: `${id}-${i}@wanderung.invalid`,
      start: utcMoment(leg.fromAt),
      startInputType: 'utc',
      startOutputType: 'utc',
      end: utcMoment(leg.toAt),
      endInputType: 'utc',
      endOutputType: 'utc',
      title: leg.kind === 'run' ? `Fish ${leg.name}` : leg.name,
      ...(leg.kind === 'run' && cautions.length > 0 && { description: cautions.join('\n') }),
      ...(leg.kind === 'run' && { location: water }),
      ...(leg.kind === 'run' && place && { geo: { lat: place.latDeg, lon: place.lonDeg } }),
      productId: '-//Wanderung//EN',
    })),
  );
  if (error || !value) throw new RangeError(`the calendar could not be written: ${error?.message ?? 'it is empty'}`);
  return value;
}
