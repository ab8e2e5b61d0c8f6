import { screensBehind } from '../shared/laterScreen';

export const dayParts = () => import('./dayParts');

/** A page of Plan. */
const page = screensBehind(dayParts);

export const DayScreen = page('The day by the clock', (m) => m.DayScreen);
export const PackScreen = page('What to pack', (m) => m.PackScreen);
export const SeasonScreen = page('The season', (m) => m.SeasonScreen);
export const WatersScreen = page('Which water', (m) => m.WatersScreen);
