import { G, WATER_DENSITY } from '../units';
import { FLY_FAMILIES, FLY_WEIGHTS, type FlyColour, type FlyFamily, type FlyProfile } from './families';
import type { FlyItem, Motion } from './kit';

/** What a fly weighs and how it drags when soaked. */
interface FlyBody {
  readonly massInWaterKg: number;
  readonly massKg: number;
  /** Cd·A, m². */
  readonly dragAreaM2: number;
}

/** Four measured kinds (mass in water, dry mass, Cd·A; from memory): sinking at 0.14, 0.29, 0.34 and 0.125 m/s. */
export const REFERENCE_FLIES = {
  bulky: { massInWaterKg: 0.2e-3, massKg: 0.4e-3, dragAreaM2: 2.0e-4, lengthM: 0.0635 },
  beadHead: { massInWaterKg: 0.25e-3, massKg: 0.35e-3, dragAreaM2: 0.6e-4, lengthM: 0.03 },
  leadEye: { massInWaterKg: 1.2e-3, massKg: 1.5e-3, dragAreaM2: 2.0e-4, lengthM: 0.065 },
  softHackle: { massInWaterKg: 0.04e-3, massKg: 0.07e-3, dragAreaM2: 0.5e-4, lengthM: 0.015 },
} as const;

export const profileOf = (fly: { readonly family: FlyFamily; readonly profile?: FlyProfile }): FlyProfile =>
  fly.profile ?? FLY_FAMILIES[fly.family].profile;
export const motionOfFly = (fly: Pick<FlyItem, 'family' | 'motion'>): Motion =>
  fly.motion ?? FLY_FAMILIES[fly.family].motion;

/** Fished in the film, where it leaves a wake. */
export const skates = (fly: Pick<FlyItem, 'family' | 'motion'>): boolean => motionOfFly(fly) === 'skates';

/** Density of tungsten over water, and how much of the ball a drilled and slotted bead still is (both from memory). */
const TUNGSTEN_DENSITY = 17;
const LEFT_OF_BEAD = 0.66;

/** What a slotted tungsten bead weighs in water, kg. @example beadKg(0.0033) // 0.000199 */
export const beadKg = (diameterM: number): number =>
  LEFT_OF_BEAD * (Math.PI / 6) * diameterM ** 3 * WATER_DENSITY * (TUNGSTEN_DENSITY - 1);

/** What the weighting adds in water, kg. */
const addedKg = ({ weight, beadM }: Pick<FlyItem, 'weight' | 'beadM'>): number =>
  weight === 'bead' && beadM !== undefined ? beadKg(beadM) : FLY_WEIGHTS[weight].addedKg;

/**
 * Weight and drag of a fly from its family or profile, length and weighting, scaled from four measured flies: drag with
 * the square of the length, dressing with length times width. Rough (±30 %): the swing carries it as uncertainty.
 *
 * @example flyBody({ family: 'rabbit strip', lengthM: 0.0635, weight: 'none', … }).massInWaterKg // 0.0002
 */
export function flyBody(fly: Pick<FlyItem, 'family' | 'lengthM' | 'weight' | 'profile' | 'beadM'>): FlyBody {
  const profile = profileOf(fly);
  const base = profile === 'sparse' ? REFERENCE_FLIES.softHackle : REFERENCE_FLIES.bulky;
  const slim = profile === 'slim' ? 0.45 : 1;
  const scale = (fly.lengthM / base.lengthM) ** 2 * slim;
  const added = addedKg(fly);
  const massInWaterKg = base.massInWaterKg * scale + added;
  return {
    massInWaterKg,
    massKg: Math.max(base.massKg * scale + Math.max(0, added) * 1.1, massInWaterKg, 2e-5),
    dragAreaM2: Math.max(base.dragAreaM2 * scale, 0.2e-4),
  };
}

/** Terminal sink rate in still water, m/s (negative rises). @example flySinkRate(REFERENCE_FLIES.bulky) // 0.140 */
export function flySinkRate(b: FlyBody, rho = WATER_DENSITY): number {
  const w = b.massInWaterKg * G;
  return Math.sign(w) * Math.sqrt((2 * Math.abs(w)) / (rho * b.dragAreaM2));
}

/** A fly in two words. @example describeFly(fly) // 'black rabbit strip' … the screen adds the tip in its units */
export const describeFly = (fly: Pick<FlyItem, 'colour' | 'family' | 'called'>): string =>
  `${fly.colour} ${fly.called ?? fly.family}`;

/** A fly as its family usually is. */
export function usualFly(family: FlyFamily, colour: FlyColour = 'black'): Omit<FlyItem, 'id'> {
  const { up, ...usual } = FLY_FAMILIES[family].usual as (typeof FLY_FAMILIES)[FlyFamily]['usual'] & { up?: true };
  const fly = { type: 'fly' as const, family, colour, ...usual, ...(up ? { hookUp: true } : null), barbless: true };
  return { ...fly, name: describeFly(fly) };
}
