import type { LogEvent } from '@/core/logbook';
import type { Rig } from '@/core/tackle';

/** What a name stands for where it is not told. */
const NAMELESS = {
  rod: 'a rod',
  head: 'a head',
  tip: 'a tip',
  leader: 'a leader',
  fly: 'a fly',
  float: 'a float',
} as const;
const A_FISH = 'fish';
/** Shorter words of a place's name ("the", "pool") stand in many others. */
const SHORTEST_WORD = 4;
/** "Anna’s olive": the name of somebody. */
const SOMEBODYS = /\p{Lu}\p{L}+['’]s(\s|$)/u;

const wordsOf = (name: string): string[] =>
  name
    .toLocaleLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((w) => w.length >= SHORTEST_WORD);

/** A rig with each of its names as `to` gives it. */
const renamedRig = (rig: Rig, to: (name: string, nameless: string) => string): Rig => {
  const named = <T extends { readonly name: string }>(item: T, nameless: string): T => ({
    ...item,
    name: to(item.name, nameless),
  });
  return {
    ...rig,
    rod: named(rig.rod, NAMELESS.rod),
    head: named(rig.head, NAMELESS.head),
    tip: rig.tip && named(rig.tip, NAMELESS.tip),
    leader: named(rig.leader, NAMELESS.leader),
    fly: named(rig.fly, NAMELESS.fly),
    droppers: rig.droppers.map((d) => ({ ...d, fly: named(d.fly, NAMELESS.fly) })),
    float: rig.float && { ...rig.float, item: named(rig.float.item, NAMELESS.float) },
  };
};

/** Entries with each name of tackle and fish in them as `to` gives it. */
function renamed(events: readonly LogEvent[], to: (name: string, nameless: string) => string): LogEvent[] {
  return events.map((e): LogEvent => {
    if (e.kind === 'rig') return { ...e, set: renamedRig(e.set, to) };
    if (e.kind === 'take' && e.fish) return { ...e, fish: { ...e.fish, species: to(e.fish.species, A_FISH) } };
    if (e.kind === 'estimate' && e.fly) return { ...e, fly: { ...e.fly, name: to(e.fly.name, NAMELESS.fly) } };
    if (e.kind === 'amend') return { ...e, to: renamed([e.to], to)[0]! as typeof e.to };
    return e;
  });
}

/**
 * Names of tackle and fish that may give away the place, which is not told, or a person: they share a word with it, or are
 * somebody's.
 *
 * @param places names of waters and runs; none where these are told
 */
export function hintsIn(events: readonly LogEvent[], places: readonly string[]): string[] {
  const secret = new Set(places.flatMap(wordsOf));
  const found = new Set<string>();
  renamed(events, (name) => {
    if (SOMEBODYS.test(name) || wordsOf(name).some((w) => secret.has(w))) found.add(name);
    return name;
  });
  return [...found].sort();
}

/** Entries without these names. */
export const withoutNames = (events: readonly LogEvent[], names: readonly string[]): LogEvent[] =>
  names.length === 0 ? [...events] : renamed(events, (name, nameless) => (names.includes(name) ? nameless : name));
