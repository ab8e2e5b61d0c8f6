/** Rain that fell in the step before a moment, mm. */
export interface Rain {
  /** ms UTC */
  readonly at: number;
  readonly rainMm: number;
}

/** Rain between two moments, mm. */
export type RainBetween = (from: number, to: number) => number;

/** Sums of rain by time. @param rain oldest first */
export function rainSums(rain: readonly Rain[]): RainBetween {
  const until: number[] = [];
  let sum = 0;
  for (const r of rain) until.push((sum += r.rainMm));
  /** What fell up to a moment. */
  const upTo = (at: number): number => {
    let [low, high] = [0, rain.length];
    while (low < high) {
      const mid = (low + high) >> 1;
      if (rain[mid]!.at <= at) low = mid + 1;
      else high = mid;
    }
    return low === 0 ? 0 : until[low - 1]!;
  };
  return (from, to) => upTo(to) - upTo(from);
}
