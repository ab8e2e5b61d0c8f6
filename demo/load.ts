import { checkSeason } from '@/core/rules';
import type { RigChoice } from '@/core/tackle';
import { DEFAULT_SETTINGS, EMPTY_SESSION, type RecordKind, type Records, type Session } from '@/store/records';
import type { Database, Envelope } from '@/store/database';
import { versionOf } from '@/store/migrations';

import { makeHistory } from './history';
import { KIT } from './kit';
import { RUNS, WATERS } from './waters';

const RIG: RigChoice = {
  rodId: 'rod-7',
  headId: 'head-short',
  tipId: 'tip-fast',
  leaderId: 'leader-short',
  flyId: 'fly-04',
  dropperId: '',
  lineClean: true,
};

/** Where the demo opens: a water in season on the day. */
function sessionOn(now: number): Session {
  const monthDay = new Date(now).toISOString().slice(5, 10);
  const open = WATERS.find((w) => checkSeason(w.rules, monthDay).length === 0) ?? WATERS[0]!;
  const run = RUNS.find((r) => r.waterId === open.id)!;
  return { ...EMPTY_SESSION, waterId: open.id, runId: run.id, rig: RIG };
}

/** Puts the whole demo scenario beside what is stored, in one transaction. */
export async function loadDemo(db: Database, now: number): Promise<void> {
  const history = makeHistory(now);
  const kind = <K extends RecordKind>(k: K, list: readonly Records[K][]) => ({
    kind: k,
    envelopes: list.map((data): Envelope => ({ v: versionOf(k), savedAt: now, data })),
  });
  const settings = await db.all('settings');
  await db.restore(
    [
      kind('water', WATERS),
      kind('run', RUNS),
      kind('kit', KIT),
      kind('reading', history.readings),
      kind('outing', history.outings),
      kind('session', [sessionOn(now)]),
      kind('settings', settings.length ? settings : [DEFAULT_SETTINGS]),
    ],
    [...history.logs],
    'merge',
  );
}
