import type { Studied } from '../lies';
import type { Did } from './asSimulated';

/** What the casts of an outing showed at each height above the fish, and what each of those that were taken did. */
export interface RiseLog {
  /** The fish by whose row it goes. */
  readonly of: Studied;
  readonly casts: number;
  /** Summed over the casts, as in a cast’s RiseShown. */
  readonly by: readonly number[];
  /** Of the cast of each take. */
  readonly takes: readonly (readonly number[])[];
}
type Open = { -readonly [K in keyof RiseLog]: RiseLog[K] };

/** Adds up what casts showed at each height, by fish; those of which it is not known count for nothing. */
export function createRises() {
  const logs = new Map<Studied, Open>();
  const of = (kind: Studied, steps: number): Open => {
    const known = logs.get(kind) ?? { of: kind, casts: 0, by: new Array<number>(steps).fill(0), takes: [] };
    logs.set(kind, known);
    return known;
  };
  return {
    /** @param sign −1: the cast counts no longer */
    cast: (rise: Did['rise'], sign: 1 | -1 = 1): void => {
      if (!rise) return;
      const log = of(rise.of, rise.by.length);
      log.casts += sign;
      log.by = log.by.map((sum, i) => sum + sign * (rise.by[i] ?? 0));
    },
    take: (rise: Did['rise']): void => {
      if (!rise) return;
      const log = of(rise.of, rise.by.length);
      log.takes = [...log.takes, rise.by];
    },
    all: (): readonly RiseLog[] => [...logs.values()],
  };
}
