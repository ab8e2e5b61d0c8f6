import type { Answer } from '@/core/answer';
import { castWords, standWords, sureOfStand } from '@/words/answer'; // not the barrel: two lazy pages share these
import { describeRig } from '@/core/tackle';
import type { PlanPoint } from '@/core/water';
import { type UnitSystem } from '@/words/units';

const NONE: ReadonlyMap<number, string> = new Map();

/**
 * How the answer would fish each lie, by its number.
 *
 * @param asToday the lies are those of today's water: of another level nothing is known
 */
export function answeredCasts(answer: Answer | null, asToday: boolean, units: UnitSystem): ReadonlyMap<number, string> {
  if (!answer?.served || !asToday) return NONE;
  const { setup, stands } = answer.served;
  const rig = describeRig(setup.rig);
  return new Map(
    stands.map((t) => [
      t.lie.rank,
      `Fish it with ${rig}, from ${standWords(t.plan, units)}: ${castWords(t.plan, units)}. ${sureOfStand(t)}`,
    ]),
  );
}

/** Where one stands in the hour, stand by stand: the way on foot. */
export function wayOnFoot(answer: Answer | null): readonly PlanPoint[] | null {
  const casts = answer?.served?.casts ?? [];
  const stands = casts.filter((c, i) => i === 0 || c.xM !== casts[i - 1]!.xM || c.yM !== casts[i - 1]!.yM);
  return stands.length > 1 ? stands.map(({ xM, yM }) => ({ xM, yM })) : null;
}
