import type { Change } from './changes';
import { RECORD_KINDS } from './records';

/** A small second place that is written at once: `localStorage`. */
export interface Spare {
  keys(): string[];
  get(key: string): string | null;
  /** Throws when there is no room. */
  set(key: string, value: string): void;
  remove(key: string): void;
}

/** Changes that belong together: all of them are stored, or none. */
export interface Group {
  readonly changes: readonly Change[];
  /** It may have been stored before: what it adds is looked for in the whole log. */
  again: boolean;
  checked: boolean;
  state: 'waiting' | 'stored' | 'refused';
  why: Error | null;
}

const isObject = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null;

/** Whether something has the form of a change; what is in it is checked like all that is stored. */
function isChange(x: unknown): x is Change {
  if (!isObject(x)) return false;
  if (x.do === 'append') return typeof x.outingId === 'string' && Array.isArray(x.events);
  if (!(RECORD_KINDS as readonly unknown[]).includes(x.kind)) return false;
  if (x.do === 'put') return isObject(x.record);
  return typeof x.id === 'string' && (x.do === 'remove' || (x.do === 'patch' && isObject(x.fields)));
}

const PREFIX = 'wanderung-waiting/';

/**
 * What was entered and is not stored yet, in order. It is copied to the spare place as long as there is room there; what
 * an earlier page left there comes first.
 *
 * @param page a name that no other page has
 */
export function createWaiting(spare: Spare | null, page: string) {
  const own = PREFIX + page;
  let groups: Group[] = [];
  let copied = true;
  /** Copies of earlier pages that have been taken over. */
  const left: string[] = [];

  const group = (changes: readonly Change[], again: boolean): Group => ({
    changes,
    again,
    checked: false,
    state: 'waiting',
    why: null,
  });

  /** Copies what waits; says nothing where there is no room, `copied` does. */
  function copy(): void {
    try {
      if (groups.length === 0) spare?.remove(own);
      else spare?.set(own, JSON.stringify(groups.map((g) => g.changes)));
      copied = spare !== null || groups.length === 0;
      if (copied) left.splice(0).forEach((key) => spare?.remove(key));
    } catch {
      copied = false;
    }
  }

  function readLeft(key: string): Group[] {
    try {
      const copy: unknown = JSON.parse(spare?.get(key) ?? '[]');
      return (Array.isArray(copy) ? copy : [])
        .filter((g): g is Change[] => Array.isArray(g) && g.every(isChange))
        .map((changes) => group(changes, true));
    } catch {
      return []; // cut short in the middle of being written: what it copied was on its way to the store
    }
  }

  return {
    /**
     * Takes over what earlier pages left.
     *
     * @param alive pages that are open: they store theirs themselves
     */
    adopt(alive: readonly string[]): void {
      if (!spare) return;
      try {
        const others = new Set([page, ...alive].map((p) => PREFIX + p));
        left.push(...spare.keys().filter((k) => k.startsWith(PREFIX) && !others.has(k)));
        groups = [...left.flatMap(readLeft), ...groups];
        copy();
      } catch {
        copied = false;
      }
    },
    add(changes: readonly Change[]): Group {
      const g = group(changes, false);
      groups = [...groups, g];
      copy();
      return g;
    },
    /** These are stored, or cannot be. */
    settle(done: readonly Group[]): void {
      groups = groups.filter((g) => !done.includes(g));
      copy();
      // Where there is no room for the rest, the copy still holds what is done: that must not be done again.
      if (!copied) spare?.remove(own);
    },
    all: (): readonly Group[] => groups,
    /** How many changes wait. */
    size: () => groups.reduce((n, g) => n + g.changes.length, 0),
    /** Whether all of it would survive a reload. */
    copied: () => copied,
  };
}
export type Waiting = ReturnType<typeof createWaiting>;
