import { day, RUN } from '../testing/fixtures';
import { buildChannel, type Channel } from '../water';
import { dayEffects, type DayEffects, partsAt, totalOf } from './score';
import type { LieOptions, LiePart } from './types';

const NONE: Record<LiePart, number> = {
  ...{ depth: 0, speed: 0, seam: 0, cover: 0, edge: 0, light: 0, place: 0, temperature: 0 },
};
const OPTIONS: LieOptions = { quarry: 'brown trout', school: 'near the bed', most: 5 };
const channel = buildChannel(RUN, null);
const effects = (reading: Parameters<typeof day>[0] = {}, o: Partial<LieOptions> = {}, c = channel): DayEffects =>
  dayEffects({ ...RUN, features: [] }, c, day(reading), { ...OPTIONS, ...o });

describe('the score, worked out by hand from its weights', () => {
  const plain = effects();
  const total = (p: Partial<Record<LiePart, number>>, s: DayEffects = plain) =>
    totalOf({ ...NONE, place: 0.3, ...p }, s);

  it('comfort is depth times speed; what is around it raises it', () => {
    expect(total({ depth: 1, speed: 1 })).toBeCloseTo(0.33, 9);
    expect(total({ depth: 0.5, speed: 0.8 })).toBeCloseTo(0.4 * 0.33, 9);
    expect(total({ depth: 1, speed: 1, seam: 1 })).toBeCloseTo(0.58, 9);
    expect(total({ depth: 1, speed: 1, cover: 1 })).toBeCloseTo(0.33 + 0.25, 9);
    expect(total({ depth: 1, speed: 1, light: 0.5 })).toBeCloseTo(0.38, 9);
    expect(total({ depth: 1, speed: 1, place: 1 })).toBeCloseTo((0.3 + 0.1) * (1 + 0.35 * 0.7), 9);
    expect(total({ depth: 1, speed: 1, place: 0 })).toBeCloseTo(0.3, 9); // an ordinary place takes nothing away
    expect(total({ seam: 1, cover: 1, light: 1 })).toBe(0); // no comfort, no lie
    expect(total({ depth: 1, speed: 1, seam: 1, cover: 1, light: 1, place: 1, edge: 1 })).toBe(1); // never more
  });

  it('the edge draws with the current that suits; half the depth they like will do where the school or the light says so', () => {
    expect(total({ edge: 1, speed: 1, depth: 0.4 })).toBeCloseTo(0.4 * 0.33 + 0.6 * 0.4, 9);
    const margins = effects({ levelM: 0.6, visibilityM: 0.3, colour: 'grey-brown' });
    const dusk = effects({ sky: 'dusk' });
    expect([margins.margins, dusk.dusk, plain.margins, plain.dusk]).toEqual([true, true, false, false]);
    expect(total({ edge: 1, speed: 1, depth: 0.4 }, dusk)).toBeCloseTo(0.4 * 0.33 + 0.6 * 0.8, 9);
    expect(total({ edge: 1, speed: 0.5, depth: 0.9 }, dusk)).toBeCloseTo(0.45 * 0.33 + 0.3, 9);
    // Mid-river counts for less than half where fish are at the margins.
    expect(total({ depth: 1, speed: 1 }, margins)).toBeCloseTo(0.33 * 0.4, 9);
    expect(total({ depth: 1, speed: 1, edge: 0.5 }, margins)).toBeCloseTo(0.33 * 0.7 + 0.3, 9);
  });
});

describe('the parts of one cell', () => {
  /** Even water, so deep and fast at every distance out. */
  const water = (depthAt: (y: number) => number, speedAt: (y: number) => number): Channel => {
    const y = (k: number) => channel.y0 + (k % channel.ny) * channel.dy;
    return {
      ...channel,
      h: channel.h.map((_, k) => (y(k) < 0 || y(k) > 24 ? 0 : depthAt(y(k)))),
      u: channel.u.map((_, k) => speedAt(y(k))),
      edgeNear: channel.edgeNear.map(() => 0),
      edgeFar: channel.edgeFar.map(() => 24),
    };
  };
  const even = (depthM: number, speedMps: number) =>
    water(
      () => depthM,
      () => speedMps,
    );
  const run = { ...RUN, features: [] };
  const i = Math.round(30 / channel.dx);
  const parts = (c: Channel, y: number, reading: Parameters<typeof day>[0] = {}, o: Partial<LieOptions> = {}, at = i) =>
    partsAt(run, c, effects(reading, o, c), at, Math.round((y - channel.y0) / channel.dy));

  it('a hand of water holds nothing', () =>
    expect(
      parts(
        water(
          (y) => (y < 12 ? 0.1 : 1),
          () => 0.4,
        ),
        8,
      ),
    ).toEqual(NONE));

  it('a broken surface covers, and hides from the sun: from Froude number 0.2 to 0.4', () => {
    const fast = (u: number, reading = {}) => parts(even(1, u), 12, reading);
    const froude = (f: number) => f * Math.sqrt(9.81);
    const bed = fast(0.1).cover;
    expect(fast(froude(0.3)).cover).toBeCloseTo(bed + 0.15 * 0.5, 2);
    expect(fast(froude(0.9)).cover).toBeCloseTo(bed + 0.15, 2);
    // High sun: the deeper half, the broken part or the cover, whichever hides best.
    const sun = { sun: { altitudeDeg: 50, azimuthDeg: 180 } };
    const light = (depth: number, f: number) =>
      parts(even(depth, f * Math.sqrt(9.81 * depth)), 12, { sky: 'bright' }, sun).light;
    expect(light(1.6, 0.1)).toBeCloseTo(0.8, 2);
    expect(light(0.6, 0.34)).toBeCloseTo(0.7, 2);
    expect(light(3, 0.1)).toBe(1);
    expect(parts(even(1, 0.4), 12, { sky: 'overcast' }).light).toBe(0.7);
    expect(parts(even(1, 0.4), 12, { sky: 'dusk' }).light).toBe(1);
  });

  it('a seam is fast water within a metre and a half that carries food; the far side of it is not', () => {
    const split = water(
      () => 1,
      (y) => (y < 12 ? 0.2 : 0.6),
    );
    expect(parts(split, 11.5).seam).toBeCloseTo(1, 5);
    expect(parts(split, 9).seam).toBe(0);
    expect(parts(split, 13).seam).toBe(0);
    expect(
      parts(
        water(
          () => 1,
          (y) => (y < 12 ? 0 : 0.25),
        ),
        11.5,
      ).seam,
    ).toBe(0); // too slow to bring anything
    expect(
      parts(
        water(
          () => 1,
          (y) => (y < 12 ? 0.4 : 0.54),
        ),
        11.5,
      ).seam,
    ).toBeCloseTo(0.4, 2);
    expect(
      parts(
        water(
          (y) => (y < 12 ? 1 : 0.2),
          (y) => (y < 12 ? 0.2 : 0.6),
        ),
        11.5,
      ).seam,
    ).toBe(0); // a film over stones
  });

  it('the margin draws in dirty high water, the near one most: it is fished before one steps in', () => {
    const all = even(1, 0.4);
    const dirty = { levelM: 0.6, visibilityM: 0.3, colour: 'grey-brown' } as const;
    const edge = (y: number, reading = {}) => parts(all, y, reading).edge;
    expect(edge(0.5, dirty)).toBeGreaterThan(0.9);
    expect(edge(1.5, dirty)).toBeGreaterThan(0.9); // as wide as a rod reaches over
    expect(edge(4.5, dirty)).toBeCloseTo(Math.exp(-3 / 2), 1);
    expect(edge(23.5, dirty)).toBeCloseTo(0.2 * edge(0.5, dirty), 1);
    expect(edge(12, dirty)).toBeLessThan(0.01);
    expect([edge(0.5), edge(0.5, { sky: 'yellow' })]).toEqual([0, expect.closeTo(0.3, 1)]);
    // At dusk both margins draw alike.
    expect(edge(23.5, { sky: 'dusk' })).toBeCloseTo(edge(0.5, { sky: 'dusk' }), 1);
  });

  it('heads when warm, tailouts at dusk and for those that travel', () => {
    const all = even(1, 0.4);
    const place = (x: number, reading = {}, o: Partial<LieOptions> = {}) =>
      parts(all, 12, reading, o, Math.round(x / channel.dx)).place;
    expect([place(10), place(50)]).toEqual([0.3, 0.3]);
    expect([place(10, { waterTempC: 17 }), place(30, { waterTempC: 17 })]).toEqual([0.6, 0.3]);
    expect([place(30, { sky: 'dusk' }), place(50, { sky: 'dusk' })]).toEqual([0.3, 1]);
    expect([place(30, {}, { quarry: 'steelhead' }), place(50, {}, { quarry: 'steelhead' })]).toEqual([0.3, 0.6]);
  });

  it('cold fish want slower water, warm ones faster', () => {
    const speed = (u: number, waterTempC: number) => parts(even(1, u), 12, { waterTempC }).speed;
    expect(speed(0.15, 3)).toBeGreaterThan(speed(0.5, 3) + 0.3);
    expect(speed(0.55, 17.9)).toBeGreaterThan(speed(0.55, 10));
  });
});
