import { screensBehind } from '../shared/laterScreen';

const screen = screensBehind(() => import('./screens'));

export const LearnScreen = screen('Learn', (m) => m.LearnScreen);
export const OutingScreen = screen('Learn', (m) => m.OutingScreen);
export const AskScreen = screen('Learn', (m) => m.AskScreen);
export const HandDayScreen = screen('Learn', (m) => m.HandDayScreen);
export const SheetScreen = screen('Learn', (m) => m.SheetScreen);
export const YearScreen = screen('Learn', (m) => m.YearScreen);
