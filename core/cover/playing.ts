import type { CastPlan, Way } from '../cast';
import { handsOf } from '../cast';
import { headSinks, type Rig } from '../tackle';
import { type Feature, FEATURES } from '../water';

const TURNS = 'Let it turn against the reel or the loop, then lift.';
const STRIPS = 'Keep stripping until it is tight; no lift.';
const DRIFTS = 'Lift at any sign: the line’s end, a stop, a flash.';

/** How a take is struck, by how the fly is shown (common practice, no source). */
const STRIKE: Record<Way, string> = {
  swing: TURNS,
  'swing and strip': TURNS,
  'timed rise': TURNS,
  strip: STRIPS,
  'towed by the bow': TURNS,
  'upstream strip': STRIPS,
  'dead drift': DRIFTS,
  'tight drift': DRIFTS,
  'dip and draw': STRIPS,
  'sweep the hang': TURNS,
  'lift at the end': TURNS,
};
export const strikeWords = (plan: CastPlan): string => STRIKE[handsOf(plan).way];

/** A fish on runs this far without trouble, m (assumed). */
const RUNS_M = 15;

/** What to mind with a fish on, the most urgent first: wood near by, the free hook, loose line, the net (common practice, no
 * source). */
export function playingWords(
  rig: Pick<Rig, 'droppers' | 'head' | 'tip'>,
  at: { readonly xM: number; readonly yM: number },
  features: readonly Feature[],
): string[] {
  const wood = features
    .filter((f) => FEATURES[f.kind].hinders)
    .map((f) => ({ f, awayM: Math.hypot(f.xM - at.xM, f.yM - at.yM) - f.lengthM / 2 }))
    .filter((w) => w.awayM < RUNS_M)
    .sort((a, b) => a.awayM - b.awayM)[0];
  const sinks = rig.tip !== null || headSinks(rig.head);
  return [
    ...(wood
      ? [`Wood ${Math.max(1, Math.round(wood.awayM))} m off (${wood.f.kind}): stop it early, side pressure.`]
      : []),
    `Loose line on the reel${sinks ? ': a sinking line snags round your boots' : ''}; lead it away from unfished water.`,
    'At the net: light drag, expect a last run.',
    ...(rig.droppers.length > 0 ? ['Two flies: mind the free hook, whichever it is.'] : []),
  ];
}
