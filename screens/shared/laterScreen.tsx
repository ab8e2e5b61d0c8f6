import type { ComponentType } from 'react';
import { type Door, later, Loading, Screen } from '@/ui';

/** The screens behind a door, each under its title until the part that holds them has come. */
export const screensBehind =
  <All,>(door: Door<All>) =>
  <Props extends object>(title: string, pick: (all: All) => ComponentType<Props>): ComponentType<Props> =>
    later(door, pick, () => (
      <Screen title={title}>
        <Loading what="Opening…" />
      </Screen>
    ));
