import type { CastRequest } from '../cast';
import { asksOf, type FishLie, noseDepthM, riding } from '../lies';
import {
  bestShown,
  crossHalfMps,
  flyFreeAt,
  lieGround,
  lineFreeAt,
  paceFactor,
  riseFactor,
  type ShownFly,
  shownFlies,
  showingsOf,
  sideFall,
  tracksOf,
  WELL_SHOWN,
} from '../showing';
import type { BodyTrack, LiePass, SwingResult } from '../swing';
import { flyAt, rowOf } from '../swing/series';
import { type Feature, FEATURES, hasRedd, leftAlone, within } from '../water';

export type Fit = 'right' | 'too shallow' | 'too deep' | 'on the bed' | 'not fishing' | 'not reached';

/** What a swing does at one lie. */
export interface Verdict {
  /** With what is wanted where the fly passes it best. */
  readonly lie: FishLie;
  /** How well it is shown to the fish of the lie, 0 to 1 (core/showing): where in it it is shown best. */
  readonly showing: number;
  /** The moment that counts: when it is shown best; where it is not shown, the nearest approach. */
  readonly pass: LiePass;
  /** What is wrong with it most, or the depth is right. */
  readonly fit: Fit;
  /** How far outside the wanted band, m (0 inside); where it does not get there, how far away. */
  readonly byM: number;
  readonly tooFast: boolean;
  /** Neither depth nor pace is wrong with it, yet all together it is not well shown. */
  readonly slight?: true;
  /** Why it comes by without fishing: it has only just landed, it or its line dragged on the bed before, or it is over by then. */
  readonly idle?: 'landing' | 'bed' | 'line' | 'over';
  /** Wood that it, or another fly of the rig, goes through on the way. */
  readonly wood?: Feature['kind'];
  /** It, or another fly of the rig, is shown over a redd, or just below one: that is left alone. */
  readonly redd?: true;
  /** Which fly of the rig it is, from the point upwards: 0 the point fly. */
  readonly place: number;
}

/** Nearer to the bed than this it lies on it, m. */
const ON_BED_M = 0.03;

/** How far a pass is outside of a lie and of how far fish come to the side, m; 0 within. */
const beyond = (p: LiePass, lie: FishLie): number =>
  Math.max(
    Math.abs(p.alongM) - lie.lengthM / 2 - lie.willing.sideM,
    Math.abs(p.acrossM) - lie.widthM / 2 - lie.willing.sideM,
    0,
  );

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

/** What bars a cast: wood in the way of a fly, or a redd under one. One line holds them all. */
export function barredBy(r: SwingResult, features: readonly Feature[]): Pick<Verdict, 'wood' | 'redd'> | null {
  const tracks = tracksOf(r);
  const wood = tracks.map((way) => woodInTheWay(r, way, features)).find(Boolean);
  const redd = tracks.some((way) => overRedd(r, way, features));
  return wood || redd ? { ...(wood ? { wood } : null), ...(redd ? { redd: true as const } : null) } : null;
}

type Track = Pick<BodyTrack, 'series' | 'rows' | 'lies' | 'fished'>;

/**
 * Judges each fly of a swing at each lie of its cast, by how well it is shown to the fish there.
 *
 * @param times the water is so many times as deep as it was drawn
 * @returns of each fly, from the point upwards, the verdict of each lie
 * @throws RangeError when these are not the lies that were simulated
 */
export function judgeFlies(result: SwingResult, { channel, rig, plan, lies }: CastRequest, times = 1): Verdict[][] {
  const barred = barredBy(result, channel.features);
  const tracks = tracksOf(result);
  return tracks.map((way, place) =>
    lies.map((lie, i): Verdict => {
      if (!way.lies[i]) throw new RangeError('lies: not the lies that were simulated');
      const fly = shownFlies(rig, plan, lie.willing)[place]!;
      const ground = lieGround(channel, lie);
      const alone = place === 0 ? { ...result, others: [] } : { ...result, ...way, others: [] };
      const best = bestShown(showingsOf(alone, ground, [fly], { times }));
      if (!best || best.by < SLIGHT) {
        const showing = barred ? 0 : (best?.by ?? 0);
        return { ...unshown(result, way, i, wanted(lie, times * lie.depthM, fly)), showing, place, ...barred };
      }
      const at = ground.places[best.place]!;
      const f = flyAt(way, best.row);
      const pass: LiePass = {
        ...{ t: f.tS, depthM: f.depthM, crossSpeedMps: Math.abs(f.vyMps), riseMps: -f.vzMps, axisDeg: f.axisDeg },
        missM: Math.hypot(f.xM - lie.xM, f.yM - lie.yM),
        ...{ alongM: f.xM - lie.xM, acrossM: f.yM - lie.yM },
      };
      const asideM = Math.hypot(f.xM - at.xM, f.yM - at.yM);
      return {
        ...worst(wanted(lie, times * at.depthM, fly), pass, fly, {
          asideM,
          showing: best.by,
          free: { fly: flyFreeAt(alone, best.row), line: lineFreeAt(alone, best.row) },
        }),
        showing: barred ? 0 : best.by,
        ...{ pass, place },
        ...barred,
      };
    }),
  );
}

/** A lie with what is wanted of a fly in so much water. */
const wanted = (lie: FishLie, depthM: number, { ride }: ShownFly): FishLie =>
  riding({ ...lie, ...asksOf(lie.willing, depthM) }, ride);

/** What is wrong with a pass that is shown, but not well: the worst of it. */
function worst(
  lie: FishLie,
  { depthM, crossSpeedMps }: LiePass,
  fly: ShownFly,
  { asideM, showing, free }: { asideM: number; showing: number; free: { readonly fly: number; readonly line: number } },
): Pick<Verdict, 'lie' | 'fit' | 'byM' | 'tooFast' | 'slight' | 'idle'> {
  const { willing, band } = lie;
  const riseM = noseDepthM(willing, lie.depthM) - depthM;
  const depth = riseFactor(willing, fly.upM, riseM);
  const pace = paceFactor(willing, fly, crossSpeedMps);
  const side = sideFall(asideM / willing.sideM);
  const tooFast = crossSpeedMps > crossHalfMps(willing, fly);
  if (showing >= WELL_SHOWN) return { lie, fit: 'right', byM: 0, tooFast: false };
  if (lie.depthM - depthM < ON_BED_M) return { lie, fit: 'on the bed', byM: depthM - band.bottomM, tooFast };
  if (side < 0.5 && side < Math.min(pace, depth)) return { lie, fit: 'not reached', byM: asideM, tooFast };
  // It has lain on the bed on the way, and may have caught there.
  if (free.fly * free.line < Math.min(pace, depth))
    return { lie, fit: 'not fishing', byM: asideM, tooFast, idle: free.fly <= free.line ? 'bed' : 'line' };
  // Within the band it is not at a wrong depth, nor too fast below the speed that is told, whatever else it lacks.
  if (depth <= pace && depth < WELL_SHOWN)
    return riseM > 0
      ? { lie, fit: 'too shallow', byM: Math.max(0, band.topM - depthM), tooFast }
      : { lie, fit: 'too deep', byM: Math.max(0, depthM - band.bottomM), tooFast };
  return { lie, fit: 'right', byM: 0, tooFast, ...(tooFast ? null : { slight: true as const }) };
}

/** Shown less than this it is told by its nearest approach. */
const SLIGHT = 0.1;

/** What is said of a fly that is hardly shown to the fish of a lie, if at all: by its nearest approach. */
function unshown(
  result: SwingResult,
  way: Track,
  i: number,
  lie: FishLie,
): Pick<Verdict, 'lie' | 'pass' | 'fit' | 'byM' | 'tooFast' | 'idle'> {
  const any = way.lies[i]!;
  const fished = way.fished[i] ?? null;
  const pass = fished ?? any;
  const tooFast = pass.crossSpeedMps > lie.crossSpeedMps;
  const of = (fit: Fit, byM: number) => ({ lie, pass, fit, byM, tooFast });
  if (!fished || beyond(fished, lie) > 0) {
    const lies = result.fishing ? result.fishing.ends === 'bed' : result.dragsS !== null;
    if (beyond(any, lie) > 0 && !lies) return of('not reached', pass.missM);
    const landing = result.fishing ? any.t <= result.fishing.fromS : result.dragsS === null;
    return { ...of('not fishing', pass.missM), idle: landing ? 'landing' : lies ? 'bed' : 'over' };
  }
  if (fished.t > (result.lineDragsS ?? Infinity)) return { ...of('not fishing', pass.missM), idle: 'line' };
  if (pass.depthM > lie.depthM - ON_BED_M) return of('on the bed', pass.depthM - lie.band.bottomM);
  if (pass.depthM < lie.band.topM) return of('too shallow', lie.band.topM - pass.depthM);
  if (pass.depthM > lie.band.bottomM) return of('too deep', pass.depthM - lie.band.bottomM);
  if (result.fishing?.ends === 'bed') return of('on the bed', 0);
  return tooFast ? of('right', 0) : of('not reached', pass.missM);
}

/**
 * Judges a swing at each lie of its cast: with several flies by the one that is shown better there, the point fly where they do alike.
 *
 * @throws RangeError when these are not the lies that were simulated
 * @example judge(result, { channel, rig, plan, lies })[0].fit // 'too shallow', with byM 0.2
 */
export function judge(...asked: Parameters<typeof judgeFlies>): Verdict[] {
  const [point, ...others] = judgeFlies(...asked);
  return point!.map((v, i) => others.reduce((best, of) => (of[i]!.showing > best.showing ? of[i]! : best), v));
}

/** Whether the fish of a lie are well shown the fly: the one judge of all that counts passes. */
export const isRight = ({ showing }: Pick<Verdict, 'showing'>): boolean => showing >= WELL_SHOWN;
