import fc from 'fast-check';
import { compareDays, findLies, type LieOptions, shiftWords } from '../lies';
import { day, RIG, RUN } from '../testing/fixtures';
import { footing, outOfReachWords } from '../cast';
import { buildChannel, leftAlone, type Reading, type Run, waterAt, within } from '../water';
import { orderOfWork } from './order';
import { stopWords } from './stopWords';

const options: LieOptions = { quarry: 'sea trout', school: 'near the bed', most: 5 };
const channel = buildChannel(RUN, day());
const lies = findLies(RUN, channel, day(), options);
const order = (run: Run = RUN, o: Partial<Reading> = {}, upstream = false) =>
  orderOfWork(run, channel, lies, RIG, day(o), { upstream });

describe('the order of the work (common practice, no source)', () => {
  it('fishes every lie once, head down when the fly swings, tail up when casts go upstream', () => {
    const down = order().stops;
    expect(down.map((s) => s.lie.rank).sort()).toEqual(lies.map((l) => l.rank).sort());
    down.forEach((s, i) => i > 0 && expect(s.xM).toBeGreaterThan(down[i - 1]!.xM - 6.1));
    const up = order(RUN, {}, true).stops;
    up.forEach((s, i) => i > 0 && expect(s.xM).toBeLessThan(up[i - 1]!.xM + 6.1));
    expect(order(RUN, {}, true).direction).toBe('up');
  });

  it('takes the near lie before the far one from one stand', () => {
    const at = (rank: number, y: number) => ({ ...lies[0]!, rank, yM: y, xM: 40 });
    const { stops } = orderOfWork(RUN, channel, [at(1, 12), at(2, 10)], RIG, day());
    expect(Math.abs(stops[1]!.moveM)).toBeLessThan(6);
    expect(stops.map((s) => s.lie.rank)).toEqual([2, 1]);
  });

  it('fishes a cruiser’s lane first', () => {
    const beat = { ...lies[0]!, rank: 9, kind: 'beat' as const, xM: 40, yM: 12 };
    const near = { ...lies[0]!, rank: 8, kind: 'station' as const, xM: 40, yM: 10 };
    const { stops } = orderOfWork(RUN, channel, [near, beat], RIG, day());
    expect(stops[0]!.lie.rank).toBe(9);
  });

  it('sends nobody too deep or too fast, nor through a lie', () => {
    const { wade } = order();
    for (const p of wade) {
      expect(p.depthM).toBeLessThan(0.9);
      expect(p.depthM > 0.02 && lies.some((l) => within(l, p.xM, p.yM))).toBe(false);
    }
    expect(wade).toHaveLength(channel.nx);
  });

  it('with trees behind: a roll or sustained-anchor cast; with wood in front: none; in the open: any', () => {
    expect(new Set(order().stops.map((s) => s.cast))).toEqual(new Set(['any cast']));
    const wooded = order({ ...RUN, room: 'trees behind' }).stops;
    expect(wooded.every((s) => s.cast === 'roll or sustained-anchor' && s.hindered === 'trees behind')).toBe(true);
    const first = order().stops[0]!;
    const brush = { id: 'z', kind: 'brush' as const, xM: first.xM, yM: first.yM + 1, lengthM: 4, widthM: 2 };
    const blocked = order({ ...RUN, features: [brush] }).stops.find((s) => s.lie.rank === first.lie.rank)!;
    expect(blocked.cast).toBe('none');
    expect(stopWords(blocked, true, 'metric')).toContain('no cast from here');
  });

  it('keeps the line on the shoulder from which the wind blows it away', () => {
    const shoulder = (from: 'upstream' | 'downstream' | 'behind') =>
      order(RUN, { wind: { from, force: 'fresh' } }).stops[0]!.shoulder;
    expect(shoulder('upstream')).toBe('downstream');
    expect(shoulder('downstream')).toBe('upstream');
    expect(shoulder('behind')).toBe('either');
  });

  it('says each stop in a sentence', () => {
    const { stops } = order();
    expect(stopWords(stops[0]!, true, 'metric')).toMatch(/^Begin \d+ m down.*: lie \d\.$/);
  });
});

describe('two days of one run', () => {
  const on = (o: Partial<Reading>) => {
    const reading = day(o);
    const c = buildChannel(RUN, reading);
    return { reading, channel: c, lies: findLies(RUN, c, reading, options) };
  };

  it('says of the same day that nothing moved', () => {
    for (const s of compareDays(RUN, on({}), on({}), options)) {
      expect(s.before!.rank).toBe(s.after!.rank);
      expect(s.byPart).toBe(0);
      expect(shiftWords(s, 'metric')).toContain('stays');
    }
  });

  it('says what moved and why when it comes up brown: each lie once, the cause with its numbers', () => {
    const [low, high] = [on({}), on({ levelM: 0.5, visibilityM: 0.3, colour: 'brown soup' })];
    const shifts = compareDays(RUN, low, high, options);
    expect(shifts.flatMap((s) => s.before ?? [])).toHaveLength(low.lies.length);
    expect(shifts.flatMap((s) => s.after ?? [])).toHaveLength(high.lies.length);
    expect(shifts.some((s) => s.byPart !== 0)).toBe(true);
    for (const s of shifts)
      expect(shiftWords(s, 'metric')).toMatch(/\d\.\d\d m to \d\.\d\d m, \d\.\d+ m\/s to \d\.\d+ m\/s/);
    for (const s of shifts) expect(s.depthM[1]).toBeGreaterThanOrEqual(s.depthM[0]);
  });
});

describe('the way on foot', () => {
  const at = (rank: number, xM: number, yM: number) => ({ ...lies[0]!, rank, xM, yM, lengthM: 3, widthM: 2 });
  const way = (some: readonly (typeof lies)[number][], run: Run = RUN) =>
    orderOfWork(run, run === RUN ? channel : buildChannel(run, day()), some, RIG, day());

  it('is numbers everywhere, also where two stops share a place', () => {
    const { wade, stops } = way([at(1, 40, 14), at(2, 40, 14), at(3, 40, 10)]);
    expect(new Set(stops.map((s) => s.xM)).size).toBeLessThan(3);
    expect(wade.every((p) => [p.xM, p.yM, p.depthM].every(Number.isFinite))).toBe(true);
  });

  it('has a point at every row, goes straight from stop to stop, and never further out than one may wade', () => {
    const { wade, stops } = way([at(1, 30, 14), at(2, 55, 12)]);
    expect(wade).toHaveLength(channel.nx);
    expect(wade.map((p) => p.xM)).toEqual(Array.from({ length: channel.nx }, (_, i) => channel.x0 + i * channel.dx));
    const first = wade.filter((p) => p.xM < stops[0]!.xM - 1);
    expect(new Set(first.map((p) => p.yM)).size).toBeLessThanOrEqual(first.length);
    for (const p of wade) {
      const i = Math.round((p.xM - channel.x0) / channel.dx);
      expect(p.yM).toBeGreaterThanOrEqual(channel.edgeNear[i]! - 0.5);
      expect(p.depthM).toBeLessThanOrEqual(1);
    }
  });

  it('goes straight between two stands, waits at the first and stays at the last (by hand)', () => {
    const { wade, stops } = way([at(1, 40, 23), at(2, 58, 12)]);
    const [far, near] = stops as [(typeof stops)[0], (typeof stops)[0]];
    expect(far.yM).toBeGreaterThan(near.yM + 3); // waded out for the far lie
    for (const p of wade.filter((w) => w.xM > far.xM && w.xM < near.xM))
      expect(p.yM).toBeCloseTo(far.yM + ((near.yM - far.yM) * (p.xM - far.xM)) / (near.xM - far.xM), 1);
    for (const p of wade.filter((w) => w.xM > near.xM)) expect(p.yM).toBe(near.yM);
    for (const p of wade.filter((w) => w.xM < far.xM)) expect(p.yM).toBe(footing(channel, [], p.xM, far.yM));
    expect(near.moveM).toBeCloseTo(near.xM - far.xM, 9);
    expect(stops.map((s) => s.depthM)).toEqual(stops.map((s) => waterAt(channel, s.xM, s.yM).depthM));
  });

  it('goes round a redd by the bank, and only there', () => {
    const two = [at(1, 40, 23), at(2, 58, 12)];
    const free = way(two).wade;
    const on = free.find((p) => p.xM > 35)!;
    const redd = { id: 'r', kind: 'redd' as const, xM: on.xM, yM: on.yM, lengthM: 2, widthM: 1 };
    const { wade } = way(two, { ...RUN, features: [redd] });
    const i = free.indexOf(on);
    expect(leftAlone([redd], wade[i]!.xM, wade[i]!.yM)).toBe(false);
    expect(wade[i]!.yM).toBeLessThanOrEqual(redd.yM - 2.5);
    expect(wade[0]).toEqual(free[0]);
    expect(wade.at(-1)).toEqual(free.at(-1));
  });

  it('casts upstream from below the lie, from the end of the run at most', () => {
    const { stops } = orderOfWork(RUN, channel, [at(1, 57, 12)], RIG, day(), { upstream: true });
    expect(stops[0]!.xM).toBe(RUN.lengthM);
    expect(orderOfWork(RUN, channel, [at(1, 20, 12)], RIG, day(), { upstream: true }).stops[0]!.xM).toBeLessThan(
      RUN.lengthM,
    );
  });

  it('keeps to the shore side of a lie it would cross', () => {
    const near = at(1, 30, 2);
    const { wade } = way([near, at(2, 55, 14)]);
    const inside = wade.filter((p) => Math.abs(p.xM - near.xM) < 1.5 && Math.abs(p.yM - near.yM) < 1);
    expect(inside.filter((p) => p.depthM > 0.05)).toEqual([]);
  });

  it('casts the shorter line first from one place: none falls over a nearer fish, whichever lies further out', () => {
    // The first is nearer to the bank, and further away.
    const { stops } = way([at(1, 43, 8), at(2, 40.5, 8.5)]);
    expect(stops.map((s) => s.lie.rank)).toEqual([2, 1]);
    const [first, second] = stops;
    expect(second!.moveM).toBe(0);
    const castM = (s: (typeof stops)[number]) => Math.hypot(s.lie.xM - s.xM, s.lie.yM - s.yM);
    expect(castM(first!)).toBeLessThan(castM(second!));
  });
});

describe('what hinders a cast', () => {
  const hindered = (run: Partial<Run>) => orderOfWork({ ...RUN, ...run }, channel, lies, RIG, day()).stops[0]!;
  const stop = hindered({});
  const wood = (kind: 'log' | 'brush' | 'boulder', xM: number, yM: number) => ({
    features: [{ id: 'w', kind, xM, yM, lengthM: 4, widthM: 1 }],
  });
  it.each([
    ['brush beside the rod', wood('brush', stop.xM, stop.yM + 1), 'wood in front'],
    ['a log beside the rod', wood('log', stop.xM, stop.yM + 1), 'wood in front'],
    ['a stone there', wood('boulder', stop.xM, stop.yM + 1), null],
    ['brush five metres down', wood('brush', stop.xM + 5.5, stop.yM + 1), null],
    ['brush behind', wood('brush', stop.xM, stop.yM - 2), null],
    ['brush far out', wood('brush', stop.xM, stop.yM + 5), null],
    ['nothing', {}, null],
    ['trees', { room: 'trees behind' as const }, 'trees behind'],
    ['bushes', { room: 'low bushes' as const }, 'bushes behind'],
  ])('%s', (_, run, what) => {
    const { hindered: found, cast } = hindered(run);
    expect(found).toBe(what);
    expect(cast).toBe(what === null ? 'any cast' : what === 'wood in front' ? 'none' : 'roll or sustained-anchor');
  });
});

describe('order and way in any run (properties)', () => {
  const depth = fc.double({ min: 0.2, max: 2.2, noNaN: true });
  const anyRun = fc.record({
    depths: fc.array(fc.array(depth, { minLength: 4, maxLength: 4 }), { minLength: 3, maxLength: 3 }),
    stones: fc.array(fc.tuple(fc.integer({ min: 2, max: 58 }), fc.integer({ min: 3, max: 22 })), { maxLength: 5 }),
    redd: fc.option(fc.tuple(fc.integer({ min: 5, max: 55 }), fc.integer({ min: 1, max: 12 }))),
    surfaceMps: fc.double({ min: 0.2, max: 2, noNaN: true }),
    upstream: fc.boolean(),
  });
  type Any = typeof anyRun extends fc.Arbitrary<infer T> ? T : never;
  const runOf = ({ depths, stones, redd, surfaceMps }: Any): Run => ({
    ...RUN,
    sections: depths.map((d, i) => ({
      xM: 30 * i,
      points: [0, ...d, 0].map((depthM, j) => ({ yM: 5 * j, depthM })),
    })),
    features: [
      ...stones.map(([xM, yM], i) => ({ id: `s${i}`, kind: 'boulder' as const, xM, yM, lengthM: 1.5, widthM: 1.5 })),
      ...(redd ? [{ id: 'redd', kind: 'redd' as const, xM: redd[0], yM: redd[1], lengthM: 3, widthM: 2 }] : []),
    ],
    speed: { surfaceMps, xM: 30, yM: 12 },
  });
  const cut = { dx: 3, dy: 1.25 };

  it('has only numbers, never walks back, stands on no redd and goes round it (a thousand runs)', () => {
    let stops = 0;
    let guarded = 0;
    fc.assert(
      fc.property(anyRun, (o) => {
        const r = runOf(o);
        const c = buildChannel(r, day(), cut);
        const found = findLies(r, c, day(), options);
        const work = orderOfWork(r, c, found, RIG, day(), { upstream: o.upstream });
        expect(work.wade.flatMap((p) => [p.xM, p.yM, p.depthM]).every(Number.isFinite)).toBe(true);
        const onRedd = work.wade.filter((p) => o.redd && leftAlone(r.features, p.xM, p.yM));
        expect(onRedd.every((p) => p.depthM < 0.3)).toBe(true);
        work.stops.forEach((s, i) => {
          stops++;
          expect(Number.isFinite(s.xM) && Number.isFinite(s.yM) && Number.isFinite(s.moveM)).toBe(true);
          if (i > 0) expect(o.upstream ? -s.moveM : s.moveM).toBeGreaterThanOrEqual(-1e-9);
          if (o.redd && leftAlone(r.features, s.xM, s.yM)) {
            guarded++;
            expect(s.depthM).toBeLessThan(0.3); // on the bank beside it
          }
        });
        expect(work.stops.length + work.outOfReach.length).toBe(found.length);
      }),
      { numRuns: 1000, seed: 8, endOnFailure: true },
    );
    expect(stops).toBeGreaterThan(1500);
    expect(guarded).toBeLessThan(stops);
  });
});

it('a lie out of reach from this bank is no stop, and is said', () => {
  const far = { ...lies[0]!, rank: 7, yM: 60 };
  const work = orderOfWork(RUN, channel, [lies[0]!, far], RIG, day());
  expect(work.stops.map((s) => s.lie.rank)).toEqual([lies[0]!.rank]);
  expect(work.outOfReach).toMatchObject([{ rank: 7, why: 'too far' }]);
  expect(outOfReachWords(work.outOfReach[0]!, 'imperial')).toMatch(
    /^Lie 7 cannot be reached from here: it lies \d+ ft out/,
  );
});
