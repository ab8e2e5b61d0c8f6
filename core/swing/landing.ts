import type { LineSection } from './types';

/**
 * The line as it lies at landing: straight from below the rod tip to the fly, at rest on the water. With slack S the
 * fly lands at the range of a line shorter by S and the floating part lies in an upstream half sine that uses up S.
 *
 * @param nodesAt distance of each node along the line from the rod tip, m (first 0, ascending)
 * @returns x, y, z of each node from the rod tip outwards, m
 * @param bow to which side the slack lies: −1 upstream, +1 downstream
 * @param tip rod tip, m; @param dir unit vector of the cast in plan; @param slackM ≥ 0
 */
export function landedLine(
  nodesAt: Float64Array,
  line: readonly LineSection[],
  tip: readonly [number, number, number],
  dir: readonly [number, number],
  slackM: number,
  bow: 1 | -1 = -1,
): Float64Array {
  const floating = line.reduce((s, l) => (l.kind === 'float' ? s + l.lengthM : s), 0);
  const total = nodesAt[nodesAt.length - 1]!;
  const slopeM = slopeOf(tip[2], floating > 0 ? floating : total);
  const slopeLine = Math.hypot(slopeM, tip[2]);
  // The bow takes up slack over what floats (over everything, when nothing floats).
  const bowLine = (floating > 0 ? floating : total) - slopeLine;
  const chord = Math.max(bowLine - slackM, 0.05 * bowLine);
  const amplitude = slackM > 0 ? bowAmplitude(chord, bowLine) : 0;
  // To the side of the cast's own line; straight down the river it makes no difference which.
  const turn = dir[1] >= 0 ? -bow : bow;
  const across = [-turn * dir[1], turn * dir[0]] as const;
  const xyz = new Float64Array(3 * nodesAt.length);
  const table = amplitude > 0 ? arcTable(chord, amplitude) : null;
  nodesAt.forEach((s, i) => {
    let along: number;
    let off = 0;
    let z = 0;
    if (s < slopeLine) {
      const f = slopeLine > 0 ? s / slopeLine : 1;
      along = slopeM * f;
      z = tip[2] * (1 - f);
    } else if (s < slopeLine + bowLine && table) {
      const p = placeOnArc(table, s - slopeLine) * chord;
      along = slopeM + p;
      off = amplitude * Math.sin((Math.PI * p) / chord);
    } else {
      along = slopeM + (s - slopeLine) - (table ? bowLine - chord : 0);
    }
    xyz[3 * i] = tip[0] + dir[0] * along + across[0] * off;
    xyz[3 * i + 1] = tip[1] + dir[1] * along + across[1] * off;
    xyz[3 * i + 2] = z;
  });
  return xyz;
}

const ARC_POINTS = 64;

/** Arc length of a half sine of the given chord and amplitude at equal parts of the chord. */
function arcTable(chord: number, amplitude: number): Float64Array {
  const t = new Float64Array(ARC_POINTS + 1);
  for (let k = 1; k <= ARC_POINTS; k++) {
    const a = amplitude * Math.sin((Math.PI * (k - 1)) / ARC_POINTS);
    const b = amplitude * Math.sin((Math.PI * k) / ARC_POINTS);
    t[k] = t[k - 1]! + Math.hypot(chord / ARC_POINTS, b - a);
  }
  return t;
}

function placeOnArc(table: Float64Array, s: number): number {
  let k = 1;
  while (k < ARC_POINTS && table[k]! < s) k++;
  const a = table[k - 1]!;
  return (k - 1 + (s - a) / (table[k]! - a)) / ARC_POINTS;
}

/** Amplitude of the half sine over `chord` whose length is `length`, by the secant method on a coarse curve. */
export function bowAmplitude(chord: number, length: number): number {
  if (length <= chord) return 0;
  const excess = (a: number) => arcTable(chord, a)[ARC_POINTS]! - length;
  // Small-amplitude estimate: length − chord ≈ π²a²/(4·chord).
  let a0 = (2 / Math.PI) * Math.sqrt(chord * (length - chord));
  let a1 = a0 * 1.05;
  let f0 = excess(a0);
  for (let i = 0; i < 30; i++) {
    const f1 = excess(a1);
    if (Math.abs(f1) < 1e-6 * length || f1 === f0) break;
    const next = a1 - (f1 * (a1 - a0)) / (f1 - f0);
    a0 = a1;
    f0 = f1;
    a1 = Math.max(0, next);
  }
  return a1;
}

/** From the rod tip the line slopes to the water over as much in plan as the tip is high (or deep), m. */
export const slopeOf = (tipZ: number, floatingM: number): number => Math.min(Math.abs(tipZ), 0.5 * floatingM);
