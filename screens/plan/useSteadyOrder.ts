import { useEffect, useState } from 'react';

/** What tells that somebody is at work on the page. */
const HANDS = ['pointerdown', 'wheel', 'keydown', 'touchmove'] as const;

/** Whether the page has been touched since it was shown. */
function useTouched(): boolean {
  const [touched, setTouched] = useState(false);
  useEffect(() => {
    const touch = () => setTouched(true);
    for (const hand of HANDS) window.addEventListener(hand, touch, { once: true, passive: true });
    return () => HANDS.forEach((hand) => window.removeEventListener(hand, touch));
  }, []);
  return touched;
}

/**
 * An order that stays as it is under the thumb: from the first touch on what is new comes last, until one asks for the order anew.
 *
 * @param best ids in the order of now
 * @param by what was asked for; of something else the order is begun anew
 */
export function useSteadyOrder(best: readonly string[], by: string) {
  const [shown, setShown] = useState({ by, ids: best });
  const touched = useTouched();
  const kept = touched && shown.by === by ? shown.ids.filter((id) => best.includes(id)) : [];
  const order = [...kept, ...best.filter((id) => !kept.includes(id))];
  const isShown = shown.by === by && shown.ids.join() === order.join();
  if (!isShown) setShown({ by, ids: order });
  return { order, isOld: order.join() !== best.join(), renew: () => setShown({ by, ids: best }) };
}
