import { correlation, deviate, quantile } from '../maths/statistics';
import type { WaterGrid } from '../water';
import { NUMERICS } from './cut';
import { flyAt, HZ } from './series';
import { runSwing } from './swing';
import type { FloatRule, Numerics, SwingCase, SwingResult } from './types';

export interface Doubt {
  /** Spread (one standard deviation, relative) of the readings: speed, depth. */
  readonly speed: number;
  readonly depth: number;
  /** Chance that the line is not as clean (or dirty) as said. */
  readonly line: number;
  /** Other drawings for another; a whole number. */
  readonly seed: number;
  readonly members: number;
}

export type Cause = 'speed' | 'depth' | 'line';

export interface Band {
  /** 10 Hz, at the times of the plain swing: depth that one in ten swings stay above, and below. */
  readonly low: Float64Array;
  readonly high: Float64Array;
  /** Depth at each lie: the same two; the share of swings that do there what is wanted, where somebody judged them. */
  readonly lies: readonly { readonly low: number; readonly high: number; readonly chance: number | null }[];
  /** Which doubt moves the depth most. */
  readonly cause: Cause;
}

/** Whether a swing does at each lie what is wanted, the water's depth being scaled by `depth`. */
export type Judge = (r: SwingResult, depth: number) => readonly boolean[];

/** One drawing of what the readings leave open. */
export interface Draw {
  readonly speed: number;
  readonly depth: number;
  /** The line is not as it was said to be. */
  readonly turned: boolean;
}

/** The real root of x³ = x + 1. */
const PLASTIC = 1.324717957244746;
const part = (x: number): number => x - Math.floor(x);

/**
 * The drawings of a doubt, the same for the same seed, spread evenly rather than by chance: the speeds in equal parts, depths and
 * lines by steps of an irrational part (Weyl, Mathematische Annalen 77, 1916; powers of the plastic number keep the points of a
 * plane apart as the golden section does those of a line). Ten tell a chance as well as some thirty free ones, twenty as well
 * as eighty (measured on the demo's runs).
 */
export function draws({ seed, members, ...of }: Doubt): Draw[] {
  return Array.from({ length: members }, (_, i) => ({
    speed: Math.exp(of.speed * deviate((i + 0.5) / members)),
    depth: Math.exp(of.depth * deviate(part(0.5 + (seed + i) / PLASTIC))),
    turned: part(0.5 + (seed + i) / PLASTIC ** 2) < of.line,
  }));
}

/** Waters that were drawn, by their factors: the same drawings come again for every cast and lie. */
const drawnWaters = new WeakMap<WaterGrid, Map<string, WaterGrid>>();

const times = (field: Float32Array, by: number): Float32Array => field.map((x) => x * by);

/** Water with its current and its depth scaled; the same object for the same factors. */
function scaled(grid: WaterGrid, speed: number, depth: number): WaterGrid {
  const known = drawnWaters.get(grid) ?? new Map<string, WaterGrid>();
  drawnWaters.set(grid, known);
  const key = `${speed} ${depth}`;
  const water = known.get(key) ?? {
    ...grid,
    u: times(grid.u, speed),
    v: times(grid.v, speed),
    h: times(grid.h, depth),
  };
  known.set(key, water);
  return water;
}

/** One swing with the current and the depth of the water scaled. */
export function drawn(c: SwingCase, { speed, depth, turned }: Draw): SwingCase {
  const water = { ...c.water, grid: scaled(c.water.grid, speed, depth) };
  return { ...c, water, floatRule: turned ? other(c.floatRule) : c.floatRule, keepLineS: 0 };
}

const other = (r: FloatRule): FloatRule => (r === 'clean' ? 'free' : 'clean');

/**
 * How far the swing may be off because the readings are rough: an ensemble of whole swings.
 *
 * Swings of different speed last differently; depths are compared at equal parts of the way to the dangle.
 *
 * @param plain rows of the plain swing's series (the band has as many) and its dangle
 * @param good judges each swing at each lie
 * @yields the share done, after every swing
 */
export function* swingBand(
  c: SwingCase,
  plain: { readonly rows: number; readonly dangleS: number | null },
  doubt: Doubt,
  good: Judge | null = null,
  num: Numerics = NUMERICS.full,
): Generator<number, Band, undefined> {
  const depths: Float64Array[] = [];
  const lies: number[][] = c.lies.map(() => []);
  const done: { speed: number; depth: number; line: number; deep: number }[] = [];
  const right = c.lies.map(() => 0);
  const tail = plain.dangleS ?? plain.rows / HZ;
  for (const draw of draws(doubt)) {
    const r = runSwing(drawn(c, draw), num);
    const stretch = (r.dangleS ?? r.rows / HZ) / tail;
    const d = new Float64Array(plain.rows);
    for (let i = 0; i < plain.rows; i++) d[i] = flyAt(r, Math.min(r.rows - 1, Math.round(i * stretch))).depthM;
    depths.push(d);
    r.lies.forEach((l, k) => lies[k]!.push(l.depthM));
    good?.(r, draw.depth).forEach((does, k) => (right[k] = right[k]! + Number(does)));
    const deep = c.lies.length ? r.lies[0]!.depthM : r.maxDepthM;
    done.push({ speed: draw.speed, depth: draw.depth, line: draw.turned ? 1 : 0, deep });
    yield done.length / doubt.members;
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
        done.map((d) => d[k]),
        done.map((d) => d.deep),
      ),
    ),
  );
  const cause = causes[pull.indexOf(Math.max(...pull))]!;
  return {
    low,
    high,
    lies: lies.map((l, k) => ({
      low: quantile(l, 0.1),
      high: quantile(l, 0.9),
      chance: good ? right[k]! / doubt.members : null,
    })),
    cause,
  };
}
