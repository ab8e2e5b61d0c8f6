import { BOUNDS, type Tally } from '../logbook';
import { groupBy, sumOf } from '../maths';
import { castsBy, type Counts, type Dimension, isEvidence, type PlacedExposure, valueOf } from './evidence';

/** An outing as it is drawn in a year. */
export interface DayOut extends Counts {
  /** 0 January, 1 to 31 */
  readonly month: number;
  readonly day: number;
  readonly minutes: number;
  readonly landed: number;
}

/** The days of a year on which one was out, by the clock of where one is; outings of one day together. */
export function daysOf(
  outings: readonly { readonly startedAt: number; readonly tally: Tally }[],
  year: number,
): DayOut[] {
  const own = outings.filter((o) => new Date(o.startedAt).getFullYear() === year);
  const days = groupBy(own, (o) => {
    const at = new Date(o.startedAt);
    return 31 * at.getMonth() + at.getDate() - 1;
  });
  return [...days]
    .sort(([a], [b]) => a - b)
    .map(([n, of]) => ({
      ...{ month: Math.floor(n / 31), day: 1 + (n % 31) },
      minutes: sumOf(of, (o) => o.tally.minutes),
      casts: sumOf(of, (o) => o.tally.casts),
      takes: sumOf(of, (o) => o.tally.takes),
      landed: sumOf(of, (o) => o.tally.landed),
    }));
}

/** Casts and takes by two things at once. */
export interface Crossed {
  readonly rows: readonly string[];
  readonly columns: readonly string[];
  /** By row, then column. */
  readonly cells: readonly (readonly Counts[])[];
}

/** Bands in their order, the names of other things by casts, the most first. */
function orderOf(all: readonly PlacedExposure[], by: Dimension): string[] {
  const sums = [...groupBy(all, (e) => valueOf(e, by))].flatMap(([value, own]) =>
    value === undefined ? [] : [{ value, casts: sumOf(own, (e) => castsBy(e, by)) }],
  );
  return sums
    .sort((a, b) => (by in BOUNDS ? bandNumber(a.value) - bandNumber(b.value) : b.casts - a.casts))
    .map((s) => s.value);
}
/** No tip comes before those that float. */
const bandNumber = (value: string): number => (value === 'none' ? -1 : Number(value));

/** What was cast and taken where two things stood together: the hour by the temperature, depth by speed. */
export function crossed(
  outings: readonly (readonly PlacedExposure[])[],
  byRow: Dimension,
  byColumn: Dimension,
): Crossed {
  const all = outings
    .flat()
    .filter((e) => isEvidence(e) && valueOf(e, byRow) !== undefined && valueOf(e, byColumn) !== undefined);
  const rows = orderOf(all, byRow);
  const columns = orderOf(all, byColumn);
  const cells = groupBy(all, (e) => `${valueOf(e, byRow)}|${valueOf(e, byColumn)}`);
  return {
    rows,
    columns,
    cells: rows.map((r) =>
      columns.map((c): Counts => {
        const own = cells.get(`${r}|${c}`) ?? [];
        return {
          casts: sumOf(own, (e) => Math.max(castsBy(e, byRow), castsBy(e, byColumn))),
          takes: sumOf(own, (e) => e.takes),
        };
      }),
    ),
  };
}
