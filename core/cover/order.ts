import { besideRedd, PLAIN_OPENING, standFor, wadeTo } from '../cast';
import type { FishLie } from '../lies';
import type { Rig } from '../tackle';
import {
  type Channel,
  FEATURES,
  type Hazard,
  leftAlone,
  type Reading,
  rowAt,
  type Run,
  wadingHazard,
  waterAt,
  within,
  worse,
} from '../water';

export type CastFamily = 'any cast' | 'roll or sustained-anchor' | 'none';
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

export interface WadePoint {
  readonly xM: number;
  readonly yM: number;
  readonly depthM: number;
  readonly speedMps: number;
  readonly hazard: Hazard;
}

export interface Order {
  readonly direction: 'down' | 'up';
  readonly stops: readonly Stop[];
  /** The way on foot along the run, a point at every row; on the bank where depth is 0. */
  readonly wade: readonly WadePoint[];
  /** Worst of the way. */
  readonly hazard: Hazard;
  /** Why lies cannot be reached from this bank, a sentence each. */
  readonly outOfReach: readonly string[];
  /** Lies that the way cannot keep clear of. */
  readonly through: readonly number[];
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
 * @param upstream casts go upstream: begin at the tail
 */
export function orderOfWork(
  run: Run,
  c: Channel,
  lies: readonly FishLie[],
  rig: Rig,
  reading: Reading | null,
  upstream = false,
): Order {
  const sign = upstream ? -1 : 1;
  const all = lies.map((lie) => {
    const { plan, outOfReach } = standFor(lie, c, rig, lies, PLAIN_OPENING, upstream ? 'upstream strip' : 'swing');
    const xM = Math.min(run.lengthM, plan.xM);
    const bankM = c.edgeNear[rowAt(c, xM)]! + 0.5;
    const yM = Math.min(plan.yM, Math.max(bankM, wadeTo(c, lies, xM)));
    return { lie, xM, yM: besideRedd(c, xM, yM), outOfReach };
  });
  const stands = inOrder(
    all.filter((s) => s.outOfReach === null),
    sign,
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
  const wade = wadingWay(run, c, lies, stops);
  const through = lies.filter((l) => wade.some((p) => p.depthM > 0.05 && within(l, p.xM, p.yM))).map((l) => l.rank);
  return {
    direction: upstream ? 'up' : 'down',
    stops,
    wade,
    outOfReach: all.flatMap((s) => s.outOfReach ?? []),
    hazard: wade.reduce<Hazard>((h, p) => worse(h, p.hazard), 'low'),
    through,
  };
}

interface Stood {
  readonly lie: FishLie;
  readonly xM: number;
  readonly yM: number;
}

/** Stands in the direction of the work; those that one stand serves together, the near lie first, a cruiser's lane before.
 * They share that stand: nobody walks back for a lie that could be had on the way. */
function inOrder(all: readonly Stood[], sign: 1 | -1): Stood[] {
  const left = [...all].sort((a, b) => sign * (a.xM - b.xM));
  const out: Stood[] = [];
  while (left.length > 0) {
    const [first] = left;
    const together = left.filter((s) => Math.abs(s.xM - first!.xM) <= TOGETHER_M);
    together.sort((a, b) => Number(b.lie.kind === 'beat') - Number(a.lie.kind === 'beat') || a.lie.yM - b.lie.yM);
    for (const s of together) {
      out.push({ ...s, xM: first!.xM, yM: Math.min(s.yM, first!.yM) });
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

/** The way from stop to stop: straight, but no further out than one may wade, and back to the bank past a lie. */
function wadingWay(run: Run, c: Channel, lies: readonly FishLie[], stops: readonly Stop[]): WadePoint[] {
  const along = [...stops].sort((a, b) => a.xM - b.xM);
  return Array.from({ length: c.nx }, (_, i) => {
    const xM = c.x0 + i * c.dx;
    const next = along.find((s) => s.xM >= xM);
    const before = [...along].reverse().find((s) => s.xM <= xM);
    const bank = c.edgeNear[i]!;
    const wanted =
      !before || !next
        ? ((next ?? before)?.yM ?? bank)
        : next.xM <= before.xM // one stop, or two at the same place
          ? Math.min(next.yM, before.yM)
          : before.yM + ((next.yM - before.yM) * (xM - before.xM)) / (next.xM - before.xM);
    let yM = Math.min(wanted, Math.max(bank, wadeTo(c, lies, xM)));
    for (const l of lies) if (within(l, xM, yM)) yM = Math.min(yM, l.yM - l.widthM / 2);
    if (leftAlone(run.features, xM, yM)) yM = bank - 0.5; // round a redd by the bank
    yM = Math.max(bank - 0.5, yM);
    const { depthM, speedMps } = waterAt(c, xM, yM);
    return { xM, yM, depthM, speedMps, hazard: wadingHazard(depthM, speedMps) };
  });
}
