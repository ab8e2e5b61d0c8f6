import { type ComponentType, lazy, Suspense } from 'react';
import { Loading, Screen } from '@/ui';
import type * as Parts from './dayParts';

/** A page of Plan, once the part that holds them has come. */
function later(title: string, pick: (all: typeof Parts) => ComponentType) {
  const Part = lazy(() => import('./dayParts').then((m) => ({ default: pick(m) })));
  return function LaterScreen() {
    return (
      <Suspense
        fallback={
          <Screen title={title}>
            <Loading what="Opening…" />
          </Screen>
        }
      >
        <Part />
      </Suspense>
    );
  };
}

export const DayScreen = later('The day by the clock', (m) => m.DayScreen);
export const PackScreen = later('What to pack', (m) => m.PackScreen);
export const WatersScreen = later('Which water', (m) => m.WatersScreen);
