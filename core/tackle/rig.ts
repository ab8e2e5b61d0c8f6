import type { FlyItem, HeadItem, KitItem, LeaderItem, RodItem, TipItem } from './kit';

/** Two schools place it: at the fly's head (0), or 6 to 8 in above it. */
export interface Shot {
  readonly massKg: number;
  readonly aboveFlyM: number;
}

/** What is tied on. Whole items, not references: the log must not change when the kit does. */
export interface Rig {
  readonly rod: RodItem;
  readonly head: HeadItem;
  readonly tip: TipItem | null;
  readonly leader: LeaderItem;
  readonly fly: FlyItem;
  /** Second fly on the leader, a metre and so above the point. */
  readonly dropper: FlyItem | null;
  /** Split shot on the leader. */
  readonly shot?: Shot;
  /** Clean floats by surface tension, dirty does not (see docs/swing.md). */
  readonly lineClean: boolean;
}

/** A rig as choices from the kit; empty strings are not chosen yet. */
export interface RigChoice {
  readonly rodId: string;
  readonly headId: string;
  readonly tipId: string;
  readonly leaderId: string;
  readonly flyId: string;
  readonly dropperId: string;
  /** Split shot, kg; not said: none. */
  readonly shotKg?: number;
  /** How far above the fly it is pinched on, m; not said: at the fly's head. */
  readonly shotAboveM?: number;
  readonly lineClean: boolean;
}

export const NO_RIG: RigChoice = {
  rodId: '',
  headId: '',
  tipId: '',
  leaderId: '',
  flyId: '',
  dropperId: '',
  lineClean: true,
};

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

/** The choice behind a rig: rigOf gives it back, where the kit has its parts. */
export const choiceOf = (rig: Rig): RigChoice => ({
  rodId: rig.rod.id,
  headId: rig.head.id,
  tipId: rig.tip?.id ?? '',
  leaderId: rig.leader.id,
  flyId: rig.fly.id,
  dropperId: rig.dropper?.id ?? '',
  lineClean: rig.lineClean,
  ...(rig.shot ? { shotKg: rig.shot.massKg, shotAboveM: rig.shot.aboveFlyM } : null),
});
