import { noseDepthM, WAKES_MPS, type Willing } from '../lies';
import type { Range } from '../sight';
import type { BodyTrack, SwingResult } from '../swing';
import { DRAG_ROWS, LINE_ROWS } from '../swing/recorder';
import { COL, HZ, rowOf, WIDTH } from '../swing/series';
import type { ShownFly } from './flies';
import { around, type Ground, type Place, squareOf } from './ground';

/**
 * How well a passing fly is shown to a willing fish that holds at a place: 0 to 1. At every moment that it fishes it is as good as
 * how far the fish would have to come for it, whether it is seen or felt from there, how fast it crosses and how it faces; the best
 * of these moments counts, less where they are over in an instant. 1 is an ideal pass of such a fly at that place today.
 *
 * Smooth in all it takes: a fly a centimetre lower is shown a little better. What fish want is told in lies/willing.ts; that they
 * come by degrees is common practice (no source), the shape of each fall is assumed: a half at the distance told there, as a bell.
 */
export interface Showings {
  /** Indices of the places that are shown it, growing. */
  readonly places: Uint16Array;
  /** How well each is, above 0 up to 1. */
  readonly by: Float32Array;
  /** The row of the series in which it is best there, and which fly of the rig, from the point upwards, that is. */
  readonly rows: Uint16Array;
  readonly flies: Uint8Array;
}

/** What is shown less well counts for nothing. */
const LEAST = 0.02;

/** Within about a body's length a fish feels a moving fly with its lateral line, however little it sees (from memory), m. */
const FELT_M = 0.3;
/** In full view for so long, two thirds of the fish that will have made up their minds (assumed), s. */
const VIEW_S = 0.75;
/** A fly slower than this share of the speed that halves it is not too fast at all. */
const SLOW = 0.6;
/** Nearer to the bed than this a fly drags, m; over so much more it comes free. */
const ON_BED_M = 0.01;
const FREE_M = 0.04;
/** Rows that are looked at: five a second. */
const EVERY = 2;
const LN2 = Math.LN2;

/** A half at x = 1, as a bell. */
const bell = (x2: number): number => Math.exp(-LN2 * x2);

/** So fast across that it is shown half as well as a slow one, m/s. */
export const crossHalfMps = (w: Willing, { ride }: Pick<ShownFly, 'ride'>): number =>
  ride === 'wakes' ? (w.own.across ?? 1) * WAKES_MPS : w.crossMps;
/** What is left of a showing so fast across, as a share of the speed that halves it: 1 while slow, falling from there. */
export const paceFall = (share: number): number => bell((Math.max(0, share - SLOW) / (1 - SLOW)) ** 2);
/** How fast it goes. */
export const paceFactor = (w: Willing, fly: Pick<ShownFly, 'ride'>, crossMps: number): number =>
  paceFall(crossMps / crossHalfMps(w, fly));

/** How little of its side a fly shows, 0 broadside to 1 head on. */
export const turnedAway = (axisDeg: number): number => 1 - Math.sin((Math.min(90, Math.abs(axisDeg)) * Math.PI) / 180);
/** What is left of a showing where that takes so much from it. */
export const facingFall = (taken: number): number => Math.max(0, 1 - taken);
/** How it faces: broadside it is seen best, the more so the less is seen. */
const facing = (w: Willing, axisDeg: number): number => facingFall(w.headOn * turnedAway(axisDeg));

/** How far above its nose a fly is (below: less than 0), as the exponent of a bell: flat near it, so that of two flies that it comes to
 * the lighter serves as well; falling the faster beyond half-way. */
const climb = (w: Willing, upM: number, riseM: number): number => {
  const t = riseM > 0 ? riseM / upM : riseM / w.downM;
  return riseM > 0 ? t * t * t : t * t;
};
/** What is left of a showing so far above the nose, as a share of half-way. */
export const riseFall = (share: number): number => bell(share ** 3);
export const riseFactor = (w: Willing, upM: number, riseM: number): number => bell(climb(w, upM, riseM));
/** What is left of it so far to the side, as a share of half-way. */
export const sideFall = (share: number): number => bell(share ** 2);

/** Whether it is made out or felt at a distance: by the range that sight tells, as steep as that is sure. */
function noticedAt({ likelyM, lowM, highM }: Range, awayM: number): number {
  const power = (2 * Math.log(9)) / Math.max(0.3, Math.log(Math.max(1e-6, highM) / Math.max(1e-6, lowM)));
  const unseen = likelyM > 0 ? 1 - 1 / (1 + (awayM / likelyM) ** power) : 1;
  return 1 - unseen * (1 - 1 / (1 + (awayM / FELT_M) ** 4));
}

/** The same by steps of so much, up to further than any fish comes, m. */
const STEP_M = 0.02;
const FAR_M = 4;
const noticing = new WeakMap<Range, Float64Array>();
function noticed(seen: Range): Float64Array {
  const all =
    noticing.get(seen) ?? Float64Array.from({ length: FAR_M / STEP_M + 2 }, (_, i) => noticedAt(seen, i * STEP_M));
  noticing.set(seen, all);
  return all;
}

type Track = Pick<BodyTrack, 'series' | 'rows'>;
/** The flies of a swing, from the point upwards. */
export const tracksOf = (r: SwingResult): readonly (SwingResult | BodyTrack)[] => [
  r,
  ...r.others.filter((o) => o.isFly),
];

/** Until when a swing shows its flies to fish, s: no longer once line drags on the bed, or a touch has spoiled it. */
export function showsUntilS({ fishing, lineDragsS, firstTouchS }: SwingResult, w: Willing): number {
  if (!fishing) return -Infinity;
  const touch = w.touchSpoils && firstTouchS !== null && firstTouchS >= fishing.fromS ? firstTouchS : Infinity;
  return Math.min(fishing.toS, lineDragsS ?? Infinity, touch);
}

/** What lies on the bed for so long without a break still comes free; where it drags nothing is left, s (swing/fishing.ts). */
const BRUSH_S = { fly: 0.3, line: 1 } as const;
const left = (downS: number, brushS: number, dragsS: number): number =>
  Math.max(0, Math.min(1, (dragsS - downS) / (dragsS - brushS)));
/** What is left of a swing once its fly, or its line, has lain on the bed: it may have caught there, 0 to 1. */
export const flyFreeAt = ({ flyDownS }: SwingResult, row: number): number =>
  left(flyDownS[row]!, BRUSH_S.fly, DRAG_ROWS / HZ);
export const lineFreeAt = ({ lineDownS }: SwingResult, row: number): number =>
  left(lineDownS[row]!, BRUSH_S.line, LINE_ROWS / HZ);

/** One fly's best moment and time in view at every place, and the places that it came to. */
interface Seen {
  readonly best: Float64Array;
  readonly time: Float64Array;
  readonly row: Uint16Array;
  readonly places: number[];
}

/** Used again for every swing: with the places of a long run, setting them up costs more than filling them. */
const used: Seen[] = [];
function emptied(n: number, size: number): Seen {
  const known = used[n];
  if (known && known.best.length >= size) {
    for (const k of known.places) known.best[k] = known.time[k] = known.row[k] = 0;
    known.places.length = 0;
    return known;
  }
  const arrays = { best: new Float64Array(size), time: new Float64Array(size), row: new Uint16Array(size) };
  return (used[n] = { ...arrays, places: [] });
}

/** The rows that are looked at: from one to another, every so many. */
interface Rows {
  readonly from: number;
  readonly to: number;
  readonly every: number;
}

/** What of an ideal moment a fly keeps in each row by its pace, how it faces and what lies on the bed, wherever the fish is. */
interface Kept {
  readonly fly: ShownFly;
  readonly willing: Willing;
  readonly every: number;
  readonly share: Float64Array;
}
/** The same swing is looked at from many stands. */
const keptOf = new WeakMap<Float64Array, Kept>();
function keptBy(
  { series, rows }: Track,
  swing: SwingResult,
  fly: ShownFly,
  w: Willing,
  { from, to, every }: Rows,
): Float64Array {
  const known = keptOf.get(series);
  if (known?.fly === fly && known.willing === w && known.every === every) return known.share;
  const share = new Float64Array(rows);
  for (let i = from; i <= to; i += every) {
    const o = WIDTH * i;
    const pace = flyFreeAt(swing, i) * lineFreeAt(swing, i) * paceFactor(w, fly, Math.abs(series[o + COL.vy]!));
    share[i] = fly.free ? pace : pace * facing(w, series[o + COL.axis]!);
  }
  keptOf.set(series, { fly, willing: w, every, share });
  return share;
}

/** Where and in what water a swing is looked at. */
export interface LookedAt {
  /** The water is so many times as deep as it was drawn. */
  readonly times?: number;
  /** It is made so much further down and out, m. */
  readonly alongM?: number;
  readonly outM?: number;
  /** Every so many rows of it: two, five a second, unless one says. */
  readonly every?: number;
}

function follow(
  { best, time, row, places }: Seen,
  way: Track,
  share: Float64Array,
  fly: ShownFly,
  ground: Ground,
  { from, to, every }: Rows,
  { times = 1, alongM = 0, outM = 0 }: LookedAt,
): void {
  const { willing: w, at } = ground;
  const known = noticed(fly.seen);
  const { series } = way;
  const side2 = w.sideM ** 2;
  const dtS = every / HZ;
  let last = NaN;
  let here: readonly number[] = [];
  for (let i = from; i <= to; i += every) {
    const pace = share[i]!;
    if (pace < LEAST) continue;
    const o = WIDTH * i;
    const x = series[o + COL.x]! + alongM;
    const y = series[o + COL.y]! + outM;
    const depth = series[o + COL.depth]!;
    const square = squareOf(x, y);
    if (square !== last) here = around(ground, (last = square));
    if (here.length === 0) continue;
    /** Further aside less than the least is left. */
    const far2 = side2 * Math.log2(pace / LEAST);
    for (let j = 0; j < here.length; j++) {
      const k = here[j]!;
      const dx = at[3 * k]! - x;
      const dy = at[3 * k + 1]! - y;
      const aside2 = dx * dx + dy * dy;
      if (aside2 > far2) continue;
      const h = times * at[3 * k + 2]!;
      const off = (h - depth - ON_BED_M) / FREE_M;
      if (off <= 0) continue;
      const rise = noseDepthM(w, h) - depth;
      const away = Math.min(FAR_M, Math.sqrt(rise * rise + aside2)) / STEP_M;
      const n = Math.floor(away);
      const q =
        pace *
        bell(climb(w, fly.upM, rise) + aside2 / side2) *
        (known[n]! + (away - n) * (known[n + 1]! - known[n]!)) *
        Math.min(1, off);
      if (q === 0) continue;
      if (time[k] === 0) places.push(k);
      time[k]! += q * dtS;
      if (q > best[k]!) {
        best[k] = q;
        row[k] = i;
      }
    }
  }
}

/** The best moment, less where what is as good as it is over too soon. */
const shown = (best: number, timeS: number): number => (best > 0 ? best * (1 - Math.exp(-timeS / (best * VIEW_S))) : 0);

/** All places of some lists, once each, growing. */
const grown = (lists: readonly number[][]): number[] =>
  (lists.length === 1 ? [...lists[0]!] : [...new Set(lists.flat())]).sort((a, b) => a - b);

/**
 * What a swing shows its flies to, along the whole of what fishes. With several flies the one that is shown better counts.
 *
 * @param flies from the point upwards, as many as the rig has
 */
export function showingsOf<P extends Place>(
  r: SwingResult,
  ground: Ground<P>,
  flies: readonly ShownFly[],
  looked: LookedAt = {},
): Showings {
  const { willing } = ground;
  const untilS = showsUntilS(r, willing);
  if (!r.fishing || untilS <= r.fishing.fromS) return NOTHING_SHOWN;
  const tracks = tracksOf(r);
  const at: Rows = { from: rowOf(r, r.fishing.fromS), to: rowOf(r, untilS), every: looked.every ?? EVERY };
  const seen = flies.slice(0, tracks.length).map((fly, n) => {
    const here = emptied(n, ground.places.length);
    follow(here, tracks[n]!, keptBy(tracks[n]!, r, fly, willing, at), fly, ground, at, looked);
    return here;
  });
  const came = grown(seen.map((s) => s.places));
  const [places, by] = [new Uint16Array(came.length), new Float32Array(came.length)];
  const [rows, of] = [new Uint16Array(came.length), new Uint8Array(came.length)];
  let n = 0;
  for (const k of came) {
    let most = 0;
    let at = 0;
    for (let fly = 0; fly < seen.length; fly++) {
      const { best, time } = seen[fly]!;
      if (best[k]! <= most) continue; // it can only be shown less well than at its best moment
      const shows = shown(best[k]!, time[k]!);
      if (shows > most) {
        most = shows;
        at = fly;
      }
    }
    if (most <= LEAST) continue;
    places[n] = k;
    by[n] = most;
    rows[n] = seen[at]!.row[k]!;
    of[n++] = at;
  }
  return { places: places.slice(0, n), by: by.slice(0, n), rows: rows.slice(0, n), flies: of.slice(0, n) };
}
const NOTHING_SHOWN: Showings = {
  ...{ places: new Uint16Array(), by: new Float32Array(), rows: new Uint16Array(), flies: new Uint8Array() },
};

/** The place that is shown best; null where none is. */
export function bestShown(s: Showings): { place: number; by: number; row: number; fly: number } | null {
  let best = -1;
  for (let n = 0; n < s.by.length; n++) if (best < 0 || s.by[n]! > s.by[best]!) best = n;
  return best < 0 ? null : { place: s.places[best]!, by: s.by[best]!, row: s.rows[best]!, fly: s.flies[best]! };
}
