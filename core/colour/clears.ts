import { DIRTY_M } from '../water/clarity';
import type { ClearingStep } from './forecast';

/** Hours after the top of a rise from which on it is seen further than two feet, as it is believed; null: not within what is followed. */
const fromH = (steps: readonly ClearingStep[], of: (s: ClearingStep) => number): number | null => {
  let from: number | null = null;
  for (let i = steps.length - 1; i >= 0 && of(steps[i]!) > DIRTY_M; i--) from = steps[i]!.afterH;
  return from;
};

const span = (h: number): string => (h < 36 ? `${h} hours` : `${(Math.round(h / 12) / 2).toString()} days`);

/**
 * What a river is believed to do, in a sentence.
 *
 * @param depth how a depth is written
 */
export function clearsWords(steps: readonly ClearingStep[], readings: number, depth: (m: number) => string): string {
  const known = readings === 0 ? 'What is usual for its kind' : 'This river, as your readings tell it';
  const [top] = steps;
  const [middle, soonest, latest] = [
    fromH(steps, (s) => s.medianM),
    fromH(steps, (s) => s.high80M),
    fromH(steps, (s) => s.low80M),
  ];
  const at = `${known}: a rise that doubles its flow leaves it seen to ${depth(top!.medianM)} at the top`;
  if (middle === 0) return `${at}: more than two feet all the same.`;
  if (middle === null) return `${at}, and no further than two feet for five days.`;
  const early =
    soonest === null || soonest === middle
      ? ''
      : soonest === 0
        ? ', perhaps at once'
        : `, perhaps after ${span(soonest)}`;
  const late =
    latest === null
      ? ', perhaps not within five days'
      : latest === middle
        ? ''
        : `, at the latest after ${span(latest)}`;
  return `${at}, and two feet again after about ${span(middle)}${early}${late}.`;
}
