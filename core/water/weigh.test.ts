import { day, RUN } from '../testing/fixtures';
import { buildChannel, type Channel, spreadsWith } from './channel';
import { waterAt } from './grid';
import { atLevel } from './level';
import { PACES, type Reading } from './reading';
import type { Run } from './run';
import { HAZARDS, wadingHazard } from './wading';
import { combine, contradictions, type Estimate, weigh } from './weigh';

const build = (o: Partial<Reading> = {}, run: Run = RUN) => buildChannel(run, day(o));
const middle = { xM: 30, yM: 15 };

describe('joining estimates', () => {
  it('weighs by one over the variance (least squares: two of 1 and 1.1 with the same doubt give 1.05 and √½ of it)', () => {
    expect(
      combine([
        { value: 1, sd: 0.2 },
        { value: 1.1, sd: 0.2 },
      ]),
    ).toEqual({
      value: expect.closeTo(1.05, 12),
      sd: expect.closeTo(0.2 * Math.SQRT1_2, 12),
    });
    expect(
      combine([
        { value: 1, sd: 0.1 },
        { value: 2, sd: 0.3 },
      ]).value,
    ).toBeCloseTo(1.1, 12);
  });

  it('readings that contradict each other widen the doubt: two staffs, 0.35 m up and 0.30 m down (Birge ratio, by hand)', () => {
    const { value, sd } = combine([
      { value: 0.35, sd: 0.05 },
      { value: -0.3, sd: 0.05 },
    ]);
    expect(value).toBeCloseTo(0.025, 12);
    expect(sd).toBeCloseTo(0.325, 12); // half of what lies between them
  });

  it('tells what each changed, the doubt never growing once something was read', () => {
    const e = (from: Estimate['from'], value: number, sd: number): Estimate => ({ from, value, sd });
    const w = weigh('flow', e('typical run', 4, 0.31), [e('float', 6, 0.16), e('pace by eye', 5, 0.27)]);
    expect(w.told.map((t) => t.from)).toEqual(['float', 'pace by eye']);
    expect(w.told[0]).toMatchObject({ before: expect.closeTo(4, 9), after: expect.closeTo(6, 9), sdAfter: 0.16 });
    expect(w.value).toBeGreaterThan(5);
    expect(w.value).toBeLessThan(6);
    expect(w.sd).toBeLessThan(0.16);
  });

  it('finds what stands alone, and of two the rougher', () => {
    const level = (value: number, sd: number, from: Estimate['from']): Estimate => ({ from, value, sd });
    const agree = [level(0, 0.1, 'level by eye'), level(0.05, 0.1, 'depth by the leg')];
    expect(contradictions('level', agree)).toEqual([]);
    const apart = [level(0, 0.1, 'level by eye'), level(0.6, 0.05, 'depth by the staff')];
    expect(contradictions('level', apart)[0]).toMatchObject({
      culprit: 'level by eye',
      against: ['depth by the staff'],
      saidCulprit: 0,
      saidOthers: 0.6,
    });
    const three = [...agree, level(0.9, 0.05, 'depth by a sink count')];
    expect(contradictions('level', three)[0]!.culprit).toBe('depth by a sink count');
  });
});

describe('a run by its readings', () => {
  it('runs as fast as the float said, where it was timed', () => {
    const c = build({ speed: { surfaceMps: 1.1, ...middle } });
    const k = Math.round(middle.xM / c.dx) * c.ny + Math.round((middle.yM - c.y0) / c.dy);
    expect(c.u[k]! * (1 + c.profile.m)).toBeCloseTo(1.1, 1);
    expect(c.speedFrom).toBe('today');
    expect(c.readingEffects).toHaveLength(1);
  });

  it('narrows its doubt with every reading: typical, by eye, float, float and gauge', () => {
    const bare: Run = { ...RUN, speed: null };
    const typical = build({}, bare).speedSpread;
    const pace = build({ pace: 'walk' }, bare).speedSpread;
    const float = build({ speed: { surfaceMps: 0.9, ...middle } }, bare).speedSpread;
    const both = build({ speed: { surfaceMps: 0.9, ...middle }, flowM3s: 8 }, { ...RUN, flowM3s: 8 }).speedSpread;
    expect(typical).toBeCloseTo(0.4, 2);
    expect(float).toBeCloseTo(0.2, 2);
    expect([typical, pace, float, both]).toEqual([typical, pace, float, both].sort((a, b) => b - a));
  });

  it('takes a pace by eye as so many times too fast as the eye is known to read', () => {
    const bare: Run = { ...RUN, speed: null };
    const flow = (paceTimes?: number) => build({ pace: 'walk', ...(paceTimes && { paceTimes }) }, bare).flowM3s;
    expect(flow(1)).toBe(flow());
    expect(flow(1.25)).toBeLessThan(0.95 * flow());
    expect(flow(0.8)).toBeGreaterThan(1.05 * flow());
  });

  it('takes the gauge’s change, not its flow, where the flow of the day the run was read is known', () => {
    const read = build({});
    const twice = build({ flowM3s: 20 }, { ...RUN, flowM3s: 10 });
    expect(twice.flowM3s / read.flowM3s).toBeCloseTo(2, 6);
    expect(build({ flowM3s: 20 }).flowM3s).toBeCloseTo(20, 6);
  });

  it('moves the level towards a depth that was measured, the more the surer it is', () => {
    const c = build();
    const at = { xM: 30, yM: 15 };
    const k = Math.round(at.xM / c.dx) * c.ny + Math.round((at.yM - c.y0) / c.dy);
    const deeper = (how: 'leg' | 'staff') => build({ depths: [{ ...at, depthM: c.h[k]! + 0.2, how }] });
    expect(deeper('staff').levelM).toBeGreaterThan(deeper('leg').levelM);
    expect(deeper('leg').levelM).toBeGreaterThan(0);
    expect(deeper('staff').levelM).toBeLessThan(0.2);
    expect(deeper('staff').depthSpread).toBeLessThan(c.depthSpread);
    expect(deeper('staff').readingEffects[0]).toMatchObject({ from: 'depth by the staff', of: 'level', before: 0 });
  });

  it('knows beforehand how rough it will be once a float is timed and a depth is taken', () => {
    const at = { xM: 30, yM: 3 }; // where one wades
    const staff = (c: Channel): Partial<Reading> => ({
      depths: [{ ...at, depthM: waterAt(c, at.xM, at.yM).depthM, how: 'staff' }],
    });
    const float: Partial<Reading> = { speed: { surfaceMps: 0.9, ...middle } };
    for (const day of [{}, { levelM: 0.3 }, { pace: 'walk' }, { levelFrom: 'gauge' }] as const) {
      const c = build(day);
      const both = spreadsWith(c, ['float', 'staff']);
      const read = build({ ...day, ...float, ...staff(c) });
      expect(both.speedSpread).toBeCloseTo(read.speedSpread, 6);
      expect(both.depthSpread).toBeCloseTo(read.depthSpread, 2);
      expect(spreadsWith(c, [])).toEqual({
        speedSpread: c.speedSpread,
        depthSpread: expect.closeTo(c.depthSpread, 9),
      });
      expect(spreadsWith(c, ['float']).depthSpread).toBeCloseTo(c.depthSpread, 9);
    }
  });

  it('trusts the gauge’s level more than the eye', () => {
    expect(build({ levelFrom: 'gauge' }).depthSpread).toBeLessThan(build().depthSpread);
  });

  it('points out a float that cannot be, with the likely culprit', () => {
    const { contradictions: found } = build({ speed: { surfaceMps: 3.5, ...middle } });
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ of: 'flow', against: expect.any(Array) });
    // Of two that are equally rough today's is named: it is the one that can be taken again.
    expect(found[0]).toMatchObject({ culprit: 'float', against: ['float when the run was read'] });
    expect(build({ speed: { surfaceMps: 1, ...middle } }).contradictions).toEqual([]);
  });

  it('has a pace for every word, each faster than the last', () => {
    const paces = Object.values(PACES);
    expect([...paces].sort((a, b) => a - b)).toEqual(paces);
    const flows = (Object.keys(PACES) as (keyof typeof PACES)[]).map((pace) => build({ pace }).flowM3s);
    expect([...flows].sort((a, b) => a - b)).toEqual(flows);
  });
});

describe('another level', () => {
  it('at today’s level is today, as measured; higher carries more', () => {
    const reading = day({ speed: { surfaceMps: 1.3, ...middle } });
    const today = buildChannel(RUN, reading);
    const at = (levelM: number) => {
      const there = atLevel(RUN, reading, levelM);
      return buildChannel(there.run, there.reading);
    };
    expect(at(0).flowM3s / today.flowM3s).toBeCloseTo(1, 2);
    expect(at(0.3).flowM3s).toBeGreaterThan(1.3 * today.flowM3s);
    expect(at(-0.2).flowM3s).toBeLessThan(today.flowM3s);
    expect(() => at(-3)).toThrow('dry');
  });
});

describe('a bend', () => {
  const bent = (turns: 'left' | 'right', bank: 'left' | 'right' = 'left') =>
    build({}, { ...RUN, bank, features: [], bend: { turns, radiusM: 40 } });
  const centre = (c: ReturnType<typeof build>) => {
    const i = Math.round(30 / c.dx);
    let sum = 0;
    let flow = 0;
    for (let j = 0; j < c.ny; j++) {
      const q = c.u[i * c.ny + j]! * c.h[i * c.ny + j]!;
      flow += q;
      sum += q * (c.y0 + j * c.dy);
    }
    return sum / flow;
  };

  it('throws the fast water outward: a river that turns left runs faster along its right bank', () => {
    const straight = centre(build({}, { ...RUN, features: [] }));
    expect(centre(bent('left'))).toBeGreaterThan(straight + 0.3); // read from the left bank, the right is far
    expect(centre(bent('right'))).toBeLessThan(straight - 0.3);
    expect(centre(bent('left', 'right'))).toBeLessThan(straight - 0.3);
  });

  it('carries the same flow through every row (continuity)', () => {
    const c = bent('left');
    for (let i = 0; i < c.nx; i++) {
      let q = 0;
      for (let j = 0; j < c.ny; j++) q += c.u[i * c.ny + j]! * c.h[i * c.ny + j]! * c.dy;
      expect(Math.abs(q / c.flowM3s - 1)).toBeLessThan(1e-3);
    }
  });
});

describe('a section by hand', () => {
  /**
   * Manning (Chow 1959): a trapezoid 10 m wide at the bed, 1 m deep, banks 1:1, n 0.040, slope 0.002.
   * A = 11 m², P = 10 + 2√2 = 12.828 m, R = 0.8575 m, U = R^(2/3)·S^(1/2)/n = 1.0090 m/s, Q = 11.10 m³/s.
   */
  it('gives each vertical its Manning speed, U ∝ h^(2/3), and the hand-worked mean when scaled to its flow', () => {
    const area = 11;
    const radius = area / (10 + 2 * Math.SQRT2);
    const speed = (Math.pow(radius, 2 / 3) * Math.sqrt(0.002)) / 0.04;
    expect(radius).toBeCloseTo(0.8575, 4);
    expect(speed).toBeCloseTo(1.009, 3);
    const trapezoid = (xM: number) => ({
      xM,
      points: [
        { yM: 0, depthM: 0 },
        { yM: 1, depthM: 1 },
        { yM: 11, depthM: 1 },
        { yM: 12, depthM: 0 },
      ],
    });
    const run: Run = { ...RUN, features: [], speed: null, sections: [trapezoid(0), trapezoid(60)] };
    const c = buildChannel(run, day({ flowM3s: area * speed }), { dx: 5, dy: 0.05 });
    expect(c.flowM3s).toBeCloseTo(11.1, 1);
    const row = (y: number) => Math.round(30 / c.dx) * c.ny + Math.round((y - c.y0) / c.dy);
    const half = row(0.5);
    expect(c.u[half]! / c.u[row(6)]!).toBeCloseTo(Math.pow(c.h[half]! / 1, 2 / 3), 2);
    // The flat bed runs a little faster than the mean: the banks are slower.
    expect(c.u[row(6)]!).toBeGreaterThan(speed);
    expect(c.u[row(6)]!).toBeLessThan(1.08 * speed);
  });
});

describe('wading hazard (Cox, Shand & Blacka 2010, from memory)', () => {
  it('goes by depth times speed: 0.6, 0.8, 1.2 m²/s, and by depth and speed alone', () => {
    expect(wadingHazard(0.8, 0.7)).toBe('low');
    expect(wadingHazard(0.7, 0.9)).toBe('moderate');
    expect(wadingHazard(0.9, 0.9)).toBe('significant');
    expect(wadingHazard(1, 1.3)).toBe('extreme');
    expect(wadingHazard(1.25, 0.1)).toBe('moderate');
    expect(wadingHazard(0.1, 3)).toBe('significant');
  });

  it('calls the rule of ten (feet × feet a second) significant, not safe', () => {
    expect(wadingHazard(5 * 0.3048, 2 * 0.3048)).toBe('significant');
    expect(HAZARDS.indexOf('significant')).toBeGreaterThan(HAZARDS.indexOf('moderate'));
  });
});
