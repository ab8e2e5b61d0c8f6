import { Controller, type FieldPath, useFormContext } from 'react-hook-form';
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
