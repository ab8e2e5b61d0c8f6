import { type ChangesRequest, costBetween, type Lever, leversBetween, possibleSettings, type Trial } from '../advice';
import { ANY_CAST } from '../cast';
import { checkRig } from '../rules';
import type { Rig } from '../tackle';
import { classesOf, fliesFor } from './flies';
import { methodsToTry, MOST_FLIES, setupsOf } from './looks';
import { refitted, setupOf, soundAfter, suitsFish } from './rigs';
import type { Bench } from './setupWorth';

/** What is on a rod and can be changed. */
const RIG_LEVERS: readonly Lever[] = ['other rod', 'shot', 'dropper', 'tip', 'fly', 'leader', 'head'];

export const trialOf = ({ s }: Bench, rig: Rig): Trial => ({ rig, plan: ANY_CAST, rigged: s.rigged, means: s.means });

/** What leads from what is tied on to something else. */
export interface Step {
  readonly levers: readonly Lever[];
  readonly costS: number;
  readonly from: Rig;
  readonly into: Rig;
  /** The rod does not stand ready: it is set up whole. */
  readonly setUp: boolean;
}

/** What to do, in the order of its cost. */
export function stepsTo(b: Bench, from: Rig, to: Rig): Step {
  const [a, z] = [trialOf(b, from), trialOf(b, to)];
  const levers = leversBetween(a, z);
  const ready = b.s.rigged.some((r) => r.rod.id === to.rod.id);
  return { levers, costS: costBetween(a, z), from, into: to, setUp: levers.includes('other rod') && !ready };
}

/** Every rig that is one thing away from what is on; only what is allowed, and makes nothing wrong. */
export function neighbours(b: Bench, from: Rig): Rig[] {
  const { s } = b;
  const q: ChangesRequest = {
    ...trialOf(b, from),
    ...{ lie: s.lies[0]!, channel: s.channel, lengthM: s.run.lengthM, lies: s.lies, kit: s.kit, rules: s.rules },
  };
  const flies = new Set(
    setupsOf(b, from).flatMap(({ method }) => classesOf(fliesFor(s, method, b.look), MOST_FLIES).map((j) => j.fly.id)),
  );
  const isSound = soundAfter(s, from);
  return RIG_LEVERS.flatMap((lever) => possibleSettings(lever, q).map((p) => ({ ...from, ...p.rig })))
    .filter((rig) => rig.fly.id === from.fly.id || flies.has(rig.fly.id))
    .filter((rig) => rig.rod.id === from.rod.id || suitsFish(s, rig.rod))
    .filter((rig) => checkRig(s.rules, rig).length === 0 && isSound(rig));
}

/** What is on, for another way to fish that the water asks for: its rod and line with a fly for that, the leader that goes with it, and
 * with the tip or without. */
export function forAnotherWay(b: Bench, from: Rig): Rig[] {
  const own = setupsOf(b, from).map((x) => x.method);
  return methodsToTry(b)
    .filter((method) => !own.includes(method))
    .flatMap((method) => {
      const held = setupOf(b.s, method, from, 1);
      const [fly] = fliesFor(b.s, method, b.look);
      const tips = from.tip ? [from.tip, null] : [null];
      return fly ? tips.flatMap((tip) => refitted(b.s, held, { fly, tip })?.rig ?? []) : [];
    });
}
