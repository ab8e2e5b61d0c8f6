import { ANY_MEANS, type CastPlan, dipOf, handsOf, presented } from '../cast';
import { beatFor, ruleBeat } from '../cover/beat';
import { sketchOf } from '../cover/covering';
import { shownAt } from '../cover/shownAt';
import { finished } from '../maths/work';
import { rideOf } from '../showing';
import { PLAN } from '../testing/fixtures';
import { STARTER_BAGS } from '../tackle/starts';
import {
  flyBody,
  type FlyItem,
  flySinkRate,
  hangAnother,
  isMonoRig,
  itemOf,
  itemsOf,
  type LeaderItem,
  leaderLengthM,
  type Rig,
  type RodItem,
  usualFly,
} from '../tackle';
import { fish, type Fished, glance, leftOfHour, shownOver, suitedWay } from './fished';
import { takesDown } from './fits';
import { classesOf, classOf, fliesFor, judgeFly, differsFrom } from './flies';
import type { Method } from './methods';
import { leadStand, reasonsOf, secondOf } from './reasons';
import { leaderFor, onMonoRig, outfits, refitted, type Setup, setupOf, tipsOf, underFloat, withSecond } from './rigs';
import { sectionsOf } from './sections';
import { becauseOf, inOrder, served, type Stand } from './stands';
import { lookThrough, ranked } from './looks';
import { changesIn, picked, rivalOf, tableOf } from './table';
import { alterations, asRuled, plainWays } from './ways';
import { type Situation, situationOf } from './situation';
import { type Asked, BAG, even, feature, fly, LIGHT, OPEN, request, river, RUN, situation } from './waters.testing';
import {
  type Bench,
  benchOf,
  byWeight,
  costOf,
  coverRequest,
  lookFor,
  methodFactor,
  priorOf,
  worthOf,
} from './setupWorth';

/** The parts that an answer is put together from, each by hand; the whole advice is tried in situations.test.ts. */
const plain = request();
/** The same request with the reading, or anything else, altered. */
const read = (reading: Asked['reading'], rest: object = {}) =>
  situationOf({ ...plain, ...rest, reading: { ...plain.reading, ...reading } });

describe('the situation', () => {
  it('the mean water of the six best lies, the better weighing more', () => {
    const lie = (score: number, depthM: number, speedMps: number) => ({ ...plain.lies[0]!, score, depthM, speedMps });
    const of = (...lies: ReturnType<typeof lie>[]) => situationOf({ ...plain, lies });
    expect(of(lie(0.6, 1, 0.4), lie(0.2, 2, 0.8))).toMatchObject({ depthM: 1.25, speedMps: 0.5 });
    const seven = [...Array.from({ length: 6 }, () => lie(0.5, 1, 0.4)), lie(0.5, 8, 3)];
    expect(of(...seven).depthM).toBeCloseTo(1, 9);
    // Froude numbers 0.09 and 0.41 at a metre of depth.
    expect([0.27, 0.29, 1.27, 1.3].map((u) => of(lie(0.5, 1, u)).texture)).toEqual([
      'flat',
      'rippled',
      'rippled',
      'broken',
    ]);
    expect([of(lie(1, 1, 0.19)).slack, of(lie(1, 0.8, 0.19)).slack, of(lie(1, 1, 0.21)).slack]).toEqual([
      true,
      false,
      false,
    ]);
    const stones = { ...RUN, bed: 'boulders' as const };
    const thin = (depthM: number, run = RUN) => situationOf({ ...plain, run, lies: [lie(1, depthM, 0.5)] }).skinny;
    expect([thin(0.55, stones), thin(0.65, stones), thin(0.55)]).toEqual([true, false, false]);
  });

  it.each<[string, object, Partial<Situation>]>([
    ['mud at twelve centimetres of sight', { visibilityM: 0.12 }, { mud: true }],
    ['none at thirteen', { visibilityM: 0.13 }, { mud: false }],
    ['clear from what is clear on', { visibilityM: 2.5, colour: 'clear' }, { clear: true, dirty: false }],
    ['tea is never clear', { visibilityM: 2.5, colour: 'tea' }, { clear: false }],
    ['dirty', { visibilityM: 0.4, colour: 'grey-brown' }, { dirty: true, clear: false }],
    ['cold', { waterTempC: 4 }, { cold: true, warm: false }],
    ['warm at twelve degrees', { waterTempC: 12 }, { warm: true, cold: false }],
    ['not at less', { waterTempC: 11.9 }, { warm: false }],
    ['dusk by the sky', { sky: 'dusk' }, { dusk: true, bright: false }],
  ])('%s', (_, reading, is) => expect(read(reading)).toMatchObject(is));

  it('dusk and bright by the sun, too', () => {
    expect(read({ sky: 'bright' }, { sunDeg: 26 })).toMatchObject({ bright: true, dusk: false });
    expect(read({ sky: 'bright' }, { sunDeg: 24 })).toMatchObject({ bright: false, dusk: false });
    expect(read({ sky: 'overcast' }, { sunDeg: 4 })).toMatchObject({ bright: false, dusk: true });
    expect(read({ sky: 'overcast' }, { sunDeg: 40 })).toMatchObject({ bright: false, dusk: false });
  });

  it('wood that hinders, travelling fish, a school that is chosen', () => {
    const wooded = { ...RUN, features: [feature('log', 30, 6, 4, 1)] };
    expect([situationOf({ ...plain, run: wooded }).wood, situationOf(plain).wood]).toEqual([true, false]);
    expect([situationOf({ ...plain, quarry: 'steelhead' }).migrant, situationOf(plain).migrant]).toEqual([true, false]);
    expect(situationOf({ ...plain, schools: { colour: 'naturals' } }).school.colour).toBe('naturals');
  });
});

describe('a fly’s merit', () => {
  const factor = (s: Situation, f: ReturnType<typeof fly>, of: string) =>
    judgeFly(s, 'streamer on the swing', f, lookFor(s)).factors.find((x) => x.of === of)?.by;
  const colours = (s: Situation, ...list: Parameters<typeof fly>[1][]) =>
    list.map((colour) => factor(s, fly('woolly bugger', colour), 'colour'));

  it('in murk black first, purple near it, then pale, then the rest (common practice, no source)', () => {
    const murk = read({ visibilityM: 0.3, colour: 'grey-brown' });
    expect(colours(murk, 'black', 'black and blue', 'purple', 'white', 'olive')).toEqual([1, 1, 0.95, 0.7, 0.6]);
  });

  it('of two colours each counts by its share', () => {
    const murk = read({ visibilityM: 0.3, colour: 'grey-brown' });
    const striped = (share: number) => fly('woolly bugger', 'black', { also: [{ colour: 'olive', share }] });
    expect([0.25, 0.5].map((share) => factor(murk, striped(share), 'colour'))).toEqual([0.9, 0.8]);
    const both = fly('woolly bugger', 'olive', {
      also: [
        { colour: 'black', share: 0.6 },
        { colour: 'white', share: 0.4 },
      ],
    });
    expect(factor(murk, both, 'colour')).toBeCloseTo(0.6 * 1 + 0.4 * 0.7, 12);
  });

  it('by school: naturals; match the light; contrast', () => {
    const school = (colour: 'naturals' | 'light match' | 'contrast', reading: object, sunDeg = 40) =>
      read(reading, { sunDeg, schools: { colour } });
    expect(colours(school('naturals', {}), 'olive', 'black', 'red', 'purple')).toEqual([1, 1, 0.6, 0.6]);
    expect(colours(school('light match', { sky: 'bright' }), 'white', 'orange', 'black')).toEqual([1, 1, 0.75]);
    expect(colours(school('light match', { sky: 'overcast' }), 'black', 'purple', 'white')).toEqual([1, 1, 0.75]);
    expect(colours(school('light match', { sky: 'yellow' }), 'tan', 'white')).toEqual([1, 0.75]);
    expect(colours(school('light match', { sky: 'broken' }), 'olive', 'white')).toEqual([1, 0.9]);
    const fair = school('contrast', { visibilityM: 1.2, colour: 'green', sky: 'broken' });
    expect(colours(fair, 'black', 'white', 'olive', 'red')).toEqual([1, 1, 0.9, 0.9]);
    const clear = school('contrast', { visibilityM: 3, colour: 'clear', sky: 'bright' });
    expect(colours(clear, 'olive', 'tan', 'black', 'red')).toEqual([1, 1, 0.85, 0.97]);
    const tea = school('contrast', { visibilityM: 1, colour: 'tea', sky: 'broken' });
    expect(colours(tea, 'black', 'orange', 'white', 'red')).toEqual([1, 1, 0.85, 0.97]);
  });

  it('over thin stones what rides over them, or points up, goes before what digs in; by wood what points up', () => {
    const bed = (o: Partial<Situation>, f: Parameters<typeof fly>[2]) => {
      const s = { ...situation(), skinny: false, wood: false, ...o };
      const j = judgeFly(s, 'streamer on the swing', fly('woolly bugger', 'black', f), lookFor(s));
      const factor = j.factors.find((x) => x.of === 'bed');
      return factor && [Math.round(1000 * factor.by) / 1000, factor.code];
    };
    const [stones, wood] = [{ skinny: true }, { wood: true }];
    const buoyant = { weight: 'buoyant', hookUp: false } as const;
    expect(bed({}, buoyant)).toBeUndefined();
    expect(bed(stones, buoyant)).toEqual([1.25, 'over stones']);
    expect(bed(wood, { ...buoyant, hookUp: true })).toEqual([1.05, 'point up']);
    expect(bed(stones, { weight: 'none', hookUp: true })).toEqual([1.05, 'point up']);
    expect(bed(stones, { weight: 'lead eyes', hookUp: false })![0]).toBe(0.7);
    expect(bed(stones, { weight: 'lead eyes', hookUp: true })![0]).toBe(0.735);
    expect(bed(wood, { weight: 'lead eyes', hookUp: false })![0]).toBe(1);
  });

  it('its size: half or twice the length that suits loses a third; larger in murk for those who hold with it', () => {
    const size = (s: Situation, lengthM: number) => factor(s, fly('woolly bugger', 'black', { lengthM }), 'size')!;
    const fair = read({});
    expect(size(fair, 0.05)).toBeCloseTo(1, 9);
    for (const lengthM of [0.025, 0.1]) expect(size(fair, lengthM)).toBeCloseTo(0.66, 2);
    const murk = (murkSize: 'bigger' | 'size hardly matters') =>
      read({ visibilityM: 0.3, colour: 'grey-brown' }, { schools: { murkSize } });
    expect(size(murk('bigger'), 0.065)).toBeCloseTo(1, 9);
    expect(size(murk('size hardly matters'), 0.05)).toBeCloseTo(1, 9);
    // Steelhead are shown six to eight centimetres, two to four in low clear water; sea trout at dusk three to five.
    expect(size(read({}, { quarry: 'steelhead' }), 0.065)).toBeCloseTo(1, 9);
    const low = read({ visibilityM: 3, colour: 'clear', levelM: -0.1 }, { quarry: 'steelhead' });
    expect(size(low, 0.035)).toBeGreaterThan(0.95);
    expect(size(low, 0.065)).toBeLessThan(0.5);
    expect(size(read({ sky: 'dusk' }, { quarry: 'sea trout' }), 0.04)).toBeCloseTo(1, 9);
    expect(size(read({ visibilityM: 3, colour: 'clear' }), 0.05)).toBeCloseTo(1, 9);
    expect(size(read({}, { goal: 'one big fish' }), 0.06)).toBeCloseTo(1, 9);
  });

  it('what was seen: fry ask for slim and pale, crayfish for themselves, a hatch for what is sparse', () => {
    const seen = (what: Situation['seen'][number], f: ReturnType<typeof fly>) =>
      factor(read({}, { seen: [what] }), f, 'cue') ?? 1;
    expect(seen('fry', fly('slim baitfish', 'white'))).toBe(1.5);
    expect(seen('fry', fly('rabbit strip', 'white'))).toBe(1.25);
    expect(seen('fry', fly('rabbit strip', 'black'))).toBe(1);
    expect(seen('crayfish', fly('crayfish', 'brown'))).toBe(1.8);
    expect(seen('crayfish', fly('woolly bugger', 'olive'))).toBe(1.2);
    expect(seen('crayfish', fly('woolly bugger', 'purple'))).toBe(1);
    expect(seen('hatch', fly('soft-hackle spider', 'brown'))).toBe(1.2);
    expect(seen('hatch', fly('rabbit strip', 'black'))).toBe(1);
  });

  it('what may not be tied on, or is used up, is not among them; the best of each class of alike', () => {
    const s = read(
      {},
      { rules: { ...OPEN, noAddedWeight: true }, kit: [...BAG, fly('sculpin', 'black', { count: 0 })] },
    );
    const flies = fliesFor(s, 'streamer on the swing', lookFor(s));
    expect(flies.every((j) => j.fly.weight === 'none' || j.fly.weight === 'buoyant')).toBe(true);
    expect(flies.map((j) => j.fly.id)).not.toContain('black sculpin');
    expect(flies.every((j, i) => j.merit > 0 && (i === 0 || j.merit <= flies[i - 1]!.merit))).toBe(true);
    expect(classOf(fly('rabbit strip', 'black'))).toBe(classOf(fly('rabbit strip', 'white')));
    const classes = classesOf(flies, 3);
    expect(new Set(classes.map((j) => classOf(j.fly))).size).toBe(classes.length);
    expect(classes[0]).toBe(flies[0]);
    expect(classes.every((j) => j.merit >= 0.5 * flies[0]!.merit)).toBe(true);
    expect(classesOf(flies, 1)).toEqual([flies[0]]);
    const rates = (of: readonly { fly: FlyItem }[]) => of.map((j) => flySinkRate(flyBody(j.fly)));
    expect(Math.min(...rates(classesOf(flies, 2)))).toBe(Math.min(...rates(flies)));
    // Of classes that are half as good as the best the first so many; less is not tried.
    const [good, half, less] = (['rabbit strip', 'micro streamer', 'soft-hackle spider'] as const).map((family, i) => ({
      ...{ fly: fly(family, 'black'), merit: [1, 0.5, 0.49][i]!, factors: [] },
    }));
    expect(new Set([good, half, less].map((j) => classOf(j!.fly))).size).toBe(3);
    expect(classesOf([good!, half!, less!], 3)).toEqual([good, half]);
    expect(differsFrom(fly('sculpin', 'black'), fly('sculpin', 'olive'))).toEqual({ profile: false, colour: true });
    expect(differsFrom(fly('sculpin', 'black'), fly('muddler', 'black'))).toMatchObject({
      profile: true,
      colour: false,
    });
  });
});

describe('tackle for a method', () => {
  const of = (type: 'rod' | 'head' | 'tip' | 'leader', id: string) => itemsOf(BAG, type).find((k) => k.id === id)!;
  const rig = (tipId: string, family: Parameters<typeof fly>[0] = 'rabbit strip'): Rig =>
    ({
      ...{ rod: of('rod', 'single 6'), head: of('head', 'floating 6'), tip: tipId ? of('tip', tipId) : null },
      ...{ leader: of('leader', '9 ft to 3X'), fly: fly(family, 'black'), droppers: [], lineClean: true },
    }) as Rig;
  const leaders = itemsOf(BAG, 'leader');
  const leader = (s: Situation, r: Rig, method: Parameters<typeof leaderFor>[1] = 'streamer on the swing') =>
    leaderFor(s, method, r, [...leaders])!;

  it('leaders: short behind what sinks, nine feet behind what floats, long in low clear water (handbook practice)', () => {
    const fair = read({}, { schools: { tippet: 'strong' } });
    expect(leader(fair, rig('10 ft fast')).id).toBe('4 ft of 12 lb');
    expect(leaderLengthM(leader(read({}), rig('')))).toBeCloseTo(2.7, 1);
    const low = read({ visibilityM: 3, colour: 'clear', levelM: -0.1 }, { schools: { tippet: 'finer' } });
    expect(leader(low, rig('')).id).toBe('12 ft to 5X');
    // At its normal level a river is not low, however clear.
    expect(leader({ ...low, ...read({ visibilityM: 3, colour: 'clear' }), school: low.school }, rig('')).id).toBe(
      '9 ft to 3X',
    );
    expect(leader(read({}), rig('6 ft sinking leader', 'soft-hackle spider'), 'soft hackles on the swing').id).toBe(
      '6 ft to 4X',
    );
    // Near wood it must hold, and for travelling fish.
    const wood = { ...low, wood: true, school: { ...low.school, tippet: 'strong' as const } };
    expect(leader(wood, rig('10 ft fast')).id).toBe('4 ft of 12 lb');
    // In clear low water a short stout one on a floating line is seen; in murk it is what holds.
    const usual = leaders.filter((l) => l.id !== '12 ft to 5X');
    expect(leaderFor(wood, 'streamer on the swing', rig(''), usual)!.id).toBe('9 ft to 3X');
    const murk = read({ visibilityM: 0.4, colour: 'grey-brown' });
    expect(leader({ ...murk, wood: true }, rig('')).id).toBe('4 ft of 12 lb');
    expect(leaderFor(fair, 'strip', rig(''), [])).toBeNull();
  });

  it('tips from what takes down least; none to wake a fly, light ones for soft hackles', () => {
    const s = read({});
    const ids = (method: Parameters<typeof tipsOf>[1]) => tipsOf(s, method).map((t) => t?.id ?? 'none');
    expect(ids('streamer on the swing')).toEqual([
      'none',
      '10 ft intermediate',
      '6 ft sinking leader',
      '10 ft slow',
      '10 ft fast',
      '10 ft heavy',
    ]);
    expect(ids('wake fly')).toEqual(['none']);
    expect(tipsOf(s, 'soft hackles on the swing').every((t) => takesDown(t) <= 0.25)).toBe(true);
    expect(ids('soft hackles on the swing')).toContain('10 ft slow');
    // Up thin water a tip only comes back along the stones.
    const up = (depthM: number) => tipsOf({ ...s, depthM }, 'upstream').length;
    expect([up(0.4), up(0.9) > 1]).toEqual([1, true]);
  });

  it('rods: a four for soft hackles, a six for streamers, two hands for steelhead and on wide rivers', () => {
    const first = (s: Situation, method: Parameters<typeof outfits>[1]) =>
      outfits(s, method, fliesFor(s, method, lookFor(s)), 3)[0]!.rig.rod.id;
    expect(first(read({}), 'soft hackles on the swing')).toBe('single 4');
    expect(first(read({}), 'streamer on the swing')).toBe('single 6');
    expect(first(read({}, { quarry: 'steelhead' }), 'streamer on the swing')).toBe('two-hander 7');
    // For sea trout with one, but on a wide river.
    const s = read({}, { quarry: 'sea trout' });
    const wide = { ...s, channel: { ...s.channel, edgeFar: s.channel.edgeFar.map((y) => 2 * y) } };
    expect(first(s, 'wake fly')).toBe('single 6');
    expect(first(wide, 'wake fly')).toBe('two-hander 7');
    expect(first(s, 'streamer on the swing')).toBe('single 6');
    expect(first(wide, 'streamer on the swing')).toBe('two-hander 7');
    expect(outfits(read({}), 'strip', [], 3)).toEqual([]);
  });

  it('rods: one hand on a small stream, before a switch rod that balances as well; one hand for a drift, whatever the fish', () => {
    const long = { ...of('rod', 'single 4'), id: 'switch', lengthM: 3.35, hands: 2, switch: true } as RodItem;
    const first = (s: Situation, method: Method) =>
      outfits({ ...s, kit: [long, ...s.kit] }, method, fliesFor(s, method, lookFor(s)), 3)[0]!.rig;
    for (const method of ['upstream', 'streamer on the swing', 'soft hackles on the swing'] as const)
      expect([method, first({ ...read({}), small: true }, method).rod.hands]).toEqual([method, 1]);
    const drift = first(read({}, { quarry: 'steelhead' }), 'drift or float');
    expect([drift.rod.id, drift.head.shape]).toEqual(['single 6', 'taper']);
  });

  it('what sinks more, or is out of balance, fits less', () => {
    const s = read({});
    const fits = (r: Rig) => setupOf(s, 'streamer on the swing', r, 1).fits;
    expect(fits(rig(''))).toBeGreaterThan(fits(rig('10 ft heavy')));
    expect(fits(rig('10 ft slow'))).toBeGreaterThan(fits(rig('10 ft heavy')));
    // Where line and splash are seen the lightest that reaches counts for more.
    const share = (at: Situation) =>
      setupOf(at, 'streamer on the swing', rig('10 ft slow'), 1).fits /
      setupOf(at, 'streamer on the swing', rig('10 ft intermediate'), 1).fits;
    expect(share({ ...s, clear: true, low: true })).toBeLessThan(0.95 * share(s));
    expect(fits({ ...rig(''), rod: of('rod', 'two-hander 7') } as Rig)).toBeLessThan(0.7 * fits(rig('')));
    // Who keeps one dense line moving does not lighten it for the soft edge.
    const dense = { ...s, school: { ...s.school, tip: 'one dense line kept moving' } } as const;
    expect(share(dense)).toBe(1);
    expect(share(s)).toBeLessThan(1);
  });

  it('heads: a short one lays no small fly softly, a long one throws no streamer with two hands (handbook of the trade)', () => {
    const s = read({});
    const with_ = (method: Method, hands: 1 | 2, shape: 'short' | 'taper' | 'long') => {
      const base = rig('');
      const rod = { ...base.rod, hands, windowKg: [0.001, 1] } as RodItem;
      return setupOf(s, method, { ...base, rod, head: { ...base.head, shape } }, 1).fits;
    };
    for (const method of ['soft hackles on the swing', 'drift or float', 'wake fly', 'upstream'] as const) {
      expect(with_(method, 1, 'short')).toBeCloseTo(0.9 * with_(method, 1, 'taper'), 6);
      expect(with_(method, 2, 'long')).toBeCloseTo(with_(method, 2, 'taper'), 6);
    }
    const streamer = (hands: 1 | 2, shape: 'short' | 'taper' | 'long') => with_('streamer on the swing', hands, shape);
    expect(streamer(2, 'long')).toBeCloseTo(0.9 * streamer(2, 'taper'), 6);
    expect([streamer(1, 'long'), streamer(2, 'short')]).toEqual([streamer(1, 'taper'), streamer(2, 'taper')]);
  });

  it('another tip takes another leader with it; what is not allowed is no set-up', () => {
    const s = read({});
    const two = { rod: of('rod', 'two-hander 7') as never, head: of('head', 'short head') as never };
    const base = setupOf(s, 'streamer on the swing', { ...rig(''), ...two }, 1);
    const tip = of('tip', '10 ft fast') as never;
    const heavier = refitted(s, base, { tip })!;
    expect(heavier.rig.tip).toBe(tip);
    expect(leaderLengthM(heavier.rig.leader)).toBeLessThan(2);
    const white = { fly: fly('rabbit strip', 'white'), merit: 0.7, factors: [] };
    expect(refitted(s, heavier, { fly: white })).toMatchObject({ merit: 0.7, rig: { tip, fly: white.fly } });
    const bare = {
      ...heavier,
      rig: { ...heavier.rig, rod: of('rod', 'single 6') as never, head: of('head', 'floating 6') as never },
    };
    expect(refitted(s, bare, { tip: null })).toMatchObject({ merit: 1, rig: { tip: null, fly: base.rig.fly } });
    // A short head on two hands is not cast without a tip, nor with one that drops before it turns over.
    expect(refitted(s, heavier, { tip: null })).toBeNull();
    expect(refitted(s, bare, { tip: of('tip', '10 ft heavy') as never })).toBeNull();
    expect(refitted({ ...s, kit: s.kit.filter((k) => k.type !== 'leader') }, base, { tip })).toBeNull();
    const weighted = { fly: fly('rabbit strip', 'black', { weight: 'lead eyes' }), merit: 1, factors: [] };
    expect(refitted(s, heavier, { fly: weighted })).not.toBeNull();
    expect(refitted({ ...s, rules: { ...OPEN, noAddedWeight: true } }, heavier, { fly: weighted })).toBeNull();
  });

  it('under a float: the smallest that carries the fly, no deeper than the water; none where the bag has none', () => {
    const s = read({});
    const base = setupOf(s, 'drift or float', rig('10 ft fast', 'hair-wing wet'), 1);
    const floated = underFloat(s, base)!;
    expect(floated.rig.tip).toBeNull();
    expect(floated.rig.float!.item.id).toBe('float');
    expect(floated.rig.float!.aboveM).toBeLessThanOrEqual(0.85 * s.depthM + 1e-9);
    expect(underFloat({ ...s, kit: s.kit.filter((k) => k.type !== 'float') }, base)).toBeNull();
    const lead = { ...base, rig: { ...base.rig, fly: fly('lead-eye baitfish', 'white', { weight: 'lead eyes' }) } };
    expect(underFloat(s, lead)).toBeNull();
  });

  it('on a mono rig no tip, no float and one fly; none where it was never fished, or the bag has none', () => {
    const [mono] = STARTER_BAGS['Mono rig and float'].filter((k) => k.type === 'leader');
    const s = read({}, { kit: [...BAG, { ...mono!, id: 'mono' } as LeaderItem] });
    const base = setupOf(s, 'drift or float', rig('10 ft fast', 'micro streamer'), 1);
    const led = onMonoRig(s, base)!;
    expect(led.rig).toMatchObject({ tip: null, droppers: [], leader: { id: 'mono' } });
    expect(plainWays(s, led).map((w) => handsOf(w).way)).toEqual(['tight drift']);
    // A leader longer than the others is no fault in it.
    expect(led.fits).toBeGreaterThan(setupOf(s, 'strip', led.rig, 1).fits);
    expect(onMonoRig(read({}), base)).toBeNull();
    const lines = ANY_MEANS.lines.filter((kind) => kind !== 'mono rig');
    expect(onMonoRig({ ...s, means: { ...s.means, lines } }, base)).toBeNull();
    const refusing = benchOf({ ...s, seen: ['refusals'] });
    expect(finished(lookThrough(refusing)).some((x) => isMonoRig(x.setup.rig))).toBe(true);
  });

  it('a second fly for soft hackles, where the rules allow one: the larger above, or the heavier on the point', () => {
    const s = read({}, { schools: { twoFlies: 'larger on the dropper' } });
    const soft = setupOf(s, 'soft hackles on the swing', rig('', 'soft-hackle spider'), 1);
    const flies = fliesFor(s, 'soft hackles on the swing', lookFor(s));
    const two = withSecond(s, soft, flies)!.rig;
    expect(two.droppers).toHaveLength(1);
    expect(two.droppers[0]!.fly.lengthM).toBeGreaterThanOrEqual(two.fly.lengthM);
    const swapped = withSecond({ ...s, school: { ...s.school, twoFlies: 'heavier on the point' } }, soft, flies)!.rig;
    expect([swapped.fly.id, swapped.droppers[0]!.fly.id]).toEqual([two.droppers[0]!.fly.id, two.fly.id]);
    expect(withSecond({ ...s, rules: { ...OPEN, maxFlies: 1 } }, soft, flies)).toBeNull();
    expect(withSecond({ ...s, means: { ...s.means, children: true } }, soft, flies)).toBeNull();
    expect(withSecond({ ...s, goal: 'action for a beginner' }, soft, flies)).toBeNull();
    expect(withSecond(s, { ...soft, method: 'strip' }, flies)).toBeNull();
    expect(withSecond(s, soft, [])).toBeNull();
    // What hardly serves hangs above nothing, nor does the same fly twice.
    const other = (merit: number) =>
      withSecond(s, soft, [{ ...flies[0]!, fly: fly('large soft hackle', 'white'), merit }]);
    expect([other(0.4), other(0.41) === null]).toEqual([null, false]);
    expect(withSecond(s, soft, [{ ...flies[0]!, fly: soft.rig.fly, merit: 1 }])).toBeNull();
    // Whichever of the two the rig has on the point already.
    const [large, small] = [fly('large soft hackle', 'orange'), fly('soft-hackle spider', 'olive')];
    const lengths = (point: typeof large, second: typeof large) => {
      const of = { ...soft, rig: { ...soft.rig, fly: point } };
      const { droppers, fly: below } = withSecond(s, of, [{ ...flies[0]!, fly: second, merit: 1 }])!.rig;
      return [droppers[0]!.fly.id, below.id];
    };
    expect([lengths(small, large), lengths(large, small)]).toEqual([
      [large.id, small.id],
      [large.id, small.id],
    ]);
  });
});

describe('what a set-up is worth', () => {
  const b = benchOf(situation({ tiedOn: LIGHT }));
  const on = b.s.tiedOn!;
  const setup = { method: b.votes[0]!.method, rig: on, merit: 0.8, fits: 0.9 };

  it('grows with the share of fish that it finds, with fly and tackle; changing costs of the hour', () => {
    expect(worthOf(b, setup, 1)).toBeCloseTo(0.72, 9);
    expect(worthOf(b, setup, 0.5)).toBeCloseTo(0.36, 9);
    expect(worthOf(b, { ...setup, merit: 0.4 }, 1)).toBeCloseTo(0.36, 9);
    expect(costOf(b.s, on)).toBe(0);
    const other = { ...on, fly: fly('sculpin', 'olive') };
    const costS = costOf(b.s, other);
    expect(costS).toBeGreaterThan(20);
    expect(leftOfHour(costS)).toBeCloseTo(1 - costS / 3600, 9);
    expect(leftOfHour(99_999)).toBe(0.1);
    expect(costOf({ ...b.s, tiedOn: null }, other)).toBe(0);
  });

  it('grows with a second fly, the more the less it tangles: a sliding loop before a long tag', () => {
    const gain = (way: 'loop' | 'tag') =>
      priorOf(b, { ...setup, rig: { ...on, droppers: [{ ...hangAnother(on, on.fly), way }] } }) / 0.72;
    expect(gain('loop')).toBeGreaterThan(gain('tag'));
    expect(gain('loop')).toBeGreaterThan(1);
    expect(gain('tag')).toBeLessThan(1.3);
  });

  it('two points more for a method more than double it', () => {
    const votes = [3, 1].map((points, i) => ({ ...b.votes[0]!, method: (['strip', 'hang'] as const)[i]!, points }));
    expect(methodFactor(votes, 'strip')).toBe(1);
    expect(1 / methodFactor(votes, 'hang')).toBeCloseTo(Math.exp(0.8), 9);
  });

  it('lies count by their score, those by a redd by half of it', () => {
    const lie = (rank: number, score: number, staged: boolean) => ({ ...b.s.lies[0]!, rank, score, staged });
    const order = byWeight({ ...b.s, lies: [lie(1, 0.8, true), lie(2, 0.5, false), lie(3, 0.3, false)] });
    expect(order.map((l) => l.rank)).toEqual([2, 1, 3]);
  });
});

/** Fished as one begins. */
const fished = (b: Bench, setup: Setup): Fished => finished(fish(b, setup, plainWays(b.s, setup)[0]!));

describe('set-ups fished over the run', () => {
  const b = benchOf(situation());
  const [near] = byWeight(b.s) as [(typeof b.s.lies)[number]];
  const rig = situation({ tiedOn: LIGHT }).tiedOn!;
  const setup: Setup = { method: 'streamer on the swing', rig, merit: 1, fits: 1 };
  const whole = fished(b, setup);
  const told = finished(served(b, whole));
  const stand = (o: object) =>
    ({ ...told.stands[0]!, lie: near, verdict: { ...told.stands[0]!.verdict, ...o } }) as Stand;

  it('find what their casts find in the hour, less what changing takes; more than the rule of thumb does', () => {
    expect(whole.found).toBeCloseTo(beatFor(whole.covering, 60, 2).found, 9);
    expect(whole.found).toBeGreaterThan(ruleBeat(whole.covering, 60, 2).found);
    // Who stays shows each water twice as often.
    const stays = benchOf({ ...b.s, school: { ...b.s.school, search: 'stay and vary' } });
    const stayed = fished(stays, setup);
    expect(stayed.found).toBeCloseTo(beatFor(stayed.covering, 60, 4).found, 9);
    expect(stayed.found).not.toBeCloseTo(whole.found, 3);
    expect(whole.worth).toBeCloseTo(worthOf(b, setup, whole.found), 9);
    const changed = benchOf({ ...b.s, tiedOn: { ...rig, fly: fly('sculpin', 'olive') } });
    const after = fished(changed, setup);
    expect(after.costS).toBe(costOf(changed.s, rig));
    expect(after.found).toBeLessThan(whole.found);
  });

  it('are cast as far as is comfortable from the first by those who hold with it (a school)', () => {
    const far = benchOf({ ...b.s, school: { ...b.s.school, distance: 'far' } });
    const lines = (of: ReturnType<typeof fished>) => of.covering.casts.map((c) => c.plan.outM);
    const [near, long] = [lines(whole), lines(fished(far, setup))];
    expect(Math.max(...long)).toBe(Math.max(...near));
    expect(Math.min(...long)).toBeGreaterThan(1.2 * Math.min(...near));
  });

  it('a look at a way orders what the whole run says (heavier and lighter tips)', () => {
    const two = itemOf(BAG, 'rod', 'two-hander 7')!;
    const head = itemOf(BAG, 'head', 'short head')!;
    const tips = itemsOf(BAG, 'tip').filter((t) => /^10 ft/.test(t.id));
    const both = tips.map((tip) => {
      const of = { ...setup, rig: { ...rig, rod: two, head, tip } };
      return { look: finished(glance(b, of, plainWays(b.s, of)[0]!)), whole: fished(b, of).found };
    });
    const best = both.reduce((x, y) => (y.look > x.look ? y : x));
    expect(best.whole).toBeGreaterThan(0.75 * Math.max(...both.map((x) => x.whole)));
  });

  it('are altered as long as that pays: never to what a sketch of the run finds less of', () => {
    const { way, found } = finished(suitedWay(b, setup));
    const sketch = (of: CastPlan) => beatFor(finished(sketchOf(coverRequest(b, setup.rig, of))), 60, 1).found;
    expect(sketch(way)).toBeGreaterThanOrEqual(sketch(plainWays(b.s, setup)[0]!));
    expect(found).toBeGreaterThan(0.3 * sketch(way));
    expect(found).toBeLessThanOrEqual(sketch(way) + 1e-9);
  });

  it('are altered one thing at a time, by what their method and school allow', () => {
    /** All that is come to by going on in each direction. */
    const reached = (of: Setup, way: CastPlan, s = b.s) =>
      alterations(s, of).flatMap((directions) =>
        directions.flatMap((further) => {
          const out: CastPlan[] = [];
          for (let next = further(way); next; next = further(next)) out.push(next);
          return out;
        }),
      );
    const swing = { ...plainWays(b.s, setup)[0]!, angleDeg: 65, mendM: 1 };
    const swung = reached(setup, swing);
    expect(swung.map((w) => w.angleDeg).filter((deg) => deg !== 65)).toEqual([80, 95, 50, 35]);
    expect(swung.map((w) => w.mendM).filter((m) => m !== 1)).toEqual([2, 3, 0]);
    const soft: Setup = { ...setup, method: 'soft hackles on the swing' };
    expect(Math.max(...reached(soft, { ...swing, angleDeg: 45 }).map((w) => w.angleDeg))).toBe(50);
    const straight = { ...b.s, school: { ...b.s.school, mends: 'keep it straight' as const } };
    expect(reached(setup, { ...swing, mendM: 0 }, straight).every((w) => w.mendM === 0)).toBe(true);
    const drawn = presented(swing, 'dip and draw');
    const deep = (depthM: number) =>
      reached({ ...setup, method: 'dip and draw' }, drawn, { ...b.s, depthM }).map(dipOf);
    expect(Math.max(...deep(3))).toBeGreaterThan(Math.max(...deep(0.8)));
    expect(reached(setup, presented(swing, 'strip')).every((w) => handsOf(w).countS <= 40)).toBe(true);
  });

  it.each([
    [{ fit: 'right', tooFast: true }, 'too fast'],
    [{ fit: 'right', tooFast: false }, 'seldom'],
    [{ fit: 'too deep', tooFast: true }, 'too deep'],
    [{ fit: 'not reached', pass: { depthM: 0.9 } }, 'short of it'],
    [{ fit: 'not reached', pass: { depthM: 0.01 } }, 'too shallow'],
    [{ fit: 'not fishing', idle: 'landing' }, 'not fishing'],
    [{ fit: 'not fishing', idle: 'bed' }, 'on the bed'],
    [{ fit: 'not fishing', idle: 'line' }, 'line on the bed'],
    [{ fit: 'right', wood: 'log' }, 'wood'],
    [{ fit: 'right', redd: true }, 'redd'],
  ] as const)('a lie that is given up is so for what its cast does there: %j, %s', (does, because) => {
    expect(becauseOf(b, whole, near, stand({ wood: undefined, redd: undefined, ...does }))).toBe(because);
  });

  it('a fly that wakes rides too high for no lie: fish there want a sunk one', () => {
    const waking = { ...rig.fly, ...usualFly('waking fly') };
    const held = { ...whole, setup: { ...setup, rig: { ...rig, fly: waking, droppers: [] } } };
    expect(rideOf(waking)).toBe('wakes');
    const why = (verdict: object, at: typeof whole) =>
      becauseOf(b, at, near, stand({ wood: undefined, redd: undefined, ...verdict }));
    expect(why({ fit: 'too shallow', place: 0 }, held)).toBe('wakes');
    expect(why({ fit: 'too shallow', place: 0 }, whole)).toBe('too shallow');
    // A muddler goes under, unless it is fished as one that wakes.
    expect(why({ fit: 'too shallow', place: 0 }, { ...whole, setup: { ...setup, method: 'wake fly' } })).toBe('wakes');
    expect(why({ fit: 'not reached', place: 0, pass: { depthM: 0 } }, held)).toBe('wakes');
    expect(why({ fit: 'too deep', place: 0 }, held)).toBe('too deep');
  });

  it('a lie that a longer rod of the bag reaches is too far for this one; what none reaches is out of reach', () => {
    const wide = river(even(60, 0, 0.9, 1.2, 1.2, 0.9, 0), 0.6); // prettier-ignore
    const why = (yM: number, rodId: string, kit = BAG) => {
      const bench = benchOf(situation({ kit }, wide));
      const held = { ...setup, rig: { ...rig, rod: itemOf(BAG, 'rod', rodId)! } };
      return becauseOf(bench, { ...whole, setup: held }, { ...near, xM: 30, yM, widthM: 1 }, null);
    };
    // The bag's four-weight carries 14 m, the two-hander 22: and a step or two into the water.
    expect(why(8, 'single 4')).toBe('short of it');
    expect(why(22, 'single 4')).toBe('beyond the rod');
    expect(why(22, 'two-hander 7')).toBe('short of it');
    expect(why(22, 'single 4', BAG.filter((k) => k.id !== 'two-hander 7' && k.id !== 'single 6'))).toBe('out of reach'); // prettier-ignore
    expect(why(40, 'single 4')).toBe('out of reach');
  });

  it('are worth less the further a swing is off the trade’s angle; what is stripped has none', () => {
    const [rule] = plainWays(b.s, setup);
    const off = (by: number) => asRuled(b.s, setup, { ...rule!, angleDeg: rule!.angleDeg + by });
    expect(off(0)).toBe(1);
    expect([off(-30), off(30)].map((x) => x.toFixed(3))).toEqual(['0.607', '0.607']); // one spread
    expect(off(15)).toBeGreaterThan(0.85);
    expect(asRuled(b.s, setup, presented({ ...rule!, angleDeg: 150 }, 'strip'))).toBe(1);
    const square = { ...rule!, angleDeg: 95 };
    expect(finished(fish(b, setup, square)).worth).toBeCloseTo(
      asRuled(b.s, setup, square) * worthOf(b, setup, finished(fish(b, setup, square)).found),
      9,
    );
  });

  it('up a stream the cast is the straighter the narrower it is; it and soft hackles are short; what floats is not counted down', () => {
    const up = (widthM: number, of = setup) => {
      const { s } = benchOf(situation({}, river(even(widthM, 0, 0.3, 0.35, 0.25, 0), 0.5)));
      return plainWays(s, { ...of, method: 'upstream' })[0]!;
    };
    const angles = [2, 5, 8, 30].map((w) => up(w).angleDeg);
    expect(angles).toEqual([...angles].sort((x, y) => y - x));
    // Eight metres of line come down no further across than six tenths of the width.
    expect(8 * Math.sin((angles[0]! * Math.PI) / 180)).toBeLessThan(0.6 * 2.5);
    const soft = { ...rig, fly: fly('soft-hackle spider', 'brown') };
    const lines = [
      coverRequest(b, rig, up(5)),
      coverRequest(b, soft, plainWays(b.s, setup)[0]!),
      coverRequest(b, rig, plainWays(b.s, setup)[0]!),
    ];
    expect(lines.map((q) => q.means.longestM)).toEqual([11, 11, ANY_MEANS.longestM]);
    const bare = { ...rig, tip: null, head: itemOf(BAG, 'head', 'floating 6')! };
    const count = (of: FlyItem) => handsOf(up(5, { ...setup, rig: { ...bare, fly: of } })).countS;
    expect(count(fly('muddler', 'tan'))).toBe(handsOf(presented(PLAN, 'upstream strip')).countS);
  });

  it('name a tip for a lie that is left only where the fly is well shown there on it', () => {
    for (const { lie, tip, because } of told.givesUp) {
      if (!tip) continue;
      expect(['too shallow', 'too deep', 'on the bed']).toContain(because);
      expect(itemsOf(BAG, 'tip').map((t) => t.name)).toContain(tip);
      expect(lie.depthM).toBeGreaterThan(0);
    }
    // Deep, cold and quick, with no tip on: what is named takes the fly down, and where nothing does no tip is.
    const quick = benchOf(situation({ reading: { waterTempC: 4 } }, river(even(24, 0, 1, 2.4, 2.4, 1, 0), 0.9)));
    const left = finished(served(quick, finished(fish(quick, setup, plainWays(quick.s, setup)[0]!)))).givesUp;
    const high = left.filter((g) => g.because === 'too shallow');
    expect(high.length).toBeGreaterThan(0);
    const sinks = (name: string) => takesDown(itemsOf(BAG, 'tip').find((t) => t.name === name)!);
    for (const { tip } of high) if (tip) expect(sinks(tip)).toBeGreaterThan(takesDown(setup.rig.tip));
  });

  it('give each lie the cast that shows the fly best there; what is right too seldom is left', () => {
    for (const t of told.stands) {
      expect(t.chance! >= 4 !== told.givesUp.some(({ lie }) => lie === t.lie)).toBe(true);
      const planned = Math.max(0, ...whole.covering.casts.map((c) => shownAt(whole.covering, c, t.lie)));
      if (!t.special) expect(t.verdict.showing).toBeGreaterThan(planned - 0.25); // coarse against full
    }
    expect(told.stands.length).toBeGreaterThan(0);
    expect(told.chance).toBeCloseTo(shownOver(b, told.covering), 9);
    expect(told.found).toBeCloseTo(beatFor(told.covering, 60 * leftOfHour(told.costS), 2).found, 9); // as Fish counts it
    expect(told.begin!.plan).toBe(told.beat.casts[0]!.plan);
  });

  it('are gone through head down, up where one casts upstream; from about one stand the near lie before the far', () => {
    const at = (rank: number, xM: number, yM: number) => ({
      ...stand({}),
      lie: { ...near, rank, yM },
      plan: { ...PLAN, xM },
    });
    const all = [at(1, 30, 12), at(2, 31, 4), at(3, 10, 9), at(4, 20, 1)];
    const order = (method: Method) => inOrder(all, method).map((x) => x.lie.rank);
    expect(order('streamer on the swing')).toEqual([3, 4, 2, 1]);
    expect(order('upstream')).toEqual([2, 1, 4, 3]);
  });

  it('are told as a run that is worked in sections: from the bank and waded, then casts of their own', () => {
    const sections = sectionsOf(told);
    expect(sections.reduce((n, x) => n + x.casts, 0)).toBe(told.beat.casts.length);
    const [first] = sections;
    expect(first!.plan).toBe(told.beat.casts[0]!.plan);
    for (const x of sections) {
      expect(x.fromM).toBeLessThanOrEqual(x.toM);
      expect(x.shortestM).toBeLessThanOrEqual(x.longestM);
    }
    // A walk without a cast parts two stretches; no step is as long.
    const [cast] = told.beat.casts;
    const far = [0, 1.5, 34.5].map((x) => ({ ...cast!, plan: { ...cast!.plan, xM: cast!.plan.xM + x } }));
    expect(sectionsOf({ beat: { ...told.beat, casts: far }, stands: [] })).toMatchObject([
      { casts: 2, stepM: 1.5 },
      { casts: 1, stepM: 0 },
    ]);
    for (const x of sections) expect(x.stepM).toBeLessThanOrEqual(10);
    const own = { ...told.beat.casts[0]!, special: true as const };
    const lie = told.stands[0]!;
    const with_ = {
      beat: { ...told.beat, casts: [own, own] },
      stands: [{ ...lie, special: true as const, plan: own.plan }],
    };
    expect(sectionsOf(with_)).toMatchObject([{ lie: lie.lie.rank, casts: 2, stepM: 0 }]);
  });

  it('of two the second is as good, finds less, or is worth less for what it is', () => {
    const of = (o: Partial<Fished>, more: Partial<Setup> = {}) =>
      ({ ...whole, ...o, setup: { ...setup, ...more } }) as Fished;
    const best = { ...told, found: 0.4, worth: 1 };
    const second = (o: Partial<Fished>, more?: Partial<Setup>) => secondOf(b, best, of(o, more));
    expect(second({ found: 0.39, worth: 0.97 })).toMatchObject({
      ...{ fished: { found: 0.39 }, against: 0.4, why: { code: 'as good' } },
    });
    expect(second({ found: 0.3, worth: 0.7 }).why).toEqual({ code: 'finds less' });
    expect(second({ found: 0.4, worth: 0.7 }, { merit: 0.6 }).why).toEqual({ code: 'fly suits less' });
    expect(['sign', 'water speaks less']).toContain(second({ found: 0.4, worth: 0.7 }, { method: 'hang' }).why.code);
    const blind = { ...best, givesUp: [{ lie: near, because: 'seldom' as const, tip: null }] };
    const adds = secondOf(b, blind, whole).adds;
    expect(adds).toEqual(whole.covering.casts.some((c) => shownAt(whole.covering, c, near) >= 0.5) ? [near.rank] : []);
  });

  it('give reasons that hold for the casts that are told: the best lie served, the angle by the rule only where it is cast', () => {
    const at = (lie: (typeof b.s.lies)[number], chance: number, angleDeg = 75): Stand => ({
      ...told.stands[0]!,
      ...{ lie, chance, plan: { ...told.stands[0]!.plan, angleDeg } },
    });
    const [l1, l2] = [near, { ...near, rank: 9 }];
    const with_ = (stands: Stand[]) => ({ ...told, of: [l1, l2], stands });
    expect(leadStand(with_([at(l2, 9), at(l1, 9)]))!.lie).toBe(l1);
    expect(leadStand(with_([at(l1, 1), at(l2, 2)]))!.lie).toBe(l2);
    const why = (angleDeg: number) => reasonsOf(b, with_([at(l1, 9, angleDeg)]));
    const byRule = { code: 'opening', rule: 'between' };
    for (const angleDeg of [65, 75, 85]) expect(why(angleDeg)).toContainEqual(byRule);
    for (const angleDeg of [60, 90]) expect(why(angleDeg)).not.toContainEqual(byRule);
    // It is a rule of swung flies under the surface; nor has a fly that wakes a depth to be told.
    const codes = (all: ReturnType<typeof reasonsOf>) => all.map((r) => r.code);
    const as = (method: Method) => codes(reasonsOf(b, { ...with_([at(l1, 9)]), setup: { ...setup, method } }));
    for (const method of ['wake fly', 'upstream'] as const) expect(as(method)).not.toContain('opening');
    expect(as('wake fly')).not.toContain('depth');
    expect(codes(reasonsOf(b, with_([])))).not.toContain('depth');
  });

  it('tell how deep it goes with the tip that is on, and how much higher with the next lighter one', () => {
    const b = benchOf(situation({ water: { quarry: 'steelhead' } }));
    const dense = itemsOf(BAG, 'tip').find((t) => t.id === '10 ft fast')!;
    const two = {
      ...rig,
      rod: itemOf(BAG, 'rod', 'two-hander 7')!,
      head: itemOf(BAG, 'head', 'short head')!,
      tip: dense,
    };
    const of = finished(served(b, fished(b, { ...setup, rig: two })));
    const { lie, verdict } = leadStand(of)!;
    const [told] = reasonsOf(b, of).filter((r) => r.code === 'depth');
    const { topM, bottomM } = lie.band;
    expect(told).toMatchObject({
      ...{ lie: lie.rank, depthM: lie.depthM, speedMps: lie.speedMps, topM, bottomM },
      ...{ tip: '10 ft fast', passesM: verdict.pass.depthM, lighter: { tip: '10 ft slow' } },
    });
    expect(told!.lighter!.higherM).toBeGreaterThan(0.04);
  });

  it('name the food that a fly is for, where it is about', () => {
    const why = (seen: Situation['seen'], of: Rig['fly']) =>
      flyWhy(reasonsOf({ ...b, s: { ...b.s, seen } }, { ...told, setup: { ...setup, rig: { ...rig, fly: of } } }));
    const crayfish = fly('crayfish', 'brown');
    const speaks = (...codes: string[]) => ({ codes: expect.arrayContaining(codes) });
    expect(why(['crayfish'], crayfish)).toMatchObject(speaks('crayfish'));
    expect(why([], crayfish)).not.toMatchObject(speaks('crayfish'));
    expect(why(['fry'], crayfish)).not.toMatchObject(speaks('fry'));
  });

  it('never call a fly the nearest in the bag while a better one is there', () => {
    const plainest = fly('woolly bugger', 'orange');
    const why = (s: Situation) =>
      flyWhy(reasonsOf({ ...b, s }, { ...told, setup: { ...setup, rig: { ...rig, fly: plainest } } }));
    const [better] = fliesFor(b.s, setup.method, b.look);
    expect(why({ ...b.s, kit: [plainest], tiedOn: null })).toEqual({ code: 'nearest' });
    const beaten = { code: 'fishes better on this rig', than: better!.fly };
    expect(why({ ...b.s, tiedOn: null })).toEqual(beaten);
    // Nor is it held against the fly that is tied on beside it.
    const both = { ...rig, fly: plainest, droppers: [hangAnother(rig, better!.fly)] };
    const beside = reasonsOf({ ...b, s: { ...b.s, tiedOn: null } }, { ...told, setup: { ...setup, rig: both } });
    expect(flyWhy(beside)).not.toEqual(beaten);
    // Not in the colour that is wanted, and yet the best: by what, and better than which, is said.
    const white = fly('rabbit strip', 'white');
    const pale = (s: Situation) =>
      flyWhy(reasonsOf(benchOf(s), { ...told, setup: { ...setup, rig: { ...rig, fly: white } } }));
    const only = (...kit: Rig['fly'][]) =>
      situation({
        ...{ kit, tiedOn: null, water: { quarry: 'sea trout' } },
        reading: { colour: 'tea', visibilityM: 1.5, sky: 'bright' },
      });
    const [tiny, dark] = [fly('rabbit strip', 'black', { lengthM: 0.012 }), fly('rabbit strip', 'black')];
    expect(pale(only(white, tiny))).toEqual({ code: 'carried by', by: 'size', than: tiny });
    expect(pale(only(white, dark))).toEqual({ code: 'carried by', by: 'sight', than: dark });
    expect(why({ ...b.s, tiedOn: { ...rig, fly: plainest } })).toEqual({
      ...{ code: 'on, another suits better', than: better!.fly },
    });
  });
});

/** Why its fly, of the reasons. */
const flyWhy = (all: ReturnType<typeof reasonsOf>) => all.find((r) => r.code === 'fly')?.why;

describe('the table of a run', () => {
  const row = (worth: number, costS = 0, o: Partial<Rig> = {}, method: Method = 'streamer on the swing') => {
    const rig = { ...situation({ tiedOn: LIGHT }).tiedOn!, ...o };
    return { setup: { method, rig, merit: 1, fits: 1 }, worth, costS, found: worth } as unknown as Fished;
  };

  it('is read by what is asked: the best, the cheapest that does nearly as well, what is on; what is on stays within a tenth', () => {
    const [best, cheap, on] = [row(1, 300), row(0.8, 60), row(0.6)];
    const table = { rows: [best, cheap, on], on };
    expect(picked(table, 'best')).toBe(best);
    expect(picked(table, 'change')).toBe(cheap);
    expect(picked(table, 'only this')).toBe(on);
    const near = row(0.91);
    expect(picked({ rows: [best, near], on: near }, 'best')).toBe(near);
    expect(picked({ rows: [best, row(0.7, 10)], on: null }, 'change')).toBe(best);
    expect(picked({ rows: [], on: null }, 'best')).toBeNull();
  });

  it('has a rival that differs in what matters: of another method where one is near', () => {
    const best = row(1);
    const same = row(0.9, 0, { lineClean: false });
    const other = row(0.8, 0, { fly: fly('sculpin', 'olive') });
    const strip = (worth: number) => row(worth, 0, {}, 'strip');
    const of = (...rows: Fished[]) => rivalOf(best, { rows, on: null });
    expect(of(best, same)).toBeNull();
    expect(of(best, same, other)).toBe(other);
    const [close, weak] = [strip(0.41), strip(0.39)];
    expect(of(best, other, close)).toBe(close);
    expect(of(best, other, weak)).toBe(other);
    expect(of(best, weak)).toBe(weak);
    // One that is as good is told before one that is only of another kind.
    const good = row(0.96, 0, { fly: fly('sculpin', 'olive') });
    expect(of(best, good, strip(0.9))).toBe(good);
  });

  it('looks that promise as much are ranked by what speaks for them, others by what they promise', () => {
    const b = benchOf(situation());
    const [light, heavy] = ['single 6', 'two-hander 7'].map((id) => row(1, 0, { rod: itemOf(BAG, 'rod', id)! }).setup);
    const of = (worth: number, setup = light!, merit = 1) => ({ worth, setup: { ...setup, merit } });
    expect(priorOf(b, of(1).setup)).toBeGreaterThan(priorOf(b, of(1, light, 0.9).setup));
    const [a, near, far] = [of(1, light, 0.9), of(0.96), of(0.9, heavy)];
    expect(ranked(b, [far, near, a])).toEqual([near, a, far]);
    expect(ranked(b, [a, of(0.94)]).map((x) => x.worth)).toEqual([1, 0.94]);
    expect(ranked(b, [])).toEqual([]);
  });

  it('best is no worse than the smallest change, and that no worse than what is on, in the same figures', () => {
    const b = benchOf(situation({ tiedOn: LIGHT, water: { quarry: 'steelhead' } }));
    const table = finished(tableOf(b, b.s.tiedOn!, false));
    const [best, change, only] = (['best', 'change', 'only this'] as const).map((ask) => picked(table, ask)!.worth) as [number, number, number]; // prettier-ignore
    expect(best).toBeGreaterThanOrEqual(0.9 * change);
    expect(change).toBeGreaterThanOrEqual(only);
    expect(table.rows.map((r) => r.worth)).toEqual(table.rows.map((r) => r.worth).sort((x, y) => y - x));
    const alone = finished(tableOf(b, b.s.tiedOn!, true));
    expect(alone.on!.found).toBe(table.on!.found);
    const changes = changesIn(b, table, b.s.tiedOn!);
    for (const c of changes) {
      expect(c.to.worth).toBeGreaterThan(table.on!.worth);
      expect(c.costS).toBe(c.to.costS);
    }
    const doing = changes.filter((c) => c.does).map((c) => c.costS);
    expect(doing).toEqual([...doing].sort((x, y) => x - y));
    // A short head on two hands without a tip cannot be cast.
    for (const { setup } of table.rows)
      expect(setup.rig.rod.hands === 2 && setup.rig.head.shape === 'short' && !setup.rig.tip).toBe(false);
  });
});
