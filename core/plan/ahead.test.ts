import { RUN } from '../testing/fixtures';
import { HOUR_MS, MINUTE_MS } from '../units';
import type { Run } from '../water';
import { type AheadAsk, dayAhead, skyOf } from './ahead';
import { planDay } from './day';
import { proposeStops } from './propose';
import { suitsAt } from './suits';
import { temperatureRecord } from './temperature';
import { walkMinBetween } from './walks';

const DAY_START = Date.UTC(2026, 6, 15);
const weather = (o: object = {}) =>
  Array.from({ length: 48 }, (_, h) => ({
    ...{ at: DAY_START + h * HOUR_MS, rainMm: 0.5, airTempC: 15, cloud: 0.1, windMps: 2, windFromDeg: 0 },
    ...o,
  }));
const ask = (o: Partial<AheadAsk> = {}): AheadAsk => ({
  ...{
    place: { latDeg: 57, lonDeg: 0 },
    dayStart: DAY_START,
    water: { rules: null, quarry: 'brown trout' },
    runs: [],
    points: [],
  },
  ...{
    weather: [],
    colours: [],
    levels: [],
    heardAt: DAY_START,
    sky: null,
    chosen: null,
    length: 'whole day',
    walkMin: 10,
    backMin: null,
  },
  ...o,
});
const hourAt = (a: AheadAsk, h: number) => dayAhead(a).hours.hours[2 * h]!;
const noon = (a: AheadAsk) => dayAhead(a).sun!.noon;
/** A run that flows east, its trees on the south bank, which is the far one. */
const SHADED: Run = { ...RUN, bearingDeg: 90, bank: 'left', trees: { nearM: 0, farM: 25 }, features: [] };
const OPEN_RUN = { ...SHADED, trees: { nearM: 0, farM: 0 } };

describe('a day ahead', () => {
  it('goes by the sky that is foretold until one says another', () => {
    expect(dayAhead(ask({ weather: weather() }))).toMatchObject({ sky: 'bright', foretold: 'bright' });
    expect(dayAhead(ask({ weather: weather({ cloud: 0.9 }) }))).toMatchObject({
      ...{ sky: 'cloud', foretold: 'cloud', hours: { school: 'all day under cloud' } },
    });
    expect(dayAhead(ask({ weather: weather({ cloud: 0.9 }), sky: 'bright' }))).toMatchObject({
      ...{ sky: 'bright', foretold: 'cloud', hours: { school: 'ends of the day', because: { code: 'bright sky' } } },
    });
    expect(dayAhead(ask({ sky: 'not said', weather: weather({ cloud: 0.9 }) })).hours.because.code).toBe(
      'sky not said',
    );
    expect([0.35, 0.36, 0.69, 0.7].map((cloud) => skyOf([{ cloud }]))).toEqual(['bright', null, null, 'cloud']);
  });

  it('goes by the tide where fish come in from the sea', () => {
    const tides = [DAY_START + 6 * HOUR_MS, DAY_START + 30 * HOUR_MS];
    const of = (quarry: AheadAsk['water']['quarry']) => dayAhead(ask({ water: { rules: null, quarry, tides } }));
    expect(of('sea trout').highWaters).toEqual([DAY_START + 6 * HOUR_MS]);
    expect(of('brown trout').highWaters).toEqual([]);
    const less = (a: ReturnType<typeof of>) => a.good.filter((g) => g.less === 'tide').length;
    expect([less(of('sea trout')) > 0, less(of('brown trout'))]).toEqual([true, 0]);
  });

  it('has no hours without a place, and lays out what is fished in the hours that are said', () => {
    const none = dayAhead(ask({ place: null }));
    expect([none.sun, none.fished, none.ask.windows]).toEqual([null, [], []]);
    const a = dayAhead(ask({ weather: weather(), runs: [SHADED] }));
    expect(a.fished.every((h) => a.ask.windows.some((w) => h.at >= w.fromAt && h.at <= w.toAt))).toBe(true);
    expect(a.ask.rainMm!(DAY_START, DAY_START + 4 * HOUR_MS)).toBeCloseTo(2, 9);
    expect(a.ask.runs.map((r) => r.name)).toEqual([SHADED.name]);
  });
});

describe('how a run suits an hour (directions: common practice, no source)', () => {
  const a = ask();
  const suits = (run: Run, h: number, w: object = {}, of = a) => suitsAt(run, hourAt(of, h), weather(w)[h], noon(of));

  it('shade and broken water under a high sun, none of it under cloud', () => {
    expect(suits(SHADED, 12)).toBeGreaterThan(suits(OPEN_RUN, 12) + 0.3);
    expect(suits(SHADED, 12, { cloud: 0.9 })).toBe(0);
    const riffle = { id: 'r', kind: 'riffle' as const, xM: 10, yM: 5, lengthM: 10, widthM: 10 };
    expect(suits({ ...OPEN_RUN, features: [riffle] }, 12)).toBeCloseTo(suits(OPEN_RUN, 12) + 0.3, 9);
  });

  const cold = ask({
    points: Array.from({ length: 96 }, (_, i) => ({
      ...{ at: DAY_START - (96 - i) * HOUR_MS, stageM: 1, flowM3s: 5, tempC: 4 },
    })),
  });
  /** Deep from its first step on. */
  const steep = (run: Run): Run => ({
    ...run,
    sections: run.sections.map((s) => ({ ...s, points: s.points.map((p) => ({ ...p, depthM: 4 * p.depthM })) })),
  });

  it('in cold water the thin inside about noon; at low water a bar from which one reaches the far bank', () => {
    const more = (h: number, of?: AheadAsk) => suits(OPEN_RUN, h, {}, of) - suits(steep(OPEN_RUN), h, {}, of);
    expect([8, 12, 17].map((h) => Math.round(10 * more(h, cold)))).toEqual([0, 2, 0]);
    expect(more(12)).toBe(0); // in July nothing has to warm
    const at = (run: Run, levelM: number | null) => suitsAt(run, hourAt(a, 12), weather()[12], noon(a), levelM);
    expect(at(OPEN_RUN, -0.2) - at(OPEN_RUN, null)).toBeCloseTo(0.3, 9);
    expect(at(OPEN_RUN, 0.1) - at(OPEN_RUN, null)).toBe(0);
    expect(at(steep(OPEN_RUN), -0.2) - at(steep(OPEN_RUN), null)).toBe(0);
    // A day at low water is laid out by it.
    const levels = [-10, 40].map((h) => ({ at: DAY_START + h * HOUR_MS, levelM: -0.2 }));
    const [low] = dayAhead(ask({ runs: [OPEN_RUN], levels })).ask.runs;
    const [usual] = dayAhead(ask({ runs: [OPEN_RUN] })).ask.runs;
    expect(low!.suits(noon(a)) - usual!.suits(noon(a))).toBeCloseTo(0.3, 9);
  });

  it('in cold water the sun on it; at dusk where it shallows out', () => {
    expect(suits(OPEN_RUN, 12, {}, cold)).toBeGreaterThan(suits(SHADED, 12, {}, cold));
    const tail = {
      ...OPEN_RUN.sections.at(-1)!,
      points: OPEN_RUN.sections.at(-1)!.points.map((p) => ({ ...p, depthM: p.depthM / 4 })),
    };
    const shallow = { ...OPEN_RUN, sections: [...OPEN_RUN.sections.slice(0, -1), tail] };
    expect(suits(shallow, 20) - suits(OPEN_RUN, 20)).toBeCloseTo(0.5, 9);
    expect(suits(shallow, 5) - suits(OPEN_RUN, 5)).toBe(0); // the same light at dawn
  });

  it('wind against it, by its strength', () => {
    const [light, fresh, strong] = [2, 7, 12].map((windMps) => suits(OPEN_RUN, 12, { windMps, windFromDeg: 90 }));
    expect([fresh! - light!, strong! - light!]).toEqual([-0.5, -1.5]);
  });

  it('lays each run into the hours that suit it: the shaded one at noon, the open one at the ends', () => {
    const runs = [
      { ...OPEN_RUN, id: 'open', name: 'Open' },
      { ...SHADED, id: 'shaded', name: 'Shaded' },
    ];
    const a = dayAhead(ask({ weather: weather(), runs, chosen: 'all day under cloud' }));
    const day = {
      ...a.ask,
      ...{ notBefore: DAY_START, windows: [{ fromAt: DAY_START + 9 * HOUR_MS, toAt: DAY_START + 13 * HOUR_MS }] },
      runs: a.ask.runs.map((r) => ({ ...r, minutes: 115 })),
    };
    const order = (of: typeof day) =>
      planDay(of, proposeStops(of), null).legs.flatMap((l) => (l.kind === 'run' ? [l.name] : []));
    expect(order(day)).toEqual(['Open', 'Shaded']);
    const later = { ...day, windows: [{ fromAt: DAY_START + 11 * HOUR_MS, toAt: DAY_START + 18 * HOUR_MS }] };
    expect(order(later)[0]).toBe('Shaded');
  });
});

describe('walks from run to run', () => {
  const runs = [0, 400, null].map((downM, i) => ({
    ...{ runId: String(i), name: '', minutes: 40, suits: () => 0, downM, barred: null },
  }));
  it('take as long as the way along the river, or as one said where that is not known', () => {
    const min = (from: string, to: string) => walkMinBetween({ runs, walkMin: 12 }, from, to);
    expect([min('0', '1'), min('1', '0'), min('0', '2'), min('1', '1')]).toEqual([10, 10, 12, 0]);
  });

  it('stand in the day by the clock', () => {
    const day = {
      ...{ dayStart: DAY_START, notBefore: DAY_START, driveMin: 30, walkMin: 12, runs: runs.slice(0, 2), releases: [] },
      ...{ windows: [{ fromAt: DAY_START + 9 * HOUR_MS, toAt: DAY_START + 10.5 * HOUR_MS }] },
      ...{ lastLightAt: null, sunsetAt: null, dusk: true, backBy: null, rainMm: null },
    };
    const { legs } = planDay(day, proposeStops(day), null);
    expect(legs.filter((l) => l.kind.startsWith('walk')).map((l) => (l.toAt - l.fromAt) / MINUTE_MS)).toEqual([
      12, 10, 22,
    ]);
  });
});

describe('a day along a river', () => {
  const far = (downM: number[], o: object = {}) => ({
    ...{ dayStart: DAY_START, notBefore: DAY_START, driveMin: 30, walkMin: 10, releases: [], rainMm: null },
    runs: downM.map((m, i) => ({
      ...{ runId: String(i), name: String(m), minutes: 60, suits: () => 0, downM: m, barred: null },
    })),
    windows: [{ fromAt: DAY_START + 8 * HOUR_MS, toAt: DAY_START + 14 * HOUR_MS }],
    ...{ lastLightAt: null, sunsetAt: null, dusk: true, backBy: null },
    ...o,
  });
  const fished = (day: ReturnType<typeof far>) => {
    const { legs } = planDay(day, proposeStops(day), null);
    return legs.flatMap((l) => (l.kind === 'run' ? [l.name] : []));
  };

  it('is fished again where one stands soonest at a run that is rested, not from its other end', () => {
    expect(fished(far([0, 400, 2000])).slice(0, 4)).toEqual(['0', '400', '2000', '400']);
  });

  it('has no walk that is longer than what is fished after it', () => {
    const day = far([0, 4000], { windows: [{ fromAt: DAY_START + 8 * HOUR_MS, toAt: DAY_START + 10.5 * HOUR_MS }] });
    expect(fished(day)).toEqual(['0']); // 100 minutes of walk for half an hour
  });

  it('is fished again on the way back to the road where the dark leaves no time at its far end', () => {
    const day = far([0, 700, 1500], { lastLightAt: DAY_START + 13.5 * HOUR_MS });
    expect(fished(day)).toEqual(['0', '700', '1500', '700']);
  });

  it('ends so that one is home when one said', () => {
    const backBy = DAY_START + 12 * HOUR_MS;
    const day = far([0, 700], { backBy });
    const { legs, backAt } = planDay(day, proposeStops(day), null);
    expect(backAt).toBeLessThanOrEqual(backBy);
    expect(backBy - backAt).toBeLessThan(HOUR_MS);
    expect(legs.some((l) => l.kind === 'run')).toBe(true);
  });

  it('ends in time to walk out past the first run before dark', () => {
    const dark = DAY_START + 12 * HOUR_MS;
    const { legs, cautions } = planDay(
      far([0, 1200], { lastLightAt: dark }),
      proposeStops(far([0, 1200], { lastLightAt: dark })),
      null,
    );
    expect(legs.find((l) => l.kind === 'walk back')!.toAt).toBeLessThanOrEqual(dark);
    expect(legs.filter((l) => l.kind === 'run').length).toBeGreaterThan(1);
    expect(cautions.some((c) => c.code === 'dark')).toBe(false);
  });
});

describe('how the forecast of temperatures held', () => {
  /** A water with a day’s course of a degree to each side, a front every so many days. */
  const points = (front: (day: number) => number, days = 40) =>
    Array.from({ length: 24 * days }, (_, i) => {
      const at = DAY_START - (24 * days - i) * HOUR_MS;
      return { at, stageM: 1, flowM3s: 5, tempC: 8 + front(Math.floor(i / 24)) + Math.sin(((i % 24) - 9) / 3.8) };
    });

  it('a water that does the same each day is told to the tenth; a front by night is what it misses', () => {
    expect(
      temperatureRecord(
        points(() => 0),
        DAY_START,
      ),
    ).toMatchObject({ within: 30, days: 30 });
    expect(
      temperatureRecord(
        points(() => 0),
        DAY_START,
      )!.likelyC,
    ).toBeLessThan(0.1);
    const fronts = temperatureRecord(
      points((day) => (day % 5 === 0 ? 3 : 0)),
      DAY_START,
    )!;
    expect(fronts.within).toBeLessThan(24);
    expect(fronts.likelyC).toBeGreaterThan(1);
    // It is told once there are ten days of it.
    const few = points((day) => 0.05 * ((day * day) % 7), 15);
    const { days, likelyC } = temperatureRecord(few, DAY_START)!;
    expect(days).toBeGreaterThanOrEqual(10);
    expect(likelyC).toBeGreaterThan(0);
  });

  it('says nothing where the gauge tells too few days', () => {
    expect(
      temperatureRecord(
        points(() => 0, 4),
        DAY_START,
      ),
    ).toBeNull();
    expect(temperatureRecord([], DAY_START)).toBeNull();
  });
});
