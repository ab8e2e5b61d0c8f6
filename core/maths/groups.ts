/** Groups of a list by a key, in the order in which they come first. (d3-array has it, and weighs on the first screen.) */
export function groupBy<T, K>(list: readonly T[], key: (t: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const t of list) {
    const own = groups.get(key(t));
    if (own) own.push(t);
    else groups.set(key(t), [t]);
  }
  return groups;
}

export const sumOf = <T>(list: readonly T[], of: (t: T) => number): number => list.reduce((sum, t) => sum + of(t), 0);

/** The mean; 0 of none. */
export const meanOf = <T>(list: readonly T[], of: (t: T) => number): number =>
  sumOf(list, of) / Math.max(1, list.length);

/** The sum of each group. */
export const sumBy = <T, K>(list: readonly T[], of: (t: T) => number, key: (t: T) => K): Map<K, number> =>
  new Map([...groupBy(list, key)].map(([k, own]) => [k, sumOf(own, of)]));

/** Of a list that is not empty what is nearest to a moment, the earlier in the list where two are as near. */
export const nearestTo = <T extends { readonly at: number }>(list: readonly T[], at: number): T =>
  list.reduce((a, b) => (Math.abs(b.at - at) < Math.abs(a.at - at) ? b : a));
