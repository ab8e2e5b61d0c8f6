import { BECAUSE } from '@/core/testing/fixtures';
import { cleanup, render, screen } from '@testing-library/react';
import { type ColourAt, judgeColour } from '@/core/colour';
import type { Water } from '@/store/records';
import { addDays, dayOf } from '../shared/time';
import { Colour } from './Colour';
import { HOUR_MS } from '@/core/units';

const LAST = new Date(2026, 5, 10, 9).getTime();
const TODAY = dayOf(LAST);
const mockState: { colour: unknown } = { colour: null };
jest.mock('../shared/useColour', () => ({ useColour: () => mockState.colour, useColourPast: () => mockState.colour }));
const mockPut = jest.fn(async () => undefined);
const mockSaid: { list: unknown[] } = { list: [] };
jest.mock('@/store/hooks', () => ({
  useSettings: () => [{ units: 'metric' }],
  useRecords: () => ({ data: mockSaid.list }),
  useSave: () => ({ put: mockPut }),
}));
jest.mock('@/ui/charts', () => ({
  ColourBand: ({ summary }: { summary: string }) => <div role="img" aria-label={summary} />,
}));
afterEach(cleanup);

const water = { id: 'w', stationId: 's', river: { kind: 'spate', peaty: false }, driveMin: 30 } as Water;
/** Dirty now, clearing by and by: the chances grow with every step of four hours. */
const clearing = (h: number): ColourAt => {
  const share = Math.min(1, Math.max(0, (h + 4) / 40));
  return {
    ...{ at: LAST + h * HOUR_MS, medianM: 0.3 + share, low80M: 0.2 + share / 2, high80M: 0.5 + 1.5 * share },
    ...{ because: BECAUSE, chances: [0.3 + 0.7 * share, share, share / 2, 0] },
  };
};
const all = Array.from({ length: 13 }, (_, i) => clearing(4 * i));
const state = (o: object = {}) => ({
  ...{
    forecast: { isError: false, data: all },
    record: { inside: 5, of: 6 },
    last: LAST,
    readings: [],
    lately: [],
    rain: null,
    clears: null,
  },
  ...o,
});
const show = (day: string, w: Water = water, colour: object = state(), closed = false) => {
  mockState.colour = colour;
  render(<Colour water={w} day={day} today={TODAY} until={LAST} closed={closed} />);
};
const text = () => document.body.textContent ?? '';

describe('the colour to expect', () => {
  it('today: the verdict of now, its doubt, from when it is better, and its record', () => {
    expect(judgeColour(all[0]!, 30).verdict).toBe('elsewhere');
    show(TODAY);
    expect(screen.getByText('Elsewhere')).toBeTruthy();
    expect(text()).toContain('too little for the drive');
    expect(text()).toMatch(/Go with sinking gear from Wed 10 Jun, 21:00; go from Thu 11 Jun, \d\d:00\./);
    expect(text()).toContain('each of your last 6 readings, this forecast held 5 of 6 times');
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('Visibility 0.40 m, likely 0.25 to 0.65 m');
    expect(text()).toContain('Look from the bridge');
  });

  it('tomorrow is judged at its noon', () => {
    show(addDays(TODAY, 1));
    expect(screen.getByText('Go')).toBeTruthy();
    expect(text()).toContain('at noon');
  });

  it('a closed water is closed, however clear', () => {
    show(addDays(TODAY, 1), water, state(), true);
    expect(screen.getByText('Closed')).toBeTruthy();
    expect(screen.queryByText('Go')).toBeNull();
    expect(text()).toContain('By colour alone: go.');
  });

  it('says no more than anyone measures by eye', () => {
    const clear = all.map((f) => ({ ...f, low80M: 1.5, high80M: 5.8 }));
    show(TODAY, water, state({ forecast: { isError: false, data: clear } }));
    expect(text()).toContain('1.50 to more than 3.00 m');
    cleanup();
    show(TODAY, water, state({ forecast: { isError: false, data: clear.map((f) => ({ ...f, low80M: 4 })) } }));
    expect(text()).toContain('Likely (4 times in 5)more than 3.00 m');
  });

  it('is kept as it is said, once a day for each moment, and told how such words held', () => {
    mockPut.mockClear();
    mockSaid.list = [];
    show(addDays(TODAY, 1));
    expect(mockPut).toHaveBeenCalledTimes(1);
    const [kept] = mockPut.mock.calls[0] as unknown as [{ id: string; forAt: number; madeAt: number; medianM: number }];
    expect(kept.id).toBe(`w-${addDays(TODAY, 1)}-${TODAY}`);
    expect(kept.madeAt).toBe(LAST);
    expect(kept.forAt).toBeGreaterThan(LAST);
    expect(kept.medianM).toBeCloseTo(all.find((f) => f.at === kept.forAt)!.medianM, 9);
    expect(text()).not.toContain('forecasts you saw here');
    cleanup();
    // The same day again: what was said first stands.
    mockSaid.list = [
      kept,
      { ...kept, id: 'before', madeAt: 0, forAt: LAST - 40 * HOUR_MS, low80M: 0.2, high80M: 0.6, waterId: 'w' },
    ];
    const readings = [{ at: LAST - 39 * HOUR_MS, visibilityM: 0.5, atLeast: false }];
    show(addDays(TODAY, 1), water, state({ readings }));
    expect(mockPut).toHaveBeenCalledTimes(1);
    expect(text()).toContain('Of the forecasts you saw here, 1 of 1 held.');
    mockSaid.list = [];
  });

  it('a poor record is called one; rain that is not known is said to be missing; a lake that turned over is named', () => {
    show(TODAY, water, state({ record: { inside: 3, of: 8 } }));
    expect(text()).toContain('Colour forecasts held only 3 of 8 times here');
    cleanup();
    show(TODAY, water, state({ record: { inside: 6, of: 8 }, rain: 'No weather: there is no connection.' }));
    expect(text()).not.toContain('Colour forecasts held');
    expect(text()).toContain('Rain to come is not counted. No weather: there is no connection.');
    cleanup();
    const october = new Date(2026, 9, 28).getTime();
    const lately = Array.from({ length: 160 }, (_, i) => ({
      ...{ at: october - (159 - i) * HOUR_MS, stageM: 1, flowM3s: 5, tempC: i > 120 ? 10 : 7 },
    }));
    show(TODAY, { ...water, river: { kind: 'below a dam', peaty: false }, latDeg: 57 } as Water, state({ lately }));
    expect(text()).toContain('the lake above may have turned over');
  });

  it('says nothing of a gauge that was silent for days', () => {
    const old = all.map((f) => ({ ...f, at: f.at - 80 * HOUR_MS }));
    show(TODAY, water, state({ forecast: { isError: false, data: old }, last: LAST - 80 * HOUR_MS }));
    expect(text()).toContain('the gauge has been silent for more than two days');
  });

  it('further off nothing is said but when to ask again', () => {
    show(addDays(TODAY, 5));
    expect(text()).toContain('Mon 15 Jun is too far off: the colour forecast reaches two days. Look again Sat 13 Jun.');
  });

  it('of days that were, and of waters without a gauge, nothing', () => {
    show(addDays(TODAY, -1));
    expect(text()).toBe('');
    cleanup();
    show(TODAY, { ...water, stationId: null });
    expect(text()).toBe('');
  });

  it('says what it assumes, waits, and says what went wrong', () => {
    show(TODAY, { ...water, river: undefined }, state({ record: null }));
    expect(text()).toContain('Kind of river not entered');
    expect(text()).not.toContain('Tested twelve hours');
    cleanup();
    show(TODAY, water, state({ forecast: { isError: false, data: undefined } }));
    expect(text()).toContain('Reading the river’s past');
    cleanup();
    show(TODAY, water, state({ forecast: { isError: true, error: new RangeError('no values') } }));
    expect(text()).toContain('No colour forecast: no values.');
  });
});
