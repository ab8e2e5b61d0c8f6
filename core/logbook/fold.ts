import type { FlyColour, FlyFamily, Rig } from '../tackle';
import { clarity, type Reading } from '../water';
import { type EventOf, type LogEvent, standing } from './events';

/** What one outing, or many, came to. Rates use `casts`, which leaves out casts with a fouled fly. */
export interface Tally {
  readonly casts: number;
  readonly fouled: number;
  /** Contacts with fish that are not juveniles; follows and rolls are `signs`. */
  readonly takes: number;
  readonly signs: number;
  readonly hooked: number;
  readonly landed: number;
  readonly juveniles: number;
  readonly bedTouches: number;
  readonly hangUps: number;
  readonly fliesLost: number;
  readonly minutes: number;
}

export const EMPTY_TALLY: Tally = {
  casts: 0,
  fouled: 0,
  takes: 0,
  signs: 0,
  hooked: 0,
  landed: 0,
  juveniles: 0,
  bedTouches: 0,
  hangUps: 0,
  fliesLost: 0,
  minutes: 0,
};

export function addTallies(a: Tally, b: Tally): Tally {
  const out = { ...a } as Record<keyof Tally, number>;
  for (const k of Object.keys(out) as (keyof Tally)[]) out[k] += b[k];
  return out;
}

/** Quarters of the year as the weather has them, on either half of the globe. */
export const QUARTERS = ['Dec–Feb', 'Mar–May', 'Jun–Aug', 'Sep–Nov'] as const;
export type Quarter = (typeof QUARTERS)[number];
const quarterOf = (at: number): Quarter => QUARTERS[Math.floor(((new Date(at).getUTCMonth() + 1) % 12) / 3)]!;

/** Casts and takes of a fly under one set of conditions. A cast with two flies shows both: it counts for either. */
export interface Exposure {
  readonly colour: FlyColour | 'none noted';
  readonly family: FlyFamily | 'none noted';
  readonly water: ReturnType<typeof clarity> | 'not read';
  readonly season: Quarter;
  readonly casts: number;
  readonly takes: number;
}

type Cell = { -readonly [K in keyof Exposure]: Exposure[K] };

/** Of what fold makes: whatever is kept from an older one is folded anew. */
export const FOLD_VERSION = 5;

export interface Folded {
  readonly tally: Tally;
  readonly exposures: readonly Exposure[];
  readonly fish: readonly EventOf<'take'>[];
  /** The rig and reading in force at the end. */
  readonly rig: Rig | null;
  readonly reading: Reading | null;
  readonly castsSinceTake: number;
  readonly castsSinceChange: number;
  /** Hang-ups and lost flies since anything was changed. */
  readonly hungSinceChange: number;
  /** The latest casts, no more than LATELY, since anything was changed, and touches of the bed among them. */
  readonly lately: { readonly casts: number; readonly touches: number };
}

const NO_FLY = { colour: 'none noted', family: 'none noted' } as const;

/** So many casts are what happens now. */
const LATELY = 12;

const isTake = (e: EventOf<'take'>) => !e.juvenile && e.what !== 'follow' && e.what !== 'roll';

/**
 * Folds events (in order) into counts. Undone events do not count; a fouled fly takes its cast out of the evidence;
 * juveniles are counted apart and stay out of every rate.
 */
export function fold(events: readonly LogEvent[]): Folded {
  const t = { ...EMPTY_TALLY } as { -readonly [K in keyof Tally]: number };
  const cells = new Map<string, Cell>();
  const fish: EventOf<'take'>[] = [];
  let rig: Rig | null = null;
  let reading: Reading | null = null;
  let castsSinceTake = 0;
  let castsSinceChange = 0;
  let hungSinceChange = 0;
  /** Of each fly on the line, from the point upwards. */
  let now: readonly Cell[] | null = null;
  /** Touches at each cast since the last change. */
  let touches: number[] = [];
  /** Cells of the casts that count, the last one last: a fouled fly takes its own cast out, whatever was changed since. */
  const counted: (readonly Cell[])[] = [];
  let first = Infinity;
  let last = -Infinity;
  const here = (at: number): readonly Cell[] => {
    const season = quarterOf(at);
    if (now?.[0]?.season === season) return now;
    const water = reading ? clarity(reading.visibilityM) : 'not read';
    return (now = (rig ? [rig.fly, ...rig.droppers.map((d) => d.fly)] : [NO_FLY]).map(({ colour, family }) => {
      const key = `${colour}|${family}|${water}|${season}`;
      const cell = cells.get(key) ?? { colour, family, water, season, casts: 0, takes: 0 };
      cells.set(key, cell);
      return cell;
    }));
  };
  for (const e of standing(events)) {
    first = Math.min(first, e.at);
    last = Math.max(last, e.at);
    switch (e.kind) {
      case 'rig':
        rig = e.set;
        now = null;
        castsSinceChange = 0;
        hungSinceChange = 0;
        touches = [];
        break;
      case 'reading':
        reading = e.reading;
        now = null;
        break;
      case 'cast':
        t.casts++;
        // Two flies alike are one to choose between.
        counted.push([...new Set(here(e.at))]);
        for (const cell of counted.at(-1)!) cell.casts++;
        castsSinceTake++;
        castsSinceChange++;
        touches.push(0);
        break;
      case 'fouled': {
        const of = counted.pop();
        if (!of) break;
        touches.pop();
        t.casts--;
        t.fouled++;
        for (const cell of of) cell.casts--;
        castsSinceTake = Math.max(0, castsSinceTake - 1);
        castsSinceChange = Math.max(0, castsSinceChange - 1);
        break;
      }
      case 'take':
        if (e.juvenile) t.juveniles++;
        else if (!isTake(e)) t.signs++;
        else {
          t.takes++;
          (here(e.at)[e.place ?? 0] ?? here(e.at)[0]!).takes++;
          castsSinceTake = 0;
          if (e.what === 'hooked' || e.what === 'lost' || e.what === 'landed') t.hooked++;
          if (e.what === 'landed') {
            t.landed++;
            fish.push(e);
          }
        }
        break;
      case 'bed':
        t.bedTouches++;
        if (touches.length > 0) touches[touches.length - 1]! += 1;
        break;
      case 'hang-up':
        t.hangUps++;
        hungSinceChange++;
        break;
      case 'fly lost':
        t.fliesLost++;
        hungSinceChange++;
        break;
      default:
        break;
    }
  }
  const latest = touches.slice(-LATELY);
  // More than one touch at a cast is one cast that touched.
  const lately = { casts: latest.length, touches: latest.filter((n) => n > 0).length };
  t.minutes = last > first ? (last - first) / 60_000 : 0;
  return {
    tally: t,
    exposures: [...cells.values()],
    fish,
    rig,
    reading,
    castsSinceTake,
    castsSinceChange,
    hungSinceChange,
    lately,
  };
}
