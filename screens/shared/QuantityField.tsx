import { useSettings } from '@/store/hooks';
import { NumberField } from '@/ui';
import { fromShown, type Quantity, toShown, unitOf } from '@/words/units';

interface Props {
  label: string;
  quantity: Quantity;
  /** SI, as are the limits; null is empty. */
  value: number | null;
  onChange: (si: number | null) => void;
  min?: number;
  max?: number;
  digits?: number;
  error?: string | null;
  hint?: string;
  /** A change is told once the field is left. */
  whenDone?: boolean;
}

/** A quantity kept in SI, shown and entered in the user's unit. */
export function QuantityField({ quantity, value, onChange, min, max, ...rest }: Props) {
  const [{ units }] = useSettings();
  const shown = (si: number | null | undefined) =>
    si === null || si === undefined ? si : toShown(quantity, si, units);
  return (
    <NumberField
      {...rest}
      signed={quantity === 'level' && (min === undefined || min < 0)}
      unit={unitOf(quantity, units)}
      value={shown(value) ?? null}
      min={shown(min) ?? undefined}
      max={shown(max) ?? undefined}
      onChange={(v) => onChange(v === null ? null : fromShown(quantity, v, units))}
    />
  );
}
