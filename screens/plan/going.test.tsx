import { BECAUSE } from '@/core/testing/fixtures';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { type ColourAt, judgeColour } from '@/core/colour';
import type { Water } from '@/store/records';
import { addDays, dayOf } from '../shared/time';
import { Going } from './Going';
import { unfold } from '../shown.testing';
import { HOUR_MS } from '@/core/units';

const LAST = new Date(2026, 5, 10, 9).getTime();
const TODAY = dayOf(LAST);
const mockState: { colour: unknown } = { colour: null };
jest.mock('../shared/useColour', () => ({ useColour: () => mockState.colour, useColourPast: () => mockState.colour }));
const mockSaved = jest.fn();
jest.mock('../shared/files', () => ({ download: (...file: unknown[]) => mockSaved(...file) }));
const mockPut = jest.fn(async () => undefined);
const mockSaid: { list: unknown[] } = { list: [] };
jest.mock('@/store/hooks', () => ({
  useSettings: () => [{ units: 'metric' }],
  useRecords: () => ({ data: mockSaid.list }),
  useSave: () => ({ put: mockPut }),
}));
jest.mock('@/ui/charts', () => ({
  ColourBand: ({ summary }: { summary: string }) => <div role="img" aria-label={summary} />,
  Hydrograph: ({ summary }: { summary: string }) => <div role="img" aria-label={summary} />,
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
    level: null,
    levels: null,
  },
  ...o,
});
const gauge = (o: object) => ({ isError: false, data: undefined, refetch: jest.fn(), ...o }) as never;
const show = (day: string, w: Water = water, colour: object = state()) => {
  mockState.colour = colour;
  render(
    <Going
      {...{ water: w, day, today: TODAY, until: LAST, direction: 'steady' }}
      gauge={gauge({ data: { points: [{ at: LAST, stageM: 1, flowM3s: 5, tempC: 9 }], fetchedAt: LAST, stale: null } })}
    />,
  );
  if (w.stationId) unfold(/^What this rests on/);
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
    expect(screen.getByRole('img', { name: 'Visibility 0.40 m, likely 0.25 to 0.65 m' })).toBeTruthy();
    expect(text()).toContain('Look from the bridge');
  });

  it('tomorrow is judged at its noon', () => {
    show(addDays(TODAY, 1));
    expect(screen.getByText('Go')).toBeTruthy();
    expect(text()).toContain('at noon');
  });

  it('a closed water is closed, however clear', () => {
    const season = { from: '01-01', to: '01-02' };
    show(addDays(TODAY, 1), { ...water, rules: { season } } as Water);
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

  it('goes along: the curve with what was read of it, as numbers and as a page', async () => {
    const seen = { at: LAST + 4 * HOUR_MS, visibilityM: 0.6, atLeast: false };
    show(TODAY, water, state({ readings: [seen] }));
    fireEvent.click(screen.getByRole('button', { name: 'Export numbers (CSV)' }));
    await waitFor(() => expect(mockSaved).toHaveBeenCalledTimes(1));
    const [name, , csv] = mockSaved.mock.lastCall as string[];
    const rows = csv!.replace('\uFEFF', '').split(/\r?\n/);
    expect([name, rows[0]]).toEqual(['wanderung-visibility.csv', 'time,"visibility, m",low,high,read,at least']);
    expect(rows.filter(Boolean)).toHaveLength(1 + all.length + 1);
    expect(rows).toContain(`${new Date(seen.at).toISOString()},,,,0.6,false`);
    fireEvent.click(screen.getByRole('button', { name: 'Save as page' }));
    await waitFor(() => expect(mockSaved).toHaveBeenCalledTimes(2));
    expect(mockSaved.mock.lastCall![2]).toContain('<h1>Visibility, m</h1>');
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

  it('of days that were, and of waters without a gauge, foretells nothing', () => {
    show(addDays(TODAY, -1));
    expect(text()).not.toMatch(/Go|olour|Visibility/);
    expect(screen.getByRole('region', { name: 'How the river stood' })).toBeTruthy();
    cleanup();
    show(TODAY, { ...water, stationId: null });
    expect(text()).toContain('Look from the bridge');
    expect(text()).not.toMatch(/Visibility|orecast/);
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

describe('the level under it', () => {
  const point = { at: LAST, stageM: 1.25, flowM3s: 12, tempC: 9 };
  const level = (
    data: object | undefined,
    o: { day?: string; until?: number; gauge?: object; colour?: object } = {},
  ) => {
    mockState.colour = state({ forecast: { isError: false, data: undefined }, ...o.colour });
    render(
      <Going
        {...{ water: { ...water, normalStageM: 1 }, day: o.day ?? TODAY, today: TODAY, until: o.until ?? LAST }}
        direction="falling"
        gauge={gauge({ data, ...o.gauge })}
      />,
    );
    if (data) unfold(/^What this rests on/);
  };
  const heard = (points: object[], o: object = {}) => ({ points, fetchedAt: Date.now(), stale: null, ...o });

  it('stands against normal, with flow and temperature', () => {
    level(heard([point]));
    for (const told of ['+25 cm', 'falling', '12.0 m³/s', '9.0 °C']) expect(screen.getByText(told)).toBeTruthy();
  });

  it('goes on as it is forecast, with its doubt and how such forecasts did', () => {
    const step = (h: number, median: number) => ({
      ...{ at: LAST + h * HOUR_MS, median, low80: median - 0.05, high80: median + 0.12 },
    });
    const colour = {
      level: { of: 'level', steps: [step(4, 1.28), step(8, 1.3), step(27, 1.4)] },
      levels: { days: 30, inside: 25, likely: 0.07 },
    };
    level(heard([point]), { colour });
    expect(screen.getByText('Level in 6 hours')).toBeTruthy();
    expect(screen.getByText('+28 cm')).toBeTruthy();
    expect(screen.getByText('+23 cm to +40 cm')).toBeTruthy();
    expect(text()).toContain(
      '25 of the last 30 afternoons lay within what the evening before called likely. Four of five were out by 7 cm or less.',
    );
    expect(screen.getByRole('img', { name: /now \+25 cm and falling\. Level in 6 hours: \+28 cm$/ })).toBeTruthy();
    cleanup();
    level(heard([point]), { colour, day: addDays(TODAY, 1) });
    expect(screen.getByText('Level Thu 11 Jun at noon')).toBeTruthy();
    expect(screen.getByText('+40 cm')).toBeTruthy();
    cleanup();
    // What is forecast of a flow is no level, and days that were have none to come.
    level(heard([point]), { colour: { level: { of: 'flow', steps: [step(8, 9)] } } });
    expect(text()).not.toContain('Level in');
    cleanup();
    level(heard([point]), { colour, day: addDays(TODAY, -1) });
    expect(text()).not.toContain('+28 cm');
  });

  it('is told as flow where the gauge tells no level, and doubted where it is old or stuck', () => {
    const h = (n: number) => point.at - n * HOUR_MS;
    const flow = [3, 2, 1, 0].map((n) => ({ at: h(n), stageM: NaN, flowM3s: 10 + n, tempC: NaN }));
    level(heard(flow));
    expect(screen.getByText('10.0 m³/s')).toBeTruthy();
    expect(screen.getByText(/^Flow at the gauge, which gives no level/)).toBeTruthy();
    cleanup();
    level(heard(flow), { until: point.at + 30 * HOUR_MS });
    expect(screen.getByText('The gauge’s last value is 30 hours old.')).toBeTruthy();
    cleanup();
    const stuck = Array.from({ length: 60 }, (_, n) => ({
      ...{ ...point, at: h(59 - n), stageM: n < 30 ? 1 + n / 1000 : 1.03 },
    }));
    level(heard(stuck));
    expect(screen.getByText(/the sensor may be stuck/)).toBeTruthy();
  });

  it('says when it is old, and that a coming day is not known', () => {
    const old = { fetchedAt: Date.now() - 5 * HOUR_MS, stale: 'there is no connection' };
    level(heard([point], old), { day: addDays(TODAY, 1) });
    expect(screen.getByText(/Last values received, 5 hours ago: there is no connection/)).toBeTruthy();
    expect(screen.getByText(/The level forecast reaches two days: these are the latest values/)).toBeTruthy();
  });

  it('says what went wrong and asks again', () => {
    const refetch = jest.fn();
    level(undefined, { gauge: { isError: true, error: new Error('No level: no earlier level is stored.'), refetch } });
    expect(screen.getByText(/no earlier level is stored/)).toBeTruthy();
    screen.getByRole('button', { name: 'Try again' }).click();
    expect(refetch).toHaveBeenCalledTimes(1);
  });
});
