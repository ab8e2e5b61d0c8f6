import type { Database, Envelope } from '@/store/database';
import { versionOf } from '@/store/migrations';
import { DEFAULT_SETTINGS, EMPTY_SESSION, type RecordKind, type Records, type Session } from '@/store/records';
import { makeHistory } from './history';
import { KIT } from './kit';
import { RUNS, WATERS } from './waters';

const SESSION: Session = {
  ...EMPTY_SESSION,
  waterId: 'sorrelvane',
  runId: 'lantern-riffle',
  rig: {
    rodId: 'rod-7',
    headId: 'head-short',
    tipId: 'tip-fast',
    leaderId: 'leader-short',
    flyId: 'fly-04',
    dropperId: '',
    lineClean: true,
  },
};

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
      kind('session', [SESSION]),
      kind('settings', settings.length ? settings : [DEFAULT_SETTINGS]),
    ],
    [...history.logs],
    'merge',
  );
}
