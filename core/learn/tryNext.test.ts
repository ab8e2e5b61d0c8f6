import { seeded } from '../maths';
import { NULL_KINDS, seasonOf } from '../testing/seasons';
import { proofsOf } from './proofs';
import { knowledgeGradient, tryNext } from './tryNext';

describe('the knowledge gradient', () => {
  it('as published: σ·f(−Δ/σ), f(0) = φ(0) = 0.3989 (Frazier, Powell & Dayanik 2008)', () => {
    expect(knowledgeGradient(0, 1, 0)).toBeCloseTo(0.3989, 4);
    // By hand: z = −1, zΦ(z) + φ(z) = −0.1587 + 0.2420.
    expect(knowledgeGradient(1, 1, 0)).toBeCloseTo(0.0833, 4);
    expect(knowledgeGradient(-1, 1, 0)).toBeCloseTo(knowledgeGradient(1, 1, 0), 12);
    expect(knowledgeGradient(0.5, 0.7, 0.7)).toBe(0);
  });

  it('grows with what is learned, falls with how far the two are known to be apart', () => {
    expect(knowledgeGradient(0.3, 1, 0.5)).toBeGreaterThan(knowledgeGradient(0.3, 1, 0.8));
    expect(knowledgeGradient(0.3, 1, 0.5)).toBeGreaterThan(knowledgeGradient(0.9, 1, 0.5));
  });

  it('is what simulation has it: the better of two, after it was learned, less the usual one', () => {
    const rand = seeded(2);
    const normal = () => Math.sqrt(-2 * Math.log(1 - rand())) * Math.cos(2 * Math.PI * rand());
    const [apart, before, after] = [-0.4, 1, 0.6];
    const moved = Math.sqrt(before ** 2 - after ** 2);
    let sum = 0;
    for (let i = 0; i < 40_000; i++) sum += Math.max(0, apart + moved * normal());
    expect(sum / 40_000).toBeCloseTo(knowledgeGradient(apart, before, after), 2);
  });
});

describe('what to try next', () => {
  it('is at most three things, one of each kind, against what one mostly fishes, the most to gain first', () => {
    const outings = seasonOf(seeded(4), { ...NULL_KINDS.bunched, outings: 60 });
    const lists = proofsOf(outings);
    const all = tryNext(outings, lists);
    expect(all).toHaveLength(3);
    expect(new Set(all.map((s) => s.by)).size).toBe(3);
    for (const s of all) {
      expect(s.usual).toBe(lists[s.by][0]!.name);
      expect(s.name).not.toBe(s.usual);
      expect(s.casts).toBe(lists[s.by].find((g) => g.name === s.name)!.casts);
      expect(s.ratio.low).toBeLessThan(s.ratio.middle);
      expect(s.ratio.middle).toBeLessThan(s.ratio.high);
    }
    expect(all.map((s) => s.gain)).toEqual(all.map((s) => s.gain).sort((a, b) => b - a));
  });

  it('does not send one back to what is proved to be worse', () => {
    const days = Array.from({ length: 40 }, (_, i) => [
      { shown: { colour: 'black' }, casts: 60, takes: 2 },
      { shown: { colour: 'white' }, casts: 50, takes: 0 },
      { shown: { colour: 'tan' }, casts: 4, takes: i % 10 ? 0 : 1 },
    ]);
    const colour = tryNext(days, proofsOf(days)).find((s) => s.by === 'colour')!;
    expect(colour.name).toBe('tan');
  });

  it('says nothing before a hundred casts', () => {
    const few = [
      [
        { shown: { colour: 'black' }, casts: 60, takes: 1 },
        { shown: { colour: 'tan' }, casts: 30, takes: 1 },
      ],
    ];
    expect(tryNext(few, proofsOf(few))).toEqual([]);
  });
});
