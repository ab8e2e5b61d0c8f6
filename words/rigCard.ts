import { placeName, type Rig, shotName } from '@/core/tackle';
import type { CardMark, Knot } from '@/core/tackle/card';
import { capital } from './capital';
import { format, type UnitSystem } from './units';

/** Knots that are drawn and told step by step. */
export const KNOTS: Readonly<Record<Knot, { readonly for: string; readonly steps: readonly string[] }>> = {
  'loop to loop': {
    for: 'line or tip to the leader',
    steps: [
      'Push the leader’s loop over the loop of the line.',
      'Draw the leader’s far end through the loop of the line.',
      'Pull both: the loops close into a square.',
    ],
  },
  'surgeon’s join': {
    for: 'two pieces of a leader; the tag that points to the rod can carry a fly',
    steps: [
      'Lay the ends side by side, a hand of overlap, and make one loop of both.',
      'Pass both ends through the loop twice.',
      'Wet it, draw all four ends tight, trim what carries no fly.',
    ],
  },
  clinch: {
    for: 'hook eye, hook bend or tippet ring',
    steps: [
      'Through the eye and five turns back round the line.',
      'The end through the small loop at the eye, then through the large one.',
      'Wet it, draw the turns down in order, trim.',
    ],
  },
  'open loop': {
    for: 'a streamer that should move freely',
    steps: [
      'An overhand knot in the line, the end through the eye and back through that knot.',
      'Four turns round the line, back through the knot the way it came.',
      'Wet it, draw it down to a loop as wide as the hook’s eye.',
    ],
  },
  'stop knot': {
    for: 'above it slides the loop of a second fly',
    steps: [
      'Lay a short piece along the leader and fold it back.',
      'Three turns round both, the end out through the fold.',
      'Wet it, draw it tight until it just slides, trim.',
    ],
  },
};

const HANGS: Record<NonNullable<CardMark['way']>, string> = {
  tag: 'on the long end of a surgeon’s join, the end that points to the rod',
  ring: 'on its own piece from a tippet ring',
  bend: 'in line: the next piece is tied to its bend',
  loop: 'on a loop that slides above a stop knot',
};

/** What is at a place of the leader. @example markWords(mark) // 'dropper: olive zonker, on its own piece from a tippet ring' */
export function markWords({ kind, knot, fly, called, way, float, massKg }: CardMark): string {
  switch (kind) {
    case 'knot':
      return knot!;
    case 'ring':
      return 'tippet ring';
    case 'fly':
      return `${called}: ${fly!.name}${way ? `, ${HANGS[way]}` : ''}`;
    case 'shot':
      return `Shot ${shotName(massKg!)}`;
    case 'float':
      return float!.name;
  }
}

/** What a knot takes of a piece, m: a surgeon's join of both its pieces, a clinch of the one (assumed, measured by the hand). */
const TAKES_M = { join: 0.1, clinch: 0.08 } as const;

/** How each fly above the point is hung, and what to cut for it: which end, and why that one. */
export function hangingWords(rig: Rig, units: UnitSystem): string[] {
  const cm = (m: number) => format('small', m, units);
  return rig.droppers.map((d, i) => {
    const name = capital(placeName(rig, i + 1));
    switch (d.way) {
      case 'tag':
        return `${name}: lay the two pieces ${cm(d.armM + TAKES_M.join)} side by side; the join takes ${cm(TAKES_M.join)}, ${cm(d.armM)} are left to hang it on. Take the end that points to the rod: it stands off the leader and wraps round it less. Trim the other.`;
      case 'ring':
        return `${name}: a piece of ${cm(d.armM + 2 * TAKES_M.clinch)}; a knot at the ring and one at the fly take ${cm(2 * TAKES_M.clinch)}, ${cm(d.armM)} are left. It is renewed without touching the leader.`;
      case 'loop':
        return `${name}: an arm of ${cm(d.armM)} on a loop that slides above a stop knot: it turns freely and tangles least.`;
      case 'bend':
        return `${name}: in line; tie the piece to the fly below it to its bend. It slips off a barbless hook.`;
    }
  });
}
