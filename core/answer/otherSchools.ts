import { legalRig } from '../advice';
import { ANY_CAST } from '../cast';
import type { FlyItem, Rig } from '../tackle';
import { checkRig } from '../rules';
import { fliesFor, judgeFly } from './flies';
import { refitted } from './rigs';
import { SCHOOL_NAMES, type SchoolName, SCHOOLS } from './schools';
import type { Served } from './stands';
import type { Situation } from './situation';
import { type Bench, isBetter } from './setupWorth';

/** A question that good anglers answer otherwise: which answer was used, and what the others would do. */
export interface OtherSchool {
  readonly school: SchoolName;
  readonly used: string;
  readonly others: readonly { readonly name: string; readonly ties: Ties | null }[];
}

/** What another school would tie on here. */
export type Ties = { readonly fly: FlyItem } | { readonly leader: string };

/** Questions that bear on this answer only now and then. */
const BEARS: Partial<Record<SchoolName, (s: Situation, rig: Rig) => boolean>> = {
  murkSize: (s) => s.dirty,
  murkPlace: (s) => s.dirty || s.channel.levelM > 0.3,
  shot: (_s, rig) => rig.shot !== undefined,
  twoFlies: (_s, rig) => rig.droppers.length > 0,
};

/** What another school would tie on here; null where it says the same. */
function wouldTieOn(b: Bench, served: Served, school: SchoolName, name: string): Ties | null {
  const s = { ...b.s, school: { ...b.s.school, [school]: name } };
  const { setup } = served;
  if (school === 'colour' || school === 'murkSize') {
    const beats = (of: Situation, fly: FlyItem) => {
      const merit = (f: FlyItem) => judgeFly(of, setup.method, f, b.look).merit;
      return isBetter(merit(fly), merit(setup.rig.fly));
    };
    // What is better for either school is not what they differ in.
    const other = fliesFor(s, setup.method, b.look).find(({ fly }) => !beats(b.s, fly));
    return other && beats(s, other.fly) ? { fly: other.fly } : null;
  }
  if (school === 'tippet') {
    const other = refitted(s, setup, {});
    return other && other.rig.leader.id !== setup.rig.leader.id ? { leader: other.rig.leader.name } : null;
  }
  return null;
}

/** The schools in use, each with what the others would do. */
export const otherSchools = (b: Bench, served: Served): OtherSchool[] =>
  SCHOOL_NAMES.filter((name) => BEARS[name]?.(b.s, served.setup.rig) ?? true).map((school) => {
    const used = b.s.school[school];
    const others = SCHOOLS[school].filter((name) => name !== used);
    return { school, used, others: others.map((name) => ({ name, ties: wouldTieOn(b, served, school, name) })) };
  });

/** What is tied on as far as it is allowed: the same where all of it is, else with what is not taken off; null where the fly
 * itself is not. */
export function legalOn(s: Situation, on: Rig): Rig | null {
  if (checkRig(s.rules, on).length === 0) return on;
  const q = { rig: on, plan: ANY_CAST, means: s.means, lie: s.lies[0]!, channel: s.channel };
  return legalRig({ ...q, lengthM: s.run.lengthM, lies: s.lies, kit: [], rules: s.rules });
}
