import { cleanup, screen } from '@testing-library/react';
import { EMPTY_TALLY } from '@/core/logbook';
import type { PassedLog } from '@/core/logbook/passings';
import { openDatabase } from '@/store/open';
import { press, show } from '../shown.testing';
import { OwnLeeway } from './OwnLeeway';
import type { OutingRow } from './outings';

/** The worker’s function, called in the same thread. */
jest.mock('@/workers/learn', () => {
  const { ownFish: mockOwnFish } = jest.requireActual('@/core/learn/leeway');
  return { ownFish: async (outings: never) => mockOwnFish(outings) };
});

afterEach(cleanup);

const at = (step: number): number[] => Array.from({ length: 8 }, (_, i) => (i === step ? 100 : 0));
const told = (up: number[]) => ({ up, aside: [100], across: [100], headOn: [100] });
const row = (passings: readonly PassedLog[]): OutingRow => ({
  outing: { id: 'o', waterId: 'w', startedAt: 0, endedAt: 1, notes: '' },
  water: 'Upper',
  log: { tally: EMPTY_TALLY, exposures: [], fish: [], visits: [], spots: [], passings, notes: [] },
});
/** As many casts low as high above the fish, and takes on both. */
const day = (high: number, low: number): PassedLog => ({
  ...{ of: 'steelhead', casts: 40, by: told(at(1).map((v, i) => 20 * (v + at(5)[i]!))) },
  takes: [...Array<PassedLog['by']>(high).fill(told(at(5))), ...Array<PassedLog['by']>(low).fill(told(at(1)))],
});
const ownFish = async () => (await openDatabase().db.all('settings'))[0]?.ownFish;

describe('how one’s fish take', () => {
  it('says so where no take tells, and where too few do', async () => {
    await show(<OwnLeeway rows={[row([day(0, 0)])]} />);
    expect(await screen.findByText(/^No take tells yet\./)).toBeTruthy();
    cleanup();
    await show(<OwnLeeway rows={[row([day(1, 1)])]} />);
    expect(
      await screen.findByText(
        '2 takes in 40 casts: too few to tell how far up, how far to the side, how fast across, how much head on.',
      ),
    ).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('is used in answers once one says so, and no longer when one says that', async () => {
    await show(<OwnLeeway rows={Array.from({ length: 12 }, () => row([day(2, 1)]))} />);
    const said = await screen.findByText(/^Yours come up 1\.\d times as far as assumed/);
    expect(screen.getByText(/^36 takes in 480 casts: too few to tell how far to the side, /)).toBeTruthy();
    const times = Number(/up (1\.\d)/.exec(said.textContent!)![1]);
    expect(screen.getByText(/^As assumed: half of the willing ones come up /)).toBeTruthy();
    expect(screen.getByText(/^As assumed: half of the willing ones take a fly as fast across as /)).toBeTruthy();
    press('Use yours in answers: Steelhead, how far up');
    expect(await screen.findByText(/^By your takes: half of the willing ones come up /)).toBeTruthy();
    const kept = (await ownFish())!.steelhead!.up!;
    expect(Math.abs(kept - times)).toBeLessThan(0.06);
    expect(kept * 20).toBeCloseTo(Math.round(kept * 20), 9);
    expect(screen.queryByRole('button', { name: /^Use yours/ })).toBeNull();
    press('Go by what is assumed again: Steelhead, how far up');
    expect(await screen.findByText(/^As assumed: half of the willing ones come up /)).toBeTruthy();
    expect(await ownFish()).toEqual({});
  });
});
