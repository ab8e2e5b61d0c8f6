import type { SwingResult } from './types';

/** The fly's series: a row every tenth of a second, these columns in each. */
export const SERIES_COLUMNS = ['t', 'x', 'y', 'depth', 'vx', 'vy', 'vz', 'axis_angle_deg', 'tip_tension_N'] as const;
/** Columns of a row. */
export const WIDTH = SERIES_COLUMNS.length;
/** Rows a second. */
export const HZ = 10;
/** Where in a row each column stands. */
export const COL = { t: 0, x: 1, y: 2, depth: 3, vx: 4, vy: 5, vz: 6, axis: 7, tension: 8 } as const;

/** The fly at one moment. */
export interface FlyMoment {
  readonly tS: number;
  readonly xM: number;
  readonly yM: number;
  readonly depthM: number;
  readonly vxMps: number;
  readonly vyMps: number;
  readonly vzMps: number;
  /** Angle between the fly's axis and the current, 0° straight into it, 90° side-on. */
  readonly axisDeg: number;
  readonly tipTensionN: number;
}

type Series = Pick<SwingResult, 'series' | 'rows'>;

/** The row of a moment, held at both ends. @example rowOf(result, 1.26) // 13 */
export const rowOf = ({ rows }: Series, tS: number): number => Math.min(rows - 1, Math.max(0, Math.round(tS * HZ)));

/** The fly in a row. Throws RangeError outside the series. @example flyAt(result, 0).depthM // 0 */
export function flyAt({ series, rows }: Series, row: number): FlyMoment {
  if (!(row >= 0 && row < rows)) throw new RangeError(`row: must be from 0 to ${rows - 1}`);
  const o = WIDTH * row;
  return {
    tS: series[o]!,
    xM: series[o + COL.x]!,
    yM: series[o + COL.y]!,
    depthM: series[o + COL.depth]!,
    vxMps: series[o + COL.vx]!,
    vyMps: series[o + COL.vy]!,
    vzMps: series[o + COL.vz]!,
    axisDeg: series[o + COL.axis]!,
    tipTensionN: series[o + COL.tension]!,
  };
}

/** How deep the fly hangs is told so long after the dangle, s. */
export const DANGLE_TOLD_S = 20;

/** How long a swing was followed, s. */
export const lengthS = ({ rows }: Pick<SwingResult, 'rows'>): number => (rows - 1) / HZ;

/** The hand feels a pull of a gram, N (assumed): a light line behind a soft hackle pulls little more. */
export const FELT_N = 0.01;
