/** A long piece of work done at once. */
export function finished<T>(work: Generator<unknown, T, undefined>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** Tells a share after every step, of so many that are expected. */
export function* shared<T>(
  work: Generator<void, T, undefined>,
  from: number,
  share: number,
  expected: number,
): Generator<number, T, undefined> {
  for (let n = 1; ; n++) {
    const step = work.next();
    if (step.done) return step.value;
    yield from + share * Math.min(1, n / expected);
  }
}

/** Of a piece of work that tells its own share, its part of a larger one. */
export function* within<T>(
  work: Generator<number, T, undefined>,
  from: number,
  share: number,
): Generator<number, T, undefined> {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    yield from + share * step.value;
  }
}

/** A piece of work whose own share is not told. */
export function* untold<T>(work: Generator<number, T, undefined>): Generator<void, T, undefined> {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    yield;
  }
}
