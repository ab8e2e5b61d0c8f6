import 'fake-indexeddb/auto';
import { causeOf, wordCause } from './failures';
import { alone } from './lock';
import { memoryStorage } from './memory';
import { reopen } from './reopen';
import { FIRST_ANSWER_MS, LATER_ANSWER_MS, patient, reopening, SilentError, type Storage, within } from './storage';
import { draftOf } from './view';
import { createKept } from './kept';

const silent = new Promise<never>(() => {});

describe('a store that does not answer', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('is given three seconds at first, and long enough for an import once it has answered', async () => {
    const memory = memoryStorage();
    let hangs = true;
    const s = patient({ ...memory, getItem: (k) => (hangs ? silent : memory.getItem(k)) });
    const first = expect(s.getItem('a')).rejects.toThrow(SilentError);
    await jest.advanceTimersByTimeAsync(FIRST_ANSWER_MS);
    await first;
    hangs = false;
    expect(await s.getItem('a')).toBeNull();
    hangs = true;
    let failed = false;
    s.getItem('a').catch(() => (failed = true));
    await jest.advanceTimersByTimeAsync(LATER_ANSWER_MS - 1);
    expect(failed).toBe(false);
    await jest.advanceTimersByTimeAsync(1);
    expect(failed).toBe(true);
  });

  it('costs nothing when it answers', async () => {
    expect(await within(10, Promise.resolve(7))).toBe(7);
    expect(jest.getTimerCount()).toBe(0);
  });
});

describe('a store that fails', () => {
  const broken = (): Storage => ({ ...memoryStorage(), getItem: async () => Promise.reject(new Error('closing')) });

  it('is opened anew, and used from then on', async () => {
    const memory = memoryStorage();
    memory.entries.set('a', '1');
    const open = jest.fn(async () => memory);
    const s = reopening(broken(), open);
    expect(await s.getItem('a')).toBe('1');
    await s.setMany({ b: '2' });
    await s.removeMany(['a']);
    expect(await s.getMany(['a', 'b'])).toEqual({ a: null, b: '2' });
    expect(await s.getAllKeys()).toEqual(['b']);
    expect(open).toHaveBeenCalledTimes(1);
    await s.clear();
    expect(memory.entries.size).toBe(0);
  });

  it('says why at first, when it cannot be opened anew either', async () => {
    const s = reopening(broken(), async () => Promise.reject(new Error('second')));
    await expect(s.getItem('a')).rejects.toThrow('closing');
  });

  it('is opened once for calls that fail together', async () => {
    const open = jest.fn(async () => memoryStorage());
    const s = reopening(broken(), open);
    await Promise.all([s.getItem('a'), s.getItem('b')]);
    expect(open.mock.calls.length).toBeLessThanOrEqual(2);
    await s.getItem('c');
    expect(await s.getItem('d')).toBeNull();
  });

  it.each([
    [new SilentError(), null, 'silent'],
    [Object.assign(new Error('x'), { name: 'QuotaExceededError' }), null, 'full'],
    [new Error('Encountered full disk while opening backing store'), null, 'full'],
    [new Error(''), { usage: 99, quota: 100 }, 'full'],
    [new Error(''), { usage: 50, quota: 100 }, null],
    [new Error('The database connection is closing.'), null, 'closed'],
    [Object.assign(new Error('x'), { name: 'InvalidStateError' }), null, 'closed'],
    [Object.assign(new Error('The operation is insecure.'), { name: 'SecurityError' }), null, 'forbidden'],
    [new ReferenceError('indexedDB is not defined'), null, 'forbidden'],
    [Object.assign(new Error('signal timed out'), { name: 'TimeoutError' }), null, 'busy'],
    [Object.assign(new Error('Loading module x failed.'), { name: 'AsyncRequireError' }), null, 'newer'],
    ['odd', null, null],
  ] as const)('has its cause told from what browsers say: %s', (error, room, cause) => {
    expect(causeOf(error, room)).toBe(cause);
  });

  it('has every cause worded with what to do', () => {
    for (const c of ['full', 'forbidden', 'closed', 'silent', 'busy'] as const)
      expect(wordCause(c, null)).toMatch(/try again|export/i);
    expect(wordCause(null, new Error('odd thing'))).toContain('“odd thing”');
  });
});

describe('a new connection (on an independent IndexedDB)', () => {
  it('reads what AsyncStorage wrote and writes as it does: strings by key in the table "entries"', async () => {
    const other = await new Promise<IDBDatabase>((resolve) => {
      const opening = indexedDB.open('t1', 1);
      opening.onupgradeneeded = () => opening.result.createObjectStore('entries').put('old', 'a');
      opening.onsuccess = () => resolve(opening.result);
    });
    const s = await reopen('t1');
    expect(await s.getItem('a')).toBe('old');
    await s.setMany({ b: '2', c: '3' });
    expect(await s.getMany(['a', 'b', 'x'])).toEqual({ a: 'old', b: '2', x: null });
    await s.removeMany(['a']);
    expect(await s.getAllKeys()).toEqual(['b', 'c']);
    const stored = await new Promise((resolve) => {
      const get = other.transaction('entries').objectStore('entries').get('c');
      get.onsuccess = () => resolve(get.result);
    });
    expect(stored).toBe('3');
    await s.clear();
    expect(await s.getAllKeys()).toEqual([]);
  });
});

describe('the lock of a page without locks', () => {
  it('lets one work at a time, other pages included', async () => {
    expect(globalThis.navigator?.locks).toBeUndefined(); // as on a plain address
    let other!: typeof alone;
    jest.isolateModules(() => (other = (jest.requireActual('./lock') as { alone: typeof alone }).alone));
    expect(other).not.toBe(alone); // another page: nothing shared but the database
    let inside = 0;
    let most = 0;
    const order: number[] = [];
    const work = (n: number) => async () => {
      most = Math.max(most, ++inside);
      await new Promise((r) => setTimeout(r, 3));
      order.push(n);
      inside--;
      return n;
    };
    const turns = Array.from({ length: 12 }, (_, n) => (n % 2 ? other : alone)(work(n)));
    expect(await Promise.all(turns)).toEqual(Array.from({ length: 12 }, (_, n) => n));
    expect(most).toBe(1);
    expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: 12 }, (_, n) => n));
  });

  it('goes on after work that fails', async () => {
    await expect(alone(async () => Promise.reject(new Error('no')))).rejects.toThrow('no');
    expect(await alone(async () => 5)).toBe(5);
  });
});

describe('views', () => {
  it('a draft covers what it is based on, and leaves it as it is', async () => {
    const storage = memoryStorage();
    await storage.setMany({ 'k/1': 'one', 'k/2': 'two', 'l/1': 'other' });
    const kept = createKept(storage, () => undefined);
    const draft = draftOf(kept.view);
    draft.set('k/0', 'zero');
    draft.set('k/2', 'deux');
    draft.remove('k/1');
    expect(await draft.get('k/1')).toBeNull();
    expect(await draft.getMany(['k/0', 'k/1', 'k/2', 'l/1', 'x'])).toEqual(['zero', null, 'deux', 'other', null]);
    expect(await draft.list('k/')).toEqual([
      ['k/0', 'zero'],
      ['k/2', 'deux'],
    ]);
    expect(storage.entries.get('k/1')).toBe('one');
    await kept.write(draft.written);
    expect([...storage.entries.keys()].sort()).toEqual(['k/0', 'k/2', 'l/1']);
  });

  it('what was read is still known when the store fails, and only what is stored counts for changes', async () => {
    const storage = memoryStorage();
    await storage.setMany({ 'k/1': 'one', 'k/2': 'two' });
    let fails = false;
    const fail =
      <A extends unknown[], R>(f: (...a: A) => Promise<R>) =>
      async (...a: A) => {
        if (fails) throw new Error('gone');
        return f(...a);
      };
    const seen: unknown[] = [];
    const kept = createKept(
      {
        ...storage,
        getItem: fail(storage.getItem),
        getMany: fail(storage.getMany),
        getAllKeys: fail(storage.getAllKeys),
      },
      (e) => seen.push(e),
    );
    expect(await kept.view.get('k/1')).toBe('one');
    await kept.write(new Map([['k/3', 'three']]));
    fails = true;
    expect(await kept.view.list('k/')).toEqual([
      ['k/1', 'one'],
      ['k/3', 'three'],
    ]);
    expect(await kept.view.get('k/2')).toBeNull(); // never read
    expect(await kept.view.getMany(['k/3'])).toEqual(['three']);
    expect(seen).toHaveLength(3);
    await expect(kept.strict.get('k/1')).rejects.toThrow('gone');
  });

  it('keeps a few seasons of what was read, the newest, however often it is read', async () => {
    const storage = memoryStorage();
    let fails = false;
    const getItem = async (key: string) => {
      if (fails) throw new Error('gone');
      return storage.getItem(key);
    };
    const kept = createKept({ ...storage, getItem }, () => undefined);
    const season = 'x'.repeat(6e6);
    const known = async (...keys: string[]) => {
      fails = true;
      const all = await Promise.all(keys.map((k) => kept.view.get(k)));
      fails = false;
      return all.map((v) => v !== null);
    };
    await storage.setMany({ a: season, b: season, c: season });
    for (const key of ['a', 'a', 'a', 'b']) await kept.view.get(key);
    expect(await known('a', 'b', 'c')).toEqual([true, true, false]);
    await kept.view.get('c'); // eighteen million characters are too many
    expect(await known('a', 'b', 'c')).toEqual([false, true, true]);
  });

  it('a sweep that fails does not bring back what was removed', async () => {
    const storage = memoryStorage();
    await storage.setMany({ 'k/1': 'one' });
    const kept = createKept({ ...storage, removeMany: async () => Promise.reject(new Error('no')) }, () => undefined);
    await kept.write(new Map([['k/1', '']]));
    expect(await kept.view.get('k/1')).toBeNull();
    expect(await kept.view.list('k/')).toEqual([]);
  });
});
