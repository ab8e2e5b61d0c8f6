import type { ComponentType } from 'react';
import { later, Loading, Screen } from '@/ui';
import type * as Parts from './dayParts';

export const dayParts = () => import('./dayParts');

/** A page of Plan, once the part that holds them has come. */
const page = (title: string, pick: (all: typeof Parts) => ComponentType) =>
  later(dayParts, pick, () => (
    <Screen title={title}>
      <Loading what="Opening…" />
    </Screen>
  ));

export const DayScreen = page('The day by the clock', (m) => m.DayScreen);
export const PackScreen = page('What to pack', (m) => m.PackScreen);
export const WatersScreen = page('Which water', (m) => m.WatersScreen);
