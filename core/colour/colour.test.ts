import { linearRegression, linearRegressionLine } from 'simple-statistics';
import fc from 'fast-check';
import { seeded } from '../maths';
import { some } from '../testing/fixtures';
import { learn, type Observed } from './believe';
import { clearing, type ColourReading, forecastColour } from './forecast';
import { futures } from './futures';
import { featuresAt, type HydroPoint, readHydrograph } from './hydrograph';
import { FEATURES, type Feature, type River, RIVER_KINDS } from './kinds';
import { makeRiver, readRiver, START } from './rivers.testing';
import { HOUR_MS } from '../units';
import { clearsAfter } from './clears';

const SPATE: River = { kind: 'spate', peaty: false };
/** Steady flow with one freshet: up within nine hours, down again with a time of two days. */
function freshet(days: number, peakH: number, rise = 6): HydroPoint[] {
  return Array.from({ length: 24 * days }, (_, h) => {
    const since = h - peakH;
    const share = since < -9 ? 0 : since < 0 ? (since + 9) / 9 : Math.exp(-since / 48);
    return { at: START + h * HOUR_MS, flowM3s: 10 * (1 + rise * share), stageM: null };
  });
}
const at = (h: number) => START + h * HOUR_MS;
const feature = (series: readonly HydroPoint[], h: number, f: Feature) =>
  featuresAt(readHydrograph(series), at(h))[FEATURES.indexOf(f)]!;

describe('what a hydrograph remembers', () => {
  const series = freshet(30, 240);
  it('flow by its middle; rises that are forgotten, the short ones first', () => {
    expect(feature(series, 100, 'flow')).toBeCloseTo(0, 1);
    expect(feature(series, 241, 'flow')).toBeGreaterThan(1.5);
    for (const f of ['hours', 'day', 'days'] as const) expect(feature(series, 100, f)).toBeLessThan(0.05);
    const left = (f: Feature) => feature(series, 288, f) / feature(series, 241, f);
    expect(left('hours')).toBeLessThan(left('day'));
    expect(left('day')).toBeLessThan(left('days'));
    expect(left('days')).toBeLessThan(1);
  });

  it('a falling river has the flow of a rising one and less of its rise: the two limbs differ', () => {
    const up = 236;
    const flowUp = feature(series, up, 'flow');
    const down = Array.from({ length: 200 }, (_, i) => 241 + i).find((h) => feature(series, h, 'flow') <= flowUp)!;
    expect(down).toBeGreaterThan(250);
    expect(feature(series, down, 'hours')).toBeLessThan(feature(series, up, 'hours'));
  });

  it('steps of a quarter of an hour and of three hours tell the same; so do level and flow', () => {
    const fine = freshet(30, 240).flatMap((p, i, all) =>
      [0, 1, 2, 3].map((q) => ({
        ...p,
        at: p.at + (q * HOUR_MS) / 4,
        flowM3s: p.flowM3s! + (q / 4) * ((all[i + 1]?.flowM3s ?? p.flowM3s!) - p.flowM3s!),
      })),
    );
    const rough = series.filter((_, i) => i % 3 === 0);
    for (const h of [230, 240, 270, 330])
      for (const f of ['flow', 'day', 'days'] as const) {
        expect(Math.abs(feature(fine, h, f) - feature(series, h, f))).toBeLessThan(0.25);
        expect(Math.abs(feature(rough, h, f) - feature(series, h, f))).toBeLessThan(0.35);
      }
    const staged = series.map((p) => ({ ...p, stageM: 0.5 + 0.3 * p.flowM3s! ** 0.4, flowM3s: null }));
    expect(feature(staged, 241, 'flow')).toBeGreaterThan(0.6);
    expect(feature(staged, 241, 'day')).toBeGreaterThan(feature(staged, 200, 'day') + 0.5);
  });

  it('is refused where there is nothing', () => {
    expect(() => readHydrograph([])).toThrow('series');
    expect(() => readHydrograph([{ at: 0, stageM: null, flowM3s: null }])).toThrow('series');
  });
});

describe('what readings teach', () => {
  const prior = { mean: [0, 0], spread: [1, 0.5] };
  const scales = { weights: 1, days: 0.2, weeks: 0.2, noise: 0.1 };
  const seen = (y: number, o: Partial<Observed> = {}): Observed => ({ x: [1, 0], day: 0, y, atLeast: false, ...o });

  it('one reading, by hand: mean k/(k + σ²)·y and variance k − k²/(k + σ²)', () => {
    const k = 1 + 0.04 + 0.04;
    const { mean, variance } = learn(prior, scales, [seen(0.8)]).at([1, 0], 0);
    expect(mean).toBeCloseTo((k / (k + 0.01)) * 0.8, 9);
    expect(variance).toBeCloseTo(k - k ** 2 / (k + 0.01), 9);
    expect(learn(prior, scales, []).at([1, 0.5], 3)).toEqual({
      mean: 0,
      variance: expect.closeTo(1 + 0.0625 + 0.08, 9),
    });
  });

  it('"at least" bears on what is below only: moments of the truncated normal, by numbers', () => {
    const { mean, variance } = learn(prior, scales, [seen(0.5, { atLeast: true })]).at([1, 0], 0);
    // Straight integration of N(f; 0, k)·Φ((f − 0.5)/0.1).
    const k = 1.08;
    const [m0, m1, m2] = [0, 0, 0].map((_, p) => {
      let sum = 0;
      for (let f = -8; f < 8; f += 1e-3) {
        let below = 0;
        for (let u = -5; u < (f - 0.5) / 0.1 && u < 5; u += 0.05) below += Math.exp((-u * u) / 2) * 0.05;
        sum += f ** p * Math.exp((-f * f) / (2 * k)) * Math.min(1, below / Math.sqrt(2 * Math.PI)) * 1e-3;
      }
      return sum;
    }) as [number, number, number];
    expect(mean).toBeCloseTo(m1 / m0, 1);
    expect(variance / (m2 / m0 - (m1 / m0) ** 2)).toBeCloseTo(1, 0);
    // What is far below what is believed anyway says nothing.
    const idle = learn(prior, scales, [seen(1, {}), seen(-3, { atLeast: true })]).at([1, 0], 0).mean;
    expect(idle).toBeCloseTo(learn(prior, scales, [seen(1)]).at([1, 0], 0).mean, 3);
  });

  it('more readings never make it less sure, and fade with time', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: 0, max: 90, noNaN: true })), {
          minLength: 1,
          maxLength: 8,
        }),
        (list) => {
          const all = list.map(([y, d]) => seen(y, { day: d }));
          const sure = (n: number) => learn(prior, scales, all.slice(0, n)).at([1, 0], 45).variance;
          for (let n = 1; n <= all.length; n++) expect(sure(n)).toBeLessThanOrEqual(sure(n - 1) + 1e-9);
        },
      ),
      { numRuns: 40 },
    );
    const b = learn({ mean: [0, 0], spread: [0.01, 0.01] }, scales, [seen(0.5)]);
    expect(b.at([1, 0], 1).mean).toBeGreaterThan(b.at([1, 0], 20).mean);
  });
});

describe('what is said of a river', () => {
  const series = freshet(40, 600);
  const clear = (h: number, visibilityM: number, atLeast = false): ColourReading => ({
    at: at(h),
    visibilityM,
    atLeast,
  });
  const median = (river: River, h: number, readings: readonly ColourReading[] = []) =>
    forecastColour(river, series.slice(0, 24 * 40), readings, [at(h)])[0]!;

  it('dirty on the rise, clearing after it (common practice, no source), in every kind of river', () => {
    for (const kind of RIVER_KINDS.filter((k) => k !== 'below a dam')) {
      const river = { kind, peaty: false };
      const [before, peak, after, later] = [580, 600, 648, 760].map((h) => median(river, h).medianM) as [
        number,
        number,
        number,
        number,
      ];
      expect(peak).toBeLessThan(0.75 * before);
      expect(after).toBeGreaterThan(peak);
      expect(later).toBeGreaterThan(after);
    }
    // Below a dam the rain says little.
    const dam = { kind: 'below a dam' as const, peaty: false };
    expect(median(dam, 600).medianM / median(dam, 580).medianM).toBeGreaterThan(
      median(SPATE, 600).medianM / median(SPATE, 580).medianM,
    );
    expect(median({ ...SPATE, peaty: true }, 580).medianM).toBeLessThan(median(SPATE, 580).medianM);
  });

  it('a reading bends it, "at least" only upwards, and both make it surer', () => {
    const plain = median(SPATE, 580);
    const low = median(SPATE, 580, [clear(570, 0.5)]);
    expect(low.medianM).toBeLessThan(0.6 * plain.medianM);
    expect(low.high80M / low.low80M).toBeLessThan(plain.high80M / plain.low80M);
    const atLeast = median(SPATE, 580, [clear(570, 2.5, true)]);
    expect(atLeast.medianM).toBeGreaterThan(1.3 * plain.medianM);
    expect(atLeast.low80M).toBeGreaterThan(1.2);
    const nothing = median(SPATE, 580, [clear(570, 0.2, true)]);
    expect(nothing.medianM).toBeCloseTo(plain.medianM, 1);
  });

  it('quantiles and chances agree, and doubt grows past the last value', () => {
    const known = series.slice(0, 610);
    const [now, day, two] = forecastColour(
      SPATE,
      known,
      [clear(500, 1.4), clear(560, 1.5), clear(605, 0.3)],
      [609, 633, 657].map(at),
    );
    for (const f of some([now!, day!, two!])) {
      expect(f.chanceAtLeast(f.medianM)).toBeCloseTo(0.5, 3);
      expect(f.chanceAtLeast(f.low80M)).toBeCloseTo(0.9, 3);
      expect(f.chanceAtLeast(f.high80M)).toBeCloseTo(0.1, 3);
      expect(f.chanceAtLeast(0.3)).toBeGreaterThan(f.chanceAtLeast(1.8));
    }
    const width = (f: typeof now) => Math.log(f!.high80M / f!.low80M);
    expect(width(two)).toBeGreaterThan(width(now));
    expect(two!.because.pastH).toBe(48);
    expect(now!.because).toMatchObject({ readings: 3, latestH: 4 });
    expect(median(SPATE, 597).because).toMatchObject({ river: { code: 'rising' }, readings: 0, latestH: null });
    expect(() => forecastColour(SPATE, known, [], [at(609 + 49)])).toThrow('ask[0]: more than 48 h');
  });

  it('the same question has the same answer', () => {
    const ask = [at(640), at(650)];
    const say = () => forecastColour(SPATE, series.slice(0, 610), [clear(605, 0.3)], ask).map((f) => f.medianM);
    expect(say()).toEqual(say());
    expect(futures(readHydrograph(series.slice(0, 610)), SPATE, at(650)).length).toBeGreaterThanOrEqual(12);
  });
});

describe('calibration, on seeded rivers of a mass balance quite unlike the forecast’s own model', () => {
  /** Rivers of a kind, asked at moments up to 48 h on: how many lie inside, the error against "same as last time", the width. */
  function tried(count: number) {
    let [all, inside, error, same, line] = [0, 0, 0, 0, 0];
    const widths: number[] = [];
    for (const kind of RIVER_KINDS)
      for (let seed = 1; seed <= 4; seed++) {
        const river = { kind, peaty: seed % 3 === 0 };
        const r = makeRiver(river, 1000 * seed + kind.length, 160);
        const now = Math.floor(24 * (80 + 70 * seeded(seed)()));
        const readings = readRiver(r, 7 * seed, count, now);
        const hours = [0, 12, 24, 48];
        // The plainest rival: a straight line of the logarithms of what was read on those of the flow (simple-statistics).
        const flowLog = (h: number) => Math.log(r.series[Math.min(now, h)]!.flowM3s!);
        const straight = linearRegressionLine(
          linearRegression(readings.map((x) => [flowLog((x.at - r.startAt) / HOUR_MS), Math.log(x.visibilityM)])),
        );
        forecastColour(
          river,
          r.series.slice(0, now + 1),
          readings,
          hours.map((h) => at(now + h)),
        ).forEach((f, i) => {
          const truth = r.truth[now + hours[i]!]!;
          all++;
          if (truth >= f.low80M && truth <= f.high80M) inside++;
          error += Math.abs(Math.log(f.medianM / truth));
          same += Math.abs(Math.log(readings.at(-1)!.visibilityM / truth));
          line += Math.abs(straight(flowLog(now + hours[i]!)) - Math.log(truth));
          widths.push(Math.log(f.high80M / f.low80M));
        });
      }
    widths.sort((a, b) => a - b);
    return { inside: inside / all, ratio: error / same, byLine: error / line, width: widths[widths.length >> 1]! };
  }

  it('four in five lie inside (72 to 90 %), the error is at most three quarters of "same as last time" and less than by a line on the flow, and many readings narrow it', () => {
    const few = tried(4);
    const many = tried(40);
    for (const t of [few, many]) {
      expect(t.inside).toBeGreaterThanOrEqual(0.72);
      expect(t.inside).toBeLessThanOrEqual(0.92);
      expect(t.ratio).toBeLessThan(0.75);
      expect(t.byLine).toBeLessThan(0.85);
    }
    expect(many.width).toBeLessThan(0.85 * few.width);
  });
});

describe('how a river is believed to clear', () => {
  const river = { kind: 'spate', peaty: false } as const;
  const trial = makeRiver(river, 21, 200);

  it('is dirtiest at the top of a rise and clears from then on, for every kind', () => {
    for (const kind of RIVER_KINDS) {
      const steps = clearing({ kind, peaty: false }, trial.series, []);
      expect(steps[0]!.afterH).toBe(0);
      expect(steps.at(-1)!.afterH).toBe(116);
      expect(steps.at(-1)!.medianM).toBeGreaterThan(1.1 * steps[0]!.medianM);
      for (const s of steps) {
        expect(s.low80M).toBeLessThan(s.medianM);
        expect(s.high80M).toBeGreaterThan(s.medianM);
      }
      const later = steps.slice(2);
      expect(later.every((s, i) => i === 0 || s.medianM > 0.97 * later[i - 1]!.medianM)).toBe(true);
    }
  });

  it('follows the flow as its kind falls: long where springs feed it', () => {
    // By the flow alone, without the memory of the rise: the middle of the table moves with nothing else.
    const left = (kind: River['kind']) => {
      const steps = clearing({ kind, peaty: false }, trial.series, []);
      const back = (s: (typeof steps)[number]) => Math.log(steps.at(-1)!.medianM / s.medianM);
      return back(steps[6]!) / back(steps[0]!);
    };
    // A day on a spate river has cleared by more of its whole way than a lowland one.
    expect(left('spate')).toBeLessThan(left('lowland'));
    for (const kind of RIVER_KINDS) expect(left(kind)).toBeGreaterThan(0.1);
    // It speaks of some other time: a reading of this morning moves it no more than one of weeks ago.
    const reading = (days: number): ColourReading => ({
      at: trial.series.at(-1)!.at - days * 24 * HOUR_MS,
      visibilityM: 0.2,
      atLeast: false,
    });
    const top = (days: number) => clearing(river, trial.series, [reading(days)])[29]!.medianM;
    expect(Math.abs(Math.log(top(0) / top(40)))).toBeLessThan(0.35);
  });

  it('is bent by readings: of a river that clears at once, and of one that stays dirty', () => {
    const peaks = trial.series.flatMap((p, i) => (i > 600 && i % 60 === 0 ? [p.at] : []));
    const read = (visibilityM: number) => peaks.map((at): ColourReading => ({ at, visibilityM, atLeast: false }));
    const day = (readings: readonly ColourReading[]) => clearing(river, trial.series, readings)[6]!;
    expect(day(read(2)).medianM).toBeGreaterThan(1.5 * day([]).medianM);
    expect(day(read(0.25)).medianM).toBeLessThan(0.6 * day([]).medianM);
    const width = (s: { low80M: number; high80M: number }) => Math.log(s.high80M / s.low80M);
    expect(width(day(read(0.5)))).toBeLessThan(width(day([])));
  });

  it('tells when it is two feet again, and how sure', () => {
    const step = (afterH: number, medianM: number) => ({
      ...{ afterH, medianM, low80M: medianM / 1.5, high80M: 1.5 * medianM },
    });
    const steps = (of: (h: number) => number) => Array.from({ length: 30 }, (_, i) => step(4 * i, of(4 * i)));
    const rising = steps((h) => 0.3 + h / 100);
    expect(clearsAfter(rising, 5)).toEqual({ readings: 5, topM: 0.3, middleH: 32, soonestH: 12, latestH: 64 });
    // Sure of it: one figure.
    const sure = rising.map((x) => ({ ...x, low80M: x.medianM, high80M: x.medianM }));
    expect(clearsAfter(sure, 5)).toMatchObject({ middleH: 32, soonestH: 32, latestH: 32 });
    expect(clearsAfter(steps(() => 1.4), 5).middleH).toBe(0); // prettier-ignore
    expect(clearsAfter(steps(() => 0.2), 5).middleH).toBeNull(); // prettier-ignore
    const slow = steps((h) => (h < 20 ? 0.5 : 0.7));
    expect(clearsAfter(slow, 5)).toMatchObject({ middleH: 20, soonestH: 0, latestH: null });
  });
});
