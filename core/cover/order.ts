import { castAt, wadeTo } from '../cast';
import type { FishLie } from '../lies';
import type { Rig } from '../tackle';
import {
  type Channel,
  FEATURES,
  type Hazard,
  type Reading,
  rowAt,
  type Run,
  wadingHazard,
  waterAt,
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
  /** Lies that the way cannot keep clear of. */
  readonly through: readonly number[];
}

/** Stops nearer together than this are fished from one stand, the nearer lie first, m. */
const TOGETHER_M = 6;
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
  const stands = lies.map((lie) => {
    const plan = castAt(lie, c, rig, lies);
    // Casting upstream one stands as far below the lie as one would stand above it.
    const xM = upstream ? Math.min(run.lengthM, Math.max(0, 2 * lie.xM - plan.xM)) : plan.xM;
    return { lie, xM, yM: Math.min(plan.yM, Math.max(c.edgeNear[rowAt(c, xM)]! + 0.5, wadeTo(c, lies, xM))) };
  });
  const group = (x: number) => Math.round(x / TOGETHER_M);
  stands.sort(
    (a, b) =>
      sign * (group(a.xM) - group(b.xM)) ||
      Number(b.lie.kind === 'beat') - Number(a.lie.kind === 'beat') ||
      a.lie.yM - b.lie.yM,
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
  const wade = wadingWay(c, lies, stops);
  const through = lies.filter((l) => wade.some((p) => p.depthM > 0.05 && inside(l, p.xM, p.yM))).map((l) => l.rank);
  return {
    direction: upstream ? 'up' : 'down',
    stops,
    wade,
    hazard: wade.reduce<Hazard>((h, p) => worse(h, p.hazard), 'low'),
    through,
  };
}

const inside = (l: FishLie, x: number, y: number) =>
  Math.abs(x - l.xM) < l.lengthM / 2 && Math.abs(y - l.yM) < l.widthM / 2;

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
function wadingWay(c: Channel, lies: readonly FishLie[], stops: readonly Stop[]): WadePoint[] {
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
    for (const l of lies) if (inside(l, xM, yM)) yM = Math.min(yM, l.yM - l.widthM / 2);
    yM = Math.max(bank - 0.5, yM);
    const { depthM, speedMps } = waterAt(c, xM, yM);
    return { xM, yM, depthM, speedMps, hazard: wadingHazard(depthM, speedMps) };
  });
}
