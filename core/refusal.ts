/** What is refused: a cast that cannot be made, or a case that is none, with the field that is wrong. */
export type Refused = { readonly code: 'no cast' } | { readonly code: 'no case'; readonly field: string };

/** What was asked for cannot be done, and why. Nothing is at fault: whoever tries many things goes on to the next. */
export class Refusal extends RangeError {
  constructor(
    readonly refused: Refused,
    why: string,
  ) {
    super(why);
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
