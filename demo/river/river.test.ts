import { freshets } from '@/core/gauge';
import { clarity } from '@/core/water';
import { STATIONS, stationNamed } from '../stations';
import { sent } from './gauge';
import { normalStage, riverOf, stageOf } from './river';
import { DAY_MS, HOUR_MS } from '@/core/units';
import { foretold, wander, weatherOf } from './weather';

const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length;
const middle = (xs: readonly number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)]!;
const FROM = Date.UTC(2024, 8, 1);
const hours = (years: number) => Array.from({ length: years * 365 * 24 }, (_, h) => FROM + h * HOUR_MS);
const model = (id: string) => STATIONS.find((s) => s.id === id)!;
const years = new Map(STATIONS.map((s) => [s.id, hours(2).map(riverOf(s))]));
const of = (id: string) => years.get(id)!;
const inMonth = (at: number, month: number) => new Date(at).getUTCMonth() === month;

describe('the weather of the invented coast', () => {
  const weather = hours(2).map((at) => weatherOf(model('sorrelvane-ford').climate)(at, -5));

  it('rains about a metre a year, in fronts, and most of it in late autumn', () => {
    const mm = weather.reduce((sum, w) => sum + w.rainMm, 0) / 2;
    expect(mm).toBeGreaterThan(700);
    expect(mm).toBeLessThan(1500);
    expect(mean(weather.map((w) => (w.rainMm > 0.1 ? 1 : 0)))).toBeLessThan(0.3);
    expect(weather.every((w) => w.rainMm >= 0 && w.cloud >= 0 && w.cloud <= 1 && w.windMps > 0)).toBe(true);
    expect(weather.every((w) => w.windFromDeg >= 0 && w.windFromDeg < 360)).toBe(true);
    const wet = weather.filter((w) => w.rainMm > 0.5);
    expect(mean(wet.map((w) => w.cloud))).toBeGreaterThan(mean(weather.map((w) => w.cloud)) + 0.2);
    expect(mean(wet.map((w) => w.windMps))).toBeGreaterThan(mean(weather.map((w) => w.windMps)) + 2);
  });

  it('is warmest in July and in the afternoon, more so under a clear sky', () => {
    const warm = (month: number) => mean(weather.filter((w) => inMonth(w.at, month)).map((w) => w.airTempC));
    expect(warm(6) - warm(0)).toBeGreaterThan(8);
    const swing = (clear: boolean) => {
      const days = weather.filter((w) => w.cloud < 0.3 === clear);
      const at = (hour: number) =>
        mean(days.filter((w) => Math.floor((w.at / HOUR_MS) % 24) === hour).map((w) => w.airTempC));
      return at(15) - at(4);
    };
    expect(swing(true)).toBeGreaterThan(swing(false) + 1);
  });

  it('is foretold the worse the further ahead, and exactly for the hour it is made in', () => {
    const { climate, lonDeg } = model('sorrelvane-ford');
    const truth = weatherOf(climate);
    const errors = [0, 12, 60].map((lead) =>
      mean(
        Array.from({ length: 200 }, (_, d) => {
          const issued = FROM + d * 2 * DAY_MS;
          const said = foretold(climate, lonDeg, issued, 72)[lead]!;
          return Math.abs(said.airTempC - truth(said.at, lonDeg).airTempC);
        }),
      ),
    );
    expect(errors[0]).toBe(0);
    expect(errors[1]).toBeGreaterThan(0.2);
    expect(errors[2]).toBeGreaterThan(errors[1]!);
    expect(errors[2]).toBeLessThan(3);
  });

  it('wanders without a jump, and as far for any way through it', () => {
    const a = wander(3, 30);
    const there = Array.from({ length: 500 }, (_, h) => a(FROM + h * HOUR_MS));
    const back = Array.from({ length: 500 }, (_, h) => wander(3, 30)(FROM + (499 - h) * HOUR_MS)).reverse();
    expect(back).toEqual(there);
    expect(Math.max(...there.slice(1).map((v, i) => Math.abs(v - there[i]!)))).toBeLessThan(0.25);
  });
});

describe('the simulated rivers', () => {
  it('are functions of time alone: an hour is the same whatever was asked before it', () => {
    const m = model('talluquin-narrows');
    const [a, b] = [riverOf(m), riverOf(m)];
    const late = a(Date.UTC(2026, 7, 31, 23));
    b(Date.UTC(2024, 10, 3));
    expect(b(Date.UTC(2026, 7, 31, 23))).toEqual(late);
    // From one year of water to the next nothing jumps that an hour’s rain would not move.
    const [before, after] = [a(Date.UTC(2026, 7, 31, 23)), a(Date.UTC(2026, 8, 1, 0))];
    expect(Math.abs(Math.log(after.flowM3s / before.flowM3s))).toBeLessThan(0.15);
    expect(Math.abs(after.tempC - before.tempC)).toBeLessThan(1);
  });

  it.each(STATIONS.map((s) => [s.id]))('%s flows about its normal, as warm as water is, and never dries', (id) => {
    const all = of(id);
    const m = model(id);
    const flow = middle(all.map((r) => r.flowM3s));
    expect(flow / m.normalFlowM3s).toBeGreaterThan(0.6);
    expect(flow / m.normalFlowM3s).toBeLessThan(1.4);
    expect(all.every((r) => r.flowM3s > 0.05 * m.normalFlowM3s && r.tempC >= 0.2 && r.tempC < 24)).toBe(true);
    expect(all.every((r) => r.visibilityM >= 0.05 && r.visibilityM < 6)).toBe(true);
    expect(stageOf(m, m.normalFlowM3s)).toBe(normalStage(m));
  });

  it('rise faster than they fall where rain makes them', () => {
    const q = of('sorrelvane-ford').map((r) => Math.log(r.flowM3s));
    const steps = q.slice(1).map((v, i) => v - q[i]!);
    expect(Math.max(...steps)).toBeGreaterThan(2 * -Math.min(...steps));
  });

  it('keep snow until it melts: a snow-fed river is highest in April or May, a rain-fed one in winter', () => {
    const month = (id: string, m: number) =>
      middle(
        of(id)
          .filter((r) => inMonth(r.at, m))
          .map((r) => r.flowM3s),
      );
    const months = Array.from({ length: 12 }, (_, m) => m);
    const highest = (id: string) => months.reduce((a, b) => (month(id, b) > month(id, a) ? b : a));
    expect([3, 4]).toContain(highest('uskerrin-icefoot'));
    expect([10, 11, 0]).toContain(highest('sorrelvane-ford'));
    // Meltwater keeps it cold while the land warms.
    const may = (id: string) =>
      mean(
        of(id)
          .filter((r) => inMonth(r.at, 4))
          .map((r) => r.tempC),
      );
    expect(may('uskerrin-icefoot')).toBeLessThan(may('sorrelvane-ford') - 2);
  });

  it('are dirtier on the rise than at the same flow on the fall, and cleared days after (Williams 1989, the commonest of five)', () => {
    const all = of('sorrelvane-ford');
    const same = all.map((r, i) => ({ r, rise: i < 4 ? 0 : Math.log(r.flowM3s / all[i - 4]!.flowM3s) }));
    const at = (rising: boolean) =>
      mean(
        same
          .filter(({ r, rise }) => r.flowM3s > 13 && r.flowM3s < 25 && (rising ? rise > 0.1 : rise < -0.02))
          .map(({ r }) => r.visibilityM),
      );
    const clear = mean(all.filter((r) => r.flowM3s < 8).map((r) => r.visibilityM));
    expect(at(false)).toBeLessThan(clear);
    const states = new Set(all.map((r) => clarity(r.visibilityM)));
    for (const state of ['mud', 'dirty', 'green', 'clear'] as const) expect(states).toContain(state);
  });

  it('run below a dam by its clock on weekdays, icy in summer, coloured and warmer when the lake turns over', () => {
    const all = of('ondrelle-dam');
    const hour = (at: number) => (((at / HOUR_MS - 4.7 / 15) % 24) + 24) % 24;
    const summer = all.filter((r) => inMonth(r.at, 3) || inMonth(r.at, 4));
    const weekday = (at: number) => ![0, 6].includes(new Date(at).getUTCDay());
    const flow = (running: boolean) =>
      mean(
        summer
          .filter((r) => weekday(r.at) && (running ? Math.floor(hour(r.at)) === 8 : Math.floor(hour(r.at)) === 3))
          .map((r) => r.flowM3s),
      );
    expect(flow(true)).toBeGreaterThan(1.4 * flow(false));
    const july = all.filter((r) => inMonth(r.at, 6));
    expect(mean(july.map((r) => r.tempC))).toBeLessThan(mean(july.map((r) => r.airTempC)) - 5);
    const [october, november] = [9, 10].map((m) => all.filter((r) => inMonth(r.at, m)));
    const turned = (list: typeof all) => Math.min(...list.map((r) => r.visibilityM));
    expect(turned([...october!, ...november!])).toBeLessThan(0.75 * turned(july));
    const about = (day: number) =>
      mean(all.filter((r) => Math.floor((r.at / DAY_MS) % 365.25) === day).map((r) => r.tempC));
    expect(about(302)).toBeGreaterThan(about(297) + 1);
  });
});

describe('the stations', () => {
  const year = (id: string) => {
    const { gauge } = stationNamed(id)!;
    return sent(gauge, FROM, FROM + 365 * DAY_MS, HOUR_MS);
  };

  it('measure with noise, lose some hours, and tell flow from level', () => {
    const list = year('sorrelvane-ford');
    const m = model('sorrelvane-ford');
    const known = list.filter((p) => Number.isFinite(p.stageM));
    expect(list).toHaveLength(365 * 24 + 1);
    expect(known.length).toBeLessThan(list.length);
    expect(known.length).toBeGreaterThan(0.98 * list.length);
    const off = known.map((p) => p.stageM - stageOf(m, stationNamed(m.id)!.river(p.at).flowM3s));
    expect(Math.sqrt(mean(off.map((d) => d * d)))).toBeCloseTo(m.faults.noiseM, 3);
    expect(known.every((p) => Math.abs(stageOf(m, p.flowM3s) - p.stageM) < 1e-9)).toBe(true);
    expect(freshets(known).length).toBeGreaterThan(10);
  });

  it('fail where nobody looks after them: stuck for a day, silent for days', () => {
    const list = year('uskerrin-icefoot');
    expect(list.length).toBeLessThan(0.98 * 365 * 24);
    const levels = list.filter((p) => Number.isFinite(p.stageM));
    let [same, longest] = [0, 0];
    levels.forEach((p, i) => {
      same = i > 0 && p.stageM === levels[i - 1]!.stageM ? same + 1 : 0;
      longest = Math.max(longest, same);
    });
    expect(longest).toBeGreaterThanOrEqual(15);
    const gaps = list.slice(1).map((p, i) => (p.at - list[i]!.at) / HOUR_MS);
    expect(Math.max(...gaps)).toBeGreaterThan(60);
  });

  it('give rain as a sum of each step', () => {
    const { gauge } = stationNamed('sorrelvane-ford')!;
    const total = (step: number) =>
      sent(gauge, FROM + step, FROM + 240 * HOUR_MS, step).reduce((sum, p) => sum + p.rainMm, 0);
    expect(total(6 * HOUR_MS)).toBeCloseTo(total(HOUR_MS), 6);
    expect(total(HOUR_MS)).toBeGreaterThan(1);
    expect(stationNamed('nowhere')).toBeNull();
  });
});
