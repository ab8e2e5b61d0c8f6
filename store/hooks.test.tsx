import { PLAN } from '@/core/testing/fixtures';
import { QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import { useEffect, useState } from 'react';
import type { LogEvent } from '@/core/logbook';
import { append, patch } from './changes';
import {
  createQueryClient,
  queriesOf,
  useCommit,
  useEvents,
  useFolded,
  useRecord,
  useRecords,
  useSave,
  useSession,
  useSettings,
} from './hooks';
import { openDatabase } from './open';
import { water } from './records.testing';

const hooked = water({ name: 'Hook water' });
const cast = (id: string): LogEvent => ({
  id,
  at: 1,
  runId: null,
  xM: null,
  yM: null,
  rig: null,
  kind: 'cast',
  plan: PLAN,
});

interface Tools {
  waters: ReturnType<typeof useSave<'water'>>;
  commit: ReturnType<typeof useCommit>;
  setSettings: ReturnType<typeof useSettings>[1];
  setSession: ReturnType<typeof useSession>[1];
}
let tools: Tools;
function Page({ onTools }: { onTools: (t: Tools) => void }) {
  const { data } = useRecords('water');
  const one = useRecord('water', 'w1');
  const missing = useRecord('water', 'nowhere');
  const events = useEvents('o1');
  const folded = useFolded();
  const [settings, setSettings] = useSettings();
  const [session, setSession] = useSession();
  const waters = useSave('water');
  const commit = useCommit();
  useEffect(() => {
    onTools({ waters, commit, setSettings, setSession });
  });
  return (
    <p>
      {`waters ${data?.length ?? '…'}; one ${one?.name ?? '–'}; missing ${String(missing)}; `}
      {`events ${events?.length ?? '…'}; casts ${folded?.[0]?.log.tally.casts ?? 0}; `}
      {`units ${settings.units}; water ${session?.waterId ?? '–'}`}
    </p>
  );
}
function App() {
  const [client] = useState(createQueryClient);
  return (
    <QueryClientProvider client={client}>
      <Page onTools={(t) => (tools = t)} />
    </QueryClientProvider>
  );
}
const shows = (text: RegExp) => waitFor(() => expect(screen.getByText(text)).toBeTruthy());

beforeEach(async () => {
  await openDatabase().db.clear();
});
afterEach(cleanup);

describe('records on the screen', () => {
  it('show at once, are stored, and are there for the next visitor', async () => {
    render(<App />);
    await shows(/waters 0.*missing null/);
    await act(() => tools.waters.put(hooked));
    await shows(/waters 1; one Hook water/);
    await act(async () => {
      await tools.commit(patch('water', 'w1', { name: 'Renamed' }));
    });
    await shows(/one Renamed/);
    cleanup();
    render(<App />);
    await shows(/one Renamed/);
    await act(() => tools.waters.remove('w1'));
    await shows(/waters 0/);
    expect(await openDatabase().db.all('water')).toEqual([]);
  });

  it.each(['before', 'after'])(
    'stay when a reading that began before them comes in %s they are stored',
    async (when) => {
      const { db } = openDatabase();
      const all = db.all.bind(db);
      let arrives = () => {};
      const late = new Promise<void>((resolve) => (arrives = resolve));
      let held = false;
      const read = jest.spyOn(db, 'all').mockImplementation(async (kind) => {
        const list = await all(kind);
        if (kind === 'water' && !held) {
          held = true;
          await late;
        }
        return list;
      });
      try {
        render(<App />);
        await shows(/waters ….*units metric/);
        // It comes in before they are stored, or after.
        const commit = db.commit.bind(db);
        jest.spyOn(db, 'commit').mockImplementationOnce(async (...changes) => {
          if (when === 'before') await act(async () => arrives());
          return commit(...changes);
        });
        await act(async () => void (await tools.waters.put(hooked)));
        await act(async () => arrives());
        await shows(/waters 1; one Hook water/);
      } finally {
        read.mockRestore();
      }
    },
  );

  it('that are not allowed are refused with words, and the screen goes back to what is stored', async () => {
    render(<App />);
    await shows(/waters 0/);
    await act(() => tools.waters.put(hooked));
    await act(async () => {
      await expect(tools.commit(patch('water', 'w1', { latDeg: 200 }))).rejects.toThrow('Latitude: at most 90.');
    });
    await shows(/one Hook water/);
    expect((await openDatabase().db.all('water'))[0]!.latDeg).toBe(57);
  });

  it('settings and session keep what was not changed', async () => {
    render(<App />);
    await shows(/units metric; water –/);
    act(() => tools.setSettings({ units: 'imperial' }));
    act(() => tools.setSession({ waterId: 'w1' }));
    await shows(/units imperial; water w1/);
    act(() => tools.setSettings({ theme: 'dusk' }));
    await waitFor(async () =>
      expect((await openDatabase().db.all('settings'))[0]).toMatchObject({ units: 'imperial', theme: 'dusk' }),
    );
  });
});

describe('what another page stored', () => {
  it.each([
    ['water/w1', [['local', 'water']]],
    ['settings/settings', [['local', 'settings']]],
    ['*', [['local']]],
    [
      'log/o1',
      [
        ['local', 'log', 'o1'],
        ['local', 'folded'],
      ],
    ],
    [
      'loghead/o1',
      [
        ['local', 'log', 'o1'],
        ['local', 'folded'],
      ],
    ],
  ])('%s: what is read again', (key, queries) => {
    expect(queriesOf(key)).toEqual(queries);
  });
});

describe('the log on the screen', () => {
  it('of an outing that is not shown is read when it is, and counted at once', async () => {
    render(<App />);
    await shows(/casts 0/);
    await act(() => tools.commit(append('another', [cast('z')])));
    await shows(/events 0; casts 1/);
    await act(() => tools.commit(append('o1', [cast('a')])));
    await shows(/events 1; casts/);
    expect((await openDatabase().db.folded()).map((f) => f.log.tally.casts)).toEqual([1, 1]);
  });

  it('is told as stored while the sums of all outings are still being read', async () => {
    render(<App />);
    await shows(/events 0/);
    let read = (): void => undefined;
    const slow = jest
      .spyOn(openDatabase().db, 'folded')
      .mockImplementation(() => new Promise((r) => (read = () => r([]))));
    const told: string[] = [];
    await act(async () => {
      const first = tools.commit(append('o1', [cast('a')])).then((outcome) => told.push(`first ${outcome}`));
      const second = tools.commit(append('o1', [cast('b')])).then((outcome) => told.push(`second ${outcome}`));
      await Promise.all([first, second]);
    });
    expect(told).toEqual(['first stored', 'second stored']);
    slow.mockRestore();
    read();
  });

  it('shows what is stored, and its sum follows', async () => {
    render(<App />);
    await shows(/events 0/);
    await act(() => tools.commit(append('o1', [cast('a'), cast('b')])));
    await shows(/events 2; casts 2/);
    expect((await openDatabase().db.events('o1')).map((e) => e.id)).toEqual(['a', 'b']);
    await act(async () => {
      await expect(
        tools.commit(append('o1', [{ ...cast('c'), plan: { ...PLAN, angleDeg: 500 } } as LogEvent])),
      ).rejects.toThrow('angleDeg');
    });
    await shows(/events 2; casts 2/);
  });
});
