import { fetched } from '@/ui';
import { proofs } from '../shared/later';
import { screensBehind } from '../shared/laterScreen';

/** With the rates, which by themselves would push away what the thumb is about to touch. */
const screens = async () => {
  const [all] = await Promise.all([import('./screens'), fetched(proofs)]);
  return all;
};

const screen = screensBehind(screens);

export const LearnScreen = screen('Learn', (m) => m.LearnScreen);
export const OutingScreen = screen('Learn', (m) => m.OutingScreen);
export const HandDayScreen = screen('Learn', (m) => m.HandDayScreen);
export const SheetScreen = screen('Learn', (m) => m.SheetScreen);
