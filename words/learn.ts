import type { Higher, Hint } from '@/core/learn/hint';
import { inHundred, several } from './counting';

/** How one first gets a fly higher. */
const HIGHER: Record<Higher, string> = {
  float: 'set the float nearer the fly',
  shot: 'take shot off, or cast shorter',
  tip: 'loop on a lighter tip, or cast shorter',
  line: 'take a line that sinks less, or cast shorter',
  fly: 'tie on a lighter fly, or cast shorter',
};

const SHARES = [
  [0.15, 'a tenth'],
  [0.375, 'a quarter'],
  [0.625, 'half'],
  [Infinity, 'three quarters'],
] as const;
const share = (ratio: number): string => SHARES.find(([to]) => ratio < to)![1];

const BY = {
  'own log': 'By your own log',
  wets: 'On ordinary wet-fly water',
  streamers: 'On ordinary streamer water',
} as const;

/** More often than this a blank spell is no wonder, times in a hundred. */
const NO_WONDER = 25;

function noTakeWords({ casts, none, by }: Extract<Hint, { code: 'no take' }>): string {
  const n = inHundred(none);
  const often = n === 1 ? 'once' : `${n} times`;
  return `${casts} casts without a take. ${BY[by]} that happens ${often} in a hundred: ${n > NO_WONDER ? 'too few to tell' : 'something may be wrong'}.`;
}

function changeHint({ casts, takes, after, right }: Extract<Hint, { code: 'change' }>): string {
  const so = `${casts} casts over holding water with this fly, ${takes === 0 ? 'no take' : several(takes, 'take')}`;
  return after === 0
    ? `${so}: the chance that it is the right fly is ${inHundred(right)} in 100. A change pays now.`
    : `${so}. ${after === 1 ? 'One cast' : `${after} casts`} more without a take, then a change pays.`;
}

/** One thing worth saying while one fishes. */
export function hintWords(h: Hint): string {
  switch (h.code) {
    case 'bed':
      return `The fly touched the bed ${h.touches} times in the last ${h.casts} casts: ${HIGHER[h.first]}.`;
    case 'hung':
      return `Hung up or lost ${h.times} times in ${h.casts} casts: ${HIGHER[h.first]}.`;
    case 'leave':
      return `What is left here brings about ${share(h.ratio)} of what a fresh run like it would, ${h.walkMin} minutes’ walk included. Time to go.`;
    case 'change':
      return changeHint(h);
    case 'unchanged':
      return `No change for ${h.casts} casts: change the fly, the depth or the speed.`;
    case 'no take':
      return noTakeWords(h);
    case 'touches well':
      return 'A touch of the bed now and then: the right depth, if you fish near the bed.';
    case 'watch':
      return h.what === 'float' ? 'Watch the float.' : 'Watch the line where it enters the water.';
    case 'not read':
      return 'No reading today. Take one (30 s) for better lies.';
  }
}
