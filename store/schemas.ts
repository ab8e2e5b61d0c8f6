import { LESSON_NAMES } from '@/core/practice/lessons';
import { GAME_KINDS, type Played, SURENESS, type Sureness } from '@/core/practice/played';
import { EFFORTS } from '@/core/learn/effort';
import { DAY_LENGTHS, SKIES_SAID } from '@/core/plan/dayLength';
import { MOST_TIDES } from '@/core/plan/tides';
import Joi from 'joi';
import { GOALS } from '@/core/answer/goals'; // not the barrel: two lazy parts share it
import { type River, RIVER_KINDS } from '@/core/colour/kinds';
import { MOST_MINUTES, PATIENCES } from '@/core/cover/patience';
import {
  CAST_KINDS,
  type CastPlan,
  type Hands,
  LINE_KINDS,
  type Means,
  MEND_BYS,
  RHYTHMS,
  ROD_WAYS,
  SHOULDERS,
  TIP_WAYS,
  WAYS,
} from '@/core/cast';
import { LEEWAY_TIMES, LEEWAYS } from '@/core/lies/leeway';
import { QUARRIES, SIZE_CLASSES, STUDIED } from '@/core/lies/suitability'; // not the barrel: this weighs on the first look
import type { WeatherHour } from '@/core/gauge/weather';
import type { Span } from '@/core/plan/spans';
import type { WaterRules } from '@/core/rules';
import {
  BEDS,
  type Bend,
  COLOURS,
  type DepthAt,
  type Feature,
  FEATURE_KINDS,
  HEIGHT_M,
  PACES,
  type Reading,
  ROOMS,
  type Run,
  type Section,
  GUESSABLE,
  SIGHTINGS,
  SKIES,
  type SpeedAt,
  type Wind,
  WIND_FORCES,
  WIND_FROM,
} from '@/core/water';
import { kitSchema, rigChoiceSchema } from './kitSchemas';
import {
  ALARMS,
  type ColourSaid,
  type GaugeFile,
  type Outing,
  type OwnWeather,
  type PlannedTrial,
  type RecordKind,
  type Report,
  type Session,
  type Settings,
  type StoredBeat,
  type Trip,
  type Water,
} from './records';
import { id, name, oneOf, orNull, shape, text, time, within } from './shape';

const speed = shape<SpeedAt>({ surfaceMps: within(0.02, 5), xM: within(-50, 2000), yM: within(-300, 300) });

const monthDay = Joi.string()
  .pattern(/^\d\d-\d\d$/, 'MM-DD')
  .required();

const dayOrDate = Joi.string()
  .pattern(/^(\d{4}-)?\d\d-\d\d$/, 'MM-DD or YYYY-MM-DD')
  .required();

const rulesSchema = shape<WaterRules>({
  maxFlies: Joi.number().valid(1, 2, 3).required(),
  barbless: Joi.boolean().required(),
  noAddedWeight: Joi.boolean().required(),
  season: shape<NonNullable<WaterRules['season']>>({ from: monthDay, to: monthDay }).allow(null).required(),
  hours: shape<NonNullable<WaterRules['hours']>>({ beforeSunriseMin: within(0, 240), afterSunsetMin: within(0, 240) }),
  closedRuns: Joi.array().items(id).min(1).max(200),
  noScent: Joi.boolean(),
  closesAtC: orNull(within(5, 35)),
  text: text(),
  source: text(200),
}).required();

const minuteOfDay = within(0, 1440);
export const waterSchema = shape<Water>({
  id,
  name,
  character: text(80),
  quarry: oneOf(QUARRIES),
  also: Joi.array().items(oneOf(QUARRIES)).unique().max(QUARRIES.length),
  latDeg: orNull(within(-90, 90)),
  lonDeg: orNull(within(-180, 180)),
  simulated: Joi.valid(true),
  stationId: orNull(Joi.string().min(1).max(80).required()),
  normalStageM: orNull(within(-5, 30)),
  river: shape<River>({ kind: oneOf(RIVER_KINDS), peaty: Joi.boolean().required() }),
  driveMin: Joi.number().min(0).max(1440).allow(null),
  releases: Joi.array()
    .items(
      shape<Span>({
        ...{ fromMin: minuteOfDay, toMin: minuteOfDay },
        days: Joi.array().items(Joi.number().integer().min(0).max(6)).unique().min(1).max(6).optional(),
        dates: shape<NonNullable<Span['dates']>>({ from: dayOrDate, to: dayOrDate }).optional(),
      }),
    )
    .min(1)
    .max(400),
  tides: Joi.array().items(time).min(1).max(MOST_TIDES),
  rules: orNull(rulesSchema),
});

const gaugeFileSchema = shape<GaugeFile>({
  ...{ id, name, importedAt: time },
  values: Joi.array()
    .items(
      Joi.array().ordered(
        time,
        ...[within(-20, 100), within(0, 400_000), within(-2, 45), within(0, 10_000)].map((s) => orNull(s)),
      ),
    )
    .min(1)
    .max(10_000)
    .required(),
});
const reportSchema = shape<Report>({
  ...{ id, waterId: id, at: time, source: Joi.string().trim().min(1).max(80).required() },
  ...{ text: text(500), fished: Joi.boolean().required() },
});
/** An hour of weather, from a service, a file or by hand. */
export const weatherHour = shape<WeatherHour>({
  at: time,
  rainMm: within(0, 500),
  airTempC: within(-60, 60),
  cloud: within(0, 1),
  windMps: within(0, 120),
  windFromDeg: within(0, 360),
});
const ownWeatherSchema = shape<OwnWeather>({
  ...{ id, waterId: id, file: orNull(text(200)), at: time },
  hours: Joi.array().items(weatherHour).min(1).max(1000).required(),
});
const sightM = within(0.005, 30);
const colourSaidSchema = shape<ColourSaid>({
  ...{ id, waterId: id, madeAt: time, forAt: time, medianM: sightM, low80M: sightM, high80M: sightM },
});
const dayText = Joi.string()
  .pattern(/^\d{4}-\d\d-\d\d$/, 'YYYY-MM-DD')
  .required();
const minutes = within(1, 1440);
const tripSchema = shape<Trip>({
  sky: Joi.valid(...SKIES_SAID).optional(),
  backMin: minuteOfDay.optional(),
  ...{ id, waterId: id, day: dayText, leaveMin: orNull(minuteOfDay) },
  stops: orNull(
    Joi.array()
      .items(Joi.object({ kind: oneOf(['run']), runId: id, minutes }), Joi.object({ kind: oneOf(['break']), minutes }))
      .max(40)
      .required(),
  ),
  packed: Joi.array().items(Joi.string().max(80)).max(200).required(),
});

const playedSchema = shape<Played>({
  ...{ id, at: time, kind: oneOf([...GAME_KINDS, 'lesson']), marks: within(0, 100) },
  lesson: oneOf(LESSON_NAMES).optional(),
  sure: oneOf(Object.keys(SURENESS) as Sureness[]).optional(),
  off: within(-20, 20).optional(),
  held: Joi.boolean(),
});

const point = shape<Section['points'][number]>({ yM: within(-300, 300), depthM: within(0, 15) });
const ascending: Joi.CustomValidator<({ yM: number } | null)[]> = (points, helpers) =>
  points.every((p, i) => i === 0 || !p || p.yM > (points[i - 1]?.yM ?? -Infinity))
    ? points
    : helpers.message({ custom: '{{#label}}: places across must grow from the described bank outwards' });

export const runSchema = shape<Run>({
  id,
  waterId: id,
  name,
  lengthM: within(5, 1000),
  bank: oneOf(['left', 'right']),
  bearingDeg: within(0, 360),
  bed: oneOf(Object.keys(BEDS)),
  levelM: within(-5, 5),
  sections: Joi.array()
    .items(
      shape<Section>({
        xM: within(0, 1000),
        points: Joi.array().items(point).min(3).max(30).required().custom(ascending),
      }),
    )
    .min(2)
    .max(40)
    .required(),
  glance: Joi.boolean(),
  features: Joi.array()
    .items(
      shape<Feature>({
        id,
        kind: oneOf(FEATURE_KINDS),
        xM: within(-50, 1000),
        yM: within(-300, 300),
        lengthM: within(0.2, 500),
        widthM: within(0.2, 300),
      }),
    )
    .max(100)
    .required(),
  speed: orNull(speed.required()),
  flowM3s: within(0.001, 1e5).optional(),
  downM: within(0, 1e5).optional(),
  bend: shape<Bend>({ turns: oneOf(['left', 'right']), radiusM: within(5, 5000) }),
  room: Joi.valid(...ROOMS),
  trees: shape<NonNullable<Run['trees']>>({ nearM: within(0, 60), farM: within(0, 60) }),
  origin: shape<NonNullable<Run['origin']>>({ latDeg: within(-90, 90), lonDeg: within(-180, 180) }),
  notes: text(),
});

export const readingSchema = shape<Reading>({
  id,
  runId: id,
  at: time,
  levelM: within(-5, 5),
  visibilityM: within(0.02, 15),
  atLeast: Joi.boolean().required(),
  colour: oneOf(COLOURS),
  speed: orNull(speed.required()),
  waterTempC: orNull(within(-1, 35)),
  sky: oneOf(SKIES),
  pace: Joi.valid(...Object.keys(PACES)),
  paceTimes: within(0.3, 3).optional(),
  flowM3s: within(0.001, 1e5).optional(),
  levelFrom: Joi.valid('gauge', 'eye', 'guess'),
  guessed: Joi.array()
    .items(Joi.valid(...GUESSABLE))
    .unique(),
  depths: Joi.array()
    .items(
      shape<DepthAt>({
        xM: within(-50, 1000),
        yM: within(-300, 300),
        depthM: within(0, 15),
        how: oneOf(['leg', 'staff', 'sink count']),
      }),
    )
    .max(20),
  wind: shape<Wind>({ from: oneOf(WIND_FROM), force: oneOf(WIND_FORCES) }),
  seen: Joi.array()
    .items(Joi.valid(...SIGHTINGS))
    .unique(),
});

const outingSchema = shape<Outing>({ id, waterId: id, startedAt: time, endedAt: orNull(time), notes: text() });

/** Any of these, or none. */
const someOf = (values: readonly string[]) =>
  Joi.array()
    .items(Joi.valid(...values))
    .unique()
    .required();
export const meansSchema = shape<Means>({
  casts: someOf(CAST_KINDS),
  shoulders: someOf(SHOULDERS),
  longestM: within(4, 40),
  lines: someOf(LINE_KINDS),
  wadeM: within(0, 1.5),
  fineKnots: Joi.boolean().required(),
  children: Joi.boolean().required(),
});

/** Questions and answers by name: what another version knows is kept, and left out of account. */
const schoolsSchema = Joi.object().pattern(Joi.string().max(40), Joi.string().max(60)).max(60);

/** Fields of the settings, each with its schema. */
export const settingsFields: Readonly<Record<keyof Settings, Joi.Schema>> = {
  id: oneOf(['settings']),
  units: oneOf(['metric', 'imperial']),
  theme: oneOf(['daylight', 'dusk', 'system']),
  heightM: within(HEIGHT_M.least, HEIGHT_M.most),
  school: oneOf(['near the bed', 'upper to middle']),
  flood: Joi.valid('to the margins', 'out and feeding'),
  means: meansSchema,
  exported: shape<NonNullable<Settings['exported']>>({ at: time, casts: within(0, 1e9) }),
  schools: schoolsSchema,
  sheetColumns: Joi.object()
    .pattern(
      Joi.string().max(200),
      Joi.object({ field: orNull(Joi.string().max(40)), unit: orNull(Joi.string().max(8)) }),
    )
    .max(500),
  goal: Joi.valid(...GOALS),
  alarm: Joi.valid(...ALARMS),
  simulated: Joi.boolean(),
  keys: Joi.boolean(),
  walkMin: Joi.number().min(0).max(180),
  dayLength: Joi.valid(...DAY_LENGTHS),
  effort: Joi.valid(...EFFORTS),
  moon: Joi.boolean(),
  ownFish: Joi.object().pattern(
    Joi.valid(...STUDIED),
    Joi.object().pattern(Joi.valid(...LEEWAYS), within(LEEWAY_TIMES.least, LEEWAY_TIMES.most)),
  ),
};
const settingsSchema = shape<Settings>(settingsFields);

/** Stations as the server lists them; what else it says of them is left out. */
export const stationsSchema = Joi.array().items(
  Joi.object({ id, name, latDeg: within(-90, 90), lonDeg: within(-180, 180), normalStageM: within(-5, 30) }).options({
    stripUnknown: true,
  }),
);

export const handsSchema = shape<Hands>({
  way: oneOf(WAYS),
  countS: within(0, 60),
  pullM: within(0, 2),
  pullMps: within(0.02, 4),
  restS: within(0, 20),
  rhythm: Joi.valid(...RHYTHMS),
  feedM: within(0, 20),
  walkM: within(0, 20),
});
export const castSchema = shape<CastPlan>({
  xM: within(-50, 1000),
  yM: within(-300, 300),
  outM: within(1, 60),
  angleDeg: within(0, 180),
  mendM: within(-8, 8),
  mendAtS: within(0, 60).optional(),
  mendBy: Joi.valid(...MEND_BYS),
  rod: oneOf(ROD_WAYS),
  tipUnder: Joi.boolean(),
  tipUnderM: within(0.05, 3).optional(),
  tip: Joi.valid(...TIP_WAYS),
  inwards: Joi.boolean(),
  hands: handsSchema,
});

const sessionSchema = shape<Session>({
  id: oneOf(['session']),
  waterId: orNull(id),
  runId: orNull(id),
  day: orNull(dayText),
  rig: rigChoiceSchema.required(),
  rigged: Joi.array().items(rigChoiceSchema).max(6),
  cast: orNull(castSchema.required()),
  outingId: orNull(id),
  after: shape<NonNullable<Session['after']>>({ waterId: id, day: dayText, quarry: oneOf(QUARRIES) }),
  size: Joi.valid(...SIZE_CLASSES),
  time: shape<NonNullable<Session['time']>>({
    minutes: within(1, MOST_MINUTES),
    patience: Joi.valid(...PATIENCES).required(),
    byRule: Joi.boolean(),
  }),
  beat: shape<StoredBeat>({
    key: text(8000),
    stands: Joi.array().items(castSchema).max(60).required(),
    casts: Joi.array().items(castSchema).min(1).max(1000).required(),
  }),
  trial: Joi.alternatives(
    shape<Extract<PlannedTrial, { a: string }>>({ a: id, b: id }),
    shape<Exclude<PlannedTrial, { a: string }>>({
      ways: Joi.object({ a: oneOf(WAYS), b: oneOf(WAYS) }).required(),
    }),
  ),
  tour: Joi.number().integer().min(0).max(100).allow(null),
});

export const RECORD_SCHEMAS: Record<RecordKind, Joi.Schema> = {
  water: waterSchema,
  run: runSchema,
  kit: kitSchema,
  reading: readingSchema,
  outing: outingSchema,
  settings: settingsSchema,
  session: sessionSchema,
  feed: gaugeFileSchema,
  report: reportSchema,
  forecast: colourSaidSchema,
  trip: tripSchema,
  weather: ownWeatherSchema,
  practice: playedSchema,
};

/** Says what a schema found wrong and where, e.g. "sections[1].points[2].depthM must be at most 15". */
export function explain(error: Joi.ValidationError, where = ''): string {
  return error.details
    .slice(0, 3)
    .map(
      (d) =>
        (where ? `${where}: ` : '') +
        d.message
          .replaceAll('"', '')
          .replace('less than or equal to', 'at most')
          .replace('greater than or equal to', 'at least'),
    )
    .join('; ');
}
