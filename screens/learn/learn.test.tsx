import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { Exposure, LogEvent } from '@/core/logbook';
import { PLAN, RIG } from '@/core/testing/fixtures';

import { eventText } from '@/words/log';
import { fetched } from '@/ui';
import { charts } from '@/ui/charts';
import { Rates } from './Rates';

beforeAll(() => fetched(charts));
afterEach(cleanup);

const cell = (colour: Exposure['colour'], water: Exposure['water'], casts: number, takes: number): Exposure => ({
  colour,
  family: 'rabbit strip',
  water,
  season: 'Mar–May',
  casts,
  takes,
});
const exposures = [
  cell('black', 'dirty', 600, 24),
  cell('black', 'clear', 600, 3),
  cell('olive', 'dirty', 500, 3),
  cell('olive', 'clear', 700, 36),
  cell('red', 'clear', 20, 1),
];

/** The same sums, spread over twenty outings: one proves nothing. */
const part = (n: number, i: number) => Math.floor(((i + 1) * n) / 20) - Math.floor((i * n) / 20);
const outings = Array.from({ length: 20 }, (_, i) =>
  exposures.map((e) => ({ ...e, casts: part(e.casts, i), takes: part(e.takes, i) })),
);

describe('takes per hundred casts', () => {
  const rows = () => screen.getAllByRole('listitem').map((r) => r.getAttribute('aria-label'));

  it('gives each colour with its interval and what it proves, in the order of casts', () => {
    render(<Rates outings={outings} />);
    expect(rows().map((r) => r!.split(':')[0])).toEqual(['black', 'olive', 'red']);
    expect(rows()[2]).toMatch(
      /red: \d\.\d takes per hundred casts, between \d\.\d and \d\.\d; 1 take in 20 casts; too few to say/,
    );
  });

  it('in one kind of water only, where that is asked; then the colours change places', () => {
    render(<Rates outings={outings} />);
    fireEvent.click(screen.getByRole('radio', { name: 'dirty' }));
    expect(rows()[0]).toMatch(/^black: .*better$/);
    expect(rows()[1]).toMatch(/^olive: .*worse$/);
    fireEvent.click(screen.getByRole('radio', { name: 'clear' }));
    expect(rows().find((r) => r!.startsWith('olive'))).toMatch(/better$/);
  });

  it('what proves something comes first, and what proves nothing is shown where it is asked for', () => {
    const more = [cell('white', 'dirty', 1400, 28), cell('tan', 'dirty', 30, 0), cell('red', 'dirty', 25, 1)];
    const spread = outings.map((es, i) => [
      ...es,
      ...more.map((e) => ({ ...e, casts: part(e.casts, i), takes: part(e.takes, i) })),
    ]);
    render(<Rates outings={spread} />);
    fireEvent.click(screen.getByRole('radio', { name: 'dirty' }));
    const names = () => rows().map((r) => r!.split(':')[0]);
    expect(names()).toEqual(['black', 'olive', 'white']);
    fireEvent.click(screen.getByRole('button', { name: 'Show all 5' }));
    expect(names()).toEqual(['black', 'olive', 'white', 'tan', 'red']);
    fireEvent.click(screen.getByRole('button', { name: 'Show fewer' }));
    expect(names()).toHaveLength(3);
  });

  it('by water, all waters stand side by side', () => {
    render(<Rates outings={outings} />);
    fireEvent.click(screen.getByRole('radio', { name: 'water' }));
    expect(
      rows()
        .map((r) => r!.split(':')[0])
        .sort(),
    ).toEqual(['clear', 'dirty']);
    expect(screen.queryByRole('radio', { name: 'stained' })).toBeNull();
  });

  it('says so where there are no casts', () => {
    render(<Rates outings={outings} />);
    fireEvent.click(screen.getByRole('radio', { name: 'stained' }));
    expect(screen.getByText('No casts in such water yet.')).toBeTruthy();
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
