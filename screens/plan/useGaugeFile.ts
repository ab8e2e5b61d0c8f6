import { useEffect, useState } from 'react';
import type { GaugeOffer, GaugePreview, Reading } from '@/store/gaugeFiles';
import { filesWorker } from '@/workers/files';
import { pickFile } from '../shared/files';
import { saidOf } from '@/words/said';

interface Open {
  readonly name: string;
  readonly table: GaugeOffer['table'];
  readonly reading: Reading | null;
}

/** A gauge's file: chosen, its columns matched, looked at. */
export function useGaugeFile() {
  const [open, setOpen] = useState<Open | null>(null);
  const [preview, setPreview] = useState<GaugePreview | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  useEffect(() => {
    if (!open) return;
    let current = true;
    filesWorker()
      .previewGauge(open.reading)
      .then(
        (p) => {
          if (!current) return;
          setPreview(p);
          setProblem(null);
        },
        (error: Error) => {
          if (!current) return;
          setPreview(null);
          setProblem(saidOf(error));
        },
      );
    return () => {
      current = false;
    };
  }, [open]);

  return {
    open,
    preview,
    problem,
    busy,
    choose: async () => {
      const file = await pickFile('.csv,.tsv,.txt,.rdb,.xml,.wml,text/csv,text/plain,application/xml');
      if (!file) return;
      setBusy(true);
      setProblem(null);
      setPreview(null);
      try {
        const { table } = await filesWorker().openGauge(file);
        setOpen({ name: file.name, table, reading: table?.reading ?? null });
      } catch (error) {
        setOpen(null);
        setProblem(saidOf(error));
      } finally {
        setBusy(false);
      }
    },
    read: (change: Partial<Reading>) =>
      setOpen((o) => o && { ...o, reading: o.reading && { ...o.reading, ...change } }),
    /** Says why what was looked at cannot be kept. */
    refuse: setProblem,
    close: () => {
      setOpen(null);
      setPreview(null);
      setProblem(null);
    },
  };
}
