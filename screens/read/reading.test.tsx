import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { day, RUN } from '@/core/testing/fixtures';
import { buildChannel, type Reading } from '@/core/water';
import { put } from '@/store/changes';
import { openDatabase } from '@/store/open';
import { press, show } from '../shown.testing';
import { ReadingSheet } from './ReadingSheet';

const { db } = openDatabase();
const sheet = (today: Reading) => (
  <ReadingSheet run={RUN} channel={buildChannel(RUN, null)} today={today} stationed={false} onClose={() => undefined} />
);
const SHEET = sheet(day({ runId: RUN.id }));
const reads = (times: number, n: number) =>
  Array.from({ length: n }, (_, i) =>
    put('practice', {
      id: `p${i}`,
      at: i,
      kind: 'speed',
      marks: 40,
      sure: 'fairly',
      off: Math.log(times) + 0.02 * (i % 3),
      held: false,
    }),
  );
beforeEach(() => db.clear());
afterEach(cleanup);

describe('a pace by eye', () => {
  it('is corrected by what the practice ground shows of the eye, where one agrees', async () => {
    await db.commit(...reads(1.25, 8));
    await show(SHEET);
    expect(screen.queryByText(/On the practice ground/)).toBeNull(); // no pace was judged yet
    fireEvent.click(await screen.findByRole('radio', { name: /^walk, / }));
    expect(
      await screen.findByText(
        /^On the practice ground you read currents 2\d % too fast\. Correct this pace by that\?$/,
      ),
    ).toBeTruthy();
    expect(screen.getByRole('radio', { name: 'no' }).getAttribute('aria-checked')).toBe('true');
    fireEvent.click(screen.getByRole('radio', { name: 'yes' }));
    press('Save reading');
    await waitFor(async () => {
      const [reading] = await db.all('reading');
      expect(reading).toMatchObject({ pace: 'walk' });
      expect(reading!.paceTimes).toBeCloseTo(1.27, 1);
    });
  });

  it('stays as it was judged without a word, or where the eye is right', async () => {
    await db.commit(...reads(0.99, 8));
    await show(SHEET);
    fireEvent.click(await screen.findByRole('radio', { name: /^walk, / }));
    expect(screen.queryByText(/On the practice ground/)).toBeNull();
    press('Save reading');
    await waitFor(async () => expect((await db.all('reading'))[0]).not.toHaveProperty('paceTimes'));
  });
});

describe('the flow that a gauge tells', () => {
  const TOLD = sheet(day({ runId: RUN.id, levelM: 0.2, levelFrom: 'gauge', flowM3s: 40.4 }));
  const saved = async () => {
    press('Save reading');
    await waitFor(async () => expect(await db.all('reading')).toHaveLength(1));
    return (await db.all('reading'))[0]!;
  };

  it('goes with its level', async () => {
    await show(TOLD);
    expect(await screen.findByText('Now: 40.4 m³/s')).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'clear' }));
    expect(await saved()).toMatchObject({ levelM: 0.2, flowM3s: 40.4 });
  });

  it('is no flow of a level of one’s own', async () => {
    await show(TOLD);
    fireEvent.click(await screen.findByRole('radio', { name: 'normal' }));
    expect(screen.queryByText('Now: 40.4 m³/s')).toBeNull();
    const reading = await saved();
    expect(reading.levelM).toBe(0);
    expect(reading).not.toHaveProperty('flowM3s');
  });
});
