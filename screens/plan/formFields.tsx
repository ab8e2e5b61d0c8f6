import { useState } from 'react';
import { Controller, type FieldPath, useFormContext } from 'react-hook-form';
import { readClock } from '@/core/formats/sheet/dates';
import type { Span, Water } from '@/store/records';
import { NumberField, TextField } from '@/ui';
import { YesNo } from '../shared/YesNo';

interface Field {
  name: FieldPath<Water>;
  label: string;
}

/** Fields of the form of a water, joined to it by their path. */
export function FormText({ name, label, ...more }: Field & { multiline?: boolean; hint?: string }) {
  const { control } = useFormContext<Water>();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <TextField
          label={label}
          value={String(field.value ?? '')}
          onChange={field.onChange}
          error={fieldState.error?.message ?? null}
          {...more}
        />
      )}
    />
  );
}

export function FormNumber({ name, label, ...more }: Field & { unit: string; digits: number }) {
  const { control } = useFormContext<Water>();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <NumberField
          label={label}
          value={field.value as number | null}
          onChange={field.onChange}
          error={fieldState.error?.message ?? null}
          {...more}
        />
      )}
    />
  );
}

const twoDigits = (n: number): string => String(n).padStart(2, '0');
const clockText = (min: number): string => `${twoDigits(Math.floor(min / 60))}:${twoDigits(min % 60)}`;
export const spansText = (spans: readonly Span[]): string =>
  spans.map((s) => `${clockText(s.fromMin)}-${clockText(s.toMin)}`).join(', ');

/** Hours of a day out of "7:00-10:00, 17-21"; null where it is none. */
export function readSpans(text: string): Span[] | null {
  const parts = text
    .split(/[,;]/)
    .map((p) => p.trim())
    .filter(Boolean);
  const spans = parts.map((part) => {
    const [from, to, more] = part.split(/\s*(?:[-–—]|to|bis)\s*/);
    const [fromMin, toMin] = [readClock(from ?? ''), readClock(to ?? '')];
    return fromMin === null || toMin === null || more !== undefined || fromMin === toMin ? null : { fromMin, toMin };
  });
  return spans.every((s) => s !== null) ? spans : null;
}

/** Hours of a day in words, kept while one writes them. */
export function HoursField(p: {
  label: string;
  hint: string;
  value: readonly Span[];
  onChange: (spans: readonly Span[]) => void;
  error: string | null;
}) {
  const [text, setText] = useState(() => spansText(p.value));
  const spans = readSpans(text);
  return (
    <TextField
      label={p.label}
      hint={p.hint}
      value={text}
      onChange={(next) => {
        setText(next);
        const read = readSpans(next);
        if (read) p.onChange(read);
      }}
      error={spans ? p.error : 'Write hours as 7:00-10:00, several with a comma between.'}
    />
  );
}

export function FormYesNo({ name, label }: Field) {
  const { control } = useFormContext<Water>();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => <YesNo label={label} value={field.value === true} onChange={field.onChange} />}
    />
  );
}
