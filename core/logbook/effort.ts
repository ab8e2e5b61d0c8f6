import type { Rig } from '../tackle';
import { type Happened, isTake } from './events';

/** Casts that count and takes with one rig, in the order in which rigs were tied on. */
interface RigEffort {
  readonly key: string;
  /** null: nothing was noted of it. */
  readonly set: Rig | null;
  readonly casts: number;
  readonly takes: number;
}

const NOT_NOTED = '';

/** What was cast with what, and what it brought; casts that were not counted one by one are no one’s. */
export function effortByRig(events: readonly Happened[]): RigEffort[] {
  const rigs = new Map<string, { key: string; set: Rig | null; casts: number; takes: number }>();
  let inForce = NOT_NOTED;
  /** Whose the casts were, the last one last: a fouled fly takes its own back. */
  const counted: string[] = [];
  const of = (key: string) => {
    const known = rigs.get(key) ?? { key, set: null, casts: 0, takes: 0 };
    rigs.set(key, known);
    return known;
  };
  const keyOf = (e: Happened) => (e.rig && rigs.has(e.rig) ? e.rig : inForce);
  for (const e of events) {
    if (e.kind === 'rig' && e.rig) {
      inForce = e.rig;
      of(inForce).set = e.set;
    } else if (e.kind === 'cast') {
      counted.push(keyOf(e));
      of(keyOf(e)).casts++;
    } else if (e.kind === 'fouled') {
      const key = counted.pop();
      if (key !== undefined) of(key).casts--;
    } else if (e.kind === 'take' && isTake(e)) of(keyOf(e)).takes++;
  }
  return [...rigs.values()].filter((r) => r.casts > 0 || r.takes > 0);
}
