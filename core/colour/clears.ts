import { DIRTY_M } from '../water/clarity';
import type { ClearingStep } from './forecast';

/** Hours after the top of a rise from which on it is seen further than two feet, as it is believed; null: not within what is followed. */
const fromH = (steps: readonly ClearingStep[], of: (s: ClearingStep) => number): number | null => {
  let from: number | null = null;
  for (let i = steps.length - 1; i >= 0 && of(steps[i]!) > DIRTY_M; i--) from = steps[i]!.afterH;
  return from;
};

/** What a river is believed to do after a rise that doubles its flow. */
export interface Clears {
  readonly readings: number;
  /** How far one sees at the top of the rise, m. */
  readonly topM: number;
  /** Hours until one sees two feet again: likely, at the soonest, at the latest; null: not within what is followed. */
  readonly middleH: number | null;
  readonly soonestH: number | null;
  readonly latestH: number | null;
}

/** When a river is believed to be fishable again. */
export const clearsAfter = (steps: readonly ClearingStep[], readings: number): Clears => ({
  ...{ readings, topM: steps[0]!.medianM },
  middleH: fromH(steps, (s) => s.medianM),
  soonestH: fromH(steps, (s) => s.high80M),
  latestH: fromH(steps, (s) => s.low80M),
});
