import type { LogEvent } from '@/core/logbook';
import { append, patch, put } from './changes';
import { type Drive, createFiles } from './files';
import { memoryDatabase, memoryStorage } from './memory';
import { DEFAULT_SETTINGS, EMPTY_SESSION } from './records';
import { note, outing } from './records.testing';

let now = 1_000;
const drive: Drive = async (work) => {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
};
/** A page of its own with an outing of these entries, and its files. */
async function page(id: string, ...events: string[]) {
  const storage = memoryStorage();
  const db = memoryDatabase(storage, { now: () => now });
  await db.commit(
    put('outing', outing(id)),
    append(
      id,
      events.map((e) => note(e)),
    ),
  );
  return { storage, db, files: createFiles(db, () => now) };
}
const fileOf = async (p: Awaited<ReturnType<typeof page>>) => new Blob([await p.files.backup()]);
const ids = async (p: Awaited<ReturnType<typeof page>>, o: string) => (await p.db.events(o)).map((e) => e.id);

beforeEach(() => void (now = 1_000));

describe('a file brought in', () => {
  it('says what it would do, does it, and is taken back; what was entered since then stays', async () => {
    const here = await page('o1', 'a', 'b');
    const there = await page('o1', 'b', 'c');
    await there.db.commit(put('outing', outing('o2')), append('o2', [note('x')]));
    const offer = (await here.files.read(await fileOf(there), drive))!;
    expect(offer.summary.events).toEqual({ added: 2, kept: 1 });
    expect(offer.summary.kinds.outing).toEqual({ added: 1, changed: 0, kept: 1 });
    expect(await ids(here, 'o1')).toEqual(['a', 'b']); // nothing yet
    await here.files.bring('merge');
    expect(await ids(here, 'o1')).toEqual(['a', 'b', 'c']);
    now = 2_000;
    await here.db.commit(
      append('o1', [note('since')]),
      patch('settings', 'settings', { heightM: 2 }, DEFAULT_SETTINGS),
    );
    await here.files.undo();
    expect(await ids(here, 'o1')).toEqual(['a', 'b', 'since']);
    expect((await here.db.all('outing')).map((o) => o.id)).toEqual(['o1']);
    expect((await here.db.all('settings'))[0]!.heightM).toBe(2);
    await expect(here.files.undo()).rejects.toThrow('nothing to take back');
  });

  it('in place of all there is: an outing begun since then is not lost by taking it back', async () => {
    const here = await page('o1', 'a');
    const there = await page('o9', 'z');
    await here.files.read(await fileOf(there), drive);
    await here.files.bring('replace');
    expect((await here.db.all('outing')).map((o) => o.id)).toEqual(['o9']);
    now = 2_000;
    await here.db.commit(put('outing', outing('new')), append('new', [note('n')]));
    await here.files.undo();
    expect((await here.db.all('outing')).map((o) => o.id).sort()).toEqual(['new', 'o1']);
    expect(await ids(here, 'new')).toEqual(['n']);
    expect(await ids(here, 'o1')).toEqual(['a']);
    expect(await ids(here, 'o9')).toEqual([]);
  });

  it('that the store refuses changes nothing, now or later', async () => {
    const here = await page('o1', 'a');
    const there = await page('o9', 'z');
    await here.files.read(await fileOf(there), drive);
    const before = new Map(here.storage.entries);
    here.storage.fail = 'no room';
    await expect(here.files.bring('replace')).rejects.toThrow('no room');
    await expect(here.files.bring('merge')).rejects.toThrow('no room');
    await expect(here.files.clear()).rejects.toThrow('no room');
    here.storage.fail = null;
    const next = memoryDatabase(here.storage);
    await next.open();
    expect(here.storage.entries).toEqual(before);
  });

  it('is brought in on top of what another tab has entered since it was read', async () => {
    const here = await page('o1', 'a');
    const there = await page('o1', 'b');
    await here.files.read(await fileOf(there), drive);
    await memoryDatabase(here.storage).commit(append('o1', [note('other')]));
    await here.files.bring('merge');
    expect((await ids(here, 'o1')).sort()).toEqual(['a', 'b', 'other']);
  });

  it('can be ended while it is read, is refused when it is too large or cannot be opened', async () => {
    const here = await page('o1', 'a');
    expect(await here.files.read(await fileOf(here), async () => null)).toBeNull();
    await expect(here.files.bring('merge')).rejects.toThrow('Choose the file again');
    await expect(here.files.read({ size: 3e8 } as Blob, drive)).rejects.toThrow('larger than 200 MB');
    const gone = { size: 1, text: () => Promise.reject(new Error('NotReadableError')) } as unknown as Blob;
    await expect(here.files.read(gone, drive)).rejects.toThrow('could not be opened');
  });
});

describe('everything cleared', () => {
  it('comes back, with what was entered since then', async () => {
    const here = await page('o1', 'a');
    await here.db.commit(put('session', { ...EMPTY_SESSION, outingId: 'o1' }));
    await here.files.clear();
    expect(here.storage.entries.size).toBe(0);
    now = 2_000;
    await here.db.commit(put('outing', outing('new')), append('new', [note('n')]));
    await here.files.undo();
    expect(await ids(here, 'o1')).toEqual(['a']);
    expect(await ids(here, 'new')).toEqual(['n']);
    expect((await here.db.all('session'))[0]!.outingId).toBe('o1');
  });

  it('takes what waited with it', async () => {
    const here = await page('o1', 'a');
    here.storage.fail = 'no room';
    expect(await here.db.commit(append('o1', [note('b')]))).toBe('kept');
    here.storage.fail = null;
    await here.files.clear();
    await here.db.retry();
    expect(await ids(here, 'o1')).toEqual([]);
    expect(here.db.status()).toMatchObject({ waiting: 0, damaged: [] });
  });
});

describe('files while the store fails', () => {
  it('hold what is known and what waits', async () => {
    const here = await page('o1', 'a');
    await here.db.events('o1');
    await here.db.all('outing');
    here.storage.fail = 'no room';
    for (const read of ['getItem', 'getMany', 'getAllKeys'] as const)
      here.storage[read] = async () => Promise.reject(new Error('gone'));
    await here.db.commit(append('o1', [note('b')]));
    const file = JSON.parse(await here.files.backup()) as { logs: { events: LogEvent[] }[] };
    expect(file.logs[0]!.events.map((e) => e.id)).toEqual(['a', 'b']);
    expect(await here.files.csv()).toContain('note');
    expect(here.db.status()).toMatchObject({ failing: 'gone', waiting: 1, copied: false });
  });
});
