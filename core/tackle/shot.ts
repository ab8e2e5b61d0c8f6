import { itemsOf, type KitItem } from './kit';

/** Split shot by its sizes, kg of one: what most packets mark (rounded, from memory; makers differ by a tenth). */
const SIZES: Readonly<Record<string, number>> = {
  'no. 8': 0.06e-3,
  'no. 6': 0.1e-3,
  'no. 4': 0.2e-3,
  'no. 1': 0.3e-3,
  BB: 0.4e-3,
  AB: 0.6e-3,
  AAA: 0.8e-3,
};
const ALIKE = 0.06;
export const SHOT_KG: readonly number[] = Object.values(SIZES);

/** @example shotName(4e-4) // 'BB, 0.4 g' */
export function shotName(massKg: number): string {
  const grams = `${Number((1000 * massKg).toFixed(2))} g`;
  const size = Object.entries(SIZES).find(([, kg]) => Math.abs(massKg / kg - 1) <= ALIKE);
  return size ? `${size[0]}, ${grams}` : grams;
}

/** Masses of shot that one can pinch on, kg, the lightest first: the bag's sizes, and what is on; a bag without any has none. */
export const shotsToHand = (kit: readonly KitItem[], onKg = 0): number[] =>
  [...new Set([...itemsOf(kit, 'shot').map((s) => s.massKg), ...(onKg > 0 ? [onKg] : [])])].sort((a, b) => a - b);
