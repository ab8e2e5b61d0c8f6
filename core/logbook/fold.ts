import type { FlyColour, Rig } from '../tackle';
import type { RiverThen } from '../gauge';
import type { Reading } from '../water';
import type { Did } from './asSimulated';
import { type EventOf, type Fish, type Happened, isOnOther, isTake, type LogEvent } from './events';
import { createPassings, type PassedLog } from './passings';
import { addWater, type Cell, createCells, type Exposure } from './shown';
import { type Spot, spotOf } from './spots';
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

/** A fish that was landed, with what is known of how. */
export interface Caught {
  readonly take: EventOf<'take'>;
  readonly fly: { readonly name: string; readonly hook: string; readonly colour: FlyColour | null } | null;
  readonly levelM: number | null;
}

/** Of what fold makes: whatever is kept from an older one is folded anew. */
export const FOLD_VERSION = 12;

export interface Folded {
  readonly tally: Tally;
  readonly exposures: readonly Exposure[];
  readonly fish: readonly Caught[];
  readonly visits: readonly Visit[];
  /** Where fish took. */
  readonly spots: readonly Spot[];
  /** How its flies passed before fish, and how those that were taken did. */
  readonly passings: readonly PassedLog[];
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
  const passings = createPassings();
  const rigs = new Map<string, Rig>();
  const fish: Caught[] = [];
  const spots: Spot[] = [];
  let rig: Rig | null = null;
  let reading: Reading | null = null;
  let river: RiverThen | null = null;
  /** The estimate that takes belong to, until a cast is counted again. */
  let estimate: EventOf<'estimate'> | null = null;
  let castsSinceTake = 0;
  let castsSinceChange = 0;
  let hungSinceChange = 0;
  let [first, last] = [Infinity, -Infinity];
  let runName: string | null = null;
  /** The cast that takes belong to; none after what was not counted one by one. */
  let latestCast: EventOf<'cast'> | null = null;
  /** Touches at each cast since the last change. */
  let touches: number[] = [];
  /** Cells of the casts that count, the last one last: a fouled fly takes its own cast out, whatever was changed since. */
  const counted: { readonly of: readonly Cell[]; readonly did: Did | undefined }[] = [];
  /** What an event says it was done with, otherwise what is in force. */
  const rigOf = (e: Happened) => (e.rig ? (rigs.get(e.rig) ?? rig) : rig);
  /** The cells of what is shown at an entry; a take is of the cast before it. */
  const here = (e: Happened): readonly Cell[] => {
    const cast = e.kind === 'cast' ? e : latestCast;
    const by = estimate?.water
      ? { water: estimate.water, reading: null, river: null }
      : { water: null, reading, river };
    return cells.of(
      {
        ...{ rig: rigOf(e), ...by, runName },
        plan: cast?.plan ?? null,
        did: cast?.did ?? null,
        ...{ at: cast?.at ?? e.at, timed: estimate?.timed ?? true },
      },
      estimate ? { fly: estimate.fly, how: estimate.casts === null ? 'casts not known' : 'by hand' } : {},
    );
  };
  for (const e of all) {
    first = Math.min(first, e.at);
    last = Math.max(last, e.at);
    switch (e.kind) {
      case 'run start':
        estimate = null;
        latestCast = null;
        runName = e.runName;
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
        river = e.river ?? null;
        break;
      case 'estimate': {
        estimate = e;
        latestCast = null;
        const own = here(e);
        const casts = e.casts ?? 0;
        for (const cell of own) cell.casts += casts;
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
        latestCast = e;
        t.casts++;
        counted.push({ of: here(e), did: e.did });
        passings.cast(e.did?.passed);
        for (const cell of counted.at(-1)!.of) {
          cell.casts++;
          if (e.did?.w !== undefined) addWater(cell, e.did.w);
        }
        castsSinceTake++;
        castsSinceChange++;
        touches.push(0);
        break;
      case 'fouled': {
        const last = counted.pop();
        if (!last) break;
        touches.pop();
        t.casts--;
        t.fouled++;
        passings.cast(last.did?.passed, -1);
        for (const cell of last.of) {
          cell.casts--;
          if (last.did?.w !== undefined) addWater(cell, last.did.w, -1);
        }
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
          (own[cells.indexIn(rigOf(e), e.place ?? 0)] ?? own[0]!).takes++;
          castsSinceTake = 0;
          passings.take(latestCast?.did?.passed);
          const spot = latestCast && spotOf(e, latestCast, reading?.levelM ?? null);
          if (spot) spots.push(spot);
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
    spots,
    passings: passings.all(),
    notes: all.flatMap((e) => (e.kind === 'note' ? [e.text] : e.kind === 'take' && e.fish ? [fishText(e.fish)] : [])),
    rig,
    reading,
    castsSinceTake,
    castsSinceChange,
    hungSinceChange,
    lately,
  };
}
