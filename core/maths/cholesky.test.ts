import fc from 'fast-check';
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { cholesky } from './cholesky';

/** L·Lᵀ with an ordinary diagonal is positive definite. */
const matrices = fc.integer({ min: 1, max: 12 }).chain((n) =>
  fc.array(fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: n, maxLength: n }), { minLength: n, maxLength: n }).map((rows) => {
    const l = rows.map((row, i) => row.map((v, j) => (j < i ? v : j === i ? 1 + Math.abs(v) : 0)));
    return l.map((a) => l.map((b) => a.reduce((sum, v, k) => sum + v * b[k]!, 0)));
  }),
); // prettier-ignore

describe('Cholesky', () => {
  it('solves as ml-matrix does, and gives the determinant it gives', () => {
    fc.assert(
      fc.property(matrices, (a) => {
        const b = a.map((_, i) => i - 1.5);
        const theirs = new CholeskyDecomposition(new Matrix(a));
        const ours = cholesky(a);
        const back = a.map((row) => row.reduce((sum, v, k) => sum + v * ours.solve(b)[k]!, 0));
        back.forEach((v, i) => expect(v).toBeCloseTo(b[i]!, 5));
        const diagonal = theirs.lowerTriangularMatrix.diagonal();
        expect(ours.logDet).toBeCloseTo(2 * diagonal.reduce((sum, v) => sum + Math.log(v), 0), 6);
      }),
    );
  });

  it('by hand: 4 2, 2 3 has the determinant 8; what is not positive definite is refused', () => {
    const { solve, logDet } = cholesky([[4, 2], [2, 3]]); // prettier-ignore
    expect(solve([2, 1])).toEqual([0.5, 0]);
    expect(logDet).toBeCloseTo(Math.log(8), 12);
    expect(() => cholesky([[1, 2], [2, 1]])).toThrow('not positive definite'); // prettier-ignore
  });
});
