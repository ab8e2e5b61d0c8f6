import type { EventOf, Happened, LogEvent } from '@/core/logbook';
import { amended, castTakenBack, join, type LoggedOuting, type Scribe, split, unsplit } from '@/core/logbook/correct';
import { castEvent, RIG } from '@/core/testing/fixtures';
import { append, put, rearranged } from './changes';
import { checkEvents } from './check';
import { memoryDatabase, memoryStorage } from './memory';
import type { Outing } from './records';

let n = 0;
const by = (): Scribe => ({ id: () => `c${++n}`, now: 1e12 + n });
const outing = (id: string): Outing => ({ id, waterId: 'w1', startedAt: 1, endedAt: 9e5, notes: '' });

/** A store with an outing of twelve casts, and how one reads and changes it. */
async function store() {
  const db = memoryDatabase(memoryStorage());
  const casts = Array.from({ length: 12 }, (_, i) => castEvent(i + 1));
  await db.commit(put('outing', outing('one')), append('one', casts));
  const logged = async (id: string): Promise<LoggedOuting> => {
    const { id: outingId, ...facts } = (await db.all('outing')).find((o) => o.id === id)!;
    return { outing: { outingId, ...facts }, events: await db.events(id) };
  };
  const casted = async () => Object.fromEntries((await db.folded()).map((f) => [f.outingId, f.log.tally.casts]));
  return { db, casts, logged, casted };
}

describe('corrections in the store', () => {
  it('a split and its taking back are stored whole, and the sums follow', async () => {
    const { db, casts, logged, casted } = await store();
    expect(await casted()).toEqual({ one: 12 });
    await db.commit(...rearranged(split(await logged('one'), casts[5]!.at, 'two', by())));
    expect(await casted()).toEqual({ one: 5, two: 7 });
    const one = await logged('one');
    const cut = one.events.find((e): e is EventOf<'split'> & LogEvent => e.kind === 'split')!;
    expect(one.events).toHaveLength(13);
    await db.commit(...rearranged(unsplit(one, cut, await logged('two'), by())));
    expect(await casted()).toEqual({ one: 12 });
    expect((await db.all('outing')).map((o) => o.id)).toEqual(['one']);
    expect(await db.events('two')).toEqual([]);
  });

  it('two are joined in one transaction or not at all', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    await db.commit(put('outing', outing('one')), append('one', [castEvent(1)]));
    await db.commit(put('outing', { ...outing('two'), startedAt: 2 }), append('two', [castEvent(2), castEvent(3)]));
    const logged = async (id: string): Promise<LoggedOuting> => ({
      outing: { outingId: id, waterId: 'w1', startedAt: id === 'one' ? 1 : 2, endedAt: 9, notes: '' },
      events: await db.events(id),
    });
    const changes = rearranged(join(await logged('two'), await logged('one'), by()));
    storage.fail = 'no room';
    expect(await db.commit(...changes)).toBe('kept');
    expect([...storage.entries.keys()].filter((k) => k.startsWith('outing/'))).toHaveLength(2);
    storage.fail = null;
    await db.retry();
    expect((await db.folded()).map((f) => [f.outingId, f.log.tally.casts])).toEqual([['one', 3]]);
  });

  it('what is said anew is checked like anything else, and may be no correction itself', () => {
    const cast = castEvent(1);
    const ok = amended({ ...cast, rig: 'k' }, by());
    expect(checkEvents([ok, ...castTakenBack(cast, [cast], by())])).toHaveLength(2);
    const wrong = (to: unknown) => () => checkEvents([{ ...ok, to } as LogEvent]);
    expect(wrong({ ...cast, xM: 1e6 })).toThrow(/to\.xM must be at most 2000/);
    expect(wrong({ ...cast, plan: { ...cast.plan, angleDeg: 999 } })).toThrow(/to\.plan\.angleDeg/);
    expect(wrong({ ...cast, kind: 'undo', undoes: 'x' })).toThrow(/to\.kind must be one of/);
    expect(wrong(undefined)).toThrow(/to is required/);
    const estimate = {
      ...cast,
      kind: 'estimate',
      casts: 10,
      takes: 0,
      minutes: null,
      timed: true,
      fly: null,
      water: null,
    };
    delete (estimate as { plan?: unknown }).plan;
    expect(checkEvents([estimate, { ...ok, to: estimate }])).toHaveLength(2);
    expect(() => checkEvents([{ ...estimate, casts: 0.5 }])).toThrow(/casts must be an integer/);
  });

  it('a rig in an entry that was said anew is brought up to date with the others', async () => {
    const { openEventList } = await import('./check');
    const { head, leader, droppers, ...rest } = RIG;
    expect(droppers).toEqual([]);
    const old = {
      ...rest,
      head: { type: 'head', id: 'h', name: 'h', shape: 'short', lengthM: 7, massKg: 0.03, sinkRateMps: 0.1 },
      leader: { type: 'leader', id: leader.id, name: leader.name, lengthM: 1.2, diameterM: 2.5e-4, material: 'nylon' },
      dropper: null,
    };
    expect(head.type).toBe('head');
    const base = { at: 5, runId: null, xM: null, yM: null, rig: 'k' };
    const list = {
      versions: { event: 4, rig: 1, reading: 2 },
      events: [{ ...base, id: 'a', rig: null, kind: 'amend', to: { ...base, id: 'r', kind: 'rig', set: old } }],
    };
    const [amend] = openEventList(list) as [EventOf<'amend'>];
    expect((amend.to as Happened & EventOf<'rig'>).set.head.sinkRatesMps).toEqual([0.1]);
  });
});
