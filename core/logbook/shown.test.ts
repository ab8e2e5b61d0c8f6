import type { CastPlan } from '../cast';
import { PLAN, RIG } from '../testing/fixtures';
import { INCH_M } from '../units';
import { TYPICAL_DAY } from '../water';
import type { LogEvent } from './events';
import { fold } from './fold';
import { BOUNDS, type Circumstances, PROPERTIES, PROPERTY_NAMES } from './shown';

const AT = new Date(2026, 3, 4, 11, 30).getTime();
const reading = {
  id: 'r',
  runId: 'a',
  at: AT,
  levelM: 0.12,
  ...TYPICAL_DAY,
  visibilityM: 0.5,
  waterTempC: 6.9,
  speed: null,
};
const STRIPPED: CastPlan = {
  ...PLAN,
  hands: { way: 'strip', countS: 0, pullM: 0.3, pullMps: 1, restS: 1, feedM: 0, walkM: 0 },
};
const known: Circumstances = {
  ...{ fly: RIG.fly, place: null, rig: RIG, plan: STRIPPED, runName: 'Weir', at: AT, timed: true, water: null },
  river: { trend: 'falling', freshetDays: 2.4 },
  reading: { ...reading, wind: { from: 'upstream', force: 'fresh' } } as Circumstances['reading'],
  did: { v: 1, s: 9, flies: [[0, 0, 10, 10, 40, 90, 55, 80]], lies: [2], kind: 'seam', touches: 0 },
};
const of = (c: Partial<Circumstances>) =>
  Object.fromEntries(PROPERTY_NAMES.map((p) => [p, PROPERTIES[p]({ ...known, ...c })]));

describe('how much water was shown', () => {
  const base = { at: AT, runId: 'a', xM: 0, yM: 0, rig: 'k' };
  const did = (w?: number) => ({ v: 1, s: 9, flies: [], lies: [], touches: 0, ...(w === undefined ? null : { w }) });
  const log = (...events: object[]) =>
    fold(
      [{ kind: 'rig', set: RIG }, ...events].map((e, i) => ({ ...base, id: String(i), ...e })) as unknown as LogEvent[],
    ).exposures;
  const cast = (w?: number) => ({ kind: 'cast', plan: PLAN, did: did(w) });

  it('adds up over the casts of which it is known; a fouled one takes its own away', () => {
    expect(log(cast(40), cast(), cast(20))).toMatchObject([{ casts: 3, water: { casts: 2, shown: 60 } }]);
    expect(log(cast(40), cast(20), { kind: 'fouled' })).toMatchObject([{ casts: 1, water: { casts: 1, shown: 40 } }]);
    expect(log(cast(40), cast(), { kind: 'fouled' })[0]).toMatchObject({ casts: 1, water: { casts: 1, shown: 40 } });
    expect(log(cast())[0]).not.toHaveProperty('water');
  });
});

describe('what stood while a fly was shown', () => {
  it('is told of a counted cast by fly, tip, way, what the engine said, water, sky and hour', () => {
    expect(of({})).toMatchObject({
      ...{ colour: RIG.fly.colour, family: RIG.fly.family, weight: RIG.fly.weight, place: null, way: 'strip' },
      ...{ depth: '2', speed: '1', lie: 'over a lie', run: 'Weir', water: 'dirty', level: '2', temperature: '1' },
      ...{ wind: 'upstream', hour: '2', season: 'Mar–May', kind: 'seam', cadence: '1', trend: 'falling', freshet: '1' },
    });
  });

  it('nothing is told of what nobody noted', () => {
    const bare = {
      fly: null,
      rig: null,
      plan: null,
      did: null,
      reading: null,
      river: null,
      runName: null,
      timed: false,
    };
    const told = Object.entries(of(bare)).filter(([, v]) => v !== null);
    expect(told).toEqual([['season', 'Mar–May']]);
    expect(of({ reading: { ...reading, guessed: ['visibility', 'sky'] } as Circumstances['reading'] })).toMatchObject({
      ...{ water: null, sky: null, level: '2' },
    });
    expect(of({ did: { v: 1, s: 0, flies: [], lies: [], touches: 3 } })).toMatchObject({
      depth: null,
      lie: 'over none',
    });
  });

  it('bands begin at their bounds; a hook of 1/0 is larger than one of 2, a tip that floats is no sinking one', () => {
    const level = (levelM: number) => of({ reading: { ...reading, levelM } as Circumstances['reading'] }).level;
    expect([-0.2, -0.1, 0.09, 0.1, 0.3].map(level)).toEqual(['0', '1', '1', '2', '3']);
    const size = (hook: string) => of({ fly: { ...RIG.fly, hook } }).size;
    expect(['1/0', '4', '6', '12', '14', 'long shank'].map(size)).toEqual(['0', '0', '1', '2', '3', null]);
    const tip = (ips: number | null) =>
      of({ rig: { ...RIG, tip: ips === null ? null : { ...RIG.tip!, sinkRateMps: ips * INCH_M } } }).tip;
    expect([null, 0, 1.5, 3, 7].map(tip)).toEqual(['none', '0', '1', '2', '3']);
    for (const bounds of Object.values(BOUNDS)) expect([...bounds].sort((a, b) => a - b)).toEqual([...bounds]);
  });

  it('a swing has no pulls; a river that did not peak in the days that were heard of peaked before them', () => {
    expect(of({ plan: PLAN })).toMatchObject({ way: 'swing', cadence: null });
    const river = (freshetDays: number | null) => of({ river: { trend: 'steady', freshetDays } }).freshet;
    expect([0.9, 1, 6.9, 7, null].map(river)).toEqual(['0', '1', '2', '3', '3']);
  });

  it('what is remembered of the water takes the place of the reading, what it leaves open is not known', () => {
    const water = { levelM: null, visibilityM: 2.5, waterTempC: null, sky: null };
    expect(of({ water })).toMatchObject({ water: 'clear', level: null, temperature: null, sky: null });
  });

  it('a take belongs to the cast before it: its way, its depth, its hour', () => {
    let n = 0;
    const ev = (body: object, min: number): LogEvent =>
      ({ id: `e${++n}`, at: AT + min * 60_000, runId: 'a', xM: 0, yM: 0, rig: 'k', ...body }) as LogEvent;
    const log = [
      ev({ kind: 'run start', runName: 'Weir' }, 0),
      ev({ kind: 'rig', set: RIG }, 1),
      ev({ kind: 'cast', plan: PLAN }, 2),
      ev({ kind: 'cast', plan: STRIPPED }, 3),
      ev({ kind: 'take', where: null, sign: null, what: 'pluck', juvenile: false, fish: null }, 200),
    ];
    expect(fold(log).exposures.map((e) => [e.shown.way, e.shown.hour, e.casts, e.takes])).toEqual([
      ['swing', '2', 1, 0],
      ['strip', '2', 1, 1],
    ]);
  });
});
