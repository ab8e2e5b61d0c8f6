import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { CastPlan, CastRequest } from '@/core/cast';
import { swingOnRun } from '@/core/cast/case';
import type { CoverRequest } from '@/core/cover';
import { finished } from '@/core/maths/work';
import { hourOf, throwIn } from '@/core/practice/hourWater';
import { worthsOf } from '@/core/practice/marks';
import { roundOf } from '@/core/practice/rounds';
import { RUN } from '@/core/testing/fixtures';
import { put } from '@/store/changes';
import { openDatabase } from '@/store/open';
import { fetched } from '@/ui';
import { charts } from '@/ui/charts';
import { CHANCES } from '@/words/rounds';
import { press, show } from '../shown.testing';
import { PracticeScreen } from './PracticeScreen';

const mockRouter = { push: jest.fn(), navigate: jest.fn(), replace: jest.fn() };
jest.mock('expo-router', () => ({ useRouter: () => mockRouter, useIsFocused: () => true }));
const mockRound = jest.fn();
const mockHour = jest.fn();
const mockThrow = jest.fn();
const mockSimulate = jest.fn();
jest.mock('@/workers/river', () => ({
  practiceRound: (kind: string, asked: object) => mockRound(kind, asked),
  practiceHour: (asked: object) => mockHour(asked),
  simulate: (q: object) => mockSimulate(q),
  throwCast: (q: object, plan: object) => mockThrow(q, plan),
}));

beforeAll(() => fetched(charts));
afterEach(cleanup);

const answer = () => screen.getByRole('button', { name: 'Answer' });
const rounds = () => openDatabase().db.all('practice');

describe('the practice ground', () => {
  it('asks for a round of the chosen grade, marks it, keeps it and goes on to another', async () => {
    const luck = roundOf('luck', { seed: 3, grade: 'hard' });
    if (luck.kind !== 'luck') throw new Error(luck.kind);
    mockRound.mockResolvedValue(luck);
    await show(<PracticeScreen />);
    fireEvent.click(await screen.findByRole('radio', { name: 'hard' }));
    press(/^Better, or lucky\?/);
    expect(await screen.findByText(/^Black: \d+ takes? in \d+ casts\. White: /)).toBeTruthy();
    expect(mockRound).toHaveBeenLastCalledWith('luck', { grade: 'hard', seed: expect.any(Number), own: null });
    expect(answer().getAttribute('aria-disabled')).toBe('true');
    const right = CHANCES[luck.aIsBetter ? 0 : CHANCES.length - 1]!;
    fireEvent.click(screen.getByRole('radio', { name: right.words }));
    press('Answer');
    expect(screen.getByText('100 of 100 marks.')).toBeTruthy();
    await waitFor(async () => expect(await rounds()).toMatchObject([{ kind: 'luck', marks: 100 * (1 - 0.01 ** 2) }]));
    press('Next round');
    await waitFor(() => expect(mockRound).toHaveBeenCalledTimes(2));
    expect(mockRound.mock.calls[1][1].seed).not.toBe(mockRound.mock.calls[0][1].seed);
    press('Back to the practice ground');
    expect(
      await screen.findByRole('button', { name: /^Better, or lucky\?, 100 of 100 marks lately; 1 round played/ }),
    ).toBeTruthy();
  });

  it('a number is told with how sure one is, and both are kept', async () => {
    const round = roundOf('hang', { seed: 3, grade: 'plain' });
    if (round.kind !== 'hang') throw new Error(round.kind);
    mockRound.mockResolvedValue(round);
    await show(<PracticeScreen />);
    press(
      await screen
        .findByRole('button', { name: /^How deep does it hang\?/ })
        .then((b) => b.getAttribute('aria-label')!),
    );
    const field = await screen.findByRole('textbox', { name: /^Depth/ });
    fireEvent.change(field, { target: { value: String(round.truth.toFixed(2)) } });
    fireEvent.blur(field);
    fireEvent.click(screen.getByRole('radio', { name: 'sure, ±10 %' }));
    press('Answer');
    expect(screen.getByText('100 of 100 marks, within your range.')).toBeTruthy();
    await waitFor(async () => {
      const kept = (await rounds()).find((r) => r.kind === 'hang');
      expect(kept).toMatchObject({ sure: 'sure', held: true });
      expect(Math.abs(kept!.off!)).toBeLessThan(0.1);
    });
  });

  it('says so where a round cannot be made up, and offers another', async () => {
    mockRound.mockRejectedValueOnce(new RangeError('no river'));
    await show(<PracticeScreen />);
    press(await screen.findByRole('button', { name: /^Which tip\?/ }).then((b) => b.getAttribute('aria-label')!));
    expect(await screen.findByText('Couldn’t make up this round')).toBeTruthy();
    const calls = mockRound.mock.calls.length;
    press('Try again');
    await waitFor(() => expect(mockRound.mock.calls.length).toBe(calls + 1));
  });

  it('a choice is marked, and the swings of all choices are drawn side by side', async () => {
    const round = roundOf('tip', { seed: 40, grade: 'plain' });
    if (round.kind !== 'tip') throw new Error(round.kind);
    mockRound.mockResolvedValue(round);
    mockSimulate.mockImplementation((q: CastRequest) => Promise.resolve(swingOnRun(q)));
    await show(<PracticeScreen />);
    press(await screen.findByRole('button', { name: /^Which tip\?/ }).then((b) => b.getAttribute('aria-label')!));
    const worths = worthsOf(round);
    const best = round.options[worths.indexOf(1)]!.what;
    fireEvent.click(await screen.findByRole('radio', { name: best }));
    press('Answer');
    expect(screen.getByText('100 of 100 marks.')).toBeTruthy();
    expect(screen.getByText(new RegExp(`^${best}, 100 marks: `))).toBeTruthy();
    expect(await screen.findByRole('img', { name: /^How deep each fly is from landing/ })).toBeTruthy();
  });

  it('a float drifts past in river time: timed against the scale it tells the answer', async () => {
    const round = roundOf('speed', { seed: 100, grade: 'plain' });
    if (round.kind !== 'speed') throw new Error(round.kind);
    mockRound.mockResolvedValue(round);
    await show(<PracticeScreen />);
    press(await screen.findByRole('button', { name: /^How fast is it\?/ }).then((b) => b.getAttribute('aria-label')!));
    expect(await screen.findByRole('button', { name: 'Play the float' })).toBeTruthy();
    const [, seconds] = /of (\d+) s/.exec(screen.getByText(/^0\.0 of \d+ s$/).textContent!)!;
    expect(Number(seconds) * round.truth).toBeGreaterThan(4.5);
    expect(Number(seconds) * round.truth).toBeLessThan(7.5);
    press('A second on');
    expect(screen.getByText(/^1\.0 of/)).toBeTruthy();
  });

  it('a moment is that at which the swing stands', async () => {
    const round = roundOf('moment', { seed: 4, grade: 'plain' });
    if (round.kind !== 'moment') throw new Error(round.kind);
    mockRound.mockResolvedValue(round);
    await show(<PracticeScreen />);
    press(await screen.findByRole('button', { name: /^When does it/ }).then((b) => b.getAttribute('aria-label')!));
    await screen.findByText(/Tap “Now” when the fly/);
    for (let s = 0; s < Math.round(round.truthS); s++) press('A second on');
    press('Now');
    expect(screen.getByText(/^(9\d|100) of 100 marks\.$/)).toBeTruthy();
    await waitFor(async () => expect((await rounds()).some((r) => r.kind === 'moment' && r.marks > 90)).toBe(true));
  });

  it('on a run of one’s own asks only what can be asked there', async () => {
    await openDatabase().db.commit(put('run', { ...RUN, name: 'Mine', id: 'mine' }));
    mockRound.mockReturnValue(new Promise(() => undefined));
    await show(<PracticeScreen />);
    press(
      await screen
        .findByRole('button', { name: /^On which water, Invented water/ })
        .then((b) => b.getAttribute('aria-label')!),
    );
    press(/^Mine/);
    expect(screen.queryByRole('button', { name: /^Better, or lucky/ })).toBeNull();
    press(/^Where do you stand\?/);
    await waitFor(() =>
      expect(mockRound).toHaveBeenLastCalledWith(
        'stand',
        expect.objectContaining({ own: expect.objectContaining({ run: expect.objectContaining({ id: 'mine' }) }) }),
      ),
    );
  });
});

describe('the casting hour', () => {
  const hour = finished(hourOf({ seed: 5, grade: 'plain' }));

  it('casts, says what came of it, ends by hand with its marks beside a guide’s hour', async () => {
    mockHour.mockResolvedValue(hour);
    mockThrow.mockImplementation((q: CoverRequest, plan: CastPlan) => Promise.resolve(throwIn(q, plan)));
    await show(<PracticeScreen />);
    press(await screen.findByRole('button', { name: /^The casting hour/ }).then((b) => b.getAttribute('aria-label')!));
    expect(await screen.findByText(/^8 willing fish hold where you can’t see them/)).toBeTruthy();
    press('A step down');
    press('Squarer');
    press('Cast');
    expect(await screen.findByText(/^Cast 1: (no fish|a fish took|\d fish took)\.$/)).toBeTruthy();
    const { xM, angleDeg } = mockThrow.mock.calls.at(-1)![1];
    expect(xM).toBeCloseTo(hour.first.xM + 0.75, 1);
    expect(angleDeg).toBe(hour.first.angleDeg + 10);
    press('5 casts, a step each');
    await waitFor(() => expect(mockThrow.mock.calls.length).toBeGreaterThan(1));
    expect(mockThrow.mock.calls[1]![1].xM).toBeCloseTo(xM, 5);
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'End the hour' }).getAttribute('aria-disabled')).not.toBe('true'),
    );
    press('End the hour');
    expect(await screen.findByText(/^\d+ of 100 marks\.$/)).toBeTruthy();
    expect(screen.getByText(/^\d of 8 fish took\.$/)).toBeTruthy();
    expect(screen.getByText(/a guide’s hour with this rig finds \d+ %\.$/)).toBeTruthy();
    await waitFor(async () => expect((await rounds()).some((r) => r.kind === 'hour')).toBe(true));
  });

  it('a simulation that breaks is told, and one can cast again', async () => {
    mockHour.mockResolvedValue(hour);
    mockThrow.mockRejectedValueOnce(new Error('gone'));
    await show(<PracticeScreen />);
    press(await screen.findByRole('button', { name: /^The casting hour/ }).then((b) => b.getAttribute('aria-label')!));
    await screen.findByText(/^8 willing fish/);
    press('Cast');
    expect(await screen.findByText(/^The cast couldn’t be simulated/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Cast' }).getAttribute('aria-disabled')).not.toBe('true');
  });

  it('says why a cast is not made', async () => {
    mockHour.mockResolvedValue(hour);
    mockThrow.mockResolvedValue({ not: 'stand' });
    await show(<PracticeScreen />);
    press(await screen.findByRole('button', { name: /^The casting hour/ }).then((b) => b.getAttribute('aria-label')!));
    await screen.findByText(/^8 willing fish/);
    press('Cast');
    expect(await screen.findByText(/^The water there is too deep or too fast to stand in/)).toBeTruthy();
    expect(screen.getByText(/^60 minutes left, 0 fish so far/)).toBeTruthy();
  });
});
