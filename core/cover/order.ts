import { ANY_MEANS, footing, type Means, type OutOfReach, PLAIN_OPENING, standFor } from '../cast';
import type { FishLie } from '../lies';
import type { Rig } from '../tackle';
import { type Channel, FEATURES, type Reading, rowAt, type Run, waterAt } from '../water';

type CastFamily = 'any cast' | 'roll or sustained-anchor' | 'none';
export type Shoulder = 'upstream' | 'downstream' | 'either';

/** One place to fish from, in the order of the work. */
export interface Stop {
  readonly lie: FishLie;
  readonly xM: number;
  readonly yM: number;
  /** How deep one stands there, m; 0 on the bank. */
  readonly depthM: number;
  readonly cast: CastFamily;
  /** What hinders, where something does. */
  readonly hindered: 'trees behind' | 'bushes behind' | 'wood in front' | null;
  readonly shoulder: Shoulder;
  /** Distance walked from the stop before, m; negative upstream. */
  readonly moveM: number;
}

/** A place on the way on foot. */
export interface WadePoint {
  readonly xM: number;
  readonly yM: number;
  /** 0 on the bank. */
  readonly depthM: number;
}

export interface Order {
  readonly direction: 'down' | 'up';
  readonly stops: readonly Stop[];
  /** The way on foot along the run, a point at every row. */
  readonly wade: readonly WadePoint[];
  /** Lies that cannot be reached from this bank, and why. */
  readonly outOfReach: readonly OutOfReach[];
}

/** Stops nearer together than this are fished from one stand, the nearer lie first, m. */
const TOGETHER_M = 3;
/** Wood closer than this to the rod leaves no room to cast, m. */
const WOOD_M = 3;

/**
 * In which order to fish the lies, from where, and the way between.
 *
 * Head down when the fly swings, tail up when casts go upstream; near before far from one stand; a cruiser's lane first
 * in a slack pool. Nobody is sent through a lie, or into water that is too deep or fast, if there is another way.
 *
 * @param o.upstream casts go upstream: begin at the tail; @param o.means how deep the angler wades, how far he casts
 */
export function orderOfWork(
  run: Run,
  c: Channel,
  lies: readonly FishLie[],
  rig: Rig,
  reading: Reading | null,
  { upstream = false, means = ANY_MEANS }: { readonly upstream?: boolean; readonly means?: Means } = {},
): Order {
  const sign = upstream ? -1 : 1;
  const feetAt = (xM: number, yM: number) => footing(c, lies, xM, yM, means);
  const all = lies.map((lie) => {
    const { plan, outOfReach } = standFor(
      lie,
      c,
      rig,
      lies,
      PLAIN_OPENING,
      upstream ? 'upstream strip' : 'swing',
      means,
    );
    const xM = Math.min(run.lengthM, plan.xM);
    return { lie, xM, yM: feetAt(xM, plan.yM), outOfReach };
  });
  const stands = inOrder(
    all.filter((s) => s.outOfReach === null),
    sign,
    feetAt,
  );
  const stops = stands.map(({ lie, xM, yM }, i): Stop => {
    const hindered = hinderedAt(run, c, xM, yM);
    return {
      lie,
      xM,
      yM,
      depthM: waterAt(c, xM, yM).depthM,
      cast: hindered === 'wood in front' ? 'none' : hindered ? 'roll or sustained-anchor' : 'any cast',
      hindered,
      shoulder: shoulderFor(reading),
      moveM: i === 0 ? 0 : xM - stands[i - 1]!.xM,
    };
  });
  return {
    direction: upstream ? 'up' : 'down',
    stops,
    wade: wadingWay(c, feetAt, stops),
    outOfReach: all.flatMap((s) => s.outOfReach ?? []),
  };
}

interface Stood {
  readonly lie: FishLie;
  readonly xM: number;
  readonly yM: number;
}

/** Stands in the direction of the work; those that one stand serves together, the shortest cast first, so that no line falls over
 * the nearer fish; a cruiser's lane before. They share that stand: nobody walks back for a lie that could be had on the way. */
function inOrder(all: readonly Stood[], sign: 1 | -1, feetAt: (xM: number, yM: number) => number): Stood[] {
  const left = [...all].sort((a, b) => sign * (a.xM - b.xM));
  const out: Stood[] = [];
  while (left.length > 0) {
    const [first] = left;
    const together = left.filter((s) => Math.abs(s.xM - first!.xM) <= TOGETHER_M);
    const { xM } = first!;
    const yM = feetAt(xM, Math.min(...together.map((s) => s.yM)));
    const castM = ({ lie }: Stood) => Math.hypot(lie.xM - xM, lie.yM - yM);
    together.sort((a, b) => Number(b.lie.kind === 'beat') - Number(a.lie.kind === 'beat') || castM(a) - castM(b));
    for (const s of together) {
      out.push({ ...s, xM, yM });
      left.splice(left.indexOf(s), 1);
    }
  }
  return out;
}

/** What stands in the way of a cast: wood beside the rod, trees or bushes behind one who stands at the bank. */
function hinderedAt(run: Run, c: Channel, xM: number, yM: number): Stop['hindered'] {
  const wood = run.features.some(
    (f) =>
      FEATURES[f.kind].hinders &&
      Math.abs(f.xM - xM) < f.lengthM / 2 + WOOD_M &&
      f.yM + f.widthM / 2 > yM &&
      f.yM - f.widthM / 2 < yM + WOOD_M,
  );
  if (wood) return 'wood in front';
  const outM = yM - c.edgeNear[rowAt(c, xM)]!;
  if (run.room === 'trees behind' && outM < 12) return 'trees behind';
  if (run.room === 'low bushes' && outM < 4) return 'bushes behind';
  return null;
}

/** Wind along the river: keep the line on the shoulder from which it is blown away from the body (common practice). */
const shoulderFor = (reading: Reading | null): Shoulder =>
  reading?.wind?.from === 'upstream' ? 'downstream' : reading?.wind?.from === 'downstream' ? 'upstream' : 'either';

/** The way from stop to stop: straight where one may stand, else nearer to the bank or on it. */
function wadingWay(c: Channel, feetAt: (xM: number, yM: number) => number, stops: readonly Stop[]): WadePoint[] {
  const along = [...stops].sort((a, b) => a.xM - b.xM);
  return Array.from({ length: c.nx }, (_, i) => {
    const xM = c.x0 + i * c.dx;
    const next = along.find((s) => s.xM >= xM);
    const before = [...along].reverse().find((s) => s.xM <= xM);
    const wanted =
      !before || !next
        ? ((next ?? before)?.yM ?? c.edgeNear[i]!)
        : next.xM <= before.xM // one stop, or two at the same place
          ? Math.min(next.yM, before.yM)
          : before.yM + ((next.yM - before.yM) * (xM - before.xM)) / (next.xM - before.xM);
    const yM = feetAt(xM, wanted);
    return { xM, yM, depthM: waterAt(c, xM, yM).depthM };
  });
}
