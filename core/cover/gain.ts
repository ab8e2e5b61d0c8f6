import { WELL_SHOWN } from '../showing';

/** A thing that can be done, what it shows the fly to, and how long it takes. */
export interface Choice {
  /** Indices of the cells that it shows the fly to. */
  readonly cells: ArrayLike<number>;
  /** How well each of them is shown it, 0 to 1; not said: wholly. */
  readonly by?: ArrayLike<number>;
  readonly seconds: number;
  /** How often it is done at a time; not said: once. */
  readonly times?: number;
}

/** After so many showings this share of the fish that are willing have shown themselves. */
const SHOWN_SHARE = 0.8;

/** How likely a willing fish shows itself at one showing, where so many are thought to be enough. @example showing(1) // 0.8 */
export const showing = (patience: number): number => 1 - (1 - SHOWN_SHARE) ** (1 / patience);

/** The share of the willing that have not shown themselves after so many showings, (1 − p)^shown: by the exponential, which takes a third
 * of a power's time. */
export const leftAfter = (p: number): ((shown: number) => number) => {
  const ln = Math.log1p(-p);
  return (shown) => (shown === 0 ? 1 : Math.exp(ln * shown));
};

/** What is ordered by gain, and what it takes to get there. */
interface Wanting {
  readonly weights: ArrayLike<number>;
  /** Chance of a find at one showing, above 0 up to 1. */
  readonly p: number;
  /** Choices that bring less a second than this, as a share of all weight, are not worth their time; not said: any that bring
   * something are. */
  readonly least?: number;
  /** A choice is made no more often than this; not said: as often as it brings something. */
  readonly times?: number;
  /** Seconds besides its own that a choice takes after those that were taken; not said: none. */
  readonly detourS?: (choice: number, taken: readonly number[]) => number;
}

/**
 * The order in which choices bring most a minute, each as often as is worth it: of what is left the one that brings most a second
 * by then, a cell that was shown the fly k times being worth (1 − p)^k of itself; half a showing counts as half of one.
 *
 * What is found is monotone and submodular, so that without detours any beginning of this order, with the one choice that comes
 * next, finds at least 1 − 1/e (63 %) of the most that could be found in its time (Nemhauser, Wolsey & Fisher 1978; with costs:
 * Khuller, Moss & Naor 1999; both from memory). A longer beginning never finds less.
 *
 * @param within seconds that are ordered at the most, without detours
 * @returns indices of choices
 */
export function byGain(
  choices: readonly Choice[],
  { weights, p, least = 0, times: most = Infinity, detourS = () => 0 }: Wanting,
  within: number,
): number[] {
  const left = Float64Array.from(weights);
  const enough = least * left.reduce((a, b) => a + b, 0);
  const leaves = leftAfter(p);
  const kept = choices.map(({ cells, by, times = 1 }) => {
    const stays = new Float64Array(cells.length);
    for (let n = 0; n < stays.length; n++) stays[n] = leaves(times * (by ? by[n]! : 1));
    return stays;
  });
  const made = choices.map(() => 0);
  /** What each would have gained when it was last looked at: it never gains more than it did (Minoux 1978, from memory). */
  const gained = new Float64Array(choices.length).fill(Infinity);
  const out: number[] = [];
  for (let seconds = 0; ;) {
    let best = -1;
    let top = enough;
    const look = (i: number) => {
      // A detour only takes longer; of two that are as good the first is taken.
      if (gained[i]! < top || (gained[i] === top && i >= best)) return;
      let sum = 0;
      const [stays, { cells, seconds: takes }] = [kept[i]!, choices[i]!];
      for (let n = 0; n < stays.length; n++) sum += left[cells[n]!]! * (1 - stays[n]!);
      const gain = (gained[i] = sum / takes);
      const rate = (gain * takes) / (takes + detourS(i, out));
      if (rate > top || (rate === top && i < best)) [best, top] = [i, rate];
    };
    // Once one that gains much is known most others need no look.
    if (out.length > 0) look(gained.reduce((a, g, i) => (g > gained[a]! ? i : a), 0));
    for (let i = 0; i < choices.length; i++) look(i);
    const choice = choices[best];
    if (!choice) return out;
    seconds += choice.seconds;
    if (seconds > within) return out;
    out.push(best);
    if (++made[best]! >= most) gained[best] = -1;
    for (let n = 0; n < choice.cells.length; n++) left[choice.cells[n]!]! *= kept[best]![n]!;
  }
}

/** What casts came to, of all holding water. */
export interface Shares {
  /** Well shown the fly once at least, and as good as twice at least, 0 to 1. */
  readonly once: number;
  readonly twice: number;
}

/** @param shown how often each cell was shown the fly */
export function sharesOf(shown: ArrayLike<number>, weights: ArrayLike<number>): Shares {
  let [all, once, twice] = [0, 0, 0];
  for (let i = 0; i < weights.length; i++) {
    all += weights[i]!;
    if (shown[i]! >= WELL_SHOWN) once += weights[i]!;
    if (shown[i]! >= 1 + WELL_SHOWN) twice += weights[i]!;
  }
  return all > 0 ? { once: once / all, twice: twice / all } : { once: 0, twice: 0 };
}

/** Adds what a choice shows to how often each cell was shown the fly. */
export function addShown(shown: Float32Array, { cells, by, times = 1 }: Omit<Choice, 'seconds'>): void {
  for (let n = 0; n < cells.length; n++) shown[cells[n]!]! += times * (by?.[n] ?? 1);
}

/** The share of all weight that a choice shows, half a showing as half of one, 0 to 1. */
export function shareShown({ cells, by }: Pick<Choice, 'cells' | 'by'>, weights: ArrayLike<number>): number {
  let [all, shown] = [0, 0];
  for (let i = 0; i < weights.length; i++) all += weights[i]!;
  for (let n = 0; n < cells.length; n++) shown += weights[cells[n]!]! * (by?.[n] ?? 1);
  return all > 0 ? shown / all : 0;
}

/** How often each of so many cells was shown the fly, half a showing as half of one. */
export function countShown(choices: readonly Choice[], cells: number): Float32Array {
  const out = new Float32Array(cells);
  for (const choice of choices) addShown(out, choice);
  return out;
}

/** The share of the willing fish that have shown themselves by what was shown, 0 to 1. @param p chance of it at one showing */
export function foundBy(shown: ArrayLike<number>, weights: ArrayLike<number>, p: number): number {
  const leaves = leftAfter(p);
  let [all, found] = [0, 0];
  for (let i = 0; i < weights.length; i++) {
    all += weights[i]!;
    found += weights[i]! * (1 - leaves(shown[i]!));
  }
  return all > 0 ? found / all : 0;
}
