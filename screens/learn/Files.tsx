import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import type { Backup, ImportSummary } from '@/store/backup';
import { useRecords } from '@/store/hooks';
import { openDatabase } from '@/store/open';
import { Block, Button, Fact, Hint, Problem, Sheet, space, Text, useToast } from '@/ui';
import { useLoadDemo } from '../shared/useDemo';
import { dayOf } from '../shared/time';
import { download, pickFile } from '../shared/files';

interface Pending {
  readonly name: string;
  readonly backup: Backup;
  readonly summary: ImportSummary;
}

/** Everything out as a file, and in again. */
export function Files() {
  const client = useQueryClient();
  const toast = useToast();
  const loadDemo = useLoadDemo();
  const { data: waters } = useRecords('water');
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

  return (
    <Block title="Files">
      <Button
        label="Export everything"
        icon="out"
        hint="One JSON file, to keep or to move"
        onPress={() => void exportAll()}
      />
      <Button
        label="Export the log as CSV"
        icon="out"
        hint="One row an event, for a spreadsheet"
        onPress={() => void exportCsv()}
      />
      <Button
        label="Import a backup"
        icon="in"
        hint="Shows what it would do before it does it"
        onPress={() => void choose()}
      />
      {waters?.length === 0 ? null : (
        <Button label="Load the demo beside it" onPress={() => void working('Loading the demo…', loadDemo)} />
      )}
      <Button
        label="Clear this device"
        hint="Removes everything stored here; can be undone for a moment"
        onPress={() => void clear()}
      />
      {busy ? <Text role="status">{busy}</Text> : null}
      {refused ? (
        <Problem title={`${refused.name} was not imported`}>{`${refused.why} Nothing here was changed.`}</Problem>
      ) : null}
      {pending ? (
        <Sheet title={`Import ${pending.name}`} open onClose={() => setPending(null)}>
          <ImportFacts summary={pending.summary} />
          <View style={{ gap: space.s }}>
            <Button
              label="Merge"
              kind="primary"
              hint="Adds what is new; of two versions the later saved stays"
              onPress={() => void bring('merge')}
            />
            <Button
              label="Replace"
              hint={`Puts the file in place of everything; removes ${pending.summary.onlyHere} records that are only here`}
              onPress={() => void bring('replace')}
            />
          </View>
        </Sheet>
      ) : null}
      <Hint>
        Your data live in this browser only. A browser may clear them when the device runs out of room: export now and
        then.
      </Hint>
    </Block>
  );
}

function ImportFacts({ summary }: { summary: ImportSummary }) {
  const rows = Object.entries(summary.kinds).filter(([, k]) => k.added + k.changed + k.kept > 0);
  return (
    <View style={{ gap: space.xs }}>
      {rows.map(([kind, k]) => (
        <Fact key={kind} name={`${kind}: new, changed, kept as here`} value={`${k.added}, ${k.changed}, ${k.kept}`} />
      ))}
      <Fact name="log entries: new, already here" value={`${summary.events.added}, ${summary.events.kept}`} />
    </View>
  );
}
