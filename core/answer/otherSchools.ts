import { legalRig } from '../advice';
import { ANY_CAST, shortestCast } from '../cast';
import { usualTime } from '../cover/patience';
import { beginsAt, beginsFar } from '../cover/rule';
import type { FlyItem, Rig } from '../tackle';
import { checkRig } from '../rules';
import { fliesFor, judgeFly } from './flies';
import { refitted, tipsOf } from './rigs';
import { SCHOOL_NAMES, type SchoolName, SCHOOLS } from './schools';
import type { Served } from './stands';
import type { Situation } from './situation';
import { type Bench, isBetter } from './setupWorth';
import { plainWays } from './ways';

/** A question that good anglers answer otherwise: which answer was used, and what the others would do. */
export interface OtherSchool {
  readonly school: SchoolName;
  readonly used: string;
  readonly others: readonly { readonly name: string; readonly would: Would | null }[];
}

/** What another school would do here: tie on another fly, leader or tip, mend otherwise, show the water another number of times, begin
 * with another length of line. */
export type Would =
  | { readonly fly: FlyItem }
  | { readonly leader: string }
  | { readonly tip: string }
  | { readonly mendM: number }
  | { readonly times: number }
  | { readonly lineM: number };

/** Questions that bear on this answer only now and then. */
const BEARS: Partial<Record<SchoolName, (s: Situation, rig: Rig) => boolean>> = {
  murkSize: (s) => s.dirty,
  murkPlace: (s) => s.dirty || s.channel.levelM > 0.3,
  shot: (_s, rig) => rig.shot !== undefined,
  twoFlies: (_s, rig) => rig.droppers.length > 0,
  hours: () => false, // of the day, not of this run
};

/** What another school would do here, as far as that differs from what is advised. */
function wouldDo(b: Bench, served: Served, school: SchoolName, name: string): Would | null {
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
  if (school === 'tip') {
    if (name !== 'one dense line kept moving') return null; // how light is told by the search only
    const densest = tipsOf(s, setup.method).findLast((tip) => refitted(s, setup, { tip }) !== null);
    return densest && densest.id !== setup.rig.tip?.id ? { tip: densest.name } : null;
  }
  if (school === 'mends' || school === 'depth') {
    const [here, there] = [plainWays(b.s, setup)[0]!, plainWays(s, setup)[0]!];
    return here.mendM === there.mendM ? null : { mendM: there.mendM };
  }
  if (school === 'search') return { times: usualTime(name === 'stay and vary').patience };
  if (school === 'distance') {
    const longestM = Math.max(...served.covering.casts.map((c) => c.plan.outM));
    const lineM = (name === 'far' ? beginsFar : beginsAt)(shortestCast(setup.rig), longestM);
    return !served.begin || Math.abs(lineM - served.begin.plan.outM) < AS_LONG_M ? null : { lineM };
  }
  return null;
}
const AS_LONG_M = 1;

/** The schools in use, each with what the others would do. */
export const otherSchools = (b: Bench, served: Served): OtherSchool[] =>
  SCHOOL_NAMES.filter((name) => BEARS[name]?.(b.s, served.setup.rig) ?? true).map((school) => {
    const used = b.s.school[school];
    const others = SCHOOLS[school].filter((name) => name !== used);
    return { school, used, others: others.map((name) => ({ name, would: wouldDo(b, served, school, name) })) };
  });

/** What is tied on as far as it is allowed: the same where all of it is, else with what is not taken off; null where the fly
 * itself is not. */
export function legalOn(s: Situation, on: Rig): Rig | null {
  if (checkRig(s.rules, on).length === 0) return on;
  const q = { rig: on, plan: ANY_CAST, means: s.means, lie: s.lies[0]!, channel: s.channel };
  return legalRig({ ...q, lengthM: s.run.lengthM, lies: s.lies, kit: [], rules: s.rules });
}
