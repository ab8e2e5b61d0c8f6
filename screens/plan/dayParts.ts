/** What Plan shows of a water's day, and its further pages, behind one dynamic import: the first screen, without a water, does
 * without, and what they share must not weigh on it. */
export { DayScreen } from './DayScreen';
export { DayWarnings } from './DayWarnings';
export { Going } from './Going';
export { Light } from './Light';
export { NextRun } from './NextRun';
export { PackScreen } from './PackScreen';
export { Rules } from './Rules';
export { SeasonScreen } from './SeasonScreen';
export { ToDo } from './ToDo';
export { WatersScreen } from './WatersScreen';
