import type { DepthSchool } from '../lies';
import { profileOf, type Rig } from '../tackle';
import { CLEAR_M, COLD_C, DIRTY_M, type Reading, TYPICAL_DAY } from '../water';

/** How one begins: the angle of the first cast, a mend, and by which rule. */
export interface Opening {
  readonly angleDeg: number;
  readonly mendM: number;
  readonly by: OpeningRule | null;
}

/** The rule by which one begins to swing. */
export type OpeningRule = 'soft hackles' | 'dirty' | 'cold' | 'clear and low' | 'low light' | 'between';

/** The school that fishes near the bed lays one mend in to begin with, m. */
const MEND_M = 1;

/**
 * The opening cast of a swing by the day (common practice, no source): clear and low water 90° and above, two feet of sight
 * or less 60 to 70°, soft hackles 30 to 45°, at dusk 45 to 70°; cold water slower, so steeper. Near the bed: one upstream mend.
 *
 * @example openingOf({ ...reading, visibilityM: 0.5 }, rig, 'near the bed').angleDeg // 65
 */
export function openingOf(reading: Reading | null, rig: Pick<Rig, 'fly'>, school: DepthSchool): Opening {
  const { visibilityM, waterTempC } = { ...TYPICAL_DAY, ...reading };
  const cold = (waterTempC ?? TYPICAL_DAY.waterTempC) < COLD_C;
  const mendM = school === 'near the bed' ? MEND_M : 0;
  if (profileOf(rig.fly) === 'sparse') return { angleDeg: 40, mendM: 0, by: 'soft hackles' };
  if (visibilityM <= DIRTY_M) return { angleDeg: 65, mendM, by: 'dirty' };
  if (cold) return { angleDeg: 60, mendM, by: 'cold' };
  if (visibilityM >= CLEAR_M && (reading?.levelM ?? 0) <= 0) return { angleDeg: 95, mendM, by: 'clear and low' };
  if (reading?.sky === 'dusk') return { angleDeg: 60, mendM: 0, by: 'low light' };
  return { angleDeg: 75, mendM, by: 'between' };
}

/** Where nothing is known of the day. */
export const PLAIN_OPENING: Opening = { angleDeg: 65, mendM: 0, by: null };
