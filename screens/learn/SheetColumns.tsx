import { useState } from 'react';
import { View } from 'react-native';
import { entryOf, FIELD_NAMES, type Field, guessUnit, type Matched } from '@/formats/sheet/fields';
import { useSettings } from '@/store/hooks';
import { Block, Choice, Hint, PickRow, Sheet, Stack } from '@/ui';
import type { OpenSheet } from './useSheet';

const LEFT_OUT = 'left out';
const labelOf = ({ field, unit }: Matched): string =>
  field === null ? LEFT_OUT : `${entryOf(field).label}${unit ? `, ${unit}` : ''}`;

/** What each column is taken for; a tap alters it. */
export function SheetColumns({ sheet, onColumns }: { sheet: OpenSheet; onColumns: (columns: Matched[]) => void }) {
  const [{ units }] = useSettings();
  const [at, setAt] = useState<number | null>(null);
  const { headings, samples } = sheet.offer;
  const column = at === null ? null : sheet.columns[at]!;
  const entry = column?.field ? entryOf(column.field) : null;
  const set = (next: Matched) =>
    onColumns(
      sheet.columns.map((c, i) => {
        if (i === at) return next;
        // A field is one column; only notes may be several.
        return next.field !== null && next.field !== 'notes' && c.field === next.field
          ? { field: null, unit: null }
          : c;
      }),
    );
  const choose = (field: Field | null) =>
    set({ field, unit: field === null ? null : guessUnit(field, headings[at!]!, samples[at!]!, units) });
  return (
    <Block title="Columns">
      {sheet.columns.some((c) => c.field === 'date') ? null : <Hint>No date column found. Tap the right one.</Hint>}
      <Stack role="list" aria-label="Columns" gap="s">
        {headings.map((heading, i) => (
          <View key={i} role="listitem">
            <PickRow
              label={`“${heading}”: ${samples[i]!.join(' · ').slice(0, 60) || 'empty'}`}
              value={labelOf(sheet.columns[i]!)}
              onPress={() => setAt(i)}
            />
          </View>
        ))}
      </Stack>
      {at !== null && column ? (
        <Sheet title={`“${headings[at]}” is`} open onClose={() => setAt(null)}>
          <Choice
            label="Column"
            options={[
              { value: LEFT_OUT, label: LEFT_OUT },
              ...FIELD_NAMES.map((f) => ({ value: f as string, label: entryOf(f).label })),
            ]}
            value={column.field ?? LEFT_OUT}
            onChange={(v) => choose(v === LEFT_OUT ? null : (v as Field))}
          />
          {entry?.units ? (
            <Choice
              label="In"
              options={Object.keys(entry.units).map((u) => ({ value: u, label: u }))}
              value={column.unit}
              onChange={(unit) => set({ ...column, unit })}
            />
          ) : null}
        </Sheet>
      ) : null}
    </Block>
  );
}
