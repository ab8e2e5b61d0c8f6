import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { LogEvent } from '@/core/logbook';
import type { PlacedExposure } from '@/core/learn/evidence';
import { proofsOf } from '@/core/learn/proofs';
import { PLAN, RIG } from '@/core/testing/fixtures';
import { append, put } from '@/store/changes';
import { openDatabase } from '@/store/open';
import { namer } from '@/words/proofs';
import { eventText } from '@/words/log';
import { fetched } from '@/ui';
import { charts } from '@/ui/charts';
import { press, show } from '../shown.testing';
import { AskScreen } from './AskScreen';
import { Known } from './Known';
import { Rates } from './Rates';

const mockRouter = { push: jest.fn(), navigate: jest.fn(), replace: jest.fn() };
jest.mock('expo-router', () => ({ useRouter: () => mockRouter, useIsFocused: () => true }));
/** The worker's functions, called in the same thread. */
jest.mock('@/workers/learn', () => {
  const { proofsOf: all, rated } = jest.requireActual('@/core/learn/proofs');
  const { ask } = jest.requireActual('@/core/learn/question');
  const { tryNext } = jest.requireActual('@/core/learn/tryNext');
  return {
    proofsOf: async ({ outings, ...asked }: { outings: never }) => all(outings, asked),
    ratedBy: async (q: { outings: never; by: never; proofs: never }) => rated(q.outings, q.by, q.proofs),
    told: async (q: { outings: never; question: never }) => ask(q.outings, q.question),
    ownFish: async () => [],
    worthTrying: async (q: { outings: never; lists: never }) => tryNext(q.outings, q.lists),
  };
});

beforeAll(() => fetched(charts));
afterEach(cleanup);

const cell = (colour: string, water: string, casts: number, takes: number): PlacedExposure => ({
  shown: { colour, family: 'rabbit strip', water, season: 'Mar–May' },
  ...{ casts, takes },
});
const exposures = [
  cell('black', 'dirty', 600, 30),
  cell('olive', 'dirty', 500, 2),
  cell('olive', 'clear', 700, 40),
  cell('black', 'clear', 600, 2),
  cell('red', 'clear', 20, 1),
];

/** The same sums, spread over twenty outings of each water: one proves nothing. */
const part = (n: number, i: number) => Math.floor(((i + 1) * n) / 20) - Math.floor((i * n) / 20);
const spread = (all: readonly PlacedExposure[]) =>
  ['dirty', 'clear'].flatMap((water) =>
    Array.from({ length: 20 }, (_, i) =>
      all
        .filter((e) => e.shown.water === water)
        .map((e) => ({ ...e, casts: part(e.casts, i), takes: part(e.takes, i) })),
    ),
  );
const outings = spread(exposures);
const name = namer('metric', new Map());
const showRates = (of = outings) => show(<Rates outings={of} lists={proofsOf(of)} name={name} />);
const rows = async () => {
  const list = await screen.findByRole('list', { name: 'Rates' });
  return within(list)
    .getAllByRole('listitem')
    .map((r) => r.getAttribute('aria-label')!);
};
const names = async () => (await rows()).map((r) => r.split(':')[0]);

describe('takes per hundred casts', () => {
  it('gives each colour with its interval and what it proves, in the order of casts', async () => {
    await showRates();
    expect(await names()).toEqual(['black', 'olive', 'red']);
    expect((await rows())[2]).toMatch(
      /red: \d+\.\d takes in 100 casts \(\d\.\d to \d+\.\d\); 1 take in 20 casts; too few to say/,
    );
  });

  it('in one kind of water only, where that is asked; then the colours change places', async () => {
    await showRates();
    await rows();
    fireEvent.click(screen.getByRole('radio', { name: 'dirty' }));
    await waitFor(async () => expect((await rows())[0]).toMatch(/^black: .*better$/));
    expect((await rows())[1]).toMatch(/^olive: .*worse$/);
    fireEvent.click(screen.getByRole('radio', { name: 'clear' }));
    await waitFor(async () => expect((await rows()).find((r) => r.startsWith('olive'))).toMatch(/better$/));
  });

  it('what proves nothing is shown where it is asked for', async () => {
    const more = [cell('white', 'dirty', 1400, 28), cell('tan', 'dirty', 30, 0), cell('yellow', 'dirty', 25, 1)];
    await showRates(spread([...exposures, ...more]));
    expect(await names()).toHaveLength(3);
    fireEvent.click(screen.getByRole('button', { name: 'Show all 6' }));
    expect(await names()).toEqual(['white', 'black', 'olive', 'tan', 'yellow', 'red']);
    fireEvent.click(screen.getByRole('button', { name: 'Show fewer' }));
    expect(await names()).toHaveLength(3);
  });

  it('asks what effort is counted by only where the water shown is known, and says what it does', async () => {
    await showRates();
    await rows();
    expect(screen.queryByRole('radio', { name: 'water shown' })).toBeNull();
    cleanup();
    await showRates(outings.map((own) => own.map((e) => ({ ...e, water: { casts: e.casts, shown: 10 * e.casts } }))));
    await rows();
    fireEvent.click(screen.getByRole('radio', { name: 'water shown' }));
    expect(await screen.findByText(/^Casts here are weighed/)).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'casts' }));
    await waitFor(() => expect(screen.queryByText(/^Casts here are weighed/)).toBeNull());
  });

  it('by visibility, all waters stand side by side', async () => {
    await showRates();
    press(/^Compare by/);
    press('Visibility');
    await waitFor(async () => expect((await names()).sort()).toEqual(['clear', 'dirty']));
    expect(screen.queryByRole('radio', { name: 'stained' })).toBeNull();
  });

  it('says so where there are no casts, and how many casts are not listed', async () => {
    await showRates();
    await rows();
    fireEvent.click(screen.getByRole('radio', { name: 'stained' }));
    expect(await screen.findByText('No casts of this kind yet.')).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'all water' }));
    press(/^Compare by/);
    press('Run');
    expect(await screen.findByText(/2,420 casts not listed: nothing noted of it\.$/)).toBeTruthy();
  });
});

describe('what the casts prove', () => {
  it('is said in a sentence each, or that nothing is', async () => {
    const all = spread(exposures.filter((e) => e.shown.water === 'dirty'));
    await show(<Known lists={proofsOf(all)} share={1} name={name} />);
    const proved = within(screen.getByRole('list', { name: 'Proved' })).getAllByRole('listitem');
    expect(proved.map((p) => p.textContent)).toEqual([
      expect.stringMatching(/^Fly colour black: \d+(\.\d)? times the takes of your other casts \(.* to .*\)\.$/),
      expect.stringMatching(/^Fly colour olive: 0\.\d times the takes/),
    ]);
    press(/^Ask your log/);
    expect(mockRouter.navigate).toHaveBeenCalledWith('/learn/ask');
    cleanup();
    await show(<Known lists={proofsOf([])} share={1} name={name} />);
    expect(screen.getByText(/^Nothing yet: no fly, water or hour stands out/)).toBeTruthy();
    cleanup();
    await show(<Known lists={null} share={0.4} name={name} />);
    expect(screen.getByRole('status', { name: 'Comparing what you fished: 40 %' })).toBeTruthy();
    cleanup();
    await show(<Known lists={null} share={0.4} failed name={name} />);
    expect(screen.queryByRole('status', { name: /Comparing/ })).toBeNull();
    expect(screen.getByText(/^Couldn’t compare your casts\. Your log is safe: reload/)).toBeTruthy();
  });
});

describe('asking the log', () => {
  const fish = async (colour: 'black' | 'olive', takes: number, outing: string, n: number) => {
    const rig = { ...RIG, fly: { ...RIG.fly, colour } };
    const ev = (body: object, i: number): LogEvent =>
      ({ id: `${outing}-${colour}-${i}`, at: i * 60_000, runId: null, xM: 1, yM: 2, rig: colour, ...body }) as LogEvent;
    const events: LogEvent[] = [
      ev({ kind: 'rig', set: rig }, 0),
      ...Array.from({ length: n }, (_, i) => ev({ kind: 'cast', plan: PLAN }, 1 + i)),
      ...Array.from({ length: takes }, (_, i) =>
        ev({ kind: 'take', where: null, sign: null, what: 'pluck', juvenile: false, fish: null }, 100 + i),
      ),
    ];
    await openDatabase().db.commit(append(outing, events));
  };

  it('from an empty log leads to the water', async () => {
    await show(<AskScreen />);
    expect(await screen.findByText('No casts yet')).toBeTruthy();
    press('Go fishing');
    expect(mockRouter.navigate).toHaveBeenCalledWith('/fish');
  });

  it('answers the two that were fished most, another pair when they are chosen, and what to try', async () => {
    for (let i = 0; i < 12; i++) {
      const outing = `o${i}`;
      await openDatabase().db.commit(
        put('outing', { id: outing, waterId: 'w', startedAt: 1e12 + i, endedAt: 2e12, notes: '' }),
      );
      await fish('black', 2, outing, 30);
      await fish('olive', i % 3 ? 0 : 1, outing, 25);
    }
    await show(<AskScreen />);
    expect(await screen.findByText('Black against olive')).toBeTruthy();
    const answer = await screen.findByText(/^(Black is better|Not proved yet; black leads): /);
    expect(answer.textContent).toMatch(/times the takes of olive/);
    expect(screen.getByText(/24 takes in 360 casts$/)).toBeTruthy();
    expect(screen.getByText(/^Both were fished on 12 outings\./)).toBeTruthy();
    press(/^This, Black/);
    press(/^Olive/);
    expect(await screen.findByText('Olive against black')).toBeTruthy();
    const tries = within(await screen.findByRole('list', { name: 'Worth trying' })).getAllByRole('listitem');
    expect(tries[0]!.textContent).toMatch(/^Fly colour: olive against black300 casts with olive so far/);
  });
});

describe('an entry of the log in words', () => {
  const base = { id: 'e', at: 0, runId: null, xM: null, yM: null, rig: null };
  it.each([
    [{ kind: 'run start', runName: 'Long Even' }, 'Began Long Even'],
    [{ kind: 'run end' }, 'Left the run'],
    [{ kind: 'rig', set: RIG }, 'Tied on black rabbit strip, 10 ft fast'],
    [{ kind: 'cast', plan: { ...PLAN, outM: 12.5, mendM: 1 } }, 'Cast 12.5 m at 60°, mended'],
    [{ kind: 'step', byM: 1.5 }, 'Stepped on 1.50 m'],
    [
      {
        kind: 'take',
        what: 'landed',
        where: 'dangle',
        sign: null,
        juvenile: false,
        fish: { species: 'sea trout', lengthM: 0.45, sex: null, condition: '', origin: null },
      },
      'Take: landed, dangle; sea trout of 45.0 cm',
    ],
    [{ kind: 'take', what: 'pluck', where: null, sign: null, juvenile: true, fish: null }, 'Juvenile: pluck'],
    [{ kind: 'bed' }, 'Touched the bed'],
    [{ kind: 'hang-up' }, 'Hung up'],
    [{ kind: 'fly lost' }, 'Lost the fly'],
    [{ kind: 'fouled' }, 'Fouled fly: the cast does not count'],
    [{ kind: 'rest', minutes: 10 }, 'Rested 10 min'],
    [{ kind: 'note', text: 'heron' }, 'heron'],
    [{ kind: 'undo', undoes: 'x' }, 'Took an entry back'],
  ])('%j', (body, words) => {
    expect(eventText({ ...base, ...body } as LogEvent, 'metric')).toBe(words);
  });

  it('uses the user’s units', () => {
    const e = { ...base, kind: 'cast', plan: { ...PLAN, outM: 12.192, angleDeg: 90 } } as LogEvent;
    expect(eventText(e, 'imperial')).toBe('Cast 40 ft at 90°');
  });
});
