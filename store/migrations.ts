import type { Way } from '@/core/cast';
import { PRESENTATIONS } from '@/core/cast/presentation'; // not the barrel: this weighs on the first screen
import type { RecordKind } from './records';

type Old = Record<string, unknown>;
type Migration = (old: Old) => Old;
/** What is kept in versions: records, and the parts of an outing's log. A reading inside an event is a record's. */
type Versioned = RecordKind | 'event' | 'rig' | 'log head';

/** A head had one sink rate, or another for its front half, and a shape that said whether it sinks. */
const HEAD_2: Migration = ({ shape, sinkRateMps, frontSinkRateMps, ...rest }) => ({
  ...rest,
  shape: shape === 'sinking' ? 'long' : shape,
  sinkRatesMps: frontSinkRateMps === undefined ? [sinkRateMps] : [sinkRateMps, frontSinkRateMps],
});
/** A leader was one piece. */
const LEADER_2: Migration = ({ lengthM, diameterM, material, ...rest }) => ({
  ...rest,
  pieces: [{ part: 'tippet', lengthM, diameterM, material }],
});
/** A second fly hung where everyone's did: on a tag 0.9 m above the point, or four fifths up a short leader. */
const LONG_LEADER_M = 2.7;
const hungAsAll = (leaderM: number) => ({ way: 'tag', aboveM: Math.min(0.9, 0.8 * leaderM), armM: 0.18 });

/** Rules as a new water had them while nobody had entered any. */
const UNGIVEN_RULES = JSON.stringify({
  ...{ maxFlies: 1, barbless: true, noAddedWeight: false, season: null, closesAtC: null, text: '', source: '' },
});
const isOfStation = (stationId: unknown): boolean => typeof stationId === 'string' && !stationId.startsWith('file:');

/** What turns version n of something into version n + 1, in order; its version is one more than their number. Steps are
 * never changed once data of their kind exist: old data always opens (store/old/ keeps some of each). */
export const MIGRATIONS: Record<Versioned, readonly Migration[]> = {
  water: [
    // 1 → 2: a place, and rules, that nobody gave were told as if somebody had; stations were all simulated ones.
    ({ latDeg, lonDeg, rules, ...rest }) => ({
      ...rest,
      ...(latDeg === 57 && lonDeg === -5 ? { latDeg: null, lonDeg: null } : { latDeg, lonDeg }),
      ...(isOfStation(rest['stationId']) ? { simulated: true } : null),
      rules: JSON.stringify(rules) === UNGIVEN_RULES ? null : rules,
    }),
  ],
  run: [],
  kit: [
    // 1 → 2: heads of up to three densities, leaders in pieces.
    (item) => (item['type'] === 'head' ? HEAD_2(item) : item['type'] === 'leader' ? LEADER_2(item) : item),
    // 2 → 3: flies for the log only; there were none.
    (item) => item,
  ],
  reading: [
    // 1 → 2: a visibility could not be a lower bound yet, and the temperature's name did not say of what.
    ({ temperatureC = null, ...rest }) => ({ ...rest, atLeast: false, waterTempC: temperatureC }),
  ],
  outing: [],
  settings: [
    // 1 → 2: of fish, only how far up they come could be one's own.
    ({ comesUp, ...rest }) => ({
      ...rest,
      ...(comesUp
        ? { ownFish: Object.fromEntries(Object.entries(comesUp).map(([of, up]) => [of, { up: up as number }])) }
        : null),
    }),
  ],
  feed: [],
  report: [],
  forecast: [],
  trip: [],
  weather: [],
  practice: [],
  session: [
    // 1 → 2: up to two flies above the point, each with how it hangs; running lines and floats. The leader is not known here:
    // where the second fly would not fit on it, the rig says so.
    (old) => {
      const { dropperId, ...rig } = old['rig'] as Old;
      const droppers = dropperId ? [{ flyId: dropperId, ...hungAsAll(LONG_LEADER_M) }] : [];
      return { ...old, rig: { ...rig, runningId: '', droppers, floatId: '' } };
    },
  ],
  event: [
    // 1 → 2: places are named as everywhere else; a cast holds its whole plan, no longer parts of it.
    ({ x = null, y = null, ...rest }) => {
      const placed = { ...rest, xM: x, yM: y };
      if (rest['kind'] !== 'cast') return placed;
      const { outM, angleDeg, mendM, way, ...cast } = placed as Old & { way?: Way };
      const hands = way && way !== 'swing' ? { hands: { way, ...PRESENTATIONS[way].hands } } : null;
      return { ...cast, plan: { xM: x ?? 0, yM: y ?? 0, outM, angleDeg, mendM, rod: 'follow', ...hands } };
    },
    // 2 → 3: what a cast did, which fly was taken, where one went and how it was shown can be said; it was not.
    (old) => old,
    // 3 → 4: a log can be corrected, and a day told afterwards; none was.
    (old) => old,
    // 4 → 5: rises, and takes on flies that are no part of the rig, can be said; none was.
    (old) => old,
    // 5 → 6: of how flies passed before fish, only how high above them was kept.
    (old) => {
      const { rise, ...did } = (old['did'] ?? {}) as Old & { rise?: { of: string; by: number[] } };
      if (!rise) return old;
      return { ...old, did: { ...did, passed: { of: rise.of, up: rise.by, aside: [], across: [], headOn: [] } } };
    },
  ],
  rig: [
    // 1 → 2: as heads and leaders of the kit; a second fly says how it hangs.
    ({ dropper, ...rig }) => ({
      ...rig,
      head: HEAD_2(rig['head'] as Old),
      leader: LEADER_2(rig['leader'] as Old),
      droppers: dropper ? [{ fly: dropper, ...hungAsAll((rig['leader'] as Old)['lengthM'] as number) }] : [],
    }),
  ],
  'log head': [
    // 1 → 2: what a log folds to says by which rules it was folded; it did not.
    (head) => ({ ...head, folded: null }),
  ],
};

export const versionOf = (kind: Versioned): number => MIGRATIONS[kind].length + 1;

/** Brings data of an older version up to date. Throws RangeError when it is newer than this program. */
export function migrate(kind: Versioned, version: number, data: Old): Old {
  const now = versionOf(kind);
  if (!Number.isInteger(version) || version < 1)
    throw new RangeError(`${kind}: its version is missing, or is none that there was`);
  if (version > now)
    throw new RangeError(`${kind}: written by a newer version of the program (${version}, this one knows ${now})`);
  return MIGRATIONS[kind].slice(version - 1).reduce((d, step) => step(d), data);
}

/** Versions of all that stands in a list of events. */
export interface EventVersions {
  readonly event: number;
  readonly rig: number;
  readonly reading: number;
}
export const EVENT_VERSIONS: EventVersions = {
  event: versionOf('event'),
  rig: versionOf('rig'),
  reading: versionOf('reading'),
};
export const isCurrent = (v: EventVersions): boolean =>
  v.event === EVENT_VERSIONS.event && v.rig === EVENT_VERSIONS.rig && v.reading === EVENT_VERSIONS.reading;

/** Versions that lists were written in before they said so: what a reading has in it tells its own. */
const unsaid = (event: Old): EventVersions => ({
  event: 1,
  rig: 1,
  reading: event['kind'] === 'reading' && 'temperatureC' in (event['reading'] as Old) ? 1 : 2,
});

/** Brings one event, with the rig or reading inside it, up to date. `versions` null: written before they were said. */
export function migrateEvent(versions: EventVersions | null, event: Old): Old {
  const v = versions ?? unsaid(event);
  const now = migrate('event', v.event, event);
  if (now['kind'] === 'amend') return { ...now, to: migrateEvent(v, now['to'] as Old) };
  if (now['kind'] === 'rig') return { ...now, set: migrate('rig', v.rig, now['set'] as Old) };
  if (now['kind'] === 'reading') return { ...now, reading: migrate('reading', v.reading, now['reading'] as Old) };
  return now;
}
