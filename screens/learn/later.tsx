import { type ComponentType, lazy, Suspense } from 'react';
import { Loading, Screen } from '@/ui';
import type * as Screens from './screens';

/** A screen of Learn, once the part that holds them has come. */
function later<Props extends object>(pick: (all: typeof Screens) => ComponentType<Props>) {
  const Part = lazy(() => import('./screens').then((m) => ({ default: pick(m) }))) as unknown as ComponentType<Props>;
  return function LaterScreen(props: Props) {
    return (
      <Suspense
        fallback={
          <Screen title="Learn">
            <Loading what="Opening…" />
          </Screen>
        }
      >
        <Part {...props} />
      </Suspense>
    );
  };
}

export const LearnScreen = later((m) => m.LearnScreen);
export const OutingScreen = later((m) => m.OutingScreen);
export const HandDayScreen = later((m) => m.HandDayScreen);
export const SheetScreen = later((m) => m.SheetScreen);
