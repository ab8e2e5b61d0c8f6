import { lineKindsOf, type Means } from '../cast/means';
import { MIGRANTS, type Quarry } from '../lies/suitability';
import { rigNotAllowed, type WaterRules } from '../rules';
import {
  balanceOf,
  fliesLeft,
  type FlyItem,
  type HeadItem,
  isWetFly,
  itemsOf,
  type KitItem,
  leaderLengthM,
  isMonoRig,
  type Rig,
  type RodItem,
  skates,
  type TipItem,
} from '../tackle';
import { INCH_M } from '../units';

/** What a rod that is rigged ahead is for. */
export type Purpose = 'dirty' | 'fair' | 'clear';

export interface RodAhead {
  readonly purpose: Purpose;
  /** That the water will be so, 0 to 1; null: nothing is known of it. */
  readonly chance: number | null;
  readonly rig: Rig;
}

/** What shows in murk. */
export const DARK = new Set<string>(['black', 'black and blue', 'purple']);
const NATURAL = new Set<string>(['olive', 'brown', 'tan', 'white', 'yellow', 'black']);
/** Lengths m, sink inches a second: how near a value is to what is wanted; 0 at the best. */
const near = (value: number, wanted: number): number => -Math.abs(Math.log((value + 0.01) / (wanted + 0.01)));

/** What serves in each water (handbook of the trade; common practice, no source): sink of tip or head, length of leader, flies. */
interface Serves {
  readonly sinkMps: number;
  readonly leaderM: number;
  /** Length of fly for resident fish, m. */
  readonly flyM: number;
  /** Heavier or lighter a rod than usual, line numbers. */
  readonly rod: number;
  readonly fly: (f: FlyItem) => number;
}
const SERVES: Readonly<Record<Purpose, Serves>> = {
  // Dense, short, dark and large: low and slow.
  dirty: {
    ...{ sinkMps: 6 * INCH_M, leaderM: 1.2, flyM: 0.06, rod: 1 },
    fly: (f) => (DARK.has(f.colour) ? 1 : 0) + (isWetFly(f) ? -1 : 0),
  },
  // A slow tip, a streamer in a natural colour.
  fair: {
    ...{ sinkMps: 3 * INCH_M, leaderM: 1.3, flyM: 0.045, rod: 0 },
    fly: (f) => (NATURAL.has(f.colour) ? 0.6 : 0) + (isWetFly(f) ? -0.5 : 0),
  },
  // Floating, long and fine: soft hackles.
  clear: {
    ...{ sinkMps: 0, leaderM: 2.7, flyM: 0.016, rod: -1 },
    fly: (f) => (isWetFly(f) ? 1 : 0) + (NATURAL.has(f.colour) ? 0.3 : 0),
  },
};
/** Fish that run get larger flies and stronger rods than those that stay: times the length; line number. */
const RUNNING = { flies: 1.7, line: 7 } as const;
const RESIDENT = { flies: 1, line: 5 } as const;
/** So many of each are tried, the likeliest first. */
const [FLIES, LEADERS] = [4, 3];
/** What a line number off the wanted weighs against the rest (assumed). */
const RODS = 0.25;

/** How fast the end of a line sinks, m/s. */
export const sinkOf = (head: HeadItem, tip: TipItem | null): number =>
  Math.max(tip?.sinkRateMps ?? 0, head.sinkRatesMps.at(-1)!);
const best = <T>(list: readonly T[], score: (item: T) => number, most: number): T[] =>
  [...list].sort((a, b) => score(b) - score(a)).slice(0, most);

/** Every rig that a bag makes for a purpose on rods that are free: balanced, allowed, of lines that one handles; the best of them. */
function bestRig(
  kit: readonly KitItem[],
  purpose: Purpose,
  rods: readonly RodItem[],
  quarry: Quarry,
  rules: WaterRules | null,
  means: Means,
): Rig | null {
  const { sinkMps, leaderM, flyM, rod: heavier, fly: suits } = SERVES[purpose];
  const wants = MIGRANTS.has(quarry) ? RUNNING : RESIDENT;
  const flyScore = (f: FlyItem) => suits(f) + near(f.lengthM, wants.flies * flyM);
  // What wakes is tied on when the light goes, not at home.
  const flies = best(
    fliesLeft(kit).filter((f) => !skates(f)),
    flyScore,
    Infinity,
  );
  const leaders = best(
    itemsOf(kit, 'leader').filter((l) => !l.nicked && !isMonoRig({ leader: l })),
    (l) => near(leaderLengthM(l), leaderM),
    LEADERS,
  );
  const score = (r: Rig) =>
    2 * near(sinkOf(r.head, r.tip) / INCH_M, sinkMps / INCH_M) +
    near(leaderLengthM(r.leader), leaderM) +
    flyScore(r.fly) -
    RODS * Math.abs(r.rod.lineNumber - wants.line - heavier);
  let found: { rig: Rig; score: number } | null = null;
  const tips: (TipItem | null)[] = [null, ...itemsOf(kit, 'tip')];
  for (const rod of rods)
    for (const head of itemsOf(kit, 'head'))
      for (const tip of tips)
        for (const leader of leaders) {
          let tried = 0;
          for (const fly of flies) {
            const rig: Rig = { rod, head, tip, leader, fly, droppers: [], lineClean: true };
            if (rigNotAllowed(rules, rig) || !throws(rig, means)) continue;
            const s = score(rig);
            if (!found || s > found.score) found = { rig, score: s };
            if (++tried >= FLIES) break;
          }
        }
  return found?.rig ?? null;
}

function throws(rig: Rig, means: Means): boolean {
  const { fits, tipTooHeavy, flyTooHeavy } = balanceOf(rig);
  return fits === 'right' && !tipTooHeavy && !flyTooHeavy && lineKindsOf(rig).every((k) => means.lines.includes(k));
}

/**
 * Rods to rig ahead, each for a water that may be met there, the likeliest first: a change then costs seconds.
 *
 * @param wanted purposes in the order of their chances; @param most rods that one carries
 */
export function rodsAhead(
  kit: readonly KitItem[],
  wanted: readonly { readonly purpose: Purpose; readonly chance: number | null }[],
  quarry: Quarry,
  rules: WaterRules | null,
  means: Means,
  most: number,
): RodAhead[] {
  const out: RodAhead[] = [];
  for (const { purpose, chance } of wanted.slice(0, most)) {
    const free = itemsOf(kit, 'rod').filter((r) => !out.some((o) => o.rig.rod.id === r.id));
    const rig = bestRig(kit, purpose, free, quarry, rules, means);
    if (rig) out.push({ purpose, chance, rig });
  }
  return out;
}
