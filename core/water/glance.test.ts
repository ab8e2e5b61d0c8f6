import fc from 'fast-check';
import { findLies } from '../lies';
import { lieOptionsOf } from '../lies/options';
import { day } from '../testing/fixtures';
import { buildChannel } from './channel';
import { bodyDepthM, BODY_MARKS, type Glance, KINDS_OF_WATER, runAtAGlance, usualPace } from './glance';
import type { Run } from './run';

const look = (o: Partial<Glance> = {}): Run => {
  let n = 0;
  const glance = { kind: 'seam', widthM: 18, deepestM: 1.1, flows: 'to the left', ...o } as const;
  return {
    ...{ id: 'run', waterId: 'water', name: 'New', levelM: 0, speed: null, notes: '', glance: true },
    ...runAtAGlance(glance, () => `f${n++}`),
  };
};
const read = (run: Run, kind: Glance['kind']) => day({ runId: run.id, pace: usualPace(kind) });
const channelOf = (o: Partial<Glance>) => buildChannel(look(o), read(look(o), o.kind ?? 'seam'));
/** Mean of a figure over one row of the channel, at a share of its length. */
const row = (c: ReturnType<typeof buildChannel>, share: number) => {
  const i = Math.round(share * (c.nx - 1));
  const cells = Array.from({ length: c.ny }, (_, j) => i * c.ny + j).filter((k) => c.h[k]! > 0.05);
  return {
    deepestM: Math.max(...cells.map((k) => c.h[k]!)),
    /** Share of the width at which it is fastest. */
    fastest: (cells.reduce((a, b) => (c.u[b]! > c.u[a]! ? b : a)) % c.ny) / c.ny,
    meanMps: cells.reduce((sum, k) => sum + c.u[k]!, 0) / cells.length,
  };
};

describe('a run read in a glance', () => {
  it('is a river whatever is answered: as wide and deep as was said, its flow the same from row to row', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS_OF_WATER),
        fc.double({ min: 3, max: 80, noNaN: true }),
        fc.double({ min: 0.3, max: 2.5, noNaN: true }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (kind, widthM, deepestM, deepestAt) => {
          const c = channelOf({ kind, widthM, deepestM, deepestAt });
          expect([...c.h, ...c.u].every(Number.isFinite)).toBe(true);
          expect(Math.max(...c.h)).toBeCloseTo(deepestM, 0);
          const flow = (i: number) =>
            Array.from({ length: c.ny }, (_, j) => c.u[i * c.ny + j]! * c.h[i * c.ny + j]!).reduce((a, b) => a + b);
          expect(flow(c.nx - 1)).toBeCloseTo(flow(0), 1);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('looks like its kind (common practice, no source)', () => {
    const riffle = channelOf({ kind: 'riffle' });
    expect(row(riffle, 0.95).deepestM).toBeGreaterThan(1.5 * row(riffle, 0.1).deepestM); // it drops into deeper water
    const pool = channelOf({ kind: 'pool' });
    for (const end of [0.02, 0.98]) {
      expect(row(pool, end).deepestM).toBeLessThan(0.7 * row(pool, 0.5).deepestM);
      expect(row(pool, end).meanMps).toBeGreaterThan(row(pool, 0.5).meanMps);
    }
    const tailout = channelOf({ kind: 'tailout' });
    expect(row(tailout, 0.98).meanMps).toBeGreaterThan(1.3 * row(tailout, 0.02).meanMps);
    expect(row(channelOf({ kind: 'bend' }), 0.5).fastest).toBeGreaterThan(0.6); // the outside, over there
    expect(row(channelOf({ kind: 'cut bank' }), 0.5).fastest).toBeGreaterThan(0.7);
    expect(look({ kind: 'pocket water' }).features.filter((f) => f.kind === 'boulder')).toHaveLength(3);
  });

  it('facing the water, it goes right past who stands on the true right bank, and bends round them', () => {
    expect(look({ flows: 'to the right' }).bank).toBe('right');
    expect(look({ flows: 'to the left' }).bank).toBe('left');
    expect(look({ kind: 'bend', flows: 'to the right' }).bend!.turns).toBe('right');
  });

  it('has one to five lies, each a guess until a depth is measured there', () => {
    const options = lieOptionsOf({ water: null, settings: { school: 'near the bed' } });
    for (const kind of KINDS_OF_WATER)
      for (const widthM of [6, 15, 40])
        for (const mark of BODY_MARKS) {
          const run = look({ kind, widthM, deepestM: bodyDepthM(mark, 1.8) });
          const reading = read(run, kind);
          const lies = findLies(run, buildChannel(run, reading), reading, options);
          expect([1, 2, 3, 4, 5]).toContain(lies.length);
          for (const l of lies) expect(l.guess).toBe('glance');
          const { xM, yM, depthM } = lies[0]!;
          const measured = { ...reading, depths: [{ xM: xM + 1, yM, depthM, how: 'staff' as const }] };
          expect(findLies(run, buildChannel(run, reading), measured, options)[0]!.guess).not.toBe('glance');
        }
  });

  it('is less sure of its depths than one that was measured', () => {
    const run = look();
    const spread = (r: Run) => buildChannel(r, read(r, 'seam')).depthSpread;
    expect(spread(run)).toBeGreaterThan(1.5 * spread({ ...run, glance: false }));
  });
});

describe('a depth by the body (shoulder at 0.818 of the height after Drillis and Contini 1966, from memory)', () => {
  it('rises from knee to over the head, and stays between hip and shoulder where it should', () => {
    const depths = BODY_MARKS.map((m) => bodyDepthM(m, 1.8));
    expect(depths).toEqual([...depths].sort((a, b) => a - b));
    for (const mark of ['waist', 'chest'] as const) {
      expect(bodyDepthM(mark, 1.8)).toBeGreaterThan(0.53 * 1.8);
      expect(bodyDepthM(mark, 1.8)).toBeLessThan(0.818 * 1.8);
    }
    expect(bodyDepthM('chest', 1.8)).toBeCloseTo(1.3, 2);
    expect(bodyDepthM('over the head', 1.8)).toBeGreaterThan(1.8);
    for (const mark of BODY_MARKS) expect(() => bodyDepthM(mark, 0.5)).toThrow(RangeError);
  });
});
