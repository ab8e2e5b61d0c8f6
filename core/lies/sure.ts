import { FOUR_IN_FIVE, normal, seeded } from '../maths';
import type { Channel, Reading, Run } from '../water';
import { APART, findLies } from './find';
import type { FishLie, LieOptions } from './types';

const MEMBERS = 8;

/**
 * How sure each lie is: the share of readings as rough as today's, drawn anew, in which a lie is found at that place.
 *
 * @param seed makes it repeatable
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
    const other = { ...c, u: c.u.map((u) => u * speed), h: c.h.map((h) => h * depth) };
    const there = findLies(run, other, reading, o);
    lies.forEach((l, k) => {
      const near = (q: FishLie) =>
        Math.abs(q.xM - l.xM) <= Math.max(APART.x, l.lengthM / 2) &&
        Math.abs(q.yM - l.yM) <= Math.max(APART.y, l.widthM / 2);
      if (there.some(near)) found[k] = found[k]! + 1;
    });
  }
  return lies.map((l, k) => ({ ...l, sure: found[k]! / MEMBERS }));
}
