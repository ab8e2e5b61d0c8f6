/** Where the toes vanish, as a share of body height: ankle 0.05 … hip 0.53 (segment heights after Drillis and Contini
 * 1966: ankle 0.039 H, knee 0.285 H, hip 0.530 H, from memory; the others between them). */
export const LEG_MARKS = [
  ['ankle', 0.04],
  ['mid-calf', 0.16],
  ['knee', 0.285],
  ['mid-thigh', 0.4],
  ['hip', 0.53],
] as const;

export type LegMark = (typeof LEG_MARKS)[number][0];

/** Heights that anglers have, m. */
export const HEIGHT_M = { least: 1, most: 2.3 } as const;

/** Throws RangeError for heights that no angler has. */
export function needHeight(heightM: number): void {
  if (!(heightM >= HEIGHT_M.least && heightM <= HEIGHT_M.most))
    throw new RangeError('heightM: must be between 1 and 2.3 m');
}

/** Depth of water at a mark on the leg of somebody of that height, m. Throws RangeError for heights outside 1 to 2.3 m.
 * @example legDepthM('knee', 1.8) // 0.513 */
export function legDepthM(mark: LegMark, heightM: number): number {
  needHeight(heightM);
  const found = LEG_MARKS.find(([m]) => m === mark);
  if (!found) throw new RangeError('mark: not a mark on the leg');
  return found[1] * heightM;
}
