import type { FloatRule } from '../swing';
import type { REFERENCE_FLIES } from '../tackle';
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

export interface Variable {
  readonly label: string;
  /** As which quantity its values are shown; null: in words. */
  readonly quantity: 'speed' | 'sinkRate' | 'length' | 'line' | 'angle' | null;
  readonly settings: readonly { readonly value: number; readonly words?: string; readonly cast: FlumeCast }[];
  /** What the trade says of it, and what the engine finds, where that wants a word. */
  readonly claim?: string;
}

const over = (values: readonly number[], cast: (v: number) => FlumeCast) =>
  values.map((value) => ({ value, cast: cast(value) }));
const named = (list: readonly (readonly [string, FlumeCast])[]) =>
  list.map(([words, cast], value) => ({ value, words, cast }));

/** What can be varied alone, over which values. */
export const VARIABLES = {
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
    claim:
      'The trade says: lead with the rod to keep the fly broadside. The engine agrees as against a rod that follows: with the fly at the same bearing it is more side-on and faster. A rod held still shows it as broadside, for a shorter time: the swing is over some ten seconds sooner.',
  },
} as const satisfies Record<string, Variable>;
export type VariableName = keyof typeof VARIABLES;
export const VARIABLE_NAMES = Object.keys(VARIABLES) as VariableName[];

export interface CurveRequest {
  readonly variable: VariableName;
  /** Speed of the surface where the current is not what varies, m/s. */
  readonly u: number;
  readonly lineClean: boolean;
}

export interface CurvePoint {
  readonly value: number;
  readonly words?: string;
  readonly deepestM: number;
  /** Depth with the fly half way round, 45° from the dangle; null when it starts below that. */
  readonly halfwayM: number | null;
  readonly dangleM: number;
  /** Mean speed across, from tight to the dangle, m/s. */
  readonly crossMps: number;
}

/** How much something moves over a curve: from, to (at the first and last setting), and a word for it. */
export function effect(points: readonly CurvePoint[], of: (p: CurvePoint) => number) {
  const all = points.map(of);
  const ratio = Math.max(...all) / Math.max(1e-3, Math.min(...all));
  const word = ratio < HARDLY ? 'hardly' : ratio < SOMEWHAT ? 'somewhat' : 'strongly';
  return { from: all[0]!, to: all[all.length - 1]!, ratio, word } as const;
}
const HARDLY = 1.1;
const SOMEWHAT = 1.35;
