import { interpolate } from '../maths';
import {
  BEDS,
  type Channel,
  CLEAR_M,
  COLD_C,
  WARM_C,
  FEATURES,
  froude,
  isDirty,
  leftAlone,
  nearTo,
  type Reading,
  type Run,
  seenDownM,
  TYPICAL_DAY,
} from '../water';
import { MIDDLING_SUN_DEG } from '../sight/place';
import { shaded, shadeOf } from './light';
import { curvesOf, MIGRANTS, SIZES, suitability, sustainedMps, temperatureSuits } from './suitability';
import type { LieOptions, LiePart } from './types';
import { willingOf } from './willing';

/** Parts of the run's length that count as its head and its tailout. */
export const HEAD_TO = 0.35;
const TAIL_FROM = 0.75;
/** Water this far above normal is high, m. */
const HIGH_M = 0.35;

/** Where no more than this is deep, depth is judged by what there is, m. */
const DEEP_M = 0.7;

/** Depth that one twentieth of the wet run passes, m. */
function deepOf(c: Channel): number {
  const wet = c.h.filter((h) => h > 0.05).sort();
  return wet[Math.floor(0.95 * (wet.length - 1))] ?? 0;
}

/** The bank draws fish to where the water is this deep first, m: below the knee for trout, over it for travellers (common practice, no
 * source); a shelf in a hand of water is no edge. */
const EDGE_M = { resident: 0.35, migrant: 0.5 } as const;

/** A tailout is where the water shoals: what is deeper than this at the normal level, m, and than this share of where the run is
 * deepest, is still the pool, though it is the lower end of what was drawn (common practice, no source). */
const POOL = { deepM: 2, share: 0.6 } as const;

/** For every row, whether it is of the tailout. */
function tailRows(run: Run, c: Channel): boolean[] {
  const deepest = Array.from(
    { length: c.nx },
    (_, i) => Math.max(...c.h.subarray(i * c.ny, (i + 1) * c.ny)) - c.levelM,
  );
  const limit = Math.max(POOL.deepM, POOL.share * Math.max(...deepest));
  return deepest.map((h, i) => c.x0 + i * c.dx > TAIL_FROM * run.lengthM && h <= limit);
}

/** Where the water is deep enough for a fish first, from either bank, for every row. */
function softEdges(c: Channel, deepM: number) {
  const nearEdge = new Float32Array(c.nx);
  const farEdge = new Float32Array(c.nx);
  for (let i = 0; i < c.nx; i++) {
    let a = 0;
    let b = c.ny - 1;
    while (a < b && c.h[i * c.ny + a]! < deepM) a++;
    while (b > a && c.h[i * c.ny + b]! < deepM) b--;
    nearEdge[i] = c.y0 + a * c.dy;
    farEdge[i] = c.y0 + b * c.dy;
  }
  return { nearEdge, farEdge };
}

/** The soft edge is as wide as a rod reaches over, m (common practice, no source). */
const EDGE_WIDE_M = 1.5;

/** What today's water and light do to where fish lie (directions of the trade: common practice, no source). */
export function dayEffects(run: Run, c: Channel, reading: Reading | null, o: LieOptions) {
  const vis = seenDownM(reading ?? TYPICAL_DAY);
  const colour = reading?.colour ?? TYPICAL_DAY.colour;
  const temp = reading?.waterTempC ?? TYPICAL_DAY.waterTempC;
  const shade = o.sun ? shadeOf(run, o.sun) : { nearM: 0, farM: 0 };
  const sunIn = o.sun ? o.sun.altitudeDeg > 15 : true;
  const size = SIZES[o.size ?? 'any'];
  const deepM = deepOf(c);
  const thin = Math.min(1, deepM / DEEP_M);
  const dirty = isDirty(colour, vis);
  const high = (reading?.levelM ?? 0) >= HIGH_M;
  const dusk = reading?.sky === 'dusk' || (o.sun !== undefined && o.sun.altitudeDeg < 5);
  const bright = reading?.sky === 'bright' && sunIn && colour !== 'tea';
  const seen = reading?.seen ?? [];
  const pressed = seen.includes('party ahead') || seen.includes('footprints');
  // Two schools of high and dirty water: to the margins, or out and feeding; both fish the soft sides first.
  const flood = o.flood === 'out and feeding' ? 0.4 : 1;
  const migrant = MIGRANTS.has(o.quarry);
  return {
    /** Fish were seen spawning somewhere in the run. */
    spawning: seen.includes('spawning fish'),
    quarry: o.quarry,
    migrant,
    dirty,
    /** How much the bank draws them. */
    edge: Math.max(
      dirty ? flood : 0,
      high ? flood : 0,
      // Low light brings trout to the edge, travellers less; not out of the slow deep water in the cold.
      (dusk ? 0.9 : reading?.sky === 'yellow' ? 0.3 : 0) * (migrant ? 0.5 : 1) * interpolate([5, 10], [0.2, 1], temp),
    ),
    margins: (dirty || high) && o.flood !== 'out and feeding',
    clearLow: vis > CLEAR_M && (reading?.levelM ?? 0) <= 0,
    /** Cold fish want slower water, warm ones faster: the speed axis is stretched. */
    pace: interpolate([3, 10, 14, 18], [0.55, 1, 1, 1.3], temp),
    bright,
    /** Depth is relative: in thin water a few inches more is a lie. */
    thin,
    deepM,
    tail: tailRows(run, c),
    ...softEdges(c, EDGE_M[migrant ? 'migrant' : 'resident'] * thin),
    dusk,
    vis,
    temp,
    warm: temp >= WARM_C,
    cold: temp < COLD_C,
    suits: temperatureSuits(o.quarry, temp),
    /** How they come to a fly. */
    willing: willingOf({ quarry: o.quarry, temp, vis, bright, dusk, pressed, own: o.own }, o.school, {
      ...{ colour, visibilityM: vis, sky: reading?.sky ?? TYPICAL_DAY.sky },
      sunDeg: Math.max(0, o.sun?.altitudeDeg ?? MIDDLING_SUN_DEG),
    }),
    size,
    sustained: sustainedMps(size.lengthM[migrant ? 'migrant' : 'resident']),
    /** Speed at a fish's nose, a tenth of the depth over the bed, over the mean of the vertical. */
    nearBed: (1 + c.profile.m) * Math.pow(0.1, c.profile.m),
    shadedAt: (ch: Channel, i: number, y: number) => shaded(shade, y - ch.edgeNear[i]!, ch.edgeFar[i]! - y),
  };
}
export type DayEffects = ReturnType<typeof dayEffects>;

const NONE: Record<LiePart, number> = {
  ...{ depth: 0, speed: 0, seam: 0, cover: 0, edge: 0, light: 0, place: 0, temperature: 0 },
};

/** A current that brings food, m/s, and water that it can be taken from, m. */
const FEED_MPS = 0.3;
const FEED_DEPTH_M = 0.25;

/** No fish that one would cast to lies in less, m: a hand of water; those that travel are as long as an arm and want to the shin
 * (common practice, no source). */
const LEAST_M = { resident: 0.12, migrant: 0.25 } as const;

/** How far a surface is broken, 0 to 1. */
export const brokenAt = (speedMps: number, depthM: number): number =>
  Math.min(1, Math.max(0, (froude(speedMps, depthM) - 0.2) / 0.2));

/** The parts of one cell. */
export function partsAt(run: Run, c: Channel, s: DayEffects, i: number, j: number): Record<LiePart, number> {
  const k = i * c.ny + j;
  const h = c.h[k]!;
  const u = c.u[k]!;
  const x = c.x0 + i * c.dx;
  const y = c.y0 + j * c.dy;
  if (h < Math.max(LEAST_M[s.migrant ? 'migrant' : 'resident'], 0.15 * s.thin) || leftAlone(run.features, x, y))
    return NONE;
  const { depth, speed } = curvesOf(s.quarry);
  const inShade = s.shadedAt(c, i, y);
  const exposed = s.bright && !inShade;
  const broken = brokenAt(u, h);
  // In bright or low clear water the same comfort is found deeper, or under a broken surface; dirty water hides fish where it is thin.
  const shown =
    (h *
      (s.margins
        ? s.migrant
          ? 1.35
          : 1.6
        : s.dirty
          ? 1.3
          : exposed || s.clearLow
            ? 0.75 + 0.25 * broken
            : s.dusk
              ? 1.2
              : 1)) /
    (s.size.depthTimes * s.thin);
  const reach = Math.max(1, Math.round(1.5 / c.dy));
  // Fast water next door that a fish could feed from: not the thin film over the stones.
  let fast = u;
  for (let n = -reach; n <= reach; n++) {
    const q = j + n;
    if (q >= 0 && q < c.ny && c.h[i * c.ny + q]! >= FEED_DEPTH_M * s.thin) fast = Math.max(fast, c.u[i * c.ny + q]!);
  }
  const bank = Math.min(y - c.edgeNear[i]!, c.edgeFar[i]! - y);
  const isFar = y - s.nearEdge[i]! > s.farEdge[i]! - y;
  const off = Math.abs(isFar ? s.farEdge[i]! - y : y - s.nearEdge[i]!);
  const nose = u * s.nearBed;
  const tired = nose > s.sustained ? (s.sustained / nose) ** 2 : 1;
  const cover = coverAt(run, c, i, j, h);
  // A bank's own slow film is no seam: the fast water must carry food, and the slow be deep enough to lie in.
  const film = Math.min(1, Math.max(0, (h / s.thin - 0.2) / 0.25)) * Math.min(1, Math.max(0, bank - 0.4));
  const seam = fast >= FEED_MPS ? Math.min(1, Math.max(0, (fast - u) / 0.35)) * film : 0;
  return {
    depth: suitability(depth, shown),
    speed: suitability(speed, u / s.pace) * tired,
    seam,
    cover: Math.min(1, cover + (s.clearLow || s.bright ? 0.4 : 0.15) * broken),
    edge: s.edge * Math.exp(-Math.max(0, off - EDGE_WIDE_M) / 2) * (s.margins && isFar ? FAR_MARGIN : 1),
    light: exposed ? Math.min(1, Math.max(h / 2, broken, cover)) : inShade || s.dusk ? 1 : 0.7,
    place: placeOf(run, c, s, i, y, seam, broken),
    temperature: s.suits,
  };
}

/** 0 to 1: heads when warm, tailouts at dusk, resting places for those that travel. */
function placeOf(run: Run, c: Channel, s: DayEffects, i: number, y: number, seam: number, broken: number): number {
  const x = c.x0 + i * c.dx;
  let place = 0.3;
  if (s.warm && x < HEAD_TO * run.lengthM) place = Math.max(place, 0.6 + 0.4 * broken);
  if (s.dusk && s.tail[i]) place = 1;
  for (const f of run.features) place = Math.max(place, FEATURES[f.kind].place?.(nearTo(f, x, y), s) ?? 0);
  if (!s.migrant) return place;
  // They travel along seams, and rest on soft insides, in tailouts and where the bed gives them a hold.
  place = Math.max(place, 0.3 + 0.4 * seam);
  if (softInside(run, c, i, y)) place = Math.max(place, 0.9);
  if (s.tail[i]) place = Math.max(place, 0.6);
  return place;
}

/** The inner third of a bend. */
export function softInside(run: Run, c: Channel, i: number, y: number): boolean {
  if (!run.bend) return false;
  const part = (y - c.edgeNear[i]!) / (c.edgeFar[i]! - c.edgeNear[i]!);
  return run.bend.turns === run.bank ? part < 1 / 3 : part > 2 / 3;
}

/** 0 to 1 from what shelters a fish: stones, wood, an undercut, a ledge upstream, depth. */
function coverAt(run: Run, c: Channel, i: number, j: number, h: number): number {
  const x = c.x0 + i * c.dx;
  const y = c.y0 + j * c.dy;
  let cover = Math.max(BEDS[run.bed].shelter, Math.min(0.5, Math.max(0, (h - 0.8) / 2)));
  for (const f of run.features) cover = Math.max(cover, FEATURES[f.kind].cover?.(nearTo(f, x, y)) ?? 0);
  return cover;
}

/** How much the part of the run draws fish, from what is ordinary (0.3) up. */
const PLACE_DRAWS = 0.35;
/** How much the bank draws them in the dirt and in low light; there half the depth they like will do. */
const EDGE_DRAWS = 0.6;
const MID_RIVER = 0.4;
/** One fishes the near margin first, before stepping in; the far one is across a flood. */
const FAR_MARGIN = 0.2;

/** The score: comfort, raised by what is next door, above and around, by the part of the run, and at the edge in dirty
 * water. Weights are choices. */
export function totalOf(p: Readonly<Record<LiePart, number>>, s: DayEffects): number {
  const comfort = p.depth * p.speed;
  const around = 0.3 + 0.25 * p.seam + s.size.cover * p.cover + 0.1 * p.light + 0.1 * p.place;
  const drawn = 1 + PLACE_DRAWS * Math.max(0, p.place - 0.3);
  // Where the school says margins, mid-river counts for less.
  const out = s.margins ? MID_RIVER + (1 - MID_RIVER) * p.edge : 1;
  const edge = EDGE_DRAWS * p.edge * p.speed * Math.min(1, (s.margins || s.dusk ? 2 : 1) * p.depth);
  return Math.min(1, comfort * around * drawn * out + edge);
}
