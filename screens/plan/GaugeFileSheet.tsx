import { View } from 'react-native';
import { DATE_ORDERS } from '@/core/formats/sheet/terms';
import { MEASURED, type Property } from '@/core/gauge';
import { several } from '@/core/units';
import type { Column } from '@/store/gaugeFiles';
import { Button, Choice, Hint, Loading, plainOptions, Problem, Sheet, Stack, Text } from '@/ui';
import { dayText } from '../shared/time';
import type { useGaugeFile } from './useGaugeFile';

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

interface Props {
  file: ReturnType<typeof useGaugeFile>;
  onKeep: () => void;
}

/** What stands in a gauge's file, column by column, and what it comes to. */
export function GaugeFileSheet({ file, onKeep }: Props) {
  const { open, preview, problem, busy } = file;
  if (busy) return <Loading what="Reading the file…" />;
  if (!open) return problem ? <Problem title="The file was not read">{problem}</Problem> : null;
  const { table, reading, name } = open;
  const columns = reading?.columns ?? [];
  const set = (at: number, next: Column) =>
    file.read({
      // Each is one column.
      columns: columns.map((c, i) =>
        i === at ? next : next.as !== 'nothing' && c.as === next.as ? columnAs('nothing') : c,
      ),
    });
  return (
    <Sheet title={name} open onClose={file.close}>
      {problem ? <Problem title="Not yet">{`${problem[0]!.toUpperCase()}${problem.slice(1)}.`}</Problem> : null}
      {preview ? (
        <Stack gap="xs">
          <Text size="heading">{`${several(preview.values.length, 'value')}, ${dayText(preview.fromAt)} to ${dayText(preview.toAt)}`}</Text>
          {preview.said.map((s) => (
            <Hint key={s}>{`${s[0]!.toUpperCase()}${s.slice(1)}.`}</Hint>
          ))}
        </Stack>
      ) : null}
      {table && reading ? (
        <Stack role="list" aria-label="Columns" gap="l">
          {table.headings.map((heading, i) => {
            const column = columns[i]!;
            return (
              <View key={i} role="listitem">
                <Stack gap="xs">
                  <Choice
                    label={`“${heading}”: ${table.samples[i]!.join(' · ').slice(0, 60) || 'empty'}`}
                    options={HOLDS}
                    value={column.as}
                    onChange={(as) => set(i, columnAs(as))}
                  />
                  {isMeasured(column) ? (
                    <Choice
                      label={`${WORDS[column.as]} in`}
                      options={plainOptions(UNITS[column.as])}
                      value={column.unit}
                      onChange={(unit) => set(i, { ...column, unit })}
                    />
                  ) : null}
                </Stack>
              </View>
            );
          })}
          <Choice
            label="First in its dates"
            options={plainOptions(DATE_ORDERS)}
            value={reading.order}
            onChange={(order) => file.read({ order })}
          />
          <Choice
            label="Times without a zone are"
            options={[
              { value: 'local', label: 'by your clock' },
              { value: 'UTC', label: 'UTC' },
            ]}
            value={reading.clock}
            onChange={(clock) => file.read({ clock })}
          />
        </Stack>
      ) : null}
      <Button label="Take this as the gauge" kind="primary" disabled={!preview} onPress={onKeep} />
    </Sheet>
  );
}
