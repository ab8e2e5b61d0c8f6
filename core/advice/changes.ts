import { NUMERICS } from '../swing';
import { type ChangesRequest, legalSettings, type Lever, LEVER_NAMES, LEVERS, type Patch, patched } from './levers';
import { tryOut } from './trial';
import { byMiss, type Tried } from './types';

export interface Change extends Tried {
  /** What is changed; two levers where none alone does it. */
  readonly levers: readonly Lever[];
  readonly costS: number;
  /** The fly passes as wanted. */
  readonly does: boolean;
}

export interface Changes {
  /** How the fly passes now; null when the cast cannot be made. */
  readonly now: Tried | null;
  /** What does it, the cheapest first; then what only helps, the best first. */
  readonly changes: readonly Change[];
}

/** Of each lever so many settings are tried in pairs, so many pairs in all, and so many that do it are enough. */
const SETTINGS = 5;
const MOST_PAIRS = 500;
const ENOUGH = 3;
/** At most so many levers are moved together. */
const MOST_LEVERS = 5;
/** How the progress is shared out. */
const SHARES = { alone: 0.5, pairs: 0.25, several: 0.25 } as const;
/** A lever that gains less is not worth a word. */
const LEAST_HELP = 0.1;
/** Two levers are tried together when their gains alone add up to this share of what is missing. */
const TOGETHER = 0.7;

/** A lever and what its settings do alone, the better first. */
interface Alone {
  readonly lever: Lever;
  readonly settings: readonly { readonly patch: Patch; readonly tried: Tried }[];
}

/**
 * The smallest changes that put the fly before a lie as wanted, by search over the engine.
 *
 * Each lever alone, from the smallest change on, in full; where none alone does it, two together, the cheapest pairs
 * first (coarse, what looks right again in full); where no pair does, one after the other, each time the step that
 * gains most. A lever that does not do it is given at the setting that comes
 * nearest. Rigs that the water's rules forbid, and places too deep to wade or upon a lie, are left out.
 *
 * @yields the share done, 0 to 1
 */
export function* changesFor(q: ChangesRequest): Generator<number, Changes, undefined> {
  const { channel, rig, plan } = q;
  const now = tryOut(channel, q, { rig, plan }, NUMERICS.full);
  if (now?.miss === 0) return { now, changes: [] };
  const levers = LEVER_NAMES.map((lever) => ({ lever, patches: legalSettings(lever, q) }));
  const whole = levers.reduce((n, l) => n + l.patches.length, 0);
  const alone: Alone[] = [];
  let done = 0;
  for (const { lever, patches } of levers) {
    const settings: { patch: Patch; tried: Tried }[] = [];
    for (const [i, patch] of patches.entries()) {
      yield (SHARES.alone * (done + i)) / whole;
      const tried = tryOut(channel, q, patched(q, patch), NUMERICS.full);
      if (tried) settings.push({ patch, tried });
      if (tried?.miss === 0) break;
    }
    done += patches.length;
    settings.sort((a, b) => byMiss(a.tried, b.tried));
    if (settings.length > 0) alone.push({ lever, settings });
  }
  const missNow = now?.miss ?? Infinity;
  const changes = alone
    .map(({ lever, settings: [best] }) => changeOf([lever], best!.tried))
    .filter((c) => c.does || c.miss < missNow - LEAST_HELP);
  if (!changes.some((c) => c.does)) changes.push(...(yield* pairs(q, missNow, alone)));
  if (!changes.some((c) => c.does)) changes.push(...(yield* several(q)));
  changes.sort((a, b) => Number(b.does) - Number(a.does) || (a.does ? a.costS - b.costS : 0) || byMiss(a, b));
  return { now, changes };
}

const costOf = (levers: readonly Lever[]): number => levers.reduce((sum, l) => sum + LEVERS[l].costS, 0);

const changeOf = (levers: readonly Lever[], tried: Tried): Change => ({
  ...tried,
  levers,
  costS: costOf(levers),
  does: tried.miss === 0,
});

/** Pairs of levers that do it together, the cheapest first. */
function* pairs(q: ChangesRequest, missNow: number, alone: readonly Alone[]): Generator<number, Change[], undefined> {
  const gain = (l: Alone) => (missNow === Infinity ? missNow : Math.max(0, missNow - l.settings[0]!.tried.miss));
  const all = alone
    .flatMap((a, i) => alone.slice(i + 1).map((b) => [a, b] as const))
    .filter(([a, b]) => gain(a) + gain(b) >= TOGETHER * missNow)
    .sort(([a, b], [c, d]) => costOf([a.lever, b.lever]) - costOf([c.lever, d.lever]));
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
      const tried = tryOut(q.channel, q, t, NUMERICS.full);
      if (tried?.miss !== 0) continue;
      out.push(changeOf([a.lever, b.lever], tried));
      break;
    }
    if (out.length >= ENOUGH) break;
  }
  return out;
}

/** One lever after the other, each time the setting that gains most, until it does or nothing gains any more. */
function* several(q: ChangesRequest): Generator<number, Change[], undefined> {
  let best: Tried | null = tryOut(q.channel, q, q, NUMERICS.coarse);
  const moved = new Set<Lever>();
  for (let round = 0; round < MOST_LEVERS && best?.miss !== 0; round++) {
    const from: ChangesRequest = best ? { ...q, rig: best.rig, plan: best.plan } : q;
    const before: number = best?.miss ?? Infinity;
    let lever: Lever | null = null;
    for (const l of LEVER_NAMES) {
      yield (
        SHARES.alone +
        SHARES.pairs +
        (SHARES.several * (round + LEVER_NAMES.indexOf(l) / LEVER_NAMES.length)) / MOST_LEVERS
      );
      for (const patch of legalSettings(l, from)) {
        const tried = tryOut(q.channel, q, patched(from, patch), NUMERICS.coarse);
        if (!tried || tried.miss >= (best?.miss ?? Infinity) - 1e-9) continue;
        best = tried;
        lever = l;
      }
    }
    if (!lever || (best?.miss ?? Infinity) > before - LEAST_HELP) break;
    moved.add(lever);
  }
  const tried = best && moved.size > 2 ? tryOut(q.channel, q, best, NUMERICS.full) : null;
  return tried
    ? [
        changeOf(
          LEVER_NAMES.filter((l) => moved.has(l)),
          tried,
        ),
      ]
    : [];
}
