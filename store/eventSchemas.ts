import Joi from 'joi';
import {
  type Did,
  EVENT_KINDS,
  type OutingFacts,
  type RememberedFly,
  type RememberedWater,
  type EventBase,
  type EventKind,
  type EventOf,
  type Fish,
  isCorrection,
  type LogEvent,
  GO_WAYS,
  TAKE_KINDS,
  TAKE_PLACES,
  TAKE_SIGNS,
} from '@/core/logbook';
import type { RiverThen } from '@/core/gauge';
import { STUDIED } from '@/core/lies/suitability';
import { LIE_REASONS } from '@/core/lies/types';
import type { Passing } from '@/core/showing/passing';
import { FLY_COLOURS, FLY_FAMILY_NAMES } from '@/core/tackle';
import { SKIES } from '@/core/water';
import { rigSchema } from './kitSchemas';
import { castSchema, handsSchema, readingSchema } from './schemas';
import { id, name, oneOf, orNull, shape, text, time, within } from './shape';

const fishSchema = shape<Fish>({
  species: name,
  lengthM: orNull(within(0.03, 2)),
  sex: orNull(oneOf(['male', 'female'])),
  condition: text(200),
  origin: orNull(oneOf(['wild', 'marked'])),
});
const whole = (least: number, most: number) => Joi.number().integer().min(least).max(most).required();
const flyDid = Joi.array().ordered(
  ...[whole(-5000, 20000), whole(-5000, 5000), whole(-5000, 20000), whole(-5000, 5000)],
  ...[whole(-100, 3000), whole(-100, 3000), whole(0, 1000), whole(0, 1000)],
);
const riverThen = shape<RiverThen>({
  trend: oneOf(['rising', 'falling', 'steady']),
  freshetDays: orNull(within(0, 30)),
});
const passedSteps = Joi.array().items(whole(0, 100000).optional()).max(20).required();
const didSchema = shape<Did>({
  v: Joi.valid(1).required(),
  s: whole(0, 600),
  flies: Joi.array().items(flyDid).max(3).required(),
  lies: Joi.array().items(Joi.number().integer().min(1).max(100)).max(100).required(),
  touches: whole(0, 10000),
  w: Joi.number().integer().min(0).max(10000),
  kind: Joi.valid(...LIE_REASONS),
  passed: shape<Passing>({
    ...{ of: oneOf(STUDIED), up: passedSteps, aside: passedSteps, across: passedSteps, headOn: passedSteps },
  }),
});

/** Events by their ids, each once. */
const idsSchema = Joi.array().items(id.optional()).max(100_000).required();
const outingFacts = shape<OutingFacts>({
  ...{ outingId: id, waterId: id, startedAt: time, endedAt: orNull(time), notes: text() },
}).required();

const ofKind: {
  readonly [K in EventKind]: Readonly<Record<Exclude<keyof EventOf<K>, 'kind' | keyof EventBase>, Joi.Schema>>;
} = {
  'run start': { runName: name },
  rig: { set: rigSchema },
  reading: { reading: readingSchema.required(), river: riverThen },
  'run end': {},
  cast: { plan: castSchema.required(), did: didSchema.optional() },
  rise: {},
  bed: {},
  'hang-up': {},
  'fly lost': {},
  fouled: {},
  step: { byM: within(0, 50) },
  go: { how: oneOf(GO_WAYS), lie: orNull(whole(1, 100)), afloat: Joi.valid(true).optional() },
  way: { hands: orNull(handsSchema.required()) },
  trial: { flyId: orNull(id), hands: orNull(handsSchema.required()), block: whole(1, 100) },
  take: {
    where: orNull(oneOf(TAKE_PLACES)),
    sign: orNull(oneOf(TAKE_SIGNS)),
    what: oneOf(TAKE_KINDS),
    juvenile: Joi.boolean().required(),
    fish: orNull(fishSchema.required()),
    place: Joi.number().integer().min(0).max(2),
    on: Joi.string().min(1).max(80),
  },
  rest: { minutes: within(0, 600) },
  note: { text: Joi.string().min(1).max(2000).required() },
  estimate: {
    casts: orNull(Joi.number().integer().min(0).max(2000).required()),
    takes: whole(0, 500),
    minutes: orNull(within(0, 1440)),
    timed: Joi.boolean().required(),
    fly: orNull(
      shape<RememberedFly>({
        name: text(80),
        colour: orNull(oneOf(FLY_COLOURS)),
        family: orNull(oneOf(FLY_FAMILY_NAMES)),
      }).required(),
    ),
    water: orNull(
      shape<RememberedWater>({
        levelM: orNull(within(-5, 5)),
        visibilityM: orNull(within(0.02, 15)),
        waterTempC: orNull(within(-1, 35)),
        sky: orNull(oneOf(SKIES)),
      }).required(),
    ),
  },
  undo: { undoes: id },
  amend: { to: Joi.link('#happened').required() },
  split: { ids: idsSchema, outing: outingFacts },
  join: { ids: idsSchema, outing: outingFacts },
};
const eventOf = (kinds: readonly EventKind[]) =>
  Joi.alternatives().conditional('.kind', {
    switch: kinds.map((kind) => ({
      is: kind,
      then: shape<EventBase & { kind: EventKind }>({
        id,
        at: time,
        runId: orNull(id),
        xM: orNull(within(-50, 2000)),
        yM: orNull(within(-300, 300)),
        rig: orNull(id),
        kind: oneOf([kind]),
        ...ofKind[kind],
      }),
    })),
    otherwise: Joi.object({ kind: oneOf(kinds) }).unknown(),
  });
/** What happened, and what was said of it afterwards. */
export const eventSchema = eventOf(EVENT_KINDS).shared(
  eventOf(EVENT_KINDS.filter((kind) => !isCorrection({ kind } as LogEvent))).id('happened'),
);
