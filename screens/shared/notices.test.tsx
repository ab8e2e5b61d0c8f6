import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { act, cleanup, screen, waitFor } from '@testing-library/react';
import type { LogEvent } from '@/core/logbook';
import { PLAN } from '@/core/testing/fixtures';
import { append, patch, put } from '@/store/changes';
import { openDatabase } from '@/store/open';
import { DEFAULT_SETTINGS } from '@/store/records';
import { HELP } from '@/words/help';
import { TERMS } from '@/words/terms';
import { ExportReminder, Files } from '../learn/Files';
import { download } from './files';
import { HowThisWorks } from './HowThisWorks';
import { InstallNotice } from '../learn/InstallNotice';
import { holdInstallPrompt } from './useInstall';
import { ScreenProblem } from './ScreenProblem';
import { mendedWords, StoreNotice, storeWords } from './StoreNotice';
import { press, show, unfold } from '../shown.testing';

jest.mock('expo-router', () => ({ useRouter: () => ({}), useIsFocused: () => true, usePathname: () => '/' }));
jest.mock('./files', () => ({ ...jest.requireActual<object>('./files'), download: jest.fn() }));
/** The worker's work, done here. */
jest.mock('@/workers/files', () => {
  const files = () => {
    const { createFiles } = jest.requireActual<typeof import('@/store/files')>('@/store/files');
    const open = jest.requireActual<typeof import('@/store/open')>('@/store/open');
    return createFiles(open.openDatabase().db, Date.now);
  };
  return { filesWorker: files };
});

const { db } = openDatabase();
const storage = createAsyncStorage('wanderung');
const casts = (n: number, from = 0): LogEvent[] =>
  Array.from({ length: n }, (_, i) => ({
    ...{ id: `c${from + i}`, at: i, runId: 'r', xM: 1, yM: 1, rig: null },
    kind: 'cast',
    plan: PLAN,
  }));
/** What is in a file; this stand-in for a browser has no shorter way. */
const textOf = (file: Blob) =>
  new Promise<string>((resolve) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.readAsText(file);
  });
const day = { id: 'o', waterId: 'w', startedAt: 1, endedAt: null, notes: '' };

beforeEach(async () => {
  jest.restoreAllMocks();
  (download as jest.Mock).mockClear();
  await db.clear();
});
afterEach(cleanup);

describe('what the store has to say', () => {
  const status = { failing: 'no room', waiting: 2, copied: true, damaged: [], mended: null, adding: null };
  it('names the cause, and what becomes of what was entered', () => {
    expect(storeWords(status)).toEqual({
      title: '2 entries are not stored yet',
      text: 'Why: no room. Kept safe on this device, even when the page closes.',
    });
    expect(storeWords({ ...status, waiting: 1, copied: false }).text).toContain('only while this page stays open');
    expect(storeWords({ ...status, waiting: 0 }).title).toContain('can’t be reached');
  });

  it('is shown while the store fails, with an export of what waits; leaving the page warns', async () => {
    show(<StoreNotice />);
    expect(screen.queryByRole('alert')).toBeNull();
    const refuse = jest.spyOn(storage, 'setMany').mockRejectedValue(new Error('QuotaExceededError'));
    await act(() => db.commit(put('outing', day), append('o', casts(1))));
    await screen.findByText('2 entries are not stored yet');
    expect(screen.getByText(/no room left/)).toBeTruthy();
    const leave = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(leave);
    expect(leave.defaultPrevented).toBe(true);
    press('Export everything');
    await waitFor(() => expect(download).toHaveBeenCalled());
    expect(await textOf((download as jest.Mock).mock.calls[0]![2])).toContain('"c0"');
    refuse.mockRestore();
    press('Try again now');
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    const later = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(later);
    expect(later.defaultPrevented).toBe(false);
  });
});

describe('a store that was put back', () => {
  it('is told with what is there again, and what may be missing', () => {
    expect(mendedWords({ outings: 41, isWhole: true }).text).toContain('All of it (41 outings) is restored');
    expect(mendedWords({ outings: 1, isWhole: false }).text).toContain('1 outing is here. Your last export');
    expect(mendedWords({ outings: 0, isWhole: false }).text).toContain('Import your last export');
  });

  it('is told until it was seen', async () => {
    show(<StoreNotice />);
    act(() => db.noteMended({ outings: 41, isWhole: true }));
    expect(await screen.findByText('Your log is back')).toBeTruthy();
    press('Go on');
    expect(screen.queryByText('Your log is back')).toBeNull();
  });
});

describe('a reminder to export', () => {
  it('comes after three hundred casts that no file holds, and goes with the export', async () => {
    await db.commit(put('outing', day), append('o', casts(299)));
    show(
      <>
        <ExportReminder />
        <Files />
      </>,
    );
    await screen.findByRole('button', { name: /^Import, send, clear/ });
    unfold(/^Import, send, clear/);
    await screen.findByText('never');
    expect(screen.queryByText(/Export everything below/)).toBeNull();
    cleanup();
    await db.commit(append('o', casts(1, 299)));
    show(
      <>
        <ExportReminder />
        <Files />
      </>,
    );
    await screen.findByText(/^300 casts are in this browser only/);
    press(/^Export everything/);
    await screen.findByText(/0 casts ago$/);
    expect(screen.queryByText(/in this browser only: export/)).toBeNull();
    expect((download as jest.Mock).mock.calls[0]![0]).toMatch(/^wanderung-\d{4}-\d\d-\d\d\.json$/);
    await act(() => db.commit(patch('settings', 'settings', { exported: { at: 1, casts: 0 } }, DEFAULT_SETTINGS)));
    cleanup();
    show(<ExportReminder />);
    await screen.findByText(/^300 casts since your last export/);
  });

  it('an export that fails says so', async () => {
    show(<Files />);
    (download as jest.Mock).mockImplementationOnce(() => {
      throw new Error('blocked');
    });
    press(/^Export everything/);
    await screen.findByText('Couldn’t export');
    expect(screen.getByText('blocked. Nothing here was changed.')).toBeTruthy();
  });
});

describe('in place of a screen that broke', () => {
  it('stands what happened, a way on and an export', async () => {
    const retry = jest.fn(async () => undefined);
    show(<ScreenProblem error={new Error('x is odd')} retry={retry} />);
    expect(screen.getByRole('heading', { name: 'This screen crashed' })).toBeTruthy();
    expect(screen.getByText('Error: x is odd')).toBeTruthy();
    press('Try again');
    expect(retry).toHaveBeenCalled();
    press('Export everything');
    await waitFor(() => expect(download).toHaveBeenCalled());
  });

  it('stands that a newer version is here, when its part is missing', () => {
    const missing = Object.assign(new Error('Loading module /a.js failed.'), { name: 'AsyncRequireError' });
    show(<ScreenProblem error={missing} retry={async () => undefined} />);
    expect(screen.getByRole('heading', { name: 'New version ready' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Reload the page' })).toBeTruthy();
    expect(screen.queryByText(/What was reported/)).toBeNull();
    cleanup();
    jest.spyOn(navigator, 'onLine', 'get').mockReturnValue(false);
    show(<ScreenProblem error={missing} retry={async () => undefined} />);
    expect(screen.getByRole('heading', { name: 'This part isn’t loaded yet' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Reload the page' })).toBeNull(); // there would be nothing at all
  });
});

describe('how this works', () => {
  it('opens a page with the words of the trade on it, and closes', async () => {
    show(<HowThisWorks page="fishing" />);
    expect(screen.queryByText(TERMS.lane)).toBeNull();
    press('How this works: The cast plan');
    expect(screen.getByRole('heading', { name: 'The cast plan' })).toBeTruthy();
    for (const sentence of HELP.fishing.says) expect(await screen.findByText(sentence)).toBeTruthy();
    expect(screen.getByText(TERMS.lane)).toBeTruthy();
    press('Close');
    expect(screen.queryByText(TERMS.lane)).toBeNull();
  });
});

describe('the home screen', () => {
  const offered = () => {
    const event = Object.assign(new Event('beforeinstallprompt', { cancelable: true }), { prompt: jest.fn() });
    act(() => void window.dispatchEvent(event));
    return event;
  };
  const name = { name: 'Add to home screen' };

  it('is offered once, after the second outing that was ended', () => {
    holdInstallPrompt();
    const { prompt, defaultPrevented } = offered();
    expect(defaultPrevented).toBe(true); // the browser would ask at once
    show(<InstallNotice ended={1} />);
    expect(screen.queryByRole('button', name)).toBeNull();
    cleanup();
    show(<InstallNotice ended={2} />);
    press('Add to home screen');
    expect(prompt).toHaveBeenCalledTimes(1);
    cleanup();
    offered();
    show(<InstallNotice ended={3} />);
    expect(screen.queryByRole('button', name)).toBeNull();
  });
});
