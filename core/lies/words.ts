import { format, type UnitSystem } from '../units';
import type { Shift } from './compare';
import type { FishLie, LiePart } from './types';

const PART_WORDS: Record<LiePart, readonly [string, string]> = {
  depth: ['the depth suits less', 'the depth suits better'],
  speed: ['the current suits less', 'the current suits better'],
  seam: ['there is less fast water next door', 'there is more fast water next door'],
  cover: ['there is less cover', 'there is more cover'],
  edge: ['the bank no longer draws them', 'the bank draws them'],
  light: ['the light lies on it', 'it is darker there'],
  place: ['this part of the run draws them less', 'this part of the run draws them more'],
  temperature: ['the temperature suits less', 'the temperature suits better'],
};

/** Differences worth a word, m and m/s. */
const WORTH = { depthM: 0.15, speedMps: 0.12, outM: 3, alongM: 6 } as const;

/** Why fish lie there; where a better lie has the same reasons, what differs from it. */
export function reasonWords(lie: FishLie, lies: readonly FishLie[]): string {
  const words = lie.reasons.join('; ');
  const like = lies.find((l) => l.rank < lie.rank && l.reasons.join('; ') === words);
  if (!like) return words;
  const by: readonly (readonly [number, number, string, string])[] = [
    [lie.depthM - like.depthM, WORTH.depthM, 'deeper', 'thinner'],
    [lie.speedMps - like.speedMps, WORTH.speedMps, 'faster', 'slower'],
    [lie.yM - like.yM, WORTH.outM, 'further out', 'nearer your bank'],
    [lie.xM - like.xM, WORTH.alongM, 'further down', 'further up'],
  ];
  const differs = by.flatMap(([d, least, more, less]) => (Math.abs(d) < least ? [] : [d > 0 ? more : less]));
  return `like ${like.rank}${differs.length > 0 ? `, but ${differs.slice(0, 2).join(' and ')}` : ', close by'}`;
}

/** How sure a lie is, in words that the numbers bear. */
export function sureWords({ foundAgain, guess }: FishLie): string | null {
  if (guess) return 'a guess: the water is much alike';
  if (!foundAgain) return null;
  const { times, of } = foundAgain;
  return `found again in ${times} of ${of}`;
}

/** A part that changes by less explains nothing. */
const HARDLY = 0.03;

/** What became of a lie from one day to the other, and why. */
export function shiftWords(s: Shift, system: UnitSystem): string {
  const length = (m: number) => format('length', Math.abs(m), system);
  const [d0, d1] = s.depthM.map((d) => format('depth', d, system));
  const [u0, u1] = s.speedMps.map((u) => format('speed', u, system));
  const told = (why: string) => `${why} (${d0} to ${d1}, ${u0} to ${u1}).`;
  const [less, better] = PART_WORDS[s.part];
  if (!s.before)
    return `New at ${length(s.after!.xM)} down: ${told(s.byPart >= HARDLY ? better : 'others are no better any more')}`;
  if (s.held) return `${s.before.rank} is as good as it was; others are better.`;
  if (!s.after)
    return `${s.before.rank} is gone: ${told(s.byPart <= -HARDLY ? less : 'fish are better off elsewhere')}`;
  const dx = s.after.xM - s.before.xM;
  const dy = s.after.yM - s.before.yM;
  const moves = [
    ...(Math.abs(dx) >= 1 ? [`${length(dx)} ${dx > 0 ? 'down' : 'up'}`] : []),
    ...(Math.abs(dy) >= 1 ? [`${length(dy)} ${dy > 0 ? 'out' : 'in'}`] : []),
  ];
  const now = s.before.rank === s.after.rank ? '' : ` and is ${s.after.rank} now`;
  const why = Math.abs(s.byPart) < HARDLY ? 'it hardly changes where it was' : s.byPart > 0 ? better : less;
  return `${s.before.rank} ${moves.length > 0 ? `moves ${moves.join(', ')}` : 'stays'}${now}: ${told(why)}`;
}
