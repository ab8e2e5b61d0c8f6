import { useState } from 'react';
import type { KitItem } from '@/core/tackle';
import { put, remove } from '@/store/changes';
import { newId, useCommit } from '@/store/hooks';
import { Block, Button, Problem, useToast } from '@/ui';
import { bytesOf, download, pickFile } from '../shared/files';
import { dayOf } from '../shared/time';
import { several } from '@/words/counting';
import { saidOf } from '@/words/said';

const LARGEST = 2e6;

/** The bag as a spreadsheet, out and in. */
export function BagFiles({ kit }: { kit: readonly KitItem[] }) {
  const commit = useCommit();
  const toast = useToast();
  const [problem, setProblem] = useState<string | null>(null);
  const out = async () => {
    const { writeKit } = await import('@/store/parsers');
    download(`wanderung-bag-${dayOf(Date.now())}.csv`, 'text/csv', writeKit(kit));
  };
  const bring = async () => {
    const file = await pickFile('.csv,text/csv');
    if (!file) return;
    setProblem(null);
    try {
      const { readKit, decodeText } = await import('@/store/parsers');
      const items = readKit(decodeText(await bytesOf(file, LARGEST)), newId);
      const before = new Map(kit.map((k) => [k.id, k]));
      await commit(...items.map((item) => put('kit', item)));
      toast(`${several(items.length, 'item')} imported from ${file.name}.`, () => {
        const back = items.map((item) => {
          const was = before.get(item.id);
          return was ? put('kit', was) : remove('kit', item.id);
        });
        void commit(...back);
      });
    } catch (error) {
      setProblem(`${file.name}: ${saidOf(error).replace(/\.$/, '')}. No data changed.`);
    }
  };
  return (
    <Block title="As a spreadsheet">
      {problem ? <Problem title="Couldn’t import the file">{problem}</Problem> : null}
      {kit.length > 0 ? <Button label="Export the bag as CSV" icon="out" onPress={() => void out()} /> : null}
      <Button
        label="Import a bag from CSV"
        icon="in"
        hint="Columns as in the export; a row without an id adds an item"
        onPress={() => void bring()}
      />
    </Block>
  );
}
