import type { LineSection } from '../swing';
import { INCH_M } from '../units';
import type { LeaderItem, LeaderPiece } from './kit';
import { buoyantWeight, LEADER_DENSITY } from './standards';

/** Length of a leader from the line to the point fly, m. */
export const leaderLengthM = ({ pieces }: Pick<LeaderItem, 'pieces'>): number =>
  pieces.reduce((sum, p) => sum + p.lengthM, 0);

/** What the point fly is tied to. Throws RangeError where there is no piece. */
export function tippetOf({ pieces }: Pick<LeaderItem, 'pieces'>): LeaderPiece {
  const last = pieces[pieces.length - 1];
  if (!last) throw new RangeError('leader: needs at least one piece');
  return last;
}

/** A leader of one piece. */
export const level = (
  lengthM: number,
  diameterM: number,
  material: LeaderPiece['material'],
): readonly LeaderPiece[] => [{ part: 'tippet', lengthM, diameterM, material }];

/** A piece that tapers is laid out as so many level ones. */
const TAPER_PARTS = 2;

const levels = (p: LeaderPiece): readonly LeaderPiece[] =>
  p.toDiameterM === undefined
    ? [p]
    : Array.from({ length: TAPER_PARTS }, (_, i) => ({
        ...p,
        lengthM: p.lengthM / TAPER_PARTS,
        diameterM: p.diameterM + ((p.toDiameterM! - p.diameterM) * (i + 0.5)) / TAPER_PARTS,
      }));

/** The leader as line for the swing, from the line outwards. */
export const leaderLine = ({ pieces }: Pick<LeaderItem, 'pieces'>): LineSection[] =>
  pieces.flatMap(levels).map(({ lengthM, diameterM, material }) => ({
    kind: 'leader' as const,
    lengthM,
    diameterM,
    weightNpm: buoyantWeight(LEADER_DENSITY[material], diameterM),
  }));

/** X size of a diameter, negative above 0X. @example xSizeOf(0.0001778) // 4 */
export const xSizeOf = (diameterM: number): number => (0.011 - diameterM / INCH_M) / 0.001;

/**
 * Breaking strength of tippet by its diameter, N: σ·πd²/4 with σ of 1,050 MPa for thin tippet material and 750 MPa for the
 * plain mono of butts, 0.28 mm and thicker (fitted to 4X 6 lb, 0X 14 lb, 12 lb at 0.30 mm; all from memory, makers differ by a
 * quarter).
 *
 * @example strengthN({ diameterM: 0.0001778 }) // 26.1, some 6 lb
 */
export function strengthN(p: Pick<LeaderPiece, 'diameterM' | 'toDiameterM' | 'strengthN'>): number {
  if (p.strengthN !== undefined) return p.strengthN;
  const d = Math.min(p.diameterM, p.toDiameterM ?? p.diameterM);
  return (d < PLAIN_MONO_M ? TIPPET_PA : MONO_PA) * (Math.PI / 4) * d ** 2;
}
const PLAIN_MONO_M = 0.285e-3;
const TIPPET_PA = 1.05e9;
const MONO_PA = 7.5e8;
