import { type Dropper, type FlyItem, level, type Rig } from '../tackle';
import { checkRig, checkSeason, waterCautions, type WaterRules } from './rules';

const rules: WaterRules = {
  maxFlies: 1,
  barbless: true,
  noAddedWeight: true,
  season: { from: '03-15', to: '09-30' },
  closesAtC: 19,
  text: '',
  source: 'leaflet, 2026-03-01',
};
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
    expect(checkSeason(rules, '10-02')[0]!.says).toBe('Closed: the season runs from 15 Mar to 30 Sep.');
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

  it('warns of cold and of rising water, and is silent otherwise', () => {
    expect(waterCautions(8, 'rising', null)).toHaveLength(2);
    expect(waterCautions(16, 'falling', null)).toEqual([]);
    expect(waterCautions(null, 'steady', null)).toEqual([]);
    expect(waterCautions(8, 'rising', null).every((c) => c.level === 'care' && c.says.length > 20)).toBe(true);
  });

  it('begins each caution at its own limit', () => {
    const levels = (t: number) => waterCautions(t, 'steady', null).map((c) => c.level);
    expect([14.9, 15, 17.9, 18, 19.9, 20].map(levels)).toEqual([['care'], [], [], ['care'], ['care'], ['stop']]);
  });
});
