import { type Leeway, LEEWAYS } from '../lies/leeway';
import type { Studied } from '../lies';
import type { Did } from './asSimulated';

type Told = Readonly<Record<Leeway, readonly number[]>>;

/** How the casts of an outing passed before the fish, and how each of those that were taken did. */
export interface PassedLog {
  /** The fish by whose row it goes. */
  readonly of: Studied;
  readonly casts: number;
  /** Summed over the casts, as in what a cast keeps (Passing). */
  readonly by: Told;
  /** Of the cast of each take. */
  readonly takes: readonly Told[];
}
type Open = { -readonly [K in keyof PassedLog]: PassedLog[K] };

const NONE: Told = { up: [], aside: [], across: [], headOn: [] };
const only = ({ up, aside, across, headOn }: Told): Told => ({ up, aside, across, headOn });
/** Sums of two lists, one of which may be longer. */
const added = (x: readonly number[], y: readonly number[], sign: 1 | -1): number[] =>
  Array.from({ length: Math.max(x.length, y.length) }, (_, i) => (x[i] ?? 0) + sign * (y[i] ?? 0));

/** Adds up how casts passed before fish, by the fish; those of which it is not known count for nothing. */
export function createPassings() {
  const logs = new Map<Studied, Open>();
  const of = (kind: Studied): Open => {
    const known = logs.get(kind) ?? { of: kind, casts: 0, by: NONE, takes: [] };
    logs.set(kind, known);
    return known;
  };
  return {
    /** @param sign −1: the cast counts no longer */
    cast: (passed: Did['passed'], sign: 1 | -1 = 1): void => {
      if (!passed) return;
      const log = of(passed.of);
      log.casts += sign;
      log.by = Object.fromEntries(LEEWAYS.map((k) => [k, added(log.by[k], passed[k], sign)])) as unknown as Told;
    },
    take: (passed: Did['passed']): void => {
      if (!passed) return;
      const log = of(passed.of);
      log.takes = [...log.takes, only(passed)];
    },
    all: (): readonly PassedLog[] => [...logs.values()],
  };
}
