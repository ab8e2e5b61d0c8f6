import type { FlyColour } from '@/core/tackle';
import type { Sky } from '@/core/water';

/** What comes first in a date. */
export const DATE_ORDERS = ['day first', 'month first', 'year first'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** Stands for a water that is not here yet. */
export const NEW_WATER = 'new';

/** What a row says, in SI; null: it does not. */
export interface RowValues {
  /** First moment of the day, local. */
  readonly dayAt: number;
  readonly water: string;
  readonly run: string;
  /** Minutes since midnight. */
  readonly fromMin: number | null;
  readonly toMin: number | null;
  readonly hours: number | null;
  readonly casts: number | null;
  readonly takes: number | null;
  readonly landed: number | null;
  readonly lost: number | null;
  readonly species: string;
  readonly lengthsM: readonly number[];
  readonly fly: string;
  readonly colour: FlyColour | null;
  readonly levelM: number | null;
  readonly visibilityM: number | null;
  readonly waterTempC: number | null;
  readonly sky: Sky | null;
  readonly notes: string;
}
export interface Fault {
  readonly column: number;
  readonly says: string;
}
export const cellKey = (line: number, column: number): string => `${line}/${column}`;
