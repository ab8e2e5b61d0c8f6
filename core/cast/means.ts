import { headSinks, isMonoRig, type Rig, xSizeOf } from '../tackle';
import type { Channel } from '../water';
import type { CastPlan } from './plan';

export const CAST_KINDS = ['overhead', 'roll', 'sustained anchor'] as const;
type CastKind = (typeof CAST_KINDS)[number];
export const SHOULDERS = ['right', 'left'] as const;
export type Shoulder = (typeof SHOULDERS)[number];
export const LINE_KINDS = ['floating line', 'short head', 'long head', 'sinking line', 'mono rig', 'float'] as const;
type LineKind = (typeof LINE_KINDS)[number];

/** What an angler can do. Asked once; advice keeps to it. */
export interface Means {
  readonly casts: readonly CastKind[];
  /** Over which shoulders the line is cast. */
  readonly shoulders: readonly Shoulder[];
  /** Longest cast that is comfortable, line out, m. */
  readonly longestM: number;
  /** Lines that were ever handled. */
  readonly lines: readonly LineKind[];
  /** How deep one wades, m. */
  readonly wadeM: number;
  /** Ties fine knots at the water without trouble. */
  readonly fineKnots: boolean;
  /** Children come along. */
  readonly children: boolean;
}

/** Longest cast that is offered unasked, m. */
const COMFORT_M = 22;
/** So much line a rod carries without strain, m: by its number, with one hand and with two (common practice, no source): some
 * 14 m with a four-weight, 22 m with an eight; on two hands from 17 m with a three-weight to 29 m with a seven. */
const CARRIED_M = { 1: (lineNumber: number) => 6 + 2 * lineNumber, 2: (lineNumber: number) => 8 + 3 * lineNumber };
/** Nobody is sent deeper than this, m. */
export const WADE_M = 0.8;

/** Until it is asked: everything, within what is offered unasked. */
export const ANY_MEANS: Means = {
  casts: CAST_KINDS,
  shoulders: SHOULDERS,
  longestM: COMFORT_M,
  lines: LINE_KINDS,
  wadeM: WADE_M,
  fineKnots: true,
  children: false,
};

/** Depth × speed that one is sent into at the most, half of what is low hazard: 0.6 m²/s for fit adults, 0.4 m²/s and 0.5 m
 * with children (Cox, Shand & Blacka 2010; from memory). */
export const wadingLimit = (
  m: Pick<Means, 'wadeM' | 'children'>,
): { readonly depthM: number; readonly hazard: number } =>
  m.children ? { depthM: Math.min(0.5, m.wadeM), hazard: 0.2 } : { depthM: Math.min(WADE_M, m.wadeM), hazard: 0.3 };

/** A mono rig is led under a high rod that keeps it off the water: no further than so, m (common practice, no source). */
const LED_M = 10;

/** Longest cast that one makes in comfort with a rig, line out, m: the angler's own, no longer than the rod carries, and than can be
 * led on a mono rig without a float. */
export const longestCast = (m: Pick<Means, 'longestM'>, rig: Pick<Rig, 'rod' | 'leader' | 'float'>): number =>
  Math.min(m.longestM, CARRIED_M[rig.rod.hands](rig.rod.lineNumber), isMonoRig(rig) && !rig.float ? LED_M : Infinity);

/** What kinds of line a rig asks one to handle. */
export function lineKindsOf(rig: Rig): LineKind[] {
  if (isMonoRig(rig)) return rig.float ? ['mono rig', 'float'] : ['mono rig'];
  const sinks = headSinks(rig.head);
  const head: LineKind = sinks
    ? 'sinking line'
    : rig.head.shape === 'taper'
      ? 'floating line'
      : rig.head.shape === 'short'
        ? 'short head'
        : 'long head';
  return rig.float ? [head, 'float'] : [head];
}

/** One thing that goes beyond what the angler can do. */
export type Beyond =
  | { readonly code: 'never fished'; readonly line: LineKind }
  | { readonly code: 'head on two hands' | 'trees behind' | 'fine knots' }
  | {
      readonly code: 'longer than';
      readonly what: 'comfortable' | 'rod carries' | 'mono leads';
      readonly lineNumber: number;
    };

/** Finer than this is hard to tie without good eyes, X. */
const FINE_X = 4.5;

/**
 * What of a rig and a cast goes beyond what the angler can do; empty where nothing does.
 *
 * @example beyondMeans({ ...ANY_MEANS, longestM: 12 }, rig, { ...plan, outM: 15 }, channel)[0].code // 'longer than'
 */
export function beyondMeans(m: Means, rig: Rig, plan?: CastPlan, c?: Channel): Beyond[] {
  const out: Beyond[] = [];
  for (const kind of lineKindsOf(rig)) if (!m.lines.includes(kind)) out.push({ code: 'never fished', line: kind });
  const heads = rig.rod.hands === 2 && rig.head.shape !== 'taper';
  if (heads && !m.casts.includes('sustained anchor') && !m.casts.includes('overhead'))
    out.push({ code: 'head on two hands' });
  const { lineNumber, hands } = rig.rod;
  if (plan && plan.outM > longestCast(m, rig)) {
    const carried = plan.outM > CARRIED_M[hands](lineNumber) ? 'rod carries' : 'mono leads';
    out.push({ code: 'longer than', what: plan.outM > m.longestM ? 'comfortable' : carried, lineNumber });
  }
  if (c?.room === 'trees behind' && !m.casts.includes('roll') && !m.casts.includes('sustained anchor'))
    out.push({ code: 'trees behind' });
  if (!m.fineKnots && Math.max(...rig.leader.pieces.map((p) => xSizeOf(p.toDiameterM ?? p.diameterM))) > FINE_X)
    out.push({ code: 'fine knots' });
  return out;
}

/** How much longer knots take without good eyes (assumed). */
export const knotFactor = (m: Means): number => (m.fineKnots ? 1 : 2);
