import { FOUR_IN_FIVE, normal, seeded } from '../maths';
import { buildChannel, type Channel, coarseCut, type Reading, type Run } from '../water';
import { findLies } from './find';
import type { FishLie, LieOptions } from './types';

const MEMBERS = 8;
/** How far a point of a section may be off in depth, and where it stands across, relative and m (assumed: paced and
 * waded by eye; four in five lie within). */
const GEOMETRY = { depth: 0.15, acrossM: 0.5 } as const;
/** Found again within half its own extent and this, m. */
const NEAR_M = { along: 2, across: 1 } as const;

/** The run as it might be as well: each point of each section a little deeper or thinner, and a little further out. */
function redrawn(run: Run, rand: () => number): Run {
  const off = (by: number) => (by / FOUR_IN_FIVE) * normal(rand);
  return {
    ...run,
    sections: run.sections.map((s) => {
      const last = s.points.length - 1;
      const points = s.points.map((p, n) => ({
        yM: p.yM + (n === 0 || n === last ? 0 : off(GEOMETRY.acrossM)),
        depthM: p.depthM * Math.exp(off(GEOMETRY.depth)),
      }));
      return { ...s, points: points.sort((a, b) => a.yM - b.yM) };
    }),
  };
}

/**
 * How sure each lie is: in how many of eight runs it is found again, the sections redrawn and the readings off by as much
 * as they may be. All on one grid, the coarse one, which shows the same lies: only what is varied moves them.
 *
 * @param lies as found in full; @param seed makes it repeatable
 */
export function sureOf(
  run: Run,
  c: Channel,
  reading: Reading | null,
  o: LieOptions,
  lies: readonly FishLie[],
  seed = 1,
): FishLie[] {
  const rand = seeded(seed);
  const found = lies.map(() => 0);
  for (let m = 0; m < MEMBERS; m++) {
    const speed = Math.exp((c.speedSpread / FOUR_IN_FIVE) * normal(rand));
    const depth = Math.exp((c.depthSpread / FOUR_IN_FIVE) * normal(rand));
    const other = buildChannel(redrawn(run, rand), reading, coarseCut(run));
    const there = findLies(
      run,
      { ...other, u: other.u.map((u) => u * speed), h: other.h.map((h) => h * depth) },
      reading,
      o,
    );
    lies.forEach((l, k) => {
      const again = there.some(
        (q) =>
          Math.abs(q.xM - l.xM) <= l.lengthM / 2 + NEAR_M.along &&
          Math.abs(q.yM - l.yM) <= l.widthM / 2 + NEAR_M.across,
      );
      if (again) found[k] = found[k]! + 1;
    });
  }
  return lies.map((l, k) => ({ ...l, foundAgain: { times: found[k]!, of: MEMBERS } }));
}
