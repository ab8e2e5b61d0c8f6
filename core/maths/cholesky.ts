/** A symmetric positive definite matrix, taken apart: A = L·Lᵀ. */
export interface Cholesky {
  /** x with A·x = b. */
  readonly solve: (b: readonly number[]) => number[];
  /** Natural logarithm of the determinant of A. */
  readonly logDet: number;
}

/**
 * Takes a matrix apart by Cholesky's method, row by row (Golub & Van Loan, Matrix Computations, 4.2; from memory).
 *
 * @param a rows of a symmetric positive definite matrix; only its lower half is read
 * @throws RangeError where it is not positive definite
 * @example cholesky([[4, 2], [2, 3]]).solve([2, 1]) // [0.5, 0]
 */
export function cholesky(a: readonly (readonly number[])[]): Cholesky {
  const lower: number[][] = [];
  a.forEach((row, i) => {
    const l: number[] = [];
    for (let j = 0; j <= i; j++) {
      const other = j === i ? l : lower[j]!;
      let left = row[j]!;
      for (let k = 0; k < j; k++) left -= l[k]! * other[k]!;
      if (j < i) l.push(left / other[j]!);
      else if (left > 0) l.push(Math.sqrt(left));
      else throw new RangeError('matrix: is not positive definite');
    }
    lower.push(l);
  });
  return {
    logDet: 2 * lower.reduce((sum, l, i) => sum + Math.log(l[i]!), 0),
    solve: (b) => {
      const x = [...b];
      lower.forEach((l, i) => {
        for (let k = 0; k < i; k++) x[i]! -= l[k]! * x[k]!;
        x[i]! /= l[i]!;
      });
      for (let i = x.length - 1; i >= 0; i--) {
        x[i]! /= lower[i]![i]!;
        for (let k = 0; k < i; k++) x[k]! -= lower[i]![k]! * x[i]!;
      }
      return x;
    },
  };
}
