/** The screens of Learn, behind one dynamic import (later.tsx): what they share must not weigh on the first screen. */
export { AskScreen } from './AskScreen';
export { HandDayScreen } from './HandDayScreen';
export { LearnScreen } from './LearnScreen';
export { OutingScreen } from './OutingScreen';
export { SheetScreen } from './SheetScreen';
export { YearScreen } from './YearScreen';
