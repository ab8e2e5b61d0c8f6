import { HOUR_MS } from '../units';
import { riverThen } from './then';

const NOW = Date.UTC(2026, 4, 2, 9);
/** A gauge read every hour for a week: a level by the hours before now. */
const gauge = (levelM: (hoursAgo: number) => number) =>
  Array.from({ length: 168 }, (_, i) => ({
    ...{ at: NOW - (167 - i) * HOUR_MS, flowM3s: NaN, tempC: NaN },
    stageM: levelM(167 - i),
  }));
const peaked = gauge((h) => 0.5 + (h > 60 ? 0 : h > 48 ? (60 - h) / 24 : 0.5 * 0.97 ** (48 - h)));

describe('how a river goes as it is read', () => {
  it('tells its trend, and how long ago it peaked', () => {
    expect(riverThen(peaked, NOW)).toEqual({ trend: 'falling', freshetDays: 2 });
    expect(
      riverThen(
        gauge((h) => 1 - 0.02 * h),
        NOW,
      ),
    ).toMatchObject({ trend: 'rising', freshetDays: 0 });
    expect(
      riverThen(
        gauge(() => 0.4),
        NOW,
      ),
    ).toEqual({ trend: 'steady', freshetDays: null });
  });

  it('of a moment counts what was heard by then; a gauge that has been silent says nothing', () => {
    expect(riverThen(peaked, NOW - 24 * HOUR_MS)?.freshetDays).toBe(1);
    expect(riverThen(peaked, NOW - 72 * HOUR_MS)).toEqual({ trend: 'steady', freshetDays: null });
    expect(riverThen(peaked, NOW + 4 * HOUR_MS)).toBeNull();
    expect(riverThen([], NOW)).toBeNull();
  });
});
