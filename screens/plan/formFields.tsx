import { Controller, type FieldPath, useFormContext } from 'react-hook-form';
import type { Water } from '@/store/records';
import { Choice, NumberField, TextField } from '@/ui';

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

const YES_NO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
] as const;

interface YesNoProps {
  label: string;
  value: boolean;
  onChange: (yes: boolean) => void;
}

export const YesNo = ({ label, value, onChange }: YesNoProps) => (
  <Choice label={label} options={YES_NO} value={value ? 'yes' : 'no'} onChange={(v) => onChange(v === 'yes')} />
);

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
