import { roundTo } from '../maths/bounds';
import type { PlanPoint } from './grid';
import { type FeatureKind, FEATURES, type Near } from './featureTable';

export const FEATURE_KINDS = Object.keys(FEATURES) as FeatureKind[];

/** Something to be seen in the run, placed by its middle. */
export interface Feature {
  readonly id: string;
  readonly kind: FeatureKind;
  readonly xM: number;
  readonly yM: number;
  /** Extent along and across the river, m. */
  readonly lengthM: number;
  readonly widthM: number;
}

/** A feature of the usual size of its kind, its place to a tenth of a metre. */
export function featureAt(id: string, kind: FeatureKind, xM: number, yM: number): Feature {
  const [lengthM, widthM] = FEATURES[kind].size;
  return { id, kind, xM: roundTo(10, xM), yM: roundTo(10, yM), lengthM, widthM };
}

/** Whether a place lies within an area given by its middle and its extent. */
export const within = (
  area: PlanPoint & { readonly lengthM: number; readonly widthM: number },
  xM: number,
  yM: number,
): boolean => Math.abs(xM - area.xM) < area.lengthM / 2 && Math.abs(yM - area.yM) < area.widthM / 2;

/** A place as a feature sees it. */
export function nearTo(f: Feature, xM: number, yM: number): Near {
  const dx = xM - f.xM;
  return {
    dx,
    dy: Math.abs(yM - f.yM) - f.widthM / 2,
    within: Math.abs(dx) < f.lengthM / 2 + 1,
    widthM: f.widthM,
  };
}

/** Slower water behind things, faster beside: multiplies the speed at a place. */
export function featureFactor(features: readonly Feature[], xM: number, yM: number): number {
  let factor = 1;
  for (const f of features)
    factor *= FEATURES[f.kind].wake?.(xM - f.xM, (yM - f.yM) / Math.max(0.3, f.widthM / 2), f) ?? 1;
  return Math.max(0.02, factor);
}

/** Whether a run has something that is left alone: a redd. */
export const hasRedd = (features: readonly Feature[]): boolean => features.some((f) => FEATURES[f.kind].guard);

/** Whether a place belongs to something that is left alone: a redd, the water just below it and around it. */
export const leftAlone = (features: readonly Feature[], xM: number, yM: number): boolean =>
  features.some((f) => {
    const guard = FEATURES[f.kind].guard;
    if (!guard) return false;
    const { dx, dy } = nearTo(f, xM, yM);
    return dx > -f.lengthM / 2 - guard.aroundM && dx < f.lengthM / 2 + guard.belowM && dy < guard.aroundM;
  });
