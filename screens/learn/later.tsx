import type { ComponentType } from 'react';
import { fetched, later, Loading, Screen } from '@/ui';
import { proofs } from '../shared/later';
import type * as Screens from './screens';

/** With the rates, which by themselves would push away what the thumb is about to touch. */
const screens = async () => {
  const [all] = await Promise.all([import('./screens'), fetched(proofs)]);
  return all;
};

/** A screen of Learn, once the part that holds them has come. */
const screen = <Props extends object>(pick: (all: typeof Screens) => ComponentType<Props>) =>
  later(screens, pick, () => (
    <Screen title="Learn">
      <Loading what="Opening…" />
    </Screen>
  ));

export const LearnScreen = screen((m) => m.LearnScreen);
export const OutingScreen = screen((m) => m.OutingScreen);
export const HandDayScreen = screen((m) => m.HandDayScreen);
export const SheetScreen = screen((m) => m.SheetScreen);
