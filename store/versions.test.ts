import fs from 'node:fs';
import { FOLD_VERSION, type LogEvent } from '@/core/logbook';
import { rigBodies, rigLine, rigOf } from '@/core/tackle';
import { castEvent, RIG } from '@/core/testing/fixtures';
import { importBackup, makeBackup, sourceOf } from './backup';
import { readBackup } from './records.testing';
import { takenBack } from '@/core/logbook/correct';
import { append, remove } from './changes';
import { memoryDatabase, memoryStorage } from './memory';
import { EVENT_VERSIONS, MIGRATIONS, migrate, migrateEvent, versionOf } from './migrations';
import { seal, unseal } from './seal';

/** What earlier versions of the program stored and exported, kept as they wrote it. */
const file = (name: string) => fs.readFileSync(`${__dirname}/old/${name}`, 'utf8');
const stored = JSON.parse(file('store-1.json')) as Record<string, string>;

const storageWith = (entries: Record<string, string>) => {
  const s = memoryStorage();
  for (const [k, v] of Object.entries(entries)) s.entries.set(k, v);
  return s;
};

describe.each([
  ['sealed', (v: string) => v],
  ['its seal lost', (v: string) => v.slice(8)],
  ['its seal broken', (v: string) => '00000000' + v.slice(8)],
])('data of the first version, %s', (_, turned) => {
  const open = () =>
    memoryDatabase(storageWith(Object.fromEntries(Object.entries(stored).map(([k, v]) => [k, turned(v)]))));

  it('opens whole, and nothing counts as damaged', async () => {
    const db = open();
    const events = await db.events('o1');
    expect(events.map((e) => e.kind)).toEqual(['run start', 'rig', 'reading', 'cast', 'cast', 'take', 'note']);
    expect(events.every((e) => e.xM === 3 && e.yM === 1)).toBe(true);
    expect((await db.all('run')).map((r) => r.name)).toEqual(['Überhang']);
    expect(await db.all('reading')).toMatchObject([
      { id: 'r1', atLeast: false, waterTempC: 11 },
      { id: 'r2', atLeast: false, waterTempC: 11 },
    ]);
    expect(db.status().damaged).toEqual([]);
  });

  it('gives a cast its whole plan, with the hands of its way', async () => {
    const casts = (await open().events('o1')).filter((e) => e.kind === 'cast');
    expect(casts[0]!.plan).toEqual({ xM: 3, yM: 1, outM: 11, angleDeg: 70, mendM: 1, rod: 'follow' });
    expect(casts[1]!.plan).toMatchObject({ outM: 12, angleDeg: 145, hands: { way: 'upstream strip', pullM: 0.4 } });
    expect(casts[1]).not.toHaveProperty('way');
  });

  it('brings a reading inside an event up to date by the steps of its own kind', async () => {
    const [reading] = await open().events('o0');
    expect(reading).toMatchObject({ kind: 'reading', reading: { atLeast: false, waterTempC: 11 } });
    expect(reading).not.toHaveProperty('reading.temperatureC');
  });

  it('folds it anew and goes on from it', async () => {
    const db = open();
    const [, o1] = await db.folded();
    expect(o1).toMatchObject({ outingId: 'o1', count: 7, log: { tally: { casts: 2, takes: 1 } } });
    await db.commit(append('o1', [castEvent(9)]));
    const events = await db.events('o1');
    expect(events.map((e) => e.id)).toEqual(['a1', 'a2', 'a3', 'a4', 'a5', 'a6', 'a7', 'e9']);
    expect((await db.folded())[1]!.log.tally.casts).toBe(3);
  });
});

describe.each([
  ['sealed', (v: string) => v],
  ['its seal lost', (v: string) => v.slice(8)],
])('data from before the bag was kept in parts, %s', (_, turned) => {
  const old = JSON.parse(file('store-2.json')) as Record<string, string>;
  const open = () =>
    memoryDatabase(storageWith(Object.fromEntries(Object.entries(old).map(([k, v]) => [k, turned(v)]))));

  it('gives heads their densities and leaders their one piece, and leaves the rest', async () => {
    const db = open();
    const kit = new Map((await db.all('kit')).map((k) => [k.id, k]));
    expect(db.status().damaged).toEqual([]);
    expect([...kit.keys()].sort()).toEqual(['f', 'h', 'h2', 'l', 'l2', 'r', 't', 'w']);
    expect(kit.get('h')).toEqual(RIG.head);
    expect(kit.get('h2')).toMatchObject({ shape: 'long', sinkRatesMps: [0.0381, 0.0762] });
    expect(kit.get('h2')).not.toHaveProperty('sinkRateMps');
    expect(kit.get('l')).toEqual(RIG.leader);
    expect(kit.get('l2')).toMatchObject({
      pieces: [{ part: 'tippet', lengthM: 0.6, diameterM: 0.0002, material: 'fluorocarbon' }],
    });
    expect(kit.get('t')).toEqual(RIG.tip);
  });

  it('keeps what was tied on, the second fly with how it hung', async () => {
    const db = open();
    const [session] = await db.all('session');
    const rig = rigOf(await db.all('kit'), session!.rig)!;
    expect(rig).toMatchObject({ head: { id: 'h2' }, fly: { id: 'f' }, shot: { massKg: 0.0004 }, lineClean: false });
    expect(rig.droppers).toMatchObject([{ fly: { id: 'w' }, way: 'tag' }]);
  });

  it('reads the rigs in its log as they are now: painted water stays true', async () => {
    const sets = (await open().events('o2')).flatMap((e) => (e.kind === 'rig' ? [e.set] : []));
    expect(sets).toHaveLength(2);
    expect(sets[0]).toMatchObject({ droppers: [{ fly: { id: 'w' }, way: 'tag', aboveM: 0.48 }] });
    expect(sets[0]).not.toHaveProperty('dropper');
    expect(rigBodies(sets[0]!).map((b) => b.fromEndM)).toEqual([0, 0.48]);
    expect(sets[1]).toEqual({ ...RIG, shot: { massKg: 0.0004, aboveFlyM: 0.18 } });
    expect(rigLine(sets[1]!, 12).map((l) => l.kind)).toEqual(['float', 'float', 'sink', 'leader']);
  });
});

describe.each([
  ['sealed', (v: string) => v],
  ['its seal lost', (v: string) => v.slice(8)],
  ['its seal broken', (v: string) => '00000000' + v.slice(8)],
])('a log from before it could be corrected, %s', (_, turned) => {
  const old = JSON.parse(file('store-3.json')) as Record<string, string>;
  const sealed = (k: string) => /^(outing|log|loghead|sums)/.test(k);
  const open = () =>
    memoryDatabase(
      storageWith(Object.fromEntries(Object.entries(old).map(([k, v]) => [k, sealed(k) ? turned(v) : v]))),
    );

  it('opens whole, with what casts did, and is folded anew by the rules of now', async () => {
    const db = open();
    const events = await db.events('o3');
    expect(events.map((e) => e.id)).toEqual(['d1', 'd2', 'd3', 'd4', 'd5', 'd6', 'd7', 'd8', castEvent(9).id, 'd9']);
    expect(events[3]).toMatchObject({ kind: 'cast', did: { v: 1, s: 14, lies: [1] } });
    const [sum] = await db.folded();
    expect(sum!.log.tally).toMatchObject({ casts: 2, byHand: 0, takes: 1, landed: 1 });
    expect(sum!.log.visits).toMatchObject([{ runName: 'Überhang', casts: 2, landed: 1 }]);
    expect(sum!.log.fish).toMatchObject([{ take: { id: 'd8' }, fly: { name: RIG.fly.name } }]);
    expect(sum!.log.notes).toEqual(['char, fresh']);
    expect(db.status().damaged).toEqual([]);
  });

  it('can be corrected from then on', async () => {
    const db = open();
    const [, , , cast] = await db.events('o3');
    const scribe = { id: () => 'new', now: 20 };
    await db.commit(append('o3', [takenBack(cast!.id, scribe)]));
    expect((await db.folded())[0]!.log.tally).toMatchObject({ casts: 1 });
  });
});

describe.each([
  ['sealed', (v: string) => v],
  ['its seal lost', (v: string) => v.slice(8)],
])('what fish showed, from when only how far up they come was kept, %s', (_, turned) => {
  const old = JSON.parse(file('store-4.json')) as Record<string, string>;
  const open = () =>
    memoryDatabase(storageWith(Object.fromEntries(Object.entries(old).map(([k, v]) => [k, turned(v)]))));
  const passed = { of: 'steelhead', up: [90, 30, 0, 0, 0, 0, 0, 0], aside: [], across: [], headOn: [] };

  it('stays, of casts, of corrected ones, and of what counts in answers', async () => {
    const db = open();
    const events = await db.events('o4');
    expect(events.map((e) => e.id)).toEqual(['f1', 'f2', 'f3', 'f4', 'f5', 'f6']);
    expect(events[2]).toMatchObject({ did: { w: 120, kind: 'seam', passed } });
    expect(events[2]).not.toHaveProperty('did.rise');
    expect(events[5]).toMatchObject({ to: { did: { passed } } });
    expect((await db.folded())[0]!.log.passings).toMatchObject([{ casts: 2, takes: [{ up: passed.up, aside: [] }] }]);
    const [settings] = await db.all('settings');
    expect(settings).toMatchObject({ school: 'near the bed', ownFish: { steelhead: { up: 1.25 } } });
    expect(settings).not.toHaveProperty('comesUp');
    expect(db.status().damaged).toEqual([]);
  });
});

const NOW = Date.UTC(2026, 10, 1);

describe('a backup of the first version', () => {
  it('is read, imported, and written again in this one', async () => {
    const backup = readBackup(file('backup-1.json'), NOW).backup;
    const db = memoryDatabase(memoryStorage());
    await importBackup(db, sourceOf(backup), 'replace');
    const again = await makeBackup(db, 0);
    expect(again.version).toBe(2);
    expect(again.logs[0]!.versions).toEqual(EVENT_VERSIONS);
    expect(again.logs[0]!.events.filter((e) => e.kind === 'cast').map((e) => e.plan.outM)).toEqual([11, 12]);
    expect(readBackup(JSON.stringify(again), NOW).backup.logs).toEqual(again.logs);
  });
});

describe('versions', () => {
  it('refuse what a newer program wrote, and say so', async () => {
    const newer = { versions: { ...EVENT_VERSIONS, event: EVENT_VERSIONS.event + 1 }, events: [castEvent(1)] };
    const db = memoryDatabase(storageWith({ 'log/o/00000': seal(JSON.stringify(newer)) }));
    expect(await db.events('o')).toEqual([]);
    expect(db.status().damaged[0]!.why).toContain('newer version of the program');
    expect(() => migrate('reading', versionOf('reading') + 1, {})).toThrow('newer version');
    expect(() => migrate('reading', 0, {})).toThrow('is none that there was');
    expect(() => migrate('reading', 1.5, {})).toThrow('is none that there was');
  });

  it('take the rig inside an event through the steps of rigs, from the version it was written in', () => {
    const now = versionOf('rig');
    const rig = (v: number) => migrateEvent({ ...EVENT_VERSIONS, rig: v }, { kind: 'rig', set: { ...RIG } });
    const steps = MIGRATIONS.rig as ((o: Record<string, unknown>) => Record<string, unknown>)[];
    steps.push((r) => ({ ...r, upgraded: true }));
    try {
      expect(rig(now)).toMatchObject({ set: { upgraded: true } });
      expect(rig(now + 1)).not.toHaveProperty('set.upgraded');
    } finally {
      steps.pop();
    }
  });

  it('never trust a sum that was folded by other rules, or before the last event', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    await db.commit(append('o', [castEvent(1), castEvent(2)]));
    await db.folded();
    const lie = (change: object) => {
      const head = unseal(storage.entries.get('loghead/o')!).value as { folded: { value: { tally: object } } };
      const folded = { ...head.folded, value: { ...head.folded.value, tally: { casts: 999 } }, ...change };
      storage.entries.set('loghead/o', seal(JSON.stringify({ ...head, folded })));
      storage.entries.delete('sums');
      return memoryDatabase(storage).folded();
    };
    expect((await lie({}))[0]!.log.tally.casts).toBe(999); // sealed and current: believed
    expect((await lie({ v: FOLD_VERSION - 1 }))[0]!.log.tally.casts).toBe(2);
    expect((await lie({ count: 1 }))[0]!.log.tally.casts).toBe(2);
  });

  it('nor the sums of all outings, and with them only what has changed since is read', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    for (const o of ['a', 'b', 'c']) await db.commit(append(o, [castEvent(1), castEvent(2)]));
    await db.folded();
    const casts = async () =>
      Object.fromEntries((await memoryDatabase(storage).folded()).map((f) => [f.outingId, f.log.tally.casts]));
    interface Sums {
      v: number;
      sums: { outingId: string; log: { tally: { casts: number } } }[];
    }
    const good = storage.entries.get('sums')!;
    const lie = (change: (s: Sums) => void) => {
      const value = unseal(good).value as Sums;
      value.sums.forEach((s) => (s.log.tally.casts = 999));
      change(value);
      storage.entries.set('sums', seal(JSON.stringify(value)));
    };
    lie(() => undefined);
    expect(await casts()).toEqual({ a: 999, b: 999, c: 999 }); // sealed and current: believed
    await memoryDatabase(storage).commit(append('b', [castEvent(3)]));
    expect(await casts()).toEqual({ a: 999, b: 3, c: 999 });
    await memoryDatabase(storage).commit(remove('outing', 'c'));
    expect(await casts()).toEqual({ a: 999, b: 3 });
    lie((s) => s.v--);
    expect(await casts()).toEqual({ a: 2, b: 3 });
    storage.entries.set('sums', good.replace('"casts":2', '"casts":7'));
    expect(await casts()).toEqual({ a: 2, b: 3 });
    storage.entries.set('sums', '{"v":');
    storage.entries.set('stale', '{"v":');
    expect(await casts()).toEqual({ a: 2, b: 3 });
  });

  it('are written anew once many outings have changed; what changes meanwhile stays to be read', async () => {
    const storage = memoryStorage();
    const db = memoryDatabase(storage);
    await db.folded();
    for (let o = 0; o < 51; o++) await db.commit(append(`o${o}`, [castEvent(1)]));
    expect(JSON.parse(storage.entries.get('stale')!)).toHaveLength(51);
    const getMany = storage.getMany;
    let once = true;
    storage.getMany = async (keys) => {
      const read = await getMany(keys);
      if (once && keys.some((k) => k.startsWith('loghead/'))) {
        once = false; // another tab, between the reading and the keeping
        await memoryDatabase(storage).commit(append('o7', [castEvent(2)]));
      }
      return read;
    };
    await db.folded();
    expect(once).toBe(false);
    expect(JSON.parse(storage.entries.get('stale')!)).toEqual(['o7']);
    const all = await memoryDatabase(storage).folded();
    expect(all).toHaveLength(51);
    expect(all.find((f) => f.outingId === 'o7')!.count).toBe(2);
  });

  it('stand with every list that is written', async () => {
    const storage = memoryStorage();
    await memoryDatabase(storage).commit(append('o', [castEvent(1)]));
    const { value } = unseal(storage.entries.get('log/o/00000')!);
    expect(value).toMatchObject({ versions: EVENT_VERSIONS, events: [{ id: 'e1' } as Partial<LogEvent>] });
  });
});
