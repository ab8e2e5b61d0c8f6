import Joi from 'joi';
import { BEDS, type Feature, FEATURE_KINDS, type FeatureKind, ROOMS, type Run, type Section } from '@/core/water';
import { fromLatLon, type LatLon, toLatLon } from './geo';

/** What a map file says of a run beside its shapes: the same in GeoJSON and GPX. */
export interface RunFacts extends Pick<
  Run,
  | 'name'
  | 'lengthM'
  | 'bank'
  | 'bearingDeg'
  | 'bed'
  | 'levelM'
  | 'glance'
  | 'speed'
  | 'flowM3s'
  | 'downM'
  | 'bend'
  | 'room'
  | 'trees'
  | 'notes'
> {
  readonly origin: LatLon;
}

/** A shape of a map file: a section with its depths, or a feature. */
export interface SectionShape {
  readonly places: readonly LatLon[];
  readonly depthsM: readonly number[];
}
export interface FeatureShape extends LatLon {
  readonly kind: FeatureKind;
  readonly lengthM: number;
  readonly widthM: number;
}

const within = (low: number, high: number) => Joi.number().min(low).max(high).required();
const place = { latDeg: within(-90, 90), lonDeg: within(-180, 180) };
/** Nearer to a pole a degree of longitude is too short to place anything by. */
const NORTHERNMOST = 89;
/** Two sections nearer to each other than this would be one place with two depths. */
const APART_M = 0.5;
const CONTROLS = /[\u0000-\u0008\u000b\u000c\u000e-\u001f]/;

const factsSchema = Joi.object({
  name: Joi.string().trim().min(1).max(80).pattern(CONTROLS, { invert: true, name: 'control characters' }).required(),
  lengthM: within(5, 1000),
  bank: Joi.valid('left', 'right').required(),
  bearingDeg: within(0, 360),
  bed: Joi.valid(...Object.keys(BEDS)).required(),
  levelM: within(-5, 5),
  glance: Joi.boolean(),
  speed: Joi.object({ surfaceMps: within(0, 8), xM: within(-50, 1000), yM: within(-300, 300) })
    .allow(null)
    .required(),
  flowM3s: within(0.001, 1e5).optional(),
  downM: within(0, 1e5).optional(),
  bend: Joi.object({ turns: Joi.valid('left', 'right').required(), radiusM: within(5, 5000) }),
  room: Joi.valid(...ROOMS),
  trees: Joi.object({ nearM: within(0, 60), farM: within(0, 60) }),
  notes: Joi.string().allow('').max(2000).required(),
  origin: Joi.object({ ...place, latDeg: within(-NORTHERNMOST, NORTHERNMOST) }).required(),
});
const sectionSchema = Joi.object({
  places: Joi.array().items(Joi.object(place)).min(3).max(30).required(),
  depthsM: Joi.array().items(within(0, 15).optional()).length(Joi.ref('places.length')).required(),
});
const featureSchema = Joi.object({
  kind: Joi.valid(...FEATURE_KINDS).required(),
  lengthM: within(0.2, 500),
  widthM: within(0.2, 300),
  ...place,
});

/** Thrown for a file that is not a run of ours; says what, where and what to do. */
export class RunFileError extends RangeError {}

/** Checks a part of a file; throws RunFileError that names the place in it. */
export function checked<T>(schema: Joi.Schema, value: unknown, where: string): T {
  const { error, value: good } = schema.validate(value, {
    convert: false,
    stripUnknown: true,
    errors: { label: false },
  });
  if (!error) return good as T;
  const d = error.details[0]!;
  throw new RunFileError(
    `${where}${d.path.length > 0 ? `, ${d.path.join('.')}` : ''}: ${d.message.replaceAll('"', '')}`,
  );
}

export const checkFacts = (v: unknown, where: string) => checked<RunFacts>(factsSchema, v, where);
export const checkSection = (v: unknown, where: string) => checked<SectionShape>(sectionSchema, v, where);
export const checkFeature = (v: unknown, where: string) => checked<FeatureShape>(featureSchema, v, where);

/** Rounded, and never −0. */
const round = (v: number, digits: number) => Number(v.toFixed(digits)) + 0;

/** Facts and shapes of a run that is to be written. `fallback` is used where the run has no place of its own. */
export function shapesOf(run: Run, fallback: LatLon) {
  const origin = run.origin ?? fallback;
  const at = (xM: number, yM: number) => toLatLon(run, origin, xM, yM);
  const { id: _id, waterId: _water, sections, features, origin: _o, ...rest } = run;
  const facts: RunFacts = { ...rest, origin };
  return {
    facts,
    sections: sections.map((s) => ({
      xM: s.xM,
      places: s.points.map((p) => at(s.xM, p.yM)),
      depthsM: s.points.map((p) => p.depthM),
    })),
    features: features.map((f) => ({ ...f, ...at(f.xM, f.yM) })),
    at,
  };
}

/**
 * A run from the facts and shapes of a file. Places count, not what is written beside them, so that what was moved in a
 * map program has moved.
 *
 * @throws RunFileError when there are fewer than two sections or one doubles back
 */
export function runOf(
  facts: RunFacts,
  sections: readonly SectionShape[],
  features: readonly FeatureShape[],
  ids: { readonly id: string; readonly waterId: string; readonly newId: () => string },
): Run {
  if (sections.length < 2)
    throw new RunFileError(`sections: ${sections.length} found, at least two are needed, as lines across the river`);
  const local = (p: LatLon) => fromLatLon(facts, facts.origin, p);
  const cut = sections.map((s, n): Section => {
    const places = s.places.map(local);
    const xM = round(places.reduce((sum, p) => sum + p.xM, 0) / places.length, 1);
    if (xM < -5 || xM > facts.lengthM + 5)
      throw new RunFileError(`section ${n + 1}: lies ${Math.round(xM)} m down a run of ${facts.lengthM} m`);
    const points = places.map((p, i) => ({ yM: round(p.yM, 2), depthM: s.depthsM[i]! }));
    points.forEach((p, i) => {
      if (i > 0 && p.yM <= points[i - 1]!.yM)
        throw new RunFileError(`section ${n + 1}, point ${i + 1}: must lie further out than the one before it`);
    });
    return { xM: Math.min(facts.lengthM, Math.max(0, xM)), points };
  });
  cut.sort((a, b) => a.xM - b.xM);
  cut.forEach((s, i) => {
    if (i > 0 && s.xM - cut[i - 1]!.xM < APART_M)
      throw new RunFileError(`sections: two lie at ${s.xM} m down the run; leave one of them out`);
  });
  return {
    ...facts,
    id: ids.id,
    waterId: ids.waterId,
    sections: cut,
    features: features.map(({ kind, lengthM, widthM, ...p }): Feature => {
      const { xM, yM } = local(p);
      return { id: ids.newId(), kind, xM: round(xM, 1), yM: round(yM, 1), lengthM, widthM };
    }),
  };
}
