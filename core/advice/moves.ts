import { flume, NUMERICS, runSwing, type FloatRule, type LineSection, type Rod, type SwingCase } from '../swing';
import {
  buoyantWeight,
  FLOATER_DENSITY,
  LEADER_DENSITY,
  REFERENCE_FLIES,
  sinkerDiameterM,
  sinkingWeight,
} from '../tackle';
import { FOOT_M, INCH_M } from '../units';

/** One cast over even water, to see what a single thing does. */
export interface FlumeCast {
  /** Speed of the surface, m/s. */
  readonly u?: number;
  readonly depthM?: number;
  /** Rate and length of the tip, m/s and m. */
  readonly rateMps?: number;
  readonly tipM?: number;
  readonly fly?: keyof typeof REFERENCE_FLIES;
  readonly outM?: number;
  readonly angleDeg?: number;
  readonly slackM?: number;
  readonly bow?: 1 | -1;
  readonly rod?: 'still' | 'follow' | 'lead';
  readonly floatRule?: FloatRule;
}

const LEADER_M = 1.2;
const TIP_HEIGHT_M = 0.5;
const REACH_M = 3;
const LEAD_DEG = 25;
const FLOATER_M = 1.28e-3;
const LEADER_DIAMETER_M = 0.25e-3;

/** 18 m of line, 10 ft of 7 ips, a bulky unweighted fly, 75°, 0.9 m/s at the surface, where nothing else is said. */
export function flumeCase(o: FlumeCast = {}): SwingCase {
  const { u = 0.9, depthM = 2, rateMps = 7 * INCH_M, tipM = 10 * FOOT_M, fly = 'bulky' } = o;
  const { outM = 18, angleDeg = 75, slackM = 0, rod = 'still', floatRule = 'clean' } = o;
  const sinks: LineSection = {
    kind: 'sink',
    lengthM: tipM,
    diameterM: sinkerDiameterM(rateMps / INCH_M),
    weightNpm: sinkingWeight(rateMps, sinkerDiameterM(rateMps / INCH_M)),
  };
  const turning = { x0: 0, y0: 0, r: REACH_M, z: -TIP_HEIGHT_M, rateDegS: 30 };
  const rods: Record<NonNullable<FlumeCast['rod']>, Rod> = {
    still: { path: [[0, 0, 0, -TIP_HEIGHT_M]] },
    follow: { follow: { ...turning, leadDeg: 0 } },
    lead: { follow: { ...turning, leadDeg: LEAD_DEG } },
  };
  return {
    water: flume({ u, kind: 'surface', depth: depthM, profile: { type: 'power', m: 1 / 6 } }),
    rod: rods[rod],
    line: [
      {
        kind: 'float',
        lengthM: outM - tipM - LEADER_M,
        diameterM: FLOATER_M,
        weightNpm: buoyantWeight(FLOATER_DENSITY, FLOATER_M),
      },
      ...(tipM > 0 ? [sinks] : []),
      {
        kind: 'leader',
        lengthM: LEADER_M,
        diameterM: LEADER_DIAMETER_M,
        weightNpm: buoyantWeight(LEADER_DENSITY.nylon, LEADER_DIAMETER_M),
      },
    ],
    bodies: [{ fromEndM: 0, ...REFERENCE_FLIES[fly] }],
    cast: { angleDeg, slackM, side: 1, ...(o.bow ? { bow: o.bow } : null) },
    drag: { cn: 1.1, cf: 0.015, reDependent: false },
    floatRule,
    tEndS: 120,
    afterDangleS: 20,
    lies: [],
  };
}

interface Mover {
  readonly label: string;
  /** As which quantity its values are shown; null: in words. */
  readonly quantity: 'speed' | 'sinkRate' | 'length' | 'line' | 'angle' | null;
  readonly settings: readonly { readonly value: number; readonly words?: string; readonly cast: FlumeCast }[];
}

const over = (values: readonly number[], cast: (v: number) => FlumeCast) =>
  values.map((value) => ({ value, cast: cast(value) }));
const named = (list: readonly (readonly [string, FlumeCast])[]) =>
  list.map(([words, cast], value) => ({ value, words, cast }));

/** What can be varied alone, over which values. */
export const MOVERS = {
  current: {
    label: 'current',
    quantity: 'speed',
    settings: over([0.4, 0.5, 0.6, 0.75, 0.9, 1.05, 1.2, 1.35, 1.5], (u) => ({ u })),
  },
  tip: {
    label: 'tip’s sink rate',
    quantity: 'sinkRate',
    settings: over(
      [1.5, 2, 3, 4, 5, 6, 7, 8, 9].map((ips) => ips * INCH_M),
      (rateMps) => ({ rateMps }),
    ),
  },
  'tip length': {
    label: 'tip’s length',
    quantity: 'length',
    settings: over(
      [0, 2.5, 5, 7.5, 10, 12.5, 15].map((feet) => feet * FOOT_M),
      (tipM) => ({ tipM }),
    ),
  },
  fly: {
    label: 'fly',
    quantity: null,
    settings: named([
      ['soft hackle', { fly: 'softHackle' }],
      ['bulky, no weight', { fly: 'bulky' }],
      ['bead head', { fly: 'beadHead' }],
      ['lead eyes', { fly: 'leadEye' }],
    ]),
  },
  length: {
    label: 'line out',
    quantity: 'line',
    settings: over([10, 12, 14, 16, 18, 20, 22, 24], (outM) => ({ outM })),
  },
  angle: {
    label: 'angle',
    quantity: 'angle',
    settings: over([30, 40, 50, 60, 70, 80, 90, 100, 110], (angleDeg) => ({ angleDeg })),
  },
  mend: {
    label: 'mend',
    quantity: 'length',
    settings: over([-2, -1, 0, 0.5, 1, 1.5, 2, 2.5, 3], (m) => ({ slackM: Math.abs(m), bow: m > 0 ? -1 : 1 })),
  },
  rod: {
    label: 'rod',
    quantity: null,
    settings: named([
      ['still', { rod: 'still' }],
      ['follows', { rod: 'follow' }],
      ['leads', { rod: 'lead' }],
    ]),
  },
} as const satisfies Record<string, Mover>;
export type MoverName = keyof typeof MOVERS;
export const MOVER_NAMES = Object.keys(MOVERS) as MoverName[];

export interface Move {
  readonly mover: MoverName;
  /** Speed of the surface where the current is not what varies, m/s. */
  readonly u: number;
  readonly lineClean: boolean;
}

export interface MovePoint {
  readonly value: number;
  readonly words?: string;
  readonly deepestM: number;
  /** Depth with the fly half way round, 45° from the dangle; null when it starts below that. */
  readonly halfwayM: number | null;
  readonly dangleM: number;
  /** Mean speed across, from tight to the dangle, m/s. */
  readonly crossMps: number;
}

/** A fly that is below a bearing this soon was cast there. */
const LANDED_S = 0.5;
/** Deep enough for nothing to touch. */
const FLUME_M = 4;

/** Simulates a mover over its settings, everything else held. @yields the share done */
export function* moveCurve({ mover, u, lineClean }: Move): Generator<number, MovePoint[], undefined> {
  const { settings }: Mover = MOVERS[mover];
  const out: MovePoint[] = [];
  for (const { value, words, cast } of settings) {
    const floatRule = lineClean ? 'clean' : 'free';
    const r = runSwing(flumeCase({ u, depthM: FLUME_M, floatRule, ...cast }), NUMERICS.full);
    const halfway = r.atBearing['45'];
    out.push({
      value,
      ...(words ? { words } : null),
      deepestM: r.maxDepthM,
      halfwayM: halfway && halfway.t > LANDED_S ? halfway.depthM : null,
      dangleM: r.dangleDepthM,
      crossMps: r.meanCrossSpeedMps,
    });
    yield out.length / settings.length;
  }
  return out;
}

/** How much something moves over a curve: from, to (at the first and last setting), and a word for it. */
export function effect(points: readonly MovePoint[], of: (p: MovePoint) => number) {
  const all = points.map(of);
  const ratio = Math.max(...all) / Math.max(1e-3, Math.min(...all));
  const word = ratio < HARDLY ? 'hardly' : ratio < SOMEWHAT ? 'somewhat' : 'strongly';
  return { from: all[0]!, to: all[all.length - 1]!, ratio, word } as const;
}
const HARDLY = 1.1;
const SOMEWHAT = 1.35;
