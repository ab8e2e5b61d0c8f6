import type { FlyColour, FlyFamily, Rig } from '../tackle';
import { clarity, isRead, type Reading } from '../water';
import { type EventOf, type Fish, type Happened, isOnOther, isTake, type LogEvent } from './events';
import { standing } from './standing';
import { type Visit, visitsOf } from './visits';
import { MINUTE_MS } from '../units';

/** What one outing, or many, came to. Rates use `casts`, which leaves out casts with a fouled fly. */
export interface Tally {
  readonly casts: number;
  /** Of the casts, and of the takes, those that were not counted but remembered. */
  readonly byHand: number;
  readonly byHandTakes: number;
  readonly fouled: number;
  /** Contacts with fish that are not juveniles; follows and rolls are `signs`. */
  readonly takes: number;
  readonly signs: number;
  /** On flies that are no part of the rig: in no rate. */
  readonly onOthers: number;
  readonly rises: number;
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
  byHand: 0,
  byHandTakes: 0,
  fouled: 0,
  takes: 0,
  signs: 0,
  onOthers: 0,
  rises: 0,
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
const QUARTERS = ['Dec–Feb', 'Mar–May', 'Jun–Aug', 'Sep–Nov'] as const;
export type Quarter = (typeof QUARTERS)[number];
const quarterOf = (at: number): Quarter => QUARTERS[Math.floor(((new Date(at).getUTCMonth() + 1) % 12) / 3)]!;

/** Casts and takes of a fly under one set of conditions. A cast with two flies shows both: it counts for either. */
export interface Exposure {
  readonly colour: FlyColour | 'none noted';
  readonly family: FlyFamily | 'none noted';
  readonly water: ReturnType<typeof clarity> | 'not read';
  readonly season: Quarter;
  /** Remembered, or so that not even the casts are known; not said: counted. */
  readonly how?: 'by hand' | 'casts not known';
  readonly casts: number;
  readonly takes: number;
}

/** A fish that was landed, with what is known of how. */
export interface Caught {
  readonly take: EventOf<'take'>;
  readonly fly: { readonly name: string; readonly hook: string; readonly colour: FlyColour | null } | null;
  readonly levelM: number | null;
}

type Cell = { -readonly [K in keyof Exposure]: Exposure[K] };

/** Of what fold makes: whatever is kept from an older one is folded anew. */
export const FOLD_VERSION = 8;

export interface Folded {
  readonly tally: Tally;
  readonly exposures: readonly Exposure[];
  readonly fish: readonly Caught[];
  readonly visits: readonly Visit[];
  /** What was noted, and what was said of fish: for searching. */
  readonly notes: readonly string[];
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

/** So many casts are what happens now. */
const LATELY = 12;

const fishText = (f: Fish) => [f.species, f.condition].filter(Boolean).join(', ');

/** The flies that are shown, from the point upwards, and what is known of the water. */
interface Shown {
  readonly flies: readonly { readonly colour: FlyColour | null; readonly family: FlyFamily | null }[];
  readonly visibilityM: number | null;
  readonly how?: Exposure['how'];
}

/** Cells of evidence by fly, water, quarter and how it was counted. */
function createCells() {
  const cells = new Map<string, Cell>();
  return {
    all: () => [...cells.values()],
    /** Those of the flies that are shown, from the point upwards. */
    of: ({ flies, visibilityM, how }: Shown, at: number): readonly Cell[] => {
      const water = visibilityM === null ? 'not read' : clarity(visibilityM);
      const season = quarterOf(at);
      return flies.map((f) => {
        const [colour, family] = [f.colour ?? 'none noted', f.family ?? 'none noted'] as const;
        const key = `${colour}|${family}|${water}|${season}|${how ?? ''}`;
        const cell = cells.get(key) ?? { colour, family, water, season, ...(how && { how }), casts: 0, takes: 0 };
        cells.set(key, cell);
        return cell;
      });
    },
  };
}

/** What was seen of the water; null where it was not read. */
const seenIn = (reading: Reading | null): number | null =>
  reading && isRead(reading, 'visibility') ? reading.visibilityM : null;

const NO_FLY = [{ colour: null, family: null }] as const;
const fliesOn = (rig: Rig | null) => (rig ? [rig.fly, ...rig.droppers.map((d) => d.fly)] : NO_FLY);

/** What an estimate says was shown; what it leaves open is as it was in force. */
const remembered = (e: EventOf<'estimate'>, rig: Rig | null, reading: Reading | null): Shown => ({
  flies: e.fly ? [e.fly] : fliesOn(rig),
  visibilityM: e.water ? e.water.visibilityM : seenIn(reading),
  how: e.casts === null ? 'casts not known' : 'by hand',
});

/** What a fish was landed on. */
function caught(
  take: EventOf<'take'>,
  rig: Rig | null,
  reading: Reading | null,
  by: EventOf<'estimate'> | null,
): Caught {
  const fly = rig && (take.place ? rig.droppers[take.place - 1]?.fly : rig.fly);
  return {
    take,
    fly: take.on
      ? { name: take.on, hook: '', colour: null }
      : by?.fly
        ? { name: by.fly.name, hook: '', colour: by.fly.colour }
        : fly
          ? { name: fly.name, hook: fly.hook, colour: fly.colour }
          : null,
    levelM: by?.water ? by.water.levelM : (reading?.levelM ?? null),
  };
}

/**
 * Folds events (in order) into counts. Corrections are carried out first; a fouled fly takes its cast out of the evidence;
 * juveniles are counted apart and stay out of every rate; what was only remembered is kept apart.
 */
export function fold(events: readonly LogEvent[]): Folded {
  const all = standing(events);
  const t = { ...EMPTY_TALLY } as { -readonly [K in keyof Tally]: number };
  const cells = createCells();
  const rigs = new Map<string, Rig>();
  const fish: Caught[] = [];
  let rig: Rig | null = null;
  let reading: Reading | null = null;
  /** The estimate that takes belong to, until a cast is counted again. */
  let estimate: EventOf<'estimate'> | null = null;
  let castsSinceTake = 0;
  let castsSinceChange = 0;
  let hungSinceChange = 0;
  let [first, last] = [Infinity, -Infinity];
  /** Touches at each cast since the last change. */
  let touches: number[] = [];
  /** Cells of the casts that count, the last one last: a fouled fly takes its own cast out, whatever was changed since. */
  const counted: (readonly Cell[])[] = [];
  /** What an event says it was done with, otherwise what is in force. */
  const rigOf = (e: Happened) => (e.rig ? (rigs.get(e.rig) ?? rig) : rig);
  const here = (e: Happened) =>
    cells.of(
      estimate ? remembered(estimate, rigOf(e), reading) : { flies: fliesOn(rigOf(e)), visibilityM: seenIn(reading) },
      e.at,
    );
  for (const e of all) {
    first = Math.min(first, e.at);
    last = Math.max(last, e.at);
    switch (e.kind) {
      case 'run start':
        estimate = null;
        break;
      case 'rig':
        rig = e.set;
        if (e.rig) rigs.set(e.rig, e.set);
        castsSinceChange = 0;
        hungSinceChange = 0;
        touches = [];
        break;
      case 'reading':
        reading = e.reading;
        break;
      case 'estimate': {
        estimate = e;
        const own = here(e);
        const casts = e.casts ?? 0;
        for (const cell of new Set(own)) cell.casts += casts;
        own[0]!.takes += e.takes;
        t.casts += casts;
        t.byHand += casts;
        t.takes += e.takes;
        t.byHandTakes += e.takes;
        t.minutes += e.minutes ?? 0;
        break;
      }
      case 'cast':
        estimate = null;
        t.casts++;
        // Two flies alike are one to choose between.
        counted.push([...new Set(here(e))]);
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
      case 'take': {
        if (e.juvenile) t.juveniles++;
        else if (isOnOther(e)) {
          t.onOthers++;
          if (e.what === 'landed') {
            t.landed++;
            fish.push(caught(e, null, reading, null));
          }
        } else if (!isTake(e)) t.signs++;
        else {
          t.takes++;
          if (estimate) t.byHandTakes++;
          const own = here(e);
          (own[e.place ?? 0] ?? own[0]!).takes++;
          castsSinceTake = 0;
          if (e.what === 'hooked' || e.what === 'lost' || e.what === 'landed') t.hooked++;
          if (e.what === 'landed') {
            t.landed++;
            fish.push(caught(e, rigOf(e), reading, estimate));
          }
        }
        break;
      }
      case 'rise':
        t.rises++;
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
  // As long as it was, or as is remembered.
  if (all.length > 0) t.minutes = Math.max(t.minutes, (last - first) / MINUTE_MS);
  return {
    tally: t,
    exposures: cells.all(),
    fish,
    visits: visitsOf(all),
    notes: all.flatMap((e) => (e.kind === 'note' ? [e.text] : e.kind === 'take' && e.fish ? [fishText(e.fish)] : [])),
    rig,
    reading,
    castsSinceTake,
    castsSinceChange,
    hungSinceChange,
    lately,
  };
}
