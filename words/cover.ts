import { byBank, type CastPlan, handsOf, type Way } from '@/core/cast';
import type { HourCaution, Next, NextWhy, Playing } from '@/core/cover';
import { PACE_M } from '@/core/cover';
import { angleWords, mendWords, outWords, throwWords } from './cast';
import { format, type UnitSystem } from './units';

/** More paces than this are a walk. */
const STEPS = 8;
const COUNTED = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'] as const;
const paces = (m: number): string => {
  const n = Math.max(1, Math.round(m / PACE_M));
  return n === 1 ? 'one pace' : `${COUNTED[n] ?? n} paces`;
};
/** A move of a stand, a length or an angle that is smaller than this is none. */
const MOVED = { alongM: 0.35, outM: 1, lineM: 0.15, pulledM: 1.5, angleDeg: 3 } as const;

/** Where a cast has turned to. */
const turned = (toDeg: number, by: number): string =>
  by > 0 ? (toDeg > SQUARE_DEG ? 'further up' : 'squarer') : toDeg < SQUARE_DEG ? 'further down' : 'squarer';
const SQUARE_DEG = 90;

/** How one gets from the last cast to the next of the plan. */
function onwards(n: Next, system: UnitSystem): string {
  const { plan, last } = n;
  const length = (m: number) => format('length', Math.abs(m), system);
  if (!last) return `Start ${length(plan.xM)} down`;
  const along = plan.xM - last.xM;
  const way = wayTo(n);
  if (Math.abs(along) > STEPS * PACE_M) return `Walk ${length(along)} ${way}`;
  if (Math.abs(along) > MOVED.alongM) return `Step ${way} ${paces(Math.abs(along))}`;
  const out = plan.yM - last.yM;
  if (Math.abs(out) > MOVED.outM) {
    if (byBank(plan.yM)) return `${out > 0 ? 'Out' : 'Back'} to the bank`;
    return out > 0 ? `Wade out to ${length(plan.yM)}` : `Back to ${outWords(plan.yM, system)}`;
  }
  const line = plan.outM - last.outM;
  if (Math.abs(line) > MOVED.lineM) {
    const way = line > 0 ? 'Lengthen' : 'Shorten';
    return Math.abs(line) > MOVED.pulledM
      ? `${way} to ${format('line', plan.outM, system)}`
      : `${way} ${format('line', Math.abs(line), system)}`;
  }
  const turn = Math.round(plan.angleDeg - last.angleDeg);
  if (Math.abs(turn) > MOVED.angleDeg) return `Cast ${Math.abs(turn)}° ${turned(plan.angleDeg, turn)}`;
  return 'Same cast';
}

/** Which way along the river a move from the last stand leads. */
const wayTo = ({ plan, last }: Next): 'up' | 'down' => (last && plan.xM < last.xM ? 'up' : 'down');

/** What comes next, in a few large words. @param clock a moment as one reads it off a watch */
export function moveWords(n: Next, system: UnitSystem, clock: (at: number) => string): string {
  switch (n.kind) {
    case 'planned':
      return onwards(n, system);
    case 'same':
      return 'Same cast';
    case 'rest':
      return `Rest the lie ${n.minutes} min`;
    case 'resting':
      return `Rest until ${clock(n.until!)}`;
    case 'swap':
      return 'Switch for the trial';
    case 'smaller':
      return 'A smaller fly';
    case 'higher':
      return `Go ${wayTo(n)} ${format('length', Math.abs(n.plan.xM - n.last!.xM), system)}`;
    case 'dropper':
      return `One step ${wayTo(n)}`;
    case 'fan':
      return `Fan: cast at ${angleWords(n.plan.angleDeg)}`;
    case 'lane':
      return n.until === undefined ? 'Same lane' : `Same lane at ${clock(n.until)}`;
    case 'leave':
      return 'Leave the young fish';
    case 'over':
      return 'Run finished';
  }
}

/** The cast itself: how much line, at which angle, and what the hands do. */
export function nextCastWords({ plan, last }: Next, system: UnitSystem): string {
  const hands = handsOf(plan);
  const waded = last && Math.abs(plan.yM - last.yM) > MOVED.outM && Math.abs(plan.xM - last.xM) > MOVED.alongM;
  return [
    throwWords(plan, system),
    mendWords(plan.mendM, system),
    hands.way === 'swing' ? '' : hands.way,
    waded ? `standing ${outWords(plan.yM, system)}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** Why the next cast is not simply the next of the plan. */
export function nextWhy(why: NextWhy): string {
  switch (why.code) {
    case 'same after':
      return `After a ${why.what}: the same cast at once.`;
    case 'rest after':
      return `The fish came once (${why.what}): rest the lie and watch the water, same fly. Or step down and cast on.`;
    case 'fan':
      return `Cast ${why.cast} of ${why.of} from this position.`;
    case 'watch for it':
      return 'Watch the water: the fish may show itself.';
    case 'rested':
      return 'Rested: the same cast, same fly.';
    case 'dropper over':
      return 'A step on: the second fly comes over the fish.';
    case 'new fly':
      return 'The same cast with the new fly.';
    case 'smaller':
      return 'The fish may take a smaller fly: change, then the same cast.';
    case 'higher':
      return 'No smaller fly in the bag: go further up and come over the fish again.';
    case 'watch':
      return 'Watch the water.';
    case 'clear the fly':
      return 'Clear the fly: that cast covered no water.';
    case 'check the hook':
      return 'Check hook and knot, then the same cast.';
    case 'other turn':
      return 'Switch for the trial: tie the other one on, or cast on.';
    case 'juveniles':
      return 'Young fish swarm here: leave them alone.';
    case 'cruises':
      return 'A cruising fish comes by again.';
    case 'over':
      return 'Leave the run, or change something and go through again.';
  }
}

/** What of the hour is dangerous, and what to do. */
export function hourCaution(c: HourCaution, units: UnitSystem): string {
  switch (c.code) {
    case 'thunder':
      return `Thunder: rod down, off the water, away from single trees, until ${c.untilMin} minutes after the last of it.`;
    case 'rising':
      return `The water has risen ${format('depth', c.byM, units)} in two hours: come back to your own bank while you can.`;
    case 'dark':
      return `Dark in ${Math.max(1, Math.round(c.inMin))} minutes: be out of the water and on the way back while you can see the bed.`;
  }
}

const TURNS = 'On a take, let the fish turn against the reel or the loop, then lift.';
const STRIPS = 'On a take, keep stripping until the line is tight; do not lift.';
const DRIFTS = 'Lift at any sign: the line’s end, a stop, a flash.';

/** How a take is struck, by how the fly is fished (common practice, no source). */
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

/** What to mind with a fish on, the most urgent first. */
export const playingWords = ({ wood, sinkingLine, freeHook }: Playing, units: UnitSystem): string[] => [
  ...(wood
    ? [
        `Wood ${format('length', Math.max(1, wood.awayM), units)} off (${wood.kind}): stop the fish early, side pressure.`,
      ]
    : []),
  `Loose line on the reel${sinkingLine ? ': a sinking line snags round your boots' : ''}; lead the fish away from unfished water.`,
  'At the net: light drag, expect a last run.',
  ...(freeHook ? ['Two flies: mind the free hook.'] : []),
];
