import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import type { DateOrder } from '@/formats/sheet/terms';
import type { Matched } from '@/formats/sheet/fields';
import { useSession, useSettings } from '@/store/hooks';
import type { SheetChoices, SheetOffer, SheetPreview } from '@/store/sheets';
import { useToast } from '@/ui';
import { filesWorker } from '@/workers/files';
import { pickFile } from '../shared/files';
import { saidOf } from '@/words/said';

/** Casts an hour where a sheet says only hours: one in a minute, less walking, changing and playing fish (assumed). */
const CASTS_AN_HOUR = 40;
/** While one still types nothing is read. */
const PAUSE_MS = 250;

interface Open {
  readonly name: string;
  readonly offer: SheetOffer;
  readonly columns: readonly Matched[];
  readonly order: DateOrder;
  readonly mended: ReadonlyMap<string, string>;
  readonly waters: Readonly<Record<string, string>>;
  readonly waterId: string | null;
  readonly castsAnHour: number | null;
}

/** A spreadsheet from its file to outings: chosen, matched, looked at, mended, brought in. */
export function useSheet() {
  const client = useQueryClient();
  const toast = useToast();
  const [settings, setSettings] = useSettings();
  const [session] = useSession();
  const [open, setOpen] = useState<Open | null>(null);
  const [preview, setPreview] = useState<SheetPreview | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);

  const working = async <T>(what: string, work: () => Promise<T>): Promise<T | null> => {
    setBusy(what);
    setProblem(null);
    try {
      return await work();
    } catch (error) {
      setProblem(saidOf(error));
      return null;
    } finally {
      setBusy(null);
    }
  };

  const choices = useMemo<SheetChoices | null>(() => {
    const waterId = open?.waterId ?? session?.waterId;
    if (!open || !waterId) return null;
    const { columns, order, waters, castsAnHour } = open;
    return { columns, order, waters, castsAnHour, waterId, mended: [...open.mended] };
  }, [open, session]);

  useEffect(() => {
    if (!choices) return;
    let current = true;
    const timer = setTimeout(() => {
      filesWorker()
        .previewSheet(choices)
        .then(
          (p) => current && setPreview(p),
          (error: Error) => current && setProblem(saidOf(error)),
        );
    }, PAUSE_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [choices]);

  const choose = async () => {
    const file = await pickFile('.csv,.tsv,.txt,text/csv,text/plain');
    if (!file) return;
    setPreview(null);
    const offer = await working('Reading the sheet…', () =>
      filesWorker().readSheet(file, settings.units, settings.sheetColumns ?? {}),
    );
    setOpen(
      offer && {
        ...{ name: file.name, offer, columns: offer.columns, order: offer.order, mended: new Map<string, string>() },
        ...{ waters: {}, waterId: null, castsAnHour: CASTS_AN_HOUR },
      },
    );
  };

  /** Brings it in, keeps the matching for the next time; true when it is done. */
  const bring = async (): Promise<boolean> => {
    if (!choices || !open) return false;
    const done = await working('Importing…', async () => {
      await filesWorker().bringSheet(choices);
      await client.invalidateQueries({ queryKey: ['local'] });
      return true;
    });
    if (!done) return false;
    const kept = Object.fromEntries(open.offer.headings.map((h, i) => [h.slice(0, 200), open.columns[i]!]));
    setSettings({ sheetColumns: { ...settings.sheetColumns, ...kept } });
    toast(
      'Spreadsheet imported.',
      () =>
        void working('Undoing…', async () => {
          await filesWorker().undo();
          await client.invalidateQueries({ queryKey: ['local'] });
        }),
    );
    return true;
  };

  return {
    open,
    change: (part: Partial<Open>) => setOpen((o) => o && { ...o, ...part }),
    waterId: choices?.waterId ?? null,
    preview,
    busy,
    problem,
    choose,
    bring,
  };
}
export type OpenSheet = Open;
