import type { CastPlan } from '../cast';
import type { Served } from './stands';

/** A stretch of the work that is fished alike, or a cast for one lie, made once or again. */
export interface Section {
  /** Where one stands first and last, m down the run. */
  readonly fromM: number;
  readonly toM: number;
  /** Waded, not from the bank. */
  readonly waded: boolean;
  /** The first cast of it; the others differ in where one stands and how long they are. */
  readonly plan: CastPlan;
  /** Shortest and longest cast, line out, m. */
  readonly shortestM: number;
  readonly longestM: number;
  /** From stand to stand, m; 0 with one. */
  readonly stepM: number;
  readonly casts: number;
  /** The lie that a cast of its own is for, by its number; null: it is the way of the run. */
  readonly lie: number | null;
}

const middle = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0;

/** Where one walks so far without a cast another stretch begins, m. */
const APART_M = 10;
/** Casts in their order, by the stretches that they are made on. */
function stretches<C extends { readonly plan: CastPlan }>(casts: readonly C[]): C[][] {
  const out: C[][] = [];
  casts.forEach((c, i) => {
    const before = casts[i - 1];
    if (before && Math.abs(c.plan.xM - before.plan.xM) <= APART_M) out.at(-1)!.push(c);
    else out.push([c]);
  });
  return out;
}

/** How a run is worked in the hour, as one says it in a breath or two: stretch by stretch in the order of the work; then the casts that
 * lies want for themselves. */
export function sectionsOf({ beat, stands }: Pick<Served, 'beat' | 'stands'>): Section[] {
  type Casts = readonly (typeof beat.casts)[number][];
  const of = (casts: Casts, lie: number | null): Section => {
    const along = [...new Set(casts.map((c) => c.plan.xM))];
    const out = casts.map((c) => c.plan.outM);
    return {
      ...{ fromM: along[0]!, toM: along.at(-1)!, waded: casts[0]!.pass > 0, plan: casts[0]!.plan, lie },
      ...{ shortestM: Math.min(...out), longestM: Math.max(...out), casts: casts.length },
      stepM: middle(along.slice(1).map((x, i) => Math.abs(x - along[i]!))),
    };
  };
  const way = beat.casts.filter((c) => !c.special);
  const passes = [0, 1].flatMap((pass) =>
    stretches(way.filter((c) => c.pass === pass)).map((casts) => of(casts, null)),
  );
  const own = stands.flatMap((t) => {
    const casts = t.special ? beat.casts.filter((c) => c.special && c.plan === t.plan) : [];
    return casts.length > 0 ? [of(casts, t.lie.rank)] : [];
  });
  const first = (x: Section) => way.findIndex((c) => c.plan === x.plan);
  return [...passes.sort((a, b) => first(a) - first(b)), ...own];
}
