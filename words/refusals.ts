import type { NotCast, Refused } from '@/core/refusal';
import { format, type UnitSystem } from './units';

/** Why a cast cannot be made, and what to do. */
export function notCastWords(why: NotCast, units: UnitSystem): string {
  switch (why.code) {
    case 'dry land':
      return 'You would stand on dry land, away from the water: stand nearer to the water.';
    case 'shorter than leader':
      return 'The cast is shorter than the leader: cast longer.';
    case 'on the bank':
      return `The fly would land ${format('line', why.byM, units)} up the ${why.bank} bank: cast shorter, or further down.`;
    case 'blocked':
      return `The ${why.by} in front of you leaves no room for the line: step past it.`;
    case 'trees behind':
      return `Trees behind: roll and sustained-anchor casts carry some ${format('length', why.mostM, units)}. Cast shorter, or wade out.`;
  }
}

/** What an error says that came of core, where it is a refusal; else its own message. */
export function refusalWords(message: string, units: UnitSystem): string {
  if (!message.startsWith('{"code":"no cast"')) return message;
  const refused = JSON.parse(message) as Refused;
  return refused.code === 'no cast' ? notCastWords(refused.why, units) : message;
}

/** A calculation that broke off: its own words are for nobody at a river. */
export const BROKE_OFF =
  'The calculation broke off. Nothing you entered is lost. Try again; if it breaks off once more, reload the page.';
