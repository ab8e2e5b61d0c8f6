import { NUMERICS } from '../swing';
import {
  type ChangesRequest,
  costBetween,
  legalRig,
  possibleSettings,
  type Lever,
  LEVER_NAMES,
  leversBetween,
  type Patch,
  patched,
} from './levers';
import { chanceOf, tryOut } from './trial';
import { byMiss, type Trial, type Tried } from './types';

export interface Change extends Tried {
  /** What is changed; several where none alone does it. */
  readonly levers: readonly Lever[];
  readonly costS: number;
  /** The fly passes as wanted, and as surely as is wanted. */
  readonly does: boolean;
}

export interface Changes {
  /** How the fly passes now; null when the cast cannot be made. */
  readonly now: Tried | null;
  /** What does it, the cheapest first; then what only helps, the best first. */
  readonly changes: readonly Change[];
  /** Nothing in the kit is allowed here. */
  readonly nothingLegal?: true;
}

/** A change "does it" when it does in so many of ten swings within the doubt of the readings. */
export const SURE_OF_TEN = 7;
/** Of each lever so many settings are tried in pairs, so many pairs in all, and so many that do it are enough. */
const SETTINGS = 5;
const MOST_PAIRS = 500;
const ENOUGH = 3;
/** At most so many levers are moved together. */
const MOST_LEVERS = 5;
/** How the progress is shared out. */
const SHARES = { alone: 0.5, pairs: 0.25, several: 0.25 } as const;
/** What gains less is not worth a word. */
const LEAST_HELP = 0.1;
/** Two levers are tried together when their gains alone add up to this share of what is missing. */
const TOGETHER = 0.7;

/** A lever and what its settings do alone, the better first. */
interface Alone {
  readonly lever: Lever;
  readonly settings: readonly { readonly patch: Patch; readonly tried: Tried }[];
}

const sure = (t: Tried): boolean => t.miss === 0 && (t.chance ?? 0) >= SURE_OF_TEN;
/** The surer first, then the less wrong. */
const byBetter = (a: Tried, b: Tried): number => (b.chance ?? 0) - (a.chance ?? 0) || byMiss(a, b);

/** Tries in full; what is right is tried again over the doubts. */
function tryWell(q: ChangesRequest, t: Trial): Tried | null {
  const tried = tryOut(q.channel, q, t, NUMERICS.full);
  return tried?.miss === 0 ? { ...tried, chance: chanceOf(q.channel, q, tried) ?? 0 } : tried;
}

/**
 * The smallest changes that put the fly before a lie as wanted, by search over the engine.
 *
 * Each lever alone, from the smallest change on, in full and over the doubts of the readings; where none alone does it,
 * two together, the cheapest pairs first (coarse, what looks right again in full); where no pair does, one after the
 * other, each time the step that gains most. A lever that does not do it is given at the setting that comes nearest.
 * Rigs that the water's rules forbid are mended first or left out, as are places too deep to wade or upon a lie.
 *
 * @yields the share done, 0 to 1
 */
export function* changesFor(asked: ChangesRequest): Generator<number, Changes, undefined> {
  const now = tryWell(asked, asked);
  const rig = legalRig(asked);
  if (!rig) return { now, changes: [], nothingLegal: true };
  const legal = leversBetween(asked, { rig, plan: asked.plan }).length === 0;
  if (legal && now && sure(now)) return { now, changes: [] };
  const q = { ...asked, rig };
  const mended = legal ? now : tryWell(q, q);
  const levers = LEVER_NAMES.map((lever) => ({ lever, patches: possibleSettings(lever, q) }));
  const whole = levers.reduce((n, l) => n + l.patches.length, 0);
  const alone: Alone[] = [];
  let done = 0;
  for (const { lever, patches } of levers) {
    const settings: { patch: Patch; tried: Tried }[] = [];
    for (const [i, patch] of patches.entries()) {
      yield (SHARES.alone * (done + i)) / whole;
      const tried = tryWell(q, patched(q, patch));
      if (tried) settings.push({ patch, tried });
      if (tried && sure(tried)) break;
    }
    done += patches.length;
    settings.sort((a, b) => byBetter(a.tried, b.tried));
    if (settings.length > 0) alone.push({ lever, settings });
  }
  const missNow = mended?.miss ?? Infinity;
  const found = [...(legal || !mended ? [] : [mended]), ...alone.map(({ settings: [best] }) => best!.tried)];
  const changes = found.map((t) => changeOf(asked, t)).filter((c) => c.does || !legal || helps(c, mended));
  if (!changes.some((c) => c.does)) changes.push(...(yield* pairs(asked, q, missNow, alone)));
  if (!changes.some((c) => c.does)) changes.push(...(yield* several(asked, q)));
  changes.sort((a, b) => Number(b.does) - Number(a.does) || (a.does ? a.costS - b.costS : 0) || byBetter(a, b));
  return { now, changes };
}

/** Whether it gains on what is: surer where it is right already, else less wrong. */
const helps = (t: Tried, now: Tried | null): boolean =>
  !now || (now.miss === 0 ? t.miss === 0 && (t.chance ?? 0) > (now.chance ?? 0) : t.miss < now.miss - LEAST_HELP);

const changeOf = (from: Trial, tried: Tried): Change => ({
  ...tried,
  levers: leversBetween(from, tried),
  costS: costBetween(from, tried),
  does: sure(tried),
});

/** Pairs of levers that do it together, the cheapest first. */
function* pairs(
  asked: Trial,
  q: ChangesRequest,
  missNow: number,
  alone: readonly Alone[],
): Generator<number, Change[], undefined> {
  const gain = (l: Alone) => (missNow === Infinity ? missNow : Math.max(0, missNow - l.settings[0]!.tried.miss));
  const cost = (l: Alone) => costBetween(q, l.settings[0]!.tried);
  const all = alone
    .flatMap((a, i) => alone.slice(i + 1).map((b) => [a, b] as const))
    .filter(([a, b]) => gain(a) + gain(b) >= TOGETHER * missNow)
    .sort(([a, b], [c, d]) => cost(a) + cost(b) - cost(c) - cost(d));
  const out: Change[] = [];
  let tries = 0;
  for (const [a, b] of all) {
    const promising: Tried[] = [];
    for (const { patch: pa } of a.settings.slice(0, SETTINGS))
      for (const { patch: pb } of b.settings.slice(0, SETTINGS)) {
        if (tries++ >= MOST_PAIRS) return out;
        yield SHARES.alone + (SHARES.pairs * tries) / MOST_PAIRS;
        const tried = tryOut(q.channel, q, patched(q, pa, pb), NUMERICS.coarse);
        if (tried && tried.miss < LEAST_HELP) promising.push(tried);
      }
    for (const t of promising) {
      yield SHARES.alone + (SHARES.pairs * tries) / MOST_PAIRS;
      const tried = tryWell(q, t);
      if (!tried || !sure(tried)) continue;
      out.push(changeOf(asked, tried));
      break;
    }
    if (out.length >= ENOUGH) break;
  }
  return out;
}

/** One lever after the other, each time the setting that gains most, until it does or nothing gains any more. */
function* several(asked: Trial, q: ChangesRequest): Generator<number, Change[], undefined> {
  let best: Tried | null = tryOut(q.channel, q, q, NUMERICS.coarse);
  let moves = 0;
  for (; moves < MOST_LEVERS && best?.miss !== 0; moves++) {
    const from: ChangesRequest = best ? { ...q, rig: best.rig, plan: best.plan } : q;
    const before: number = best?.miss ?? Infinity;
    for (const l of LEVER_NAMES) {
      yield (
        SHARES.alone +
        SHARES.pairs +
        (SHARES.several * (moves + LEVER_NAMES.indexOf(l) / LEVER_NAMES.length)) / MOST_LEVERS
      );
      for (const patch of possibleSettings(l, from)) {
        const tried = tryOut(q.channel, q, patched(from, patch), NUMERICS.coarse);
        if (tried && tried.miss < (best?.miss ?? Infinity) - 1e-9) best = tried;
      }
    }
    if ((best?.miss ?? Infinity) > before - LEAST_HELP) break;
  }
  const tried = best && leversBetween(q, best).length > 2 ? tryWell(q, best) : null;
  return tried ? [changeOf(asked, tried)] : [];
}
