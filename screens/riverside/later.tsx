import { screensBehind } from '../shared/laterScreen';

/** A screen with a run or a swing on it. */
const screen = screensBehind(() => import('./riverside'));

export const CompareScreen = screen('Read', (m) => m.CompareScreen);
export const FishScreen = screen('Fish', (m) => m.FishScreen);
export const GlanceScreen = screen('Read', (m) => m.GlanceScreen);
export const MovesScreen = screen('Learn', (m) => m.MovesScreen);
export const NewRunScreen = screen('Read', (m) => m.NewRunScreen);
export const PracticeScreen = screen('Practice ground', (m) => m.PracticeScreen);
export const RigScreen = screen('Rig', (m) => m.RigScreen);
export const RunListScreen = screen('Read', (m) => m.RunListScreen);
export const RunScreen = screen('Read', (m) => m.RunScreen);
