import type { WaterGrid } from '../water';

/** A connected good area of the run. */
export interface Region {
  /** Its middle: the cell nearest to the centre of its scores. */
  readonly i: number;
  readonly j: number;
  /** Best score in it. */
  readonly score: number;
  /** Extent about the middle, m: no further than the water goes on being good. */
  readonly lengthM: number;
  readonly widthM: number;
}

/** Water belongs to a lie while its score stays within this share of the best of it. */
const GOOD = 0.8;
/** No corner of an extent falls below this share. */
const POOR = 0.5;
/** An extent is drawn no longer than this, m along and across, however far the ribbon goes on. */
const MOST = { alongM: 40, acrossM: 8 };

/**
 * Cuts a field of scores into good areas, the best first: from each highest cell that is left, all that is connected to it
 * and nearly as good is one area; what lies within the space that fish keep of it is spoken for.
 *
 * @param apart space that fish keep, m along and across
 * @param least scores below this hold nothing
 * @returns at most `most` areas, no two with the same middle
 */
export function goodRegions(
  g: WaterGrid,
  score: Float32Array,
  apart: { readonly alongM: number; readonly acrossM: number },
  least: number,
  most: number,
): Region[] {
  const taken = new Uint8Array(score.length);
  const order = Uint32Array.from(score.keys())
    .filter((k) => score[k]! >= least)
    .sort((a, b) => score[b]! - score[a]! || a - b);
  const out: Region[] = [];
  for (const best of order) {
    if (taken[best]) continue;
    if (out.length >= most) break;
    const cells = connected(g, score, best, taken);
    const middle = middleOf(g, score, cells);
    out.push({ ...middle, score: score[best]!, ...extentAbout(g, score, middle, cells) });
    spokenFor(g, cells, apart, taken);
  }
  return out;
}

/** Cells connected to the best one and nearly as good. */
function connected(g: WaterGrid, score: Float32Array, best: number, taken: Uint8Array): number[] {
  const floor = GOOD * score[best]!;
  const seen = new Set([best]);
  const cells = [best];
  for (let n = 0; n < cells.length; n++) {
    const k = cells[n]!;
    const [i, j] = [Math.floor(k / g.ny), k % g.ny];
    for (const [a, b] of [
      [i - 1, j],
      [i + 1, j],
      [i, j - 1],
      [i, j + 1],
    ] as const) {
      if (a < 0 || b < 0 || a >= g.nx || b >= g.ny) continue;
      const q = a * g.ny + b;
      if (seen.has(q) || taken[q] || score[q]! < floor) continue;
      seen.add(q);
      cells.push(q);
    }
  }
  return cells;
}

function middleOf(g: WaterGrid, score: Float32Array, cells: readonly number[]): { i: number; j: number } {
  let [sum, x, y] = [0, 0, 0];
  for (const k of cells) {
    const w = score[k]!;
    sum += w;
    x += w * Math.floor(k / g.ny);
    y += w * (k % g.ny);
  }
  const [ci, cj] = [x / sum, y / sum];
  let at = cells[0]!;
  let off = Infinity;
  for (const k of cells) {
    const d = ((Math.floor(k / g.ny) - ci) * g.dx) ** 2 + (((k % g.ny) - cj) * g.dy) ** 2;
    if (d < off) [at, off] = [k, d];
  }
  return { i: Math.floor(at / g.ny), j: at % g.ny };
}

/** The largest box about the middle that stays in good water: no corner of it is poor. */
function extentAbout(
  g: WaterGrid,
  score: Float32Array,
  { i, j }: { readonly i: number; readonly j: number },
  cells: readonly number[],
): { lengthM: number; widthM: number } {
  const inside = new Set(cells);
  const best = score[i * g.ny + j]!;
  let a = 0;
  let b = 0;
  const isGood = (n: number, m: number) => {
    let good = 0;
    let all = 0;
    for (let p = i - n; p <= i + n; p++)
      for (let q = j - m; q <= j + m; q++) {
        if (p < 0 || q < 0 || p >= g.nx || q >= g.ny) continue;
        all++;
        const k = p * g.ny + q;
        if (score[k]! < POOR * best) return false;
        if (inside.has(k)) good++;
      }
    return good >= GOOD * all;
  };
  // Grown a row at a time, along and across in turn, as far as each will go.
  for (let along = true, across = true; along || across;) {
    along = along && (2 * a + 3) * g.dx <= MOST.alongM && i - a > 0 && i + a + 1 < g.nx && isGood(a + 1, b);
    if (along) a++;
    across = across && (2 * b + 3) * g.dy <= MOST.acrossM && isGood(a, b + 1);
    if (across) b++;
  }
  return { lengthM: (2 * a + 1) * g.dx, widthM: (2 * b + 1) * g.dy };
}

/** Marks the area and the space that fish keep round it. */
function spokenFor(
  g: WaterGrid,
  cells: readonly number[],
  apart: { readonly alongM: number; readonly acrossM: number },
  taken: Uint8Array,
): void {
  const a = Math.ceil(apart.alongM / g.dx);
  const b = Math.ceil(apart.acrossM / g.dy);
  const inside = new Set(cells);
  for (const k of cells) {
    const [i, j] = [Math.floor(k / g.ny), k % g.ny];
    taken[k] = 1;
    // Only from its border outwards: the inside is marked already.
    if (inside.has(k - 1) && inside.has(k + 1) && inside.has(k - g.ny) && inside.has(k + g.ny)) continue;
    for (let p = Math.max(0, i - a); p <= Math.min(g.nx - 1, i + a); p++)
      for (let q = Math.max(0, j - b); q <= Math.min(g.ny - 1, j + b); q++) taken[p * g.ny + q] = 1;
  }
}
