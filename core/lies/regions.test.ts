import type { WaterGrid } from '../water';
import { goodRegions } from './regions';

/** A field of scores from a picture: a row for each step down the run, a digit (tenths) for each step out; cells of 2 m by 1 m. */
function field(...rows: string[]): [WaterGrid, Float32Array] {
  const ny = rows[0]!.length;
  const none = new Float32Array(rows.length * ny);
  const grid = { x0: 0, dx: 2, nx: rows.length, y0: 0, dy: 1, ny, u: none, v: none, h: none };
  return [grid, Float32Array.from(rows.flatMap((row) => [...row].map((d) => (d === 'X' ? 1 : Number(d) / 10))))];
}
const CLOSE = { alongM: 2, acrossM: 1 };
const found = (rows: readonly string[], least = 0.3, most = 9, apart = CLOSE) =>
  goodRegions(...field(...rows), apart, least, most);
const box = ({ i, j, lengthM, widthM }: ReturnType<typeof found>[number]) => [i, j, lengthM, widthM];

describe('good areas of a field of scores', () => {
  it('an area is as large as the water goes on being good, and no larger', () => {
    const [only, ...more] = found(['0000000', '0088800', '0088800', '0088800', '0000000']);
    expect(more).toEqual([]);
    expect(box(only!)).toEqual([2, 3, 6, 3]);
    expect(only!.score).toBeCloseTo(0.8, 6);
  });

  it('a ribbon has its middle in the middle; at the ends of the run it stops', () => {
    expect(found(Array(11).fill('0090')).map(box)).toEqual([[5, 2, 22, 1]]);
    expect(found([...Array(5).fill('0090'), ...Array(6).fill('0000')]).map(box)).toEqual([[2, 2, 10, 1]]);
    expect(found([...Array(6).fill('0000'), ...Array(5).fill('0090')]).map(box)).toEqual([[8, 2, 10, 1]]);
    // Nor does it reach out of the run where its middle lies nearer to the end.
    const good = Array(4).fill('0090');
    expect(found([...Array(6).fill('0000'), ...good, '00X0', '00X0']).map(box)).toEqual([[9, 2, 10, 1]]);
    expect(found(['00X0', '00X0', ...good, ...Array(6).fill('0000')]).map(box)).toEqual([[2, 2, 10, 1]]);
    // With an even number of rows one is left over, on the side that the middle is further from.
    expect(found([...Array(4).fill('0090'), ...Array(3).fill('0000')]).map((r) => r.lengthM)).toEqual([6]);
  });

  it('is told no longer than 40 m and no wider than 8 m, however far the water is good', () => {
    const [wide] = found(Array(41).fill('9'.repeat(21)));
    expect(box(wide!)).toEqual([20, 10, 38, 7]); // 41 m and 9 m would be more
  });

  it('water of four fifths of the best belongs to it, less does not; no corner is under half', () => {
    const belongs = (side: string) => found([`0${side}X${side}0`, `0${side}X${side}0`, `0${side}X${side}0`])[0]!.widthM;
    expect([belongs('9'), belongs('7')]).toEqual([3, 1]);
    // A tongue to one side moves the middle no further than its weight does, and leaves the box in good water.
    const [bent] = found(['00X0', '00X0', 'XXX0', '00X0', '00X0']);
    expect(bent!.widthM).toBe(1);
    const [spoilt] = found(['88888', '88888', '88888', '88881', '88888']);
    expect(spoilt!.lengthM * spoilt!.widthM).toBeLessThan(10 * 5);
  });

  it('two that keep their space are two, the better first; one within the space of a better is not told', () => {
    const rows = ['00000000', '08000009', '00000000'];
    expect(found(rows).map((r) => [r.i, r.j])).toEqual([
      [1, 7],
      [1, 1],
    ]);
    expect(found(rows, 0.3, 1)).toHaveLength(1);
    expect(found(rows, 0.85)).toHaveLength(1);
    expect(found(rows, 0.95)).toEqual([]);
    // Six metres out: one that fish keep six metres from is left, at five it is another.
    expect(found(rows, 0.3, 9, { alongM: 2, acrossM: 6 })).toHaveLength(1);
    expect(found(rows, 0.3, 9, { alongM: 2, acrossM: 5 })).toHaveLength(2);
    const along = ['9', '0', '0', '8'];
    expect(found(along, 0.3, 9, { alongM: 6, acrossM: 1 })).toHaveLength(1);
    expect(found(along, 0.3, 9, { alongM: 4, acrossM: 1 })).toHaveLength(2);
  });

  it('what touches at a corner only is not connected; of two as good the first is told first', () => {
    const two = found(['90', '09'], 0.3, 9, { alongM: 0, acrossM: 0 });
    expect(two.map((r) => [r.i, r.j])).toEqual([
      [0, 0],
      [1, 1],
    ]);
  });
});
