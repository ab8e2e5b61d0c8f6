/** What Plan shows of a water's day, behind one dynamic import: the first screen, without a water, does without. */
export { Colour } from './Colour';
export { Light } from './Light';
