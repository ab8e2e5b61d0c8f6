import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { roundOf } from '@/core/practice/rounds';
import { openDatabase } from '@/store/open';
import { fetched } from '@/ui';
import { charts } from '@/ui/charts';
import { CHANCES } from '@/words/practice';
import { press, show } from '../shown.testing';
import { PracticeScreen } from './PracticeScreen';

const mockRouter = { push: jest.fn(), navigate: jest.fn(), replace: jest.fn() };
jest.mock('expo-router', () => ({ useRouter: () => mockRouter, useIsFocused: () => true }));
const mockRound = jest.fn();
jest.mock('@/workers/river', () => ({ practiceRound: (q: object) => mockRound(q) }));

beforeAll(() => fetched(charts));
afterEach(cleanup);

const answer = () => screen.getByRole('button', { name: 'Answer' });
const rounds = () => openDatabase().db.all('practice');

describe('the practice ground', () => {
  it('asks for a round of the chosen grade, marks it, keeps it and goes on to another', async () => {
    const luck = roundOf('luck', 3, 'hard');
    if (luck.kind !== 'luck') throw new Error(luck.kind);
    mockRound.mockResolvedValue(luck);
    await show(<PracticeScreen />);
    fireEvent.click(await screen.findByRole('radio', { name: 'hard' }));
    press(/^Better, or lucky\?/);
    expect(await screen.findByText(/^Black: \d+ takes? in \d+ casts\. White: /)).toBeTruthy();
    expect(mockRound).toHaveBeenLastCalledWith({ kind: 'luck', grade: 'hard', seed: expect.any(Number) });
    expect(answer().getAttribute('aria-disabled')).toBe('true');
    const right = CHANCES[luck.aIsBetter ? 0 : CHANCES.length - 1]!;
    fireEvent.click(screen.getByRole('radio', { name: right.words }));
    press('Answer');
    expect(screen.getByText('100 of 100 marks.')).toBeTruthy();
    await waitFor(async () => expect(await rounds()).toMatchObject([{ kind: 'luck', marks: 100 * (1 - 0.01 ** 2) }]));
    press('Next round');
    await waitFor(() => expect(mockRound).toHaveBeenCalledTimes(2));
    expect(mockRound.mock.calls[1][0].seed).not.toBe(mockRound.mock.calls[0][0].seed);
    press('Back to the practice ground');
    expect(
      await screen.findByRole('button', { name: /^Better, or lucky\?, 100 of 100 marks lately; 1 round played/ }),
    ).toBeTruthy();
  });

  it('a number is told with how sure one is, and both are kept', async () => {
    const round = roundOf('hang', 3, 'plain');
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
});
