import { useMemo } from 'react';
import { isRight, judge } from '@/core/advice';
import type { CastPlan } from '@/core/cast';
import type { Covering } from '@/core/cover';
import type { Survey } from '@/core/lies';
import type { Did } from '@/core/logbook';
import { didOf } from '@/core/logbook/asSimulated';
import type { SwingResult } from '@/core/swing';
import type { Rig } from '@/core/tackle';
import { useSwing } from '../shared/useSwing';
import { waterShown } from './useShown';

/**
 * The swing of the cast that comes next, simulated while it is made: its picture, and what is kept with it.
 *
 * @param active false rests
 * @param covering what the run offers; null: not known yet
 */
export function useNextSwing(
  survey: Survey,
  rig: Rig,
  plan: CastPlan,
  active: boolean,
  covering: Covering | null,
): { readonly result: SwingResult | null; readonly didBy: (made: CastPlan) => Did | null } {
  const key = JSON.stringify(plan);
  const request = useMemo(
    () => ({ channel: survey.channel, rig, plan: JSON.parse(key) as CastPlan, lies: survey.lies }),
    [survey, rig, key],
  );
  const { simulated } = useSwing(request, active);
  const result = simulated?.request === request ? simulated.result : null;
  return {
    result,
    didBy: (made) => {
      if (!result || JSON.stringify(made) !== key) return null;
      const right = judge(result, request).filter(isRight);
      return didOf(
        result,
        right.map((v) => v.lie),
        waterShown(result, covering),
      );
    },
  };
}
