import { type ColourReading, forecastColour } from './forecast';
import { futures } from './futures';
import { flowAt, type HydroPoint, readHydrograph } from './hydrograph';
import type { River } from './kinds';
import { rainSums } from './rain';
import { DAY_MS, HOUR_MS } from '../units';

const START = Date.UTC(2026, 0, 1);
const at = (h: number) => START + h * HOUR_MS;
const SPATE: River = { kind: 'spate', peaty: false };

describe('sums of rain', () => {
  const sum = rainSums([1, 2, 3].map((mm, i) => ({ at: at(i), rainMm: mm })));
  it('are of what fell after the one moment and up to the other', () => {
    expect(sum(at(-1), at(2))).toBe(6);
    expect(sum(at(0), at(2))).toBe(5);
    expect(sum(at(0), at(1))).toBe(2);
    expect(sum(at(1), at(1))).toBe(0);
    expect(sum(at(2), at(9))).toBe(0);
    expect(sum(at(-9), at(-1))).toBe(0);
    expect(rainSums([])(at(0), at(9))).toBe(0);
  });
});

/** A brook that answers rain after six hours: each tenth day 20 mm fall in four hours, and the flow trebles and falls again. */
const RAINS_H = 240;
const series = Array.from({ length: 24 * 100 }, (_, h): HydroPoint => {
  const since = (h % RAINS_H) - 6;
  const risen = since <= 0 ? 0 : since < 6 ? since / 6 : Math.exp(-(since - 6) / 30);
  return {
    at: at(h),
    stageM: null,
    flowM3s: 5 * (1 + 2 * risen),
    rainMm: h % RAINS_H >= 1 && h % RAINS_H <= 4 ? 5 : 0,
  };
});
/** Up to just before the ninth of these rains, in steady low water. */
const known = series.slice(0, 9 * RAINS_H);
const now = known.at(-1)!.at;
const coming = (mm: number) => [2, 3, 4, 5].map((h) => ({ at: now + h * HOUR_MS, rainMm: mm / 4 }));
const rains = (mm: number) => ({
  fell: rainSums(known.map((p) => ({ at: p.at, rainMm: p.rainMm! }))),
  ahead: rainSums(coming(mm)),
});
const highest = (paths: ReturnType<typeof futures>) =>
  paths.map((g) => Math.max(...g.points.map((p) => p.q))).sort((a, b) => a - b);
const middle = (list: readonly number[]) => list[list.length >> 1]!;

describe('futures where rain is foretold', () => {
  const gauge = readHydrograph(known);
  const low = flowAt(gauge, now);

  it('go on as the river went on from moments with as much rain to come: it rose after it, and stayed without it', () => {
    const wet = highest(futures(gauge, SPATE, now + 2 * DAY_MS, rains(20)));
    const dry = highest(futures(gauge, SPATE, now + 2 * DAY_MS, rains(0)));
    expect(middle(wet)).toBeGreaterThan(low + 0.5);
    expect(middle(wet)).toBeLessThan(low + 1.3);
    expect(middle(dry)).toBeLessThan(low + 0.1);
  });

  it('know the rain that has fallen and is still on its way', () => {
    const fallen = series.slice(0, 9 * RAINS_H + 5);
    const later = readHydrograph(fallen);
    const end = fallen.at(-1)!.at;
    const fell = rainSums(fallen.map((p) => ({ at: p.at, rainMm: p.rainMm! })));
    const paths = futures(later, SPATE, end + DAY_MS, { fell, ahead: rainSums([]) });
    expect(flowAt(later, end)).toBeCloseTo(low, 1);
    // Eight such moments are remembered and all rose; the others go by its kind, which answers rain, too.
    const tops = highest(paths);
    expect(tops.filter((q) => q > low + 0.5).length).toBeGreaterThanOrEqual(8);
    expect(middle(tops)).toBeGreaterThan(low + 0.2);
  });

  it('of more rain than ever was seen go by the kind of river: more for a spate than below a dam, and none for a shower', () => {
    const short = readHydrograph(known.slice(-72));
    const none = { fell: rainSums([]), ahead: rainSums([]) };
    const by = (river: River, mm: number) =>
      middle(highest(futures(short, river, now + 2 * DAY_MS, { ...none, ahead: rainSums(coming(mm)) })));
    expect(by(SPATE, 40)).toBeGreaterThan(by(SPATE, 15) + 0.3);
    expect(by(SPATE, 15)).toBeGreaterThan(by(SPATE, 2) + 0.2);
    expect(by(SPATE, 40)).toBeGreaterThan(by({ kind: 'lowland', peaty: false }, 40) + 0.3);
    expect(by({ kind: 'lowland', peaty: false }, 40)).toBeGreaterThan(
      by({ kind: 'below a dam', peaty: false }, 40) + 0.2,
    );
  });

  it('dim the river that is foretold, and say so', () => {
    const ask = [now + DAY_MS];
    const [wet] = forecastColour(SPATE, known, [], ask, coming(20));
    const [dry] = forecastColour(SPATE, known, [], ask, coming(0));
    expect(wet!.medianM).toBeLessThan(0.75 * dry!.medianM);
    expect(wet!.because).toMatchObject({ pastH: 24, rainMm: expect.closeTo(20, 6) });
    expect(dry!.because.rainMm).toBe(0);
    expect(forecastColour(SPATE, known, [], ask)[0]!.because).toMatchObject({ pastH: 24, rainMm: null });
    expect(forecastColour(SPATE, known, [], [now], coming(20))[0]!.because.rainMm).toBeNull();
  });
});

describe('futures by how the river stands', () => {
  /** Up for two days and down for eight, over and over: at one flow it goes up or down, by how it came there. */
  const wave = Array.from({ length: 24 * 110 }, (_, h): HydroPoint => {
    const d = h % 240;
    const q = d < 48 ? d / 48 : 1 - (d - 48) / 192;
    return { at: at(h), stageM: null, flowM3s: 5 * Math.exp(1.5 * q) };
  });
  const goesOn = (hour: number) => {
    const past = wave.slice(0, 10 * 240 + hour);
    const gauge = readHydrograph(past);
    const end = past.at(-1)!.at;
    return middle(
      futures(gauge, SPATE, end + 18 * HOUR_MS)
        .map((g) => g.points.at(-1)!.q - flowAt(gauge, end))
        .sort((a, b) => a - b),
    );
  };

  it('rises on where it rises, falls on where it falls, at the same flow', () => {
    expect(goesOn(26)).toBeGreaterThan(0.3);
    expect(goesOn(48 + 96)).toBeLessThan(-0.05);
  });
});

describe('what decides', () => {
  /** So much flow by the hour, after a month of five. */
  const after = (...flows: number[]) =>
    [...Array.from({ length: 720 }, () => 5), ...flows].map((flowM3s, h): HydroPoint => ({
      at: at(h),
      stageM: null,
      flowM3s,
    }));
  const says = (points: readonly HydroPoint[], readings: ColourReading[] = [], later = 0) =>
    forecastColour(SPATE, points, readings, [points.at(-1)!.at + later * HOUR_MS])[0]!.because;
  const steps = (n: number, of: (i: number) => number) => Array.from({ length: n }, (_, i) => of(i));

  it('are of the flow: rising, clearing, low, middling, somewhat more and more than usual', () => {
    const rising = says(after(...steps(12, (i) => 5 * 1.08 ** i)));
    expect(rising).toMatchObject({ river: { code: 'rising', moreShare: expect.closeTo(1.33, 0) }, latestH: null });
    const fallen = steps(40, (i) => 5 + 15 * Math.exp(-i / 12));
    expect(says(after(5, 9, 14, 20, ...fallen))).toMatchObject({
      ...{ river: { code: 'clearing', falling: true } },
    });
    expect(says(after(5, 9, 14, 20, ...steps(110, (i) => 5 + 15 * Math.exp(-i / 12))))).toMatchObject({
      ...{ river: { code: 'clearing slowly' } },
    });
    expect(says(after(...steps(300, () => 5)))).toMatchObject({ river: { code: 'middling' } });
    const slowly = (to: number) => after(...steps(600, (i) => 5 + (to - 5) * Math.min(1, i / 500)));
    expect(says(slowly(3))).toMatchObject({ river: { code: 'low' } });
    expect(says(slowly(7))).toMatchObject({ river: { code: 'raised' } });
    expect(says(slowly(11))).toMatchObject({ river: { code: 'high' } });
  });

  it('call nothing rising that has stopped, nor what creeps up', () => {
    // Up and down again within twelve hours: much was risen, little is left of it.
    expect(says(after(8, 12, 16, 16, 12, 9, 7, 6, 5.5, 5.2, 5.1, 5)).river.code).toBe('clearing');
    // A seventh more in twelve hours, evenly: nothing that tears at the banks.
    expect(says(after(...steps(12, (i) => 5 * 1.0115 ** (i + 1)))).river.code).not.toBe('rising');
  });

  it('are the same in whatever order the values and readings come, and a flow of nothing is none', () => {
    const points = after(5, 9, 14, 20, ...steps(20, (i) => 5 + 15 * Math.exp(-i / 12)));
    const end = points.at(-1)!.at;
    const readings = [60, 10, 30].map((h): ColourReading => ({
      at: end - h * HOUR_MS,
      visibilityM: 0.4 + h / 100,
      atLeast: false,
    }));
    const ask = [end - 5 * HOUR_MS, end + DAY_MS];
    const told = forecastColour(SPATE, points, readings, ask);
    const mixed = forecastColour(SPATE, [...points].reverse(), [...readings].reverse(), ask);
    mixed.forEach((f, i) => expect(f.medianM).toBeCloseTo(told[i]!.medianM, 9));
    expect(mixed.map((f) => f.because)).toEqual(told.map((f) => f.because));
    const dead = points.map((p, i) => (i % 40 === 7 ? { ...p, flowM3s: 0 } : p));
    expect(forecastColour(SPATE, dead, [], ask)[0]!.medianM).toBeCloseTo(
      forecastColour(SPATE, points, [], ask)[0]!.medianM,
      1,
    );
  });

  it('are of the readings: none, one, several; hours and days ago', () => {
    const quiet = after();
    const end = quiet.at(-1)!.at;
    const read = (h: number): ColourReading => ({ at: end - h * HOUR_MS, visibilityM: 1, atLeast: false });
    expect(says(quiet, [read(5)])).toMatchObject({ readings: 1, latestH: 5, pastH: 0 });
    expect(says(quiet, [read(90), read(47)])).toMatchObject({ readings: 2, latestH: 47 });
    expect(says(quiet, [read(72)]).latestH).toBe(72);
    expect(says(quiet, [read(5)], 12)).toMatchObject({ latestH: 17, pastH: 12 });
  });

  it('tell levels alike where there is no flow', () => {
    const rise = (h: number) => Math.min(1, Math.max(0, (h - 700) / 20));
    const staged = Array.from({ length: 720 }, (_, h): HydroPoint => ({
      at: at(h),
      flowM3s: null,
      stageM: 0.6 + 0.5 * rise(h),
    }));
    expect(says(staged).river.code).toBe('rising');
    // The same over another zero of the staff.
    const [here, there] = [0, 40].map(
      (zero) =>
        forecastColour(
          SPATE,
          staged.map((p) => ({ ...p, stageM: p.stageM! + zero })),
          [],
          [at(719)],
        )[0]!.medianM,
    );
    expect(there).toBeCloseTo(here!, 9);
  });
});
