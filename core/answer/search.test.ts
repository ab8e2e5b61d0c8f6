import { finished } from '../maths/work';
import { finals, JUDGED } from './finals';
import { byWorth, methodsToTry, screen, setupsOf, wholeBag } from './search';
import { setupOf, tipsOf } from './rigs';
import { BAG, LIGHT, situation } from './waters.testing';
import { type Bench, benchOf, byWeight, worthOf } from './setupWorth';

const s = situation({ tiedOn: LIGHT });
const b = benchOf(s);
const on = s.tiedOn!;

describe('methods worth simulating', () => {
  const votes = (...list: readonly (readonly [Bench['votes'][number]['method'], number, boolean?])[]) => ({
    ...b,
    votes: list.map(([method, points, noFly = false]) => ({ ...b.votes[0]!, method, points, noFly })),
  });

  it('are those of the bag within four points of the first, three at the most, in their order', () => {
    expect(methodsToTry(votes(['strip', 6], ['hang', 2], ['upstream', 1.9]))).toEqual(['strip', 'hang']);
    expect(methodsToTry(votes(['strip', 6], ['hang', 5], ['upstream', 5], ['wake fly', 4]))).toHaveLength(3);
    expect(methodsToTry(votes(['strip', 9, true], ['hang', 3], ['upstream', 2]))).toEqual(['hang', 'upstream']);
    expect(methodsToTry(votes(['strip', 9, true]))).toEqual([]);
  });

  it('of a rig are those that its fly serves', () => {
    const all = setupsOf(b, on);
    expect(all.length).toBeGreaterThan(0);
    for (const { rig, merit, fits, method } of all) {
      expect([rig, merit > 0]).toEqual([on, true]);
      expect(fits).toBe(setupOf(s, method, on, merit).fits);
    }
    const wake = { ...on, fly: { ...on.fly, family: 'waking fly' as const } };
    expect(setupsOf(b, wake).map((x) => x.method)).not.toContain('streamer on the swing');
  });
});

describe('screening', () => {
  const setup = setupsOf(b, on)[0]!;
  const lies = byWeight(s).slice(0, 3);
  const run = (least?: number) => {
    const work = screen(b, setup, lies, 4, least);
    let swings = 0;
    for (let step = work.next(); ; step = work.next()) {
      if (step.done) return { worth: step.value, swings };
      swings++;
    }
  };

  it('gives what a set-up looks like over the lies: between nothing and all of them served', () => {
    const { worth } = run();
    expect(worth).toBeGreaterThan(0);
    expect(worth).toBeLessThanOrEqual(worthOf(b, setup, 1));
    expect(finished(screen(b, setup, [], 4))).toBe(worthOf(b, setup, 0));
  });

  it('leaves a set-up as soon as it cannot come to so much, whatever the other lies give', () => {
    const whole = run();
    const left = run(worthOf(b, setup, 1) + 1);
    expect(left.swings).toBeLessThan(whole.swings);
    expect(run(0).swings).toBe(whole.swings);
  });
});

describe('the whole bag', () => {
  const KEPT = ['two-hander 7', 'short head', '4 ft of 12 lb', 'black rabbit strip', 'black hair-wing wet', 'float'];
  const kit = BAG.filter((k) => k.type === 'tip' || KEPT.includes(k.id));
  const bench = benchOf(situation({ kit, seen: ['refusals'], water: { quarry: 'steelhead' } }));
  const shares: number[] = [];
  const work = wholeBag(bench);
  let step = work.next();
  for (; !step.done; step = work.next()) shares.push(step.value);
  const found = step.value;

  it('is gone through from light to heavy in strides; then the tips beside the best', () => {
    const rigs = found.filter((x) => x.setup.method === 'streamer on the swing' && !x.setup.rig.float);
    const tips = tipsOf(bench.s, 'streamer on the swing').map((t) => t?.id ?? 'none');
    const strip = rigs.filter((x) => x.setup.rig.fly.id === 'black rabbit strip');
    const tried = strip.map((x) => tips.indexOf(x.setup.rig.tip?.id ?? 'none'));
    expect(new Set(tried).size).toBe(tried.length);
    expect(tried).toEqual(expect.arrayContaining([0, 2, 3, 5]));
    const best = tips.indexOf([...strip].sort(byWorth)[0]!.setup.rig.tip?.id ?? 'none');
    for (const i of [best - 1, best + 1]) if (i in tips) expect(tried).toContain(i);
  });

  it('has a float for what drifts, and for nothing else', () => {
    const floated = found.filter((x) => x.setup.rig.float);
    expect(floated.length).toBeGreaterThan(0);
    expect(new Set(floated.map((x) => x.setup.method))).toEqual(new Set(['drift or float']));
  });

  it('goes to the finals with the best of another method, the better first', () => {
    const last = finished(finals(bench, found));
    expect(new Set(last.map((x) => x.setup.method)).size).toBe(2);
    expect(last.length).toBeLessThanOrEqual(4);
    expect(last.map((x) => x.worth)).toEqual(last.map((x) => x.worth).sort((a, c) => c - a));
    for (const { of, setup } of last) {
      expect(of).toEqual(byWeight(bench.s).slice(0, JUDGED));
      expect(found.map((x) => x.setup)).toContain(setup);
    }
  });

  it('tells a share that grows to all', () => {
    expect(shares.every((x, i) => x > 0 && x <= 1 && (i === 0 || x >= shares[i - 1]!))).toBe(true);
    expect(shares.at(-1)).toBeGreaterThan(1 - 1 / methodsToTry(bench).length);
  });
});
