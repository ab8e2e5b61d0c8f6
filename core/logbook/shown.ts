import type { CastPlan } from '../cast';
import { handsOf } from '../cast/presentation'; // not the barrel: this weighs on the first look
import type { RiverThen } from '../gauge';
import { fliesOf, type FlyItem, type FlyWeight, placeName, type Rig } from '../tackle';
import { moonOf } from '../sight/moon';
import { INCH_M } from '../units';
import { clarity, isRead, type Reading } from '../water';
import type { Did } from './asSimulated';
import type { RememberedFly, RememberedWater } from './events';

/** Quarters of the year as the weather has them, on either half of the globe. */
const QUARTERS = ['Dec–Feb', 'Mar–May', 'Jun–Aug', 'Sep–Nov'] as const;
type Quarter = (typeof QUARTERS)[number];

/** Bounds of what is measured, in SI; a value is told by the number of bounds that it is not below. */
export const BOUNDS = {
  /** Of hooks, by their number; 1/0 and larger count as 0 and less. */
  size: [5, 9, 13],
  /** m/s; below the first it floats. */
  tip: [0.1 * INCH_M, 2.5 * INCH_M, 5 * INCH_M],
  /** m against normal. */
  level: [-0.1, 0.1, 0.3],
  /** °C */
  temperature: [5, 7, 10, 13, 16, 18],
  /** Of the clock where it was logged. */
  hour: [8, 11, 14, 17, 20],
  /** m below the surface */
  depth: [0.3, 0.6, 0.9],
  /** m/s across, on the whole */
  speed: [0.3, 0.6, 0.9],
  /** Seconds from one pull to the next. */
  cadence: [0.7, 1.5, 3],
  /** Days since the river’s last peak. */
  freshet: [1, 3, 7],
} as const;
export type Banded = keyof typeof BOUNDS;
/** A gauge is heard of this far back (store/gauge.ts). */
const FRESHET_SEEN_DAYS = BOUNDS.freshet[2];
const band = (of: Banded, value: number): string => String(BOUNDS[of].filter((b) => value >= b).length);

/** All that is known of a fly while it was shown. */
export interface Circumstances {
  readonly fly: RememberedFly | FlyItem | null;
  /** Which of the rig’s flies it is, from the point upwards; null: nobody said, or there is one. */
  readonly place: number | null;
  /** null: nothing was noted of it. */
  readonly rig: Rig | null;
  /** The latest cast; null: nothing was noted. */
  readonly plan: CastPlan | null;
  readonly did: Did | null;
  readonly water: RememberedWater | null;
  /** Of the reading in force; null: none, or what was remembered counts. */
  readonly reading: Reading | null;
  /** What the gauge said as it was read; null: nobody knows. */
  readonly river: RiverThen | null;
  readonly runName: string | null;
  /** ms UTC */
  readonly at: number;
  /** Whether the hour is known. */
  readonly timed: boolean;
}

const isItem = (fly: Circumstances['fly']): fly is FlyItem => fly !== null && 'type' in fly;
const hookNumber = (hook: string): number | null => {
  const [number, large] = /^(\d+)(\/0)?/.exec(hook.trim())?.slice(1) ?? [];
  return number === undefined ? null : large ? -Number(number) : Number(number);
};
const ofFly = (c: Circumstances) => (isItem(c.fly) ? c.fly : null);
const didOf = (c: Circumstances) => (c.did && c.did.s > 0 ? (c.did.flies[c.place ?? 0] ?? null) : null);
const seenM = ({ water, reading }: Circumstances): number | null =>
  water ? water.visibilityM : reading && isRead(reading, 'visibility') ? reading.visibilityM : null;

/**
 * What a log is asked by: a row each, and what of it stood while a fly was shown; null where it is not known. What is measured is
 * told by its band. A new row here, and its name in words/properties.ts, is all that a new question takes.
 */
export const PROPERTIES = {
  colour: (c) => c.fly?.colour ?? null,
  family: (c) => c.fly?.family ?? null,
  size: (c) => {
    const hook = hookNumber(ofFly(c)?.hook ?? '');
    return hook === null ? null : band('size', hook);
  },
  weight: (c): FlyWeight | null => ofFly(c)?.weight ?? null,
  place: (c) => (c.rig && c.place !== null ? placeName(c.rig, c.place) : null),
  tip: (c) => (c.rig ? (c.rig.tip ? band('tip', c.rig.tip.sinkRateMps) : 'none') : null),
  way: (c) => (c.plan ? handsOf(c.plan).way : null),
  cadence: (c) => {
    const { pullM, pullMps, restS } = c.plan ? handsOf(c.plan) : { pullM: 0, pullMps: 1, restS: 0 };
    return pullM > 0 ? band('cadence', pullM / pullMps + restS) : null;
  },
  depth: (c) => {
    const [, , , , least, most] = didOf(c) ?? [];
    return least === undefined ? null : band('depth', (least + most!) / 200);
  },
  speed: (c) => {
    const fly = didOf(c);
    return fly ? band('speed', fly[6] / 100) : null;
  },
  /** Whether a place where fish hold was shown it well, as the engine had it. */
  lie: (c) => (c.did ? (c.did.lies.length > 0 ? 'over a lie' : 'over none') : null),
  /** The best of those places, by what makes it one. */
  kind: (c) => c.did?.kind ?? null,
  run: (c) => c.runName,
  water: (c) => {
    const m = seenM(c);
    return m === null ? null : clarity(m);
  },
  level: (c) => {
    const m = c.water ? c.water.levelM : (c.reading?.levelM ?? null);
    return m === null ? null : band('level', m);
  },
  trend: (c) => c.river?.trend ?? null,
  freshet: (c) => (c.river ? band('freshet', c.river.freshetDays ?? FRESHET_SEEN_DAYS) : null),
  temperature: (c) => {
    const degrees = c.water ? c.water.waterTempC : (c.reading?.waterTempC ?? null);
    return degrees === null ? null : band('temperature', degrees);
  },
  sky: (c) => (c.water ? c.water.sky : c.reading && isRead(c.reading, 'sky') ? c.reading.sky : null),
  wind: (c) => c.reading?.wind?.from ?? null,
  hour: (c) => (c.timed ? band('hour', new Date(c.at).getHours()) : null),
  moon: (c) => (c.timed ? moonOf(c.at) : null),
  season: (c): Quarter => QUARTERS[Math.floor(((new Date(c.at).getUTCMonth() + 1) % 12) / 3)]!,
} as const satisfies Readonly<Record<string, (c: Circumstances) => string | null>>;

export type Property = keyof typeof PROPERTIES;
export const PROPERTY_NAMES = Object.keys(PROPERTIES) as Property[];
/** Those that two flies on one cast have each for itself; all others they share. */
const OF_EACH_FLY: readonly Property[] = ['colour', 'family', 'size', 'weight', 'place', 'depth', 'speed'];
export const isOfFly = (p: Property): boolean => OF_EACH_FLY.includes(p);

/** Casts and takes of a fly while all that is asked by stood alike. A cast with two flies shows both: it counts for either. */
export interface Exposure {
  /** What is not said was not noted. */
  readonly shown: Readonly<Partial<Record<Property, string>>>;
  /** Remembered, or so that not even the casts are known; not said: counted. */
  readonly how?: 'by hand' | 'casts not known';
  /** A second fly on casts that another exposure counts as well. */
  readonly again?: true;
  readonly casts: number;
  readonly takes: number;
  /** Of so many of the casts it is known how much water they showed the fly, and how much: shares of a run’s willing fish, in ten thousandths,
   * summed; not said: of none. */
  readonly water?: { readonly casts: number; readonly shown: number };
}

/** What a cast showed, added to a cell or taken from it again. */
export function addWater(cell: Cell, w: number, sign: 1 | -1 = 1): void {
  const { casts, shown } = cell.water ?? { casts: 0, shown: 0 };
  cell.water = { casts: casts + sign, shown: shown + sign * w };
}

export type Cell = { -readonly [K in keyof Exposure]: Exposure[K] };

const sameFly = (a: FlyItem, b: FlyItem): boolean =>
  a.colour === b.colour && a.family === b.family && a.hook === b.hook && a.weight === b.weight;

/** The flies of a rig that differ, from the point upwards, each with its place; one alone where nothing was noted. */
function fliesIn(rig: Rig | null): readonly Pick<Circumstances, 'fly' | 'place'>[] {
  if (!rig) return [{ fly: null, place: null }];
  const all = fliesOf(rig);
  // Two flies alike are one to choose between.
  const apart = all.flatMap((fly, place) => (all.findIndex((f) => sameFly(f, fly)) === place ? [{ fly, place }] : []));
  return apart.length === 1 ? [{ fly: rig.fly, place: null }] : apart;
}

/** Cells of evidence: what was shown under the same circumstances adds up in one. */
export function createCells() {
  const cells = new Map<string, Cell>();
  const of = (c: Circumstances, how: Exposure['how'], again: boolean): Cell => {
    const shown: Partial<Record<Property, string>> = {};
    for (const p of PROPERTY_NAMES) {
      const value = PROPERTIES[p](c);
      if (value !== null) shown[p] = value;
    }
    const key = `${JSON.stringify(shown)}${how ?? ''}${again}`;
    const known = cells.get(key) ?? { shown, ...(how && { how }), ...(again && { again }), casts: 0, takes: 0 };
    cells.set(key, known);
    return known;
  };
  return {
    all: (): readonly Exposure[] => [...cells.values()],
    /** Those of the flies that are shown, from the point upwards. @param fly what is remembered of it; null: the rig’s flies */
    of: (
      c: Omit<Circumstances, 'fly' | 'place'>,
      { fly, how }: { readonly fly?: RememberedFly | null; readonly how?: Exposure['how'] } = {},
    ): readonly Cell[] =>
      (fly ? [{ fly, place: null }] : fliesIn(c.rig)).map((each, i) => of({ ...c, ...each }, how, i > 0)),
    /** Which of them a fly of the rig is, from the point upwards. */
    indexIn: (rig: Rig | null, place: number): number => {
      const taken = rig && fliesOf(rig)[place];
      const at = taken ? fliesIn(rig).findIndex(({ fly }) => sameFly(fly as FlyItem, taken)) : 0;
      return Math.max(0, at);
    },
  };
}
