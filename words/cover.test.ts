import { type CastPlan, handsOf } from '@/core/cast';
import { FLY_FAMILIES, type FlyItem, type Rig } from '@/core/tackle';
import { PLAN, RIG } from '@/core/testing/fixtures';
import { BAG, fly, OPEN } from '@/core/answer/waters.testing';
import { feature } from '@/core/water/runs.testing';
import { cautionsNow, type Hour, type Next, type NextKind, playingAt, smallerFly } from '@/core/cover';
import { handsWords } from './hands';
import { hourCaution, moveWords, nextCastWords, playingWords, strikeWords } from './cover';

const clock = (at: number) => new Date(at).toISOString().slice(11, 16);
const next = (plan: Partial<CastPlan>, o: Partial<Next> = {}): Next => ({
  ...{ kind: 'planned', last: PLAN, why: null, left: 9, afloat: false },
  plan: { ...PLAN, ...plan },
  ...o,
});
const says = (plan: Partial<CastPlan>, o: Partial<Next> = {}) => moveWords(next(plan, o), 'metric', clock);

describe('the next move in large words', () => {
  it.each<[string, Partial<CastPlan>]>([
    ['Same cast', {}],
    ['Step down one pace', { xM: 1.75 }],
    ['Step down two paces', { xM: 2.5, outM: 8 }],
    ['Step up two paces', { xM: -0.5 }],
    ['Walk 12 m down', { xM: 13 }],
    ['Walk 9 m up', { xM: -8 }],
    ['Wade out to 5 m', { yM: 5 }],
    ['Back to 1 m out', { yM: 0.8 }],
    ['Back to the bank', { yM: -1.2 }],
    ['Lengthen 0.6 m', { outM: 12.61 }],
    ['Shorten 1.0 m', { outM: 11 }],
    ['Lengthen to 20.0 m', { outM: 20 }],
    ['Cast 15° squarer', { angleDeg: 75 }],
    ['Cast 15° further down', { angleDeg: 45 }],
  ])('%s', (words, plan) => {
    expect(says(plan)).toBe(words);
  });

  it('turns by where it turns to: a cast that goes upstream of square goes further up', () => {
    const last = { ...PLAN, angleDeg: 125 };
    expect(says({ angleDeg: 145 }, { last })).toBe('Cast 20° further up');
    expect(says({ angleDeg: 105 }, { last })).toBe('Cast 20° squarer');
  });

  it('in feet for those who think in feet', () => {
    expect(moveWords(next({ xM: 13 }), 'imperial', clock)).toBe('Walk 39 ft down');
  });

  it.each<[NextKind, string, Partial<Next>]>([
    ['same', 'Same cast', {}],
    ['rest', 'Rest the lie 5 min', { minutes: 5 }],
    ['resting', 'Rest until 10:42', { until: Date.UTC(2026, 5, 1, 10, 42) }],
    ['smaller', 'A smaller fly', {}],
    ['swap', 'Switch for the trial', {}],
    ['dropper', 'One step down', {}],
    ['fan', 'Fan: cast at 60°', {}],
    ['lane', 'Same lane', {}],
    ['lane', 'Same lane at 10:42', { until: Date.UTC(2026, 5, 1, 10, 42) }],
    ['leave', 'Leave the young fish', {}],
    ['over', 'Run finished', {}],
  ])('%s: %s', (kind, words, o) => {
    expect(says({}, { kind, ...o })).toBe(words);
  });

  it('says how far up for a fish that came once', () => {
    expect(says({ xM: 1 }, { kind: 'higher', last: { ...PLAN, xM: 10 } })).toBe('Go up 9 m');
    expect(says({}, { last: null })).toBe('Start 1 m down');
  });

  it('the cast itself: line, angle, mend, way, and where one wades to', () => {
    const hands = { way: 'strip' as const, countS: 5, pullM: 0.2, pullMps: 0.5, restS: 1, feedM: 0, walkM: 0 };
    expect(nextCastWords(next({}), 'metric')).toBe('cast 12 m at 60°');
    expect(nextCastWords(next({ mendM: 1, hands }), 'metric')).toBe('cast 12 m at 60°, mend once upstream, strip');
    expect(nextCastWords(next({ mendM: -1, xM: 4, yM: 6 }), 'metric')).toBe(
      'cast 12 m at 60°, mend once downstream, standing 6 m out',
    );
  });
});

describe('a smaller fly out of the bag', () => {
  const on = (f: FlyItem): Rig => ({ ...RIG, fly: f });

  it('of the same colour and shape, the next size down; never one that is not allowed or set aside', () => {
    const big = fly('rabbit strip', 'black', { lengthM: 0.08 });
    const sizes = [0.06, 0.05, 0.03].map((lengthM) => fly('rabbit strip', 'black', { lengthM, id: `b${lengthM}` }));
    const other = fly('rabbit strip', 'white', { lengthM: 0.065 });
    expect(smallerFly([big, other, ...sizes], on(big), OPEN)?.id).toBe('b0.06');
    expect(smallerFly([big, { ...sizes[0]!, aside: true }, sizes[1]!], on(big), OPEN)?.id).toBe('b0.05');
    expect(smallerFly([big, { ...sizes[0]!, count: 0 }, sizes[1]!], on(big), OPEN)?.id).toBe('b0.05');
    expect(smallerFly([big, fly('waking fly', 'black')], on(big), OPEN)).toBeNull(); // what wakes is no smaller sunk fly
    const barbed = { ...sizes[0]!, barbless: false };
    expect(smallerFly([barbed, sizes[2]!], on(big), { ...OPEN, barbless: true })?.id).toBe('b0.03');
  });

  it('is none where nothing is smaller', () => {
    const least = Object.values(FLY_FAMILIES).reduce((m, f) => Math.min(m, f.usual.lengthM), 1);
    expect(smallerFly(BAG, on(fly('woolly bugger', 'black', { lengthM: least })), OPEN)).toBeNull();
    expect(smallerFly([], RIG, null)).toBeNull();
  });
});

describe('with a fish on (common practice, no source)', () => {
  const mind = (...at: Parameters<typeof playingAt>) => playingWords(playingAt(...at), 'metric');

  it('struck by the way: turned on the swing, stripped on the strip, lifted on the drift', () => {
    const way = (w: 'strip' | 'dead drift') =>
      strikeWords({ ...PLAN, hands: { way: w, countS: 0, pullM: 0, pullMps: 1, restS: 0, feedM: 0, walkM: 0 } });
    expect(strikeWords(PLAN)).toMatch(/turn/);
    expect(way('strip')).toMatch(/keep stripping/);
    expect(way('dead drift')).toMatch(/Lift at any sign/);
  });

  it('the hands by the schools: what is added to a swing, how it ends, what holds the line', () => {
    const usual = { motion: 'let it swing', hang: 'give it time', lineHand: 'a loop to give' } as const;
    const reel = { motion: 'keep it animated', hang: 'keep it moving', lineHand: 'straight to the reel' } as const;
    expect(handsWords(PLAN, usual)).toEqual([
      'Let the current work the fly.',
      'Let the fly hang below you before you strip in.',
      expect.stringMatching(/^Hold a loop .* pull it out, then lift/),
    ]);
    expect(handsWords(PLAN, reel).join(' ')).toMatch(/^Strip as it swings.*draw it up and drop it back.*to the reel/);
    const strip = { ...PLAN, hands: { ...handsOf(PLAN), way: 'strip' as const } };
    expect(handsWords(strip, usual)).toEqual([strikeWords(strip)]); // a strip is no swing
    const worked = { ...PLAN, hands: { ...handsOf(PLAN), way: 'swing and strip' as const } };
    expect(handsWords(worked, usual)).toHaveLength(2); // its way says what the hand does
  });

  it('names wood near by before all else, and none that is far off', () => {
    const log = (x: number) => feature('log', x, 6, 4, 1);
    expect(mind(RIG, { xM: 10, yM: 4 }, [log(18)])[0]).toMatch(/^Wood 6 m off \(log\): stop the fish early/);
    expect(mind(RIG, { xM: 10, yM: 4 }, [log(60)]).join()).not.toMatch(/Wood/);
    expect(mind(RIG, { xM: 10, yM: 4 }, [feature('boulder', 12, 4, 1, 1)]).join()).not.toMatch(/Wood/);
  });

  it('a sinking line on the reel, the free hook with two flies', () => {
    expect(mind(RIG, PLAN, []).join()).toMatch(/sinking line/);
    expect(mind({ ...RIG, tip: null }, PLAN, []).join()).not.toMatch(/sinking line/);
    const two = { ...RIG, droppers: [{ fly: RIG.fly, way: 'ring' as const, aboveM: 0.5, armM: 0.15 }] };
    expect(mind(two, PLAN, []).join()).toMatch(/free hook/);
    expect(mind(RIG, PLAN, []).join()).not.toMatch(/free hook/);
  });
});

describe('cautions of the hour', () => {
  const MINUTE = 60_000;
  const hour = (o: Partial<Hour> = {}) =>
    cautionsNow({ now: 300 * MINUTE, levels: [], lastLight: null, thunderAt: null, backMin: 20, ...o }).map((c) =>
      hourCaution(c, 'metric'),
    );

  it('none where all is well', () => {
    expect(hour({ levels: [[{ at: 200 * MINUTE, levelM: 0.1 }]], lastLight: 600 * MINUTE })).toEqual([]);
  });

  it('thunder, until half an hour after the last of it', () => {
    expect(hour({ thunderAt: 280 * MINUTE }).join()).toMatch(/off the water/);
    expect(hour({ thunderAt: 269 * MINUTE })).toEqual([]);
  });

  it('water that has risen within two hours, not that which fell or rose long ago', () => {
    const levels = (...list: [number, number][]) => list.map(([m, levelM]) => ({ at: m * MINUTE, levelM }));
    expect(hour({ levels: [levels([200, 0.1], [290, 0.18])] }).join()).toMatch(/risen 0\.08 m/);
    expect(hour({ levels: [levels([200, 0.18], [290, 0.1])] })).toEqual([]);
    expect(hour({ levels: [levels([100, 0], [290, 0.2])] })).toEqual([]);
    // The gauge’s staff counts from elsewhere than what was read at the bank.
    expect(hour({ levels: [levels([290, 0.1]), levels([200, 1.4], [290, 1.4])] })).toEqual([]);
    expect(hour({ levels: [levels([290, 0.1]), levels([200, 1.4], [290, 1.5])] }).join()).toMatch(/risen 0\.10 m/);
  });

  it('dark before the way back', () => {
    expect(hour({ lastLight: 330 * MINUTE }).join()).toMatch(/Dark in 30 minutes/);
    expect(hour({ lastLight: 345 * MINUTE })).toEqual([]);
    expect(hour({ lastLight: 290 * MINUTE })).toEqual([]);
  });
});
