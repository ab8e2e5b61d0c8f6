import { unparse } from 'papaparse';
import { handsOf } from '@/core/cast';
import type { LogEvent } from '@/core/logbook';
import type { Rig } from '@/core/tackle';
import { isRead, type Reading } from '@/core/water';

export interface OutingLog {
  readonly waterName: string;
  readonly outingId: string;
  /** Names of runs by their ids. */
  readonly runNames: ReadonlyMap<string, string>;
  readonly events: readonly LogEvent[];
}

export const COLUMNS = [
  'outing',
  'water',
  'event',
  'kind',
  'time_utc',
  'run',
  'x_m',
  'y_m',
  'rod',
  'head',
  'tip',
  'tip_sink_rate_m_s',
  'leader',
  'fly',
  'fly_family',
  'fly_colour',
  'fly_length_m',
  'dropper',
  'float',
  'shot_kg',
  'level_m',
  'visibility_m',
  'water_colour',
  'surface_speed_m_s',
  'water_temp_c',
  'sky',
  'line_out_m',
  'cast_angle_deg',
  'mend_m',
  'way',
  'step_m',
  'casts',
  'takes',
  'take',
  'take_where',
  'take_sign',
  'juvenile',
  'fish_species',
  'fish_length_m',
  'fly_place',
  'minutes',
  'text',
  'undoes',
] as const;
export type Column = (typeof COLUMNS)[number];
export type Row = Partial<Record<Column, string | number | boolean | null>>;

const rigColumns = (rig: Rig | null): Row =>
  rig
    ? {
        rod: rig.rod.name,
        head: rig.head.name,
        tip: rig.tip?.name ?? '',
        tip_sink_rate_m_s: rig.tip?.sinkRateMps ?? '',
        leader: rig.leader.name,
        fly: rig.fly.name,
        fly_family: rig.fly.family,
        fly_colour: rig.fly.colour,
        fly_length_m: rig.fly.lengthM,
        dropper: rig.droppers.map((d) => d.fly.name).join(' + '),
        float: rig.float?.item.name ?? '',
        shot_kg: rig.shot?.massKg ?? '',
      }
    : {};

const readingColumns = (r: Reading | null): Row =>
  r
    ? {
        level_m: r.levelM,
        visibility_m: isRead(r, 'visibility') ? r.visibilityM : '',
        water_colour: isRead(r, 'colour') ? r.colour : '',
        surface_speed_m_s: r.speed?.surfaceMps ?? '',
        water_temp_c: r.waterTempC ?? '',
        sky: isRead(r, 'sky') ? r.sky : '',
      }
    : {};

function eventColumns(e: LogEvent): Row {
  switch (e.kind) {
    case 'cast':
      return {
        line_out_m: e.plan.outM,
        cast_angle_deg: e.plan.angleDeg,
        mend_m: e.plan.mendM,
        way: handsOf(e.plan).way,
      };
    case 'step':
      return { step_m: e.byM };
    case 'take':
      return {
        take: e.what,
        take_where: e.where ?? '',
        take_sign: e.sign ?? '',
        juvenile: e.juvenile,
        fish_species: e.fish?.species ?? '',
        fish_length_m: e.fish?.lengthM ?? '',
        fly_place: e.place ?? '',
        text: e.fish?.condition ?? '',
        ...(e.on && { fly: e.on, fly_family: '', fly_colour: '', fly_length_m: '', dropper: '' }),
      };
    case 'go':
      return { text: e.lie === null ? e.how : `${e.how} ${e.lie}` };
    case 'way':
      return { way: e.hands?.way ?? 'as planned' };
    case 'trial':
      return { text: e.flyId ?? '', way: e.hands?.way ?? '' };
    case 'rest':
      return { minutes: e.minutes };
    case 'note':
      return { text: e.text };
    case 'estimate':
      return {
        casts: e.casts ?? '',
        takes: e.takes,
        minutes: e.minutes ?? '',
        ...(e.fly && { fly: e.fly.name, fly_colour: e.fly.colour ?? '', fly_family: e.fly.family ?? '' }),
        ...(e.water && {
          level_m: e.water.levelM ?? '',
          visibility_m: e.water.visibilityM ?? '',
          water_temp_c: e.water.waterTempC ?? '',
          sky: e.water.sky ?? '',
        }),
      };
    case 'undo':
      return { undoes: e.undoes };
    case 'amend':
      return { text: e.to.kind, ...eventColumns(e.to), undoes: e.to.id };
    case 'split':
    case 'join':
      return { text: `${e.ids.length} entries, ${e.outing.outingId}` };
    default:
      return {};
  }
}

/** Without it some spreadsheets take UTF-8 for the code page of the machine, and umlauts are lost. */
const BYTE_ORDER_MARK = '\ufeff';
/** Text that begins so would be run as a formula by some spreadsheet, in full-width forms too: an apostrophe keeps it text. */
export const RUNS = /^[=+\-@\t\r\n＝＋－＠]/;

/** What a log says, entry by entry, with the rig and the conditions in force spelled out. SI units, as the names of the columns say. */
export function rowsOf(log: OutingLog): Row[] {
  const rigs = new Map<string, Rig>();
  let reading: Reading | null = null;
  return log.events.map((e) => {
    if (e.kind === 'rig' && e.rig) rigs.set(e.rig, e.set);
    if (e.kind === 'reading') reading = e.reading;
    return {
      outing: log.outingId,
      water: log.waterName,
      event: e.id,
      kind: e.kind,
      time_utc: new Date(e.at).toISOString(),
      run: e.runId ? (log.runNames.get(e.runId) ?? e.runId) : '',
      x_m: e.xM ?? '',
      y_m: e.yM ?? '',
      ...rigColumns(e.rig ? (rigs.get(e.rig) ?? null) : null),
      ...readingColumns(reading),
      ...eventColumns(e),
    };
  });
}

/** Rows as CSV (RFC 4180: CRLF, quotes doubled; UTF-8 with a byte-order mark), the first row names the columns. */
export const csvOf = (fields: readonly string[], data: readonly object[]): string =>
  BYTE_ORDER_MARK + unparse({ fields: [...fields], data: [...data] }, { newline: '\r\n', escapeFormulae: RUNS });

/** The log as CSV, one row an event. Undone events stay in, followed by the row that undoes them. */
export const logToCsv = (logs: readonly OutingLog[]): string => csvOf(COLUMNS, logs.flatMap(rowsOf));
