import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Backup, ImportSummary } from '@/store/backup';
import { openDatabase } from '@/store/open';
import { useToast } from '@/ui';
import { download, pickFile } from '../shared/files';
import { dayOf } from '../shared/time';
import { useLoadDemo } from '../shared/useDemo';

interface Pending {
  readonly name: string;
  readonly backup: Backup;
  readonly summary: ImportSummary;
}

/** Everything out as a file, and in again; what is under way, refused or waiting for a decision. */
export function useFiles() {
  const client = useQueryClient();
  const toast = useToast();
  const loadDemo = useLoadDemo();
  const [pending, setPending] = useState<Pending | null>(null);
  const [refused, setRefused] = useState<{ name: string; why: string } | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const { db } = openDatabase();

  const working = async (what: string, work: () => Promise<void>) => {
    setBusy(what);
    try {
      await work();
    } finally {
      setBusy(null);
    }
  };
  const exportAll = () =>
    working('Gathering everything…', async () => {
      const { makeBackup } = await import('@/store/parsers');
      const backup = await makeBackup(db, Date.now());
      download(`wanderung-${dayOf(Date.now())}.json`, 'application/json', JSON.stringify(backup, null, 1));
    });
  const exportCsv = () =>
    working('Writing the log…', async () => {
      const { logToCsv } = await import('@/store/parsers');
      const [outings, runs, w] = [await db.all('outing'), await db.all('run'), await db.all('water')];
      const runNames = Object.fromEntries(runs.map((r) => [r.id, r.name]));
      const logs = [];
      for (const o of outings.sort((a, b) => a.startedAt - b.startedAt))
        logs.push({
          outingId: o.id,
          waterName: w.find((x) => x.id === o.waterId)?.name ?? '',
          runNames,
          events: await db.events(o.id),
        });
      download(`wanderung-log-${dayOf(Date.now())}.csv`, 'text/csv', logToCsv(logs));
    });
  const choose = async () => {
    const file = await pickFile('.json,application/json');
    if (!file) return;
    await working('Reading the file…', async () => {
      const { readBackup, planImport } = await import('@/store/parsers');
      try {
        const backup = readBackup(file.text);
        setRefused(null);
        setPending({ name: file.name, backup, summary: (await planImport(db, backup)).summary });
      } catch (error) {
        setRefused({ name: file.name, why: (error as Error).message });
      }
    });
  };
  const bring = (mode: 'merge' | 'replace') =>
    working('Importing…', async () => {
      if (!pending) return;
      const { importBackup, makeBackup } = await import('@/store/parsers');
      const before = await makeBackup(db, Date.now());
      await importBackup(db, pending.backup, mode);
      setPending(null);
      await client.invalidateQueries({ queryKey: ['local'] });
      toast(mode === 'merge' ? 'Merged.' : 'Replaced.', () => {
        void importBackup(db, before, 'replace').then(() => client.invalidateQueries({ queryKey: ['local'] }));
      });
    });
  const clear = () =>
    working('Clearing…', async () => {
      const { importBackup, makeBackup } = await import('@/store/parsers');
      const before = await makeBackup(db, Date.now());
      await db.clear();
      await client.invalidateQueries({ queryKey: ['local'] });
      toast('Everything on this device was cleared.', () => {
        void importBackup(db, before, 'replace').then(() => client.invalidateQueries({ queryKey: ['local'] }));
      });
    });
  return {
    busy,
    refused,
    pending,
    forget: () => setPending(null),
    exportAll,
    exportCsv,
    choose,
    bring,
    clear,
    demo: () => working('Loading the demo…', loadDemo),
  };
}
