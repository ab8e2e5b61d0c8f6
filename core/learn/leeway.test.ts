import { LEEWAYS, type Leeway } from '../lies';
import type { PassedLog } from '../logbook/passings';
import { seeded } from '../maths';
import { PASSED_STEP } from '../showing/passing';
import { gamma } from '../testing/seasons';
import { type LeewayTold, ownFish } from './leeway';

const STEPS = 8;
const FULL = 1000;
/** All of a cast’s water is passed in one way, by steps; else as is wanted. */
const at = (step: number, by: Leeway = 'up'): PassedLog['by'] => ({
  ...{ up: [FULL], aside: [FULL], across: [FULL], headOn: [FULL] },
  [by]: Array.from({ length: STEPS }, (_, i) => (i === step ? FULL : 0)),
});
const sum = (casts: readonly PassedLog['by'][]): PassedLog['by'] => {
  const all = (by: Leeway) =>
    Array.from({ length: STEPS }, (_, i) => casts.reduce((n, cast) => n + (cast[by][i] ?? 0), 0));
  return { up: all('up'), aside: all('aside'), across: all('across'), headOn: all('headOn') };
};
/** What is left of a showing, by the formulas of docs/answer.md, not by the code's. */
const LEFT: Record<Leeway, (share: number, times: number) => number> = {
  up: (share, times) => 2 ** -((share / times) ** 3),
  aside: (share, times) => 2 ** -((share / times) ** 2),
  across: (share, times) => (share / times <= 0.6 ? 1 : 2 ** -(((share / times - 0.6) / 0.4) ** 2)),
  headOn: (share, times) => Math.max(0, 1 - share * times),
};
const left = (step: number, times: number, by: Leeway = 'up') => LEFT[by](step * PASSED_STEP[by], times);

/** Outings on which flies passed in all ways, before fish that allow so many times as much as is assumed. */
function season(rand: () => number, outings: number, times: number, by: Leeway = 'up'): PassedLog[][] {
  return Array.from({ length: outings }, () => {
    const day = gamma(rand, 1);
    const steps = Array.from({ length: 80 }, () => Math.floor(7 * rand()));
    const takes = steps.filter((step) => rand() < 0.03 * day * left(step, times, by));
    return [
      {
        ...{ of: 'steelhead', casts: steps.length, by: sum(steps.map((step) => at(step, by))) },
        takes: takes.map((step) => at(step, by)),
      },
    ];
  });
}
const toldOf = (logs: PassedLog[][], by: Leeway = 'up'): LeewayTold =>
  ownFish(logs)[0]!.leeways.find((l) => l.by === by)!;

describe('how one’s fish take, by one’s own takes', () => {
  it.each([
    ...([0.6, 1, 1.6] as const).map((times) => ['up', times] as const),
    ...([0.6, 1, 1.6] as const).map((times) => ['aside', times] as const),
    ...([0.7, 1, 1.4] as const).map((times) => ['across', times] as const),
  ])('%s: finds %s times as much, and its interval holds it nine times in ten', (by, times) => {
    const rand = seeded(5);
    const told = Array.from({ length: 60 }, () => toldOf(season(rand, 30, times, by), by));
    const held = told.filter(({ low, high }) => low <= times && times <= high).length;
    expect(held / told.length).toBeGreaterThan(0.82);
    const middle = told.map((t) => t.times).sort((a, b) => a - b)[30]!;
    // It is drawn towards what is assumed, never beyond it.
    expect(Math.abs(Math.log(middle / times))).toBeLessThan(0.2);
    expect(told.filter((t) => t.worth).length).toBeGreaterThan(40);
  });

  it('what a fly loses head on is so little that a season hardly tells', () => {
    const told = Array.from({ length: 20 }, (_, i) => toldOf(season(seeded(i), 30, 1.4, 'headOn'), 'headOn'));
    expect(told.filter(({ low, high }) => low <= 1.4 && 1.4 <= high).length).toBeGreaterThan(14);
    expect(told.some((t) => t.worth)).toBe(false);
    // Where it matters much more than is assumed, takes draw it that way.
    const more = Array.from({ length: 20 }, (_, i) => toldOf(season(seeded(i), 30, 2.5, 'headOn'), 'headOn').times);
    expect(more.filter((times) => times > 1).length).toBeGreaterThan(16);
  });

  it('what passed alike tells nothing: each leeway is told by its own', () => {
    const [fish] = ownFish(season(seeded(5), 30, 1.6, 'aside'));
    for (const l of fish!.leeways)
      if (l.by !== 'aside') {
        expect(l.times).toBeCloseTo(1, 1);
        expect(l.worth).toBe(false);
      }
    expect(fish!.leeways.map((l) => l.by)).toEqual(LEEWAYS);
  });

  it('weighs each take by hand as on a finer grid', () => {
    const log: PassedLog = { of: 'sea trout', casts: 2, by: sum([at(0), at(5)]), takes: [at(5), at(5)] };
    // The same sums on a grid of a thousandth: two takes of the cast that passed higher.
    let [all, below] = [0, 0];
    const weights = Array.from({ length: 1833 }, (_, i) => {
      const ln = Math.log(0.4) + i / 1000;
      const shown = left(5, Math.exp(ln));
      const weight = Math.exp(-0.5 * (ln / 0.35) ** 2) * (0.2 + (0.8 * shown) / ((1 + shown) / 2)) ** 2;
      all += weight;
      return { times: Math.exp(ln), weight };
    });
    const middle = weights.find(({ weight }) => (below += weight) >= all / 2)!.times;
    const told = toldOf([[log]]);
    expect(ownFish([[log]])[0]).toMatchObject({ of: 'sea trout', casts: 2, takes: 2 });
    expect(told.worth).toBe(false);
    expect(Math.abs(told.times / middle - 1)).toBeLessThan(0.03);
    expect(told.times).toBeGreaterThan(1.1);
  });

  it('casts that all passed at one height tell nothing, however many were taken', () => {
    const log: PassedLog = {
      ...{ of: 'steelhead', casts: 100, by: sum(Array(100).fill(at(4))), takes: Array(30).fill(at(4)) },
    };
    expect(toldOf([[log]]).times).toBeCloseTo(1, 1);
    expect(toldOf([[log]]).worth).toBe(false);
  });

  it('a day with luck tells no more than one without: only where takes fell counts', () => {
    const day = (high: number, low: number): PassedLog => ({
      ...{
        of: 'steelhead',
        casts: 20,
        by: sum(
          Array(10)
            .fill([at(1), at(5)])
            .flat(),
        ),
      },
      takes: [...Array<PassedLog['by']>(high).fill(at(5)), ...Array<PassedLog['by']>(low).fill(at(1))],
    });
    const [few, many] = [toldOf([[day(1, 4)]]), toldOf([[day(1, 4)], [day(0, 0)]])];
    expect(many.times).toBe(few.times);
    expect(toldOf([[day(4, 1)]]).times).toBeGreaterThan(few.times);
  });

  it('fish by their rows: each its own; as is assumed, further and faster where it is less cold', () => {
    const logs = season(seeded(9), 10, 1);
    const both = ownFish([...logs, [{ ...logs[0]![0]!, of: 'brown trout' as const, takes: [] }]]);
    expect(both.map((fish) => fish.of)).toEqual(['steelhead', 'brown trout']);
    const amounts = (fish: (typeof both)[number], by: Leeway) => fish.leeways.find((l) => l.by === by)!.assumed;
    for (const fish of both)
      for (const by of ['up', 'aside', 'across'] as const) {
        const [cool, cold] = amounts(fish, by);
        expect(cool!.tempC).toBeGreaterThan(cold!.tempC);
        expect(cool!.amount).toBeGreaterThan(cold!.amount);
      }
    // Travellers come up further than brown trout (common practice, no source).
    expect(amounts(both[0]!, 'up')[0]!.amount).toBeGreaterThan(amounts(both[1]!, 'up')[0]!.amount);
  });
});
