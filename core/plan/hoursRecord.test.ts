import type { Visit } from '../logbook';
import { HOUR_MS } from '../units';
import { hoursRecord } from './hoursRecord';

const PLACE = { latDeg: 57, lonDeg: 0 };
const DAY = new Date(2026, 6, 15).getTime();
/** A stay from one hour of the day to another. */
const stay = (from: number, to: number, takes: number, o: Partial<Visit> = {}): Visit => ({
  ...{ runId: 'r', runName: 'Run', fromAt: DAY + from * HOUR_MS, toAt: DAY + to * HOUR_MS },
  ...{ casts: 50, byHand: 0, takes, landed: 0, levelM: null, visibilityM: null, timed: true, ...o },
});
const water = { rules: null };
const gauge = (tempC: number) =>
  Array.from({ length: 9 }, (_, i) => ({ at: DAY + (i - 2) * 6 * HOUR_MS, stageM: 1, flowM3s: 5, tempC }));

describe('what a log says of the best hours', () => {
  it('counts takes and hours within them and outside: in July the ends of the day', () => {
    const visits = [stay(4, 6, 5), stay(11, 14, 1), stay(20, 22, 4), stay(12, 14, 9, { timed: false })];
    expect(hoursRecord(PLACE, water, visits, gauge(14), null)).toEqual({
      ...{ inside: { takes: 9, hours: 4 }, outside: { takes: 1, hours: 3 } },
    });
  });

  it('goes by the water as the gauge told it, and by what the angler chose', () => {
    const visits = [stay(13, 15, 6), stay(4, 6, 3)];
    const inside = (tempC: number, chosen: Parameters<typeof hoursRecord>[4] = null) =>
      hoursRecord(PLACE, water, visits, gauge(tempC), chosen)!.inside.takes;
    expect([inside(14), inside(5), inside(14, 'warmest hours'), inside(14, 'all day under cloud')]).toEqual([
      3, 6, 6, 9,
    ]);
    // Where the gauge tells nothing of that day: by the sun alone.
    expect(hoursRecord(PLACE, water, visits, [], null)!.inside.takes).toBe(3);
  });

  it('of few takes says nothing; hours of a dam release are none of the best', () => {
    expect(hoursRecord(PLACE, water, [stay(4, 6, 7)], gauge(14), null)).toBeNull();
    const dam = { rules: null, releases: [{ fromMin: 3 * 60, toMin: 7 * 60 }] };
    expect(hoursRecord(PLACE, dam, [stay(4, 6, 9)], gauge(14), null)!.outside.takes).toBe(9);
  });
});
