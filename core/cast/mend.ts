import type { SwingResult } from '../swing';
import { COL, FELT_N, HZ, WIDTH } from '../swing/series';

export const MEND_BYS = ['lift', 'flick'] as const;
/** A soft lift peels the line off the water and lays it over; a flick throws it over in half the time. */
export type MendBy = (typeof MEND_BYS)[number];

/** How high and how far over the rod's tip goes, as shares of the rod's reach and of the mend, and when, s from its
 * beginning: up, over, laid down, and back where the rod was (assumed, from how a mend is described; no source). */
const MOVES = {
  lift: { upShare: 0.55, overM: 0.5, overOfMend: 0.6, timesS: [0.6, 1.1, 1.7, 4] },
  flick: { upShare: 0.3, overM: 0.6, overOfMend: 0.8, timesS: [0.25, 0.5, 0.8, 3] },
} as const satisfies Record<MendBy, object>;
/** Line is shaken out through the guides no faster than this, m/s (assumed). */
const SHAKE_MPS = 3;
/** No further over than the arms and a rod of this reach allow. */
const OVER_SHARE = 0.8;

interface RodMend {
  /** When it begins, s after landing. */
  readonly atS: number;
  /** Line shaken out with it, m; negative: a mend downstream. */
  readonly mendM: number;
  readonly by: MendBy;
  /** Of the rod's tip from the angler, m. */
  readonly reachM: number;
}

/** A mend as a movement: where the rod's tip goes from where the rod is held, and the line that is shaken out with it. */
export function mendMotion({ atS, mendM, by, reachM }: RodMend): {
  sway: readonly (readonly [number, number, number, number])[];
  lineOut: [number, number][];
} {
  const m = MOVES[by];
  const [up, over, down, back] = m.timesS.map((s) => atS + s) as [number, number, number, number];
  const upM = -m.upShare * reachM;
  const overM = -Math.sign(mendM) * Math.min(OVER_SHARE * reachM, m.overM + m.overOfMend * Math.abs(mendM));
  return {
    sway: [
      [atS, 0, 0, 0],
      [up, 0.3 * overM, 0, upM],
      [over, overM, 0, upM],
      [down, overM, 0, 0],
      [back, 0, 0, 0],
    ],
    lineOut: [
      [atS, 0],
      [up, 0],
      [Math.max(down, up + Math.abs(mendM) / SHAKE_MPS), Math.abs(mendM)],
    ],
  };
}

/** When the line lies down again, s after landing. */
export const mendLaidS = (atS: number, by: MendBy): number => atS + MOVES[by].timesS[2];

/** What a mend did to the fly. */
interface MendEffect {
  /** How much further across towards the rod it came while the line was moved than it was going to, m. */
  readonly draggedM: number;
  /** How far it came up meanwhile, m. */
  readonly roseM: number;
  /** Until when it drifts with no pull at the rod, s after landing; null when it stays tight. */
  readonly slackUntilS: number | null;
}

/** Slack of less than a second is none. */
const SLACK_S = 1;

/**
 * What a late mend did to the fly, from the swing as it was simulated with it.
 *
 * @param tipYM where the rod's tip is, across
 */
export function mendEffect(r: SwingResult, atS: number, by: MendBy, tipYM: number): MendEffect | null {
  const at = (row: number, col: number) => r.series[WIDTH * row + col]!;
  const from = Math.round(atS * HZ);
  const laid = Math.round(mendLaidS(atS, by) * HZ);
  if (laid >= r.rows) return null;
  const towards = Math.sign(tipYM - at(from, COL.y)) || -1;
  const going = towards * at(from, COL.vy);
  let draggedM = 0;
  let roseM = 0;
  for (let i = from; i <= laid; i++) {
    draggedM = Math.max(draggedM, towards * (at(i, COL.y) - at(from, COL.y)) - (going * (i - from)) / HZ);
    roseM = Math.max(roseM, at(from, COL.depth) - at(i, COL.depth));
  }
  const felt = (i: number) => at(i, COL.tension) >= FELT_N;
  let tight = laid;
  while (tight < r.rows && !(felt(tight) && felt(Math.min(r.rows - 1, tight + HZ / 2)))) tight++;
  return { draggedM, roseM, slackUntilS: tight - laid < SLACK_S * HZ ? null : tight / HZ };
}
