import type { FishLie } from '../lies';
import type { LiePass, SwingResult } from '../swing';

export type Fit = 'right' | 'too shallow' | 'too deep' | 'on the bed' | 'not reached';

/** What a swing does at one lie. */
export interface Verdict {
  readonly lie: FishLie;
  readonly pass: LiePass;
  readonly fit: Fit;
  /** How far outside the wanted band, m (0 inside). */
  readonly byM: number;
  readonly tooFast: boolean;
}

/** A pass counts when it comes within half the lie's width and this much, m. */
const NEAR_M = 1;

/**
 * Judges the fly's pass at each lie against the band and speed wanted there.
 *
 * @example judge(result, lies)[0].fit // 'too shallow', with byM 0.2
 */
export function judge(result: SwingResult, lies: readonly FishLie[]): Verdict[] {
  return lies.map((lie, i) => {
    const pass = result.lies[i];
    if (!pass) throw new RangeError('lies: not the lies that were simulated');
    const { topM, bottomM } = lie.band;
    const tooFast = pass.crossSpeedMps > lie.crossSpeedMps;
    const verdict = (fit: Fit, byM: number): Verdict => ({ lie, pass, fit, byM, tooFast });
    if (pass.missM > Math.max(lie.widthM, lie.lengthM) / 2 + NEAR_M) return verdict('not reached', pass.missM);
    if (pass.depthM > lie.depthM - 0.03) return verdict('on the bed', pass.depthM - bottomM);
    if (pass.depthM < topM) return verdict('too shallow', topM - pass.depthM);
    if (pass.depthM > bottomM) return verdict('too deep', pass.depthM - bottomM);
    return verdict('right', 0);
  });
}

/** Side-on from here, degrees off the current. */
export const SIDE_ON_DEG = 45;
/** What counts as one unit of being wrong: a hand too high or too deep, 0.1 m/s too fast, 15° not side-on, a metre
 * past the reach. A fly on the bed is worse than one as much too high: it hangs up. */
const UNIT = { depthM: 0.1, speedMps: 0.1, axisDeg: 15, missM: 1 } as const;
const ON_BED = 3;
const NOT_REACHED = 20;

/** How far a pass is from what is wanted, in the units above; 0 is right. */
export function missOf({ pass, fit, byM, lie }: Verdict, sideOn: boolean): number {
  if (fit === 'not reached') return NOT_REACHED + pass.missM / UNIT.missM;
  return (
    (fit === 'on the bed' ? ON_BED : 0) +
    Math.abs(byM) / UNIT.depthM +
    Math.max(0, pass.crossSpeedMps - lie.crossSpeedMps) / UNIT.speedMps +
    (sideOn ? Math.max(0, SIDE_ON_DEG - pass.axisDeg) / UNIT.axisDeg : 0)
  );
}
