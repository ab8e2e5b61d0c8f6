/** The screens that show a run or a swing, behind one dynamic import (later.tsx): what they share must not weigh on the first
 * screen. */
export { FishScreen } from '../fish/FishScreen';
export { MovesScreen } from '../learn/MovesScreen';
export { PracticeScreen } from '../practice/PracticeScreen';
export { CompareScreen } from '../read/CompareScreen';
export { GlanceScreen } from '../read/GlanceScreen';
export { NewRunScreen } from '../read/NewRunScreen';
export { RunListScreen } from '../read/RunListScreen';
export { RunScreen } from '../read/RunScreen';
export { RigScreen } from '../rig/RigScreen';
