import { isWetFly } from './families';
import type { FlyItem } from './kit';
import { shotName } from './shot';
import { capital, format, type UnitSystem } from '../units';
import { leaderLengthM } from './leader';
import { type Dropper, placeName, type Rig } from './rig';

/** Knots that are drawn and told step by step. */
export const KNOTS = {
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
} as const satisfies Record<string, { readonly for: string; readonly steps: readonly string[] }>;
export type Knot = keyof typeof KNOTS;

/** A stretch between line and point fly. */
export interface CardPiece {
  readonly label: string;
  /** Its upper end, m above the point fly. */
  readonly aboveM: number;
  readonly lengthM: number;
  readonly diameterM: number;
  readonly toDiameterM: number;
  readonly sighter: boolean;
}

/** Something at a place of the leader, m above the point fly. */
export interface CardMark {
  readonly aboveM: number;
  readonly kind: 'knot' | 'ring' | 'fly' | 'shot' | 'float';
  readonly says: string;
  readonly knot?: Knot;
  readonly fly?: FlyItem;
  /** What it hangs on, m; 0 in line. */
  readonly armM?: number;
}

/** A rig as it is tied, from the line down to the point fly. */
export interface RigCard {
  /** What is above the leader, in words, from the rod on. */
  readonly above: readonly string[];
  readonly leaderM: number;
  readonly pieces: readonly CardPiece[];
  /** From the line down. */
  readonly marks: readonly CardMark[];
  /** Every knot in it, each once. */
  readonly knots: readonly Knot[];
}

/** Streamers swim on an open loop, wets and what hangs in line on a clinch (common practice, no source). */
const pointKnot = (fly: FlyItem): Knot => (isWetFly(fly) ? 'clinch' : 'open loop');

/** A join so near to where a fly hangs is one with it, m. */
const SAME_M = 0.1;

const HANGS: Record<Dropper['way'], { readonly knot: Knot; readonly says: string }> = {
  tag: { knot: 'surgeon’s join', says: 'on the long end of a surgeon’s join, the one that points to the rod' },
  ring: { knot: 'clinch', says: 'on its own piece from a tippet ring' },
  bend: { knot: 'clinch', says: 'in line: the next piece is tied to its bend' },
  loop: { knot: 'stop knot', says: 'on a loop that slides above a stop knot' },
};

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

/**
 * A rig as a card: pieces, knots, flies, shot and float in their places.
 *
 * @example cardOf(rig).marks.at(-1) // the point fly at 0 m
 */
export function cardOf(rig: Rig): RigCard {
  const leaderM = leaderLengthM(rig.leader);
  let left = leaderM;
  const joins: CardMark[] = [{ aboveM: leaderM, kind: 'knot', knot: 'loop to loop', says: 'loop to loop' }];
  rig.leader.pieces.forEach((p, i) => {
    left -= p.lengthM;
    const hung = rig.droppers.some((d) => Math.abs(d.aboveM - left) < SAME_M);
    if (i < rig.leader.pieces.length - 1 && !hung)
      joins.push({ aboveM: left, kind: 'knot', knot: 'surgeon’s join', says: 'surgeon’s join' });
  });
  const flies: CardMark[] = rig.droppers.map((d, i) => ({
    aboveM: d.aboveM,
    kind: 'fly',
    fly: d.fly,
    armM: d.way === 'bend' ? 0 : d.armM,
    knot: HANGS[d.way].knot,
    says: `${placeName(rig, i + 1)}: ${d.fly.name}, ${HANGS[d.way].says}`,
  }));
  const rings: CardMark[] = rig.droppers
    .filter((d) => d.way === 'ring')
    .map((d) => ({ aboveM: d.aboveM, kind: 'ring', knot: 'clinch', says: 'tippet ring' }));
  const point: CardMark = {
    aboveM: 0,
    kind: 'fly',
    fly: rig.fly,
    armM: 0,
    knot: pointKnot(rig.fly),
    says: `${placeName(rig, 0)}: ${rig.fly.name}`,
  };
  const shot: CardMark[] = rig.shot
    ? [{ aboveM: rig.shot.aboveFlyM, kind: 'shot', says: `Shot ${shotName(rig.shot.massKg)}` }]
    : [];
  const float: CardMark[] = rig.float ? [{ aboveM: rig.float.aboveM, kind: 'float', says: rig.float.item.name }] : [];
  const marks = [...joins, ...rings, ...flies, ...float, ...shot, point].sort((a, b) => b.aboveM - a.aboveM);
  const above = [`${rig.rod.name}`, rig.running?.name ?? null, rig.head.name, rig.tip?.name ?? null].filter(
    (s): s is string => s !== null,
  );
  return {
    above,
    leaderM,
    pieces: rig.leader.pieces.map((p, i, all) => ({
      label: p.part,
      aboveM: leaderLengthM({ pieces: all.slice(i) }),
      lengthM: p.lengthM,
      diameterM: p.diameterM,
      toDiameterM: p.toDiameterM ?? p.diameterM,
      sighter: p.part === 'sighter',
    })),
    marks,
    knots: [...new Set(marks.flatMap((m) => m.knot ?? []))],
  };
}
