import { format, type UnitSystem } from '../units';
import type { Stop } from './order';

/** What hinders, as a warning. */
const HINDERED: Record<NonNullable<Stop['hindered']>, string> = {
  'trees behind': 'trees behind: roll or sustained-anchor casts with a short head',
  'bushes behind': 'bushes behind: a high back cast, or roll it',
  'wood in front': 'wood in front: no cast from here, step past it first',
};

/** One stop of the work in a sentence. */
export function stopWords(s: Stop, first: boolean, system: UnitSystem): string {
  const length = (m: number) => format('length', Math.abs(m), system);
  const go = first
    ? `Begin ${length(s.xM)} down`
    : Math.abs(s.moveM) < 0.75
      ? 'From the same place'
      : `${length(s.moveM)} ${s.moveM > 0 ? 'further down' : 'further up'}`;
  const stand = s.depthM > 0.05 ? `, standing ${format('depth', s.depthM, system)} deep` : ', from the bank';
  const shoulder = s.shoulder === 'either' ? '' : `; the wind asks for the ${s.shoulder} shoulder`;
  return `${go}${stand}: lie ${s.lie.rank}${s.hindered ? `; ${HINDERED[s.hindered]}` : ''}${shoulder}.`;
}
