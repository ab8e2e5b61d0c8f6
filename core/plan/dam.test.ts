import { sent } from '@/demo/river/gauge';
import { stationNamed } from '@/demo/stations';
import { damCaution, turnoverSign } from './dam';

const HOUR = 3_600_000;
const BELOW = { kind: 'below a dam', peaty: false } as const;
/** A week of a gauge that ends on a day, as warm as it is told at each hour before. */
const week = (endAt: number, tempC: (hoursBefore: number) => number) =>
  Array.from({ length: 168 }, (_, i) => ({
    at: endAt - (167 - i) * HOUR,
    stageM: 1,
    flowM3s: 9,
    tempC: tempC(167 - i),
  }));
const OCTOBER = Date.UTC(2026, 9, 28);

describe('below a dam', () => {
  it('its hours are told as they were entered; without them one is to ask', () => {
    expect(damCaution(BELOW, [{ fromMin: 420, toMin: 600 }])).toContain('07:00-10:00 as you entered it');
    expect(damCaution(BELOW, undefined)).toContain('ask when it is let through');
    expect(damCaution({ kind: 'spate', peaty: false }, undefined)).toBeNull();
    expect(damCaution(undefined, [])).toBeNull();
  });

  it('a lake that turned over is told by water that grew warmer in autumn, and by nothing else', () => {
    const warmed = week(OCTOBER, (h) => (h < 40 ? 10 : 7.2));
    expect(turnoverSign(BELOW, warmed, 57, 'metric')).toMatch(/10\.0 °C after 7\.2 °C.*the lake may have turned over/);
    expect(turnoverSign({ ...BELOW, kind: 'spate' }, warmed, 57, 'metric')).toBeNull();
    expect(
      turnoverSign(
        BELOW,
        week(OCTOBER, () => 7.2),
        57,
        'metric',
      ),
    ).toBeNull();
    expect(
      turnoverSign(
        BELOW,
        week(OCTOBER, (h) => (h < 40 ? 8.5 : 7.2)),
        57,
        'metric',
      ),
    ).toBeNull();
    // In spring the sun does it; in the south that is October.
    expect(
      turnoverSign(
        BELOW,
        week(Date.UTC(2026, 3, 20), (h) => (h < 40 ? 10 : 7.2)),
        57,
        'metric',
      ),
    ).toBeNull();
    expect(turnoverSign(BELOW, warmed, -42, 'metric')).toBeNull();
    expect(turnoverSign(BELOW, [], 57, 'metric')).toBeNull();
    expect(
      turnoverSign(
        BELOW,
        week(OCTOBER, () => NaN),
        57,
        'metric',
      ),
    ).toBeNull();
  });

  it('is seen on the simulated river as its lake turns, and not a month before', () => {
    const { gauge, station } = stationNamed('ondrelle-dam')!;
    const on = (endAt: number) =>
      turnoverSign(BELOW, sent(gauge, endAt - 168 * HOUR, endAt, HOUR), station.latDeg, 'metric');
    const days = Array.from({ length: 20 }, (_, d) => on(Date.UTC(2026, 9, 24) + d * 24 * HOUR));
    expect(days.some((says) => says !== null)).toBe(true);
    expect(on(Date.UTC(2026, 8, 25))).toBeNull();
  });
});
