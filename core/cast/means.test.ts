import fc from 'fast-check';
import { findLies } from '../lies';
import { level, type Rig, tippetDiameterM } from '../tackle';
import { STARTS } from '../tackle/starts';
import { day, PLAN, RIG, RUN, some } from '../testing/fixtures';
import { buildChannel } from '../water';
import { ANY_MEANS, beyondMeans, knotFactor, lineKindsOf, longestCast, type Means, wadingLimit } from './means';
import { wadeTo } from './footing';
import { farSide, shortestCast, standFor } from './stand';

const channel = buildChannel(RUN, null);
const lies = findLies(RUN, channel, day(), { quarry: 'sea trout', school: 'near the bed', most: 8 });
const can = (o: Partial<Means>): Means => ({ ...ANY_MEANS, ...o });
const says = (m: Partial<Means>, rig: Rig = RIG, plan = PLAN, c = channel) => beyondMeans(can(m), rig, plan, c);

describe('what the angler can do', () => {
  it('nothing is beyond who can do everything', () => {
    expect(says({})).toEqual([]);
  });

  it('a line never handled, a cast not made and a head without its casts are told, with what to learn', () => {
    expect(says({ lines: ['floating line'] })[0]).toEqual({ code: 'never fished', line: 'short head' });
    expect(says({ casts: ['roll'] })[0]).toEqual({ code: 'head on two hands' });
    expect(says({ casts: ['overhead'] })).toEqual([]);
    expect(says({ longestM: 10 })).toMatchObject([{ code: 'longer than', what: 'comfortable' }]);
  });

  it('a light rod carries less line than its angler casts with a heavy one (common practice, no source)', () => {
    const rod = (hands: 1 | 2, lineNumber: number) => ({ ...RIG.rod, hands, lineNumber });
    const carried = (hands: 1 | 2, n: number) => longestCast({ longestM: 40 }, { ...RIG, rod: rod(hands, n) });
    // Forty to fifty feet with a four-weight, seventy with an eight; two hands add a third.
    expect(carried(1, 4)).toBeGreaterThan(12);
    expect(carried(1, 4)).toBeLessThan(15.3);
    expect(carried(1, 8)).toBeGreaterThan(20);
    expect(carried(1, 8)).toBeLessThan(23);
    for (const n of [3, 5, 7]) expect(carried(2, n) / carried(1, n)).toBeGreaterThan(1.3);
    expect(longestCast({ longestM: 11 }, { ...RIG, rod: rod(1, 4) })).toBe(11);
    const light = { ...RIG, rod: rod(1, 4) };
    expect(says({}, light, { ...PLAN, outM: 15 })).toEqual([
      { code: 'longer than', what: 'rod carries', lineNumber: 4 },
    ]);
    expect(says({}, light, { ...PLAN, outM: 14 })).toEqual([]);
    // A mono rig is held off the water: a rod and a half, unless a float carries it.
    const mono = { ...RIG, tip: null, leader: { ...RIG.leader, pieces: [{ ...RIG.leader.pieces[0]!, lengthM: 5 }] } };
    expect(longestCast({ longestM: 40 }, mono)).toBeLessThan(12);
    expect(says({}, mono, { ...PLAN, outM: 13 })).toMatchObject([{ code: 'longer than', what: 'mono leads' }]);
    const float = {
      item: { type: 'float', id: 'f', name: 'Float', diameterM: 0.016, massKg: 1e-3 },
      aboveM: 1,
    } as const;
    expect(longestCast({ longestM: 40 }, { ...mono, float })).toBe(longestCast({ longestM: 40 }, RIG));
    for (const lie of some(lies))
      expect(standFor(lie, channel, light, lies).plan.outM).toBeLessThanOrEqual(Math.max(14, shortestCast(light)));
  });

  it('with trees behind there is no overhead cast', () => {
    const behind = { ...channel, room: 'trees behind' as const };
    expect(says({ casts: ['overhead'] }, RIG, PLAN, behind)[0]).toEqual({ code: 'trees behind' });
    expect(says({ casts: ['overhead', 'roll'] }, RIG, PLAN, behind)).toEqual([]);
  });

  it('fine knots without the eyes for them: readers, rings, loops; and they take twice as long', () => {
    const fine = { ...RIG, leader: { ...RIG.leader, pieces: level(1.2, tippetDiameterM(5), 'nylon') } };
    expect(says({ fineKnots: false }, fine)).toEqual([{ code: 'fine knots' }]);
    expect(says({ fineKnots: false }, RIG)).toEqual([]);
    // The finest piece counts, and the thin end of a taper.
    const butt = level(1, tippetDiameterM(0), 'nylon');
    const tapered = [{ ...butt[0]!, toDiameterM: tippetDiameterM(5) }];
    for (const pieces of [[...butt, ...level(0.5, tippetDiameterM(5), 'nylon')], tapered])
      expect(says({ fineKnots: false }, { ...RIG, leader: { ...RIG.leader, pieces } })).toHaveLength(1);
    expect([knotFactor(can({})), knotFactor(can({ fineKnots: false }))]).toEqual([1, 2]);
  });

  it('kinds of line are told apart', () => {
    const head = (o: Partial<Rig['head']>) => lineKindsOf({ ...RIG, head: { ...RIG.head, ...o } });
    expect(head({})).toEqual(['short head']);
    expect(head({ shape: 'taper' })).toEqual(['floating line']);
    expect(head({ shape: 'long' })).toEqual(['long head']);
    expect(head({ sinkRatesMps: [0, 0.05] })).toEqual(['sinking line']);
    const mono = { ...STARTS.leader.find((l) => l.name.startsWith('Mono'))!, id: 'm' };
    const float = { item: { ...STARTS.float[0]!, id: 'o' }, aboveM: 1 };
    expect(lineKindsOf({ ...RIG, leader: mono })).toEqual(['mono rig']);
    expect(lineKindsOf({ ...RIG, leader: mono, float })).toEqual(['mono rig', 'float']);
  });
});

describe('wading (Cox, Shand & Blacka 2010, from memory)', () => {
  it('with children no deeper than 0.5 m nor over 0.4 m²/s, of which half is offered; adults half of 0.6', () => {
    expect(wadingLimit(can({ children: true }))).toEqual({ depthM: 0.5, hazard: 0.2 });
    expect(wadingLimit(can({}))).toEqual({ depthM: 0.8, hazard: 0.3 });
    expect(wadingLimit(can({ wadeM: 0.3, children: true })).depthM).toBe(0.3);
    // Nobody's word takes them deeper than the program sends anyone.
    expect(wadingLimit(can({ wadeM: 1.4 })).depthM).toBe(0.8);
  });

  it('who wades less is never sent further out, nor asked for a longer cast', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 0.8, noNaN: true }),
        (xM, wadeM) => wadeTo(channel, lies, xM, can({ wadeM })) <= wadeTo(channel, lies, xM) + 1e-9,
      ),
    );
    for (const lie of some(lies)) {
      const short = standFor(lie, channel, RIG, lies, undefined, 'swing', can({ longestM: 12, wadeM: 0.3 }));
      expect(short.plan.outM).toBeLessThanOrEqual(12);
      expect(short.plan.yM).toBeLessThanOrEqual(
        Math.max(channel.edgeNear[0]! + 1.1, wadeTo(channel, lies, short.plan.xM, can({ wadeM: 0.3 })) + 0.6),
      );
    }
    const one: Rig = { ...RIG, rod: { ...RIG.rod, hands: 1 } };
    expect(farSide(lies, PLAN, one, can({ longestM: 9 }))).toBeLessThanOrEqual(9);
    expect(farSide(lies, PLAN, one)).toBeGreaterThan(9);
    // Of a head on two hands nearly all must be out before it flies (common practice, no source).
    expect(farSide(lies, PLAN, RIG, can({ longestM: 9 }))).toBe(shortestCast(RIG));
    expect(shortestCast(RIG)).toBeGreaterThan(RIG.head.lengthM + RIG.tip!.lengthM - 1);
    expect(shortestCast(one)).toBe(6);
  });
});
