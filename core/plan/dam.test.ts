import { sent } from '@/demo/river/gauge';
import { stationNamed } from '@/demo/stations';
import { damAbove, isOut, outOfWater, releaseAhead, releasesOn, turnoverSign } from './dam';
import { HOUR_MS } from '../units';
import { releaseWords } from '@/words/dam';

const BELOW = { kind: 'below a dam', peaty: false } as const;
/** A week of a gauge that ends on a day, as warm as it is told at each hour before. */
const week = (endAt: number, tempC: (hoursBefore: number) => number) =>
  Array.from({ length: 168 }, (_, i) => ({
    at: endAt - (167 - i) * HOUR_MS,
    stageM: 1,
    flowM3s: 9,
    tempC: tempC(167 - i),
  }));
const OCTOBER = Date.UTC(2026, 9, 28);

describe('below a dam', () => {
  it('its hours are told as they were entered; without them one is to ask', () => {
    const releases = [{ fromMin: 420, toMin: 600 }];
    const thursday = new Date(2026, 5, 11).getTime();
    expect(damAbove(BELOW, releases, thursday)).toEqual({ releases, entered: true });
    expect(damAbove(BELOW, undefined, thursday)).toEqual({ releases: [], entered: false });
    expect(damAbove({ kind: 'spate', peaty: false }, undefined, thursday)).toBeNull();
    expect(damAbove(undefined, [], thursday)).toBeNull();
    const weekend = [{ ...releases[0]!, days: [0, 6] }];
    expect(damAbove(BELOW, weekend, thursday)).toEqual({ releases: [], entered: true });
  });

  it('a lake that turned over is told by water that grew warmer in autumn, and by nothing else', () => {
    const warmed = week(OCTOBER, (h) => (h < 40 ? 10 : 7.2));
    expect(turnoverSign(BELOW, warmed, 57)).toEqual({ nowC: expect.closeTo(10, 6), beforeC: expect.closeTo(7.2, 6) });
    expect(turnoverSign({ ...BELOW, kind: 'spate' }, warmed, 57)).toBeNull();
    expect(
      turnoverSign(
        BELOW,
        week(OCTOBER, () => 7.2),
        57,
      ),
    ).toBeNull();
    expect(
      turnoverSign(
        BELOW,
        week(OCTOBER, (h) => (h < 40 ? 8.5 : 7.2)),
        57,
      ),
    ).toBeNull();
    // In spring the sun does it; in the south that is October.
    expect(
      turnoverSign(
        BELOW,
        week(Date.UTC(2026, 3, 20), (h) => (h < 40 ? 10 : 7.2)),
        57,
      ),
    ).toBeNull();
    expect(turnoverSign(BELOW, warmed, -42)).toBeNull();
    expect(turnoverSign(BELOW, [], 57)).toBeNull();
    expect(
      turnoverSign(
        BELOW,
        week(OCTOBER, () => NaN),
        57,
      ),
    ).toBeNull();
  });

  it('is seen on the simulated river as its lake turns, and not a month before', () => {
    const { gauge, station } = stationNamed('ondrelle-dam')!;
    const on = (endAt: number) =>
      turnoverSign(BELOW, sent(gauge, endAt - 168 * HOUR_MS, endAt, HOUR_MS), station.latDeg);
    const days = Array.from({ length: 20 }, (_, d) => on(Date.UTC(2026, 9, 24) + d * 24 * HOUR_MS));
    expect(days.some((says) => says !== null)).toBe(true);
    expect(on(Date.UTC(2026, 8, 25))).toBeNull();
  });
});

describe('a dam release', () => {
  const at = (day: number, hour: number, min = 0) => new Date(2026, 10, day, hour, min).getTime();
  const spans = [
    { fromMin: 7 * 60, toMin: 10 * 60 },
    { fromMin: 22 * 60, toMin: 60 },
  ];
  const says = (now: number) => releaseWords(releaseAhead(spans, now)!, now);

  it('counts down, holds while it is on and for the hour after, and then tells the next', () => {
    expect(says(at(30, 6, 35))).toBe('Dam release at 07:00, in 25 min: be out of the water before.');
    expect(says(at(30, 4, 20))).toContain('in 2 h 40 min');
    expect(says(at(30, 7))).toBe('Dam release until 10:00: stay out of the water until 11:00.');
    expect(says(at(30, 10))).toBe('Dam release ended at 10:00, still coming down: stay out until 11:00.');
    expect(says(at(30, 11))).toContain('at 22:00, in 11 h');
    expect(releaseAhead([], at(30, 7))).toBeNull();
    expect(releaseAhead(undefined, at(30, 7))).toBeNull();
  });

  it('holds over midnight', () => {
    expect(says(at(30, 0, 30))).toContain('until 01:00');
    expect(releasesOn(at(30, 0), spans).map((r) => new Date(r.fromAt).getDate())).toEqual([29, 30, 30]);
    const [night] = outOfWater(at(30, 0), spans);
    expect(night!.toAt).toBe(at(30, 2));
    const release = releaseAhead(spans, at(30, 1, 59))!;
    expect([at(29, 21, 59), at(29, 22), at(30, 1, 59), at(30, 2)].map((t) => isOut(release, t))).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });
});
