import fc from 'fast-check';
import { memoryFiles } from './memory';
import { seal } from './seal';
import { type Entry, entryOf } from './entry';
import { createSecondCopy } from './secondCopy';

type Values = Map<string, string>;
const log = (events: readonly number[]) => seal(JSON.stringify({ events }));

async function recalled(files: ReturnType<typeof memoryFiles>) {
  const { serial, isWhole, values } = await createSecondCopy(files).open();
  const all: Values = new Map();
  for await (const slice of values()) for (const [k, v] of slice) all.set(k, v);
  return { serial, isWhole, all };
}
async function* slices(values: Values): AsyncGenerator<[string, string][]> {
  for (const entry of values) yield [entry];
}

describe('how a list goes on', () => {
  it('is told by what is new in it, anything else whole', () => {
    const [a, b] = [log([1, 2]), log([1, 2, 3])];
    const [key, keep, tail] = entryOf('log/a/0', a, b);
    expect([key, keep]).toEqual(['log/a/0', a.length - 2]);
    expect(tail.slice(8)).toBe(',3]}');
    expect(entryOf('log/a/0', b, log([1, 9, 3, 4]))[1]).toBe(0);
    expect(entryOf('log/a/0', undefined, b)).toEqual(['log/a/0', 0, b]);
    expect(entryOf('log/a/0', b, '')).toEqual(['log/a/0', 0, '']);
  });
});

describe('a second copy', () => {
  it('gives back what was written, whatever was cut short, gathered or done over in between', async () => {
    const step = fc.oneof(
      { weight: 6, arbitrary: fc.record({ do: fc.constant('cast' as const), n: fc.nat(3) }) },
      { weight: 2, arbitrary: fc.record({ do: fc.constant('put' as const), n: fc.nat(3) }) },
      { weight: 1, arbitrary: fc.record({ do: fc.constant('remove' as const), n: fc.nat(3) }) },
      // The copy is written, the store is not.
      { weight: 2, arbitrary: fc.record({ do: fc.constant('refused' as const), n: fc.nat(3) }) },
      { weight: 2, arbitrary: fc.record({ do: fc.constant('torn' as const), n: fc.nat(60) }) },
      { weight: 1, arbitrary: fc.record({ do: fc.constant('gather' as const), n: fc.nat(3) }) },
      { weight: 1, arbitrary: fc.record({ do: fc.constant('gather cut' as const), n: fc.nat(3) }) },
    );
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
        const files = memoryFiles();
        let copy = createSecondCopy(files);
        const store: Values = new Map();
        const lists = new Map<string, number[]>();
        let serial = 0;
        let next = 0;
        for (const { do: what, n } of steps) {
          const key = what === 'put' ? `kit/${n}` : `log/${n}`;
          const grown = [...(lists.get(key) ?? []), next++];
          const value = what === 'remove' ? '' : what === 'put' ? seal(`"${next}é"`) : log(grown);
          const entries: Entry[] = [entryOf(key, what === 'put' ? undefined : store.get(key), value)];
          if (what === 'gather' || what === 'gather cut') {
            await copy.turn(serial);
            if (what === 'gather cut') files.tear = 30;
            await copy.gather(serial, slices(store)).catch(() => (copy = createSecondCopy(files)));
            files.tear = Infinity;
          } else if (what === 'torn') {
            files.tear = n;
            const became = await copy.append(serial, serial + 1, entries).catch(() => null);
            files.tear = Infinity;
            copy = createSecondCopy(files); // the page was closed
            expect(became).toBeNull();
          } else {
            const became = await copy.append(serial, serial + 1, entries);
            if (became === 'behind') {
              // What a torn line left unclear is gathered.
              await copy.turn(serial + 1);
            }
            if (what !== 'refused') {
              serial++;
              if (value === '') {
                store.delete(key);
                lists.delete(key);
              } else store.set(key, value);
              if (value !== '' && what !== 'put') lists.set(key, grown);
            }
            if (became === 'behind') await copy.gather(serial, slices(store));
          }
        }
        // One last that is stored: what was refused before it must not count.
        await copy.append(serial, serial + 1, [['end', 0, 'x']]);
        store.set('end', 'x');
        const found = await recalled(files);
        expect(found.serial).toBe(serial + 1);
        expect(Object.fromEntries(found.all)).toEqual(Object.fromEntries(store));
      }),
      { numRuns: 300 },
    );
  });

  it('says when something is missing before what is added, and when it was never gathered', async () => {
    const files = memoryFiles();
    const copy = createSecondCopy(files);
    expect(await copy.append(0, 1, [['a', 0, '1']])).toBe('done');
    expect(await copy.append(4, 5, [['a', 0, '5']])).toBe('behind');
    const late = createSecondCopy(memoryFiles());
    expect(await late.append(7, 8, [['a', 0, '8']])).toBe('behind');
    expect((await recalled(files)).isWhole).toBe(true);
    // The page was closed before it was gathered: the next says so again.
    await copy.turn(5);
    expect(await createSecondCopy(files).append(5, 6, [['b', 0, '6']])).toBe('behind');
  });

  it('goes on where another tab went on, or was closed in the middle of a line', async () => {
    const files = memoryFiles();
    const [a, b] = [createSecondCopy(files), createSecondCopy(files)];
    expect(await a.append(0, 1, [['a', 0, '1']])).toBe('done');
    expect(await b.append(1, 2, [['b', 0, '2']])).toBe('done');
    expect(await a.append(2, 3, [['a', 0, '3']])).toBe('done');
    files.tear = 30;
    await expect(b.append(3, 4, [['b', 0, 'never stored']])).rejects.toThrow('closed');
    files.tear = Infinity;
    expect(await a.append(3, 4, [['c', 0, '4']])).toBe('done');
    expect(Object.fromEntries((await recalled(files)).all)).toEqual({ a: '3', b: '2', c: '4' });
  });

  it('adds nothing where there is no room for it and four megabytes beside it', async () => {
    const files = memoryFiles();
    const copy = createSecondCopy(files);
    await copy.append(0, 1, [['a', 0, '1']]);
    const before = files.files.get('journal-000000')!;
    files.roomBytes = 4e6;
    expect(await copy.append(1, 2, [['a', 0, '2']])).toBe('no room');
    expect(await copy.hasRoom()).toBe(true);
    expect(files.files.get('journal-000000')).toEqual(before);
    files.roomBytes = 3.9e6;
    expect(await copy.hasRoom()).toBe(false);
    expect(await copy.turn(1)).toBe(false);
    files.roomBytes = 5e6;
    expect(await copy.append(1, 2, [['a', 0, '2']])).toBe('done');
  });

  it('keeps what is whole in it where the store has it damaged', async () => {
    const files = memoryFiles();
    const copy = createSecondCopy(files);
    const whole = log([1, 2, 3]);
    await copy.append(0, 1, [['log/a/0', 0, whole]]);
    await copy.turn(1);
    await copy.gather(1, slices(new Map([['log/a/0', whole.replace('2', '7')]])));
    expect(await copy.value('log/a/0')).toBe(whole);
    expect([...files.files.keys()].sort()).toEqual(['base-000001', 'journal-000001']);
    expect(await copy.value('log/b/0')).toBeNull();
  });
});
