import { useState } from 'react';
import { Controller, type FieldPath, useFormContext } from 'react-hook-form';
import type { Span } from '@/core/plan/spans';
import { readSpans, spansText } from '@/core/plan/writtenSpans';
import type { Water } from '@/store/records';
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

/** More hours than these are written over several lines. */
const LONG = 3;
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
      multiline={p.value.length > LONG}
      value={text}
      onChange={(next) => {
        setText(next);
        const read = readSpans(next);
        if (read) p.onChange(read);
      }}
      error={
        spans
          ? p.error
          : 'Write hours as 7:00-10:00, several with a comma between. Days and dates first: Mon-Fri 7-10; Sat 9-12.'
      }
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
