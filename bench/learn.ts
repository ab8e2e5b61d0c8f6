import { isCalled, type PlacedExposure } from '@/core/learn/evidence';
import { type Lists, type Proof, proofsOf, rated } from '@/core/learn/proofs';
import { ask } from '@/core/learn/question';
import { seeded } from '@/core/maths';
import { NULL_KINDS, seasonOf, type Seasons } from '@/core/testing/seasons';
import { table } from './table';

const LENGTHS = [30, 60, 120, 300];
/** Seasons of each kind and length: five hundred of each length. */
const SEASONS = 50;
const TIMES = 3;

const inHundred = (n: number, of: number) => (of > 0 ? ((100 * n) / of).toFixed(1) : '');

/** What seasons of ten kinds prove in which nothing, or one fly, makes a difference; how often intervals of nine in ten hold. */
export function benchLearn(): void {
  const rows: (string | number)[][] = [];
  for (const [name, kind] of Object.entries(NULL_KINDS))
    for (const outings of LENGTHS) rows.push(ofKind(name, { ...kind, outings }));
  const confounded = { ...NULL_KINDS.bunched, confounded: true };
  for (const outings of LENGTHS) rows.push(ofKind('habit goes with the water', { ...confounded, outings }));
  table(
    `What ${SEASONS} seasons prove, in a hundred of them; intervals of 90 in a hundred`,
    [
      'seasons',
      'outings',
      'any call, all alike',
      'white, three times as good, called',
      'asked: white better than black',
      'rate held',
      'ratio held',
      'ratio of three held',
      'ms',
    ],
    rows,
  );
}

function ofKind(name: string, s: Seasons): (string | number)[] {
  const rand = seeded(7);
  let [calls, found, asked, ms] = [0, 0, 0, 0];
  const held = { rate: 0, ratio: 0, three: 0, of: 0, white: 0 };
  for (let i = 0; i < SEASONS; i++) {
    const alike = seasonOf(rand, s);
    const since = performance.now();
    const lists = proofsOf(alike);
    ms += performance.now() - since;
    if (falseCalls(lists, s).length > 0) calls++;
    for (const g of rated(alike, 'colour', lists.colour)) {
      if (g.casts < 100 || s.confounded) continue;
      held.of++;
      if (g.rate.low <= s.rate && s.rate <= g.rate.high) held.rate++;
      if (g.ratio.low <= 1 && 1 <= g.ratio.high) held.ratio++;
    }
    const better = seasonOf(rand, { ...s, white: TIMES });
    if (proofsOf(better).colour.find((g) => g.name === 'white')?.finding === 'better') found++;
    const told = askWhite(better);
    if (told.ahead === 'a' && told.finding === 'better') asked++;
    held.white++;
    if (told.ratio.low <= TIMES && TIMES <= told.ratio.high) held.three++;
  }
  return [
    ...[name, s.outings, inHundred(calls, SEASONS), inHundred(found, SEASONS), inHundred(asked, SEASONS)],
    ...[inHundred(held.rate, held.of), inHundred(held.ratio, held.of), inHundred(held.three, held.white)],
    Math.round(ms / SEASONS),
  ];
}

/** What is called and makes no difference: where habit goes with the water, the water does. */
const falseCalls = (lists: Lists, s: Seasons): readonly Proof[] =>
  Object.entries(lists).flatMap(([by, list]) => (s.confounded && by === 'water' ? [] : list.filter(isCalled)));

const askWhite = (outings: readonly (readonly PlacedExposure[])[]) =>
  ask(outings, { by: 'colour', a: 'white', b: 'black', where: {} });
