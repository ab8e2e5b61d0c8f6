import { findLies } from '../lies';
import type { LiePass } from '../swing';
import { day, PLAN, RIG, RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import { combinations, howMany, rank, type RankRequest, type TrialRunner } from './rank';
import type { Tried } from './types';
import { isRight, missOf, type Verdict } from './verdict';

const channel = buildChannel(RUN, null);
const [lie] = findLies(RUN, channel, day(), { quarry: 'sea trout', school: 'near the bed', most: 1 });
const at: LiePass = {
  ...{ t: 5, depthM: (lie!.band.topM + lie!.band.bottomM) / 2, crossSpeedMps: 0.1, speedMps: 0.1, axisDeg: 60 },
  ...{ missM: 0, alongM: 0, acrossM: 0, headingDeg: 0 },
} as unknown as LiePass;
const verdict = (o: Partial<Verdict> = {}, pass: Partial<LiePass> = {}): Verdict => ({
  ...{ lie: lie!, pass: { ...at, ...pass }, fit: 'right', byM: 0, tooFast: false, place: 0 },
  ...o,
});

describe('how far a pass is from what is wanted (units: a hand, 0.1 m/s, 15°, a metre)', () => {
  it.each<[string, Verdict, boolean, number]>([
    ['right', verdict(), false, 0],
    ['a hand too high', verdict({ fit: 'too shallow', byM: 0.1 }), false, 1],
    ['two hands too deep', verdict({ fit: 'too deep', byM: 0.2 }), false, 2],
    ['on the bed, by half a hand', verdict({ fit: 'on the bed', byM: 0.05 }), false, 3.5],
    ['0.2 m/s too fast', verdict({}, { crossSpeedMps: lie!.crossSpeedMps + 0.2 }), false, 2],
    ['slow enough costs nothing', verdict({}, { crossSpeedMps: 0 }), false, 0],
    ['30° short of side-on, where that is wanted', verdict({}, { axisDeg: 15 }), true, 2],
    ['and where it is not', verdict({}, { axisDeg: 15 }), false, 0],
    ['more than side-on', verdict({}, { axisDeg: 80 }), true, 0],
    ['not reached by four metres', verdict({ fit: 'not reached', byM: 4 }, { missM: 4 }), false, 24],
    ['not fishing', verdict({ fit: 'not fishing', byM: 1 }, { missM: 1 }), true, 21],
    ['through wood', verdict({ wood: 'log' }), false, 10],
    ['through wood and not there', verdict({ fit: 'not reached', wood: 'log' }, { missM: 2 }), false, 32],
  ])('%s', (_, v, sideOn, miss) => {
    expect(missOf(v, sideOn)).toBeCloseTo(miss, 9);
    expect(isRight(v, sideOn)).toBe(miss === 0);
  });
});

const heavier = { ...RIG.tip!, id: 'heavier', sinkRateMps: 0.2 };
const q: RankRequest = {
  channel,
  lie: lie!,
  sideOn: false,
  base: { rig: RIG, plan: PLAN },
  vary: { tips: [RIG.tip, heavier], flies: [RIG.fly], angles: [60, 75], mends: [0, 1] },
};

/** Results that are given, by the index of the combination; what is not given cannot be cast. */
function given(coarse: Record<number, number>, full: Record<number, Partial<Tried> & { pass?: Partial<LiePass> }>) {
  const finalists: number[] = [];
  const trials = combinations(q.base, q.vary);
  const runner: TrialRunner = {
    coarse: async (which) => which.map((i) => coarse[i] ?? null),
    full: async (which) => {
      finalists.push(...which);
      return which.map((i): Tried | null => {
        const f = full[i];
        return f ? { ...trials[i]!, verdict: verdict({}, f.pass), miss: 0, ...f } : null;
      });
    },
  };
  return { runner, finalists };
}
const order = (found: readonly Tried[]) => found.map((t) => `${t.rig.tip!.id} ${t.plan.angleDeg} ${t.plan.mendM}`);

describe('ranking', () => {
  it('tries every combination, in a stable order', () => {
    expect(howMany(q.vary)).toBe(8);
    expect(combinations(q.base, q.vary).map((t) => [t.rig.tip!.id, t.plan.angleDeg, t.plan.mendM])).toEqual([
      ['t', 60, 0],
      ['t', 60, 1],
      ['t', 75, 0],
      ['t', 75, 1],
      ['heavier', 60, 0],
      ['heavier', 60, 1],
      ['heavier', 75, 0],
      ['heavier', 75, 1],
    ]);
  });

  it('sends three times as many as are wanted into the final: the best of the coarse, of equals the cheapest', async () => {
    // 0 is what is on; 1 costs a mend, 2 two seconds for the angle, 4 a knot.
    const { runner, finalists } = given({ 0: 1, 1: 1, 2: 1, 4: 1, 5: 0.5, 7: 9 }, {});
    await rank(q, 1, runner);
    expect(finalists).toEqual([5, 0, 1]);
  });

  it('puts the better first: less wrong, surer, cheaper, the line sooner tight, nearer the middle of the band', async () => {
    const all = { 0: 0, 1: 0, 2: 0, 3: 0, 4: 0, 5: 0, 6: 0, 7: 0 };
    const { runner } = given(all, {
      0: { miss: 0.5 },
      1: { miss: 0, chance: 6 },
      2: { miss: 0, chance: 8 },
      4: { miss: 0, chance: 8 },
      5: { miss: 0, chance: 8 },
      6: { miss: 0, chance: 9 },
    });
    expect(order(await rank(q, 8, runner))).toEqual([
      'heavier 75 0', // the surest
      't 75 0', // then the cheapest
      'heavier 60 0',
      'heavier 60 1',
      't 60 1',
      't 60 0', // wrong by half a hand
    ]);
  });

  it('leaves out what does not reach the lie, by the words’ own measure, and what cannot be cast, and gives no more than are wanted', async () => {
    const { runner } = given(
      { 0: 0, 1: 0, 2: 0 },
      { 0: { verdict: verdict({ fit: 'not reached' }) }, 1: { pass: { missM: 3 } }, 2: { pass: { missM: 0 } } },
    );
    expect(await rank(q, 3, runner)).toHaveLength(2);
    expect(await rank(q, 1, runner)).toHaveLength(1);
  });
});
