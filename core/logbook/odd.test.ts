import { PLAN } from '../testing/fixtures';
import type { EventBody, LogEvent, OutingFacts } from './events';
import { oddities } from './odd';

const START = new Date(2026, 4, 4, 8, 0).getTime();
const NOW = START + 30 * 86_400_000;
let n = 0;
const at = (minutes: number, body: EventBody): LogEvent =>
  ({ id: `o${++n}`, at: START + minutes * 60_000, runId: 'run', xM: 1, yM: 2, rig: null, ...body }) as LogEvent;
const casts = (from: number, count: number, everyS: number) =>
  Array.from({ length: count }, (_, i) => at(from + (i * everyS) / 60, { kind: 'cast', plan: PLAN }));
const facts: OutingFacts = { outingId: 'o', waterId: 'w', startedAt: START, endedAt: START + 3_600_000, notes: '' };
const said = (events: LogEvent[], outing = facts) => oddities(outing, events, NOW);
const estimate = (count: number, minutes: number) =>
  at(0, { kind: 'estimate', casts: count, takes: 0, minutes, timed: true, fly: null, water: null });

describe('hours and pace that cannot be right', () => {
  it('an honest hour is not doubted', () => {
    expect(said(casts(0, 60, 60))).toEqual([]);
    expect(said([estimate(120, 150)])).toEqual([]);
    expect(said([])).toEqual([]);
  });

  it('short casts upstream every ten seconds are possible, six casts in half a minute are not', () => {
    expect(said(casts(0, 30, 10))).toEqual([]);
    expect(said(casts(0, 30, 5))).toEqual([{ at: START + 30_000, code: 'too fast', casts: 6, inS: 30 }]);
  });

  it('a long gap asks whether it was two outings, and says between which entries', () => {
    const [odd] = oddities(facts, [...casts(0, 2, 60), ...casts(300, 2, 60)], NOW);
    const [from, until] = [START + 60_000, START + 300 * 60_000];
    expect(odd).toEqual({ at: from, code: 'gap', forMs: until - from, until });
    expect(said([...casts(0, 2, 60), ...casts(170, 2, 60)])).toEqual([]); // a long lunch
  });

  it.each<[string, LogEvent[], Partial<OutingFacts>, object]>([
    ['a time to come', [at(31 * 24 * 60, { kind: 'bed' })], {}, { code: 'to come' }],
    ['a clock gone back', [...casts(90, 1, 1), ...casts(20, 1, 1)], {}, { code: 'clock back', forMs: 70 * 60_000 }],
    ['more casts than anyone makes', [estimate(400, 60)], {}, { code: 'too many', casts: 400, inMs: 3_600_000 }],
    [
      'longer than anyone fishes',
      [...casts(0, 1, 1), at(100, { kind: 'bed' }), at(20 * 60, { kind: 'bed' })],
      {},
      { code: 'too long', forMs: 20 * 3_600_000 },
    ],
    ['an end before the beginning', casts(0, 1, 1), { endedAt: START - 1 }, { code: 'ends first' }],
    [
      'a take before any cast',
      [at(0, { kind: 'take', where: null, sign: null, what: 'pluck', juvenile: false, fish: null }), ...casts(1, 1, 1)],
      {},
      { code: 'take first' },
    ],
  ])('%s', (_, events, change, odd) => {
    expect(said(events, { ...facts, ...change })).toContainEqual(expect.objectContaining(odd));
  });
});
