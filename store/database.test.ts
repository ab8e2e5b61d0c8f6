import zlib from 'node:zlib';
import { castEvent, day, PLAN } from '@/core/testing/fixtures';
import type { LogEvent } from '@/core/logbook';
import { DEFAULT_SETTINGS } from './records';
import { note, outing, water } from './records.testing';

import { sourceOf } from './backup';
import { CHUNK } from './logs';
import { append, patch, put, remove } from './changes';
import { memoryDatabase, memorySpare, memoryStorage } from './memory';
import { EVENT_VERSIONS, MIGRATIONS, versionOf } from './migrations';

import { crc32, seal, unseal } from './seal';

const reading = day({ id: 'r1', atLeast: true, waterTempC: 9 });
const cast = (n: number): LogEvent => ({ ...castEvent(n), at: n });

const logOf = (events: LogEvent[]) => ({ outingId: 'o1', versions: EVENT_VERSIONS, events });

describe('the seal', () => {
  it('is CRC-32 (ISO 3309): "123456789" gives cbf43926', () => {
    expect(crc32('123456789').toString(16)).toBe('cbf43926');
  });

  it('of any script covers the bytes of its code units, low byte first (against zlib)', () => {
    // ä is e4; → is 2192; 🐟 is two code units, d83d dc1f.
    const bytes = Buffer.from([0xe4, 0x92, 0x21, 0x3d, 0xd8, 0x1f, 0xdc, 0xff, 0x00, 0x01]);
    expect(crc32('ä→🐟ÿĀ')).toBe(zlib.crc32(bytes));
    expect(crc32('xxä→🐟ÿĀ', 2)).toBe(zlib.crc32(bytes));
  });

  it('without one, numbers and words of JSON are still read, and said not to be sealed', () => {
    for (const value of [12, false, 'deadbeef', null, [1]])
      expect(unseal(JSON.stringify(value))).toEqual({ value, intact: false });
  });

  it('holds until one character changes', () => {
    const s = seal('{"a":"ä → b"}');
    expect(unseal(s)).toEqual({ value: { a: 'ä → b' }, intact: true });
    expect(unseal(s.replace('b"', 'c"')).intact).toBe(false);
    expect(unseal('{"a":1}')).toEqual({ value: { a: 1 }, intact: false });
  });
});

describe('records', () => {
  it('go in and come out, and only whole ones go in', async () => {
    const db = memoryDatabase(memoryStorage());
    await db.commit(put('water', water()));
    expect(await db.all('water')).toEqual([water()]);
    await expect(
      db.commit(put('water', water({ id: 'w2' })), put('water', water({ id: 'w3', latDeg: 95 }))),
    ).rejects.toThrow('Latitude: at most 90.');
    expect(await db.all('water')).toHaveLength(1);
  });

  it('change as they are stored now, so that two tabs keep each other’s fields', async () => {
    const storage = memoryStorage();
    const tabA = memoryDatabase(storage);
    const tabB = memoryDatabase(storage);
    await tabA.commit(put('settings', DEFAULT_SETTINGS));
    await tabA.commit(patch('settings', 'settings', { units: 'imperial' }));
    await tabB.commit(patch('settings', 'settings', { heightM: 1.9 }));
    expect((await tabA.all('settings'))[0]).toMatchObject({ units: 'imperial', heightM: 1.9 });
  });

  it('of version 1 open after migration, whatever version they are at now', async () => {
    const storage = memoryStorage();
    const v1 = { v: 1, savedAt: 1, data: { ...reading, atLeast: undefined, waterTempC: undefined, temperatureC: 9 } };
    storage.entries.set('reading/r1', JSON.stringify(v1));
    storage.entries.set('water/w1', JSON.stringify({ v: 1, savedAt: 1, data: water() }));
    const db = memoryDatabase(storage);
    expect(await db.all('reading')).toEqual([{ ...reading, atLeast: false }]);
    expect(await db.all('water')).toEqual([water()]);
    expect(versionOf('reading')).toBe(MIGRATIONS.reading.length + 1);
  });

  it('that are damaged are named, left as they are, and the others still open', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    await db.commit(put('water', water()), put('water', water({ id: 'w2' })));
    const bad = storage.entries.get('water/w2')!.replace('"latDeg":57', '"latDeg":570');
    storage.entries.set('water/w2', bad);
    storage.entries.set('water/w3', '{"v":9,"data":{}}');
    storage.entries.set('water/w4', '{"v":');
    expect(await db.all('water')).toHaveLength(1);
    const why = Object.fromEntries(db.status().damaged.map((d) => [d.key, d.why]));
    expect(why['water/w2']).toContain('latDeg must be at most 90');
    expect(why['water/w3']).toContain('newer version');
    expect(why['water/w4']).toContain('cut off');
    await expect(db.commit(patch('water', 'w2', {}))).rejects.toThrow('left as it is');
    expect(storage.entries.get('water/w2')).toBe(bad);
  });

  it('that cannot be written are kept, said to be, and tried again', async () => {
    const storage = memoryStorage();
    const spare = memorySpare();
    const told: string[][] = [];
    const db = memoryDatabase(storage, { spare, tell: (keys) => told.push([...keys]) });
    storage.fail = 'no room';
    expect(await db.commit(put('water', water()))).toBe('kept');
    expect(db.status()).toMatchObject({ failing: 'no room', waiting: 1, copied: true });
    expect(told).toEqual([]);
    expect(storage.entries.size).toBe(0);
    expect(await db.all('water')).toEqual([water()]);
    storage.fail = null;
    db.runLater();
    await db.retry();
    expect(db.status()).toMatchObject({ failing: null, waiting: 0 });
    expect(told).toEqual([['water/w1']]);
    expect(storage.entries.size).toBe(1);
    expect(await db.commit(put('water', water({ id: 'w2' })))).toBe('stored');
  });

  it('are tried again by themselves, later each time, one try at a time', async () => {
    const waits: number[] = [];
    const storage = memoryStorage();
    const put_: (() => void)[] = [];
    const db = memoryDatabase(storage, { later: (work, ms) => void (waits.push(ms), put_.push(work)) });
    storage.fail = 'no room';
    await Promise.all([db.commit(put('water', water())), db.commit(put('water', water({ id: 'w2' })))]);
    for (let i = 0; i < 5; i++) {
      put_.splice(0).forEach((w) => w());
      await new Promise((r) => setImmediate(r));
    }
    expect(waits).toEqual([2_000, 5_000, 15_000, 60_000, 60_000, 60_000]);
    storage.fail = null;
    put_.splice(0).forEach((w) => w());
    await new Promise((r) => setImmediate(r));
    expect(db.status()).toMatchObject({ failing: null, waiting: 0 });
    storage.fail = 'again';
    await db.commit(put('water', water()));
    expect(waits.at(-1)).toBe(2_000);
  });

  it('that are not allowed hold up nothing: they go, the rest is stored', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    storage.fail = 'no room';
    await db.commit(put('water', water()));
    await expect(db.commit(put('water', water({ id: 'w2', latDeg: 95 })))).rejects.toThrow('Latitude');
    await expect(db.commit(patch('water', 'gone', { name: 'x' }))).rejects.toThrow('not here any more');
    storage.fail = null;
    await db.retry();
    expect((await db.all('water')).map((w) => w.id)).toEqual(['w1']);
    expect(db.status()).toMatchObject({ failing: null, waiting: 0, damaged: [] });
  });

  it('left by an earlier page are stored at the next start; what is not allowed is named, not dropped in silence', async () => {
    const storage = memoryStorage();
    const spare = memorySpare();
    const bad = put('water', water({ id: 'w2', latDeg: 95 }));
    spare.set('wanderung-waiting/dead', JSON.stringify([[put('water', water())], [bad]]));
    const db = memoryDatabase(storage, { spare });
    await db.open();
    expect((await memoryDatabase(storage).all('water')).map((w) => w.id)).toEqual(['w1']);
    expect(db.status().damaged).toEqual([{ key: 'a change that waited', why: expect.stringContaining('Latitude') }]);
    expect(spare.entries.size).toBe(0);
  });

  it('that cannot be read are told, tried again, and shown when the store answers', async () => {
    const storage = memoryStorage();
    await memoryDatabase(storage).commit(put('water', water()));
    const answer = storage.getAllKeys;
    storage.getAllKeys = async () => Promise.reject(new Error('gone'));
    const db = memoryDatabase(storage);
    let news = 0;
    const off = db.subscribe(() => news++);
    expect(await db.all('water')).toEqual([]);
    expect(db.status()).toMatchObject({ failing: 'gone', waiting: 0 });
    storage.getAllKeys = answer;
    db.runLater();
    await db.retry();
    expect(db.status().failing).toBeNull();
    expect(await db.all('water')).toEqual([water()]);
    expect(news).toBeGreaterThan(1);
    off();
    const before = news;
    storage.fail = 'no';
    await db.commit(put('water', water()));
    expect(news).toBe(before);
  });

  it('are removed with what belongs to them', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    await db.commit(put('outing', outing('o1')), append('o1', [cast(1)]), put('water', water()));
    await db.commit(remove('outing', 'o1'));
    expect([...storage.entries.keys()].sort()).toEqual(['stale', 'water/w1']);
    await db.commit(remove('water', 'w1'));
    expect(await db.all('water')).toEqual([]);
    // A water of the same name as an outing takes no log with it.
    await db.commit(put('outing', outing('o1')), append('o1', [cast(1)]), put('water', water({ id: 'o1' })));
    await db.commit(remove('water', 'o1'));
    expect(await db.events('o1')).toHaveLength(1);
  });

  it('that were damaged are forgotten once all is replaced, and stay named where some is added', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    storage.entries.set('water/w9', '{"v":');
    await db.all('water');
    const restored = async () => ({
      ...sourceOf({ records: {} as never, logs: [logOf([cast(1), cast(2)])] }),
      records: [],
    });
    const named = () => db.status().damaged.map((d) => d.key);
    await db.restore(restored, 'merge');
    expect([named(), storage.entries.has('water/w9')]).toEqual([['water/w9'], true]);
    await db.restore(restored, 'replace');
    expect([named(), storage.entries.get('water/w9')]).toEqual([[], undefined]);
  });

  it('and logs that are brought in are summed up anew', async () => {
    const db = memoryDatabase(memoryStorage());
    await db.commit(append('o1', [cast(1)]));
    expect((await db.folded()).map((f) => f.log.tally.casts)).toEqual([1]);
    const events = Array.from({ length: CHUNK + 1 }, (_, i) => cast(i));
    await db.restore(
      async () => ({ ...sourceOf({ records: {} as never, logs: [logOf(events)] }), records: [] }),
      'merge',
    );
    expect((await db.folded()).map((f) => [f.count, f.log.tally.casts])).toEqual([[CHUNK + 1, CHUNK + 1]]);
    expect(await db.events('o1')).toEqual(events);
  });
});

describe('what is on its way for the first time', () => {
  it('is not said to be there before it is stored; a record shows, as it was set by hand', async () => {
    const storage = memoryStorage();
    const write = storage.setMany;
    let go!: () => void;
    const held = new Promise<void>((r) => (go = r));
    storage.setMany = async (e) => (await held, write(e));
    const db = memoryDatabase(storage);
    const commit = db.commit(put('water', water()), append('o1', [cast(1)]));
    await new Promise((r) => setImmediate(r));
    expect(await db.events('o1')).toEqual([]);
    expect(await db.folded()).toEqual([]);
    expect(await db.all('water')).toEqual([water()]);
    go();
    expect(await commit).toBe('stored');
    expect((await db.events('o1')).map((e) => e.id)).toEqual(['e1']);
  });

  it('shows once it is held, also where no turn came to try', async () => {
    const db = memoryDatabase(memoryStorage(), { alone: async () => Promise.reject(new Error('busy')) });
    expect(await db.commit(append('o1', [cast(1)]))).toBe('kept');
    expect((await db.events('o1')).map((e) => e.id)).toEqual(['e1']);
    expect(db.status()).toMatchObject({ failing: 'busy', waiting: 1 });
  });
});

describe('logs', () => {
  it('append in chunks and read back in order', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    const all = Array.from({ length: 2 * CHUNK + 7 }, (_, i) => cast(i));
    for (let i = 0; i < all.length; i += 50) await db.commit(append('o1', [...all.slice(i, i + 50)]));
    expect(await db.events('o1')).toEqual(all);
    expect([...storage.entries.keys()].filter((k) => k.startsWith('log/'))).toHaveLength(3);
  });

  it('from two tabs lose nothing', async () => {
    const storage = memoryStorage();
    const tabA = memoryDatabase(storage);
    const tabB = memoryDatabase(storage);
    await tabA.commit(append('o1', [cast(1)]));
    await tabB.commit(append('o1', [cast(2)]));
    await tabA.commit(append('o1', [cast(3)]));
    expect((await tabB.events('o1')).map((e) => e.id)).toEqual(['e1', 'e2', 'e3']);
  });

  it('write only the last chunk and the head, however long they are', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    await db.commit(append('o1', [...Array.from({ length: 10 * CHUNK }, (_, i) => cast(i))]));
    const written: string[] = [];
    const setMany = storage.setMany;
    storage.setMany = async (e) => {
      written.push(...Object.keys(e));
      return setMany(e);
    };
    await db.commit(append('o1', [cast(9999)]));
    expect(written.sort()).toEqual(['log/o1/00010', 'loghead/o1']);
  });

  it('fold once and are then read from their heads', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    await db.commit(append('o1', [cast(1), cast(2)]));
    expect((await db.folded())[0]!.log.tally.casts).toBe(2);
    storage.entries.set('log/o1/00000', 'broken'); // not looked at again
    expect((await db.folded())[0]!.log.tally.casts).toBe(2);
    expect(db.status().damaged).toEqual([]);
  });

  it('refuse an event that is not one', async () => {
    const db = memoryDatabase(memoryStorage());
    await expect(db.commit(append('o1', [{ ...cast(1), plan: { ...PLAN, outM: -3 } } as LogEvent]))).rejects.toThrow(
      'event 1: plan.outM',
    );
  });

  it('keep a damaged chunk and go on behind it', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    await db.commit(append('o1', [cast(1)]));
    const damaged = '00000000[{"kind":"cast"}]';
    storage.entries.set('log/o1/00000', damaged);
    await db.commit(append('o1', [cast(2)]));
    expect((await db.events('o1')).map((e) => e.id)).toEqual(['e2']);
    expect(storage.entries.get('log/o1/00000')).toBe(damaged);
    expect(storage.entries.get('log/o1/00001')).toContain('"e2"');
    expect(db.status().damaged[0]!.key).toBe('log/o1/00000');
  });

  it('get a damaged chunk back from the second copy', async () => {
    const storage = memoryStorage();
    await memoryDatabase(storage).commit(append('o1', [note('a'), note('b')], outing('o1')));
    const whole = storage.entries.get('log/o1/00000')!;
    storage.entries.set('log/o1/00000', whole.slice(0, -9));
    const db = memoryDatabase(storage, { copied: async (key) => (key === 'log/o1/00000' ? whole : null) });
    storage.entries.set('kit/x', '00000000{');
    await db.events('o1');
    await db.all('kit');
    await new Promise((r) => setTimeout(r, 10));
    expect(storage.entries.get('log/o1/00000')).toBe(whole);
    expect((await db.events('o1')).map((e) => e.id)).toEqual(['a', 'b']);
    expect(db.status().damaged.map((d) => d.key)).toEqual(['kit/x']);
  });
});
