import {
  type Caught,
  duringVisit,
  type EventOf,
  fold,
  type Happened,
  isTake,
  type LogEvent,
  type OutingFacts,
  standing,
  type Tally,
  untimed,
  type Visit,
} from '@/core/logbook';
import { takenAt } from '@/core/logbook/asSimulated';
import { entryAt, entryId, grouped } from '@/core/logbook/grouped';
import { castsText, eventText } from '@/words/log';
import { HOUR_MS } from '@/core/units';
import type { Reading, Run } from '@/core/water';
import { type Column, COLUMNS, type Row, rowsOf } from './csv';
import { type LatLon, toLatLon } from './geo';
import { hintsIn, withoutNames } from './hints';
import type { Privacy } from './privacy';
import { type UnitSystem } from '@/words/units';

/** An outing that is to be shared, with all that it speaks of. */
export interface SharedOuting {
  readonly outing: OutingFacts;
  readonly water: { readonly name: string; readonly place: LatLon | null } | null;
  readonly runs: ReadonlyMap<string, Run>;
  readonly events: readonly LogEvent[];
}

export interface VeiledTake {
  readonly at: number;
  /** Whether more than the day is known of when it was. */
  readonly timed: boolean;
  readonly run: string;
  readonly what: string;
  readonly where: string | null;
  readonly juvenile: boolean;
  readonly species: string | null;
  readonly lengthM: number | null;
  readonly place: LatLon | null;
}
interface VeiledFish {
  readonly at: number;
  readonly run: string;
  readonly species: string;
  readonly lengthM: number | null;
  readonly sex: string | null;
  readonly origin: string | null;
  readonly condition: string;
  readonly fly: string;
  readonly flyColour: string;
  readonly hook: string;
  readonly levelM: number | null;
  readonly where: string | null;
  readonly place: LatLon | null;
}
/** What a map of a stay is drawn from. */
export interface VisitMap {
  readonly run: Run;
  readonly reading: Reading | null;
  readonly casts: readonly EventOf<'cast'>[];
  readonly takes: readonly EventOf<'take'>[];
}
/** A stay on a run, with what its map is drawn from only where places are told. */
export interface VeiledVisit extends Omit<Visit, 'runId' | 'runName'> {
  readonly run: string;
  readonly map: VisitMap | null;
  readonly place: LatLon | null;
}

/** What of an outing may be told: nothing that is left out is anywhere in it. */
export interface VeiledOuting {
  /** Tells outings apart, and nothing else. */
  readonly uid: string;
  readonly startedAt: number;
  readonly endedAt: number;
  readonly water: string | null;
  readonly place: LatLon | null;
  readonly notes: string;
  readonly tally: Tally;
  readonly visits: readonly VeiledVisit[];
  readonly takes: readonly VeiledTake[];
  readonly fish: readonly VeiledFish[];
  /** What happened, hour by hour, in words; `at` null: when in its stay is not known. */
  readonly entries: readonly { readonly at: number | null; readonly text: string; readonly isTake: boolean }[];
  /** Entry by entry, in columns. */
  readonly rows: readonly Row[];
}
export interface Veiled {
  readonly privacy: Privacy;
  readonly columns: readonly (Column | 'lat_deg' | 'lon_deg')[];
  readonly outings: readonly VeiledOuting[];
}

const PLACE_COLUMNS: readonly Column[] = ['x_m', 'y_m'];
const NAME_COLUMNS: readonly Column[] = ['water', 'run'];
const NOTE_COLUMNS: readonly Column[] = ['text'];
/** Ids may be made of names. */
const ID_COLUMNS: readonly Column[] = ['event', 'undoes'];

/** Kinds of entries whose text is made of ids. */
const IDS_IN_TEXT: ReadonlySet<LogEvent['kind']> = new Set(['trial', 'split', 'join']);

/** Names in an outing that give away what is not told of it. */
export const hintsOf = (
  { water, runs, events }: Pick<SharedOuting, 'water' | 'runs' | 'events'>,
  { names }: Pick<Privacy, 'names'>,
): string[] => {
  const here = new Set(events.map((e) => e.runId));
  const ofRuns = [...runs].flatMap(([id, run]) => (here.has(id) ? [run.name] : []));
  return hintsIn(events, names ? [] : [...(water ? [water.name] : []), ...ofRuns]);
};

/** Blurred to a tenth of a degree, some ten kilometres. */
const blurred = ({ latDeg, lonDeg }: LatLon): LatLon => ({
  latDeg: Math.round(10 * latDeg) / 10,
  lonDeg: Math.round(10 * lonDeg) / 10,
});

/**
 * What may be told of outings: built up from what is allowed, so that whatever is written from it holds no more.
 *
 * @param units of what is said in words
 * @param file a name that no other file has: what tells its outings apart is made of it, and of nothing that could be guessed
 * @param runId only what happened on this run; null: all
 */
export function veil(
  outings: readonly SharedOuting[],
  privacy: Privacy,
  units: UnitSystem,
  file: string,
  runId: string | null = null,
): Veiled {
  const { place, names, notes } = privacy;
  const step = privacy.times === 'to the hour' ? HOUR_MS : 1;
  /** A moment as it is told. */
  const when = (at: number): number => Math.floor(at / step) * step;
  const until = (at: number): number => Math.ceil(at / step) * step;
  const numbers = new Map<string, number>();
  const nameOf = (id: string | null, name: string): string => {
    if (names) return name;
    const key = id ?? name;
    if (!numbers.has(key)) numbers.set(key, numbers.size + 1);
    return `run ${numbers.get(key)}`;
  };
  const left = new Set<Column>([
    ...ID_COLUMNS,
    ...(place === 'told' ? [] : PLACE_COLUMNS),
    ...(names ? [] : NAME_COLUMNS),
    ...(notes ? [] : NOTE_COLUMNS),
  ]);
  const kept = COLUMNS.filter((c) => !left.has(c));
  const columns = [...kept, ...(place === 'left out' ? [] : (['lat_deg', 'lon_deg'] as const))];
  return { privacy, columns, outings: outings.map((o, i) => veiledOuting(o, `${file}-${i + 1}`)) };

  function veiledOuting({ outing, water, runs, events }: SharedOuting, uid: string): VeiledOuting {
    const hints = privacy.hints ? [] : hintsOf({ water, runs, events }, privacy);
    const all = withoutNames(standing(events), hints) as Happened[];
    const mine = (id: string | null) => runId === null || id === runId;
    const own = all.filter((e) => mine(e.runId));
    const whole = fold(all);
    const { visits, fish } = whole;
    const tally = runId === null ? whole.tally : fold(own).tally;
    const told = untimed(all);
    const runNames = new Map(visits.flatMap((v) => (v.runId ? [[v.runId, nameOf(v.runId, v.runName)] as const] : [])));
    /** Of runs that are not known here, only the stay says the name. */
    const runName = ({ runId: id, at }: { readonly runId: string | null; readonly at: number }): string => {
      const stay = id ? undefined : visits.find((v) => v.runId === null && v.fromAt <= at && at <= v.toAt);
      return (id && runNames.get(id)) || (stay ? nameOf(null, stay.runName) : '');
    };
    const ofWater = water?.place ?? null;
    const seen = ofWater && place === 'blurred' ? blurred(ofWater) : ofWater;
    const around = place === 'left out' || !seen ? null : { latDeg: seen.latDeg, lonDeg: seen.lonDeg };
    /** Where something on a run was, as far as that is told. */
    const spot = (id: string | null, xM: number | null, yM: number | null): LatLon | null => {
      const run = id && runs.get(id);
      const origin = (run || null)?.origin ?? ofWater;
      if (place !== 'told' || !run || xM === null || yM === null || !origin) return around;
      return toLatLon(run, origin, xM, yM);
    };
    const casts = own.filter((e) => e.kind === 'cast');
    const spotOf = (take: Caught['take']): LatLon | null => {
      const at = takenAt(
        take,
        casts.findLast((c) => c.at <= take.at),
      );
      return spot(take.runId, at?.xM ?? take.xM, at?.yM ?? take.yM);
    };
    const rows = rowsOf({ outingId: uid, waterName: water?.name ?? '', runNames, events: all }).flatMap((row, i) => {
      const e = all[i]!;
      if (!mine(e.runId)) return [];
      const at = spot(e.runId, e.xM, e.yM);
      const some = Object.fromEntries(kept.map((c) => [c, row[c] ?? '']));
      const bare = {
        ...some,
        time_utc: new Date(when(e.at)).toISOString(),
        ...(IDS_IN_TEXT.has(e.kind) && notes && { text: '' }),
      };
      return [{ ...bare, ...(at && { lat_deg: digits(at.latDeg), lon_deg: digits(at.lonDeg) }) } as Row];
    });
    return {
      ...{ uid, startedAt: when(outing.startedAt) },
      endedAt: until(outing.endedAt ?? all.at(-1)?.at ?? outing.startedAt),
      water: names ? (water?.name ?? null) : null,
      place: around,
      notes: notes ? outing.notes : '',
      tally,
      visits: visits
        .filter((v) => mine(v.runId))
        .map((visit) => {
          const { runId: id, runName: name, ...v } = visit;
          const run = place === 'told' && id ? runs.get(id) : undefined;
          const map = run ? { run, ...drawn(duringVisit(visit, all)) } : null;
          const stay = { ...v, fromAt: when(v.fromAt), toAt: until(v.toAt) };
          return { ...stay, run: nameOf(id, name), map, place: spot(id, 0, 0) };
        }),
      takes: own
        .filter((e) => e.kind === 'take')
        .map((e) => ({
          ...{
            at: when(e.at),
            timed: !told.has(e.id),
            run: runName(e),
            what: e.what,
            where: e.where,
            juvenile: e.juvenile,
          },
          ...{ species: e.fish?.species ?? null, lengthM: e.fish?.lengthM ?? null, place: spotOf(e) },
        })),
      fish: fish
        .filter((c) => mine(c.take.runId))
        .map(({ take, fly, levelM }) => ({
          ...{ at: when(take.at), run: runName(take), species: take.fish?.species ?? 'fish', where: take.where },
          ...{ lengthM: take.fish?.lengthM ?? null, sex: take.fish?.sex ?? null, origin: take.fish?.origin ?? null },
          ...{ condition: notes ? (take.fish?.condition ?? '') : '', fly: fly?.name ?? '', hook: fly?.hook ?? '' },
          ...{ flyColour: fly?.colour ?? '', levelM, place: spotOf(take) },
        })),
      entries: grouped(own).flatMap((e) => {
        if (e.kind === 'run start' || e.kind === 'run end' || (e.kind === 'note' && !notes)) return [];
        const text = e.kind === 'casts' ? castsText(e, units, place === 'told') : eventText(e, units);
        return [{ at: told.has(entryId(e)) ? null : when(entryAt(e)), text, isTake: e.kind === 'take' && isTake(e) }];
      }),
      rows,
    };
  }
}

const drawn = (during: readonly Happened[]): Omit<VisitMap, 'run'> => ({
  reading: during.find((e) => e.kind === 'reading')?.reading ?? null,
  casts: during.filter((e) => e.kind === 'cast'),
  takes: during.filter((e) => e.kind === 'take' && !e.juvenile) as EventOf<'take'>[],
});

/** A metre is a hundred-thousandth of a degree; more digits would only look exact. */
const digits = (deg: number): number => Number(deg.toFixed(6));
