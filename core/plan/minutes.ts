import { stepOf } from '../cover/rule';

/** A swing, its hang and the cast, s, as on the river before one's own pace is known (core/cover/pace.ts). */
const CAST_S = 45;
/** Casts that only lengthen the line, before one steps (common practice: two feet a cast out to the far side). */
const LENGTHENING = 12;

/**
 * Minutes that a run takes by the plain rule: lengthen, then a step a cast to its end.
 *
 * @example runMinutes(80, { visibilityM: 1.2, waterTempC: 10 }) // 49
 */
export const runMinutes = (
  lengthM: number,
  conditions: { readonly visibilityM: number; readonly waterTempC: number },
): number => Math.round(((lengthM / stepOf(conditions) + LENGTHENING) * CAST_S) / 60);
