import fc from 'fast-check';
import { nearerThan, planDay } from './day';
import type { DayAsk, RunToFish } from './dayAsk';
import { leaveFor, proposeStops } from './propose';
import { runMinutes } from './minutes';
import { clockText, holdsOn, minuteOfDay, spanOn } from './spans';
import { readSpans, spansText } from './writtenSpans';
import { MINUTE_MS } from '../units';

const DAY_START = new Date(2026, 8, 10).getTime();
const at = (h: number, m = 0) => new Date(2026, 8, 10, h, m).getTime();
const run = (runId: string, minutes: number, worth = 0, barred: RunToFish['barred'] = null): RunToFish => ({
  ...{ runId, name: `Run ${runId}`, minutes, suits: () => worth, downM: null, barred },
});
const ask: DayAsk = {
  dayStart: DAY_START,
  notBefore: DAY_START - 3 * 60 * MINUTE_MS,
  windows: [
    { fromAt: at(6), toAt: at(9) },
    { fromAt: at(17), toAt: at(19, 30) },
  ],
  driveMin: 30,
  walkMin: 10,
  runs: [run('a', 60, 1), run('b', 70, 3), run('c', 50, 2), run('d', 45, 0)],
  releases: [],
  lastLightAt: at(20),
  sunsetAt: null,
  dusk: true,
  backBy: null,
  rainMm: null,
};
const names = (legs: readonly { kind: string; name: string }[]) =>
  legs.map((l) => (l.kind === 'run' ? l.name : l.kind));

describe('a day as it is proposed', () => {
  it('fishes the best runs first, within the hours, with a break in the lull', () => {
    const stops = proposeStops(ask);
    expect(stops).toEqual([
      { kind: 'run', runId: 'b', minutes: 70 },
      { kind: 'run', runId: 'c', minutes: 50 },
      { kind: 'run', runId: 'a', minutes: 40 },
      { kind: 'break', minutes: 470 },
      { kind: 'run', runId: 'd', minutes: 45 },
      { kind: 'run', runId: 'b', minutes: 70 }, // hours are left: the best run once more, rested since the morning
    ]);
    const { legs, leaveAt, backAt } = planDay(ask, stops, null);
    expect(leaveAt).toBe(at(5, 20));
    expect(names(legs)).toEqual([
      'drive',
      'walk',
      'Run b',
      'walk',
      'Run c',
      'walk',
      'Run a',
      'break',
      'walk',
      'Run d',
      'walk',
      'Run b',
      'walk back',
      'back',
    ]);
    expect(legs.find((l) => l.name === 'Run b')!.fromAt).toBe(at(6));
    expect(legs.find((l) => l.name === 'Run a')!.toAt).toBe(at(9));
    expect(legs.find((l) => l.name === 'Run d')!.fromAt).toBe(at(17));
    expect(backAt).toBe(legs.at(-1)!.toAt);
  });

  it('eats between two runs about noon, where the hours go on for six or more and one has fished for two', () => {
    const from = (h: number, to: number) =>
      proposeStops({ ...ask, windows: [{ fromAt: at(h), toAt: at(to) }], dusk: false });
    const breaks = (stops: ReturnType<typeof from>) => stops.flatMap((s) => (s.kind === 'break' ? [s.minutes] : []));
    const whole = from(9, 17);
    expect(breaks(whole)).toEqual([30]);
    const { legs } = planDay({ ...ask, windows: [{ fromAt: at(9), toAt: at(17) }], dusk: false }, whole, null);
    const lunch = legs.find((l) => l.kind === 'break')!;
    expect([lunch.fromAt >= at(11, 30), lunch.toAt <= at(15)]).toEqual([true, true]);
    expect(legs[legs.indexOf(lunch) + 1]!.kind).toBe('walk');
    expect(breaks(from(11, 16))).toEqual([]);
    expect(breaks(from(13, 20))).toEqual([]);
  });

  it('fishes each run once more of an evening before it is dark, the walk home taken off; of hours cut short the end', () => {
    const apart = (runId: string, downM: number): RunToFish => ({ ...run(runId, 30), downM });
    const evening = { ...ask, runs: [apart('a', 0), apart('b', 1000)], sunsetAt: at(19, 30) };
    const of = (windows: DayAsk['windows']) =>
      proposeStops({ ...evening, windows }).flatMap((s) => (s.kind === 'run' ? [s.runId] : []));
    expect(
      of([
        { fromAt: at(6), toAt: at(8, 30) },
        { fromAt: at(16), toAt: at(20) },
      ]),
    ).toHaveLength(4);
    // A rule that ends the day's fishing before the sun sets.
    const cut = {
      ...evening,
      runs: [run('a', 54)],
      windows: [
        { fromAt: at(6), toAt: at(7) },
        { fromAt: at(13), toAt: at(16, 30) },
      ],
    };
    expect(planDay(cut, proposeStops(cut), null).legs.findLast((l) => l.kind === 'run')!.toAt).toBeGreaterThan(
      at(16, 15),
    );
  });

  it('begins now where the hours have begun, and leaves out hours that are over', () => {
    const late = { ...ask, notBefore: at(8, 10) };
    expect(leaveFor(late)).toBe(at(16, 40)); // the runs do not fill the evening: its end is fished
    expect(proposeStops(late).map((s) => s.kind)).toEqual(['run', 'run']);
    const during = { ...ask, notBefore: at(7) };
    expect(leaveFor(during)).toBe(at(7));
    expect(proposeStops(during)[0]).toEqual({ kind: 'run', runId: 'b', minutes: 70 });
    expect(proposeStops({ ...ask, notBefore: at(22) })).toEqual([]);
  });

  it('is not both ends of it where that is too long to drive home from: the end that suits better, the evening of two alike', () => {
    const far = { ...ask, driveMin: 60 };
    const day = (a: DayAsk) => planDay(a, proposeStops(a), null);
    const ran = (a: DayAsk) => day(a).legs.filter((l) => l.kind === 'run');
    expect(ran(far).every((l) => l.fromAt >= at(17))).toBe(true);
    expect(day(far).cautions).toContainEqual({ code: 'one end', hours: expect.closeTo(15.4, 1) });
    const morning = (of: number) => of < at(12);
    const early = { ...far, runs: ask.runs.map((r) => ({ ...r, suits: (of: number) => (morning(of) ? 1 : 0) })) };
    expect(ran(early).every((l) => morning(l.fromAt))).toBe(true);
    // Who lives near is at home meanwhile; what one ordered oneself stands as it is.
    expect(day(ask).cautions).toEqual([]);
    expect(planDay(far, proposeStops(ask), 5 * 60).cautions.map((c) => c.code)).toEqual(['long day']);
  });

  it('fishes below a dam while it holds its water back, and an hour after it is shut at the earliest', () => {
    const day = { ...ask, windows: [{ fromAt: at(7), toAt: at(18) }], releases: readSpans('7-10, 17-21')! };
    const { legs, cautions } = planDay(day, proposeStops(day), null);
    const runs = legs.filter((l) => l.kind === 'run');
    expect(runs[0]!.fromAt).toBeGreaterThanOrEqual(at(11));
    expect(runs[0]!.fromAt).toBeLessThan(at(11, 30));
    expect(runs.at(-1)!.toAt).toBeLessThanOrEqual(at(17));
    expect(runs.length).toBeGreaterThan(2);
    expect(cautions).toEqual([]);
    // All day long: nothing is proposed.
    expect(proposeStops({ ...day, releases: readSpans('5-20')! })).toEqual([]);
  });

  it('fishes to the end of hours that end with the dusk: where the runs do not fill them one leaves later', () => {
    const evening = {
      ...ask,
      windows: [{ fromAt: at(17), toAt: at(21) }],
      ...{ sunsetAt: at(20), lastLightAt: at(21, 10) },
      runs: [run('a', 60, 1)],
    };
    const { legs } = planDay(evening, proposeStops(evening), null);
    expect(legs.filter((l) => l.kind === 'run').map((l) => [l.fromAt, l.toAt])).toEqual([
      [at(18, 15), at(19, 15)],
      [at(20), at(21)],
    ]);
    // With more runs than the evening holds it begins as the hours do.
    const full = { ...evening, runs: [run('a', 200, 1), run('b', 200, 0)] };
    expect(planDay(full, proposeStops(full), null).legs.find((l) => l.kind === 'run')!.fromAt).toBe(at(17));
    // After a morning: what is left of the runs, at the end of the evening.
    const both = {
      ...evening,
      windows: [...ask.windows.slice(0, 1), ...evening.windows],
      runs: [run('a', 170, 1), run('b', 50, 0)],
    };
    const day = planDay(both, proposeStops(both), null).legs.filter((l) => l.kind === 'run');
    expect(day.map((l) => [l.fromAt, l.toAt])).toEqual([
      [at(6), at(8, 50)],
      [at(17), at(17, 50)],
      [at(18), at(20, 50)],
    ]);
  });

  it('is off the water in time to walk out before dark', () => {
    const evening = { ...ask, windows: [{ fromAt: at(17), toAt: at(21) }] };
    const { legs, cautions } = planDay(evening, proposeStops(evening), null);
    expect(legs.find((l) => l.kind === 'walk back')!.toAt).toBeLessThanOrEqual(at(20));
    expect(cautions.map((c) => c.code)).not.toContain('dark');
  });

  it('fishes one stretch of hours to its end, whether the sun sets by then or not, and knows which stop each leg is', () => {
    const noon = { ...ask, windows: [{ fromAt: at(10), toAt: at(16) }], sunsetAt: at(20), runs: [run('a', 60, 1)] };
    const { legs } = planDay(noon, proposeStops(noon), null);
    expect(legs.map((l) => [l.kind, l.stop])).toEqual([
      ['drive', undefined],
      ['walk', undefined],
      ['run', 0],
      ['break', 1],
      ['run', 2],
      ['walk back', undefined],
      ['back', undefined],
    ]);
    expect([legs[2]!.fromAt, legs[4]!.toAt]).toEqual([at(13, 15), at(16)]);
    expect(
      planDay({ ...noon, sunsetAt: at(16) }, proposeStops({ ...noon, sunsetAt: at(16) }), null).legs[2]!.fromAt,
    ).toBe(at(13, 15));
    // A run of twenty minutes is begun, one of nineteen is not.
    const room = (minutes: number) => proposeStops({ ...noon, windows: [{ fromAt: at(10), toAt: at(10, minutes) }] });
    expect([room(20).length, room(19).length]).toEqual([1, 0]);
  });

  it('next door without a walk has no legs for them, and none without a stop', () => {
    const door = { ...ask, driveMin: 0, walkMin: 0 };
    expect(planDay(door, [{ kind: 'run', runId: 'a', minutes: 30 }], null).legs.map((l) => l.kind)).toEqual(['run']);
    expect(planDay(ask, [], null).legs.map((l) => l.kind)).toEqual(['drive', 'back']);
    // The same run after a break: one has not gone away.
    const again = planDay(
      ask,
      [
        { kind: 'run', runId: 'a', minutes: 30 },
        { kind: 'break', minutes: 30 },
        { kind: 'run', runId: 'a', minutes: 30 },
      ],
      null,
    );
    expect(again.legs.map((l) => l.kind)).toEqual(['drive', 'walk', 'run', 'break', 'run', 'walk back', 'back']);
  });

  it('never proposes what may not be fished, and says so where it stands in one’s own order', () => {
    const closed = { ...ask, runs: [run('a', 60, 1), run('b', 70, 3, { rule: 'closedRuns' })] };
    const fished = proposeStops(closed).flatMap((s) => (s.kind === 'run' ? [s.runId] : []));
    expect(fished).toEqual(['a', 'a']);
    expect(planDay(closed, [{ kind: 'run', runId: 'b', minutes: 30 }], null).cautions[0]).toEqual({
      ...{ code: 'closed run', run: 'Run b', breach: { rule: 'closedRuns' } },
    });
  });

  it('keeps to the hours whatever they and the runs are: every minute accounted for, nothing more than twice, and then after a rest', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 22 * 60 }), fc.integer({ min: 10, max: 400 })), { maxLength: 4 }),
        fc.array(fc.integer({ min: 5, max: 240 }), { maxLength: 8 }),
        fc.integer({ min: 0, max: 180 }),
        fc.integer({ min: 0, max: 60 }),
        (spans, minutes, driveMin, walkMin) => {
          let end = 0;
          const windows = [...spans]
            .sort((a, b) => a[0] - b[0])
            .flatMap(([from, length]) => {
              const start = Math.max(from, end);
              end = start + length;
              return [{ fromAt: DAY_START + start * MINUTE_MS, toAt: DAY_START + end * MINUTE_MS }];
            });
          const all = { ...ask, windows, driveMin, walkMin, runs: minutes.map((m, i) => run(String(i), m, i)) };
          const { legs, stops } = planDay(all, proposeStops(all), null);
          const runs = legs.filter((l) => l.kind === 'run');
          for (const l of runs) expect(runs.filter((r) => r.name === l.name).length).toBeLessThanOrEqual(2);
          stops.forEach((s, i) => s.kind === 'run' && expect(stops[i + 1] ?? {}).not.toMatchObject({ runId: s.runId }));
          legs.forEach((l, i) => expect(l.fromAt).toBe(i === 0 ? legs[0]!.fromAt : legs[i - 1]!.toAt));
          for (const l of runs) {
            expect(windows.some((w) => l.fromAt >= w.fromAt && l.toAt <= w.toAt)).toBe(true);
            expect(l.toAt - l.fromAt).toBeGreaterThanOrEqual(5 * MINUTE_MS);
          }
          expect(stops[0]?.kind).not.toBe('break');
          expect(stops.at(-1)?.kind).not.toBe('break');
        },
      ),
      { seed: 3, numRuns: 200 },
    );
  });
});

describe('what a planned day warns of', () => {
  const stops = [{ kind: 'run', runId: 'a', minutes: 60 }] as const;
  const says = (change: Partial<DayAsk>, leaveMin: number | null = null) =>
    planDay({ ...ask, driveMin: 30, ...change }, stops, leaveMin).cautions;

  it('is nothing on a quiet day', () => expect(says({})).toEqual([]));

  it('is the dam, while one stands below it and for an hour after it is shut', () => {
    const release = (text: string) => says({ releases: readSpans(text)! }, 5 * 60 + 10)[0] ?? null;
    expect(release('6:30-7:30')).toEqual({
      ...{ code: 'dam release', runs: ['Run a'], fromAt: at(6, 30), toAt: at(7, 30), clearAt: at(8, 30) },
    });
    expect(release('5:00-5:20')).toMatchObject({ fromAt: at(5), toAt: at(5, 20) });
    expect(release('4:00-4:50')).toBeNull();
    expect(release('7:30-9:00')).toBeNull();
  });

  it('is the dark on the way back, rain on the river, and a day too long', () => {
    expect(says({}, 19 * 60)[0]).toEqual({ code: 'dark', fromAt: at(20), backAt: at(20, 50) });
    const rain = (mm: number) => says({ rainMm: () => mm });
    expect(rain(7)).toEqual([]);
    expect(rain(12)).toEqual([{ code: 'rain', mm: 12 }]);
    const asked: number[] = [];
    says({ rainMm: (from, to) => (asked.push((to - from) / MINUTE_MS), 0) });
    expect(asked).toEqual([7 * 60]);
    expect(says({ driveMin: 420 })[0]).toMatchObject({ code: 'long day', hours: expect.closeTo(15.3, 0) });
  });
});

it('says when there is more road than water', () => {
  const cautions = (minutes: number, driveMin: number) =>
    planDay({ ...ask, driveMin }, [{ kind: 'run', runId: 'a', minutes }], null).cautions;
  expect(cautions(69, 90)).toEqual([{ code: 'more road than water', roadMin: 180, fishedMin: 69 }]);
  expect(cautions(60, 30)).toEqual([]);
});

describe('hours of the clock', () => {
  it('are read as one writes them and written back', () => {
    expect(readSpans('7:00-10:00, 17–21')).toEqual([
      { fromMin: 420, toMin: 600 },
      { fromMin: 1020, toMin: 1260 },
    ]);
    expect(spansText(readSpans('7.30 to 10')!)).toBe('07:30-10:00');
    expect(readSpans('')).toEqual([]);
    for (const bad of ['7', '7-', '7-25', '7:70-8', 'dawn-noon', '7-8-9', '7-7']) expect(readSpans(bad)).toBeNull();
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 0, max: 1439 }), (fromMin, toMin) => {
        fc.pre(fromMin !== toMin);
        expect(readSpans(spansText([{ fromMin, toMin }]))).toEqual([{ fromMin, toMin }]);
      }),
    );
  });

  it('hold on some days of the week or of the year, as one writes them', () => {
    const text = '1 May-30 Sep Mon-Fri 07:00-10:00, 17:00-21:00; Sat, Sun 09:00-12:00';
    const spans = readSpans(text)!;
    expect(spans).toEqual([
      ...[[420, 600] as const, [1020, 1260] as const].map(([fromMin, toMin]) => ({
        ...{ fromMin, toMin, days: [1, 2, 3, 4, 5], dates: { from: '05-01', to: '09-30' } },
      })),
      { fromMin: 540, toMin: 720, days: [0, 6] },
    ]);
    expect(spansText(spans)).toBe(text);
    expect(readSpans('weekdays 7-10; weekends 9-12')).toEqual(readSpans('Mon-Fri 7-10; Sun, Sat 9-12'));
    expect(readSpans('daily 7-10')).toEqual([{ fromMin: 420, toMin: 600 }]);
    expect(readSpans('May 1 to Sep 30 Fri to Mon: 7-10')).toEqual([
      { fromMin: 420, toMin: 600, days: [0, 1, 5, 6], dates: { from: '05-01', to: '09-30' } },
    ]);
    for (const bad of ['Moo 7-10', '31 Apr-1 May 7-10', 'Mon', '1 May-30 Sep', 'Mon-Tue-Wed 7-10', 'Mon 7-10; x'])
      expect(readSpans(bad)).toBeNull();
    const days = fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(days, fc.boolean(), (some, dated) => {
        const when = { days: some.sort((a, b) => a - b), ...(dated && { dates: { from: '11-05', to: '02-29' } }) };
        const one = [{ fromMin: 60, toMin: 90, ...when }];
        expect(readSpans(spansText(one))).toEqual(one);
      }),
    );
  });

  it('are left out on other days', () => {
    const on = (text: string, y: number, m: number, d: number) =>
      holdsOn(readSpans(text)![0]!, new Date(y, m - 1, d).getTime());
    expect(on('Mon-Fri 7-10', 2026, 9, 11)).toBe(true); // a Friday
    expect(on('Mon-Fri 7-10', 2026, 9, 12)).toBe(false);
    expect([on('1 May-30 Sep 7-10', 2026, 9, 30), on('1 May-30 Sep 7-10', 2026, 10, 1)]).toEqual([true, false]);
    expect([on('1 Nov-31 Mar 7-10', 2026, 1, 9), on('1 Nov-31 Mar 7-10', 2026, 6, 1)]).toEqual([true, false]);
    // On a Thursday those of the weekend are no reason to stay away.
    const day = { ...ask, windows: [{ fromAt: at(7), toAt: at(18) }], runs: [run('a', 600)] };
    const begins = (text: string) => planDay(day, proposeStops({ ...day, releases: readSpans(text)! }), null).legs;
    expect(begins('Sat, Sun 5-20').some((l) => l.kind === 'run')).toBe(true);
    expect(begins('Thu 5-20').some((l) => l.kind === 'run')).toBe(false);
  });

  it('stand on their day, over midnight too', () => {
    expect(spanOn(DAY_START, { fromMin: 420, toMin: 600 })).toEqual({ fromAt: at(7), toAt: at(10) });
    expect(spanOn(DAY_START, { fromMin: 22 * 60, toMin: 120 }).toAt).toBe(at(26));
    expect(minuteOfDay(at(7, 15))).toBe(435);
    expect(clockText(435)).toBe('07:15');
  });
});

describe('minutes of a run', () => {
  it('are those of the plain rule: more in murk and cold, where the steps are short', () => {
    const fair = { visibilityM: 1.2, waterTempC: 10 };
    expect(runMinutes(80, fair)).toBe(49);
    expect(runMinutes(80, { ...fair, visibilityM: 0.4 })).toBeGreaterThan(80);
    expect(runMinutes(80, { ...fair, waterTempC: 4 })).toBe(runMinutes(80, { ...fair, visibilityM: 0.4 }));
  });

  it('names a water of one’s own with less road by a third, the nearest', () => {
    const water = (id: string, driveMin: number | null) => ({ id, driveMin });
    const [far, mid, near] = [water('far', 90), water('mid', 60), water('near', 20)];
    expect(nearerThan(far, [far, mid, near, water('not said', null)])!.id).toBe('near');
    expect(nearerThan(far, [far, mid])!.id).toBe('mid');
    expect(nearerThan(far, [far, water('next', 61)])).toBeNull();
    expect(nearerThan(water('x', null), [near])).toBeNull();
  });
});
