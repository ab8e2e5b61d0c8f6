import { correlation, quantile } from '../maths/statistics';
import { normal, seeded } from '../maths';
import { NUMERICS } from './cut';
import { flyAt, HZ } from './series';
import { runSwing } from './swing';
import type { FloatRule, Numerics, SwingCase } from './types';

export interface Doubt {
  /** Spread (one standard deviation, relative) of the readings: speed, depth. */
  readonly speed: number;
  readonly depth: number;
  /** Chance that the line is not as clean (or dirty) as said. */
  readonly line: number;
  readonly seed: number;
  readonly members: number;
}

export type Cause = 'speed' | 'depth' | 'line';

export interface Band {
  /** 10 Hz, at the times of the plain swing: depth that one in ten swings stay above, and below. */
  readonly low: Float64Array;
  readonly high: Float64Array;
  /** Depth at each lie: the same two. */
  readonly lies: readonly { readonly low: number; readonly high: number }[];
  /** Which doubt moves the depth most. */
  readonly cause: Cause;
}

/** One swing with the current and the depth of the water scaled. */
function scaled(c: SwingCase, speed: number, depth: number, floatRule: FloatRule): SwingCase {
  const { grid } = c.water;
  const water = { ...c.water, grid: { ...grid, u: grid.u.map((x) => x * speed), h: grid.h.map((x) => x * depth) } };
  return { ...c, water, floatRule, keepLineS: 0 };
}

const other = (r: FloatRule): FloatRule => (r === 'clean' ? 'free' : 'clean');

/**
 * How far the swing may be off because the readings are rough: a seeded ensemble of whole swings.
 *
 * Swings of different speed last differently; depths are compared at equal parts of the way to the dangle.
 *
 * @param rows rows of the plain swing's series; the band has as many
 * @yields the share done, after every swing
 */
export function* swingBand(
  c: SwingCase,
  plain: { readonly rows: number; readonly dangleS: number | null },
  doubt: Doubt,
  num: Numerics = NUMERICS.screen,
): Generator<number, Band, undefined> {
  const rand = seeded(doubt.seed);
  const depths: Float64Array[] = [];
  const lies: number[][] = c.lies.map(() => []);
  const draws: { speed: number; depth: number; line: number; deep: number }[] = [];
  const tail = plain.dangleS ?? plain.rows / HZ;
  for (let m = 0; m < doubt.members; m++) {
    const speed = Math.exp(doubt.speed * normal(rand));
    const depth = Math.exp(doubt.depth * normal(rand));
    const turned = rand() < doubt.line;
    const r = runSwing(scaled(c, speed, depth, turned ? other(c.floatRule) : c.floatRule), num);
    const stretch = (r.dangleS ?? r.rows / HZ) / tail;
    const d = new Float64Array(plain.rows);
    for (let i = 0; i < plain.rows; i++) d[i] = flyAt(r, Math.min(r.rows - 1, Math.round(i * stretch))).depthM;
    depths.push(d);
    r.lies.forEach((l, k) => lies[k]!.push(l.depthM));
    draws.push({ speed, depth, line: turned ? 1 : 0, deep: c.lies.length ? r.lies[0]!.depthM : r.maxDepthM });
    yield (m + 1) / doubt.members;
  }
  const low = new Float64Array(plain.rows);
  const high = new Float64Array(plain.rows);
  for (let i = 0; i < plain.rows; i++) {
    const column = depths.map((d) => d[i]!);
    low[i] = quantile(column, 0.1);
    high[i] = quantile(column, 0.9);
  }
  const causes: Cause[] = ['speed', 'depth', 'line'];
  const pull = causes.map((k) =>
    Math.abs(
      correlation(
        draws.map((d) => d[k]),
        draws.map((d) => d.deep),
      ),
    ),
  );
  const cause = causes[pull.indexOf(Math.max(...pull))]!;
  return { low, high, lies: lies.map((l) => ({ low: quantile(l, 0.1), high: quantile(l, 0.9) })), cause };
}
