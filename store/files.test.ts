import { gzipSync } from 'node:zlib';
import type { LogEvent } from '@/core/logbook';
import type { Backup } from './backup';
import { append, patch, put } from './changes';
import { type Drive, createFiles } from './files';
import { memoryDatabase, memoryStorage } from './memory';
import { DEFAULT_SETTINGS, EMPTY_SESSION } from './records';
import { note, outing } from './records.testing';

let now = 1_000;
const drive: Drive = (work) => work(() => true);
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
const fileOf = async (p: Awaited<ReturnType<typeof page>>) => (await p.files.backup()).file;
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
    await expect(here.files.undo()).rejects.toThrow('nothing to undo');
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
    expect(await here.files.read(await fileOf(here), (work) => work(() => false))).toBeNull();
    await expect(here.files.bring('merge')).rejects.toThrow('Choose the file again');
    const gone = { slice: () => ({ arrayBuffer: () => Promise.reject(new Error('NotReadableError')) }) };
    await expect(here.files.read(gone as unknown as Blob, drive)).rejects.toThrow('can’t be opened');
  });
});

describe('how a file is laid out', () => {
  const textOf = async (p: Awaited<ReturnType<typeof page>>) => (await fileOf(p)).text();
  const brought = async (text: string | Uint8Array<ArrayBuffer>) => {
    const here = await page('o9', 'z');
    const offer = (await here.files.read(new Blob([text]), drive))!;
    await here.files.bring('replace');
    return { offer, entries: (await here.db.events('o1')).map((e) => e.id) };
  };

  it('is read line by line, packed, indented by another program, or with Windows line ends', async () => {
    now = 100;
    const there = await page('o1', 'a', 'b');
    const text = await textOf(there);
    const laidOut = [
      text,
      new Uint8Array(gzipSync(text)),
      JSON.stringify(JSON.parse(text), null, 1),
      text.replaceAll('\n', '\r\n'),
    ];
    for (const each of laidOut) expect((await brought(each)).entries).toEqual(['a', 'b']);
  });

  it('whose two logs of one outing are joined, and whose entries count once', async () => {
    now = 100;
    const text = await textOf(await page('o1', 'a', 'b'));
    const [log] = /^\{"outingId".*$/m.exec(text)!;
    const twice = await brought(text.replace(log, `${log},\n${log}`));
    expect(twice.entries).toEqual(['a', 'b']);
    expect(twice.offer.repaired.join()).toContain('more than one log; they were joined');
    const { events } = JSON.parse(log) as { events: unknown[] };
    const doubled = await brought(
      text.replace(log, JSON.stringify({ ...JSON.parse(log), events: [...events, events[0]] })),
    );
    expect(doubled.offer.repaired.join()).toContain('one log entry stood twice');
    expect(doubled.entries).toEqual(['a', 'b']);
  });

  it.each<[string, (text: string) => string | Uint8Array<ArrayBuffer>, RegExp]>([
    ['cut off among its logs', (t) => t.slice(0, t.indexOf('],"damaged"')), /cut off behind line \d+/],
    ['cut off before them', (t) => t.slice(0, t.indexOf('"kit"')), /JSON is cut off or damaged: from line \d+, column/],
    ['with a line that is none', (t) => t.replace('{"outingId"', '{"outingId'), /can’t be read: .* from line \d+/],
    [
      'packed and cut off',
      (t) => new Uint8Array(gzipSync(t)).slice(0, -20),
      /cannot be unpacked: it is damaged or cut off/,
    ],
    ['with an entry that is none', (t) => t.replace('"kind":"note"', '"kind":"moon"'), /logs\[0\], event 1: kind/],
  ])('is refused: %s', async (_, change, words) => {
    now = 100;
    await expect(brought(change(await textOf(await page('o1', 'a', 'b'))))).rejects.toThrow(words);
  });

  it('is never refused after it was written, however long: it is packed from twenty million characters on', async () => {
    now = 100;
    const there = await page('o1', 'a');
    for (let i = 0; i < 60; i++)
      await there.db.commit(
        put('outing', outing(`p${i}`)),
        append(
          `p${i}`,
          Array.from({ length: 200 }, (_, n) => note(`${i}-${n}`, 5, `${'long '.repeat(380)}${n}`)),
        ),
      );
    const { file, isPacked, leftOut } = await there.files.backup();
    expect([isPacked, leftOut]).toEqual([true, { records: 0, outings: [] }]);
    expect(file.size).toBeLessThan(2e6);
    const here = await page('o1', 'a');
    const offer = (await here.files.read(file, drive))!;
    expect(offer.summary.events).toEqual({ added: 12_000, kept: 1 });
    await here.files.bring('merge');
    expect(await ids(here, 'p59')).toHaveLength(200);
    await here.files.undo();
    expect(await ids(here, 'p59')).toEqual([]);
    expect(await ids(here, 'o1')).toEqual(['a']);
  });

  it('says what it leaves out, and holds it as it is stored', async () => {
    now = 100;
    const there = await page('o1', 'a', 'b');
    await there.db.commit(put('outing', outing('o2')), append('o2', [note('c')]));
    const cut = there.storage.entries.get('log/o1/00000')!.slice(0, -20);
    there.storage.entries.set('log/o1/00000', cut);
    there.storage.entries.set('kit/x', '{"v":');
    const { file, leftOut } = await there.files.backup();
    expect(leftOut).toEqual({ records: 1, outings: ['o1'] });
    const text = await file.text();
    expect((JSON.parse(text) as Backup).damaged).toEqual([
      { key: 'kit/x', stored: '{"v":' },
      { key: 'log/o1/00000', stored: cut },
    ]);
    // What is counted is what can be read.
    await new Promise((r) => setTimeout(r, 10));
    expect(Object.fromEntries(await there.db.counts())).toEqual({ o1: 0, o2: 1 });
    for (const each of [text, JSON.stringify(JSON.parse(text))])
      expect((await brought(each)).offer.repaired.join()).toContain(
        '2 records in this file were damaged when it was written',
      );
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
    const file = JSON.parse(await (await fileOf(here)).text()) as { logs: { events: LogEvent[] }[] };
    expect(file.logs[0]!.events.map((e) => e.id)).toEqual(['a', 'b']);
    expect(await here.files.csv()).toContain('note');
    expect(here.db.status()).toMatchObject({ failing: 'gone', waiting: 1, copied: false });
  });
});
