import { handsOf, type CastPlan, type Way } from '../cast';

/** How a way of showing the fly is worked along a run (common practice, no source). */
export interface Work {
  /** Down the run, or up it where casts go upstream. */
  readonly direction: 'down' | 'up';
  /** From stand to stand, as so many of the usual steps. */
  readonly steps: number;
  /** Angles that are cast from a stand, degrees off the one that is set. */
  readonly turnsDeg: readonly number[];
  /** How many lengths are cast from a stand, the shortest and the longest among them. */
  readonly lengths: number;
  /** In a slack pool the far end of the lane is fished first, before anything is disturbed; else near water first. */
  readonly longFirst: boolean;
  /** A couple of casts a pocket, or one. */
  readonly times: number;
}

const SWUNG: Work = {
  ...{ direction: 'down', steps: 1, turnsDeg: [0], lengths: 4, longFirst: false, times: 1 },
};
const FANNED: Work = { ...SWUNG, steps: 4, turnsDeg: [-15, 0, 15, 30, 45], lengths: 2, longFirst: true };
const STRIPPED: Work = { ...SWUNG, steps: 2, turnsDeg: [-20, 0, 20] };

const WORK: Record<Way, Work> = {
  swing: SWUNG,
  'swing and strip': SWUNG,
  'timed rise': SWUNG,
  strip: STRIPPED,
  'towed by the bow': SWUNG,
  // Three to five feet at a time.
  'upstream strip': { ...STRIPPED, direction: 'up', steps: 1, turnsDeg: [0, -20], lengths: 3, times: 2 },
  'dead drift': SWUNG,
  // Short, up, lane by lane: a couple of drifts each.
  'tight drift': { ...SWUNG, direction: 'up', lengths: 3, times: 2 },
  'dip and draw': FANNED,
  'sweep the hang': { ...SWUNG, turnsDeg: [0] },
  'lift at the end': SWUNG,
};

export const workOf = (plan: CastPlan): Work => WORK[handsOf(plan).way];

/** +1 down the run, −1 up it. */
export const signOf = (work: Work): 1 | -1 => (work.direction === 'up' ? -1 : 1);
