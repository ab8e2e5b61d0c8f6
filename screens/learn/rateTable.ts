import type { Counts, Dimension } from '@/core/learn/evidence';

interface Rated extends Counts {
  readonly rate: { readonly middle: number; readonly low: number; readonly high: number };
}

/** Rates as a table for a spreadsheet, takes in a hundred casts. @param rows each with how one calls it */
export const rateTable = (by: Dimension, rows: readonly (readonly [called: string, of: Rated])[]) =>
  [
    [by, 'casts', 'takes', 'per100', 'low', 'high'],
    rows.map(([called, { casts, takes, rate }]) => ({
      ...{ [by]: called, casts, takes },
      ...{ per100: 100 * rate.middle, low: 100 * rate.low, high: 100 * rate.high },
    })),
  ] as const;
