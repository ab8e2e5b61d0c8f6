import { water } from '@/store/records.testing';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import type { KitItem } from '@/core/tackle';
import { PLAN, RIG, RUN } from '@/core/testing/fixtures';

import { put } from '@/store/changes';
import { openDatabase } from '@/store/open';

import { fetched, ToastProvider } from '@/ui';
import { charts } from '@/ui/charts';
import { TakeSheet } from './fish/TakeSheet';
import type { EventBody } from '@/core/logbook';
import { type AheadAsk, dayAhead } from '@/core/plan/ahead';
import type { SkySaid } from '@/core/plan/dayLength';
import { placeOf } from '@/core/sight';
import type { WeatherReport } from '@/store/gauge';
import type { Water } from '@/store/records';
import { dayOf } from './shared/time';
import { Hours } from './plan/Light';
import { RunsAtHour } from './plan/RunsAtHour';
import type { Answer } from '@/core/answer';
import { AnswerWords } from './rig/AnswerWords';
import { ItemPane } from './bag/ItemPane';
import { AddItem } from './bag/AddItem';
import { press, show, unfold } from './shown.testing';

jest.mock('expo-router', () => ({ useRouter: () => ({}), useIsFocused: () => true }));
jest.mock('@/workers/river', () => ({}));
jest.mock('@/ui/charts', () => ({ ...jest.requireActual('@/ui/charts'), FlyLikeness: () => null }));

const pick = (name: string) => fireEvent.click(screen.getByRole('radio', { name }));

beforeAll(() => fetched(charts));
beforeEach(() => openDatabase().db.clear());
afterEach(cleanup);

describe('why this', () => {
  it('sends one to the water where a reading is worth more than any change', () => {
    const onRead = jest.fn();
    const none = {
      served: null,
      plan: [],
      why: [],
      second: null,
      flips: [],
      check: [],
      schools: [],
      changes: [],
      rotation: [],
    };
    const of = (read: Answer['read']) =>
      show(
        <AnswerWords
          answer={{ ...none, mistakes: [], cautions: [], bring: null, read } as unknown as Answer}
          {...{ ask: 'best', onAsk: () => {}, onRead, isOn: false, working: null }}
        />,
      );
    of({ read: ['float'], lies: [2], ofTen: 7, nowOfTen: 4 });
    expect(screen.getByText(/^First time a float: .* well shown in 7 of 10 swings at lie 2, not in 4\.$/)).toBeTruthy();
    press('Read the water');
    expect(onRead).toHaveBeenCalledTimes(1);
    cleanup();
    of(null);
    expect(screen.queryByRole('button', { name: 'Read the water' })).toBeNull();
  });
});

describe('a take', () => {
  const log = { id: 'l', kind: 'log' as const, xM: 3, yM: 2, lengthM: 4, widthM: 1 };
  const TAKEN = { rig: RIG, plan: PLAN, features: [log], waterTempC: 11 };
  const two = { ...RIG, droppers: [{ fly: RIG.fly, way: 'ring' as const, aboveM: 0.5, armM: 0.15 }] };

  const logged = async (work: () => void) => {
    const onTake = jest.fn<void, [EventBody]>();
    show(<TakeSheet {...TAKEN} onClose={() => {}} onTake={onTake} onJuvenile={() => {}} />);
    work();
    press('Log take');
    return onTake.mock.calls[0]![0];
  };

  it('needs nothing but one tap', async () => {
    expect(await logged(() => {})).toEqual({
      kind: 'take',
      what: 'pluck',
      where: null,
      sign: null,
      juvenile: false,
      fish: null,
    });
  });

  it('asks for the fish only when there was one, in the user’s units', async () => {
    const body = await logged(() => {
      expect(screen.queryByLabelText('Length, cm')).toBeNull();
      pick('landed');
      pick('dangle');
      pick('steelhead');
      pick('female');
      pick('wild');
      fireEvent.change(screen.getByLabelText('Length, cm'), { target: { value: '68,5' } });
    });
    expect(body).toMatchObject({
      what: 'landed',
      where: 'dangle',
      fish: { species: 'steelhead', lengthM: expect.closeTo(0.685, 9), sex: 'female', origin: 'wild', condition: '' },
    });
  });

  it('says which fly where there are two, and takes a fish of any name', async () => {
    const onTake = jest.fn<void, [EventBody]>();
    show(<TakeSheet {...TAKEN} rig={two} onClose={() => {}} onTake={onTake} onJuvenile={() => {}} />);
    pick('landed');
    pick('dropper');
    pick('another');
    fireEvent.change(screen.getByLabelText('Name of the fish'), { target: { value: ' marble trout ' } });
    press('Log take');
    expect(onTake.mock.calls[0]![0]).toMatchObject({ place: 1, fish: { species: 'marble trout' } });
  });

  it('took a dry out of the same bag: entered by its name, under no fly of the rig', async () => {
    const { db } = openDatabase();
    await db.commit(put('kit', { type: 'other fly', id: 'd', name: 'Dry, hook 14', kind: 'dry', hook: '14' }));
    const onTake = jest.fn<void, [EventBody]>();
    show(<TakeSheet {...TAKEN} onClose={() => {}} onTake={onTake} onJuvenile={() => {}} />);
    await waitFor(() => pick('Dry, hook 14'));
    press('Log take');
    pick('point fly');
    press('Log take');
    const [dry, point] = onTake.mock.calls.map(([body]) => body);
    expect([dry, point]).toMatchObject([{ on: 'Dry, hook 14' }, { place: 0 }]);
    expect([dry, point].map((body) => 'on' in body! && 'place' in body!)).toEqual([false, false]);
  });

  it('with a fish on: how to strike, the wood near by and the free hook; landed: the release, warm water named', () => {
    const part = (o: object = {}) => (
      <TakeSheet {...TAKEN} {...o} onClose={() => {}} onTake={() => {}} onJuvenile={() => {}} />
    );
    show(part({ rig: two }));
    pick('hooked');
    const playing = screen.getByRole('note').textContent!;
    expect(playing).toMatch(/turn against the reel/);
    expect(playing).toMatch(/Wood \d+ m off \(log\): stop the fish early/);
    expect(playing).toMatch(/free hook/);
    pick('landed');
    expect(screen.getByRole('note').textContent).toMatch(/wet hands.*free hook/);
    expect(screen.getByRole('note').textContent).not.toMatch(/Warm water/);
    cleanup();
    show(part({ waterTempC: 19 }));
    pick('landed');
    expect(screen.getByRole('note').textContent).toMatch(/Warm water/);
  });

  it('of a juvenile is one tap', () => {
    const onJuvenile = jest.fn();
    show(<TakeSheet {...TAKEN} onClose={() => {}} onTake={() => {}} onJuvenile={onJuvenile} />);
    press(/^A juvenile/);
    expect(onJuvenile).toHaveBeenCalledTimes(1);
  });
});

/** The hours of a day on a water, so many hours into it. */
function hoursPage(
  of: Water,
  dayStart: number,
  hour: number,
  o: Partial<AheadAsk> = {},
  onSky: (sky: SkySaid) => void = () => {},
  report?: WeatherReport,
) {
  const { points = [] } = o;
  const ask: AheadAsk = {
    ...{
      place: placeOf(of),
      dayStart,
      water: of,
      runs: [],
      points,
      weather: [],
      colours: [],
      levels: [],
      heardAt: dayStart,
    },
    ...{ sky: null, chosen: null, length: 'whole day', walkMin: 10, backMin: null },
    ...o,
  };
  const ahead = { ...dayAhead(ask), now: dayStart + hour * 3_600_000, dayStart, points, weather: { data: report } };
  return <Hours water={of} day={dayOf(dayStart)} ahead={ahead} onSky={onSky} />;
}

describe('the hours', () => {
  const page = hoursPage;
  const base = water({ stationId: 's', normalStageM: 1 });
  const point = { at: Date.now(), stageM: 1.25, flowM3s: 12, tempC: 9 };
  it('light where the sun does not set says so', () => {
    show(page({ ...base, latDeg: 75 }, Date.UTC(2026, 5, 21), 12));
    unfold(/^Hour by hour/);
    expect(screen.getByText('The sun does not set.')).toBeTruthy();
  });

  it('hours by the school at work, hour by hour, and when to be on the way back', () => {
    const dayStart = new Date(2026, 10, 15).getTime();
    const points = Array.from({ length: 72 }, (_, i) => ({ ...point, at: dayStart - (72 - i) * 3_600_000, tempC: 5 }));
    show(page(base, dayStart, 10, { points }));
    expect(screen.getByText('Warmest hours: cold water, 5.0 °C at most.')).toBeTruthy();
    expect(screen.getByText(/ up in the .*; water about 5\.0 °C\. A \w+ hour: the water is cold\.$/)).toBeTruthy();
    expect(screen.getByText(/Dark from \d\d:\d\d: start back 10 minutes before/)).toBeTruthy();
    cleanup();
    const said = jest.fn();
    show(page(base, dayStart, 0, {}, said));
    expect(screen.getByText(/^All day under cloud: the sun stays low/)).toBeTruthy();
    unfold(/^Hour by hour/);
    fireEvent.click(screen.getByRole('radio', { name: 'cloud' }));
    expect(said).toHaveBeenCalledWith('cloud');
    cleanup();
    show(page(base, dayStart, 0, { sky: 'cloud' }));
    expect(screen.getByText('All day under cloud: the light stays soft under cloud.')).toBeTruthy();
  });

  it('how far to trust the water’s temperature: by what the last afternoons came to', () => {
    const dayStart = new Date(2026, 10, 15).getTime();
    const steady = Array.from({ length: 24 * 20 }, (_, i) => ({
      ...{ ...point, at: dayStart - (24 * 20 - i) * 3_600_000, tempC: 5 },
    }));
    show(page(base, dayStart, 10, { points: steady }));
    unfold(/^Hour by hour/);
    expect(
      screen.getByText(/1[5-9] of the last 1[5-9] afternoons came within 1\.0 °C\. Likely out by no more than 0\.1 °C/),
    ).toBeTruthy();
  });
});

describe('the weather of the hours', () => {
  const dayStart = new Date(2026, 5, 15).getTime();
  const water = { id: 'water', latDeg: 57, lonDeg: -4, rules: { hours: undefined, closesAtC: null } } as never;
  const weather = (cloud: number, windMps = 7) => ({
    ...{ issuedAt: dayStart, from: 'a file', stale: null },
    hours: Array.from({ length: 48 }, (_, h) => ({
      ...{ at: dayStart + h * 3_600_000, rainMm: 0.4, airTempC: 12, cloud, windMps, windFromDeg: 225 },
    })),
  });
  const page = (report: ReturnType<typeof weather>, sky: SkySaid | null = null) =>
    hoursPage(water, dayStart, 13, { weather: report.hours, sky }, undefined, report);

  it('sets the sky until one says it oneself, and tells air, rain and wind of the hour', () => {
    show(page(weather(0.9)));
    unfold(/^Hour by hour/);
    expect(screen.getByRole('radio', { name: 'cloud' }).getAttribute('aria-checked')).toBe('true');
    expect(screen.getByText('All day under cloud: the light stays soft under cloud.')).toBeTruthy();
    expect(screen.getByText('Air 12.0 °C, overcast, 0.4 mm of rain; wind 7 m/s from the south-west.')).toBeTruthy();
    cleanup();
    show(page(weather(0.9), 'bright'));
    expect(screen.getByText('Ends of the day: bright sky.')).toBeTruthy();
    cleanup();
    show(page(weather(0.1)));
    unfold(/^Hour by hour/);
    expect(screen.getByText('Ends of the day: bright sky.')).toBeTruthy();
    expect(screen.getByText(/Weather of .* \(a file\)/)).toBeTruthy();
  });
});

describe('the runs of a water at an hour', () => {
  const run = {
    ...RUN,
    id: 'a',
    waterId: 'water',
    name: 'Long Pool',
    bank: 'left' as const,
    bearingDeg: 180,
    trees: { nearM: 20, farM: 0 },
  };
  const hour = (sunDeg: number, azimuthDeg: number) =>
    ({ at: 0, sunDeg, azimuthDeg, light: 'sun', tempC: null, barred: null }) as never;
  const wind = (windMps: number, windFromDeg: number, cloud = 0.2) => ({
    at: 0,
    rainMm: 0,
    airTempC: 9,
    cloud,
    windMps,
    windFromDeg,
  });
  const words = async (h: never, w?: ReturnType<typeof wind>, visibilityM = 1.7) => {
    cleanup();
    show(<RunsAtHour waterId="water" hour={h} weather={w} visibilityM={visibilityM} />);
    return (await screen.findByText(/^Long Pool: /)).textContent;
  };

  it('lie in shade or sun, with glare, light at the bed, wind and the shoulder for it', async () => {
    await openDatabase().db.commit(put('run', run));
    expect(await words(hour(30, 90))).toMatch(/in the shade of the near trees\.$/);
    expect(await words(hour(20, 270))).toMatch(/^Long Pool: in the sun; glare; \d+ % of the sun at the bed\.$/);
    expect(await words(hour(20, 270), wind(2, 180, 0.9))).toBe(
      'Long Pool: soft light under cloud; light wind from downstream.',
    );
    expect(await words(hour(-10, 0), wind(8, 180))).toBe(
      'Long Pool: fresh wind from downstream: cast over the right shoulder.',
    );
    expect(await words(hour(-10, 0), wind(8, 90))).toBe('Long Pool: light wind from behind, broken by the trees.');
    expect(await words(hour(-10, 0))).toBe('Long Pool: dark.');
    const left = async (visibilityM: number) =>
      Number(/(\d+) %/.exec((await words(hour(50, 180), undefined, visibilityM))!)![1]);
    expect(await left(3)).toBeGreaterThan(2 * (await left(0.5)));
  });
});

describe('what is tied on', () => {
  it.each([
    ['fly', /^rabbit strip,/, /^black rabbit strip, 6 cm$/],
    ['tip', /^10 ft slow,/, /^10 ft slow$/],
    ['leader', /^9 ft to 3X,/, /^9 ft to 3X$/],
    ['float', /^Float, 16 mm,/, /^Float, 16 mm$/],
  ] as const)('a new %s is in the bag at one tap', async (type, row, name) => {
    const onAdded = jest.fn<void, [KitItem]>();
    show(<AddItem type={type} units="metric" onAdded={onAdded} />);
    press(row);
    expect(onAdded).toHaveBeenCalledTimes(1); // with the tap: what is chosen next must find it chosen
    expect(onAdded.mock.calls[0]![0].name).toMatch(name);
    await waitFor(async () => expect(await openDatabase().db.all('kit')).toEqual([onAdded.mock.calls[0]![0]]));
  });

  it('one that the store refuses is told, though what offered it has closed', async () => {
    const refused = jest.spyOn(openDatabase().db, 'commit').mockRejectedValueOnce(new RangeError('there is no room'));
    function Offer() {
      const [open, setOpen] = useState(true);
      return open ? <AddItem type="tip" units="metric" onAdded={() => setOpen(false)} /> : null;
    }
    show(
      <ToastProvider>
        <Offer />
      </ToastProvider>,
    );
    press(/^10 ft slow,/);
    await screen.findByText('Couldn’t save: there is no room.');
    refused.mockRestore();
  });

  it('what cannot be is refused in words, and the bag keeps what was', async () => {
    await openDatabase().db.commit(put('kit', RIG.rod));
    const { container } = show(<ItemPane item={RIG.rod} kit={[RIG.rod]} onOpen={jest.fn()} onGone={jest.fn()} />);
    fireEvent.change(within(container).getByLabelText('Length, m'), { target: { value: '40' } });
    await screen.findByText(/Length is out of range\./);
    expect(await openDatabase().db.all('kit')).toEqual([RIG.rod]);
  });
});
