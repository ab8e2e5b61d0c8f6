import { FOOT_M, G, GRAIN_KG, INCH_M } from '../units';
import { fliesOf, type Rig } from './rig';
import { headLengthM, sinkingWeight } from './line';
import { flyBody } from './flies';
import type { RodItem, TipItem } from './kit';
import { FLOATER_DENSITY, floaterDiameterM, lineMassKg, sinkerDiameterM } from './standards';

/** The standard weighs so much of a line, m. */
const STANDARD_M = 30 * FOOT_M;

/** Heads that two-handed rods throw by their number, grains: light two-handers of 3 to 5 weight 250 to 350 (handbook of the
 * trade), the others in steps of it (common practice, no source; makers differ by a number). */
const TWO_HAND_GRAINS: Readonly<Record<number, readonly [number, number]>> = {
  1: [150, 210],
  2: [180, 250],
  3: [220, 300],
  4: [250, 350],
  5: [300, 400],
  6: [360, 475],
  7: [425, 550],
  8: [500, 650],
  9: [575, 725],
  10: [650, 800],
  11: [720, 880],
  12: [800, 960],
};
/** Long heads and whole lines are lighter on the same rod, as shares of these (common practice, no source). */
const LONG_HEAD = [0.8, 0.9] as const;
/** A single-hand rod throws a whole line of a number less to one of a number more, a short head of two or three more, as shares
 * of the standard's mass for its number (common practice, no source). */
const ONE_HAND = { taper: [0.85, 1.25], head: [1.1, 1.75] } as const;

/** Least and most mass that a rod throws well, kg: as its maker says, else by its number. */
export function windowOf(rod: RodItem, shape: Rig['head']['shape']): readonly [number, number] {
  if (rod.windowKg) return rod.windowKg;
  if (rod.hands === 2) {
    const [least, most] = TWO_HAND_GRAINS[rod.lineNumber] ?? TWO_HAND_GRAINS[12]!;
    const [low, high] = shape === 'short' ? [1, 1] : LONG_HEAD;
    return [low * least * GRAIN_KG, high * most * GRAIN_KG];
  }
  const [least, most] = ONE_HAND[shape === 'taper' ? 'taper' : 'head'];
  const mass = lineMassKg(rod.lineNumber);
  return [least * mass, most * mass];
}

/** A sinking leader tapers to about a third of its thickness: of a cylinder it is (1 + 1/3 + 1/9)/3. */
const TAPERED_SHARE = 0.48;

/** Mass of a tip in air, kg: as printed on it, else water displaced by its diameter and its weight in water. */
export function tipMassKg(tip: TipItem, lineNumber: number): number {
  if (tip.massKg !== undefined) return tip.massKg;
  const floats = tip.sinkRateMps <= 0;
  const d = floats ? floaterDiameterM(lineNumber) : sinkerDiameterM(tip.sinkRateMps / INCH_M);
  const area = (Math.PI / 4) * d ** 2;
  const perM = floats ? FLOATER_DENSITY * 1000 * area : 1000 * area + sinkingWeight(tip.sinkRateMps, d) / G;
  return (tip.tapered ? TAPERED_SHARE : 1) * perM * tip.lengthM;
}

interface Balance {
  /** The head, of a whole line its first 30 ft, kg. */
  readonly headKg: number;
  readonly tipKg: number;
  /** Heads that the rod throws well, kg. */
  readonly windowKg: readonly [number, number];
  readonly fits: 'right' | 'too light' | 'too heavy';
  /** More tip than the head turns over. */
  readonly tipTooHeavy: boolean;
  /** A short head on two hands with less tip than holds it in the water: it slips, and lands in a heap. */
  readonly tipTooLight: boolean;
  /** More fly than head and tip turn over. */
  readonly flyTooHeavy: boolean;
}

/** A head turns over a tip of a third of its mass and somewhat more, soaked flies of some seventh of head and tip: heavier ones
 * drop short and hit the rod (common practice, no source). */
const MOST_TIP = 0.4;
const MOST_FLY = 0.15;
/** A short head on two hands wants a tip of this share of its mass at the least to anchor it (common practice, no source). */
const LEAST_TIP = 0.08;
/** Water that a dressing still holds in the cast, as a share of its dry mass (assumed). */
const SOAKED = 1;

/**
 * Whether head, tip and flies balance on the rod.
 *
 * @example balanceOf(rig).fits // 'right' for a 500 gr head with a 10 ft tip on a two-hander, line 7
 */
export function balanceOf(rig: Rig): Balance {
  const { head, rod } = rig;
  const share = Math.min(1, head.shape === 'taper' ? STANDARD_M / head.lengthM : 1) * (headLengthM(rig) / head.lengthM);
  const headKg = head.massKg * share;
  const tipKg = rig.tip ? tipMassKg(rig.tip, rod.lineNumber) : 0;
  const windowKg = windowOf(rod, head.shape);
  const flies = fliesOf(rig).reduce((sum, f) => sum + (1 + SOAKED) * flyBody(f).massKg, 0);
  return {
    headKg,
    tipKg,
    windowKg,
    fits: headKg < windowKg[0] ? 'too light' : headKg > windowKg[1] ? 'too heavy' : 'right',
    tipTooHeavy: tipKg > MOST_TIP * headKg,
    tipTooLight: rod.hands === 2 && head.shape === 'short' && tipKg < LEAST_TIP * headKg,
    flyTooHeavy: flies > MOST_FLY * (headKg + tipKg),
  };
}
