import { useState } from 'react';
import { View } from 'react-native';
import { DATE_ORDERS } from '@/formats/sheet/terms';
import { MEASURED, type Property } from '@/core/gauge/feed';
import type { Column } from '@/store/gaugeFiles';
import { Block, Button, Choice, Hint, Loading, PickRow, plainOptions, Problem, Sheet, Stack, Text } from '@/ui';
import { dayText } from '../shared/time';
import type { useGaugeFile } from './useGaugeFile';
import { feedNote } from '@/words/gauge';
import { capital } from '@/words/capital';
import { several } from '@/words/counting';

const WORDS: Readonly<Record<Property, string>> = {
  stage: 'level',
  discharge: 'flow',
  temperature: 'water temperature',
  rainfall: 'rain',
};
/** As a person chooses units; the sums are the file format's. */
const UNITS: Readonly<Record<Property, readonly string[]>> = {
  stage: ['m', 'cm', 'mm', 'ft'],
  discharge: ['m³/s', 'l/s', 'cfs'],
  temperature: ['°C', '°F'],
  rainfall: ['mm', 'in'],
};
const HOLDS = [
  { value: 'nothing', label: 'not used' },
  { value: 'date', label: 'date' },
  { value: 'time of day', label: 'time of day' },
  ...MEASURED.map((p) => ({ value: p as string, label: WORDS[p] })),
];

const isMeasured = (c: Column): c is Extract<Column, { unit: string }> => 'unit' in c;
const columnAs = (as: string): Column =>
  (MEASURED as readonly string[]).includes(as)
    ? { as: as as Property, unit: UNITS[as as Property][0]! }
    : { as: as as 'date' | 'time of day' | 'nothing' };
const wordsOf = (c: Column): string =>
  isMeasured(c) ? `${WORDS[c.as]}, ${c.unit}` : c.as === 'nothing' ? 'not used' : c.as;

interface Props {
  file: ReturnType<typeof useGaugeFile>;
  onKeep: () => void;
}

/** What stands in a gauge's file, column by column, and what it comes to. */
export function GaugeFileSheet({ file, onKeep }: Props) {
  const { open, preview, problem, busy } = file;
  const [at, setAt] = useState<number | null>(null);
  if (busy) return <Loading what="Reading the file…" />;
  if (!open) return problem ? <Problem title="Couldn’t read the file">{problem}</Problem> : null;
  const { table, reading, name } = open;
  const columns = reading?.columns ?? [];
  const set = (to: number, next: Column) =>
    file.read({
      // Each is one column.
      columns: columns.map((c, i) =>
        i === to ? next : next.as !== 'nothing' && c.as === next.as ? columnAs('nothing') : c,
      ),
    });
  const column = at === null ? undefined : columns[at];
  return (
    <Sheet title={name} open onClose={file.close}>
      {problem ? <Problem title="Not yet">{`${capital(problem)}.`}</Problem> : null}
      {preview ? (
        <Stack gap="xs">
          <Text size="heading">{`${several(preview.values.length, 'value')}, ${dayText(preview.fromAt)} to ${dayText(preview.toAt)}`}</Text>
          {preview.said.map((s) => (
            <Hint key={s.code}>{`${capital(feedNote(s))}.`}</Hint>
          ))}
        </Stack>
      ) : null}
      <Button label="Use as gauge" kind="primary" disabled={!preview} onPress={onKeep} />
      {table && reading ? (
        <>
          <Block title="Columns">
            <Stack role="list" aria-label="Columns" gap="s">
              {table.headings.map((heading, i) => (
                <View key={i} role="listitem">
                  <PickRow
                    label={`“${heading}”: ${table.samples[i]!.join(' · ').slice(0, 60) || 'empty'}`}
                    value={capital(wordsOf(columns[i]!))}
                    onPress={() => setAt(i)}
                  />
                </View>
              ))}
            </Stack>
          </Block>
          <Choice
            label="First in the dates"
            options={plainOptions(DATE_ORDERS)}
            value={reading.order}
            onChange={(order) => file.read({ order })}
          />
          <Choice
            label="Times without a zone"
            options={[
              { value: 'local', label: 'by your clock' },
              { value: 'UTC', label: 'UTC' },
            ]}
            value={reading.clock}
            onChange={(clock) => file.read({ clock })}
          />
        </>
      ) : null}
      {at !== null && column && table ? (
        <Sheet title={`“${table.headings[at]}” is`} open onClose={() => setAt(null)}>
          <Choice label="Column" options={HOLDS} value={column.as} onChange={(as) => set(at, columnAs(as))} />
          {isMeasured(column) ? (
            <Choice
              label="In"
              options={plainOptions(UNITS[column.as])}
              value={column.unit}
              onChange={(unit) => set(at, { ...column, unit })}
            />
          ) : null}
          <Button label="Done" kind="primary" onPress={() => setAt(null)} />
        </Sheet>
      ) : null}
    </Sheet>
  );
}
