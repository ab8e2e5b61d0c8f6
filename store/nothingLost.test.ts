// What was entered is there, once, whatever fails in between: random sequences over up to three tabs.
import fc from 'fast-check';
import { append, patch, put } from './changes';
import type { Database } from './database';
import { type Fault, faulty } from './faulty.testing';
import { createLasting, type LastingOptions } from './lasting';
import { memoryCopy, memoryDatabase, memoryFiles, memoryLock, memorySpare, memoryStorage } from './memory';
import { DEFAULT_SETTINGS, EMPTY_SESSION } from './records';
import { note, outing } from './records.testing';
import { reopening, type Storage } from './storage';

const TABS = 3;
const HEIGHTS = [1.6, 1.7, 1.8, 1.9];

interface Model {
  /** Events that were entered, by outing, in the order in which each tab entered them; lost ones may be missing. */
  readonly entered: { outing: string; id: string; tab: number; mayBeLost: boolean }[];
  heightM: number | null;
}
interface Tab {
  db: Database & { runLater(): void };
  page: string;
  store: ReturnType<typeof faulty>;
}
class World {
  readonly storage = memoryStorage();
  readonly spare = memorySpare();
  readonly lock = memoryLock();
  readonly tabs: Tab[] = [];
  readonly files = memoryFiles();
  readonly mending = memoryLock();
  readonly mark = { serial: 0, get: () => this.mark.serial, set: (n: number) => void (this.mark.serial = n) };
  lives = 0;
  mended = 0;
  pages = 0;
  torn = false;
  events = 0;
  constructor() {
    for (let i = 0; i < TABS; i++) this.tabs.push(this.page('none'));
  }
  /** What the browser does when it throws the store away: every connection to it is gone. */
  vanish(): void {
    this.storage.entries.clear();
    this.lives++;
  }
  private connect(store: Storage): Storage {
    const life = this.lives;
    const open = <T>(call: () => Promise<T>) =>
      life === this.lives ? call() : Promise.reject<T>(new Error('The database connection is closing.'));
    return {
      getItem: (k) => open(() => store.getItem(k)),
      getMany: (ks) => open(() => store.getMany(ks)),
      getAllKeys: () => open(() => store.getAllKeys()),
      setMany: (e) => open(() => store.setMany(e)),
      removeMany: (ks) => open(() => store.removeMany(ks)),
      clear: () => open(() => store.clear()),
    };
  }
  private lasting(store: Storage, held: LastingOptions['held']): Storage {
    const copy = memoryCopy(this.files, this.storage.entries);
    const lasting = createLasting(
      reopening(this.connect(store), async () => {
        const anew = this.connect(store);
        await lasting.mend(anew);
        return anew;
      }),
      {
        copy: async () => copy,
        hasCopy: async () => this.files.files.size > 0,
        mark: this.mark,
        held,
        alone: this.mending,
        onMended: ({ isWhole }) => {
          this.mended++;
          expect(isWhole).toBe(true);
        },
      },
    );
    return lasting.storage;
  }
  page(fault: Fault): Tab {
    const store = faulty(this.storage);
    store.fault = fault;
    const page = `p${this.pages++}`;
    const alive = async () => this.tabs.map((t) => t.page);
    const db: Tab['db'] = memoryDatabase(
      this.lasting(store, () => db.held()),
      { alone: this.lock, spare: this.spare, page, alive },
    );
    return { store, page, db };
  }
  /** What a new page would find. */
  fresh = () => memoryDatabase(this.lasting(this.storage, () => []));
}
type Command = fc.AsyncCommand<Model, World>;
const always = { check: () => true };

const enter = (tab: number, out: string, n: number): Command => ({
  ...always,
  toString: () => `tab ${tab} enters ${n} in ${out}`,
  async run(m, w) {
    const ids = Array.from({ length: n }, () => `e${w.events++}`);
    const { db } = w.tabs[tab]!;
    const outcome = await db.commit(
      append(
        out,
        ids.map((id) => note(id)),
        outing(out),
      ),
    );
    ids.forEach((id) => m.entered.push({ outing: out, id, tab, mayBeLost: false }));
    const seen = await (outcome === 'stored' ? w.fresh() : db).events(out);
    expect(seen.map((e) => e.id)).toEqual(expect.arrayContaining(ids));
  },
});
const start = (tab: number): Command => ({
  ...always,
  toString: () => `tab ${tab} starts an outing`,
  async run(m, w) {
    const out = `day${w.events}`;
    const id = `e${w.events++}`;
    await w.tabs[tab]!.db.commit(
      put('outing', outing(out)),
      append(out, [note(id)], outing(out)),
      patch('session', 'session', { outingId: out }, EMPTY_SESSION),
    );
    m.entered.push({ outing: out, id, tab, mayBeLost: false });
    if (w.torn) return; // only whole transactions can promise that
    // At no moment is there an outing without its log, or a session that points at nothing.
    const db = w.fresh();
    const stored = await db.all('outing');
    for (const o of stored) expect((await db.events(o.id)).length).toBeGreaterThan(0);
    const pointed = (await db.all('session'))[0]?.outingId;
    if (pointed) expect(stored.map((o) => o.id)).toContain(pointed);
  },
});
/** Only the first tab changes the height; another one changes the units: neither may undo the other. */
const set = (heightM: number): Command => ({
  ...always,
  toString: () => `height ${heightM}`,
  async run(m, w) {
    await w.tabs[0]!.db.commit(patch('settings', 'settings', { heightM }, DEFAULT_SETTINGS));
    m.heightM = heightM;
  },
});
const units = (): Command => ({
  ...always,
  toString: () => 'units',
  async run(_, w) {
    await w.tabs[1]!.db.commit(patch('settings', 'settings', { units: 'imperial' }, DEFAULT_SETTINGS));
  },
});
const both = (a: Command, b: Command): Command => ({
  ...always,
  toString: () => `${a} while ${b}`,
  run: async (m, w) => void (await Promise.all([a.run(m, w), b.run(m, w)])),
});
const fault = (tab: number, f: Fault): Command => ({
  ...always,
  toString: () => `tab ${tab}: ${JSON.stringify(f)}`,
  async run(_, w) {
    w.tabs[tab]!.store.fault = f;
    w.torn ||= f === 'torn';
  },
});
const retry = (tab: number): Command => ({
  ...always,
  toString: () => `tab ${tab} tries again`,
  run: async (_, w) => w.tabs[tab]!.db.retry(),
});
const reload = (tab: number): Command => ({
  ...always,
  toString: () => `tab ${tab} is reloaded`,
  async run(m, w) {
    const old = w.tabs[tab]!;
    if (!old.db.status().copied) {
      m.entered.forEach((e) => e.tab === tab && (e.mayBeLost = true));
      if (tab === 0) m.heightM = null;
    }
    w.tabs[tab] = w.page(old.store.fault);
    await w.tabs[tab]!.db.open();
  },
});
const sumUp = (tab: number): Command => ({
  ...always,
  toString: () => `tab ${tab} sums up`,
  run: async (_, w) => void (await w.tabs[tab]!.db.folded()),
});
const vanish = (markToo: boolean): Command => ({
  ...always,
  toString: () => `the browser throws the store away${markToo ? ', and what stands beside it' : ''}`,
  async run(_, w) {
    if (markToo) w.mark.serial = 0;
    w.vanish();
  },
});
const spare = (full: boolean): Command => ({
  ...always,
  toString: () => `the second place is ${full ? 'full' : 'free'}`,
  run: async (_, w) => void (w.spare.full = full),
});

const tab = fc.nat(TABS - 1);
const entering = fc.tuple(tab, fc.constantFrom('o1', 'o2'), fc.integer({ min: 1, max: 90 })).map((a) => enter(...a));
const faults = fc.constantFrom<Fault>('none', 'none', 'refuse', 'closed', 'blind', 'unheard', 'torn', 'slow', {
  fullAfter: 3000,
});
const commands = [
  entering,
  fc.tuple(entering, entering).map(([a, b]) => both(a, b)),
  tab.map(start),
  fc.constantFrom(...HEIGHTS).map(set),
  fc.constant(units()),
  fc.tuple(tab, faults).map((a) => fault(...a)),
  tab.map(retry),
  tab.map(reload),
  tab.map(sumUp),
  fc.boolean().map(spare),
  fc.boolean().map(vanish),
];

async function ends(cmds: Iterable<Command>): Promise<void> {
  const model: Model = { entered: [], heightM: null };
  const world = new World();
  await fc.asyncModelRun(() => ({ model, real: world }), cmds);
  // Everything works again: the faults go, and each page tries once more.
  world.spare.full = false;
  for (const t of world.tabs) t.store.fault = 'none';
  for (const t of world.tabs) await t.db.retry();
  for (const t of world.tabs) expect(t.db.status()).toMatchObject({ failing: null, waiting: 0, damaged: [] });
  const db = world.fresh();
  for (const name of new Set(model.entered.map((e) => e.outing))) {
    const stored = (await db.events(name)).map((e) => e.id);
    expect(new Set(stored).size).toBe(stored.length); // once
    const mine = model.entered.filter((e) => e.outing === name);
    for (const e of mine) if (!e.mayBeLost) expect(stored).toContain(e.id);
    expect(stored.filter((id) => !mine.some((e) => e.id === id))).toEqual([]);
    for (let t = 0; t < TABS; t++) {
      const own = mine.filter((e) => e.tab === t && stored.includes(e.id)).map((e) => e.id);
      expect(stored.filter((id) => own.includes(id))).toEqual(own); // in order
    }
    const folded = (await db.folded()).find((f) => f.outingId === name);
    // Half a transaction whose other half was lost with its page is none that a browser leaves.
    if (!world.torn || !mine.some((e) => e.mayBeLost)) expect(folded?.count ?? 0).toBe(stored.length);
    if (stored.length > 0) expect((await db.all('outing')).map((o) => o.id)).toContain(name);
  }
  if (model.heightM !== null) expect((await db.all('settings'))[0]?.heightM).toBe(model.heightM);
  expect(world.spare.entries.size).toBe(0);
}

describe('what was entered', () => {
  it('is there, once and in order, whatever fails between up to three tabs (model, random sequences)', async () => {
    await fc.assert(fc.asyncProperty(fc.commands(commands, { maxCommands: 35, size: 'max' }), ends), {
      seed: 26,
      numRuns: Number(process.env.FUZZ_RUNS ?? 60),
    });
  });
});
