import type { ColourAt } from '../colour/verdict';
import { type ChoiceAsk, chooseWaters, type WaterDay } from './waters';
import { middlingWind, windOnRun } from './wind';
import { DAY_MS } from '../units';

const NOW = Date.UTC(2026, 8, 10, 8);
const colour = (...chances: number[]): ColourAt => ({
  ...{ at: NOW, medianM: 1, low80M: 0.5, high80M: 2, because: '', chances },
});
const CLEAR = colour(1, 0.95, 0.9, 0.5);
const MURKY = colour(0.9, 0.2, 0.05, 0);
const MUD = colour(0.1, 0, 0, 0);
const water = (id: string, change: Partial<WaterDay> = {}): WaterDay => ({
  ...{
    id,
    name: id,
    quarry: 'brown trout',
    driveMin: 30,
    closed: null,
    colour: CLEAR,
    noColour: null,
    trend: 'steady',
  },
  ...{ warmestC: 12, closesAtC: null, winds: [], freshetDays: 8, fishedSince: 0, reports: [] },
  own: { casts: 0, takes: 0, longestM: null },
  ...change,
});
const ASK: ChoiceAsk = { goal: 'any', quarry: null, shoulders: ['right', 'left'], units: 'metric', now: NOW };
const order = (list: WaterDay[], goal: ChoiceAsk['goal'] = 'any') =>
  chooseWaters(list, { ...ASK, goal }).map((c) => c.id);
const says = (change: Partial<WaterDay>, goal: ChoiceAsk['goal'] = 'any', ask: Partial<ChoiceAsk> = {}) =>
  chooseWaters([water('w', change)], { ...ASK, goal, ...ask })[0]!.reasons;

describe('waters side by side', () => {
  it('go by colour first: clear, then murky, then one that is not known, then mud, and closed last', () => {
    expect(
      order([
        water('closed', { closed: 'Closed until 1 April.' }),
        water('mud', { colour: MUD }),
        water('unknown', { colour: null }),
        water('murky', { colour: MURKY }),
        water('clear'),
      ]),
    ).toEqual(['clear', 'murky', 'unknown', 'mud', 'closed']);
    const [first] = chooseWaters([water('c', { closed: 'Closed until 1 April.' })], ASK);
    expect(first).toMatchObject({ verdict: 'closed', words: 'Closed until 1 April.' });
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
    const few = water('lucky', { own: { casts: 5, takes: 1, longestM: null } });
    const good = water('good', { own: { casts: 900, takes: 40, longestM: 0.31 } });
    const slow = water('slow', { own: { casts: 900, takes: 4, longestM: 0.74 } });
    expect(order([slow, few, good], 'numbers')).toEqual(['good', 'lucky', 'slow']);
    expect(order([good, few, slow], 'one big fish')[0]).toBe('slow');
    expect(says(slow.own ? { own: slow.own } : {}, 'one big fish').map((r) => r.says)).toContain(
      'Your largest here: 74.0 cm.',
    );
    expect(order([water('run', { quarry: 'steelhead' }), water('brook')], 'action for a beginner')).toEqual([
      'brook',
      'run',
    ]);
  });

  it('counts pressure from the last rise, and calls hearsay hearsay, with its age', () => {
    const tone = (change: Partial<WaterDay>, part: string) => says(change).find((r) => r.says.includes(part))?.tone;
    expect(tone({ freshetDays: 2, fishedSince: 1 }, 'since the last freshet')).toBe('for');
    expect(tone({ freshetDays: 2, fishedSince: 4 }, 'since the last freshet')).toBe('against');
    for (const fishedSince of [0, 2])
      expect(tone({ freshetDays: 20, fishedSince }, 'since the last freshet')).toBe('neutral');
    expect(
      says({ quarry: 'sea trout', freshetDays: 1 })
        .map((r) => r.says)
        .join(),
    ).toContain('new fish may have come up');
    expect(
      says({ quarry: 'brown trout', freshetDays: 1 })
        .map((r) => r.says)
        .join(),
    ).not.toContain('new fish');
    const report = (days: number) => ({
      at: NOW - days * DAY_MS,
      source: 'the keeper',
      text: 'Clearing.',
      fished: false,
    });
    const heard = (days: number) =>
      says({ reports: [report(days)] }).find((r) => r.says.startsWith('the keeper'))!.says;
    expect(heard(0)).toBe('the keeper, today: “Clearing.” (hearsay)');
    expect(heard(8)).toBe('the keeper, 8 days ago: “Clearing.” (old: the river has changed since)');
  });

  it('with the fish that is wanted come before the others, whatever their colour, and say so', () => {
    const list = [
      water('trout'),
      water('steelhead', { quarry: 'steelhead', colour: MUD }),
      water('shut', { quarry: 'steelhead', closed: 'Closed.' }),
    ];
    const choices = chooseWaters(list, { ...ASK, quarry: 'steelhead' });
    expect(choices.map((c) => c.id)).toEqual(['steelhead', 'trout', 'shut']);
    expect(choices[1]!.reasons[0]).toEqual({
      tone: 'against',
      says: 'It is fished for brown trout, not for steelhead.',
    });
    expect(choices[0]!.reasons.map((r) => r.says).join()).not.toContain('not for');
  });

  it('tell the wind run by run, what lies out of it, and the shoulder that one lacks', () => {
    const blow = (force: 'light' | 'fresh' | 'strong', shoulder: 'left' | 'right' | null = null) =>
      ({ wind: { from: 'upstream', force }, sheltered: false, shoulder }) as const;
    const wind = (...winds: ReturnType<typeof blow>[]) => says({ winds }).filter((r) => /wind/i.test(r.says));
    expect(wind(blow('light'), blow('light'))).toEqual([{ tone: 'for', says: 'Little wind on its runs.' }]);
    expect(wind(blow('fresh'), blow('light'))).toEqual([
      { tone: 'neutral', says: 'Fresh wind on 1 of 2 runs; 1 out of it.' },
    ]);
    expect(wind(blow('fresh'), blow('strong'))).toEqual([{ tone: 'against', says: 'Strong wind on 2 of 2 runs.' }]);
    expect(wind(blow('fresh'))).toEqual([{ tone: 'against', says: 'Fresh wind on its run.' }]);
    expect(wind()).toEqual([]);
    const shoulder = (shoulders: ChoiceAsk['shoulders']) =>
      says({ winds: [blow('fresh', 'left'), blow('light', 'left')] }, 'any', { shoulders }).find((r) =>
        r.says.includes('shoulder'),
      );
    expect(shoulder(['right'])).toEqual({
      tone: 'against',
      says: 'On 1 run it asks for the left shoulder, over which you do not cast.',
    });
    expect(shoulder(['right', 'left'])).toBeUndefined();
  });

  it('tell pressure without a gauge, one’s own log from a hundred casts on, and a road that was not said', () => {
    const found = (change: Partial<WaterDay>, goal: ChoiceAsk['goal'] = 'any') =>
      says(change, goal).map((r) => `${r.tone}: ${r.says}`);
    expect(found({ freshetDays: null, fishedSince: 3 })).toContain('against: Fished on 3 days lately.');
    expect(found({ freshetDays: null, fishedSince: 2 }).join()).not.toContain('Fished on');
    expect(found({ freshetDays: 6, fishedSince: 1 })).toContain(
      'neutral: 6 days since the last freshet, fished on 1 day since.',
    );
    const own = (casts: number) => ({ own: { casts, takes: 1, longestM: null } });
    expect(found(own(100))).toContain('neutral: Yours here: 1 take in 100 casts.');
    expect(found(own(99)).join()).not.toContain('Yours here');
    expect(found({}, 'one big fish')).toContain('neutral: None of your fish here is measured yet.');
    expect(found({ quarry: 'steelhead' }, 'one big fish')).toContain(
      'neutral: Large fish run here; none of yours is measured yet.',
    );
    expect(found({ own: { casts: 9, takes: 1, longestM: 0.5 } }, 'one big fish')).toContain(
      'for: Your largest here: 50.0 cm.',
    );
    expect(found({ quarry: 'sea trout' }, 'action for a beginner')).toContain(
      'against: Sea trout take seldom: long hours for a beginner.',
    );
    expect(found({ driveMin: 75 })).toContain('against: 75 minutes of road, one way.');
    expect(found({ driveMin: 74 })).toContain('neutral: 74 minutes of road, one way.');
    expect(found({ driveMin: null })).toContain('neutral: How long the road is was not said.');
    expect(found({ trend: 'rising' })).toContain(
      'against: Rising now: it may still colour, and the water may come under you.',
    );
    expect(found({ trend: 'falling' })).toContain('for: Falling.');
    expect(
      found({
        reports: [0, 1, 2].map((d) => ({ at: NOW - d * DAY_MS, source: `s${d}`, text: 'x', fished: false })),
      }).filter((t) => /“x”/.test(t)),
    ).toHaveLength(2);
  });

  it('tells warm from too warm, by the water’s own rule where it is lower', () => {
    const warm = (warmestC: number, closesAtC: number | null = null) => says({ warmestC, closesAtC })[0]!;
    expect(warm(12)).toEqual({ tone: 'for', says: 'Water up to 12.0 °C: fish feed.' });
    expect(says({ warmestC: 12, quarry: 'steelhead' })[0]!.says).toBe('Water up to 12.0 °C: fish move to a fly.');
    expect(warm(5).says).toContain('slow and deep');
    expect([6.9, 7, 8.9, 9].map((t) => warm(t).tone)).toEqual(['neutral', 'neutral', 'neutral', 'for']);
    expect(warm(7).says).toBe('Water up to 7.0 °C: on the cold side; slowly, in the warmest hours.');
    expect(warm(18.5).says).toContain('cool hours only');
    expect(warm(20.5).says).toContain('too warm to play fish');
    expect(warm(18.5, 18).says).toContain('too warm to play fish');
    expect(says({ warmestC: null })[0]!.says).not.toContain('Water up to');
    expect(chooseWaters([water('w')], { ...ASK, units: 'imperial' })[0]!.reasons[0]!.says).toContain('54 °F');
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
