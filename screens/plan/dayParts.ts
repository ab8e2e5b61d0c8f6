/** What Plan shows of a water's day, and its further pages, behind one dynamic import: the first screen, without a water, does
 * without, and what they share must not weigh on it. */
export { Colour } from './Colour';
export { DayScreen } from './DayScreen';
export { Level } from './Level';
export { Light } from './Light';
export { PackScreen } from './PackScreen';
export { WatersScreen } from './WatersScreen';
