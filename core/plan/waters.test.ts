import type { ColourAt } from '../colour/verdict';
import { chooseWaters, type WaterDay } from './waters';
import { middlingWind, windOnRun } from './wind';

const NOW = Date.UTC(2026, 8, 10, 8);
const DAY = 86_400_000;
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
const order = (list: WaterDay[], goal: Parameters<typeof chooseWaters>[1] = 'any') =>
  chooseWaters(list, goal, NOW, 'metric').map((c) => c.id);
const says = (change: Partial<WaterDay>, goal: Parameters<typeof chooseWaters>[1] = 'any') =>
  chooseWaters([water('w', change)], goal, NOW, 'metric')[0]!.reasons;

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
    const [first] = chooseWaters([water('c', { closed: 'Closed until 1 April.' })], 'any', NOW, 'metric');
    expect(first).toMatchObject({ verdict: 'closed', words: 'Closed until 1 April.' });
  });

  it('of equal colour by what speaks against each; the road is weighed in the verdict too', () => {
    expect(order([water('warm', { warmestC: 19 }), water('cool')])).toEqual(['cool', 'warm']);
    expect(order([water('rising', { trend: 'rising' }), water('falling', { trend: 'falling' })])).toEqual([
      'falling',
      'rising',
    ]);
    const windy = { winds: [{ wind: { from: 'upstream', force: 'strong' }, sheltered: false }] } as const;
    expect(order([water('windy', windy), water('calm')])).toEqual(['calm', 'windy']);
    // A chance that is good enough next door is not worth two hours.
    const doubtful = colour(0.65, 0.2, 0, 0);
    expect(order([water('far', { colour: doubtful, driveMin: 150 }), water('near', { colour: doubtful })])).toEqual([
      'near',
      'far',
    ]);
    expect(chooseWaters([water('far', { colour: doubtful, driveMin: 150 })], 'any', NOW, 'metric')[0]!.verdict).toBe(
      'elsewhere',
    );
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
    expect(tone({ freshetDays: 2, fishedSince: 1 }, 'since it last rose')).toBe('for');
    expect(tone({ freshetDays: 2, fishedSince: 4 }, 'since it last rose')).toBe('against');
    expect(tone({ freshetDays: 20, fishedSince: 0 }, 'since it last rose')).toBe('neutral');
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
    const report = (days: number) => ({ at: NOW - days * DAY, source: 'the keeper', text: 'Clearing.', fished: false });
    const heard = (days: number) =>
      says({ reports: [report(days)] }).find((r) => r.says.startsWith('the keeper'))!.says;
    expect(heard(0)).toBe('the keeper, today: “Clearing.” (hearsay)');
    expect(heard(8)).toBe('the keeper, 8 days ago: “Clearing.” (old: the river has changed since)');
  });

  it('tells warm from too warm, by the water’s own rule where it is lower', () => {
    const warm = (warmestC: number, closesAtC: number | null = null) => says({ warmestC, closesAtC })[0]!;
    expect(warm(12)).toEqual({ tone: 'for', says: 'Water up to 12.0 °C: fish feed.' });
    expect(warm(5).says).toContain('slow and deep');
    expect(warm(18.5).says).toContain('cool hours only');
    expect(warm(20.5).says).toContain('too warm to play fish');
    expect(warm(18.5, 18).says).toContain('too warm to play fish');
    expect(says({ warmestC: null })[0]!.says).not.toContain('Water up to');
    expect(chooseWaters([water('w')], 'any', NOW, 'imperial')[0]!.reasons[0]!.says).toContain('54 °F');
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
  });
});
