import fc from 'fast-check';
import { append, type Change, changed, patch, put, remove, withNew } from './changes';
import { castEvent } from '@/core/testing/fixtures';
import { memoryDatabase, memoryStorage } from './memory';
import type { Water } from './records';
import { water } from './records.testing';

describe('a change shown before it is stored', () => {
  const list = [water({ id: 'a' }), water({ id: 'b', name: 'B' })];
  const ids = (change: Change) => changed(list, change).map((w) => w.id);

  it('puts in place of what has its id, patches what is there, removes', () => {
    expect(changed(list, put('water', water({ id: 'a', name: 'new' }))).find((w) => w.id === 'a')!.name).toBe('new');
    expect(ids(put('water', water({ id: 'c' })))).toEqual(['a', 'b', 'c']);
    expect(changed(list, patch('water', 'b', { latDeg: 5 })).find((w) => w.id === 'b')).toEqual({
      ...list[1],
      latDeg: 5,
    });
    expect(ids(remove('water', 'a'))).toEqual(['b']);
    expect(changed(list, append('o', []))).toEqual(list);
  });

  it('patches what is not there from what it is given for that, and nothing from nothing', () => {
    expect(ids(patch('water', 'c', { name: 'C' }))).toEqual(['a', 'b']);
    expect(changed(list, patch('water', 'c', { name: 'C' }, water({ id: 'c' }))).at(-1)).toEqual(
      water({ id: 'c', name: 'C' }),
    );
  });

  it('shows what is stored afterwards, whatever is done in whatever order (property)', async () => {
    const id = fc.constantFrom('a', 'b', 'c');
    const anyChange = fc.oneof(
      fc.tuple(id, fc.integer({ min: 0, max: 90 })).map(([i, latDeg]) => put('water', water({ id: i, latDeg }))),
      fc
        .tuple(id, fc.integer({ min: 0, max: 90 }))
        .map(([i, latDeg]) => patch<'water'>('water', i, { latDeg }, water({ id: i, name: 'made' }))),
      id.map((i) => remove('water', i)),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(anyChange, { maxLength: 8 }), async (changes) => {
        const db = memoryDatabase(memoryStorage());
        let shown: Water[] = [];
        for (const c of changes) {
          await db.commit(c);
          shown = changed(shown, c);
        }
        const sorted = (all: readonly Water[]) => [...all].sort((x, y) => x.id.localeCompare(y.id));
        expect(sorted(shown)).toEqual(sorted(await db.all('water')));
      }),
      { seed: 4, numRuns: 60 },
    );
  });

  it('adds events behind those that are there, each once', () => {
    const [a, b, c] = [castEvent(1), castEvent(2), castEvent(3)];
    expect(withNew([a, b], [b, c, c])).toEqual([a, b, c]);
    expect(withNew([], [])).toEqual([]);
  });
});
