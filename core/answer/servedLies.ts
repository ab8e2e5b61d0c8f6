import { PLAIN_OPENING } from '../cast';
import { standFor } from '../cast/stand';
import type { Verdict } from '../advice';
import type { FishLie } from '../lies';
import { itemsOf, type RodItem } from '../tackle';
import { esteem, type Stand, surestCast, told } from './casts';
import { type Method, METHODS } from './methods';
import type { Setup } from './rigs';
import type { Situation } from './situation';
import { GIVEN_UP_OF_TEN } from './weights';
import { type Bench, costOf, weightOf, worthOf } from './setupWorth';

/** Casts tried for a lie. */
const TRIES = 32;

/** Why a set-up does not serve a lie: what its best cast does there as the water was read, or that it is right too seldom. */
export type Because =
  | 'out of reach'
  | 'beyond the rod'
  | 'short of it'
  | 'not fishing'
  | 'wood'
  | 'redd'
  | 'on the bed'
  | 'line on the bed'
  | 'too deep'
  | 'too shallow'
  | 'too fast'
  | 'seldom';

/** A lie that is left. */
export interface GivenUp {
  readonly lie: FishLie;
  readonly because: Because;
}

/** A set-up with its casts for the run. */
export interface Served {
  readonly setup: Setup;
  /** The lies that it was tried at. */
  readonly of: readonly FishLie[];
  /** One cast a lie, in the order of the work. */
  readonly stands: readonly Stand[];
  /** Lies that it does not serve: too seldom right, or out of its reach. */
  readonly givesUp: readonly GivenUp[];
  /** Mean chance over the lies, the better ones weighing more, 0 to 1. */
  readonly chance: number;
  /** By which set-ups are ranked (weights.ts). */
  readonly worth: number;
  /** Seconds from what is tied on. */
  readonly costS: number;
}

/**
 * A set-up in full over some of the lies, or the run: for each the surest cast.
 *
 * @param known what is known of it already: casts at other lies are kept
 */
export function* serve(
  b: Bench,
  setup: Setup,
  lies: readonly FishLie[],
  known: Served | null = null,
): Generator<void, Served, undefined> {
  const found: Stand[] = [...(known?.stands ?? [])];
  for (const lie of lies) {
    if (known?.of.includes(lie)) continue;
    const stand = yield* surestCast(b.s, setup, lie, TRIES, b.hints);
    if (stand) found.push(stand);
  }
  return summed(b, setup, [...new Set([...(known?.of ?? []), ...lies])], found);
}

/** What a set-up comes to over lies, by its casts at them. */
export function summed(b: Bench, setup: Setup, all: readonly FishLie[], found: readonly Stand[]): Served {
  const at = (lie: FishLie) => found.find((f) => f.lie === lie) ?? null;
  const mean = (of: (stand: Stand | null) => number) =>
    all.reduce((sum, l) => sum + weightOf(l) * of(at(l)), 0) /
    Math.max(
      1e-9,
      all.reduce((sum, l) => sum + weightOf(l), 0),
    );
  return {
    setup,
    of: all,
    stands: inOrder(found, setup.method),
    givesUp: all
      .filter((l) => (at(l)?.chance ?? 0) < GIVEN_UP_OF_TEN)
      .map((lie) => ({ lie, because: becauseOf(b.s, setup, lie, at(lie)) })),
    chance: mean((stand) => (stand?.chance ?? 0) / 10),
    worth: worthOf(b, setup, mean(esteem)),
    costS: costOf(b.s, setup.rig),
  };
}

/** Why the fly does not come to a lie: it is out of reach, out of this rod's only, or the swing ends short of it. */
function farFrom({ kit, means, channel, lies }: Situation, { rig, method }: Setup, lie: FishLie): Because {
  const reaches = (rod: RodItem) =>
    standFor(lie, channel, { ...rig, rod }, lies, PLAIN_OPENING, METHODS[method].ways[0], means).outOfReach === null;
  if (reaches(rig.rod)) return 'short of it';
  return itemsOf(kit, 'rod').some((r) => !r.aside && reaches(r)) ? 'beyond the rod' : 'out of reach';
}

/** What a fly that does not fish for lying on the bed is told as. */
const LYING: Partial<Record<Verdict['idle'] & string, Because>> = { bed: 'on the bed', line: 'line on the bed' };

/** Why a cast does not serve its lie, as the water was read; null is none at all. */
export function becauseOf(s: Situation, setup: Setup, lie: FishLie, stand: Stand | null): Because {
  if (!stand) return farFrom(s, setup, lie);
  const { fit, idle, wood, redd, tooFast } = stand.verdict;
  if (wood) return 'wood';
  if (redd) return 'redd';
  if (fit === 'not reached') return farFrom(s, setup, lie);
  if (fit === 'not fishing') return (idle && LYING[idle]) ?? fit;
  if (fit !== 'right') return fit;
  return tooFast ? 'too fast' : 'seldom';
}

/** A set-up with its chances as they are told, but for the lies where they are already: of many the best by ten drawings was lucky
 * with them, too. */
export function* asTold(
  b: Bench,
  { setup, of, stands }: Served,
  but: readonly FishLie[] = [],
): Generator<void, Served> {
  const found: Stand[] = [];
  for (const stand of stands) {
    found.push(but.includes(stand.lie) ? stand : told(b.s, stand));
    yield;
  }
  return summed(b, setup, of, found);
}

/** Head down when the fly swings, tail up when casts go upstream; the near lie before the far one from about one stand. */
export function inOrder(stands: readonly Stand[], method: Method): Stand[] {
  const sign = METHODS[method].ways[0] === 'upstream strip' ? -1 : 1;
  const step = (x: Stand) => Math.round(x.plan.xM / TOGETHER_M);
  return [...stands].sort((a, c) => sign * (step(a) - step(c)) || a.lie.yM - c.lie.yM);
}
const TOGETHER_M = 3;
