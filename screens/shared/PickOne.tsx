import { useState } from 'react';
import { PickRow, Sheet, Stack } from '@/ui';

interface Props<T extends string> {
  label: string;
  options: readonly { readonly value: T; readonly label: string; readonly detail?: string }[];
  value: T;
  onChange: (value: T) => void;
}

/** One of many: what it stands at, and all of them behind a tap. */
export function PickOne<T extends string>({ label, options, value, onChange }: Props<T>) {
  const [open, setOpen] = useState(false);
  const now = options.find((o) => o.value === value);
  return (
    <>
      <PickRow label={label} value={now?.label ?? value} onPress={() => setOpen(true)} />
      <Sheet title={label} open={open} onClose={() => setOpen(false)}>
        <Stack gap="s">
          {options.map((o) => (
            <PickRow
              key={o.value}
              label=""
              value={o.label}
              {...(o.detail && { detail: o.detail })}
              chosen={o.value === value}
              onPress={() => {
                onChange(o.value);
                setOpen(false);
              }}
            />
          ))}
        </Stack>
      </Sheet>
    </>
  );
}
