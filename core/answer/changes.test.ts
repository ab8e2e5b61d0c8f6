import { finished } from '../maths/work';
import { hangAnother, itemOf, itemsOf, type Rig } from '../tackle';
import { does, rotation, smallestChanges, stepsTo, toBring, wayTo } from './changes';
import type { Method } from './methods';
import { setupOf } from './rigs';
import { serve, type Served } from './served';
import { across, BAG, even, fly, LIGHT, OPEN, river, RUN, situation, tied } from './waters.testing';
import { benchOf, byWeight, usualOf } from './worth';

const s = situation({ tiedOn: LIGHT });
const b = benchOf(s);
const on = s.tiedOn!;
const served = (worth: number, o: Partial<Served> & { method?: Method } = {}): Served =>
  ({ setup: setupOf(s, o.method ?? b.votes[0]!.method, on, 1), worth, chance: 0, ...o }) as Served;

describe('a change of what is on', () => {
  it('is told by what is changed, with what it costs; what is on already is no change', () => {
    const sculpin = { ...on, fly: fly('sculpin', 'olive') };
    const steps = stepsTo(b, on, sculpin);
    expect(steps.levers).toEqual(['fly']);
    expect(steps.words).toMatch(/^[A-Z].*olive sculpin/);
    expect(steps.costS).toBeGreaterThan(0);
    expect(wayTo(b, on, served(1))).toBeNull();
    expect(wayTo(b, on, { ...served(1), setup: setupOf(s, 'strip', sculpin, 1) })).toMatchObject({
      does: true,
      ...steps,
    });
  });

  it('of the rod: it is set up anew, unless it stands by', () => {
    const other = situation({
      tiedOn: tied('two-hander 7', 'short head', '10 ft fast', '4 ft of 12 lb', 'black rabbit strip'),
    }).tiedOn!;
    expect(stepsTo(b, on, other).words).toMatch(/^Set up 12 ft rod with short head: /);
    const standing = benchOf({ ...s, rigged: [other] });
    expect(stepsTo(standing, on, other).words).not.toMatch(/^Set up/);
    const third = { ...other, rod: { ...other.rod, id: 'third' } };
    expect(stepsTo(benchOf({ ...s, rigged: [third] }), on, other).words).toMatch(/^Set up/);
    expect(stepsTo(standing, on, other).costS).toBeLessThan(stepsTo(b, on, other).costS);
  });
});

describe('what does it', () => {
  it('is worth three quarters of the best', () => {
    for (const best of [1, 2])
      expect([0.76, 0.74].map((share) => does(b, served(share * best), served(best)))).toEqual([true, false]);
  });

  it('or passes as often as its own way does where all is well, if the water does not speak against that way', () => {
    const first = b.votes[0]!.method;
    const last = b.votes.at(-1)!.method;
    const usual = usualOf(s, setupOf(s, first, on, 1));
    expect([0.91, 0.89].map((of) => does(b, served(0.1, { chance: of * usual }), served(1)))).toEqual([true, false]);
    expect(b.votes[0]!.points - b.votes.at(-1)!.points).toBeGreaterThan(4);
    expect(does(b, served(0.1, { chance: 1, method: last }), served(1, { method: first }))).toBe(false);
  });
});

describe('the smallest change', () => {
  it('of a fly that rides high is what takes it down: a tip, or shot; where that is not enough, another fly with it', () => {
    const deep = river(
      [0, 30, 60].map((x) => across(x, 24, 0, 0.9, 1.6, 2, 1.6, 0)),
      0.9,
    );
    const kept = /two-hander|short head|10 ft (fast|heavy)|4 ft of 12 lb|rabbit strip|sculpin/;
    const at = situation(
      {
        kit: BAG.filter((k) => kept.test(k.id)),
        reading: { waterTempC: 5, visibilityM: 1.5 },
        water: { quarry: 'steelhead' },
        tiedOn: tied('two-hander 7', 'short head', '', '4 ft of 12 lb', 'black rabbit strip'),
      },
      deep,
    );
    const bench = benchOf(at);
    const other = itemsOf(at.kit, 'fly').find((f) => f.family === 'sculpin')!;
    const [tip] = itemsOf(at.kit, 'tip');
    const rig = { ...at.tiedOn!, fly: other, tip: tip! };
    const lies = byWeight(at).slice(0, 3);
    const best = finished(serve(bench, setupOf(at, 'streamer on the swing', rig, 1), lies));
    const changes = finished(smallestChanges(bench, at.tiedOn!, best));
    // What does it first, then what comes near, by what it costs; what another fly alone would do is not told: it rides as high.
    expect(changes.map((c) => [c.levers.join(), c.does])).toEqual([
      ['tip,fly', true],
      ['shot', false],
      ['tip', false],
    ]);
    expect(changes[0]!.served.worth).toBeCloseTo(best.worth, 9);
    expect(changes[1]!.costS).toBeLessThan(changes[2]!.costS);
  });
});

describe('what to try next', () => {
  const of = finished(serve(b, setupOf(s, 'streamer on the swing', on, 1), byWeight(s).slice(0, 1)));

  it('is two things at the most, each differing in something else, the cheap one first, of what is in the bag', () => {
    const turns = finished(rotation(b, { ...of, worth: 0 }));
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
    const turns = finished(rotation(benchOf({ ...s, kit }), { ...of, worth: 0 }));
    expect(turns).toHaveLength(1);
    expect(turns[0]).toMatchObject({ differs: 'cadence', costS: 0 });
    expect(turns[0]!.way).not.toBe('swing');
    expect(turns[0]!.words).toMatch(/^Show the same fly another way: (?!streamer on the swing|soft hackles)/);
  });

  it('is what the rules of the water allow', () => {
    const strict = benchOf({ ...s, rules: { ...OPEN, barbless: true } });
    const kept = BAG.filter((k) => k.type !== 'tip').map((k) =>
      k.type === 'fly' && k.id !== on.fly.id ? { ...k, barbless: false } : k,
    );
    const turns = finished(rotation({ ...strict, s: { ...strict.s, kit: kept } }, { ...of, worth: 0 }));
    expect(turns.length).toBeGreaterThan(0);
    expect(turns.every((t) => t.rig.flyId === on.fly.id)).toBe(true);
  });

  it('with flies and no tips in the bag is another fly, of another outline or colour', () => {
    const kit = BAG.filter((k) => k.type !== 'tip');
    const turns = finished(rotation(benchOf({ ...s, kit }), { ...of, worth: 0 }));
    expect(turns.map((t) => t.differs)).toEqual(['cadence', 'profile']);
  });

  it('is no fly that hangs above already, and no tip that the line does not turn over', () => {
    const turns = (o: Partial<Rig>, ...kept: string[]) => {
      const kit = BAG.filter((k) => (k.type !== 'fly' && k.type !== 'tip') || kept.includes(k.id));
      const setup = setupOf(s, 'streamer on the swing', { ...on, ...o }, 1);
      return finished(rotation(benchOf({ ...s, kit }), { ...of, setup, worth: 0 })).map((t) => [
        t.rig.flyId,
        t.rig.tipId,
      ]);
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
      const turns = finished(rotation(benchOf(at), { ...of, setup: setupOf(at, method, rig, 1), worth: 0 }));
      return turns.find((t) => t.differs === 'depth')?.rig.tipId;
    };
    expect(depth({ reading: { sky: 'dusk' } })).toBe('10 ft intermediate');
    expect(depth({ reading: { waterTempC: 15, visibilityM: 3, colour: 'clear' } })).toBe('10 ft intermediate');
    expect(depth({ reading: { waterTempC: 4 } })).toBe('10 ft heavy');
    // Up thin water a tip only comes back along the stones: none is looped on there.
    expect(depth({}, 'upstream', { depthM: 0.4 })).toBe('');
  });

  it('is nothing where nothing comes near to the first', () => {
    expect(finished(rotation(b, { ...of, worth: 99 }))).toEqual([]);
  });
});

describe('what to bring', () => {
  const bring = (run = RUN, tip = '') => {
    const at = situation(
      {
        water: { quarry: 'steelhead' },
        tiedOn: tied('two-hander 7', 'short head', tip, '9 ft to 3X', 'black rabbit strip'),
      },
      run,
    );
    const bench = benchOf(at);
    const setup = setupOf(at, 'streamer on the swing', at.tiedOn!, 1);
    // What is on was worked out before.
    return finished(toBring(bench, finished(serve(bench, setup, byWeight(at).slice(0, 2)))));
  };
  const deep = river(even(24, 0, 0.9, 1.6, 2, 1.6, 0), 1.1);

  it('is a tip that puts the fly nearer, in the words of a shop; nothing where the one that is on does', () => {
    expect(bring(deep)).toMatch(/^Bring 3 m of (medium|fast|heavy) tip, \d+\.\d cm\/s, next time/);
    expect(bring(deep, '10 ft heavy')).toBeNull();
    // A six's line turns over nothing heavier than what is on, too heavy already: none is brought for it.
    const skinny = river(even(16, 0, 0.3, 0.45, 0.5, 0.35, 0), 0.7, { bed: 'boulders' });
    const at = situation(
      { tiedOn: { ...LIGHT, tipId: '10 ft heavy', leaderId: '4 ft of 12 lb', flyId: 'olive sculpin' } },
      skinny,
    );
    const setup = setupOf(at, 'streamer on the swing', at.tiedOn!, 1);
    const lies = byWeight(at).slice(0, 2);
    expect(finished(toBring(benchOf(at), { ...served(0), setup, of: lies })) ?? '').not.toMatch(/fast|heavy/);
  });

  it('is nothing for a fly that wakes, or under a float', () => {
    const only = (o: object, method: Method) =>
      finished(toBring(b, { setup: { ...setupOf(s, method, on, 1), ...o } } as Served));
    expect(only({}, 'wake fly')).toBeNull();
    expect(only({ rig: { ...on, float: {} } }, 'drift or float')).toBeNull();
  });
});
