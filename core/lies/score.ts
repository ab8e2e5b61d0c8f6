import { interpolate } from '../maths';
import {
  BEDS,
  type Channel,
  DIRTY_M,
  FEATURES,
  froude,
  leftAlone,
  nearTo,
  type Reading,
  type Run,
  TYPICAL_DAY,
} from '../water';
import { shaded, shadeOf } from './light';
import { CURVES, MIGRANTS, SIZES, suitability, sustainedMps, temperatureSuits } from './suitability';
import type { LieOptions, LiePart } from './types';

/** Parts of the run's length that count as its head and its tailout. */
export const HEAD_TO = 0.35;
export const TAIL_FROM = 0.75;
const WARM_C = 16;
const COLD_C = 6;
/** Water this far above normal is high, m. */
const HIGH_M = 0.35;

/** What today's water and light do to where fish lie (directions of the trade: common practice, no source). */
export function dayEffects(run: Run, c: Channel, reading: Reading | null, o: LieOptions) {
  const vis = reading?.visibilityM ?? TYPICAL_DAY.visibilityM;
  const temp = reading?.waterTempC ?? TYPICAL_DAY.waterTempC;
  const shade = o.sun ? shadeOf(run, o.sun) : { nearM: 0, farM: 0 };
  const sunIn = o.sun ? o.sun.altitudeDeg > 15 : true;
  const size = SIZES[o.size ?? 'any'];
  const dirty = vis <= DIRTY_M;
  const high = (reading?.levelM ?? 0) >= HIGH_M;
  const dusk = reading?.sky === 'dusk' || (o.sun !== undefined && o.sun.altitudeDeg < 5);
  // Two schools of high and dirty water: to the margins, or out and feeding; both fish the soft sides first.
  const flood = o.flood === 'out and feeding' ? 0.4 : 1;
  return {
    quarry: o.quarry,
    migrant: MIGRANTS.has(o.quarry),
    dirty,
    /** How much the bank draws them. */
    edge: Math.max(dirty ? flood : 0, high ? 0.7 * flood : 0, dusk ? 0.6 : 0),
    clearLow: vis > 1.8 && (reading?.levelM ?? 0) <= 0,
    /** Cold fish want slower water, warm ones faster: the speed axis is stretched. */
    pace: interpolate([3, 10, 14, 18], [0.55, 1, 1, 1.3], temp),
    bright: reading?.sky === 'bright' && sunIn,
    dusk,
    vis,
    temp,
    warm: temp >= WARM_C,
    cold: temp < COLD_C,
    suits: temperatureSuits(o.quarry, temp),
    size,
    sustained: sustainedMps(size.lengthM[o.quarry]),
    /** Speed at a fish's nose, a tenth of the depth over the bed, over the mean of the vertical. */
    nearBed: (1 + c.profile.m) * Math.pow(0.1, c.profile.m),
    shadedAt: (ch: Channel, i: number, y: number) => shaded(shade, y - ch.edgeNear[i]!, ch.edgeFar[i]! - y),
  };
}
export type DayEffects = ReturnType<typeof dayEffects>;

const NONE: Record<LiePart, number> = {
  ...{ depth: 0, speed: 0, seam: 0, cover: 0, edge: 0, light: 0, place: 0, temperature: 0 },
};

/** The parts of one cell. */
export function partsAt(run: Run, c: Channel, s: DayEffects, i: number, j: number): Record<LiePart, number> {
  const k = i * c.ny + j;
  const h = c.h[k]!;
  const u = c.u[k]!;
  const x = c.x0 + i * c.dx;
  const y = c.y0 + j * c.dy;
  if (h < 0.15 || leftAlone(run.features, x, y)) return NONE;
  const { depth, speed } = CURVES[s.quarry];
  const inShade = s.shadedAt(c, i, y);
  const exposed = s.bright && !inShade;
  // In bright or low clear water the same comfort is found deeper; dirty water hides fish where it is thin.
  const shown = (h * (s.dirty ? 1.4 : exposed || s.clearLow ? 0.75 : s.dusk ? 1.2 : 1)) / s.size.depthTimes;
  const reach = Math.max(1, Math.round(1.5 / c.dy));
  let fast = u;
  for (let n = -reach; n <= reach; n++) {
    const q = j + n;
    if (q >= 0 && q < c.ny) fast = Math.max(fast, c.u[i * c.ny + q]!);
  }
  const bank = Math.min(y - c.edgeNear[i]!, c.edgeFar[i]! - y);
  const nose = u * s.nearBed;
  const tired = nose > s.sustained ? (s.sustained / nose) ** 2 : 1;
  const broken = Math.min(1, Math.max(0, (froude(u, h) - 0.2) / 0.2));
  const cover = coverAt(run, c, i, j, h);
  const seam = Math.min(1, Math.max(0, (fast - u) / 0.35));
  return {
    depth: suitability(depth, shown),
    speed: suitability(speed, u / s.pace) * tired,
    seam,
    cover: Math.min(1, cover + (s.clearLow || s.bright ? 0.4 : 0.15) * broken),
    edge: s.edge * Math.exp(-Math.max(0, bank - 0.5) / 2),
    light: exposed ? Math.min(1, Math.max(h / 2, broken, cover)) : inShade || s.dusk ? 1 : 0.7,
    place: placeOf(run, c, s, i, y, seam, broken),
    temperature: s.suits,
  };
}

/** 0 to 1: heads when warm, tailouts at dusk, resting places for those that travel. */
function placeOf(run: Run, c: Channel, s: DayEffects, i: number, y: number, seam: number, broken: number): number {
  const x = c.x0 + i * c.dx;
  const along = x / run.lengthM;
  let place = 0.3;
  if (s.warm && along < HEAD_TO) place = Math.max(place, 0.6 + 0.4 * broken);
  if (s.dusk && along > TAIL_FROM) place = 1;
  for (const f of run.features) place = Math.max(place, FEATURES[f.kind].place?.(nearTo(f, x, y), s) ?? 0);
  if (!s.migrant) return place;
  // They travel along seams, and rest on soft insides, in tailouts and where the bed gives them a hold.
  place = Math.max(place, 0.3 + 0.4 * seam);
  if (softInside(run, c, i, y)) place = Math.max(place, 0.9);
  if (along > TAIL_FROM) place = Math.max(place, 0.6);
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

/** The score: comfort, raised by what is next door, above and around; at the edge in dirty water. Weights are choices. */
export function totalOf(p: Readonly<Record<LiePart, number>>, s: DayEffects): number {
  const comfort = p.depth * p.speed;
  const around = 0.3 + 0.25 * p.seam + s.size.cover * p.cover + 0.1 * p.light + 0.1 * p.place;
  return Math.min(1, comfort * around + 0.25 * p.edge * Math.min(p.depth, p.speed));
}
