import { useState } from 'react';

/**
 * An order that stays as it is under the thumb: what is new comes last, until one asks for the order anew.
 *
 * @param best ids in the order of now
 * @param by what was asked for; of something else the order is begun anew
 */
export function useSteadyOrder(best: readonly string[], by: string) {
  const [shown, setShown] = useState({ by, ids: best });
  const kept = shown.by === by ? shown.ids.filter((id) => best.includes(id)) : [];
  const order = [...kept, ...best.filter((id) => !kept.includes(id))];
  const isShown = shown.by === by && shown.ids.join() === order.join();
  if (!isShown) setShown({ by, ids: order });
  return { order, isOld: order.join() !== best.join(), renew: () => setShown({ by, ids: best }) };
}
