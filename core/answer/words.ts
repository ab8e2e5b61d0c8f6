import { type CastPlan, handsOf, SINKING_STEPS_M } from '../cast';
import type { Risk } from '../advice';
import { describeRig, type Rig } from '../tackle';
import { capital, format, ofTen, type UnitSystem } from '../units';
import type { Stand } from './casts';
import type { Method } from './methods';
import type { Served } from './served';

/** An answer in one line. @example answerTitle('strip', rig) // 'Strip: black rabbit strip on 10 ft fast' */
export const answerTitle = (method: Method, rig: Rig): string => `${capital(method)}: ${describeRig(rig)}`;

/** How often the fly passes as wanted at the lies that are served, and which are given up, e.g. "As wanted in 6 of 10 swings at 1,
 * 4; gives up 2, 9." */
export function oddsWords({ stands, givesUp }: Pick<Served, 'stands' | 'givesUp'>): string {
  const served = stands.filter((t) => !givesUp.some((l) => l.rank === t.lie.rank));
  const up = givesUp.map((l) => l.rank).join(', ');
  if (served.length === 0) {
    const best = Math.max(0, ...stands.map((t) => t.chance ?? 0));
    return best > 0
      ? `No lie is well served: at the best of them, in ${ofTen(best / 10)}.`
      : 'No lie is served with this.';
  }
  const weight = served.reduce((sum, t) => sum + t.lie.score, 0);
  const share = served.reduce((sum, t) => sum + (t.lie.score * (t.chance ?? 0)) / 10, 0) / weight;
  const at = up
    ? `at ${served
        .map((t) => t.lie.rank)
        .sort((a, b) => a - b)
        .join(', ')}; gives up ${up}`
    : `over ${served.length} lies`;
  return `As wanted in ${ofTen(share)} swings ${served.length === 1 && !up ? 'at the lie' : at}.`;
}

/** Nobody stands above the run as it is drawn: what lies nearer to its head is not swung to, m. */
const AT_HEAD_M = 5;
const SQUARE_DEG = 90;

/** Why lies at the very head are given up where one casts down, and what to do; empty where none is. */
export function headWords({ stands, givesUp }: Pick<Served, 'stands' | 'givesUp'>): string {
  const at = givesUp.filter((l) => l.xM < AT_HEAD_M).map((l) => l.rank);
  if (at.length === 0 || stands.some((t) => t.plan.angleDeg > SQUARE_DEG)) return '';
  const [lie, them] = at.length === 1 ? ['Lie', 'it'] : ['Lies', 'them'];
  return `${lie} ${at.join(', ')} at the very head of the run as drawn: to swing to ${them} one stands further up. Draw the run from there.`;
}

/** What hands and feet do, in the order in which it is done, e.g. "12.0 m out at 75°; mend 1.0 m upstream; step down 1.5 m while
 * it sinks". */
export function castWords(plan: CastPlan, units: UnitSystem): string {
  const m = (d: number) => format('line', Math.abs(d), units);
  const h = handsOf(plan);
  const parts = [
    `${m(plan.outM)} out at ${plan.angleDeg}°`,
    plan.mendM === 0 ? '' : `mend ${m(plan.mendM)} ${plan.mendM > 0 ? 'upstream' : 'downstream'}`,
    h.walkM <= 0
      ? ''
      : h.walkM <= SINKING_STEPS_M
        ? `step down ${m(h.walkM)} while it sinks`
        : `walk down ${m(h.walkM)} with the swing`,
    h.way === 'swing' ? '' : h.pullM > 0 && h.countS > 0 ? `${h.way} from the count of ${h.countS}` : h.way,
  ];
  return parts.filter(Boolean).join('; ');
}

/** Where one stands. @example standWords({ xM: 10.5, yM: 1 }, 'metric') // '11 m down, 1 m out' */
export const standWords = ({ xM, yM }: Pick<CastPlan, 'xM' | 'yM'>, units: UnitSystem): string =>
  `${format('length', xM, units)} down, ${format('length', Math.max(0, yM), units)} out`;

/** What puts a pass at risk. */
const RISKS: Record<Risk, string> = {
  faster: 'the water is faster than read',
  slower: 'the water is slower than read',
  deeper: 'it is deeper than read',
  thinner: 'it is shallower than read',
  line: 'the line is not as clean, or as dirty, as said',
};

/** How sure a stand's cast is, and what puts it at risk; an empty sentence while that is not known. */
export function sureOfStand({ chance, risk }: Pick<Stand, 'chance' | 'risk'>): string {
  if (chance === undefined) return '';
  return `Right in ${ofTen(chance / 10)}${risk ? `; less where ${RISKS[risk]}` : ''}.`;
}
