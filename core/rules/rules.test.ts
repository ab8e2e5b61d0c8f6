import { STRICT } from '../testing/fixtures';
import { type Dropper, type FlyItem, level, type Rig } from '../tackle';
import { sunDay } from '../sight';
import {
  checkHours,
  checkRig,
  checkRun,
  checkSeason,
  noMoreFlies,
  notAllowed,
  coldWading,
  highWater,
  waterCautions,
  type WaterRules,
} from './rules';

const rules: WaterRules = { ...STRICT, season: { from: '03-15', to: '09-30' }, closesAtC: 19 };
const fly: FlyItem = {
  type: 'fly',
  id: 'f',
  name: 'f',
  family: 'woolly bugger',
  colour: 'olive',
  lengthM: 0.05,
  hook: '8',
  weight: 'bead',
  barbless: false,
};
const above = (f: FlyItem): Dropper => ({ fly: f, way: 'tag', aboveM: 0.9, armM: 0.18 });
const rig = (o: Partial<Rig>): Rig => ({
  rod: { type: 'rod', id: 'r', name: 'r', lengthM: 2.7, hands: 1, lineNumber: 6 },
  head: { type: 'head', id: 'h', name: 'h', shape: 'taper', lengthM: 12, massKg: 0.012, sinkRatesMps: [0] },
  tip: null,
  leader: { type: 'leader', id: 'l', name: 'l', pieces: level(2.7, 2e-4, 'nylon') },
  fly,
  droppers: [],
  lineClean: true,
  ...o,
});

describe('rules of the water', () => {
  it('finds each breach and nothing else', () => {
    const rulesOf = (o: Partial<Rig>) => checkRig(rules, rig(o)).map((b) => b.rule);
    const plain: FlyItem = { ...fly, barbless: true, weight: 'none' };
    expect(rulesOf({ droppers: [above(fly)] })).toEqual(['maxFlies', 'barbless', 'noAddedWeight']);
    expect(rulesOf({ fly: plain })).toEqual([]);
    expect(rulesOf({ fly: plain, shot: { massKg: 4e-4, aboveFlyM: 0 } })).toEqual(['noAddedWeight']);
    expect(checkSeason(rules, '10-02').map((b) => b.rule)).toEqual(['season']);
    expect(checkSeason(rules, '05-01')).toEqual([]);
  });

  it('holds for every fly of the rig, and lets what floats be', () => {
    const rulesOf = (o: Partial<Rig>) => checkRig({ ...rules, maxFlies: 2 }, rig(o)).map((b) => b.rule);
    const plain: FlyItem = { ...fly, barbless: true, weight: 'none' };
    expect(rulesOf({ fly: plain, droppers: [above({ ...plain, barbless: false })] })).toEqual(['barbless']);
    expect(rulesOf({ fly: plain, droppers: [above({ ...plain, weight: 'cone' })] })).toEqual(['noAddedWeight']);
    expect(rulesOf({ fly: { ...plain, weight: 'buoyant' } })).toEqual([]);
    expect(rulesOf({ fly, droppers: [] })).toEqual(['barbless', 'noAddedWeight']);
  });

  it('opens on the first day and closes after the last, also over the new year', () => {
    const open = (from: string, to: string, day: string) =>
      checkSeason({ ...rules, season: { from, to } }, day).length === 0;
    expect(['03-14', '03-15', '09-30', '10-01'].map((d) => open('03-15', '09-30', d))).toEqual([
      false,
      true,
      true,
      false,
    ]);
    expect(['10-31', '11-01', '12-31', '03-31', '04-01'].map((d) => open('11-01', '03-31', d))).toEqual([
      false,
      true,
      true,
      true,
      false,
    ]);
    expect(checkSeason({ ...rules, season: null }, '01-01')).toEqual([]);
    expect(checkSeason(rules, '10-02')).toEqual([{ rule: 'season', from: '03-15', to: '09-30' }]);
  });

  it('knows seasons that run over the new year', () => {
    const winter = { ...rules, season: { from: '11-01', to: '03-31' } };
    expect(checkSeason(winter, '01-15')).toEqual([]);
    expect(checkSeason(winter, '06-15')).toHaveLength(1);
  });
});

describe('cautions', () => {
  it('stops at 20 °C (68 °F), or earlier where the water closes earlier (from memory)', () => {
    expect(waterCautions(20, 'steady', null)[0]!.level).toBe('stop');
    expect(waterCautions(19.2, 'steady', 19)[0]!.level).toBe('stop');
    expect(waterCautions(19.2, 'steady', null)[0]!.level).toBe('care');
    expect(waterCautions(23, 'steady', 25)[0]!.level).toBe('stop');
  });

  it('warns of rising water, and is silent otherwise', () => {
    expect(waterCautions(8, 'rising', null)).toHaveLength(1);
    expect(waterCautions(8, 'steady', null)).toEqual([]);
    expect(waterCautions(16, 'falling', null)).toEqual([]);
    expect(waterCautions(null, 'steady', null)).toEqual([]);
    expect(waterCautions(8, 'rising', null)).toEqual([{ level: 'care', code: 'rising' }]);
  });

  it('begins each caution at its own limit', () => {
    const levels = (t: number) => waterCautions(t, 'steady', null).map((c) => c.level);
    expect([14.9, 15, 17.9, 18, 19.9, 20].map(levels)).toEqual([[], [], [], ['care'], ['care'], ['stop']]);
  });

  it('warns of high water from 0.4 m above normal', () => {
    expect([-0.2, 0, 0.39].map(highWater)).toEqual([null, null, null]);
    for (const levelM of [0.4, 0.8, 2]) expect(highWater(levelM)).toEqual({ level: 'care', code: 'high water' });
  });

  it('tells of cold water who wades in it, below 10 °C, and nobody else', () => {
    expect(coldWading(5, 0.6)).toEqual({ level: 'care', code: 'cold wading', tempC: 5 });
    for (const [tempC, depthM] of [
      [10, 0.6],
      [14, 0.6],
      [5, 0],
      [5, 0.1],
      [null, 0.6],
    ] as const)
      expect(coldWading(tempC, depthM)).toBeNull();
  });
});

describe('hours, reaches and scent', () => {
  const DAY = Date.UTC(2025, 5, 21);
  const sun = sunDay(DAY, 46.5, 8); // rises 03:35:07, sets 19:24:35 UTC (computed independently)
  const open = (hours: WaterRules['hours'], h: number, m: number) =>
    checkHours({ ...rules, ...(hours ? { hours } : null) }, DAY + (h * 60 + m) * 60_000, sun).length === 0;

  it('are kept to the minute, from sunrise to sunset and as long before and after as is said', () => {
    const strict = { beforeSunriseMin: 0, afterSunsetMin: 0 };
    expect([open(strict, 3, 34), open(strict, 3, 37), open(strict, 19, 23), open(strict, 19, 26)]).toEqual([
      false,
      true,
      true,
      false,
    ]);
    const hour = { beforeSunriseMin: 60, afterSunsetMin: 30 };
    expect([open(hour, 2, 33), open(hour, 2, 37), open(hour, 19, 53), open(hour, 19, 57)]).toEqual([
      false,
      true,
      true,
      false,
    ]);
    expect(open(undefined, 0, 0)).toBe(true);
    expect(checkHours({ ...rules, hours: strict }, DAY, sun)).toEqual([{ rule: 'hours', hours: strict }]);
    // Where the sun does not set there is no such hour.
    expect(checkHours({ ...rules, hours: strict }, DAY, sunDay(DAY, 75, 20))).toEqual([]);
  });

  it('close the reaches that are named and no other', () => {
    expect(checkRun({ ...rules, closedRuns: ['a'] }, 'a')).toEqual([{ rule: 'closedRuns' }]);
    expect(checkRun({ ...rules, closedRuns: ['a'] }, 'b')).toEqual([]);
    expect(checkRun(rules, 'a')).toEqual([]);
  });

  it('forbid scent on any fly of the rig', () => {
    const plain: FlyItem = { ...fly, barbless: true, weight: 'none' };
    const scented = { ...plain, scented: true };
    const of = (o: Partial<Rig>) => checkRig({ ...rules, maxFlies: 2, noScent: true }, rig(o)).map((b) => b.rule);
    expect(of({ fly: scented })).toEqual(['noScent']);
    expect(of({ fly: plain, droppers: [above(scented)] })).toEqual(['noScent']);
    expect(of({ fly: plain })).toEqual([]);
    expect(checkRig({ ...rules }, rig({ fly: scented }))).toEqual([]);
  });
});

describe('what is barred where one chooses', () => {
  const plain: FlyItem = { ...fly, barbless: true, weight: 'none' };
  it('is said of each thing, and agrees with what the whole rig is told', () => {
    const flies = [
      fly,
      plain,
      { ...plain, weight: 'wire' as const },
      { ...plain, weight: 'buoyant' as const },
      { ...plain, barbless: false },
      { ...plain, scented: true },
    ];
    const strict = { ...rules, noScent: true };
    for (const f of flies) expect(notAllowed(strict, f) === null).toBe(checkRig(strict, rig({ fly: f })).length === 0);
    expect(flies.map((f) => notAllowed(strict, f) !== null)).toEqual([true, false, true, false, true, true]);
    expect(notAllowed(null, fly)).toBeNull();
    const shot = { type: 'shot' as const, id: 's', name: 's', massKg: 4e-4 };
    expect(notAllowed(rules, shot)).toBe('added weight');
    expect(notAllowed({ ...rules, noAddedWeight: false }, shot)).toBeNull();
    expect(notAllowed(rules, rig({}).rod)).toBeNull();
  });

  it('one more fly is barred when as many as are allowed are on', () => {
    const one = rig({ fly: plain });
    expect(noMoreFlies(rules, one)).toEqual({ rule: 'maxFlies', most: 1 });
    expect(noMoreFlies({ ...rules, maxFlies: 2 }, one)).toBeNull();
    expect(noMoreFlies({ ...rules, maxFlies: 2 }, rig({ droppers: [above(plain)] }))).toEqual({
      rule: 'maxFlies',
      most: 2,
    });
    expect(noMoreFlies(null, one)).toBeNull();
  });
});
