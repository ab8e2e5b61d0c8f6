/** Piecewise-linear table look-up, held at the ends. Throws RangeError when the table is empty or not ascending. */
export function interpolate(xs: readonly number[], ys: readonly number[], x: number): number {
  if (xs.length === 0 || xs.length !== ys.length) throw new RangeError('table: needs as many values as places');
  let i = 0;
  while (i < xs.length - 1 && xs[i + 1]! <= x) {
    if (xs[i + 1]! < xs[i]!) throw new RangeError('table: places must ascend');
    i++;
  }
  const xa = xs[i]!;
  const xb = xs[i + 1];
  if (x <= xa || xb === undefined) return ys[i]!;
  return ys[i]! + ((ys[i + 1]! - ys[i]!) * (x - xa)) / (xb - xa);
}
