import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { forgetAnswers } from '@/store/answers';
import type { Offer } from '@/store/files';
import { forgetHeard } from '@/store/gauge';
import { useToast } from '@/ui';
import { filesWorker, readFile } from '@/workers/files';
import { pickFile } from '../shared/files';
import { leaveEmpty, useLoadDemo } from '../shared/useDemo';
import { type ToSend, useExport } from '../shared/useExport';
import { saidOf } from '@/words/said';

/** What is under way: in words, and its share where that is known. */
interface Busy {
  readonly what: string;
  readonly stop?: () => void;
}

/** Everything out as a file, and in again; what is under way, refused or waiting for a decision. */
export function useFiles() {
  const client = useQueryClient();
  const toast = useToast();
  const loadDemo = useLoadDemo();
  const { everything, csv, toSend, send } = useExport();
  const [ready, setReady] = useState<ToSend | null>(null);
  const [pending, setPending] = useState<(Offer & { readonly name: string }) | null>(null);
  const [refused, setRefused] = useState<{ readonly title: string; readonly why: string } | null>(null);
  const [leftOut, setLeftOut] = useState<string | null>(null);
  const [busy, setBusy] = useState<Busy | null>(null);

  /** Says what is under way, and what went wrong with it. */
  const working = async (what: string, failed: string, work: () => Promise<void>) => {
    setBusy({ what });
    setRefused(null);
    try {
      await work();
    } catch (error) {
      setRefused({ title: failed, why: `${saidOf(error).replace(/\.$/, '')}.` });
    } finally {
      setBusy(null);
    }
  };
  const changedBy = async (said: string) => {
    await client.invalidateQueries({ queryKey: ['local'] });
    toast(
      said,
      () =>
        void working('Undoing…', 'Couldn’t undo', async () => {
          await filesWorker().undo();
          await client.invalidateQueries({ queryKey: ['local'] });
        }),
    );
  };
  const choose = async () => {
    const file = await pickFile('.json,.gz,.txt,application/json');
    if (!file) return;
    const control = new AbortController();
    await working('Reading the file…', `${file.name} couldn’t be imported`, async () => {
      const tell = (share: number) =>
        setBusy({ what: `Reading the file: ${Math.round(100 * share)} %`, stop: () => control.abort() });
      tell(0);
      const offer = await readFile(file, { signal: control.signal, onShare: tell });
      if (offer) setPending({ ...offer, name: file.name });
    });
  };
  return {
    busy,
    refused,
    pending,
    forget: () => setPending(null),
    leftOut,
    ready,
    forgetReady: () => setReady(null),
    prepare: () =>
      working('Collecting your data…', 'Couldn’t make the file', async () => {
        const made = await toSend();
        if (!made) throw new RangeError('this device’s sheet takes no such file. Export everything instead');
        setReady(made);
      }),
    sendReady: () =>
      working('Handing the file over…', 'Couldn’t send the file', async () => {
        if (!ready || !(await send(ready))) return;
        setReady(null);
        setLeftOut(ready.leftOut);
      }),
    exportAll: () => working('Collecting your data…', 'Couldn’t export', async () => setLeftOut(await everything())),
    exportCsv: () => working('Writing the log…', 'Couldn’t export', csv),
    choose,
    bring: (mode: 'merge' | 'replace') =>
      working('Importing…', `${pending?.name ?? 'The file'} couldn’t be imported`, async () => {
        setPending(null);
        await filesWorker().bring(mode);
        await changedBy(mode === 'merge' ? 'Merged.' : 'Replaced.');
      }),
    clear: () =>
      working('Clearing…', 'Couldn’t clear', async () => {
        await Promise.all([forgetAnswers(), forgetHeard()]); // they name places; what takes the clearing back does without
        await filesWorker().clear();
        leaveEmpty();
        await changedBy('Everything on this device was cleared.');
      }),
    demo: () => working('Loading the demo…', 'The demo was not loaded', loadDemo),
  };
}
