import { createContext, useContext } from 'react';
import type { Survey } from '@/core/lies';
import type { WaterRules } from '@/core/rules';
import type { Means } from '@/core/cast';
import type { KitItem, Rig } from '@/core/tackle';
import type { Reading, Run } from '@/core/water';
import { type UnitSystem } from '@/words/units';

/** What is cast where: the same for all parts of the screen, and still while a hand moves the cast. */
export interface RigInHand {
  readonly run: Run;
  readonly survey: Survey;
  readonly rig: Rig;
  readonly kit: readonly KitItem[];
  /** Other rods that stand ready. */
  readonly rigged: readonly Rig[];
  readonly means: Means;
  /** In force today. */
  readonly reading: Reading;
  readonly rules: WaterRules | null;
  readonly units: UnitSystem;
  /** Rank of the lie that is talked about; null where none was found. */
  readonly chosen: number | null;
}

const Context = createContext<RigInHand | null>(null);
export const RigInHandProvider = Context.Provider;

export function useRigInHand(): RigInHand {
  const inHand = useContext(Context);
  if (!inHand) throw new Error('useRigInHand: outside the rig’s screen');
  return inHand;
}
