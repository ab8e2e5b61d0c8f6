import { byBank, handsOf } from '@/core/cast';
import { format, type UnitSystem } from '@/core/units';
import type { Next } from '@/core/cover';
import { PACE_M } from '@/core/cover';
import { outWords } from './cast';

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
  if (!last) return `Begin ${length(plan.xM)} down`;
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
      return `Rest it ${n.minutes} minutes`;
    case 'resting':
      return `Rest until ${clock(n.until!)}`;
    case 'swap':
      return 'Swap for the trial';
    case 'smaller':
      return 'A smaller fly';
    case 'higher':
      return `Go ${wayTo(n)} ${format('length', Math.abs(n.plan.xM - n.last!.xM), system)}`;
    case 'dropper':
      return `One step ${wayTo(n)}`;
    case 'fan':
      return `Fan: ${Math.round(n.plan.angleDeg)}°`;
    case 'lane':
      return n.until === undefined ? 'Same lane' : `Same lane at ${clock(n.until)}`;
    case 'leave':
      return 'Leave these';
    case 'over':
      return 'Run fished out';
  }
}

/** The cast itself: how much line, at which angle, and what the hands do. */
export function nextCastWords({ plan, last }: Next, system: UnitSystem): string {
  const hands = handsOf(plan);
  const waded = last && Math.abs(plan.yM - last.yM) > MOVED.outM && Math.abs(plan.xM - last.xM) > MOVED.alongM;
  return [
    `${format('line', plan.outM, system)} out, ${Math.round(plan.angleDeg)}°`,
    ...(plan.mendM > 0 ? ['one mend up'] : plan.mendM < 0 ? ['one mend down'] : []),
    ...(hands.way === 'swing' ? [] : [hands.way]),
    ...(waded ? [`standing ${outWords(plan.yM, system)}`] : []),
  ].join(', ');
}
