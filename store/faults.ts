import type Joi from 'joi';
import type { RecordKind } from './records';
import { RECORD_SCHEMAS } from './schemas';

/** Fields as forms call them, by the end of their path. */
const LABELS: Readonly<Record<string, string>> = {
  name: 'Name',
  latDeg: 'Latitude',
  lonDeg: 'Longitude',
  quarry: 'Fished for',
  driveMin: 'Driving time',
  releases: 'Dam releases',
  tides: 'Tides',
  normalStageM: 'Normal level of the gauge',
  'season.from': 'Season from',
  'season.to': 'Season to',
  closesAtC: 'Closes at',
  maxFlies: 'Flies allowed',
  source: 'Source',
  text: 'Other rules',
  lengthM: 'Length',
  widthM: 'Width',
  depthM: 'Depth',
  points: 'The section',
  xM: 'Distance down the run',
  yM: 'Distance out',
  levelM: 'Level',
  visibilityM: 'Visibility',
  waterTempC: 'Water temperature',
  surfaceMps: 'Speed',
  flowM3s: 'Flow',
  bearingDeg: 'Direction of flow',
  notes: 'Notes',
  heightM: 'Your height',
  walkMin: 'Walk to the next run',
  longestM: 'Longest cast',
  wadeM: 'How deep you wade',
  lineNumber: 'Line number',
  massKg: 'Weight',
  diameterM: 'Diameter',
  sinkRateMps: 'Sink rate',
  sinkRatesMps: 'Sink rate',
  hook: 'Hook',
  quantity: 'Quantity',
  airTempC: 'Air temperature',
};
/** Fields whose figures are the same in every system of units: their limit can be told. */
const UNITLESS = /(Min|Deg|Flies|Number|hook|quantity)$/;
const OUTSIDE = /^number\.(min|max|less|greater|integer|unsafe|positive)$/;

function labelOf(path: readonly (string | number)[]): string {
  const names = path.filter((p) => typeof p === 'string');
  return LABELS[names.slice(-2).join('.')] ?? LABELS[names.at(-1) ?? ''] ?? 'A value';
}

/** What is wrong with a field, in the words of a form: never the engine's. */
function faultWords({ type, path, context, message }: Joi.ValidationErrorItem): string {
  const label = labelOf(path);
  const value: unknown = context?.value;
  const empty = value === null || (typeof value === 'string' && value.trim() === '');
  if (type === 'any.required' || empty) return `${label} is missing.`;
  const bound = /^number\.(min|max)$/.exec(type)?.[1];
  if (bound && UNITLESS.test(String(path.at(-1))))
    return `${label}: at ${bound === 'min' ? 'least' : 'most'} ${String(context?.limit).replace('-', '−')}.`;
  if (OUTSIDE.test(type)) return `${label} is out of range.`;
  if (type === 'string.max') return `${label} is too long.`;
  if (type === 'string.pattern.name') return `${label}: write it as ${String(context?.name)}, as in 04-15.`;
  if (type === 'custom') return `${label}: ${message.replace(/^[^:]*: /, '')}.`;
  return `${label} cannot be used as entered.`;
}

const detailsOf = (kind: RecordKind, values: unknown): readonly Joi.ValidationErrorItem[] =>
  RECORD_SCHEMAS[kind].validate(values, { abortEarly: false, convert: false }).error?.details ?? [];

/** What a schema finds wrong with a form's values, by the path of the field; empty when nothing is. */
export const faultsOf = (kind: RecordKind, values: unknown): Record<string, string> =>
  Object.fromEntries(detailsOf(kind, values).map((d) => [d.path.join('.'), faultWords(d)]));

/** The same for a table, whose columns are named by the record’s fields and whose figures are SI: with the limits. */
export const limitsOf = (kind: RecordKind, values: unknown): Record<string, string> =>
  Object.fromEntries(detailsOf(kind, values).map((d) => [d.path.join('.'), d.message.replaceAll('"', '')]));
