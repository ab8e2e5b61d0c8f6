import fc from 'fast-check';
import { castsFrom, ruleFor, standsAlong } from '../cover/stands';
import { type FishLie, findLies } from '../lies';
import { day, RIG, RUN } from '../testing/fixtures';
import { buildChannel, type Channel, type Run, sample, sampleWater, wadingHazard, waterAt, within } from '../water';
import { moved } from './castable';
import { footing, mayStand } from './footing';
import { ANY_MEANS, type Means, wadingLimit } from './means';
import { WAYS } from './plan';
import { castAt, plainCast } from './stand';

/** A run of three sections by depths at every 3 m from bank to bank, under water up to both edges. */
const runOf = (sections: readonly (readonly number[])[], surfaceMps: number, features: Run['features'] = []): Run => ({
  ...RUN,
  features,
  sections: sections.map((d, i) => ({ xM: 30 * i, points: d.map((depthM, j) => ({ yM: 3 * j, depthM })) })),
  speed: { surfaceMps, xM: 30, yM: 6 },
});

describe('where the feet are', () => {
  const canal = buildChannel(
    runOf(
      [0, 1, 2].map(() => [0, 1.3, 1.3, 1.3, 0]),
      0.9,
    ),
    day(),
  );

  it('are on dry ground where the first step is too deep, whatever is wanted', () => {
    for (const wanted of [0.5, 1, 3, 6]) {
      const yM = footing(canal, [], 30, wanted);
      expect(yM).toBeLessThan(1);
      expect(mayStand(canal, [], 30, yM)).toBe(true);
    }
    const children = footing(canal, [], 30, 6, { ...ANY_MEANS, children: true });
    expect(children).toBeLessThanOrEqual(footing(canal, [], 30, 6));
  });

  it('stay where they are wanted in water that may be waded, and on the far bank of who has crossed', () => {
    const shelving = buildChannel(
      runOf(
        [0, 1, 2].map(() => [0, 0.2, 0.4, 0.6, 0]),
        0.4,
      ),
      day(),
    );
    expect(footing(shelving, [], 30, 4)).toBe(4);
    const onFar = { xM: 30, yM: 13, outM: 9, angleDeg: 60, mendM: 0, rod: 'follow' } as const;
    expect(moved(shelving, RIG, [], ANY_MEANS, onFar).yM).toBe(13);
  });

  it('are never on a lie, not on dry ground either', () => {
    const lie = { rank: 1, xM: 30, yM: 0, lengthM: 10, widthM: 3 } as FishLie;
    expect(within(lie, 30, footing(canal, [lie], 30, 1))).toBe(false);
  });
});

describe('every position that is named, on a thousand drawn runs', () => {
  /** Steep as a canal's, shelving, or with a pool against the bank. */
  const bank = fc.oneof(
    fc.tuple(fc.constant(0), fc.double({ min: 0.8, max: 1.8, noNaN: true })),
    fc.tuple(fc.constant(0), fc.double({ min: 0.1, max: 0.4, noNaN: true })),
    fc.tuple(fc.double({ min: 0.4, max: 1.2, noNaN: true }), fc.double({ min: 0.6, max: 2, noNaN: true })),
  );
  const deep = fc.double({ min: 0.5, max: 2.4, noNaN: true });
  const section = fc
    .tuple(bank, deep, deep, fc.double({ min: 0.1, max: 1, noNaN: true }))
    .map(([near, b, c, d]) => [...near, b, c, d, 0]);
  const drawn = fc.record({
    sections: fc.array(section, { minLength: 3, maxLength: 3 }),
    surfaceMps: fc.double({ min: 0.15, max: 1.8, noNaN: true }),
    levelM: fc.double({ min: -0.3, max: 0.9, noNaN: true }),
    means: fc.constantFrom<Means>(ANY_MEANS, { ...ANY_MEANS, wadeM: 0.4 }, { ...ANY_MEANS, children: true }),
    redd: fc.option(fc.record({ xM: fc.integer({ min: 5, max: 50 }), yM: fc.integer({ min: 1, max: 5 }) })),
    way: fc.constantFrom(...WAYS),
  });

  /** By the water between the cells and by the nearest cell: what another reader of the grid would find. */
  function isSafe(c: Channel, lies: readonly FishLie[], means: Means, xM: number, yM: number): boolean {
    // A bed of eggs two metres long keeps two metres to each side of it (common practice, no source); from dry ground none is trodden on.
    const trodden = c.features.some((f) => Math.abs(f.xM - xM) < 3 && Math.abs(f.yM - yM) < 2.5);
    if (trodden && waterAt(c, xM, yM).depthM > 0.1) return false;
    const limit = wadingLimit(means);
    sampleWater(c, xM, yM);
    const easy = [{ depthM: sample.h, speedMps: sample.u }, waterAt(c, xM, yM)].every(
      ({ depthM, speedMps }) =>
        depthM <= limit.depthM && depthM * speedMps <= limit.hazard && wadingHazard(depthM, speedMps) === 'low',
    );
    return easy && !lies.some((l) => within(l, xM, yM));
  }

  it('is dry or safe for this angler, and on no lie: casts of every way, covers, orders and the way on foot', () => {
    let waded = 0;
    fc.assert(
      fc.property(drawn, ({ sections, surfaceMps, levelM, means, way, redd }) => {
        const beds = redd ? [{ id: 'redd', kind: 'redd' as const, lengthM: 2, widthM: 1, ...redd }] : [];
        const run = runOf(sections, surfaceMps, beds);
        const reading = day({ levelM });
        const c = buildChannel(run, reading, { dx: 3, dy: 0.6 });
        const options = { quarry: 'sea trout', school: 'near the bed', most: 4 } as const;
        const lies = findLies(run, c, reading, options);
        const stands = lies.map((l) => castAt(l, c, RIG, lies, undefined, way, means));
        const cover = { run, channel: c, lies, reading, options, rig: RIG, means, way: stands[0] ?? null, special: [] };
        const feet = [
          ...stands,
          ...ruleFor(cover).map((p) => p.plan),
          ...standsAlong(cover).flatMap((x) => castsFrom(cover, x).map((p) => p.plan)),
          ...stands.map((p) => moved(c, RIG, lies, means, { ...p, xM: p.xM + 4, yM: p.yM + 2 })),
        ];
        expect(feet.filter((p) => !isSafe(c, lies, means, p.xM, p.yM))).toEqual([]);
        const plain = plainCast(run, c, undefined, means); // made where no lie was found
        expect(isSafe(c, [], means, plain.xM, plain.yM)).toBe(true);
        waded += feet.filter((p) => waterAt(c, p.xM, p.yM).depthM > 0.1).length;
      }),
      { numRuns: 1000, seed: 34 },
    );
    expect(waded).toBeGreaterThan(1000); // some do stand in the water
  });
});
