import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { LieOptions } from '@/core/lies';
import type { Reading, Run } from '@/core/water';
import { bodyDepthM } from '@/core/water/glance';
import { put } from '@/store/changes';
import { openDatabase } from '@/store/open';
import { DEFAULT_SETTINGS } from '@/store/records';
import { press, show } from '../shown.testing';
import { GlanceScreen } from './GlanceScreen';

/** A first look at water, on an in-memory store; the run is rebuilt in the same thread. */
const mockRouter = { push: jest.fn(), navigate: jest.fn(), replace: jest.fn() };
jest.mock('expo-router', () => ({ useRouter: () => mockRouter }));
jest.mock('@/workers/river', () => {
  const { survey } = jest.requireActual('@/core/lies/survey');
  return {
    wakeRiver: () => undefined,
    surveyRun: async (run: Run, reading: Reading | null, o: LieOptions) => survey(run, reading, o),
  };
});
globalThis.fetch = jest.fn().mockRejectedValue(new TypeError('no network')) as unknown as typeof fetch;

const { db } = openDatabase();
beforeEach(async () => {
  await db.clear();
  mockRouter.replace.mockReset();
});
afterEach(cleanup);

const answer = async (question: string | RegExp, option: string) =>
  fireEvent.click(
    within(await screen.findByRole('radiogroup', { name: question })).getByRole('radio', { name: option }),
  );
const SAVE = 'Show where fish hold';

describe('the water in front of one', () => {
  it('from nothing: five answers are a water, a run that is a guess, and a reading of what was seen', async () => {
    show(<GlanceScreen />);
    await answer('What does it look like?', 'bend');
    await answer(/^How wide/, '20 m');
    await answer(/^How deep/, 'chest');
    await answer(/^How fast/, 'stroll');
    await answer(/^Facing/, 'to the right');
    press(SAVE);
    await waitFor(() => expect(mockRouter.replace).toHaveBeenCalled());
    const [[run], [water], [reading]] = [await db.all('run'), await db.all('water'), await db.all('reading')];
    expect(run).toMatchObject({ waterId: water!.id, bank: 'right', glance: true, levelM: 0, bend: { turns: 'right' } });
    expect(run!.sections.map((s) => s.points.at(-1)!.yM)).toEqual([20, 20, 20]);
    const deepest = Math.max(...run!.sections.flatMap((s) => s.points.map((p) => p.depthM)));
    expect(deepest).toBeCloseTo(bodyDepthM('chest', DEFAULT_SETTINGS.heightM), 2);
    expect(water).toMatchObject({ name: 'New water', quarry: 'brown trout', rules: null, latDeg: null });
    // The current was seen; colour, visibility and sky were not.
    expect(reading).toMatchObject({ runId: run!.id, pace: 'stroll', waterTempC: null, speed: null });
    expect(reading!.guessed).toEqual(['visibility', 'colour', 'sky']);
    expect(mockRouter.replace).toHaveBeenCalledWith({ pathname: '/read/[run]', params: { run: run!.id } });
  });

  it('says what is still to answer, and stores nothing before', async () => {
    show(<GlanceScreen />);
    await answer('What does it look like?', 'pool');
    await answer(/^How deep/, 'waist');
    press(SAVE);
    expect((await screen.findByRole('alert')).textContent).toBe('Still to answer: width, current, which way it flows.');
    expect(await db.all('run')).toEqual([]);
  });

  it('in feet, on a water that is known: no second water', async () => {
    await db.commit(put('settings', { ...DEFAULT_SETTINGS, units: 'imperial' }));
    show(<GlanceScreen />);
    await answer('What does it look like?', 'riffle');
    await answer(/^How wide/, '50 ft');
    await answer(/^How deep/, 'knee');
    await answer(/^How fast/, 'brisk');
    await answer(/^Facing/, 'to the left');
    for (const n of [1, 2]) {
      press(SAVE);
      await waitFor(() => expect(mockRouter.replace).toHaveBeenCalledTimes(n));
    }
    const runs = await db.all('run');
    expect(runs.map((r) => r.sections[0]!.points.at(-1)!.yM)).toEqual([15.24, 15.24]);
    expect(await db.all('water')).toHaveLength(1);
  });
});
