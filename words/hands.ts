import type { Schools } from '@/core/answer/schools';
import { type CastPlan, handsOf, type Way } from '@/core/cast';
import { strikeWords } from './cover';

/** Ways in which a tight line is carried round by the current and then hangs. */
const SWUNG: readonly Way[] = ['swing', 'swing and strip', 'timed rise', 'towed by the bow'];
/** What the hand adds to a swing, by school. */
const ADDS: Readonly<Record<Schools['motion'], string>> = {
  'let it swing': 'Let the current work the fly.',
  'small regular pulses': 'Pulse the rod tip as it swings, small and even.',
  'keep it animated': 'Strip as it swings, short and long, with pauses.',
};
/** What is done at the end of a swing, by school. */
const AT_THE_END: Readonly<Record<Schools['hang'], string>> = {
  'give it time': 'Let the fly hang below you before you strip in.',
  'keep it moving': 'Once it hangs, draw it up and drop it back, then strip in.',
};
/** How a take on the swing is met, by what holds the line. */
const HELD: Readonly<Record<Schools['lineHand'], string>> = {
  'a loop to give': 'Hold a loop as long as your forearm. On a take let the fish pull it out, then lift.',
  'straight to the reel': 'Line straight to the reel, light drag. On a take let the fish turn, then lift.',
};

/** What the hands do while the fly is fished and when it is taken, by the schools in use. */
export function handsWords(plan: CastPlan, school: Pick<Schools, 'motion' | 'hang' | 'lineHand'>): string[] {
  const { way } = handsOf(plan);
  if (!SWUNG.includes(way)) return [strikeWords(plan)];
  const adds = way === 'swing' ? [ADDS[school.motion]] : []; // the others say themselves what the hand does
  return [...adds, AT_THE_END[school.hang], HELD[school.lineHand]];
}
