import { G, GRAIN_KG, POUND_KG } from '@/core/units';
import { NumberField } from '@/ui';
import { QuantityField } from '../shared/QuantityField';
import { pounds } from '@/words/tackle';
import { type Quantity } from '@/words/units';

export interface Fields<T> {
  item: T;
  set: (part: object) => void;
}

interface MeasureProps {
  q: Quantity;
  label: string;
  value: number;
  onChange: (si: number) => void;
  digits?: number;
}

/** A quantity that a thing always has: an emptied field leaves it as it was. */
export const Measure = ({ q, onChange, digits = 1, ...rest }: MeasureProps) => (
  <QuantityField quantity={q} digits={digits} onChange={(si) => si !== null && onChange(si)} {...rest} />
);

interface PlainProps {
  label: string;
  value: number;
  onChange: (si: number) => void;
}

/** A number in a unit of the trade, whatever units are shown: so many of it are one in SI. */
const inUnit = (unit: string, digits: number, perSi: number) =>
  function InUnit({ label, value, onChange }: PlainProps) {
    return (
      <NumberField
        label={label}
        unit={unit}
        digits={digits}
        value={perSi * value}
        onChange={(v) => v !== null && onChange(v / perSi)}
      />
    );
  };
/** Diameters of tackle are told in millimetres everywhere, heads and tips sold by grains. */
export const Millimetres = inUnit('mm', 3, 1000);
export const Grams = inUnit('g', 2, 1000);
export const Grains = inUnit('gr', 0, 1 / GRAIN_KG);

export const Length = ({ item, set }: Fields<{ readonly lengthM: number }>) => (
  <Measure q="line" label="Length" value={item.lengthM} onChange={(lengthM) => set({ lengthM })} digits={2} />
);

/** What a spool or a piece of a leader holds, as printed or by its diameter. */
export function Strength({
  value,
  onChange,
  byDiameterN,
}: {
  value?: number;
  onChange: (n?: number) => void;
  byDiameterN: number;
}) {
  return (
    <NumberField
      label="Strength, as printed"
      unit="lb"
      digits={1}
      hint={`Empty: ${pounds(byDiameterN)} by its diameter`}
      value={value === undefined ? null : value / (POUND_KG * G)}
      onChange={(v) => onChange(v === null ? undefined : v * POUND_KG * G)}
    />
  );
}
