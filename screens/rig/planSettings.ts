import {
  CAST_ANGLE_DEG,
  type Hands,
  handsOf,
  LONGEST_CAST_M,
  MOST_MEND_M,
  type Rhythm,
  TIP_UNDER_M,
} from '@/core/cast';
import type { PlanSetting } from './PlanSlider';
import { format, type UnitSystem } from '@/words/units';

const LATEST_MEND_S = 10;

const depth = (none: string) => (v: number, units: UnitSystem) => (v === 0 ? none : format('depth', v, units));

type Ends = readonly [min: number, max: number, step: number];
const setting = (
  label: string,
  [min, max, step]: Ends,
  words: PlanSetting['words'],
  of: PlanSetting['of'],
  set: PlanSetting['set'],
): PlanSetting => ({ label, min, max, step, words, of, set });

/** A number of what hands and feet do. */
const hand = (key: Exclude<keyof Hands, 'way' | 'rhythm'>, label: string, ends: Ends, words: PlanSetting['words']) =>
  setting(
    label,
    ends,
    words,
    (plan) => handsOf(plan)[key],
    (plan, v) => ({ hands: { ...handsOf(plan), [key]: v } }),
  );
/** A number of the cast itself. */
const cast = (
  key: 'angleDeg' | 'outM' | 'mendM' | 'mendAtS' | 'xM' | 'tipUnderM',
  label: string,
  ends: Ends,
  words: PlanSetting['words'],
  none = 0,
) =>
  setting(
    label,
    ends,
    words,
    (plan) => plan[key] ?? none,
    (_plan, v) => ({ [key]: v }),
  );

export const ANGLE = cast(
  'angleDeg',
  'Angle, from straight downstream',
  [CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most, 1],
  (v) => `${v}°${v > 92 ? ', upstream of square' : v > 87 ? ', square' : ''}`,
);
/** From the shortest cast of the rig on. */
export const LINE_OUT = cast('outM', 'Line out, rod tip to fly', [0, LONGEST_CAST_M, 0.5], (v, units) =>
  format('line', v, units),
);
export const MEND = cast('mendM', 'Slack from a mend', [-MOST_MEND_M, MOST_MEND_M, 0.25], (v, units) =>
  v === 0 ? 'no mend' : `${format('depth', Math.abs(v), units)} ${v > 0 ? 'upstream' : 'downstream'}`,
);
export const MENDED_AT = cast('mendAtS', 'Mended', [0, LATEST_MEND_S, 1], (v) =>
  v === 0 ? 'in the air, as it lands' : `${v} s after landing, by the rod`,
);
/** With the tip under water. */
export const TIP_DEPTH = cast(
  'tipUnderM',
  'Rod tip, under water',
  [0.1, 2, 0.1],
  (v, units) => format('depth', v, units),
  TIP_UNDER_M,
);
/** As far as the run is long. */
export const DOWN_THE_RUN = cast('xM', 'Down the run', [0, 0, 0.5], (v, units) => format('length', v, units));

/** What a way of showing the fly may ask of the hands. */
export const HAND_SETTINGS = {
  count: [hand('countS', 'Count before the hands begin', [0, 20, 1], (v) => (v === 0 ? 'at once' : `${v}`))],
  pull: [
    hand('pullM', 'One pull', [0.05, 0.8, 0.05], (v, units) => format('depth', v, units)),
    hand('pullMps', 'How fast', [0.1, 2, 0.1], (v, units) => format('speed', v, units)),
    hand('restS', 'Pause after a pull', [0, 3, 0.1], (v) => (v === 0 ? 'none' : `${v.toFixed(1)} s`)),
  ],
  rhythm: [],
  feed: [hand('feedM', 'Line fed into the drift', [0, 6, 0.5], depth('none'))],
  walk: [hand('walkM', 'Steps down with the cast', [0, 8, 0.25], depth('none'))],
} as const;

export const RHYTHM_LABELS: Record<Rhythm, string> = {
  even: 'even',
  varied: 'long, short, pause',
  'given back': 'given back',
};
