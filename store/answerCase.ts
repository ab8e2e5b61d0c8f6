import Joi from 'joi';
import { ASKS, type Question, SCHOOL_NAMES, SCHOOLS } from '@/core/answer';
import { MOST_MINUTES, type Patience, PATIENCES } from '@/core/cover/patience';
import { isDay, moment, readCase } from '@/formats/caseText';
import { type KitItem, type RigChoice, rigOf } from '@/core/tackle';
import { GUESSABLE, SIGHTINGS, TYPICAL_DAY, type Reading, type Run } from '@/core/water';
import { kitSchema, rigChoiceSchema } from './kitSchemas';
import { DEFAULT_SETTINGS } from './records';
import { meansSchema, readingSchema, runSchema, settingsFields, waterSchema } from './schemas';
import { type UnitSystem } from '@/words/units';

const schools = Joi.object(Object.fromEntries(SCHOOL_NAMES.map((n) => [n, Joi.valid(...SCHOOLS[n])])));

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

/** A question as a file asks it, with the units of its answer’s sentences. */
export type CaseQuestion = Question & { readonly settings: { readonly units: UnitSystem } };

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
export const readAnswerCase = (text: string): CaseQuestion => asked(readCase(text, schema));

/** The same with how long one has and how patient one is. @throws RangeError as readAnswerCase */
export function readCoverCase(text: string): { question: CaseQuestion; minutes: number; patience: Patience } {
  const { minutes, patience, ...value } = readCase(text, coverSchema);
  return { question: asked(value), minutes, patience };
}

/** Each section within the run and below the one before. @throws RangeError that names it */
function checkSections({ sections, lengthM }: Run): void {
  sections.forEach(({ xM }, i) => {
    if (xM > lengthM) throw new RangeError(`run.sections[${i}].xM: ${xM} lies below the run, which is ${lengthM} long`);
    if (i > 0 && xM <= sections[i - 1]!.xM)
      throw new RangeError(
        `run.sections[${i}].xM: ${xM} is not below the section before it, at ${sections[i - 1]!.xM}`,
      );
  });
}

/** Speeds and depths were read in the run. @throws RangeError that names what was not */
function checkPlaces({ sections, lengthM }: Run, { speed, depths }: Reading): void {
  const across = sections.flatMap((s) => s.points.map((p) => p.yM));
  const [near, far] = [Math.min(...across), Math.max(...across)];
  const check = (at: { readonly xM: number; readonly yM: number }, field: string) => {
    if (at.xM < 0 || at.xM > lengthM)
      throw new RangeError(`${field}.xM: ${at.xM} lies outside the run (0 to ${lengthM})`);
    if (at.yM < near || at.yM > far)
      throw new RangeError(`${field}.yM: ${at.yM} lies outside the run (${near} to ${far})`);
  };
  if (speed) check(speed, 'reading.speed');
  depths?.forEach((d, i) => check(d, `reading.depths[${i}]`));
}

/** All that a rig names is in the kit. @throws RangeError that names the field and the id */
function checkChoice(kit: readonly KitItem[], choice: RigChoice, field: string): void {
  const named = (id: string, type: KitItem['type'], at: string) => {
    if (id && !kit.some((k) => k.id === id && k.type === type))
      throw new RangeError(`${field}.${at}: kit has no ${type} with the id "${id}"`);
  };
  named(choice.rodId, 'rod', 'rodId');
  named(choice.headId, 'head', 'headId');
  named(choice.runningId, 'running', 'runningId');
  named(choice.tipId, 'tip', 'tipId');
  named(choice.leaderId, 'leader', 'leaderId');
  named(choice.flyId, 'fly', 'flyId');
  named(choice.floatId, 'float', 'floatId');
  choice.droppers.forEach((d, i) => named(d.flyId, 'fly', `droppers[${i}].flyId`));
  if (!rigOf(kit, choice)) throw new RangeError(`${field}: a rig needs a rod, a line, a leader and a fly`);
}

function asked({ reading, settings, means, ...value }: ReturnType<typeof readCase>): CaseQuestion {
  const at = moment(value.at);
  if (reading && reading.runId !== value.run.id) throw new RangeError('reading.runId: is not the id of the run');
  checkSections(value.run);
  if (reading) checkPlaces(value.run, reading);
  for (const [field, choice] of [
    ['tiedOn', value.tiedOn],
    ...value.rigged.map((c: RigChoice, i: number) => [`rigged[${i}]`, c]),
  ] as const)
    if (choice) checkChoice(value.kit, choice, field);
  const { season } = value.water.rules ?? {};
  for (const end of ['from', 'to'] as const)
    if (season && !isDay(`2024-${season[end]}`))
      throw new RangeError(`water.rules.season.${end}: there is no such day`);
  const rest = means ?? settings.means;
  return {
    ...value,
    at,
    reading: reading ?? typical(value.run, at),
    settings: { ...DEFAULT_SETTINGS, ...settings },
    ...(rest ? { means: rest } : null),
  };
}
