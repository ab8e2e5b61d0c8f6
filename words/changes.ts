import type { Lever, Trial } from '@/core/advice';
import type { Step } from '@/core/answer';
import { ANY_CAST, dipOf, handsOf, SINKING_STEPS_M } from '@/core/cast';
import { describeRig, type Rig, shotName } from '@/core/tackle';
import { capital } from './capital';
import { mendWords } from './cast';
import { format, type UnitSystem } from './units';

type Says = (to: Trial, from: Trial, system: UnitSystem) => string;

const length = (m: number, system: UnitSystem) => format('line', Math.abs(m), system);

/** What to do for each thing that can be changed at the river. */
const LEVER_WORDS: Record<Lever, Says> = {
  angle: (to, from) => {
    const by = to.plan.angleDeg - from.plan.angleDeg;
    return `cast ${Math.abs(by)}° further ${by > 0 ? 'upstream' : 'downstream'}`;
  },
  rod: ({ plan }, from) => {
    if (!!plan.tipUnder !== !!from.plan.tipUnder)
      return plan.tipUnder ? 'hold the rod tip under water' : 'lift the rod tip out of the water';
    if (dipOf(plan) !== dipOf(from.plan))
      return dipOf(plan) > dipOf(from.plan) ? 'dip the rod tip deeper' : 'dip the rod tip less deep';
    if (plan.tip !== from.plan.tip)
      return {
        high: 'hold the rod high',
        lowered: 'raise the rod, then lower it into the swing',
        low: 'hold the rod low',
      }[plan.tip ?? 'low'];
    return { still: 'hold the rod still', follow: 'follow the fly with the rod', lead: 'lead the fly with the rod' }[
      plan.rod
    ];
  },
  count: ({ plan }) => `begin at the count of ${Math.round(handsOf(plan).countS)}`,
  mend: ({ plan: { mendM } }, _from, system) => mendWords(mendM, system) || 'leave out the mend',
  feed: ({ plan }, _from, system) => {
    const { feedM } = handsOf(plan);
    return feedM === 0 ? 'feed no line' : `feed ${length(feedM, system)} of line into the drift`;
  },
  walk: ({ plan }, _from, system) => {
    const { walkM } = handsOf(plan);
    if (walkM === 0) return 'stand while it sinks';
    return `${walkM <= SINKING_STEPS_M ? 'step' : 'walk'} down ${length(walkM, system)} ${walkM <= SINKING_STEPS_M ? 'while it sinks' : 'with the swing'}`;
  },
  length: (to, from, system) => {
    const by = to.plan.outM - from.plan.outM;
    return `cast ${length(by, system)} ${by > 0 ? 'longer' : 'shorter'}`;
  },
  stand: (to, from, system) => {
    const down = to.plan.xM - from.plan.xM;
    const out = to.plan.yM - from.plan.yM;
    return down !== 0
      ? `stand ${length(down, system)} further ${down > 0 ? 'down' : 'up'}`
      : `stand ${length(out, system)} ${out > 0 ? 'further out' : 'nearer your bank'}`;
  },
  'other rod': ({ rig }) => `pick up ${rig.rod.name}: ${describeRig(rig)}`,
  shot: ({ rig: { shot } }) => (shot ? `pinch on shot ${shotName(shot.massKg)}` : 'take the shot off'),
  dropper: (_to, from) => `take the ${from.rig.droppers.length > 1 ? 'other flies' : 'second fly'} off`,
  tip: ({ rig: { tip } }) => (tip ? `loop on ${tip.name}` : 'take the tip off'),
  fly: ({ rig }) => `tie on ${rig.fly.name}`,
  leader: ({ rig }) => `change the leader to ${rig.leader.name}`,
  head: ({ rig }) => `change to ${rig.head.name}`,
};

/** What to do, one lever after the other, e.g. "Cast 10° further upstream, mend once upstream". */
export const changeWords = (
  to: Trial & { readonly levers: readonly Lever[] },
  from: Trial,
  system: UnitSystem,
): string => capital(to.levers.map((l) => LEVER_WORDS[l](to, from, system)).join(', '));

const trial = (rig: Rig): Trial => ({ rig, plan: ANY_CAST });

/** From what is tied on to another rig; a rod that does not stand ready is set up whole. */
export const stepWords = ({ levers, from, into, setUp }: Step, units: UnitSystem): string =>
  setUp
    ? `Set up ${into.rod.name} with ${into.head.name}: ${describeRig(into)}`
    : changeWords({ ...trial(into), levers }, trial(from), units);
