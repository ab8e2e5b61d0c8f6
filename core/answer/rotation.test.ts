import { finished } from '../maths/work';
import { hangAnother, itemOf, type Rig } from '../tackle';
import type { Method } from './methods';
import { setupOf } from './rigs';
import { rotation } from './rotation';
import { fish } from './fished';
import { plainWays } from './ways';
import { BAG, LIGHT, OPEN, situation } from './waters.testing';
import { benchOf } from './setupWorth';

const s = situation({ tiedOn: LIGHT });
const b = benchOf(s);
const on = s.tiedOn!;

describe('what to try next', () => {
  const setup = setupOf(s, 'streamer on the swing', on, 1);
  const of = finished(fish(b, setup, plainWays(s, setup)[0]!));

  it('is two things at the most, each differing in something else, the cheap one first, of what is in the bag', () => {
    const turns = finished(rotation(b, of));
    expect(turns).toHaveLength(2);
    expect(new Set(turns.map((t) => t.differs)).size).toBe(2);
    expect(turns[0]!.costS).toBeLessThanOrEqual(turns[1]!.costS);
    for (const { rig, differs } of turns) {
      expect(BAG.some((k) => k.id === rig.flyId)).toBe(true);
      if (differs === 'depth') expect([rig.flyId, rig.tipId === '']).toEqual([on.fly.id, false]);
      if (differs === 'cadence') expect([rig.flyId, rig.tipId]).toEqual([on.fly.id, '']);
    }
  });

  it('with one fly and no tips in the bag is to show that fly another way', () => {
    const kit = BAG.filter((k) => k.type !== 'tip' && (k.type !== 'fly' || k.id === on.fly.id));
    const turns = finished(rotation(benchOf({ ...s, kit }), of));
    expect(turns).toHaveLength(1);
    expect(turns[0]).toMatchObject({ differs: 'cadence', costS: 0 });
    expect(turns[0]!.way).not.toBe('swing');
    expect(turns[0]!.step).toBeNull();
    expect(['streamer on the swing', 'soft hackles on the swing']).not.toContain(turns[0]!.method);
  });

  it('is what the rules of the water allow', () => {
    const strict = benchOf({ ...s, rules: { ...OPEN, barbless: true } });
    const kept = BAG.filter((k) => k.type !== 'tip').map((k) =>
      k.type === 'fly' && k.id !== on.fly.id ? { ...k, barbless: false } : k,
    );
    const turns = finished(rotation({ ...strict, s: { ...strict.s, kit: kept } }, of));
    expect(turns.length).toBeGreaterThan(0);
    expect(turns.every((t) => t.rig.flyId === on.fly.id)).toBe(true);
  });

  it('with flies and no tips in the bag is another fly, of another outline or colour', () => {
    const kit = BAG.filter((k) => k.type !== 'tip');
    const turns = finished(rotation(benchOf({ ...s, kit }), of));
    expect(turns.map((t) => t.differs)).toEqual(['cadence', 'profile']);
  });

  it('is no fly that hangs above already, and no tip that the line does not turn over', () => {
    const turns = (o: Partial<Rig>, ...kept: string[]) => {
      const kit = BAG.filter((k) => (k.type !== 'fly' && k.type !== 'tip') || kept.includes(k.id));
      const setup = setupOf(s, 'streamer on the swing', { ...on, ...o }, 1);
      return finished(rotation(benchOf({ ...s, kit }), { ...of, setup })).map((t) => [t.rig.flyId, t.rig.tipId]);
    };
    const [white, fast] = [itemOf(BAG, 'fly', 'white rabbit strip')!, itemOf(BAG, 'tip', '10 ft fast')!];
    expect(turns({}, white.id)).toContainEqual([white.id, '']);
    expect(turns({ droppers: [hangAnother(on, white)] }, white.id)).not.toContainEqual([white.id, '']);
    // The head of a six turns over neither: that one is on is no reason for the other.
    expect(turns({ tip: fast }, '10 ft heavy')).not.toContainEqual([on.fly.id, '10 ft heavy']);
    expect(turns({ tip: fast }, '10 ft heavy')).toContainEqual([on.fly.id, '']);
  });

  it('at another depth is what such water asks for: higher in soft light and where it is warm and clear, deeper in the cold', () => {
    const slow = itemOf(BAG, 'tip', '10 ft slow')!;
    const kit = BAG.filter((k) => k.type !== 'tip' || /slow|intermediate|heavy/.test(k.id));
    const two = itemOf(BAG, 'rod', 'two-hander 7')!;
    const rig = { ...on, rod: two, head: itemOf(BAG, 'head', 'short head')!, tip: slow };
    const depth = (o: object, method: Method = 'streamer on the swing', deep = {}) => {
      const at = { ...situation({ kit, tiedOn: LIGHT, ...o }), ...deep };
      const turns = finished(rotation(benchOf(at), { ...of, setup: setupOf(at, method, rig, 1) }));
      return turns.find((t) => t.differs === 'depth')?.rig.tipId;
    };
    expect(depth({ reading: { sky: 'dusk' } })).toBe('10 ft intermediate');
    expect(depth({ reading: { waterTempC: 15, visibilityM: 3, colour: 'clear' } })).toBe('10 ft intermediate');
    expect(depth({ reading: { waterTempC: 4 } })).toBe('10 ft heavy');
    // Up thin water a tip only comes back along the stones: none is looped on there.
    expect(depth({}, 'upstream', { depthM: 0.4 })).toBeUndefined();
  });
});
