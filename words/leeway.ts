import type { FishTold, LeewayTold } from '@/core/learn/leeway';
import type { Leeway } from '@/core/lies/leeway';
import { likestOf, QUARRIES, type Studied } from '@/core/lies/suitability';
import { percent, several } from './counting';
import { format, type UnitSystem } from './units';

/** The fish that go by one row. @example fishLikeWords('sea trout') // 'sea trout' */
export const fishLikeWords = (of: Studied): string => QUARRIES.filter((q) => likestOf(q) === of).join(', ');

/** What one learns of what they take, by name. */
export const LEEWAY_NAMES: Readonly<Record<Leeway, string>> = {
  up: 'how far up',
  aside: 'how far to the side',
  across: 'how fast across',
  headOn: 'how much head on',
};

/** How an amount is told, in middling water: one phrase, before the temperature. */
const AMOUNTS: Readonly<Record<Leeway, (amount: number, units: UnitSystem) => string>> = {
  up: (m, units) => format('depth', m, units),
  aside: (m, units) => format('depth', m, units),
  across: (mps, units) => format('speed', mps, units),
  headOn: (share) => percent(share),
};
const AMOUNT_WORDS: Readonly<Record<Leeway, (amounts: string) => string>> = {
  up: (amounts) => `half of the willing ones come up ${amounts}, in middling water.`,
  aside: (amounts) => `half of the willing ones come to the side ${amounts}, in middling water.`,
  across: (amounts) => `half of the willing ones take a fly as fast across as ${amounts}, in middling water.`,
  headOn: (amounts) => `head on to the current a fly loses ${amounts} of its takes, in middling water.`,
};

/** How much of it fish allow, so many times as much as is assumed. */
function amountWords({ by, assumed }: Pick<LeewayTold, 'by' | 'assumed'>, times: number, units: UnitSystem) {
  const amounts = assumed.map(({ amount }) => AMOUNTS[by](times * amount, units));
  const told =
    new Set(amounts).size === 1
      ? amounts[0]!
      : assumed.map(({ tempC }, i) => `${amounts[i]!} at ${format('temperature', tempC, units)}`).join(', ');
  return AMOUNT_WORDS[by](told);
}

/** What answers go by. @param inUse so many times as much as is assumed; undefined: as is assumed */
export const usedWords = (told: Pick<LeewayTold, 'by' | 'assumed'>, inUse: number | undefined, units: UnitSystem) =>
  `${inUse === undefined ? 'As assumed' : 'By your takes'}: ${amountWords(told, inUse ?? 1, units)}`;

const FACTORS: Readonly<Record<Leeway, (times: string, range: string) => string>> = {
  up: (times, range) => `Yours come up ${times} times as far as assumed (${range}).`,
  aside: (times, range) => `Yours come ${times} times as far to the side as assumed (${range}).`,
  across: (times, range) => `Yours take a fly ${times} times as fast across as assumed (${range}).`,
  headOn: (times, range) => `Head on, your flies lose ${times} times as much as assumed (${range}).`,
};
/** What takes tell of one leeway. */
export const leewayWords = ({ by, times, low, high }: LeewayTold): string =>
  FACTORS[by](times.toFixed(1), `${low.toFixed(1)} to ${high.toFixed(1)}`);

/** What was counted of fish, and what the takes are too few to tell. */
export function countedFishWords({ casts, takes, leeways }: FishTold): string {
  const dark = leeways.filter((l) => !l.worth).map((l) => LEEWAY_NAMES[l.by]);
  const counted = `${several(takes, 'take')} in ${several(casts, 'cast')}`;
  return dark.length === 0 ? `By ${counted}.` : `${counted}: too few to tell ${dark.join(', ')}.`;
}
