import { shared } from '../maths/work';
import { NUMERICS } from '../swing';
import {
  type ChangesRequest,
  costBetween,
  legalRig,
  type Lever,
  LEVER_NAMES,
  leversBetween,
  patched,
  possibleSettings,
} from './levers';
import { oddsOf, tryOut } from './trial';
import type { Trial, Tried } from './types';
import { isRight } from './verdict';

export interface Change extends Tried {
  /** What is changed; several where none alone does it. */
  readonly levers: readonly Lever[];
  readonly costS: number;
  /** In how many of ten swings within the doubt of the readings the fly is well shown. */
  readonly chance: number;
  /** Well shown as surely as is wanted. */
  readonly does: boolean;
}

export interface Changes {
  /** How the fly passes now, and how surely; null when the cast cannot be made. */
  readonly now: (Tried & { readonly chance: number }) | null;
  /** What does it, the cheapest first; then what only helps, the best first. */
  readonly changes: readonly Change[];
  /** Nothing in the kit is allowed here. */
  readonly nothingLegal?: true;
}

/** A change "does it" when it does in so many of ten swings within the doubt of the readings. */
export const SURE_OF_TEN = 7;
/** At most so many levers are moved together, and so many changes told. */
const MOST_LEVERS = 3;
const TOLD = 4;
/** Settings of a lever, about. */
const SETTINGS = 10;
/** So well shown as read it mostly stays it over the doubt of the readings: nothing more is moved. */
const CLEARLY = 0.75;
/** What gains less is not worth a word. */
const LEAST_GAIN = 0.05;
/** The share of the work after which the best are worked out in full. */
const SEARCHED = 0.8;

/** A lever's setting that shows the fly best, the smallest that clearly does it; with what it is laid over. */
function* bestOf(q: ChangesRequest, lever: Lever): Generator<void, Tried | null, undefined> {
  let best: Tried | null = null;
  for (const patch of possibleSettings(lever, q)) {
    const tried = tryOut(q.channel, q.lie, patched(q, patch), NUMERICS.coarse);
    yield;
    if (tried && tried.verdict.showing > (best?.verdict.showing ?? 0) + 1e-9) best = tried;
    if (best && best.verdict.showing >= CLEARLY) break;
  }
  return best;
}

/**
 * The smallest changes that show the fly well to the fish of a lie: each lever alone, from the smallest change on; where none does
 * it, one after the other, each time the one that gains most. Found by a coarse chain, told in full and over the doubt of the
 * readings. Rigs that the water's rules forbid are mended first or left out, as are places too deep to wade or upon a lie.
 *
 * @yields the share done, 0 to 1
 */
export function* changesFor(asked: ChangesRequest): Generator<number, Changes, undefined> {
  const { channel, lie } = asked;
  const sureOf = (t: Trial) => oddsOf(channel, lie, t)?.ofTen ?? 0;
  const tried = tryOut(channel, lie, asked, NUMERICS.full);
  const now = tried && { ...tried, chance: isRight(tried.verdict) ? sureOf(tried) : 0 };
  const rig = legalRig(asked);
  if (!rig) return { now, changes: [], nothingLegal: true };
  const legal = leversBetween(asked, { rig, plan: asked.plan }).length === 0;
  if (legal && now && now.chance >= SURE_OF_TEN) return { now, changes: [] };
  const found: Tried[] = legal
    ? []
    : [tryOut(channel, lie, { ...asked, rig }, NUMERICS.coarse)].filter((t) => t !== null);
  let from: ChangesRequest = { ...asked, rig };
  for (let moves = 0; moves < MOST_LEVERS; moves++) {
    const round: Tried[] = [];
    for (const [n, lever] of LEVER_NAMES.entries()) {
      const share = 1 / (MOST_LEVERS * LEVER_NAMES.length);
      const done = SEARCHED * share * (moves * LEVER_NAMES.length + n);
      const best = yield* shared(bestOf(from, lever), done, SEARCHED * share, SETTINGS);
      if (best) round.push(best);
    }
    round.sort((a, b) => b.verdict.showing - a.verdict.showing);
    found.push(...(moves === 0 ? round : round.slice(0, 1)));
    const [best] = round;
    if (!best || best.verdict.showing >= CLEARLY) break;
    from = { ...from, rig: best.rig, plan: best.plan };
  }
  const least = (now?.verdict.showing ?? 0) + LEAST_GAIN;
  const costS = (t: Trial) => costBetween(asked, t);
  const worthIt = found
    .filter((t) => isRight(t.verdict) || t.verdict.showing > least || !legal)
    .sort((a, b) => Number(isRight(b.verdict)) - Number(isRight(a.verdict)) || costS(a) - costS(b));
  const changes: Change[] = [];
  for (const t of worthIt) {
    yield SEARCHED + ((1 - SEARCHED) * changes.length) / TOLD;
    const full = tryOut(channel, lie, t, NUMERICS.full);
    if (!full) continue;
    const chance = sureOf(full);
    if (chance <= (now?.chance ?? 0) && legal) continue;
    changes.push({ ...full, levers: leversBetween(asked, t), costS: costS(t), chance, does: chance >= SURE_OF_TEN });
    if (changes.length === TOLD) break;
  }
  changes.sort((a, b) => Number(b.does) - Number(a.does) || (a.does ? a.costS - b.costS : b.chance - a.chance));
  return { now, changes };
}
