import { lieOptionsOf } from '../lies';
import { survey } from '../lies/survey';
import type { Sighting } from '../water';
import { requestOf } from './question';
import { fliesFor, judgeFly } from './flies';
import { type Method, METHOD_NAMES, methodsFor, SIGNS, signFact, signsFor } from './methods';
import { type Situation, situationOf } from './situation';
import { type Asked, BAG, even, fly, question, river, situation } from './waters.testing';
import { lookFor } from './setupWorth';

const GLIDE = river(even(24, 0, 0.6, 1.2, 1.6, 1.3, 0), 0.8);
const today = survey(GLIDE, question(GLIDE).reading, lieOptionsOf(question(GLIDE)));
/** The situation of a question on the glide, its lies and water as on an ordinary day. */
const on = (o: Asked = {}): Situation => situationOf(requestOf({ ...today, question: question(GLIDE, o) }));
const pointsOf = (s: Situation, method: Method) => methodsFor(s).find((v) => v.method === method)!.points;
const points = (method: Method, o: Asked = {}) => pointsOf(on(o), method);
const seen = (...list: Sighting[]): Asked => ({ seen: list });
const PLAIN = on();

describe('what speaks for a method (handbook of the trade; common practice, no source)', () => {
  it('goes by what is seen', () => {
    expect(points('soft hackles on the swing', seen('hatch'))).toBeGreaterThan(points('soft hackles on the swing') + 2);
    expect(points('drift or float', seen('refusals'))).toBeGreaterThan(points('drift or float') + 4);
    expect(points('strip', seen('fry'))).toBeGreaterThan(points('strip'));
    expect(points('strip', seen('crayfish'))).toBeGreaterThan(points('strip'));
    expect(points('upstream', seen('party ahead'))).toBeGreaterThan(points('upstream'));
    expect(points('streamer on the swing', seen('party ahead'))).toBeLessThan(points('streamer on the swing'));
    expect(points('upstream', seen('footprints'))).toBe(points('upstream') + 1);
    expect(points('soft hackles on the swing', seen('rises'))).toBeGreaterThan(points('soft hackles on the swing'));
    // What the angler saw before counts as what is noticed now.
    expect(methodsFor(on({ reading: { seen: ['hatch'] } }))).toEqual(methodsFor(on(seen('hatch'))));
  });

  it('goes by what the day is for', () => {
    const of = (goal: 'numbers' | 'one big fish' | 'action for a beginner') => (method: Method) =>
      pointsOf({ ...PLAIN, goal }, method) - pointsOf({ ...PLAIN, goal: 'any' }, method);
    const [many, big, first] = [of('numbers'), of('one big fish'), of('action for a beginner')];
    for (const goal of [many, first]) expect(goal('soft hackles on the swing')).toBeGreaterThan(0);
    expect([many('streamer on the swing'), first('upstream') < 0]).toEqual([0, true]);
    expect([big('streamer on the swing') > 0, big('soft hackles on the swing') < 0]).toEqual([true, true]);
  });

  it('goes by water, cold and light', () => {
    const murk = { reading: { visibilityM: 0.5 } };
    expect(points('streamer on the swing', murk)).toBeGreaterThan(points('streamer on the swing'));
    expect(points('soft hackles on the swing', murk)).toBeLessThan(points('soft hackles on the swing'));
    const cold = { reading: { waterTempC: 5 } };
    expect(points('wake fly', cold)).toBeLessThan(points('wake fly'));
    expect(points('streamer on the swing', cold)).toBe(points('streamer on the swing') + 2);
    const dusk = { reading: { visibilityM: 2, waterTempC: 14, sky: 'dusk' } } as const;
    expect(points('wake fly', dusk)).toBeGreaterThanOrEqual(points('wake fly') + 9);
    expect(points('wake fly', { reading: { ...dusk.reading, waterTempC: 9 } })).toBe(points('wake fly'));
    expect(points('upstream', { water: { quarry: 'steelhead' } })).toBe(points('upstream') - 3);
    const sight = (visibilityM: number) => points('wake fly', { reading: { ...dusk.reading, visibilityM } });
    expect(sight(1.2) - sight(1.19)).toBeGreaterThanOrEqual(9); // it must see the surface
  });

  it('soft hackles in one to three rippled feet, streamers where it is deeper, at a stroll to a walking pace', () => {
    const at = (method: Method, depthM: number, speedMps = 0.5) =>
      pointsOf({ ...PLAIN, slack: false, small: false, skinny: false, texture: 'rippled', depthM, speedMps }, method);
    const soft = (depthM: number) => at('soft hackles on the swing', depthM);
    expect([soft(0.3) - soft(0.29), soft(0.9) - soft(0.91)]).toEqual([2, 2]);
    const streamer = (...water: [number, number?]) => at('streamer on the swing', ...water);
    expect([streamer(0.6) - streamer(0.59), streamer(0.91) - streamer(0.9)]).toEqual([1, 2]);
    expect([streamer(0.8, 0.2) - streamer(0.8, 0.19), streamer(1.5, 0.2) - streamer(1.5, 0.19)]).toEqual([1, 3]);
    expect(streamer(1.5, 0.9) - streamer(1.5, 0.91)).toBe(3);
    // What flows is not drawn through slack.
    expect(at('dip and draw', 1.5, 0.2) - at('dip and draw', 1.5, 0.19)).toBe(-4);
  });

  it('brown trout lie by wood, others need not', () => {
    const strip = (quarry: string, wood: boolean) => pointsOf({ ...PLAIN, wood, quarry } as Situation, 'strip');
    expect(strip('brown trout', true) - strip('brown trout', false)).toBe(1);
    expect(strip('rainbow trout', true)).toBe(strip('rainbow trout', false));
  });

  it('mud is worse than dirt, tea of the same sight is neither; toes still seen are seen further', () => {
    const at = (visibilityM: number, o: object = {}) => on({ reading: { visibilityM, ...o } });
    expect([at(0.1).mud, at(0.13).mud, at(0.1).dirty]).toEqual([true, false, true]);
    expect([at(0.6).dirty, at(0.62).dirty]).toEqual([true, false]);
    expect([at(0.4, { colour: 'tea' }).dirty, at(0.3, { colour: 'tea' }).dirty]).toEqual([false, true]);
    expect(at(2, { colour: 'brown soup' }).dirty).toBe(true);
    expect(at(1.4, { atLeast: true }).clear).toBe(true);
    expect(at(1.4).clear).toBe(false);
    expect(at(3, { colour: 'tea' }).clear).toBe(false);
  });

  it('a method whose flies one does not own is known as such', () => {
    const kit = BAG.filter((k) => k.id !== 'black waking fly' && k.id !== 'tan muddler');
    const wake = (list: typeof BAG) => methodsFor(on({ kit: list })).find((v) => v.method === 'wake fly')!.noFly;
    expect([wake(kit), wake(BAG)]).toEqual([true, false]);
    const used = BAG.map((k) => (k.type === 'fly' ? { ...k, count: 0 } : k));
    expect(methodsFor(on({ kit: used })).every((v) => v.noFly)).toBe(true);
  });

  it('every method has a sign for it, each sign a code of its own, with the figures that it is read off', () => {
    for (const method of METHOD_NAMES) expect(SIGNS.some((sign) => (sign.votes[method] ?? 0) > 0)).toBe(true);
    expect(new Set(SIGNS.map((sign) => sign.code)).size).toBe(SIGNS.length);
    expect(signsFor(on(seen('refusals')), 'drift or float', 'streamer on the swing')[0]!.code).toBe('refusals');
    // "Low" only where the river is.
    const clear = (levelM: number) => {
      const at = situation({ reading: { visibilityM: 2, colour: 'clear', levelM } });
      return SIGNS.filter((x) => x.code === 'clear' && x.when(at)).map((x) => signFact(at, x).low);
    };
    expect([clear(0), clear(-0.2)]).toEqual([[false], [true]]);
    const cold = on({ reading: { waterTempC: 5 } });
    const told = signsFor(cold, 'streamer on the swing', 'strip').map((x) => signFact(cold, x));
    expect(told).toContainEqual(expect.objectContaining({ sign: 'cold', tempC: 5 }));
  });
});

describe('which fly (handbook of the trade; common practice, no source)', () => {
  const merit = (s: Situation, method: Method, ...args: Parameters<typeof fly>) =>
    judgeFly(s, method, fly(...args), lookFor(s)).merit;
  const best = (s: Situation, method: Method) => fliesFor(s, method, lookFor(s))[0]!.fly;
  const streamers = 'streamer on the swing';

  it('in murk low and dark before high and pale, whatever the school', () => {
    for (const colour of ['contrast', 'naturals', 'light match'] as const) {
      const s = on({ reading: { visibilityM: 0.4, sky: 'bright' }, settings: { schools: { colour } } });
      expect(merit(s, streamers, 'rabbit strip', 'black')).toBeGreaterThan(
        merit(s, streamers, 'rabbit strip', 'white'),
      );
      expect(merit(s, streamers, 'rabbit strip', 'white')).toBeGreaterThan(
        merit(s, streamers, 'rabbit strip', 'olive'),
      );
    }
  });

  it('light match: bright day bright fly, dark day dark fly, yellow light tan; naturals keep off pink', () => {
    const s = (sky: 'bright' | 'overcast' | 'yellow') =>
      on({ reading: { sky }, settings: { schools: { colour: 'light match' } } });
    const [bright, dull, yellow] = [s('bright'), s('overcast'), s('yellow')];
    expect(merit(bright, streamers, 'rabbit strip', 'white')).toBeGreaterThan(
      merit(bright, streamers, 'rabbit strip', 'black'),
    );
    expect(merit(dull, streamers, 'rabbit strip', 'black')).toBeGreaterThan(
      merit(dull, streamers, 'rabbit strip', 'white'),
    );
    expect(merit(yellow, streamers, 'sculpin', 'tan')).toBeGreaterThan(merit(yellow, streamers, 'sculpin', 'olive'));
    const says = (at: Situation) =>
      judgeFly(at, streamers, fly('rabbit strip', 'black'), lookFor(at)).factors.find((f) => f.of === 'colour')!.code;
    const said = ['bright day', 'soft light', 'tan in yellow light'];
    expect([bright, dull, yellow].map(says)).toEqual(said);
    const natural = on({ settings: { schools: { colour: 'naturals' } } });
    expect(merit(natural, streamers, 'rabbit strip', 'olive')).toBeGreaterThan(
      merit(natural, streamers, 'rabbit strip', 'pink'),
    );
  });

  it('yellow light wants tan, and what rides up, by every school; behind others something small or red', () => {
    const read = (o: Asked) => on({ ...o, settings: { schools: { colour: 'contrast' } } });
    const gain = (cued: Situation, f: ReturnType<typeof fly>) =>
      judgeFly(cued, streamers, f, lookFor(cued)).factors.find((x) => x.of === 'cue')?.by ?? 1;
    const yellow = read({ reading: { sky: 'yellow' } });
    expect(gain(yellow, fly('sculpin', 'tan'))).toBeGreaterThan(1.2);
    expect(gain(yellow, { ...fly('sculpin', 'olive'), weight: 'buoyant' })).toBeGreaterThan(1.1);
    expect(gain(yellow, fly('sculpin', 'olive'))).toBe(1);
    expect(gain(read({ reading: { sky: 'yellow', visibilityM: 0.4 } }), fly('sculpin', 'tan'))).toBe(1);
    const behind = read(seen('party ahead'));
    const sized = (lengthM: number) => gain(behind, { ...fly('sculpin', 'olive'), lengthM });
    expect([sized(0.03), sized(0.06)]).toEqual([1.2, 1]);
    expect(gain(behind, { ...fly('sculpin', 'red'), lengthM: 0.06 })).toBe(1.2);
    const young = read(seen('juveniles'));
    expect(gain(young, { ...fly('sculpin', 'olive'), lengthM: 0.07 })).toBe(1.2);
    expect(points('soft hackles on the swing', seen('juveniles'))).toBeLessThan(points('soft hackles on the swing'));
  });

  it('bigger in murk where that is the school, smaller in low clear water and behind others; 10 cm at the most', () => {
    const of = (s: Situation, lengthM: number) => merit(s, streamers, 'rabbit strip', 'black', { lengthM });
    // Steelhead, too: who has just been shown seven centimetres wants something else.
    const steelhead = (o: Asked = {}) => on({ ...o, water: { quarry: 'steelhead' } });
    expect(of(steelhead(), 0.065)).toBeGreaterThan(of(steelhead(), 0.042));
    expect(of(steelhead(seen('party ahead')), 0.042)).toBeGreaterThan(1.3 * of(steelhead(seen('party ahead')), 0.065));
    const murk = (murkSize: 'bigger' | 'size hardly matters') =>
      on({ reading: { visibilityM: 0.4 }, settings: { schools: { murkSize } } });
    expect(of(murk('bigger'), 0.065)).toBeGreaterThan(of(murk('bigger'), 0.05));
    expect(of(murk('size hardly matters'), 0.05)).toBeGreaterThan(of(murk('size hardly matters'), 0.065));
    const clear = on({ reading: { visibilityM: 3, levelM: -0.1 } });
    expect(of(clear, 0.04)).toBeGreaterThan(of(clear, 0.06));
    const big = on({
      reading: { visibilityM: 0.4 },
      water: { quarry: 'steelhead' },
      settings: { goal: 'one big fish' },
    });
    expect(of(big, 0.1)).toBeGreaterThan(of(big, 0.13));
  });

  it('matches what is eaten before colour', () => {
    expect(best(on(seen('crayfish')), 'strip').family).toBe('crayfish');
    expect(best(on(seen('fry')), streamers).family).toBe('slim baitfish');
    expect(best(PLAIN, streamers).family).not.toBe('crayfish');
  });

  it('each method has its own: no waking fly is swung deep, no streamer as a soft hackle', () => {
    expect(merit(PLAIN, streamers, 'waking fly', 'black')).toBe(0);
    expect(merit(PLAIN, 'soft hackles on the swing', 'rabbit strip', 'black')).toBe(0);
    expect(merit(PLAIN, 'soft hackles on the swing', 'soft-hackle spider', 'brown')).toBeGreaterThan(0.5);
    expect(merit(PLAIN, 'wake fly', 'waking fly', 'black')).toBeGreaterThan(merit(PLAIN, 'wake fly', 'muddler', 'tan'));
  });
});
