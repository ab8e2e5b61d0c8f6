import { MINUTE_MS } from '../units';
import { planDay } from './day';
import type { DayAsk, RunToFish, Stop } from './dayAsk';
import { goingOn, laidAnew } from './goingOn';

const at = (h: number, m = 0) => new Date(2026, 8, 10, h, m).getTime();
const run = (runId: string, minutes: number, suits: RunToFish['suits'] = () => 0): RunToFish => ({
  ...{ runId, name: `Run ${runId}`, minutes, suits, downM: null, barred: null },
});
const ask: DayAsk = {
  ...{ dayStart: at(0), notBefore: at(0), driveMin: 40, walkMin: 10, releases: [] },
  windows: [{ fromAt: at(8), toAt: at(18) }],
  runs: [run('a', 60), run('b', 60), run('c', 60)],
  ...{ lastLightAt: at(20), sunsetAt: null, dusk: true, backBy: null, rainMm: null },
};
const STOPS: Stop[] = ['a', 'b', 'c'].map((runId) => ({ kind: 'run', runId, minutes: 60 }));
const { legs } = planDay(ask, STOPS, 7 * 60 + 10); // the first run at 08:00

describe('while one goes by the plan of a day', () => {
  it('says until when a run is fished, what comes next, and how late one is', () => {
    expect(goingOn(legs, STOPS, 'a', at(8, 20))).toMatchObject({ untilAt: at(9), lateMin: 0, next: { name: 'Run b' } });
    expect(goingOn(legs, STOPS, 'a', at(9, 40))).toMatchObject({ lateMin: 40, next: { fromAt: at(9, 10) } });
    expect(goingOn(legs, STOPS, 'c', at(10, 30))!.next).toBeNull();
    expect(goingOn(legs, STOPS, 'elsewhere', at(9))).toBeNull();
  });

  it('of a run that is fished twice it is the time that has begun', () => {
    const twice: Stop[] = [...STOPS, { kind: 'break', minutes: 45 }, { kind: 'run', runId: 'a', minutes: 30 }];
    const day = planDay(ask, twice, 7 * 60 + 10).legs;
    expect(goingOn(day, twice, 'a', at(8, 30))!.untilAt).toBe(at(9));
    expect(goingOn(day, twice, 'a', at(13))!.next).toBeNull();
  });

  it('is laid anew from where one is: what was fished stays, this run as long as one stays, the rest after it', () => {
    const now = at(9, 50);
    const laid = laidAnew(ask, STOPS, { runId: 'a', begunAt: at(8, 10), now, stayMin: 20 });
    expect(laid.stops[0]).toEqual({ kind: 'run', runId: 'a', minutes: 120 });
    const day = planDay(ask, laid.stops, laid.leaveMin).legs.filter((l) => l.kind === 'run');
    expect([day[0]!.fromAt, day[0]!.toAt]).toEqual([at(8, 10), at(10, 10)]);
    expect(day.map((l) => l.name)).toEqual(expect.arrayContaining(['Run b', 'Run c']));
    expect(day[1]!.fromAt).toBe(at(10, 10) + 10 * MINUTE_MS);
    expect(goingOn(planDay(ask, laid.stops, laid.leaveMin).legs, laid.stops, 'a', now)!.lateMin).toBe(0);
    // In the middle of a day nothing of the morning is lost.
    const second = laidAnew(ask, STOPS, { runId: 'b', begunAt: at(9, 10), now: at(11), stayMin: 0 });
    expect(second.stops.slice(0, 2)).toEqual([STOPS[0], { kind: 'run', runId: 'b', minutes: 110 }]);
    expect(second.stops.slice(2).some((s) => s.kind === 'run' && s.runId === 'a')).toBe(false);
  });

  it('laid anew one is still home when one said: the road is still there', () => {
    const home = { ...ask, backBy: at(12) };
    const laid = laidAnew(home, STOPS, { runId: 'a', begunAt: at(8), now: at(9), stayMin: 0 });
    expect(planDay(home, laid.stops, laid.leaveMin).backAt).toBeLessThanOrEqual(at(12));
    expect(laid.stops.length).toBeGreaterThan(1);
  });

  it('where there was no plan it begins with the run that one fishes; the rest as it suits', () => {
    const likes = { ...ask, runs: [run('a', 60), run('b', 60), run('c', 60, () => 1)] };
    const laid = laidAnew(likes, [], { runId: 'a', begunAt: at(12), now: at(12, 5), stayMin: 55 });
    expect(laid.stops.flatMap((s) => (s.kind === 'run' ? [s.runId] : [])).slice(0, 3)).toEqual(['a', 'c', 'b']);
    expect(planDay(likes, laid.stops, laid.leaveMin).legs.find((l) => l.kind === 'run')!.fromAt).toBe(at(12));
  });
});
