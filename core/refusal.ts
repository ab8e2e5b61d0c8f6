import type { Feature } from './water';

/** Why a cast cannot be made; in m. */
export type NotCast =
  | { readonly code: 'dry land' | 'shorter than leader' }
  | { readonly code: 'on the bank'; readonly bank: 'far' | 'near'; readonly byM: number }
  | { readonly code: 'blocked'; readonly by: Feature['kind'] }
  | { readonly code: 'trees behind'; readonly mostM: number };

/** What is refused: a cast that cannot be made, or a case that is none, with the field that is wrong. */
export type Refused =
  | { readonly code: 'no cast'; readonly why: NotCast }
  | { readonly code: 'no case'; readonly field: string; readonly must: string };

/** What was asked for cannot be done, and why. Nothing is at fault: whoever tries many things goes on to the next. Its message is its
 * data: that of an error is all that comes out of a worker. */
export class Refusal extends RangeError {
  constructor(readonly refused: Refused) {
    super(refused.code === 'no case' ? `${refused.field}: ${refused.must}` : JSON.stringify(refused));
    this.name = 'Refusal';
  }
}

/** What work gives; null where what it was asked for is refused. Any other fault is one, and is thrown on. */
export function unlessRefused<T>(work: () => T): T | null {
  try {
    return work();
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}
