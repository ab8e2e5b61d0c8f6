import { PLAN, RIG } from '../testing/fixtures';
import type { LogEvent } from './events';
import { fold } from './fold';

const base = { at: 0, runId: 'a', xM: 0, yM: 0, rig: 'k' };
const log = (...events: object[]) =>
  fold(
    [{ kind: 'rig', set: RIG }, ...events].map((e, i) => ({ ...base, id: String(i), ...e })) as unknown as LogEvent[],
  ).passings;
/** As far up as that; else as is wanted. */
const passed = (up: number[]) => ({ up, aside: [up.reduce((sum, v) => sum + v, 0)], across: [], headOn: [] });
const cast = (of: string | null, by: number[] = []) => ({
  kind: 'cast',
  plan: PLAN,
  did: { v: 1, s: 9, flies: [], lies: [], touches: 0, ...(of && { passed: { of, ...passed(by) } }) },
});
const take = (more: object = {}) => ({
  kind: 'take',
  where: null,
  sign: null,
  what: 'pluck',
  juvenile: false,
  fish: null,
  ...more,
});

describe('how flies passed before fish, of an outing', () => {
  it('adds up casts by the fish that one is after, and keeps that of the cast of each take', () => {
    expect(log(cast('steelhead', [5, 2]), take(), cast('steelhead', [1, 9]), cast('brown trout', [4, 4]))).toEqual([
      { of: 'steelhead', casts: 2, by: passed([6, 11]), takes: [passed([5, 2])] },
      { of: 'brown trout', casts: 1, by: passed([4, 4]), takes: [] },
    ]);
  });

  it('a fouled fly takes its own cast out; juveniles, follows and flies for the log only are no takes', () => {
    expect(log(cast('steelhead', [5, 2]), cast('steelhead', [1, 1]), { kind: 'fouled' })).toEqual([
      { of: 'steelhead', casts: 1, by: passed([5, 2]), takes: [] },
    ]);
    const none = [take({ juvenile: true }), take({ what: 'follow' }), take({ on: 'dry fly' })];
    expect(log(cast('steelhead', [5, 2]), ...none)[0]!.takes).toEqual([]);
  });

  it('a list that ends early has none beyond its end', () => {
    expect(log(cast('steelhead', [5]), cast('steelhead', [1, 2, 3]))[0]!.by.up).toEqual([6, 2, 3]);
    expect(log(cast('steelhead', [1, 2, 3]), cast('steelhead', [5]))[0]!.by.up).toEqual([6, 2, 3]);
  });

  it('casts of which it is not known count for nothing', () => {
    expect(log(cast(null), take())).toEqual([]);
    expect(log(cast('steelhead', [3]), cast(null), take())).toMatchObject([{ casts: 1, takes: [] }]);
  });
});
