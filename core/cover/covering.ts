import { overRedd, tracksOf, woodInTheWay } from '../advice';
import { caseOnRun } from '../cast/case';
import { holdingWater } from '../lies';
import { roundTo } from '../maths';
import { unlessRefused } from '../refusal';
import { NUMERICS, runSwing, type SwingResult } from '../swing';
import { flyAt, HZ, rowOf } from '../swing/series';
import type { Choice } from './gain';
import { castSeconds } from './pace';
import { shownBy } from './reach';
import { castsToTry, type CoverRequest, type Passed, ruleFor, workFor } from './stands';
import { type Ground, groundOf, type Shown, sweptBy } from './sweep';
import { signOf, type Work } from './work';

/** A cast that can be made, with what it shows the flies to. */
export interface CastChoice extends Choice, Passed {
  readonly cells: Uint16Array;
  /** The point fly's way while it fishes, [x, y] in m. */
  readonly path: readonly (readonly [number, number])[];
}

/** The casts that a run offers to a rig, each simulated, and those of the rule of thumb in their order. */
export interface Covering {
  readonly ground: Ground;
  readonly weights: Float64Array;
  readonly work: Work;
  readonly flies: readonly Shown[];
  readonly casts: readonly CastChoice[];
  readonly rule: readonly CastChoice[];
}

/** A second of the fly’s way at a time is enough to draw. */
function wayOf(r: SwingResult): [number, number][] {
  if (!r.fishing) return [];
  const out: [number, number][] = [];
  for (let row = rowOf(r, r.fishing.fromS); row <= rowOf(r, r.fishing.toS); row += HZ) {
    const { xM, yM } = flyAt(r, row);
    out.push([roundTo(10, xM), roundTo(10, yM)]);
  }
  return out;
}

/** What one cast shows the flies to; null where it cannot be made, or one of them swims through wood or over a redd. */
function tryCast(
  { channel, rig }: CoverRequest,
  ground: Ground,
  flies: readonly Shown[],
  { times }: Work,
  { plan, pass }: Passed,
): CastChoice | null {
  const r = unlessRefused(() =>
    runSwing({ ...caseOnRun(channel, rig, plan, []), keepLineS: 0, afterDangleS: 0 }, NUMERICS.coarse),
  );
  if (!r) return null;
  const { features } = channel;
  if (tracksOf(r).some((way) => woodInTheWay(r, way, features) || overRedd(r, way, features))) return null;
  const seconds = times * castSeconds(r, plan.outM);
  return { plan, pass, path: wayOf(r), cells: sweptBy(r, ground, flies), seconds, times };
}

/**
 * Simulates the casts that a run offers to a rig, and those of the rule of thumb: from every stand several lengths and angles,
 * each a swing of the coarse chain.
 *
 * @yields the share done, 0 to 1
 * @throws RangeError when the visibility is not above 0
 */
export function* coveringOf(q: CoverRequest): Generator<number, Covering, undefined> {
  const work = workFor(q);
  const ground = groundOf(holdingWater(q.run, q.channel, q.reading, q.options));
  const flies = shownBy(q);
  const [own, byRule] = [castsToTry(q), ruleFor(q)];
  let done = 0;
  const tried = function* (list: readonly Passed[]): Generator<number, CastChoice[], undefined> {
    const out: CastChoice[] = [];
    for (const one of list) {
      const cast = tryCast(q, ground, flies, work, one);
      if (cast) out.push(cast);
      yield ++done / (own.length + byRule.length);
    }
    return out;
  };
  const offered = yield* tried(own);
  const rule = yield* tried(byRule);
  return {
    ...{ ground, work, flies, rule },
    weights: Float64Array.from(ground.cells, (c) => c.weight),
    // The rule's casts are worth looking at, too: what is planned need not be worse. In a slack pool one fans from few stands.
    casts: [...offered, ...(work.longFirst ? [] : rule)]
      .filter((c) => c.cells.length > 0)
      .sort((a, b) => signOf(work) * (a.plan.xM - b.plan.xM)),
  };
}
