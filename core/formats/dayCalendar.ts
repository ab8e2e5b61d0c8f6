import type { Leg } from '../plan/day';
import { calendarOf } from './calendar';

/** A planned day, for a calendar. */
interface DayCalendar {
  /** What tells it from other days: the same day keeps its entries. */
  readonly id: string;
  /** When it is written, ms. */
  readonly writtenAt: number;
  readonly water: string;
  readonly legs: readonly Leg[];
  readonly cautions: readonly string[];
  /** Where the water is; null: not told. */
  readonly place: { readonly latDeg: number; readonly lonDeg: number } | null;
}

/** A planned day as iCalendar, an entry for each leg, times in UTC. @throws RangeError where there is no leg */
export function dayCalendar({ id, writtenAt, water, legs, cautions, place }: DayCalendar): string {
  if (legs.length === 0) throw new RangeError('there is nothing to put into a calendar: add a run first');
  return calendarOf(
    legs.map((leg, i) => ({
      uid: `${id}-${i}@wanderung.invalid`,
      fromAt: leg.fromAt,
      toAt: leg.toAt,
      title: leg.kind === 'run' ? `Fish ${leg.name}` : leg.name,
      ...(leg.kind === 'run' && { location: water, description: cautions.join('\n'), ...(place && { place }) }),
    })),
    writtenAt,
  );
}
