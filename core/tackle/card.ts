import { isWetFly } from './families';
import type { FloatItem, FlyItem } from './kit';
import { leaderLengthM } from './leader';
import { type Dropper, placeName, type Rig } from './rig';

export type Knot = 'loop to loop' | 'surgeon’s join' | 'clinch' | 'open loop' | 'stop knot';

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
  readonly knot?: Knot;
  readonly fly?: FlyItem;
  /** What one calls the fly by its place, and how it hangs above the point. */
  readonly called?: string;
  readonly way?: Dropper['way'];
  readonly float?: FloatItem;
  /** Of shot, kg. */
  readonly massKg?: number;
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

const HANGS_BY: Record<Dropper['way'], Knot> = {
  tag: 'surgeon’s join',
  ring: 'clinch',
  bend: 'clinch',
  loop: 'stop knot',
};

/**
 * A rig as a card: pieces, knots, flies, shot and float in their places.
 *
 * @example cardOf(rig).marks.at(-1) // the point fly at 0 m
 */
export function cardOf(rig: Rig): RigCard {
  const leaderM = leaderLengthM(rig.leader);
  let left = leaderM;
  const joins: CardMark[] = [{ aboveM: leaderM, kind: 'knot', knot: 'loop to loop' }];
  rig.leader.pieces.forEach((p, i) => {
    left -= p.lengthM;
    const hung = rig.droppers.some((d) => Math.abs(d.aboveM - left) < SAME_M);
    if (i < rig.leader.pieces.length - 1 && !hung) joins.push({ aboveM: left, kind: 'knot', knot: 'surgeon’s join' });
  });
  const flies: CardMark[] = rig.droppers.map((d, i) => ({
    aboveM: d.aboveM,
    kind: 'fly',
    fly: d.fly,
    armM: d.way === 'bend' ? 0 : d.armM,
    knot: HANGS_BY[d.way],
    called: placeName(rig, i + 1),
    way: d.way,
  }));
  const rings: CardMark[] = rig.droppers
    .filter((d) => d.way === 'ring')
    .map((d) => ({ aboveM: d.aboveM, kind: 'ring', knot: 'clinch' }));
  const point: CardMark = {
    aboveM: 0,
    kind: 'fly',
    fly: rig.fly,
    armM: 0,
    knot: pointKnot(rig.fly),
    called: placeName(rig, 0),
  };
  const shot: CardMark[] = rig.shot ? [{ aboveM: rig.shot.aboveFlyM, kind: 'shot', massKg: rig.shot.massKg }] : [];
  const float: CardMark[] = rig.float ? [{ aboveM: rig.float.aboveM, kind: 'float', float: rig.float.item }] : [];
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
