import { deviate } from '../maths/statistics';
import { caseOnRun } from '../cast/case';
import { PLAN, RIG, RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import { finished } from '../maths/work';
import { type Doubt, drawn, draws, swingBand } from './ensemble';
import { runSwing } from './swing';

const DOUBT: Doubt = { speed: 0.2, depth: 0.1, line: 0.15, seed: 3, members: 20 };
const mean = (list: readonly number[]) => list.reduce((a, b) => a + b) / list.length;
const spread = (list: readonly number[]) => Math.sqrt(mean(list.map((x) => (x - mean(list)) ** 2)));

describe('drawings of what the readings leave open', () => {
  it('go through each spread evenly, both of two doubts together, too', () => {
    const all = draws({ ...DOUBT, members: 32, seed: 7 });
    const order = (of: 'speed' | 'depth') => [...all].sort((a, b) => a[of] - b[of]);
    // Of the slow half as of the fast half of the water, half is deep: in eighths by eighths no part of the plane is empty.
    const [speeds, depths] = [order('speed'), order('depth')];
    const eighth = (list: typeof all, d: (typeof all)[number]) => Math.floor((8 * list.indexOf(d)) / all.length);
    for (let part = 0; part < 8; part++) {
      const own = all.filter((d) => eighth(speeds, d) === part).map((d) => eighth(depths, d));
      expect(new Set(own).size).toBe(4);
    }
  });

  it.each([
    [0.5, 0],
    [0.8413447, 1],
    [0.0227501, -2],
    [0.9, 1.2815516],
  ])('a share of %s lies below the deviate %s (tables of the normal distribution)', (share, z) =>
    expect(deviate(share)).toBeCloseTo(z, 5),
  );
  it('a share of all or nothing has one, too', () =>
    expect([deviate(0), deviate(1)].every(Number.isFinite)).toBe(true));

  it('have the middle and the spread that are asked for, and so often the other line', () => {
    const all = draws({ ...DOUBT, members: 200 });
    const logs = (of: 'speed' | 'depth') => all.map((d) => Math.log(d[of]));
    expect(mean(logs('speed'))).toBeCloseTo(0, 2);
    expect(spread(logs('speed'))).toBeCloseTo(0.2, 2);
    expect(mean(logs('depth'))).toBeCloseTo(0, 2);
    expect(spread(logs('depth'))).toBeCloseTo(0.1, 2);
    expect(all.filter((d) => d.turned)).toHaveLength(30);
    // One doubt says nothing of another.
    const together = mean(logs('speed').map((x, i) => x * logs('depth')[i]!)) / 0.02;
    expect(Math.abs(together)).toBeLessThan(0.2);
    expect(draws(DOUBT)).toEqual(draws(DOUBT));
    expect(draws({ ...DOUBT, seed: 4 })).not.toEqual(draws(DOUBT));
  });

  it('scale current and depth of the water, and turn the line; drawn twice it is the same water', () => {
    const c = { ...caseOnRun(buildChannel(RUN, null), RIG, PLAN, []), keepLineS: 1 };
    const d = drawn(c, { speed: 1.5, depth: 0.8, turned: true });
    const at = c.water.grid.h.findIndex((h, i) => h > 0.5 && c.water.grid.v[i] !== 0);
    expect(at).toBeGreaterThan(0);
    expect(d.water.grid.u[at]! / c.water.grid.u[at]!).toBeCloseTo(1.5, 5);
    expect(d.water.grid.v[at]! / c.water.grid.v[at]!).toBeCloseTo(1.5, 5);
    expect(d.water.grid.h[at]! / c.water.grid.h[at]!).toBeCloseTo(0.8, 5);
    expect([c.floatRule, d.floatRule]).toEqual(['clean', 'free']);
    expect(drawn({ ...c, floatRule: 'free' }, { speed: 1, depth: 1, turned: true }).floatRule).toBe('clean');
    expect(drawn(c, { speed: 1, depth: 1, turned: false }).floatRule).toBe('clean');
    expect(d.keepLineS).toBe(0);
    expect(drawn(c, { speed: 1.5, depth: 0.8, turned: false }).water.grid).toBe(d.water.grid);
    expect(drawn(c, { speed: 1.5, depth: 0.9, turned: false }).water.grid).not.toBe(d.water.grid);
  });
});

describe('the band round a swing', () => {
  const c = { ...caseOnRun(buildChannel(RUN, null), RIG, PLAN, []), lies: [{ xM: PLAN.xM + 9, yM: PLAN.yM + 4 }] };
  const plain = runSwing(c);
  const doubt = { ...DOUBT, members: 12 };
  const shares: number[] = [];
  const work = swingBand(c, plain, doubt, ({ lies }) => [lies[0]!.depthM > plain.lies[0]!.depthM]);
  const band = (() => {
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      shares.push(step.value);
    }
  })();

  it('tells how far it is, and the chance as the share of the drawings that are right', () => {
    expect(shares).toEqual(Array.from({ length: 12 }, (_, i) => (i + 1) / 12));
    const deeper = draws(doubt).filter((d) => runSwing(drawn(c, d)).lies[0]!.depthM > plain.lies[0]!.depthM);
    expect(deeper.length).toBeGreaterThan(1);
    expect(deeper.length).toBeLessThan(11);
    expect(band.lies[0]!.chance).toBeCloseTo(deeper.length / 12, 9);
    expect(finished(swingBand(c, plain, doubt)).lies[0]!.chance).toBeNull();
  });

  it('lies about the swing: four in five of the drawings between its sides', () => {
    expect([band.low.length, band.high.length]).toEqual([plain.rows, plain.rows]);
    for (let i = 10; i < plain.rows; i += 20) expect(band.low[i]!).toBeLessThanOrEqual(band.high[i]!);
    const { low, high } = band.lies[0]!;
    expect(low).toBeLessThan(plain.lies[0]!.depthM);
    expect(high).toBeGreaterThan(plain.lies[0]!.depthM);
  });
});
