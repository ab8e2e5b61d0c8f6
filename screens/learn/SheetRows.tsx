import { useState } from 'react';
import { cellKey, type RowValues } from '@/formats/sheet/terms';
import type { SheetPreview } from '@/store/sheets';
import { useSettings } from '@/store/hooks';
import { Block, Button, Stack, Text, TextField } from '@/ui';
import { longDayText } from '../shared/time';
import type { OpenSheet } from './useSheet';
import { format, formatLevel, type UnitSystem } from '@/words/units';

const PAGE = 8;

type Faulty = SheetPreview['faulty'][number];

interface FaultyProps {
  sheet: OpenSheet;
  preview: SheetPreview;
  onMended: (mended: ReadonlyMap<string, string>) => void;
}

/** Rows that can’t be read, each with its cell to mend; what is not mended is left out. */
export function FaultyRows({ sheet, preview, onMended }: FaultyProps) {
  const [shown, setShown] = useState(PAGE);
  /** Rows that are being mended: they stay in sight when they are right, since one may not have finished. */
  const [mending, setMending] = useState<readonly Faulty[]>([]);
  const now = new Map(preview.faulty.map((r) => [r.line, r]));
  const lines = new Set(mending.map((r) => r.line));
  const rows = [...mending, ...preview.faulty.filter((r) => !lines.has(r.line))].sort((a, b) => a.line - b.line);
  if (rows.length === 0) return null;
  const mend = (row: Faulty, column: number, text: string) => {
    if (!lines.has(row.line)) setMending([...mending, row]);
    onMended(new Map([...sheet.mended, [cellKey(row.line, column), text]]));
  };
  return (
    <Block title="Rows that can’t be read">
      <Text size="small" tone="ink2">
        {preview.bad === 0
          ? 'All corrected.'
          : `${preview.bad} ${preview.bad === 1 ? 'row is' : 'rows are'} left out unless corrected here.`}
      </Text>
      {rows.slice(0, shown).map((row) => {
        const { line, cells } = row;
        const faults = now.get(line)?.faults ?? [];
        const columns = new Set([...row.faults, ...faults].map((f) => f.column));
        return (
          <Stack key={line} gap="s">
            <Text size="small" tone="ink2">{`Line ${line}: ${cells.filter(Boolean).join(' · ').slice(0, 90)}`}</Text>
            {[...columns].map((column) => (
              <TextField
                key={column}
                label={`Line ${line}, ${sheet.offer.headings[column] ?? 'column'}`}
                value={sheet.mended.get(cellKey(line, column)) ?? cells[column] ?? ''}
                error={faults.find((f) => f.column === column)?.says ?? null}
                hint="Row corrected."
                onChange={(text) => mend(row, column, text)}
              />
            ))}
          </Stack>
        );
      })}
      {rows.length > shown ? <Button label="Show more" onPress={() => setShown(shown + PAGE)} /> : null}
    </Block>
  );
}

/** What a row becomes, in words. */
export function rowText(v: RowValues, units: UnitSystem): string {
  const clock = (min: number) => `${Math.floor(min / 60)}:${String(min % 60).padStart(2, '0')}`;
  const landed = v.landed ?? Math.max(v.lengthsM.length, v.species ? 1 : 0);
  return [
    [v.water, v.run].filter(Boolean).join(', '),
    v.fromMin !== null ? `${clock(v.fromMin)}${v.toMin !== null ? ` to ${clock(v.toMin)}` : ''}` : null,
    v.hours !== null ? `${Math.round(10 * v.hours) / 10} h` : null,
    v.casts !== null ? `about ${v.casts} casts` : null,
    v.takes !== null ? `${v.takes} takes` : null,
    landed > 0
      ? `${landed} ${v.species || 'fish'}${v.lengthsM.length > 0 ? ` of ${v.lengthsM.map((l) => format('small', l, units)).join(', ')}` : ''}`
      : 'no fish',
    v.lost ? `${v.lost} lost` : null,
    [v.fly, v.colour].filter(Boolean).join(': ') || null,
    v.levelM !== null ? `level ${formatLevel(v.levelM, units)}` : null,
    v.visibilityM !== null ? `visibility ${format('depth', v.visibilityM, units)}` : null,
    v.waterTempC !== null ? format('temperature', v.waterTempC, units) : null,
    v.sky,
    v.notes ? `“${v.notes.replace(/\n/g, '; ').slice(0, 80)}”` : null,
  ]
    .filter(Boolean)
    .join(' · ');
}

/** Rows that were read, and what each becomes. */
export function ReadRows({ preview }: { preview: SheetPreview }) {
  const [{ units }] = useSettings();
  const [shown, setShown] = useState(PAGE);
  if (preview.good === 0) return null;
  return (
    <Block title="Row by row">
      <Stack role="list" aria-label="Rows" gap="s">
        {preview.shown.slice(0, shown).map(({ line, values }) => (
          <Stack key={line} role="listitem" gap="xs">
            <Text size="strong">{`Line ${line}: ${longDayText(values.dayAt)}`}</Text>
            <Text size="small">{rowText(values, units)}</Text>
          </Stack>
        ))}
      </Stack>
      {preview.shown.length > shown ? (
        <Button label="Show more rows" onPress={() => setShown(shown + PAGE)} />
      ) : preview.good > preview.shown.length ? (
        <Text size="small" tone="ink2">{`And ${preview.good - preview.shown.length} more like these.`}</Text>
      ) : null}
    </Block>
  );
}
