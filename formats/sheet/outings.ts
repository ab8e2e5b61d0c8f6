import { str as crc32 } from 'crc-32';
import type { LogEvent, OutingFacts } from '@/core/logbook';
import { type RememberedStay, stayByHand, throughNight } from '@/core/logbook/byHand';
import { groupBy } from '@/core/maths';
import type { RowValues } from './terms';
import { MINUTE_MS } from '@/core/units';

/** An outing that rows of a sheet come to. */
export interface SheetOuting {
  readonly outing: OutingFacts;
  readonly events: readonly LogEvent[];
}

interface Making {
  /** The water that a name stands for. */
  readonly waterId: (name: string) => string;
  /** The run of a water that a name stands for; null: it is only a name. */
  readonly runId: (waterId: string, name: string) => string | null;
  /** Casts an hour where only hours are known; null: casts stay unknown then. */
  readonly castsAnHour: number | null;
}

const NOON_MIN = 12 * 60;
const DAY_MIN = 24 * 60;
const LONGEST_NOTES = 2000;
/** Who does not say more of a fish. */
const A_FISH = 'fish';

/** One number, however rows say it: the same on every fish of a day is of the day, otherwise each row’s is its own. */
function effort(rows: readonly RowValues[], of: (r: RowValues) => number | null): number | null {
  const said = rows.map(of).filter((v) => v !== null);
  if (said.length === 0) return null;
  const repeated = said.length > 1 && rows.every((r) => isOfOneFish(r)) && said.every((v) => v === said[0]);
  return repeated ? said[0]! : said.reduce((a, b) => a + b, 0);
}
const isOfOneFish = (r: RowValues): boolean =>
  (r.species !== '' || r.lengthsM.length === 1) && (r.landed === null || r.landed <= 1);

/** Fish of a row: as many as it counts, or as it describes. */
const fishOf = (r: RowValues): number => r.landed ?? Math.max(r.lengthsM.length, r.species !== '' ? 1 : 0);

const first = <T>(rows: readonly RowValues[], of: (r: RowValues) => T | null): T | null =>
  rows.map(of).find((v) => v !== null) ?? null;

/** The stay on one run that rows tell of, from a minute of the day on where they do not say it. */
function stay(
  rows: readonly RowValues[],
  runId: string | null,
  startMin: number,
  castsAnHour: number | null,
): RememberedStay {
  const { run, dayAt } = rows[0]!;
  const fromMin = Math.min(...rows.flatMap((r) => r.fromMin ?? [])); // Infinity where none says it
  const nextDay = (r: RowValues) => (throughNight(r.fromMin ?? 0, r.toMin ?? 0) ? DAY_MIN : 0);
  const toMin = Math.max(...rows.flatMap((r) => (r.toMin === null ? [] : r.toMin + nextDay(r))));
  const told = effort(rows, (r) => r.hours);
  const hours = told ?? (Number.isFinite(fromMin) && Number.isFinite(toMin) ? (toMin - fromMin) / 60 : null);
  const begin = Number.isFinite(fromMin) ? fromMin : startMin;
  const end = Number.isFinite(toMin) ? toMin : begin + 60 * (hours ?? 0);
  const [fly, colour] = [rows.find((r) => r.fly)?.fly ?? '', first(rows, (r) => r.colour)];
  const at = (min: number) => new Date(dayAt).setHours(0, 0, 0, 0) + min * MINUTE_MS;
  return {
    ...{ runId, runName: run || 'somewhere', fromAt: at(begin), toAt: at(Math.max(begin, end)) },
    casts:
      effort(rows, (r) => r.casts) ?? (hours !== null && castsAnHour !== null ? Math.round(hours * castsAnHour) : null),
    takes: effort(rows, (r) => r.takes) ?? 0,
    minutes: hours === null ? null : Math.round(60 * hours),
    timed: Number.isFinite(fromMin) && (Number.isFinite(toMin) || hours !== null),
    fly: fly || colour ? { name: fly, colour, family: null } : null,
    water: {
      ...{ levelM: first(rows, (r) => r.levelM), visibilityM: first(rows, (r) => r.visibilityM) },
      ...{ waterTempC: first(rows, (r) => r.waterTempC), sky: first(rows, (r) => r.sky) },
    },
    landed: rows.flatMap((r) =>
      Array.from({ length: fishOf(r) }, (_, i) => ({
        ...{ species: r.species || A_FISH, lengthM: r.lengthsM[i] ?? null, sex: null, condition: '', origin: null },
      })),
    ),
    lost: effort(rows, (r) => r.lost) ?? 0,
  };
}

/**
 * Outings from rows: one for each water and day, with a stay on each run. The same day of the same water always has the same id,
 * so that a sheet that is brought in again adds what is new and nothing twice.
 */
export function outingsOf(rows: readonly RowValues[], by: Making): SheetOuting[] {
  return [...groupBy(rows, (r) => `${r.dayAt}|${r.water.toLowerCase()}`).values()].map((own) => {
    const { dayAt, water } = own[0]!;
    const waterId = by.waterId(water);
    const day = new Date(dayAt);
    const key = `${day.getFullYear()}-${day.getMonth() + 1}-${day.getDate()}|${waterId}`;
    const outingId = `sheet-${(crc32(key) >>> 0).toString(16).padStart(8, '0')}`;
    let startMin = NOON_MIN;
    const stays = [...groupBy(own, (r) => r.run.toLowerCase()).values()].map((rows) => {
      const one = stay(rows, by.runId(waterId, rows[0]!.run), startMin, by.castsAnHour);
      startMin = (one.toAt - day.getTime()) / MINUTE_MS;
      return one;
    });
    let n = 0;
    const events = stays.sort((x, y) => x.fromAt - y.fromAt).flatMap((s) => stayByHand(s, () => `${outingId}-${++n}`));
    const notes = [...new Set(own.map((r) => r.notes).filter(Boolean))].join('\n');
    const outing: OutingFacts = {
      ...{ outingId, waterId, startedAt: events[0]!.at, endedAt: events.at(-1)!.at },
      notes: notes.slice(0, LONGEST_NOTES),
    };
    const rest = notes.slice(LONGEST_NOTES);
    const more = Array.from({ length: Math.ceil(rest.length / LONGEST_NOTES) }, (_, i) => ({
      ...{ id: `${outingId}-n${i + 1}`, at: outing.startedAt, runId: null, xM: null, yM: null, rig: null },
      ...{ kind: 'note' as const, text: rest.slice(i * LONGEST_NOTES, (i + 1) * LONGEST_NOTES) },
    }));
    return { outing, events: [...events, ...more] };
  });
}
