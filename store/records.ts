import type { DayLength, SkySaid } from '@/core/plan/dayLength';
import type { Goal, Schools } from '@/core/answer';
import type { River } from '@/core/colour/kinds';
import type { Played } from '@/core/practice/played';
import type { Effort } from '@/core/learn/effort';
import type { Patience } from '@/core/cover/patience';
import type { CastPlan, Means, Way } from '@/core/cast';
import type { Matched } from '@/formats/sheet/fields';
import type { WeatherHour } from '@/core/gauge/weather';
import type { DepthSchool, FloodSchool, OwnFish, Quarry, SizeClass } from '@/core/lies';
import type { OutingFacts } from '@/core/logbook';
import type { Stop } from '@/core/plan/dayAsk';
import type { Span } from '@/core/plan/spans';
import type { WaterRules } from '@/core/rules';
import type { KitItem } from '@/core/tackle';
import { NO_RIG, type RigChoice } from '@/core/tackle/rig'; // not the barrel: this weighs on the first screen
import type { Reading, Run } from '@/core/water';
import { type UnitSystem } from '@/words/units';

export interface Water {
  readonly id: string;
  readonly name: string;
  /** In the user's words: "sea-trout river". */
  readonly character: string;
  readonly quarry: Quarry;
  /** Other fish in it, of which one may be after on a day. */
  readonly also?: readonly Quarry[];
  /** Where it is; null: not said yet. */
  readonly latDeg: number | null;
  readonly lonDeg: number | null;
  /** Gauge and weather may be the simulated ones: a water of the demo. */
  readonly simulated?: true;
  /** Gauge station, if one is near. */
  readonly stationId: string | null;
  /** Staff level that counts as normal, m. */
  readonly normalStageM: number | null;
  /** How it colours and clears; not said: not known. */
  readonly river?: River;
  /** Driving time, one way. */
  readonly driveMin?: number | null;
  /** Dam releases by the clock; not said: none is known. */
  readonly releases?: readonly Span[];
  /** High waters below it, ms UTC, the first first; not said: not known. */
  readonly tides?: readonly number[];
  /** Null: not entered yet. Then nothing is barred by them, and one is told to check. */
  readonly rules: WaterRules | null;
}

/** A gauge's past out of a file of the user's. */
export interface GaugeFile {
  readonly id: string;
  readonly name: string;
  readonly importedAt: number;
  /** Oldest first: ms UTC, level m, flow m³/s, water °C, rain mm; null where it says nothing. */
  readonly values: readonly (readonly [number, ...(number | null)[]])[];
}

/** What others say of a water: hearsay, with its source and its date. */
export interface Report {
  readonly id: string;
  readonly waterId: string;
  readonly at: number;
  readonly source: string;
  readonly text: string;
  /** Somebody fished the water that day. */
  readonly fished: boolean;
}

/** What was said of a water's colour, kept as it was made: held later against what was read. */
export interface ColourSaid {
  readonly id: string;
  readonly waterId: string;
  readonly madeAt: number;
  readonly forAt: number;
  readonly medianM: number;
  readonly low80M: number;
  readonly high80M: number;
}

/** The weather of a water as its angler entered it for a day, or out of a forecast's file. */
export interface OwnWeather {
  readonly id: string;
  readonly waterId: string;
  /** The file's name; null: entered by hand. */
  readonly file: string | null;
  readonly at: number;
  /** Oldest first. */
  readonly hours: readonly WeatherHour[];
}

/** A day that is planned on a water. */
export interface Trip {
  readonly id: string;
  readonly waterId: string;
  /** YYYY-MM-DD */
  readonly day: string;
  /** Leaving home, minutes since midnight; null: so as to be there for the first hours. */
  readonly leaveMin: number | null;
  /** In their order; null: as proposed. */
  readonly stops: readonly Stop[] | null;
  /** When one wants to be home again, minutes since midnight; not said: when it is dark. */
  readonly backMin?: number;
  /** What one says of the sky; not said: as foretold. */
  readonly sky?: SkySaid;
  /** What is packed already. */
  readonly packed: readonly string[];
}

export interface Outing {
  readonly id: string;
  readonly waterId: string;
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly notes: string;
}

/** An outing as its log speaks of it, and the other way. */
export const factsOf = ({ id: outingId, ...facts }: Outing): OutingFacts => ({ outingId, ...facts });
export const outingOf = ({ outingId: id, ...facts }: OutingFacts): Outing => ({ id, ...facts });

/** How the program is set; one record. */
export interface Settings {
  readonly id: 'settings';
  readonly units: UnitSystem;
  readonly theme: 'daylight' | 'dusk' | 'system';
  /** Body height, m: scales the marks on the leg. */
  readonly heightM: number;
  readonly school: DepthSchool;
  /** Not said: to the margins. */
  readonly flood?: FloodSchool;
  /** What the angler can do; not said: not asked yet. */
  readonly means?: Means;
  /** What was chosen where good anglers disagree; depth and margins stand above. */
  readonly schools?: Partial<Schools>;
  /** Goal of the day; not said: any. */
  readonly goal?: Goal;
  /** How the end of a rest is told; not said: by sound and buzz. */
  readonly alarm?: Alarm;
  /** Simulated stations and weather are offered for own waters too: to practise. Not said: for the demo's only. */
  readonly simulated?: boolean;
  /** Single letters do what buttons do on Fish; not said: they do. */
  readonly keys?: boolean;
  /** Minutes to walk to the next run; not said: ten. */
  readonly walkMin?: number;
  /** How long one wants to be on the water; not said: a whole day. */
  readonly dayLength?: DayLength;
  /** What one’s own takes say of fish, where that is to count; not said: as is assumed. */
  readonly ownFish?: OwnFish;
  /** Whether the moon is asked by under Learn; not said: it is not. */
  readonly moon?: boolean;
  /** What effort is counted by under Learn; not said: casts. */
  readonly effort?: Effort;
  /** What columns of sheets were taken for, by heading. */
  readonly sheetColumns?: Readonly<Record<string, Matched>>;
  /** When everything was last exported, and how many casts there were then. */
  readonly exported?: { readonly at: number; readonly casts: number };
}

export const ALARMS = ['sound and buzz', 'buzz', 'off'] as const;
export type Alarm = (typeof ALARMS)[number];

/** Where the user is in the work; one record, so that a reload loses nothing. */
export interface Session {
  readonly id: 'session';
  readonly waterId: string | null;
  readonly runId: string | null;
  /** Day being planned, YYYY-MM-DD; null is today. */
  readonly day: string | null;
  /** On the rod in hand. */
  readonly rig: RigChoice;
  /** On other rods that stand ready. */
  readonly rigged?: readonly RigChoice[];
  readonly cast: CastPlan | null;
  /** The outing being fished, if one is. */
  readonly outingId: string | null;
  /** The fish that one is after on a day; another day it is the water's own again. */
  readonly after?: { readonly waterId: string; readonly day: string; readonly quarry: Quarry };
  /** Size of fish; not said: any. */
  readonly size?: SizeClass;
  /** How long one has for a run, minutes, and how patient one is; not said: an hour, two showings. */
  readonly time?: { readonly minutes: number; readonly patience: Patience; readonly byRule?: boolean };
  /** The casts that are worked through on the river, so that they stay the same after a reload. */
  readonly beat?: StoredBeat;
  /** What is to be held against each other on the river. */
  readonly trial?: PlannedTrial;
  /** How far one is in the tour of the demo; not said: none is offered; null: it was ended. */
  readonly tour?: number | null;
}

/** Two flies, by their ids, or two ways. */
export type PlannedTrial =
  { readonly a: string; readonly b: string } | { readonly ways: { readonly a: Way; readonly b: Way } };

export interface StoredBeat {
  /** What it was planned for: run, reading, rig, time; another key is another plan. */
  readonly key: string;
  /** How it is cast, by stand. */
  readonly stands: readonly CastPlan[];
  readonly casts: readonly CastPlan[];
}

export interface Records {
  water: Water;
  run: Run;
  kit: KitItem;
  reading: Reading;
  outing: Outing;
  settings: Settings;
  session: Session;
  feed: GaugeFile;
  report: Report;
  forecast: ColourSaid;
  trip: Trip;
  weather: OwnWeather;
  practice: Played;
}
export type RecordKind = keyof Records;
/** Those that backups of the first versions have no list of. */
export const LATER_KINDS = ['feed', 'report', 'forecast', 'trip', 'weather', 'practice'] as const;
export const RECORD_KINDS = [
  ...(['water', 'run', 'kit', 'reading', 'outing', 'settings', 'session'] as const),
  ...LATER_KINDS,
] as const;

export const DEFAULT_SETTINGS: Settings = {
  id: 'settings',
  units: 'metric',
  theme: 'daylight',
  heightM: 1.75,
  school: 'near the bed',
};

export const EMPTY_SESSION: Session = {
  id: 'session',
  waterId: null,
  runId: null,
  day: null,
  rig: NO_RIG,
  cast: null,
  outingId: null,
};
