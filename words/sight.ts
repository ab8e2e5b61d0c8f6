import type { PhotoFault } from '@/core/sight/photo';
import { format, type UnitSystem } from './units';

/** Depths at which a pale thing can be measured by, m. */
const [LEAST_M, MOST_M] = [0.05, 5];

/** Why a picture tells no colour, and what to do. */
export function photoFault(why: PhotoFault, units: UnitSystem): string {
  switch (why) {
    case 'depth not said':
      return `Enter how deep you held the white thing: ${format('small', LEAST_M, units)} to ${format('length', MOST_M, units)}.`;
    case 'blown in air':
      return 'The white thing is overexposed in the air: no colour is left in it. Take a darker picture, in the shade.';
    case 'blown under water':
      return 'The white thing is overexposed under water: glare off the surface? Take the picture from another side.';
    case 'dark in air':
      return 'The thing is dark in the air: take a pale thing, or a lighter picture.';
    case 'not white':
      return 'The thing is not white in the air, or the camera’s white is off. Take something white, in the same light.';
    case 'glare':
      return 'The water beside the thing is nearly as bright: glare, or a pale bed. Shade the water, or hold the thing over deep water.';
    case 'not seen':
      return 'The thing cannot be seen down there. Hold it half as deep, or take a lighter picture.';
    case 'hardly dimmed':
      return 'The thing is hardly dimmed: you can see several times as deep. Hold it deeper.';
  }
}
