import type { ComponentType } from 'react';
import { later, Loading, Screen } from '@/ui';
import type * as Screens from './riverside';

const screens = () => import('./riverside');

/** A screen with a run or a swing on it, once the part that holds them has come. */
const screen = <Props extends object>(title: string, pick: (all: typeof Screens) => ComponentType<Props>) =>
  later(screens, pick, () => (
    <Screen title={title}>
      <Loading what="Opening…" />
    </Screen>
  ));

export const CompareScreen = screen('Read', (m) => m.CompareScreen);
export const FishScreen = screen('Fish', (m) => m.FishScreen);
export const MovesScreen = screen('Learn', (m) => m.MovesScreen);
export const RigScreen = screen('Rig', (m) => m.RigScreen);
export const RunListScreen = screen('Read', (m) => m.RunListScreen);
export const RunScreen = screen('Read', (m) => m.RunScreen);
