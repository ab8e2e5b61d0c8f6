import type { CastPlan, Hands, Way } from './plan';

interface Presentation {
  readonly cast: Partial<CastPlan>;
  readonly hands: Omit<Hands, 'way'>;
  /** What of the hands is worth setting. */
  readonly sets: readonly ('count' | 'pull' | 'rhythm' | 'feed' | 'walk')[];
}

const STILL: Omit<Hands, 'way'> = { countS: 0, pullM: 0, pullMps: 0.5, restS: 0.5, feedM: 0, walkM: 0 };

/** The ways to show a fly, with what one starts from (common practice, no source). */
export const PRESENTATIONS: Record<Way, Presentation> = {
  swing: {
    cast: { angleDeg: 65, mendM: 0, rod: 'follow' },
    hands: STILL,
    sets: ['feed', 'walk'],
  },
  'swing and strip': {
    cast: { angleDeg: 75, mendM: 0, rod: 'follow' },
    hands: { ...STILL, countS: 6, pullM: 0.15, pullMps: 0.5, restS: 1.5, rhythm: 'given back' },
    sets: ['count', 'pull', 'rhythm', 'walk'],
  },
  'timed rise': {
    cast: { angleDeg: 75, mendM: 1.5, rod: 'still' },
    hands: { ...STILL, countS: 4, feedM: 0.5, walkM: 1.5 },
    sets: ['count', 'feed', 'walk'],
  },
  strip: {
    cast: { angleDeg: 100, mendM: 0, rod: 'follow' },
    hands: { ...STILL, countS: 4, pullM: 0.25, pullMps: 0.6, restS: 0.7 },
    sets: ['count', 'pull', 'rhythm', 'walk'],
  },
  'towed by the bow': {
    cast: { angleDeg: 135, mendM: -1.5, rod: 'lead' },
    hands: { ...STILL, countS: 5, pullM: 0.12, pullMps: 0.3, restS: 1 },
    sets: ['count', 'pull'],
  },
  'upstream strip': {
    cast: { angleDeg: 145, mendM: 0, rod: 'follow' },
    hands: { ...STILL, countS: 2, pullM: 0.4, pullMps: 1.4, restS: 0.1 },
    sets: ['count', 'pull'],
  },
  'dead drift': {
    cast: { angleDeg: 105, mendM: 2, rod: 'follow' },
    hands: { ...STILL, countS: 10, feedM: 4 },
    sets: ['count', 'feed'],
  },
  'tight drift': {
    cast: { angleDeg: 125, mendM: 0, rod: 'lead', tip: 'high' },
    hands: { ...STILL, countS: 2, pullM: 0.15, pullMps: 0.5, restS: 3, rhythm: 'given back' },
    sets: ['count', 'pull'],
  },
  'dip and draw': {
    cast: { angleDeg: 20, mendM: 0, rod: 'follow', tipUnder: true },
    hands: { ...STILL, countS: 12, pullM: 0.3, pullMps: 0.25, restS: 0.4 },
    sets: ['count', 'pull', 'rhythm'],
  },
  'sweep the hang': {
    cast: { angleDeg: 45, mendM: 0, rod: 'still' },
    hands: { ...STILL, feedM: 1 },
    sets: ['feed'],
  },
  'lift at the end': {
    cast: { angleDeg: 60, mendM: 2, rod: 'still' },
    hands: { ...STILL, countS: 9, feedM: 1 },
    sets: ['count', 'feed'],
  },
};

/** What hands do as one starts with a way. */
export const usualHands = (way: Way): Hands => ({ way, ...PRESENTATIONS[way].hands });

/** A cast changed to another way of showing the fly, with the settings that way starts from. */
export const presented = (plan: CastPlan, way: Way): CastPlan => {
  const { cast } = PRESENTATIONS[way];
  const { mendAtS: _at, mendBy: _by, tip: _tip, tipUnder: _under, tipUnderM: _deep, hands: _hands, ...kept } = plan;
  return { ...kept, ...cast, ...(way === 'swing' ? null : { hands: usualHands(way) }) };
};

/** Whether the way itself says what the rod does. */
export const ownsTheRod = ({ way }: Hands): boolean => way === 'sweep the hang' || way === 'lift at the end';

export const handsOf = (plan: CastPlan): Hands => plan.hands ?? { way: 'swing', ...STILL };

/** Nothing is stripped in beyond this, m. */
export const LEAST_OUT_M = 4;
/** So far one steps at once while the fly sinks; the rest goes step by step through the swing, a step every so often. */
export const SINKING_STEPS_M = 1.5;
/** Depth of a rod's tip under the water, where nothing else is set, m; and those that a dip is tried with. */
export const TIP_UNDER_M = 0.3;
export const DIPS_M = [TIP_UNDER_M, 0.8, 1.5] as const;
/** How deep the rod's tip is dipped, m; 0: it is out of the water. */
export const dipOf = (p: Pick<CastPlan, 'tipUnder' | 'tipUnderM'>): number =>
  p.tipUnder ? (p.tipUnderM ?? TIP_UNDER_M) : 0;
