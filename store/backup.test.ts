import { OPEN } from '@/core/testing/fixtures';
import fc from 'fast-check';
import type { LogEvent } from '@/core/logbook';
import type { Water } from './records';
import { note, outing, readBackup } from './records.testing';
import { type Backup, importBackup, makeBackup, planImport, sourceOf } from './backup';
import { append, put } from './changes';
import { memoryDatabase, memoryStorage } from './memory';

const anyWater: fc.Arbitrary<Water> = fc.record({
  id: fc.constantFrom('w0', 'w1', 'w2', 'w3'),
  name: fc.string({ minLength: 1, maxLength: 40 }).filter((s) => s.trim() === s && s.length > 0),
  character: fc.string({ maxLength: 40 }),
  quarry: fc.constantFrom('brown trout' as const, 'steelhead' as const),
  latDeg: fc.double({ min: -90, max: 90, noNaN: true }),
  lonDeg: fc.double({ min: -180, max: 180, noNaN: true }),
  stationId: fc.option(fc.constant('s1')),
  normalStageM: fc.option(fc.double({ min: 0, max: 5, noNaN: true })),
  rules: fc.constant({
    ...{ ...OPEN, season: { from: '03-01', to: '09-30' }, closesAtC: 20, text: 'no "wading" below the weir' },
  }),
});
const anyEvents = fc.array(
  fc.record({ id: fc.uuid(), at: fc.nat(1e9), text: fc.string({ minLength: 1, maxLength: 60 }) }),
  { maxLength: 30 },
);
const notes = (list: { id: string; at: number; text: string }[]): LogEvent[] =>
  list.sort((a, b) => a.at - b.at).map((e) => note(e.id, e.at, e.text));

async function filled(waters: Water[], events: LogEvent[]) {
  const db = memoryDatabase(memoryStorage());
  if (waters.length) await db.commit(...waters.map((w) => put('water', w)));
  await db.commit(put('outing', outing('o1')));
  if (events.length) await db.commit(append('o1', events));
  return db;
}
const read = (text: string) => sourceOf(readBackup(text, NOW).backup);
const withoutTime = (b: Backup) => ({ ...b, exportedAt: '' });

const NOW = Date.UTC(2026, 10, 1);

describe('export and import', () => {
  it('brings everything back (property)', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.uniqueArray(anyWater, { selector: (w) => w.id, maxLength: 4 }),
        anyEvents,
        async (waters, list) => {
          const a = await filled(waters, notes(list));
          const file = JSON.stringify(await makeBackup(a, 5));
          const b = await filled([], []);
          await importBackup(b, read(file), 'replace');
          expect(withoutTime(await makeBackup(b, 6))).toEqual(withoutTime(JSON.parse(file)));
          // Merging the same file again changes nothing.
          const plan = await planImport(b, read(file));
          expect(plan.events.added).toBe(0);
          expect(Object.values(plan.kinds).every((k) => k.added + k.changed === 0)).toBe(true);
        },
      ),
      { seed: 11, numRuns: 40 },
    );
  });

  it('merges: the later saved of two records, the union of the events in order of time', async () => {
    const w = { ...(fc.sample(anyWater, { seed: 1, numRuns: 1 })[0] as Water), id: 'w0' };
    const here = memoryDatabase(memoryStorage(), { now: () => 100 });
    await here.commit(put('water', { ...w, name: 'mine' }));
    await here.commit(put('outing', outing('o1')));
    await here.commit(
      append('o1', [
        ...notes([
          { id: 'a', at: 1, text: 'a' },
          { id: 'c', at: 3, text: 'c' },
        ]),
      ]),
    );
    const there = memoryDatabase(memoryStorage(), { now: () => 200 });
    await there.commit(put('water', { ...w, name: 'theirs' }));
    await there.commit(put('outing', outing('o1')));
    await there.commit(
      append('o1', [
        ...notes([
          { id: 'a', at: 1, text: 'a' },
          { id: 'b', at: 2, text: 'b' },
        ]),
      ]),
    );
    const backup = read(JSON.stringify(await makeBackup(there, 0)));
    const summary = await planImport(here, backup);
    expect(summary.kinds.water).toEqual({ added: 0, changed: 1, kept: 0 });
    expect(summary.events).toEqual({ added: 1, kept: 1 });
    await importBackup(here, backup, 'merge');
    expect((await here.all('water'))[0]!.name).toBe('theirs');
    expect((await here.events('o1')).map((e) => e.id)).toEqual(['a', 'b', 'c']);
  });

  it('replaces: what is not in the file goes', async () => {
    const here = await filled([{ ...fc.sample(anyWater, { seed: 3, numRuns: 1 })[0]!, id: 'w3' }], []);
    const empty = memoryDatabase(memoryStorage());
    const backup = read(JSON.stringify(await makeBackup(empty, 0)));
    expect((await planImport(here, backup)).onlyHere).toBe(2);
    await importBackup(here, backup, 'replace');
    expect(await here.all('water')).toEqual([]);
    expect(await here.all('outing')).toEqual([]);
  });

  it('of before there were plans is read without a word about them; one with plans carries them', async () => {
    const here = memoryDatabase(memoryStorage());
    const trip = { id: 't', waterId: 'w', day: '2026-09-10', leaveMin: null, stops: null, packed: ['net'] };
    await here.commit(put('trip', trip));
    await here.commit(put('feed', { id: 'f', name: 'x', importedAt: 1, values: [[1, 0.4, null, null, null]] }));
    const made = await makeBackup(here, NOW);
    const old = {
      ...made,
      records: Object.fromEntries(
        Object.entries(made.records).filter(([k]) => !['feed', 'report', 'forecast', 'trip'].includes(k)),
      ),
    };
    expect(readBackup(JSON.stringify(old), NOW).repaired.join()).not.toMatch(/no list "(feed|report|forecast|trip)"/);
    const there = memoryDatabase(memoryStorage());
    await importBackup(there, read(JSON.stringify(made)), 'merge');
    expect(await there.all('trip')).toEqual([trip]);
    expect((await there.all('feed'))[0]!.values).toEqual([[1, 0.4, null, null, null]]);
  });

  it.each([
    ['', 'it is empty'],
    ['{"format":"wanderung-backup"', 'from line 1, column 29 on'],
    ['{\n "format": oops }', 'from line 2, column 12 on'],
    ['[1]', 'not a backup'],
    ['{"format":"wanderung-backup","version":99}', 'version 99 is not known'],
    [
      '{"format":"wanderung-backup","version":1,"records":{"water":[{"v":1,"data":{"id":"x"}}]}}',
      'records.water[0]: name is required',
    ],
    [
      '{"format":"wanderung-backup","version":1,"records":{},"logs":[{"outingId":"o9","events":[]}]}',
      'logs[0]: its outing "o9"',
    ],
    [
      '{"format":"wanderung-backup","version":1,"records":{"outing":[{"v":1,"data":{"id":"o","waterId":"w","startedAt":1,"endedAt":null,"notes":""}}]},"logs":[{"outingId":"o","events":[{"kind":"cast"}]}]}',
      'logs[0], event 1: id is required',
    ],
  ])('refuses a damaged file saying what and where: %#', (text, message) => {
    expect(() => readBackup(text, NOW)).toThrow(message);
  });
});
