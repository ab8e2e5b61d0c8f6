import { type Circumstances, PROPERTIES } from '../logbook/shown';
import { type FlyItem, type KitItem } from '../tackle';
import type { Dimension } from './evidence';

/** What two flies can be held against each other by. */
const PAIRED_BY = ['colour', 'family', 'size', 'weight'] as const satisfies Dimension[];
type PairedBy = (typeof PAIRED_BY)[number];
export const isPairedBy = (by: Dimension): by is PairedBy => (PAIRED_BY as readonly Dimension[]).includes(by);

const NOTHING: Omit<Circumstances, 'fly'> = {
  ...{ place: null, rig: null, plan: null, did: null, water: null, reading: null, river: null },
  ...{ runName: null, at: 0, timed: false },
};
const valueOf = (fly: FlyItem, by: PairedBy): string | null => PROPERTIES[by]({ ...NOTHING, fly });

/**
 * Two flies of a bag that are one thing and the other, and differ in as little else as can be; null where the bag holds no such two.
 *
 * @param a, b values as a log tells them
 */
export function fairPair(
  kit: readonly KitItem[],
  by: PairedBy,
  a: string,
  b: string,
): { readonly a: FlyItem; readonly b: FlyItem; readonly differs: number } | null {
  const flies = kit.filter((k): k is FlyItem => k.type === 'fly');
  const pairs = flies
    .filter((f) => valueOf(f, by) === a)
    .flatMap((one) =>
      flies
        .filter((f) => valueOf(f, by) === b)
        .map((other) => ({
          ...{ a: one, b: other },
          differs: PAIRED_BY.filter((of) => of !== by && valueOf(one, of) !== valueOf(other, of)).length,
        })),
    );
  return pairs.reduce<(typeof pairs)[number] | null>((best, p) => (best && best.differs <= p.differs ? best : p), null);
}
