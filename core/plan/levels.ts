import type { LevelAhead } from '../colour/levelAhead';
import type { GaugePoint } from '../gauge/points';
import { interpolate } from '../maths/interpolate';

/** A level against normal, m, told by the gauge or forecast. */
export interface LevelAt {
  /** ms UTC */
  readonly at: number;
  readonly levelM: number;
}

/**
 * The level as the gauge told it, then as it is forecast; none where the gauge tells a flow only.
 *
 * @param points oldest first
 * @param normalM staff level that counts as normal; null: not known, then none
 */
export function levelsOf(points: readonly GaugePoint[], ahead: LevelAhead | null, normalM: number | null): LevelAt[] {
  if (normalM === null) return [];
  const told = points.filter((p) => Number.isFinite(p.stageM));
  const from = told.at(-1)?.at ?? -Infinity;
  const coming = ahead?.of === 'level' ? ahead.steps.filter((s) => s.at > from) : [];
  return [
    ...told.map((p) => ({ at: p.at, levelM: p.stageM - normalM })),
    ...coming.map((s) => ({ at: s.at, levelM: s.median - normalM })),
  ];
}

/** The level at a moment between those that are known, m; null beyond them. */
export function levelCourse(levels: readonly LevelAt[]): (at: number) => number | null {
  const [ats, metres] = [levels.map((l) => l.at), levels.map((l) => l.levelM)];
  return (at) => (ats.length > 1 && at >= ats[0]! && at <= ats.at(-1)! ? interpolate(ats, metres, at) : null);
}
