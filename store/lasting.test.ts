import { createLasting, type LastingOptions, type Mended, NoRoomError, SERIAL } from './lasting';
import { memoryCopy, memoryFiles, memoryLock, memoryStorage } from './memory';
import { createSecondCopy } from './secondCopy';

function world(options: Partial<LastingOptions> = {}) {
  const memory = memoryStorage();
  const files = memoryFiles();
  const mark = { serial: 0, get: () => mark.serial, set: (n: number) => void (mark.serial = n) };
  const mended: Mended[] = [];
  const copy = memoryCopy(files, memory.entries);
  /** The store as a new page opens it. */
  const page = (held: [string, string][] = []) =>
    createLasting(memory, {
      copy: async () => copy,
      hasCopy: async () => files.files.size > 0,
      mark,
      held: () => held,
      alone: memoryLock(),
      onMended: (m) => void mended.push(m),
      ...options,
    });
  return { memory, files, mark, mended, page };
}
const settled = () => new Promise((r) => setTimeout(r, 0));

describe('a store that the browser threw away', () => {
  it('is put back whole from the second copy before anything is asked of it', async () => {
    const w = world();
    const { storage } = w.page();
    await storage.setMany({ 'outing/a': 'x', 'outing/b': 'y', 'kit/a': 'z' });
    await storage.setMany({ 'outing/a': 'x2', 'kit/a': '' });
    w.memory.entries.clear();
    expect(await w.page().storage.getItem('outing/a')).toBe('x2');
    expect(await w.page().storage.getAllKeys()).toEqual(['outing/a', 'outing/b']);
    expect(w.mended).toEqual([{ outings: 2, isWhole: true }]);
  });

  it('is told from an older one that took its place', async () => {
    const w = world();
    const { storage } = w.page();
    await storage.setMany({ 'outing/a': '1' });
    const before = new Map(w.memory.entries);
    await storage.setMany({ 'outing/a': '2', 'outing/b': '1' });
    w.memory.entries.clear();
    before.forEach((v, k) => w.memory.entries.set(k, v));
    w.memory.entries.set('outing/stray', 'of the older one');
    expect(await w.page().storage.getMany(['outing/a', 'outing/b', 'outing/stray'])).toEqual({
      ...{ 'outing/a': '2', 'outing/b': '1', 'outing/stray': null },
    });
  });

  it('is put back by a page that finds it gone when it writes, and nothing is written over it', async () => {
    const w = world();
    const { storage } = w.page();
    await storage.setMany({ 'outing/a': '1' });
    w.memory.entries.clear();
    await expect(storage.setMany({ 'outing/b': '1' })).rejects.toThrow('put back');
    await storage.setMany({ 'outing/b': '1' });
    expect(Object.fromEntries(w.memory.entries)).toEqual({ 'outing/a': '1', 'outing/b': '1', [SERIAL]: '2' });
  });

  it('without a second copy gets back what the page still knows, and says that it may not be all', async () => {
    const w = world({ copy: async () => null, hasCopy: async () => false });
    await w.page().storage.setMany({ 'outing/a': '1', 'outing/b': '1' });
    w.memory.entries.clear();
    const { storage } = w.page([
      ['outing/a', '1'],
      ['kit/gone', ''],
    ]);
    expect(await storage.getAllKeys()).toEqual(['outing/a']);
    expect(w.mended).toEqual([{ outings: 1, isWhole: false }]);
    // Once, not at every start.
    await w.page().storage.getAllKeys();
    expect(w.mended).toHaveLength(1);
  });

  it('that lost its last entries only keeps what it has, where the copy has less', async () => {
    const none = world({ copy: async () => null, hasCopy: async () => false });
    await none.page().storage.setMany({ 'outing/a': '1', 'outing/b': '1' });
    none.mark.serial = 2; // of one that never reached the disk
    expect(await none.page().storage.getAllKeys()).toEqual(['outing/a', 'outing/b']);
    expect(none.mended).toEqual([{ outings: 2, isWhole: false }]);
    // The copy could not be written for a while.
    const w = world();
    const { storage } = w.page();
    await storage.setMany({ 'outing/a': '1' });
    const append = jest.spyOn(w.files, 'append').mockImplementation(async () => Promise.reject(new Error('busy')));
    await storage.setMany({ 'outing/a': '2' });
    append.mockRestore();
    w.mark.serial = 3;
    expect(await w.page().storage.getItem('outing/a')).toBe('2');
    expect(w.mended).toEqual([{ outings: 1, isWhole: false }]);
  });

  it('is not what a new one is beside which room was looked for', async () => {
    const w = world();
    expect(await createSecondCopy(w.files).hasRoom()).toBe(true);
    expect(w.files.files.size).toBe(1);
    expect(await w.page().storage.getAllKeys()).toEqual([]);
    expect(w.mended).toEqual([]);
  });

  it('is not what a new, a cleared or an earlier version’s store is', async () => {
    const w = world();
    expect(await w.page().storage.getAllKeys()).toEqual([]);
    w.memory.entries.set('outing/old', '1'); // of a version that numbered nothing
    const { storage } = w.page();
    expect(await storage.getItem('outing/old')).toBe('1');
    await storage.setMany({ 'kit/a': '1' });
    await settled();
    await storage.clear();
    await settled();
    expect(await w.page().storage.getAllKeys()).toEqual([]);
    expect(w.mended).toEqual([]);
    // Nor does the copy keep what was cleared.
    expect([...w.files.files.values()].map((f) => new TextDecoder().decode(f)).join()).not.toContain('kit/a');
  });

  it('of an earlier version is copied whole at the first write', async () => {
    const w = world();
    w.memory.entries.set('outing/old', '1');
    await w.page().storage.setMany({ 'kit/a': '1' });
    await settled();
    w.memory.entries.clear();
    expect(await w.page().storage.getAllKeys()).toEqual(['outing/old', 'kit/a']);
    expect(w.mended).toEqual([{ outings: 1, isWhole: true }]);
  });
});

describe('a device without room', () => {
  it('is found out before the store is touched', async () => {
    const w = world();
    const { storage } = w.page();
    await storage.setMany({ a: '1' });
    const write = jest.spyOn(w.memory, 'setMany');
    w.files.roomBytes = 1e6;
    await expect(storage.setMany({ a: '2' })).rejects.toThrow(NoRoomError);
    expect(write).not.toHaveBeenCalled();
    w.files.roomBytes = 1e7;
    await storage.setMany({ a: '2' });
    expect(await storage.getItem('a')).toBe('2');
  });

  it('cannot be told where there is no copy, or it fails: then it is written', async () => {
    const broken = world({ copy: async () => Promise.reject(new Error('no worker')) });
    await broken.page().storage.setMany({ a: '1' });
    expect(broken.memory.entries.get('a')).toBe('1');
  });
});

describe('more than one transaction holds', () => {
  const big = (mark: string) => mark + 'x'.repeat(1e6);
  async function* slices(mark: string, cutAfter = Infinity) {
    yield new Map([['outing/old', '']]);
    for (let i = 0; i < 9; i++) {
      if (i === cutAfter) throw new Error('the page was closed');
      yield new Map([[`outing/${i}`, big(mark)]]);
    }
  }
  async function filled() {
    const w = world();
    await w.page().storage.setMany({ 'outing/old': '1', 'kit/a': '1' });
    await settled();
    return w;
  }
  const before = { 'outing/old': '1', 'kit/a': '1', [SERIAL]: '1' };
  const keys = ['kit/a', ...Array.from({ length: 9 }, (_, i) => `outing/${i}`)];

  it('is written whole', async () => {
    const w = await filled();
    const { storage } = w.page();
    await storage.writeAll!(slices('a'));
    expect((await storage.getAllKeys()).sort()).toEqual(keys);
    expect(await storage.getItem('outing/8')).toBe(big('a'));
    // And the copy has it, too.
    await settled();
    w.memory.entries.clear();
    expect((await w.page().storage.getAllKeys()).sort()).toEqual(keys);
    expect(w.mended).toEqual([{ outings: 9, isWhole: true }]);
  });

  it('or not at all: what is to be written fails, there is no room for it, or the store refuses', async () => {
    const w = await filled();
    await expect(w.page().storage.writeAll!(slices('a', 7))).rejects.toThrow('closed');
    expect(Object.fromEntries(w.memory.entries)).toEqual(before);
    w.files.roomBytes = 11e6;
    await expect(w.page().storage.writeAll!(slices('a'))).rejects.toThrow(NoRoomError);
    expect(Object.fromEntries(w.memory.entries)).toEqual(before);
    w.files.roomBytes = Infinity;
    const write = w.memory.setMany;
    let writes = 0;
    w.memory.setMany = async (e) => {
      if (++writes === 4) throw new Error('QuotaExceededError');
      return write(e);
    };
    await expect(w.page().storage.writeAll!(slices('a'))).rejects.toThrow('Quota');
    w.memory.setMany = write;
    expect(await w.page().storage.getMany(['outing/old', 'kit/a', 'outing/1'])).toEqual({
      ...{ 'outing/old': '1', 'kit/a': '1', 'outing/1': null },
    });
    expect(w.mended).toEqual([]);
  });

  it('cut short while it is put in place, is finished at the next start', async () => {
    const w = await filled();
    const write = w.memory.setMany;
    let writes = 0;
    w.memory.setMany = (e) => (++writes > 4 ? new Promise<never>(() => {}) : write(e));
    void w.page().storage.writeAll!(slices('a'));
    await new Promise((r) => setTimeout(r, 500));
    w.memory.setMany = write; // the page is gone
    expect((await w.page().storage.getAllKeys()).sort()).toEqual(keys);
  });
});
