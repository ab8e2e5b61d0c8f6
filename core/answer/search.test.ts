import { finished } from '../maths/work';
import { methodsToTry, screen, setupsOf } from './search';
import { setupOf } from './rigs';
import { LIGHT, situation } from './waters.testing';
import { type Bench, benchOf, byWeight, worthOf } from './worth';

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
