import type { Because, Method, Section, Served, Stand } from '@/core/answer';
import type { Risk } from '@/core/advice';
import { type CastPlan, dipOf, handsOf, type Rhythm, SINKING_STEPS_M } from '@/core/cast';
import { groupBy } from '@/core/maths/groups'; // not the barrel: two lazy pages share these words
import { describeRig, type Rig } from '@/core/tackle';
import { angleWords, mendWords, outWords, throwWords } from './cast';
import { capital } from './capital';
import { format, type UnitSystem } from './units';
import { ofTen, ofTens, percent } from './counting';

/** An answer in one line. @example answerTitle('strip', rig) // 'Strip: black rabbit strip on 10 ft fast' */
export const answerTitle = (method: Method, rig: Rig): string => `${capital(method)}: ${describeRig(rig)}`;

/** Lies by their numbers, three and more in a row as one. @example ranksOf(lies) // '1, 4 to 8' */
export function ranksOf(lies: readonly { readonly rank: number }[]): string {
  const runs: [from: number, to: number][] = [];
  for (const n of lies.map((l) => l.rank).sort((a, b) => a - b)) {
    const last = runs.at(-1);
    if (last && n === last[1] + 1) last[1] = n;
    else runs.push([n, n]);
  }
  const told = ([from, to]: [number, number]) =>
    to - from > 1 ? `${from} to ${to}` : to > from ? `${from}, ${to}` : `${from}`;
  return runs.map(told).join(', ');
}

/** How often the lies that are fished are well shown the fly, e.g. "Lies 1, 4 are well shown in 6 to 8 of 10 swings." */
export function oddsWords({ stands, givesUp }: Pick<Served, 'stands' | 'givesUp'>): string {
  const served = stands.filter((t) => !givesUp.some(({ lie }) => lie.rank === t.lie.rank));
  if (served.length === 0) {
    const best = Math.max(0, ...stands.map((t) => t.chance ?? 0));
    return best > 0 ? `The best lie is well shown in ${ofTen(best / 10)} swings only.` : 'No lie is well shown.';
  }
  const lies = served.length === 1 ? `Lie ${served[0]!.lie.rank} is` : `Lies ${ranksOf(served.map((t) => t.lie))} are`;
  return `${lies} well shown in ${ofTens(served.map((t) => (t.chance ?? 0) / 10))} swings.`;
}

/** What a cast does at a lie that it does not serve. */
const BECAUSE: Record<Because, string> = {
  'out of reach': 'out of reach',
  'beyond the rod': 'too far for this rod',
  'short of it': 'the fly stops short',
  'not fishing': 'the fly passes before it is tight',
  wood: 'wood in the way',
  redd: 'the fly would swing over the redd',
  'on the bed': 'the fly drags on the bed there',
  'line on the bed': 'the line drags on the bed there',
  'too deep': 'the fly goes too deep',
  'too shallow': 'the fly rides too high',
  wakes: 'fish there want a sunk fly',
  'too fast': 'the fly crosses too fast',
  seldom: 'rarely in the zone',
};
/** What would serve a lie that is left. */
const REMEDY: Record<Because, string> = {
  'out of reach': 'Fish from the other bank, or wade further out at a lower level.',
  'beyond the rod': 'Your longer rod reaches it.',
  'short of it': 'Wade further out at a lower level, or fish from the other bank.',
  'not fishing': 'Fish from the other bank.',
  wood: 'Fish from above the wood, or leave it.',
  redd: 'Leave it alone.',
  'on the bed': 'Try a lighter tip, or none.',
  'line on the bed': 'Change to a line that floats further out.',
  'too deep': 'Try a lighter tip or fly.',
  'too shallow': 'No tip of yours takes it down there: bring a longer or heavier one.',
  wakes: 'Go through once more with a streamer or a wet fly.',
  'too fast': 'Come back at a lower level.',
  seldom: 'Time a float and measure a depth: it may be surer than it seems.',
};

/** Nobody stands above the run as it is drawn: what lies nearer to its head is not swung to, m. */
const AT_HEAD_M = 5;
const SQUARE_DEG = 90;
/** So far out a lie is fished from the bank, before one steps in, m. */
const BY_THE_BANK_M = 8;
/** So far out a fly comes down at the end of a long cast, and swings in before it has sunk; in water as thin as this no tip is missing, m. */
const FAR_OUT_M = 18;
const THIN_M = 0.8;

type Left = Served['givesUp'][number];
/** Whether a lie is left for lying above where one can stand. */
const isAtHead = ({ lie, because }: Left, way: Pick<CastPlan, 'angleDeg'>): boolean =>
  lie.xM < AT_HEAD_M && way.angleDeg <= SQUARE_DEG && because !== 'wood' && because !== 'redd';
/** Why another lie is left, and with what remedy. */
function whyLeft({ lie, because, tip }: Left): string {
  const remedy =
    because === 'short of it' && lie.yM <= BY_THE_BANK_M
      ? 'Fish it first, on a short line.'
      : because === 'too shallow' && lie.yM > FAR_OUT_M
        ? 'It has no time to sink so far out: fish from the other bank, or wade further out at a lower level.'
        : because === 'too shallow' && lie.depthM < THIN_M
          ? 'Land it further above, so that it has time to sink.'
          : REMEDY[because];
  return `${BECAUSE[because]}. ${tip ? `Loop on ${tip} there.` : remedy}`;
}

/** The lies that are left, why, and with what remedy: those alike together, e.g. "Skips lies 3, 4 (28 m to 30 m out): out of reach. Fish
 * from the other bank." */
export function leftWords(left: readonly Left[], way: Pick<CastPlan, 'angleDeg'>, units: UnitSystem): string[] {
  const whyOf = (g: Left) => (isAtHead(g, way) ? null : whyLeft(g));
  return [...groupBy(left, whyOf)].map(([why, alike]) => {
    const lies = alike.map(({ lie }) => lie);
    const skips = `Skips ${lies.length > 1 ? 'lies' : 'lie'} ${ranksOf(lies)}`;
    if (why === null)
      return `${skips}, at the very head of the run as drawn: to swing there stand further up. Draw the run from there.`;
    const out = lies.map((l) => l.yM).sort((a, b) => a - b);
    const [near, far] = [out[0]!, out.at(-1)!].map((yM) => format('length', yM, units));
    return `${skips} (${near === far ? near : `${near} to ${far}`} out): ${why}`;
  });
}

/** What the run comes to in an hour, beside what one fishes now, e.g. "Covers 46 % of the willing fish in an hour, against 28 % as
 * you fish now." */
export function coversWords({ found }: { readonly found: number }, asNow: number | null): string {
  const poor = found < POOR ? 'Hard water for what’s in your bag. ' : '';
  const beside = asNow !== null && asNow < found - 0.01 ? `, against ${percent(asNow)} as you fish now` : '';
  return `${poor}Covers ${percent(found)} of the willing fish in an hour${beside}.`;
}
/** Less than this of the willing fish in an hour is poor. */
const POOR = 0.12;

/** A stretch of the work in a sentence, e.g. "12 to 45 m down, wading: start with 6 m, lengthen to 16 m at 60°, mend once upstream;
 * step 1.5 m after each swing." */
export function sectionWords(x: Section, units: UnitSystem): string {
  const m = (d: number) => format('length', d, units);
  const hands = castWords(x.plan, units).split('; ').slice(1);
  const how = [angleWords(x.plan.angleDeg), ...hands].join(', ');
  if (x.lie !== null)
    return `For lie ${x.lie}: ${standWords(x.plan, units)}, cast ${m(x.longestM)} at ${how}${x.casts > 1 ? `; ${x.casts} casts` : ''}.`;
  const goes = x.fromM > x.toM ? `Up from ${m(x.fromM)} to ${m(x.toM)}` : `From ${m(x.fromM)} to ${m(x.toM)} down`;
  const where = x.fromM === x.toM ? `From ${m(x.fromM)} down` : goes;
  const casts =
    x.longestM - x.shortestM < 1
      ? `cast ${m(x.longestM)}`
      : `start with ${m(x.shortestM)}, lengthen to ${m(x.longestM)}`;
  const step = x.stepM > 0 ? `; step ${format('line', x.stepM, units)} after the longest` : '';
  return `${where}, ${x.waded ? 'wading' : 'from the bank'}: ${casts} at ${how}${step}.`;
}

/** What hands and feet do, in the order in which it is done, e.g. "cast 12 m at 75°; mend once upstream; step down 1.5 m
 * while it sinks". */
export function castWords(plan: CastPlan, units: UnitSystem): string {
  const m = (d: number) => format('line', Math.abs(d), units);
  const h = handsOf(plan);
  const parts = [
    throwWords(plan, units),
    mendWords(plan.mendM, units),
    h.walkM <= 0
      ? ''
      : h.walkM <= SINKING_STEPS_M
        ? `step down ${m(h.walkM)} while it sinks`
        : `walk down ${m(h.walkM)} with the swing`,
    h.way === 'swing'
      ? ''
      : [h.way, RHYTHM[h.rhythm ?? 'even'], h.pullM > 0 && h.countS > 0 ? `from the count of ${h.countS}` : '']
          .filter(Boolean)
          .join(' '),
    plan.tipUnder ? `rod tip ${m(dipOf(plan))} under` : '',
  ];
  return parts.filter(Boolean).join('; ');
}

/** How pulls follow each other. A tight drift's twitches are given back in any case. */
const RHYTHM: Record<Rhythm, string> = { even: '', varied: '(long, short, a pause)', 'given back': '' };

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

/** How sure a cast is at its lie, and what puts it at risk; an empty sentence while that is not known. */
export function sureOfStand({ chance, risk }: Pick<Stand, 'chance' | 'risk'>): string {
  if (chance === undefined) return '';
  return `Well shown in ${ofTen(chance / 10)} swings${risk ? `; less where ${RISKS[risk]}` : ''}.`;
}
