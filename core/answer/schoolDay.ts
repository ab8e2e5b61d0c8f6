import type { Quarry } from '../lies';
// not the barrel: this weighs on the first look
import { isDirty, seenDownM } from '../water/clarity';
import { FEATURES } from '../water/featureTable';
import { type Reading, TYPICAL_DAY } from '../water/reading';
import type { Run } from '../water/run';
import { COLD_C } from '../water/warmth';
import { type SchoolDay, type Schools, usualSchools } from './schools';

/** The sun over this is high, degrees. */
const HIGH_SUN_DEG = 25;

/** A day on a run, and what the angler has chosen. */
interface OnRun {
  readonly run: Pick<Run, 'features'>;
  readonly reading: Reading;
  readonly quarry: Quarry;
  /** Altitude of the sun, degrees. */
  readonly sunDeg: number;
  readonly schools: Partial<Schools>;
}

/** What of a day a school’s default hangs on. */
export const schoolDayOf = ({ run, reading, quarry, sunDeg }: Omit<OnRun, 'schools'>): SchoolDay => ({
  quarry,
  cold: (reading.waterTempC ?? TYPICAL_DAY.waterTempC) < COLD_C,
  dirty: isDirty(reading.colour, seenDownM(reading)),
  bright: reading.sky === 'bright' && sunDeg > HIGH_SUN_DEG,
  wood: run.features.some((f) => FEATURES[f.kind].hinders),
});

/** The schools in use on a run today: as chosen, the others as is usual for the fish and the water. */
export const schoolsOn = (q: OnRun): Schools => ({ ...usualSchools(schoolDayOf(q)), ...q.schools });
