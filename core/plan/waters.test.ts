import { BECAUSE } from '../testing/fixtures';
import type { ColourAt } from '../colour/verdict';
import { type ChoiceAsk, chooseWaters, type WaterDay } from './waters';
import { middlingWind, windOnRun } from './wind';
import { DAY_MS } from '../units';

const SHUT = { rule: 'closedRuns' } as const;
const NOW = Date.UTC(2026, 8, 10, 8);
const colour = (...chances: number[]): ColourAt => ({
  ...{ at: NOW, medianM: 1, low80M: 0.5, high80M: 2, because: BECAUSE, chances },
});
const CLEAR = colour(1, 0.95, 0.9, 0.5);
const MURKY = colour(0.9, 0.2, 0.05, 0);
const MUD = colour(0.1, 0, 0, 0);
/** Fish by month. */
const NEVER = Array.from({ length: 12 }, () => 0);
const water = (id: string, change: Partial<WaterDay> = {}): WaterDay => ({
  ...{
    id,
    name: id,
    quarry: 'brown trout',
    driveMin: 30,
    closed: null,
    colour: CLEAR,
    noColour: null,
    springs: [],
    trend: 'steady',
  },
  ...{ warmestC: 12, closesAtC: null, winds: [], freshetDays: 8, fishedSince: 0, reports: [] },
  own: { casts: 0, takes: 0, longestM: null, byMonth: NEVER },
  ...change,
});
const ASK: ChoiceAsk = { goal: 'any', quarry: null, shoulders: ['right', 'left'], now: NOW };
const order = (list: WaterDay[], goal: ChoiceAsk['goal'] = 'any') =>
  chooseWaters(list, { ...ASK, goal }).map((c) => c.id);
const says = (change: Partial<WaterDay>, goal: ChoiceAsk['goal'] = 'any', ask: Partial<ChoiceAsk> = {}) =>
  chooseWaters([water('w', change)], { ...ASK, goal, ...ask })[0]!.reasons;

describe('waters side by side', () => {
  it('go by colour first: clear, then murky, then one that is not known, then mud, and closed last', () => {
    expect(
      order([
        water('closed', { closed: SHUT }),
        water('mud', { colour: MUD }),
        water('unknown', { colour: null }),
        water('murky', { colour: MURKY }),
        water('clear'),
      ]),
    ).toEqual(['clear', 'murky', 'unknown', 'mud', 'closed']);
    const [first] = chooseWaters([water('c', { closed: SHUT })], ASK);
    expect(first).toMatchObject({ verdict: 'closed', closed: SHUT });
  });

  it('each tells what decided between it and the one before it', () => {
    const decided = (list: WaterDay[]) => chooseWaters(list, ASK).map((c) => c.behind);
    const [a, b] = [water('a', { driveMin: 20 }), water('b', { driveMin: 50 })];
    expect(decided([b, a])).toEqual([undefined, { of: a.name, by: 'road' }]);
    expect(decided([a, water('b', { driveMin: 5, warmestC: 19 })])[1]).toEqual({ of: a.name, by: 'against' });
    expect(decided([a, water('c', { closed: SHUT })])[1]).toEqual({ of: a.name, by: 'season or fish' });
    expect(decided([a, { ...a, id: 'twin' }])).toEqual([undefined, undefined]);
  });

  it('one’s own fish tell of a season, once there are some', () => {
    const caught = (byMonth: Readonly<Record<number, number>>) =>
      says({ own: { casts: 0, takes: 0, longestM: null, byMonth: NEVER.map((_, m) => byMonth[m] ?? 0) } }).find(
        (r) => r.code === 'season',
      );
    expect(caught({ 7: 2, 8: 3, 9: 1, 3: 4 })).toMatchObject({ tone: 'for', now: 6, of: 10 }); // in September
    expect(caught({ 8: 2, 3: 8 })).toMatchObject({ tone: 'neutral', now: 2, of: 10 });
    expect(caught({ 8: 7 })).toBeUndefined();
  });

  it('one that may be too dirty names the one to go to instead, where one is surer', () => {
    const HALF = colour(0.9, 0.6, 0.3, 0.1);
    const instead = (list: WaterDay[]) => chooseWaters(list, ASK).map((c) => [c.id, c.instead?.water?.name]);
    const [doubtful, sure] = [water('doubtful', { colour: HALF }), water('sure', { driveMin: 70 })];
    expect(instead([doubtful, sure])).toContainEqual(['doubtful', 'sure']);
    expect(instead([doubtful, sure])).toContainEqual(['sure', undefined]);
    expect(chooseWaters([doubtful, sure], ASK).find((c) => c.instead)!.instead!.water!.chance).toBe(0.95);
    // Its own run below a spring, whether another water is surer or not.
    const spring = { ...doubtful, springs: ['Brook Hole', 'Other'] };
    expect(chooseWaters([spring], ASK)[0]!.instead).toEqual({ run: 'Brook Hole', water: null });
    expect(chooseWaters([spring, sure], ASK).find((c) => c.id === 'doubtful')!.instead).toMatchObject({
      ...{ run: 'Brook Hole', water: { name: 'sure' } },
    });
    expect(chooseWaters([{ ...spring, colour: CLEAR }], ASK)[0]!.instead).toBeUndefined();
    // None that is closed, unknown, or hardly surer.
    const others = [{ closed: SHUT }, { colour: null }, { colour: colour(0.95, 0.7, 0.3, 0.1) }];
    for (const o of others)
      expect(chooseWaters([doubtful, water('o', o)], ASK).every((c) => c.instead === undefined)).toBe(true);
  });

  it('of equal colour by what speaks against each; the road is weighed in the verdict too', () => {
    expect(order([water('warm', { warmestC: 19 }), water('cool')])).toEqual(['cool', 'warm']);
    expect(order([water('rising', { trend: 'rising' }), water('falling', { trend: 'falling' })])).toEqual([
      'falling',
      'rising',
    ]);
    const windy = {
      winds: [{ wind: { from: 'upstream', force: 'strong' }, sheltered: false, shoulder: null }],
    } as const;
    expect(order([water('windy', windy), water('calm')])).toEqual(['calm', 'windy']);
    // A chance that is good enough next door is not worth two hours.
    const doubtful = colour(0.65, 0.2, 0, 0);
    expect(order([water('far', { colour: doubtful, driveMin: 150 }), water('near', { colour: doubtful })])).toEqual([
      'near',
      'far',
    ]);
    expect(chooseWaters([water('far', { colour: doubtful, driveMin: 150 })], ASK)[0]!.verdict).toBe('elsewhere');
  });

  it('go by the goal where the rest is alike: size, or takes a cast, few casts counting little', () => {
    const few = water('lucky', { own: { casts: 5, takes: 1, longestM: null, byMonth: NEVER } });
    const good = water('good', { own: { casts: 900, takes: 40, longestM: 0.31, byMonth: NEVER } });
    const slow = water('slow', { own: { casts: 900, takes: 4, longestM: 0.74, byMonth: NEVER } });
    expect(order([slow, few, good], 'numbers')).toEqual(['good', 'lucky', 'slow']);
    expect(order([good, few, slow], 'one big fish')[0]).toBe('slow');
    expect(says({ own: slow.own }, 'one big fish')).toContainEqual(
      expect.objectContaining({ code: 'largest', lengthM: 0.74 }),
    );
    expect(order([water('run', { quarry: 'steelhead' }), water('brook')], 'action for a beginner')).toEqual([
      'brook',
      'run',
    ]);
  });

  it('counts pressure from the last rise, and calls hearsay hearsay, with its age', () => {
    const freshet = (change: Partial<WaterDay>) => says(change).find((r) => r.code === 'freshet');
    expect(freshet({ freshetDays: 2, fishedSince: 1 })?.tone).toBe('for');
    expect(freshet({ freshetDays: 2, fishedSince: 4 })?.tone).toBe('against');
    for (const fishedSince of [0, 2]) expect(freshet({ freshetDays: 20, fishedSince })?.tone).toBe('neutral');
    expect(freshet({ quarry: 'sea trout', freshetDays: 1 })).toMatchObject({ newFish: true });
    expect(freshet({ quarry: 'brown trout', freshetDays: 1 })).toMatchObject({ newFish: false });
    const report = (days: number) => ({
      at: NOW - days * DAY_MS,
      source: 'the keeper',
      text: 'Clearing.',
      fished: false,
    });
    const heard = (days: number) => says({ reports: [report(days)] }).find((r) => r.code === 'hearsay');
    expect(heard(0)).toMatchObject({ source: 'the keeper', text: 'Clearing.', days: 0, old: false });
    expect(heard(8)).toMatchObject({ days: 8, old: true });
  });

  it('with the fish that is wanted come before the others, whatever their colour, and say so', () => {
    const list = [
      water('trout'),
      water('steelhead', { quarry: 'steelhead', colour: MUD }),
      water('shut', { quarry: 'steelhead', closed: SHUT }),
    ];
    const choices = chooseWaters(list, { ...ASK, quarry: 'steelhead' });
    expect(choices.map((c) => c.id)).toEqual(['steelhead', 'trout', 'shut']);
    expect(choices[1]!.reasons[0]).toEqual({
      ...{ tone: 'against', code: 'other fish', has: 'brown trout', wanted: 'steelhead' },
    });
    expect(choices[0]!.reasons.map((r) => r.code)).not.toContain('other fish');
  });

  it('tell the wind run by run, what lies out of it, and the shoulder that one lacks', () => {
    const blow = (force: 'light' | 'fresh' | 'strong', shoulder: 'left' | 'right' | null = null) =>
      ({ wind: { from: 'upstream', force }, sheltered: false, shoulder }) as const;
    const wind = (...winds: ReturnType<typeof blow>[]) =>
      says({ winds }).filter((r) => r.code === 'wind' || r.code === 'little wind');
    expect(wind(blow('light'), blow('light'))).toEqual([{ tone: 'for', code: 'little wind' }]);
    const blows = { code: 'wind', force: 'fresh', runs: 1 };
    expect(wind(blow('fresh'), blow('light'))).toEqual([{ tone: 'neutral', ...blows, of: 2 }]);
    expect(wind(blow('fresh'), blow('strong'))).toEqual([
      { tone: 'against', code: 'wind', force: 'strong', runs: 2, of: 2 },
    ]);
    expect(wind(blow('fresh'))).toEqual([{ tone: 'against', ...blows, of: 1 }]);
    expect(wind()).toEqual([]);
    const shoulder = (shoulders: ChoiceAsk['shoulders']) =>
      says({ winds: [blow('fresh', 'left'), blow('light', 'left')] }, 'any', { shoulders }).find(
        (r) => r.code === 'shoulder',
      );
    expect(shoulder(['right'])).toEqual({ tone: 'against', code: 'shoulder', shoulder: 'left', runs: 1 });
    expect(shoulder(['right', 'left'])).toBeUndefined();
  });

  it('tell pressure without a gauge, one’s own log from a hundred casts on, and a road that was not said', () => {
    const found = (change: Partial<WaterDay>, goal: ChoiceAsk['goal'] = 'any') => says(change, goal);
    const codes = (...of: Parameters<typeof found>) => found(...of).map((r) => r.code);
    expect(found({ freshetDays: null, fishedSince: 3 })).toContainEqual({
      ...{ tone: 'against', code: 'fished lately', days: 3 },
    });
    expect(codes({ freshetDays: null, fishedSince: 2 })).not.toContain('fished lately');
    expect(found({ freshetDays: 6, fishedSince: 1 })).toContainEqual({
      ...{ tone: 'neutral', code: 'freshet', days: 6, fishedDays: 1, newFish: false },
    });
    const own = (casts: number) => ({ own: { casts, takes: 1, longestM: null, byMonth: NEVER } });
    expect(found(own(100))).toContainEqual({ tone: 'neutral', code: 'takes', takes: 1, casts: 100 });
    expect(codes(own(99))).not.toContain('takes');
    const largest = (lengthM: number | null, tone = 'neutral', travellers = false) => ({
      ...{ tone, code: 'largest', lengthM, travellers },
    });
    expect(found({}, 'one big fish')).toContainEqual(largest(null));
    expect(found({ quarry: 'steelhead' }, 'one big fish')).toContainEqual(largest(null, 'neutral', true));
    const measured = { own: { casts: 9, takes: 1, longestM: 0.5, byMonth: NEVER } };
    expect(found(measured, 'one big fish')).toContainEqual(largest(0.5, 'for'));
    expect(found({ quarry: 'sea trout' }, 'action for a beginner')).toContainEqual({
      ...{ tone: 'against', code: 'seldom take', quarry: 'sea trout' },
    });
    expect(found({ driveMin: 75 })).toContainEqual({ tone: 'against', code: 'road', minutes: 75 });
    expect(found({ driveMin: 74 })).toContainEqual({ tone: 'neutral', code: 'road', minutes: 74 });
    expect(found({ driveMin: null })).toContainEqual({ tone: 'neutral', code: 'road not said' });
    expect(found({ trend: 'rising' })).toContainEqual({ tone: 'against', code: 'rising' });
    expect(found({ trend: 'falling' })).toContainEqual({ tone: 'for', code: 'falling' });
    const reports = [0, 1, 2].map((d) => ({ at: NOW - d * DAY_MS, source: `s${d}`, text: 'x', fished: false }));
    expect(codes({ reports }).filter((code) => code === 'hearsay')).toHaveLength(2);
  });

  it('tells warm from too warm, by the water’s own rule where it is lower', () => {
    const warm = (warmestC: number, closesAtC: number | null = null) => says({ warmestC, closesAtC })[0]!;
    expect(warm(12)).toEqual({ tone: 'for', code: 'good temperature', tempC: 12, travellers: false });
    expect(says({ warmestC: 12, quarry: 'steelhead' })[0]).toMatchObject({ travellers: true });
    expect([6.9, 7, 8.9, 9].map((t) => warm(t).tone)).toEqual(['neutral', 'neutral', 'neutral', 'for']);
    expect([5, 7, 18.5, 20.5].map((t) => warm(t).code)).toEqual(['cold', 'cool', 'warm', 'too warm']);
    expect(warm(18.5, 18).code).toBe('too warm');
    expect(says({ warmestC: null })[0]).not.toHaveProperty('tempC');
  });
});

describe('wind on a run', () => {
  /** Flows south, described from its left, eastern bank; woods on the far one. */
  const lying = { bearingDeg: 180, bank: 'left', trees: { nearM: 0, farM: 12 }, widthM: 30 } as const;
  const on = (windFromDeg: number, windMps = 8) => windOnRun(lying, { windFromDeg, windMps });

  it('comes up it, down it, from behind or across, by where it comes from', () => {
    expect(on(180).wind.from).toBe('downstream');
    expect(on(0).wind.from).toBe('upstream');
    expect(on(90).wind.from).toBe('behind');
    expect(on(270).wind.from).toBe('across');
    expect(on(350).wind.from).toBe('upstream');
  });

  it('is halved behind a wood within ten of its heights, and not along the river', () => {
    expect(on(270)).toMatchObject({ sheltered: true, mps: 4, wind: { force: 'light' } });
    expect(on(90)).toMatchObject({ sheltered: false, mps: 8, wind: { force: 'fresh' } });
    expect(on(180).sheltered).toBe(false);
    expect(windOnRun({ ...lying, widthM: 130 }, { windFromDeg: 270, windMps: 8 }).sheltered).toBe(false);
    expect([5.4, 5.5, 10.8].map((v) => on(90, v).wind.force)).toEqual(['light', 'fresh', 'strong']);
  });

  it('has a middle as arrows have', () => {
    const north = middlingWind([
      { windMps: 4, windFromDeg: 350 },
      { windMps: 4, windFromDeg: 10 },
    ])!;
    expect(Math.min(north.windFromDeg, 360 - north.windFromDeg)).toBeCloseTo(0, 6);
    expect(north.windMps).toBe(4);
    expect(middlingWind([])).toBeNull();
    expect(middlingWind([{ windMps: 3, windFromDeg: 250 }])!.windFromDeg).toBeCloseTo(250, 6);
  });
});
