import { type CastPlan, handsOf, outWords, SINKING_STEPS_M } from '../cast';
import type { Risk } from '../advice';
import { groupBy } from '../maths/groups';
import { describeRig, type Rig } from '../tackle';
import { capital, format, ofTen, type UnitSystem } from '../units';
import type { Stand } from './casts';
import type { Method } from './methods';
import type { Because, Served } from './servedLies';

/** An answer in one line. @example answerTitle('strip', rig) // 'Strip: black rabbit strip on 10 ft fast' */
export const answerTitle = (method: Method, rig: Rig): string => `${capital(method)}: ${describeRig(rig)}`;

/** Lies by their numbers. @example ranksOf(lies) // '1, 4, 8' */
export const ranksOf = (lies: readonly { readonly rank: number }[]): string =>
  lies
    .map((l) => l.rank)
    .sort((a, b) => a - b)
    .join(', ');

/** Of what wakes the swing says no more than that it does: not whether fish come up to it. */
const wakes = (method: Method): string | null => (method === 'wake fly' ? 'It wakes' : null);

/** How often the fly passes as wanted at the lies that are served, e.g. "As wanted in 6 of 10 swings at 1, 4." */
export function oddsWords({ stands, givesUp, setup }: Pick<Served, 'stands' | 'givesUp' | 'setup'>): string {
  const served = stands.filter((t) => !givesUp.some(({ lie }) => lie.rank === t.lie.rank));
  if (served.length === 0) {
    const best = Math.max(0, ...stands.map((t) => t.chance ?? 0));
    return best > 0
      ? `No lie is well served: at the best of them, in ${ofTen(best / 10)}.`
      : 'No lie is served with this.';
  }
  const weight = served.reduce((sum, t) => sum + t.lie.score, 0);
  const share = served.reduce((sum, t) => sum + (t.lie.score * (t.chance ?? 0)) / 10, 0) / weight;
  const all = served.length === 1 ? 'at the lie' : `over ${served.length} lies`;
  return `${wakes(setup.method) ?? 'As wanted'} in ${ofTen(share)} swings ${givesUp.length > 0 ? `at ${ranksOf(served.map((t) => t.lie))}` : all}.`;
}

/** What a cast does at a lie that it does not serve. */
export const BECAUSE: Record<Because, string> = {
  'out of reach': 'out of reach',
  'beyond the rod': 'too far for the rod',
  'short of it': 'the fly does not get there',
  'not fishing': 'the fly is not fishing there',
  wood: 'wood in the way',
  redd: 'the fly would swing over the redd',
  'on the bed': 'on the bed there',
  'line on the bed': 'the line lies on the bed there',
  'too deep': 'the fly goes too deep',
  'too shallow': 'the fly rides too high',
  'too fast': 'too fast across',
  seldom: 'right too seldom',
};
/** Nobody stands above the run as it is drawn: what lies nearer to its head is not swung to, m. */
const AT_HEAD_M = 5;
const SQUARE_DEG = 90;

/** What is given up and why, e.g. "Gives up 1, 4 (out of reach), 2 (the fly goes too deep)."; what to do about lies at the very head,
 * where one casts down. Empty where nothing is given up. */
export function givenUpWords({ stands, givesUp }: Pick<Served, 'stands' | 'givesUp'>): string {
  const castsUp = stands.some((t) => t.plan.angleDeg > SQUARE_DEG);
  const atHead = givesUp.filter(({ lie }) => !castsUp && lie.xM < AT_HEAD_M).map(({ lie }) => lie);
  const groups = groupBy(
    givesUp.filter(({ lie }) => !atHead.includes(lie)),
    (g) => g.because,
  );
  const parts = [...groups].map(([why, of]) => `${ranksOf(of.map((g) => g.lie))} (${BECAUSE[why]})`);
  const [lie, them] = atHead.length === 1 ? ['Lie', 'it'] : ['Lies', 'them'];
  return [
    ...(parts.length > 0 ? [`Gives up ${parts.join(', ')}.`] : []),
    ...(atHead.length > 0
      ? [
          `${lie} ${ranksOf(atHead)} at the very head of the run as drawn: to swing to ${them} one stands further up. Draw the run from there.`,
        ]
      : []),
  ].join(' ');
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
  `${format('length', xM, units)} down, ${outWords(yM, units)}`;

/** What puts a pass at risk. */
const RISKS: Record<Risk, string> = {
  faster: 'the water is faster than read',
  slower: 'the water is slower than read',
  deeper: 'it is deeper than read',
  thinner: 'it is shallower than read',
  line: 'the line is not as clean, or as dirty, as said',
};

/** How sure a stand's cast is, and what puts it at risk; an empty sentence while that is not known. */
export function sureOfStand({ chance, risk }: Pick<Stand, 'chance' | 'risk'>, method: Method): string {
  if (chance === undefined) return '';
  return `${wakes(method) ?? 'Right'} in ${ofTen(chance / 10)}${risk ? `; less where ${RISKS[risk]}` : ''}.`;
}
