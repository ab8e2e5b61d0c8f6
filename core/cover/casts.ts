import { barredBy } from '../advice';
import type { CastPlan } from '../cast';
import { caseOnRun } from '../cast/case';
import { type HoldingCell, holdingWater } from '../lies';
import { dayEffects } from '../lies/score';
import { roundTo } from '../maths';
import { unlessRefused } from '../refusal';
import { type Ground, groundOf, type LookedAt, showingsOf, type ShownFly } from '../showing';
import { type Draw, drawn, NUMERICS, runSwing, type SwingResult } from '../swing';
import { flyAt, HZ, rowOf } from '../swing/series';
import type { Channel } from '../water';
import type { Choice } from './gain';
import { castSeconds } from './pace';
import type { CoverRequest, Passed } from './stands';
import type { Work } from './work';

/** A cast that can be made, with what it shows the flies to. */
export interface CastChoice extends Choice, Passed {
  readonly cells: Uint16Array;
  readonly by: Float32Array;
  /** The point fly's way while it fishes, [x, y] in m. */
  readonly path: readonly (readonly [number, number])[];
  /** It is no cast of the way, but one of its own. */
  readonly special?: true;
}

/** A second of the fly’s way at a time is enough to draw. */
function wayOf(r: SwingResult, { alongM = 0, outM = 0 }: LookedAt): [number, number][] {
  if (!r.fishing) return [];
  const out: [number, number][] = [];
  for (let row = rowOf(r, r.fishing.fromS); row <= rowOf(r, r.fishing.toS); row += HZ) {
    const { xM, yM } = flyAt(r, row);
    out.push([roundTo(10, xM + alongM), roundTo(10, yM + outM)]);
  }
  return out;
}

const grounds = new WeakMap<Channel, Map<string, Ground<HoldingCell>>>();

type GroundRequest = Pick<CoverRequest, 'run' | 'channel' | 'reading' | 'options'>;
const groundKey = ({ reading, options }: GroundRequest): string => JSON.stringify([reading, options]);

/** The holding water of a request, as ground that flies are shown to; worked out once for a channel. */
export function groundFor(q: GroundRequest): Ground<HoldingCell> {
  const { run, channel, reading, options } = q;
  const known = grounds.get(channel);
  const ground = known?.get(groundKey(q));
  if (ground) return ground;
  const { willing } = dayEffects(run, channel, reading, options);
  return keepGround(q, groundOf(holdingWater(run, channel, reading, options), willing));
}

/** Keeps the ground of a request, e.g. the same fish in other water. */
export function keepGround(q: GroundRequest, ground: Ground<HoldingCell>): Ground<HoldingCell> {
  grounds.set(q.channel, (grounds.get(q.channel) ?? new Map<string, Ground<HoldingCell>>()).set(groundKey(q), ground));
  return ground;
}

/** A swing of a cast by the coarse chain, in the water as it was read or as it was drawn; null where it cannot be made. */
export const coarseSwing = ({ channel, rig }: CoverRequest, plan: CastPlan, draw?: Draw): SwingResult | null =>
  unlessRefused(() => {
    const swing = { ...caseOnRun(channel, rig, plan, []), keepLineS: 0, afterDangleS: 0 };
    return runSwing(draw ? drawn(swing, draw) : swing, NUMERICS.coarse);
  });

/** What bars a swing that is made further down and out bars it here where that lies so much further up and in. */
const barred = (r: SwingResult, { features }: Channel, { alongM = 0, outM = 0 }: LookedAt) =>
  barredBy(
    r,
    alongM === 0 && outM === 0 ? features : features.map((f) => ({ ...f, xM: f.xM - alongM, yM: f.yM - outM })),
  );

/** Of many casts two and a half moments a second are looked at, in rows. */
const EVERY = 4;

/** What a cast that was swum shows the flies to; null where one of them swims through wood or over a redd. */
export function choiceOfCast(
  { channel }: CoverRequest,
  ground: Ground<HoldingCell>,
  flies: readonly ShownFly[],
  { times }: Pick<Work, 'times'>,
  { plan, pass }: Passed,
  r: SwingResult,
  looked: LookedAt = {},
): CastChoice | null {
  if (barred(r, channel, looked)) return null;
  const { places, by } = showingsOf(r, ground, flies, { every: EVERY, ...looked });
  return { plan, pass, path: wayOf(r, looked), cells: places, by, seconds: times * castSeconds(r, plan.outM), times };
}
