import Joi from 'joi';
import { ASKS, type Question, SCHOOL_NAMES, SCHOOLS } from '@/core/answer';
import { MOST_MINUTES, type Patience, PATIENCES } from '@/core/cover/patience';
import { moment, readCase } from '@/core/formats/caseText';
import { rigOf } from '@/core/tackle';
import { GUESSABLE, SIGHTINGS, TYPICAL_DAY, type Reading, type Run } from '@/core/water';
import { kitSchema, rigChoiceSchema } from './kitSchemas';
import { DEFAULT_SETTINGS } from './records';
import { meansSchema, readingSchema, runSchema, settingsFields, waterSchema } from './schemas';

const schools = Joi.object(
  Object.fromEntries(SCHOOL_NAMES.map((n) => [n, Joi.valid(...Object.keys(SCHOOLS[n].options))])),
);

const fields = {
  water: waterSchema.required(),
  run: runSchema.required(),
  reading: readingSchema.allow(null).default(null),
  kit: Joi.array().items(kitSchema).max(5000).unique('id').required(),
  settings: Joi.object({ ...settingsFields, id: Joi.any(), schools })
    .fork(['units', 'theme', 'heightM', 'school'], (s) => s.optional())
    .default({}),
  means: meansSchema.allow(null).default(null),
  at: Joi.string().isoDate().required(),
  tiedOn: rigChoiceSchema.allow(null).default(null),
  rigged: Joi.array().items(rigChoiceSchema).max(6).default([]),
  seen: Joi.array()
    .items(Joi.valid(...SIGHTINGS))
    .unique()
    .default([]),
  ask: Joi.string()
    .valid(...ASKS)
    .default('best'),
};
const schema = Joi.object(fields).required();
const coverSchema = Joi.object({
  ...fields,
  minutes: Joi.number().min(1).max(MOST_MINUTES).required(),
  patience: Joi.valid(...PATIENCES).default(2),
}).required();

/** A typical day at the level that a run was read at, where no reading is given. */
const typical = (run: Run, at: number): Reading => ({
  ...TYPICAL_DAY,
  guessed: GUESSABLE,
  levelFrom: 'guess',
  id: 'typical',
  runId: run.id,
  at,
  levelM: run.levelM,
  speed: null,
});

/**
 * A question about a run as text (JSON, docs/formats.md), its records as in a backup.
 *
 * @throws RangeError that names the field and what is wrong with it
 */
export const readAnswerCase = (text: string): Question => asked(readCase(text, schema));

/** The same with how long one has and how patient one is. @throws RangeError as readAnswerCase */
export function readCoverCase(text: string): { question: Question; minutes: number; patience: Patience } {
  const { minutes, patience, ...value } = readCase(text, coverSchema);
  return { question: asked(value), minutes, patience };
}

function asked({ reading, settings, means, ...value }: ReturnType<typeof readCase>): Question {
  const at = moment(value.at);
  if (reading && reading.runId !== value.run.id) throw new RangeError('reading.runId: is not the id of the run');
  if (value.tiedOn && !rigOf(value.kit, value.tiedOn))
    throw new RangeError('tiedOn: names a rod, line, leader or fly that is not in kit');
  const rest = means ?? settings.means;
  return {
    ...value,
    at,
    reading: reading ?? typical(value.run, at),
    settings: { ...DEFAULT_SETTINGS, ...settings },
    ...(rest ? { means: rest } : null),
  };
}
