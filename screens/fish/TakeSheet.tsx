import { useState } from 'react';
import { QUARRIES } from '@/core/lies';
import {
  type Fish,
  TAKE_KINDS,
  TAKE_PLACES,
  TAKE_SIGNS,
  type TakeKind,
  type TakePlace,
  type TakeSign,
  EventBody,
} from '@/core/logbook';
import { fromShown, toShown, unitOf } from '@/core/units';

import { useRecord, useSession, useSettings } from '@/store/hooks';
import { Button, Caution, Choice, NumberField, plainOptions, Sheet, TextField } from '@/ui';

interface Props {
  onClose: () => void;
  onTake: (body: EventBody) => void;
  onJuvenile: () => void;
}

/** Where on the swing, what it was; a fish only when there is one. Nothing but the kind must be said. */
export function TakeSheet({ onClose, onTake, onJuvenile }: Props) {
  const [{ units }] = useSettings();
  const [session] = useSession();
  const water = useRecord('water', session?.waterId);
  const [what, setWhat] = useState<TakeKind>('pluck');
  const [where, setWhere] = useState<TakePlace | null>(null);
  const [sign, setSign] = useState<TakeSign | null>(null);
  const [species, setSpecies] = useState<string | null>(null);
  const [lengthM, setLength] = useState<number | null>(null);
  const [sex, setSex] = useState<'male' | 'female' | 'unknown'>('unknown');
  const [origin, setOrigin] = useState<'wild' | 'marked' | 'unknown'>('unknown');
  const [condition, setCondition] = useState('');
  const isFish = what === 'landed' || what === 'lost';
  const save = () => {
    const fish: Fish | null = isFish
      ? {
          species: species ?? water?.quarry ?? 'trout',
          lengthM,
          sex: sex === 'unknown' ? null : sex,
          condition,
          origin: origin === 'unknown' ? null : origin,
        }
      : null;
    onTake({ kind: 'take', what, where, sign, juvenile: false, fish });
  };
  return (
    <Sheet title="A take" open onClose={onClose}>
      <Button label="A juvenile" hint="One tap; it stays out of the rates" onPress={onJuvenile} />
      <Choice label="What was it?" options={plainOptions(TAKE_KINDS)} value={what} onChange={setWhat} />
      <Choice label="Where on the swing?" options={plainOptions(TAKE_PLACES)} value={where} onChange={setWhere} />
      <Button label="Log the take" kind="primary" big onPress={save} />
      <Choice label="Noticed how?" options={plainOptions(TAKE_SIGNS)} value={sign} onChange={setSign} />
      {isFish ? (
        <>
          <Choice
            label="Fish"
            options={plainOptions(QUARRIES)}
            value={(species ?? water?.quarry ?? null) as (typeof QUARRIES)[number] | null}
            onChange={setSpecies}
          />
          <NumberField
            label="Length"
            unit={unitOf('small', units)}
            digits={1}
            min={toShown('small', 0.03, units)}
            max={toShown('small', 2, units)}
            value={lengthM === null ? null : toShown('small', lengthM, units)}
            onChange={(v) => setLength(v === null ? null : fromShown('small', v, units))}
          />
          <Choice
            label="Sex"
            options={plainOptions(['male', 'female', 'unknown'] as const)}
            value={sex}
            onChange={setSex}
          />
          <Choice
            label="Wild or marked"
            options={plainOptions(['wild', 'marked', 'unknown'] as const)}
            value={origin}
            onChange={setOrigin}
          />
          <TextField label="Condition" value={condition} onChange={setCondition} />
          <Caution>Keep it in the water, hands wet, seconds of air at most. Two flies: mind the free hook.</Caution>
        </>
      ) : null}
    </Sheet>
  );
}
