import { kitRows, kitToCsv } from '@/formats/kitCsv';
import type { KitItem } from '@/core/tackle';
import { limitsOf } from './faults';

export const writeKit = kitToCsv;

/** So many faults are told at once. */
const TOLD = 5;

/**
 * A bag from a CSV file: all of it or nothing.
 *
 * @throws RangeError that names row, column and what is wrong with it
 */
export function readKit(csv: string, newId: () => string): KitItem[] {
  const rows = kitRows(csv, newId);
  const faults = rows.flatMap(({ row, item }) =>
    Object.entries(limitsOf('kit', item as unknown as KitItem)).map(([path, says]) => `row ${row}, ${path}: ${says}`),
  );
  const ids = rows.map(({ item }) => String(item['id']));
  rows.forEach(({ row }, i) => {
    if (ids.indexOf(ids[i]!) < i) faults.push(`row ${row}, id: stands there twice`);
  });
  if (faults.length > 0) {
    const more = faults.length > TOLD ? `; and ${faults.length - TOLD} more` : '';
    throw new RangeError(`${faults.slice(0, TOLD).join('; ')}${more}`);
  }
  return rows.map(({ item }) => item as unknown as KitItem);
}
