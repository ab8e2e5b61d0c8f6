import { RISE_STEP } from '../showing';
import { seeded } from '../maths';
import { gamma } from '../testing/seasons';
import type { RiseLog } from '../logbook/rises';
import { comesUp } from './comesUp';

const STEPS = 8;
const FULL = 1000;
/** All of a cast’s water is shown at one height, by steps. */
const at = (step: number): number[] => Array.from({ length: STEPS }, (_, i) => (i === step ? FULL : 0));
const left = (step: number, times: number) => 2 ** -(((step * RISE_STEP) / times) ** 3);

/** Outings on which flies passed at all heights, and fish that come up so many times as far as is assumed. */
function season(rand: () => number, outings: number, times: number, luck: number): RiseLog[][] {
  return Array.from({ length: outings }, () => {
    const day = gamma(rand, luck);
    const steps = Array.from({ length: 80 }, () => Math.floor(7 * rand()));
    const takes = steps.filter((step) => rand() < 0.03 * day * left(step, times));
    const by = Array.from({ length: STEPS }, (_, i) => FULL * steps.filter((s) => s === i).length);
    return [{ of: 'steelhead', casts: steps.length, by, takes: takes.map(at) }];
  });
}

describe('how far fish come up, by one’s own takes', () => {
  it.each([0.6, 1, 1.6])('finds %s times as far, and its interval holds it nine times in ten', (times) => {
    const rand = seeded(5);
    const told = Array.from({ length: 60 }, () => comesUp(season(rand, 30, times, 1))[0]!);
    const held = told.filter(({ low, high }) => low <= times && times <= high).length;
    expect(held / told.length).toBeGreaterThan(0.82);
    const middle = told.map((t) => t.times).sort((a, b) => a - b)[30]!;
    // It is drawn towards what is assumed, never beyond it.
    expect(Math.abs(Math.log(middle / times))).toBeLessThan(0.2);
    expect(told.filter((t) => t.worth).length).toBeGreaterThan(40);
  });

  it('weighs each take by hand as on a finer grid', () => {
    const log: RiseLog = { of: 'sea trout', casts: 2, by: at(0).map((v, i) => v + at(5)[i]!), takes: [at(5), at(5)] };
    // The same sums on a grid of a thousandth: two takes of the cast that passed higher.
    let [sum, below] = [0, 0];
    const weights = Array.from({ length: 1833 }, (_, i) => {
      const ln = Math.log(0.4) + i / 1000;
      const shown = left(5, Math.exp(ln));
      const weight = Math.exp(-0.5 * (ln / 0.35) ** 2) * (0.2 + (0.8 * shown) / ((1 + shown) / 2)) ** 2;
      sum += weight;
      return { times: Math.exp(ln), weight };
    });
    const middle = weights.find(({ weight }) => (below += weight) >= sum / 2)!.times;
    const [told] = comesUp([[log]]);
    expect(told).toMatchObject({ of: 'sea trout', casts: 2, takes: 2, worth: false });
    expect(Math.abs(told!.times / middle - 1)).toBeLessThan(0.03);
    expect(told!.times).toBeGreaterThan(1.1);
  });

  it('casts that all passed at one height tell nothing, however many were taken', () => {
    const log: RiseLog = { of: 'steelhead', casts: 100, by: at(4).map((v) => 100 * v), takes: Array(30).fill(at(4)) };
    const [told] = comesUp([[log]]);
    expect(told!.times).toBeCloseTo(1, 1);
    expect(told!.worth).toBe(false);
  });

  it('a day with luck tells no more than one without: only where takes fell counts', () => {
    const day = (high: number, low: number): RiseLog => ({
      ...{ of: 'steelhead', casts: 20, by: at(1).map((v, i) => 10 * (v + at(5)[i]!)) },
      takes: [...Array<number[]>(high).fill(at(5)), ...Array<number[]>(low).fill(at(1))],
    });
    const [few, many] = [comesUp([[day(1, 4)]]), comesUp([[day(1, 4)], [day(0, 0)]])];
    expect(many[0]!.times).toBe(few[0]!.times);
    expect(comesUp([[day(4, 1)]])[0]!.times).toBeGreaterThan(few[0]!.times);
  });

  it('fish by their rows: each its own; as is assumed, further where it is less cold', () => {
    const logs = season(seeded(9), 10, 1, 1);
    const both = comesUp([...logs, [{ ...logs[0]![0]!, of: 'brown trout' as const, takes: [] }]]);
    expect(both.map((told) => told.of)).toEqual(['steelhead', 'brown trout']);
    for (const { assumed } of both) {
      const [cool, cold] = assumed;
      expect(cool!.tempC).toBeGreaterThan(cold!.tempC);
      expect(cool!.upM).toBeGreaterThan(cold!.upM);
    }
    // Travellers come up further than brown trout (common practice, no source).
    expect(both[0]!.assumed[0]!.upM).toBeGreaterThan(both[1]!.assumed[0]!.upM);
  });
});
