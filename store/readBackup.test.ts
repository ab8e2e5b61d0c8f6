import fc from 'fast-check';
import { loadDemo } from '@/demo/load';
import { RUNS } from '@/demo/waters';
import { makeBackup } from './backup';
import { append, put } from './changes';
import { memoryDatabase, memoryStorage } from './memory';
import { LARGEST_FILE } from './readBackup';
import { note, outing, readBackup } from './records.testing';

const NOW = Date.UTC(2026, 10, 1);

type Raw = {
  records: Record<string, { v: number; savedAt: number; data: Record<string, unknown> }[]>;
  logs: { outingId: string; versions: unknown; events: Record<string, unknown>[] }[];
} & Record<string, unknown>;

/** A backup with one outing of two entries, changed and read. */
async function reading(change: (raw: Raw) => void) {
  const db = memoryDatabase(memoryStorage());
  await db.commit(put('outing', outing('o1')), append('o1', [note('a', 1), note('b', 2)]));
  const raw = JSON.parse(JSON.stringify(await makeBackup(db, NOW))) as Raw;
  change(raw);
  return () => readBackup(JSON.stringify(raw), NOW);
}
const eventsOf = (b: ReturnType<typeof readBackup>) => b.backup.logs.map((l) => l.events.map((e) => e.id));

describe('a backup that is not as it was written', () => {
  it.each([null, 'many', [], undefined])('without its records (%s) is refused, with what to do', async (records) => {
    const read = await reading((r) => ((r as Record<string, unknown>).records = records));
    expect(read).toThrow('records: missing, so there is nothing to import. Choose another copy');
  });

  it('whole: nothing is put right', async () => {
    const read = (await reading(() => undefined))();
    expect(read.repaired).toEqual(['one outing without its water in the file: imported all the same.']);
    expect(eventsOf(read)).toEqual([['a', 'b']]);
  });

  it.each<[string, (raw: Raw) => void, string, string[][]]>([
    [
      'two logs of one outing',
      (r) => r.logs.push(structuredClone(r.logs[0]!)),
      'one outing had more than one log',
      [['a', 'b']],
    ],
    ['an entry twice', (r) => r.logs[0]!.events.push(r.logs[0]!.events[0]!), 'one log entry stood twice', [['a', 'b']]],
    [
      'two logs that differ',
      (r) => r.logs.push({ ...r.logs[0]!, events: [{ ...note('c', 0) }] }),
      'joined',
      [['c', 'a', 'b']],
    ],
    ['a record twice', (r) => r.records.outing!.push(r.records.outing![0]!), 'one outing stood twice', [['a', 'b']]],
    ['a kind that is not known', (r) => (r.records.boat = []), 'does not know it: boat', [['a', 'b']]],
    ['a list that is missing', (r) => delete r.records.kit, 'no list "kit"', [['a', 'b']]],
    ['logs that are missing', (r) => delete (r as Partial<Raw>).logs, 'no logs of them', []],
  ])('is put right and said: %s', async (_, change, said, events) => {
    const read = (await reading(change))();
    expect(read.repaired.join(' ')).toContain(said);
    expect(eventsOf(read)).toEqual(events);
  });

  it('with all that belongs together: nothing is put right', async () => {
    const db = memoryDatabase(memoryStorage(), { now: () => NOW });
    await loadDemo(db, NOW);
    const { backup, repaired } = readBackup(JSON.stringify(await makeBackup(db, NOW)), NOW);
    expect(repaired).toEqual([]);
    expect(backup.records.run.length).toBe(RUNS.length);
    expect(backup.logs).toHaveLength(backup.records.outing.length);
  });

  it('a clock that is a day ahead is no fault, one of three days is', async () => {
    const at = (days: number) => reading((r) => (r.logs[0]!.events[1]!.at = NOW + days * 86_400_000));
    expect(eventsOf((await at(1))())).toEqual([['a', 'b']]);
    expect(await at(3)).toThrow('has not come');
  });

  it('what is without its water is told, whatever it is', async () => {
    const db = memoryDatabase(memoryStorage(), { now: () => NOW });
    await loadDemo(db, NOW);
    const raw = JSON.parse(JSON.stringify(await makeBackup(db, NOW))) as Raw;
    const gone = raw.records.water!.pop()!.data.id;
    const { repaired } = readBackup(JSON.stringify(raw), NOW);
    const owned = ['run', 'outing', 'report', 'trip'].filter((kind) =>
      raw.records[kind]!.some((r) => r.data.waterId === gone),
    );
    expect(owned.length).toBeGreaterThan(0);
    for (const kind of owned) expect(repaired.join(' ')).toMatch(new RegExp(`${kind}s? without its water in the file`));
  });

  it('of two copies of a record the later saved is taken, and no record is saved in the future', async () => {
    const read = (
      await reading((r) => {
        const old = r.records.outing![0]!;
        r.records.outing!.unshift({ ...old, savedAt: 9e12, data: { ...old.data, notes: 'later' } });
      })
    )();
    expect(read.backup.records.outing).toHaveLength(1);
    expect(read.backup.records.outing[0]).toMatchObject({ savedAt: NOW, data: { notes: 'later' } });
  });

  it('a record that does not say when it was saved is read, and that is said', async () => {
    for (const savedAt of [0, undefined, -5]) {
      const read = (await reading((r) => Object.assign(r.records.outing![0]!, { savedAt })))();
      expect(read.repaired.join()).toContain(
        'one outing without the time of saving: where one is here already, that stays',
      );
    }
  });

  it.each<[string, (raw: Raw) => void, RegExp]>([
    ['an id with a slash', (r) => (r.records.outing![0]!.data.id = 'x/y'), /outing\[0\]: id may hold no slash/],
    ['an id that every object has', (r) => (r.logs[0]!.events[0]!.id = 'constructor'), /event 1: id may hold no slash/],
    [
      'a time that has not come',
      (r) => (r.logs[0]!.events[1]!.at = Date.UTC(2090, 1, 1)),
      /logs\[0\], event 2: its time, 2090-02-01, has not come/,
    ],
    [
      'an outing that has not come',
      (r) => (r.records.outing![0]!.data.startedAt = Date.UTC(2090, 1, 1)),
      /outing\[0\]: its time/,
    ],
    ['a log without its outing', (r) => (r.logs[0]!.outingId = 'o9'), /logs\[0\]: its outing "o9" is not among/],
    ['a log that is none', (r) => (r.logs[0] = null as never), /logs\[0\]: its outing \(none is named\)/],
    ['events that are none', (r) => (r.logs[0]!.events = {} as never), /logs\[0\]: not a list of events/],
    ['an event that is none', (r) => (r.logs[0]!.events[1] = 5 as never), /logs\[0\], event 2: not an event/],
    ['no records', (r) => delete (r as Partial<Raw>).records, /records: missing/],
    ['a record that is none', (r) => (r.records.outing![0]!.data = null as never), /outing\[0\]: not a record/],
    ['records that are no list', (r) => (r.records.outing = {} as never), /records.outing: not a list/],
    ['logs that are no list', (r) => (r.logs = {} as never), /logs: not a list/],
    ['no version', (r) => delete r.version, /does not say its version/],
    ['versions that are none', (r) => (r.logs[0]!.versions = 7), /event: its version is missing/],
  ])('is refused: %s', async (_, change, words) => {
    expect(await reading(change)).toThrow(words);
  });

  it('with anything in the place of anything else is read, or refused in our words', async () => {
    const db = memoryDatabase(memoryStorage(), { now: () => NOW });
    await loadDemo(db, NOW);
    const whole = await makeBackup(db, NOW);
    const records = Object.fromEntries(Object.entries(whole.records).map(([kind, list]) => [kind, list.slice(0, 2)]));
    const logs = whole.logs.slice(0, 2).map((l) => ({ ...l, events: l.events.slice(0, 8) }));
    const text = JSON.stringify({ ...whole, records, logs });
    const places: (string | number)[][] = [];
    const find = (x: unknown, path: (string | number)[]) => {
      if (path.length > 0) places.push(path);
      if (x && typeof x === 'object') for (const [k, v] of Object.entries(x)) find(v, [...path, k]);
    };
    find(JSON.parse(text), []);
    let refused = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...places),
        fc.constantFrom(null, 'constructor', '__proto__', {}, [], [null], -1, 1.5e300, undefined),
        (path, value) => {
          const raw = JSON.parse(text) as Record<string, never>;
          const holder = path.slice(0, -1).reduce((at, k) => at[k]!, raw as Record<string, never>);
          Object.assign(holder, { [path.at(-1)!]: value });
          try {
            readBackup(JSON.stringify(raw), NOW);
          } catch (error) {
            refused++;
            expect(error).toBeInstanceOf(RangeError);
            expect((error as Error).message).not.toMatch(/undefined|\bnull\b|\[object|properties|not a function|NaN/);
          }
        },
      ),
      { seed: 5, numRuns: 600 },
    );
    expect(refused).toBeGreaterThan(300);
  });

  it('is refused when nested without end, or too large, before anything else is tried', () => {
    expect(() => readBackup('['.repeat(200_000), NOW)).toThrow(/more than 40 brackets are open from character 41 on/);
    expect(() => readBackup(`{"a":${'{"a":'.repeat(60)}1${'}'.repeat(60)}}`, NOW)).toThrow(/brackets/);
    expect(() => readBackup(`["${'['.repeat(99)}"]`, NOW)).toThrow(/not a backup/); // within quotes they count for nothing
    expect(() => readBackup(' '.repeat(LARGEST_FILE + 1), NOW)).toThrow(/larger than 200 MB/);
  });
});
