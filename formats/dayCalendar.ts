import type { Leg } from '@/core/plan/day';
import { calendarOf } from './calendar';
import { legWords } from '@/words/day';

/** A planned day, for a calendar. */
interface DayCalendar {
  /** What tells it from other days: the same day keeps its entries. */
  readonly id: string;
  /** When it is written, ms. */
  readonly writtenAt: number;
  readonly water: string;
  /** Whether the names of water and runs are told. */
  readonly names: boolean;
  readonly legs: readonly Leg[];
  readonly cautions: readonly string[];
  /** Where the water is; null: not told. */
  readonly place: { readonly latDeg: number; readonly lonDeg: number } | null;
}

/** A planned day as iCalendar, an entry for each leg, times in UTC. @throws RangeError where there is no leg */
export function dayCalendar({ id, writtenAt, water, names, legs, cautions, place }: DayCalendar): string {
  if (legs.length === 0) throw new RangeError('there is nothing to put into a calendar: add a run first');
  const runs = legs.filter((l) => l.kind === 'run').map((l) => l.name);
  /** A caution says where it is meant. */
  const nameless = (text: string): string =>
    [...new Set(runs)].reduce((t, name) => t.replaceAll(name, 'a run'), text.replaceAll(water, 'the water'));
  const description = (names ? cautions : cautions.map(nameless)).join('\n');
  return calendarOf(
    legs.map((leg, i) => ({
      uid: `${id}-${i}@wanderung.invalid`,
      fromAt: leg.fromAt,
      toAt: leg.toAt,
      title: leg.kind !== 'run' ? legWords(leg) : names ? `Fish ${leg.name}` : 'Fish',
      ...(leg.kind === 'run' && { description, ...(names && { location: water }), ...(place && { place }) }),
    })),
    writtenAt,
  );
}
