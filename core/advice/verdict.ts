import { type FishLie, type Ride, riding } from '../lies';
import type { BodyTrack, LiePass, SwingResult } from '../swing';
import { flyAt, rowOf } from '../swing/series';
import { fliesOf, type FlyItem, profileOf, type Rig, skates } from '../tackle';
import { type Feature, FEATURES, hasRedd, leftAlone, within } from '../water';

export type Fit = 'right' | 'too shallow' | 'too deep' | 'on the bed' | 'not fishing' | 'not reached';

/** What a swing does at one lie. */
export interface Verdict {
  readonly lie: FishLie;
  /** The nearest approach while it fished; where it did not fish by the lie, the nearest of all. */
  readonly pass: LiePass;
  readonly fit: Fit;
  /** How far outside the wanted band, m (0 inside); where it does not get there, how far away. */
  readonly byM: number;
  readonly tooFast: boolean;
  /** Why it comes by without fishing: it has only just landed, it or its line dragged on the bed before, or it is over by then. */
  readonly idle?: 'landing' | 'bed' | 'line' | 'over';
  /** Wood that it, or another fly of the rig, goes through on the way. */
  readonly wood?: Feature['kind'];
  /** It, or another fly of the rig, is shown over a redd, or just below one: that is left alone. */
  readonly redd?: true;
  /** Which fly of the rig it is, from the point upwards: 0 the point fly. */
  readonly place: number;
}

/** Fish come this far to a sunk fly beside the water they hold in, m (common practice, no source). */
const COME_M = 0.5;
/** Nearer to the bed than this it lies on it, m. */
const ON_BED_M = 0.03;
/** Over a long lie a fly that comes to the bed after less than this share of its way to where it is nearest lies on it there. */
const FISHED_OF_WAY = 0.5;

/** How far a pass is outside of a lie and of what fish come, m; 0 within. */
const beyond = (p: LiePass, lie: FishLie, comeM = COME_M): number =>
  Math.max(Math.abs(p.alongM) - lie.lengthM / 2 - comeM, Math.abs(p.acrossM) - lie.widthM / 2 - comeM, 0);

/** How a fly is meant to ride: what skates in the film, soft hackles as what hatches, all else sunk (common practice, no source). */
export const rideOf = (fly: FlyItem): Ride => (skates(fly) ? 'wakes' : profileOf(fly) === 'sparse' ? 'wet' : 'sunk');

/** Wood in the fly's way from landing until it stops fishing. */
export function woodInTheWay(r: SwingResult, way: Track, features: readonly Feature[]): Feature['kind'] | undefined {
  const wood = features.filter((f) => FEATURES[f.kind].hinders);
  const last = rowOf(r, r.fishing?.toS ?? 0);
  for (let i = 0; i <= last && wood.length > 0; i++) {
    const { xM, yM } = flyAt(way, i);
    const hit = wood.find((f) => within(f, xM, yM));
    if (hit) return hit.kind;
  }
  return undefined;
}

/** Whether a fly is shown over a redd while the swing fishes. */
export function overRedd(r: SwingResult, way: Track, features: readonly Feature[]): boolean {
  if (!r.fishing || !hasRedd(features)) return false;
  for (let row = rowOf(r, r.fishing.fromS); row <= rowOf(r, r.fishing.toS); row++) {
    const { xM, yM } = flyAt(way, row);
    if (leftAlone(features, xM, yM)) return true;
  }
  return false;
}

type Track = Pick<BodyTrack, 'series' | 'rows' | 'lies' | 'fished'>;
/** The flies of a swing, from the point upwards. */
export const tracksOf = (r: SwingResult): readonly Track[] => [r, ...r.others.filter((o) => o.isFly)];

/** Flies of a rig, as far as they are judged by. */
type Flies = Pick<Rig, 'fly' | 'droppers'>;

/**
 * Judges each fly's pass at each lie against the band and speed wanted of such a fly there. Only what a fly does while the
 * swing fishes counts (swing/fishing.ts), within the lie's own extent and half a metre, along and across.
 *
 * @param features what stands in the run: wood in a fly's way is named
 * @param rig what is tied on; not said: flies that fish sunk
 * @returns of each fly, from the point upwards, the verdict of each lie
 * @throws RangeError when these are not the lies that were simulated
 */
export function judgeFlies(
  result: SwingResult,
  lies: readonly FishLie[],
  features: readonly Feature[] = [],
  rig: Flies | null = null,
): Verdict[][] {
  const rides = rig ? fliesOf(rig).map(rideOf) : [];
  const tracks = tracksOf(result);
  // One line holds them: what one of them hangs on, or must not be shown to, bars the cast.
  const wood = tracks.map((way) => woodInTheWay(result, way, features)).find(Boolean);
  const redd = tracks.some((way) => overRedd(result, way, features));
  const barred = { ...(wood ? { wood } : null), ...(redd ? { redd: true as const } : null) };
  return tracks.map((way, place) =>
    judgeOne(
      result,
      way,
      place,
      lies.map((l) => riding(l, rides[place] ?? 'sunk')),
      barred,
    ),
  );
}

/**
 * Judges a swing at each lie: with several flies by the one that does better there, the point fly where they do alike.
 *
 * @throws RangeError when these are not the lies that were simulated
 * @example judge(result, lies)[0].fit // 'too shallow', with byM 0.2
 */
export function judge(...asked: Parameters<typeof judgeFlies>): Verdict[] {
  const [point, ...others] = judgeFlies(...asked);
  return point!.map((v, i) =>
    others.reduce((best, of) => (missOf(of[i]!, false) < missOf(best, false) ? of[i]! : best), v),
  );
}

/** Whether a fly that fished so near was stopped there by the bed, within the lie, early on the way to where it is nearest. */
function stopped({ fishing }: SwingResult, fished: LiePass, any: LiePass, lie: FishLie): boolean {
  if (fishing?.ends !== 'bed' || any.t <= fishing.toS || beyond(fished, lie, 0) > 0) return false;
  return fishing.toS - fishing.fromS < FISHED_OF_WAY * (any.t - fishing.fromS);
}

function judgeOne(
  result: SwingResult,
  way: Track,
  place: number,
  lies: readonly FishLie[],
  barred: Pick<Verdict, 'wood' | 'redd'>,
): Verdict[] {
  return lies.map((lie, i): Verdict => {
    const any = way.lies[i];
    if (!any) throw new RangeError('lies: not the lies that were simulated');
    const fished = way.fished[i] ?? null;
    const pass = fished ?? any;
    const tooFast = pass.crossSpeedMps > lie.crossSpeedMps;
    const of = (fit: Fit, byM: number) => ({ lie, pass, fit, byM, tooFast, place, ...barred });
    if (!fished || beyond(fished, lie) > 0) {
      if (beyond(any, lie) > 0) return of('not reached', pass.missM);
      const idle = any.t <= (result.fishing?.fromS ?? 0) ? 'landing' : result.fishing?.ends === 'bed' ? 'bed' : 'over';
      return {
        ...of('not fishing', pass.missM),
        idle: result.fishing ? idle : result.dragsS === null ? 'landing' : 'bed',
      };
    }
    if (fished.t > (result.lineDragsS ?? Infinity)) return { ...of('not fishing', pass.missM), idle: 'line' };
    if (stopped(result, fished, any, lie)) return of('on the bed', lie.depthM - lie.band.bottomM);
    if (pass.depthM > lie.depthM - ON_BED_M) return of('on the bed', pass.depthM - lie.band.bottomM);
    if (pass.depthM < lie.band.topM) return of('too shallow', lie.band.topM - pass.depthM);
    if (pass.depthM > lie.band.bottomM) return of('too deep', pass.depthM - lie.band.bottomM);
    return of('right', 0);
  });
}

/** Side-on from here, degrees off the current. */
const SIDE_ON_DEG = 45;
/** What counts as one unit of being wrong: a hand too high or too deep, 0.1 m/s too fast, 15° not side-on, a metre
 * past the reach. A fly on the bed or through wood is worse than one as much too high: it hangs up; over a redd it is not shown. */
const UNIT = { depthM: 0.1, speedMps: 0.1, axisDeg: 15, missM: 1 } as const;
const ON_BED = 3;
const BARRED = 10;
const NOT_REACHED = 20;

/** How far a pass is from what is wanted, in the units above; 0 is right. */
export function missOf({ pass, fit, byM, lie, wood, redd }: Verdict, sideOn: boolean): number {
  const barred = wood || redd ? BARRED : 0;
  if (fit === 'not reached' || fit === 'not fishing') return barred + NOT_REACHED + pass.missM / UNIT.missM;
  return (
    barred +
    (fit === 'on the bed' ? ON_BED : 0) +
    Math.abs(byM) / UNIT.depthM +
    Math.max(0, pass.crossSpeedMps - lie.crossSpeedMps) / UNIT.speedMps +
    (sideOn ? Math.max(0, SIDE_ON_DEG - pass.axisDeg) / UNIT.axisDeg : 0)
  );
}

/** Whether a pass is as wanted: the one judge of all that counts passes. */
export const isRight = (v: Verdict, sideOn = false): boolean => missOf(v, sideOn) === 0;
