import { cleanup, screen } from '@testing-library/react';
import { EMPTY_TALLY } from '@/core/logbook';
import type { RiseLog } from '@/core/logbook/rises';
import { openDatabase } from '@/store/open';
import { press, show } from '../shown.testing';
import { HowFarUp } from './HowFarUp';
import type { OutingRow } from './outings';

/** The worker’s function, called in the same thread. */
jest.mock('@/workers/learn', () => {
  const { comesUp: mockComesUp } = jest.requireActual('@/core/learn/comesUp');
  return { howFarUp: async (outings: never) => mockComesUp(outings) };
});

afterEach(cleanup);

const at = (step: number): number[] => Array.from({ length: 8 }, (_, i) => (i === step ? 100 : 0));
const row = (rises: readonly RiseLog[]): OutingRow => ({
  outing: { id: 'o', waterId: 'w', startedAt: 0, endedAt: 1, notes: '' },
  water: 'Upper',
  log: { tally: EMPTY_TALLY, exposures: [], fish: [], visits: [], spots: [], rises, notes: [] },
});
/** As many casts low as high above the fish, and takes on both. */
const day = (high: number, low: number): RiseLog => ({
  ...{ of: 'steelhead', casts: 40, by: at(1).map((v, i) => 20 * (v + at(5)[i]!)) },
  takes: [...Array<number[]>(high).fill(at(5)), ...Array<number[]>(low).fill(at(1))],
});
const comesUp = async () => (await openDatabase().db.all('settings'))[0]?.comesUp;

describe('how far up fish come', () => {
  it('says so where no take tells, and where too few do', async () => {
    await show(<HowFarUp rows={[row([day(0, 0)])]} />);
    expect(await screen.findByText(/^No take tells yet\./)).toBeTruthy();
    cleanup();
    await show(<HowFarUp rows={[row([day(1, 1)])]} />);
    expect(await screen.findByText('2 takes in 40 casts: too few to tell how far up yours come.')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('is used in answers once one says so, and no longer when one says that', async () => {
    await show(<HowFarUp rows={Array.from({ length: 12 }, () => row([day(2, 1)]))} />);
    const told = await screen.findByText(/^By 36 takes in 480 casts yours come up 1\.\d times as far as assumed/);
    const times = Number(/up (1\.\d)/.exec(told.textContent!)![1]);
    expect(screen.getByText(/^Used in answers now: the usual\./)).toBeTruthy();
    press('Use yours in answers: Steelhead');
    expect(await screen.findByText(/^Used in answers now: yours\./)).toBeTruthy();
    const kept = (await comesUp())!.steelhead!;
    expect(Math.abs(kept - times)).toBeLessThan(0.06);
    expect(kept * 20).toBeCloseTo(Math.round(kept * 20), 9);
    expect(screen.queryByRole('button', { name: /^Use yours/ })).toBeNull();
    press('Use the usual again: Steelhead');
    expect(await screen.findByText(/^Used in answers now: the usual\./)).toBeTruthy();
    expect(await comesUp()).toEqual({});
  });
});
