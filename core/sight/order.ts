import { flyBody, type FlyItem, flySinkRate } from '../tackle';
import { type Look, seenFrom } from './seen';

/** Ways to sort a box as one stands at the water. */
export const FLY_ORDERS = ['name', 'size', 'sinks fastest', 'outline seen furthest', 'colour seen furthest'] as const;
export type FlyOrder = (typeof FLY_ORDERS)[number];

/** Flies in an order, the first first; what is seen needs the water and light of the day, else the order is by name. */
export function flyOrder(flies: readonly FlyItem[], order: FlyOrder, look: Look | null): FlyItem[] {
  const by = keyOf(order, look);
  const keys = new Map(flies.map((f) => [f.id, by?.(f) ?? 0]));
  return [...flies].sort((a, b) => keys.get(b.id)! - keys.get(a.id)! || a.name.localeCompare(b.name));
}

function keyOf(order: FlyOrder, look: Look | null): ((f: FlyItem) => number) | null {
  switch (order) {
    case 'size':
      return (f) => f.lengthM;
    case 'sinks fastest':
      return (f) => flySinkRate(flyBody(f));
    case 'outline seen furthest':
      return look && ((f) => seenFrom(look, f, 'beside').outline.likelyM);
    case 'colour seen furthest':
      return look && ((f) => seenFrom(look, f, 'beside').colour.likelyM);
    case 'name':
      return null;
  }
}
