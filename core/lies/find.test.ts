import { day, some } from '../testing/fixtures';
import { buildChannel, type Reading, type Run } from '../water';
import { wantedBand } from './band';
import { findLies } from './find';
import { CURVES, suitability } from './suitability';
import type { LieOptions } from './types';

const section = (xM: number, depths: number[], width = 24) => ({
  xM,
  points: depths.map((depthM, i) => ({ yM: (i * width) / (depths.length - 1), depthM })),
});
/** A riffle that drops into a trough towards the far bank, shelving to a soft inside. */
const run: Run = {
  id: 'r',
  waterId: 'w',
  name: 'Constructed run',
  lengthM: 60,
  bank: 'left',
  bearingDeg: 180,
  bed: 'cobble',
  levelM: 0,
  sections: [
    section(0, [0, 0.25, 0.3, 0.35, 0.3, 0]),
    section(12, [0, 0.3, 0.35, 0.4, 0.35, 0]),
    section(15, [0, 0.5, 0.9, 1.4, 1.2, 0]),
    section(40, [0, 0.5, 1.0, 1.5, 1.3, 0]),
    section(60, [0, 0.4, 0.6, 0.7, 0.5, 0]),
  ],
  features: [{ id: 'd', kind: 'drop-off', xM: 13, yM: 13, lengthM: 2, widthM: 14 }],
  speed: { surfaceMps: 0.9, xM: 40, yM: 14 },
  notes: '',
};
const options: LieOptions = { quarry: 'steelhead', school: 'near the bed', most: 6 };
const liesOn = (r: Reading, in_: Run = run, o = options) => findLies(in_, buildChannel(in_, r), r, o);
const meanBank = (lies: ReturnType<typeof liesOn>) =>
  lies.reduce((s, l) => s + Math.min(l.yM, 24 - l.yM), 0) / lies.length;

describe('lies', () => {
  it('puts fish over the drop-off below a riffle and none on the riffle (handbook 3: common practice, no source)', () => {
    const lies = liesOn(day({}));
    expect(lies.length).toBeGreaterThan(1);
    expect(lies.every((l) => l.xM > 12)).toBe(true);
    expect(lies.some((l) => l.reasons.includes('just over the drop-off'))).toBe(true);
    expect(lies.map((l) => l.rank)).toEqual(lies.map((_, i) => i + 1));
  });

  it('moves them towards the edges in dirty high water, and back when it clears', () => {
    const clear = meanBank(liesOn(day({})));
    const dirty = meanBank(liesOn(day({ visibilityM: 0.3, colour: 'brown soup', levelM: 0.3 })));
    expect(dirty).toBeLessThan(clear);
  });

  it('moves them into slower water in the cold', () => {
    const speed = (t: number) => {
      const lies = liesOn(day({ waterTempC: t }));
      return lies.reduce((s, l) => s + l.score * l.speedMps, 0) / lies.reduce((s, l) => s + l.score, 0);
    };
    expect(speed(4)).toBeLessThan(speed(10));
    expect(speed(10)).toBeLessThan(speed(18));
  });

  it('never ranks a redd or the water just below it', () => {
    const top = liesOn(day({}))[0]!;
    const redd = { id: 'q', kind: 'redd' as const, xM: top.xM, yM: top.yM, lengthM: 4, widthM: 4 };
    const lies = liesOn(day({}), { ...run, features: [...run.features, redd] });
    for (const l of some(lies))
      expect(l.xM > top.xM + 6.9 || l.xM < top.xM - 2.9 || Math.abs(l.yM - top.yM) >= 2.9).toBe(true);
  });

  it('keeps lies apart and inside the water', () => {
    const lies = liesOn(day({}), run, { ...options, quarry: 'brown trout' });
    for (const a of some(lies)) {
      expect(a.depthM).toBeGreaterThan(0.15);
      for (const b of lies)
        if (a !== b) expect(Math.abs(a.xM - b.xM) >= 6.9 || Math.abs(a.yM - b.yM) >= 2.9).toBe(true);
    }
  });

  it('wants the fly higher in warm clear water, deeper by the bed school', () => {
    const cold = wantedBand(1.5, 5, 0.5, 'near the bed');
    const warm = wantedBand(1.5, 16, 2.5, 'near the bed');
    expect(cold).toEqual({ topM: expect.closeTo(0.9, 5), bottomM: expect.closeTo(1.35, 5) });
    expect(warm.topM).toBeLessThan(cold.topM);
    expect(wantedBand(1.5, 5, 0.5, 'upper to middle').bottomM).toBeLessThan(cold.bottomM);
  });

  it('has suitability of 1 at walking pace and waist depth for steelhead (common practice, no source)', () => {
    expect(suitability(CURVES.steelhead.speed, 0.7)).toBe(1);
    expect(suitability(CURVES.steelhead.depth, 1)).toBe(1);
    expect(suitability(CURVES.steelhead.speed, 1.7)).toBe(0);
  });
});
