import { BOUNDS, type Visit } from '../logbook';
import { sumOf } from '../maths';
import { BY_HAND_WEIGHT } from './evidence';
import { type Rate, rate } from './rate';

/** Levels that one tells apart on the bank, by the bounds of what a log is asked by. */
const BANDS = ['low', 'about normal', 'raised', 'high'] as const;
type LevelBand = (typeof BANDS)[number] | 'not read';

export const bandOf = (levelM: number | null): LevelBand =>
  levelM === null ? 'not read' : BANDS[BOUNDS.level.filter((b) => levelM >= b).length]!;

/** What a run brought at one kind of level. */
interface AtLevel {
  readonly band: LevelBand;
  readonly visits: number;
  readonly casts: number;
  readonly takes: number;
  readonly landed: number;
  /** Takes a cast; what was remembered weighs less. null: no casts are known. */
  readonly rate: Rate | null;
}

/** What stays on one run came to, by the level that was read on them, the lowest first. */
export function byLevel(visits: readonly Visit[]): AtLevel[] {
  const order = [...BANDS, 'not read' as const];
  return order.flatMap((band): AtLevel[] => {
    const own = visits.filter((v) => bandOf(v.levelM) === band);
    if (own.length === 0) return [];
    // Takes in casts that nobody knows say nothing of how often they come.
    const known = own.filter((v) => v.casts > 0);
    const weight = (v: Visit) => (v.byHand > 0 ? BY_HAND_WEIGHT : 1);
    const weighed = (of: (v: Visit) => number) => sumOf(known, (v) => weight(v) * of(v));
    return [
      {
        ...{ band, visits: own.length, casts: sumOf(own, (v) => v.casts), takes: sumOf(own, (v) => v.takes) },
        landed: sumOf(own, (v) => v.landed),
        rate:
          known.length > 0
            ? rate(
                weighed((v) => v.takes),
                weighed((v) => v.casts),
              )
            : null,
      },
    ];
  });
}
