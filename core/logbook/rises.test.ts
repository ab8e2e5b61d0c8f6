import { PLAN, RIG } from '../testing/fixtures';
import type { LogEvent } from './events';
import { fold } from './fold';

const base = { at: 0, runId: 'a', xM: 0, yM: 0, rig: 'k' };
const log = (...events: object[]) =>
  fold(
    [{ kind: 'rig', set: RIG }, ...events].map((e, i) => ({ ...base, id: String(i), ...e })) as unknown as LogEvent[],
  ).rises;
const cast = (of: string | null, by: number[] = []) => ({
  kind: 'cast',
  plan: PLAN,
  did: { v: 1, s: 9, flies: [], lies: [], touches: 0, ...(of && { rise: { of, by } }) },
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

describe('how high above fish flies were shown, of an outing', () => {
  it('adds up casts by the fish that one is after, and keeps that of the cast of each take', () => {
    expect(log(cast('steelhead', [5, 2]), take(), cast('steelhead', [1, 9]), cast('brown trout', [4, 4]))).toEqual([
      { of: 'steelhead', casts: 2, by: [6, 11], takes: [[5, 2]] },
      { of: 'brown trout', casts: 1, by: [4, 4], takes: [] },
    ]);
  });

  it('a fouled fly takes its own cast out; juveniles, follows and flies for the log only are no takes', () => {
    expect(log(cast('steelhead', [5, 2]), cast('steelhead', [1, 1]), { kind: 'fouled' })).toEqual([
      { of: 'steelhead', casts: 1, by: [5, 2], takes: [] },
    ]);
    const none = [take({ juvenile: true }), take({ what: 'follow' }), take({ on: 'dry fly' })];
    expect(log(cast('steelhead', [5, 2]), ...none)[0]!.takes).toEqual([]);
  });

  it('casts of which it is not known count for nothing', () => {
    expect(log(cast(null), take())).toEqual([]);
    expect(log(cast('steelhead', [3]), cast(null), take())).toMatchObject([{ casts: 1, takes: [] }]);
  });
});
