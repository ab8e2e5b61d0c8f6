import { useState } from 'react';
import { type Fish, SPECIES } from '@/core/logbook';
import { useFolded } from '@/store/hooks';
import { Choice, Hint, plainOptions, TextField } from '@/ui';
import { QuantityField } from './QuantityField';

const OTHER = 'another';

interface LengthProps {
  label: string;
  value: number | null;
  onChange: (lengthM: number | null) => void;
}

export const FishLength = (p: LengthProps) => <QuantityField quantity="small" digits={1} min={0.03} max={2} {...p} />;

/** An open list: what was ever logged stays in it. */
export function useOwnSpecies(): readonly string[] {
  const folded = useFolded();
  return [...new Set((folded ?? []).flatMap((f) => f.log.fish.flatMap((c) => c.take.fish?.species ?? [])))];
}

/**
 * Species, length, sex, origin and condition of a fish, with the fields that ask for them.
 *
 * @param start what is known of it
 * @param quarry what one usually catches there
 */
export function useFishFields(start: Fish | null, quarry: string | null) {
  const own = useOwnSpecies();
  const [species, setSpecies] = useState<string | null>(start?.species ?? null);
  const [other, setOther] = useState('');
  const [lengthM, setLength] = useState<number | null>(start?.lengthM ?? null);
  const [sex, setSex] = useState<'male' | 'female' | 'unknown'>(start?.sex ?? 'unknown');
  const [origin, setOrigin] = useState<'wild' | 'marked' | 'unknown'>(start?.origin ?? 'unknown');
  const [condition, setCondition] = useState(start?.condition ?? '');
  const chosen = species ?? quarry ?? 'brown trout';
  const list = [...new Set([chosen, ...(quarry ? [quarry] : []), ...own, ...SPECIES, OTHER])];
  const value: Fish = {
    species: chosen === OTHER ? other.trim() || 'fish' : chosen,
    lengthM,
    sex: sex === 'unknown' ? null : sex,
    condition,
    origin: origin === 'unknown' ? null : origin,
  };
  const fields = (
    <>
      <Choice label="Fish" options={plainOptions(list)} value={chosen} onChange={setSpecies} />
      {chosen === OTHER ? (
        <>
          <TextField label="Name of the fish" value={other} onChange={setOther} />
          <Hint>The name is in the list from then on.</Hint>
        </>
      ) : null}
      <FishLength label="Length" value={lengthM} onChange={setLength} />
      <Choice
        label="Sex"
        options={plainOptions(['male', 'female', 'unknown'] as const)}
        value={sex}
        onChange={setSex}
      />
      <Choice
        label="Wild or hatchery"
        options={plainOptions(['wild', 'marked', 'unknown'] as const)}
        value={origin}
        onChange={setOrigin}
      />
      <TextField label="Condition" value={condition} onChange={setCondition} />
    </>
  );
  return { value, fields };
}
