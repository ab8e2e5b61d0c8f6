import type { KitItem, Rig } from '@/core/tackle';
import type { RigChoice } from '@/store/records';

export type KitOf<T extends KitItem['type']> = Extract<KitItem, { type: T }>;

/** Items of one type, in the order of their names. */
export const itemsOf = <T extends KitItem['type']>(kit: readonly KitItem[], type: T): KitOf<T>[] =>
  kit.filter((k): k is KitOf<T> => k.type === type).sort((a, b) => a.name.localeCompare(b.name));

/** The whole items behind a choice; null while something is not chosen. */
export function rigOf(kit: readonly KitItem[], c: RigChoice): Rig | null {
  const find = <T extends KitItem['type']>(type: T, id: string) => itemsOf(kit, type).find((k) => k.id === id) ?? null;
  const rod = find('rod', c.rodId);
  const head = find('head', c.headId);
  const leader = find('leader', c.leaderId);
  const fly = find('fly', c.flyId);
  if (!rod || !head || !leader || !fly) return null;
  return {
    rod,
    head,
    leader,
    fly,
    tip: find('tip', c.tipId),
    dropper: find('fly', c.dropperId),
    lineClean: c.lineClean,
    ...(c.shotKg ? { shot: { massKg: c.shotKg, aboveFlyM: c.shotAboveM ?? 0 } } : null),
  };
}
