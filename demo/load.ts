import { checkSeason } from '@/core/rules';
import { NO_RIG, type RigChoice } from '@/core/tackle';
import { EMPTY_SESSION, type RecordKind, type Records, type Session } from '@/store/records';
import { type Change, remove } from '@/store/changes';
import type { Database, Restored } from '@/store/database';
import type { Envelope } from '@/store/envelopes';
import { versionOf } from '@/store/migrations';

import { makeHistory } from './history';
import { KIT } from './kit';
import { RUNS, WATERS } from './waters';

/** Both doors to the demo are one: apart, what they share would weigh on the first screen. */
export { isDemoWater, walkerAt } from './walker';

const RIG: RigChoice = {
  ...NO_RIG,
  rodId: 'rod-7',
  headId: 'head-short',
  runningId: 'running-float',
  tipId: 'tip-fast',
  leaderId: 'leader-short',
  flyId: 'fly-04',
};
/** Rods that stand ready: a head of two densities with a slim fly; two soft hackles behind a sinking leader, the larger above. */
const DENSE: RigChoice = {
  ...NO_RIG,
  rodId: 'rod-switch',
  headId: 'head-two',
  runningId: 'running-mono',
  leaderId: 'leader-short',
  flyId: 'fly-10',
};
const PAIR: RigChoice = {
  ...NO_RIG,
  rodId: 'rod-6',
  headId: 'head-taper-6',
  tipId: 'tip-leader',
  leaderId: 'leader-pair',
  flyId: 'fly-23',
  droppers: [{ flyId: 'fly-24', way: 'ring', aboveM: 1.05, armM: 0.18 }],
};

/** Where the demo opens: a water in season on the day. */
function sessionOn(now: number): Session {
  const monthDay = new Date(now).toISOString().slice(5, 10);
  const open = WATERS.find((w) => checkSeason(w.rules, monthDay).length === 0) ?? WATERS[0]!;
  const run = RUNS.find((r) => r.waterId === open.id)!;
  return { ...EMPTY_SESSION, waterId: open.id, runId: run.id, rig: RIG, rigged: [DENSE, PAIR], tour: 0 };
}

/** What the demo has to add to what is stored: nothing takes the place of what the user has. */
async function missing(db: Database, now: number): Promise<Restored> {
  const history = makeHistory(now);
  const of = async <K extends RecordKind>(kind: K, list: readonly Records[K][]) => {
    const ids = new Set((await db.all(kind)).map((r) => r.id));
    const fresh = list.filter((r) => !ids.has(r.id));
    return { kind, envelopes: fresh.map((data): Envelope => ({ v: versionOf(kind), savedAt: now, data })) };
  };
  const outings = new Set((await db.all('outing')).map((o) => o.id));
  const [session] = await db.all('session');
  const records = [
    await of('water', WATERS),
    await of('run', RUNS),
    await of('kit', KIT),
    await of('reading', history.readings),
    await of('outing', history.outings),
  ];
  const start = {
    kind: 'session' as const,
    envelopes: [{ v: versionOf('session'), savedAt: now, data: sessionOn(now) }],
  };
  return {
    records: session?.waterId ? records : [...records, start],
    async *logs() {
      yield* history.logs.filter((l) => !outings.has(l.outingId));
    },
  };
}

/**
 * Puts the demo scenario beside what is stored, in one transaction.
 *
 * @returns what takes it away again
 */
export async function loadDemo(db: Database, now: number): Promise<Change[]> {
  let added: Change[] = [];
  await db.restore(async () => {
    const all = await missing(db, now);
    added = all.records.flatMap(({ kind, envelopes }) => envelopes.map((e) => remove(kind, e.data.id)));
    return all;
  }, 'merge');
  return added;
}
