import { useState } from 'react';
import { type LatLon, metresBetween } from '@/formats/geo';
import { useSettings } from '@/store/hooks';
import { Button, Stack, Text } from '@/ui';
import { format } from '@/words/units';
import { deviceFix } from '../shared/locate';
import { saidOf } from '@/words/said';

type Fix = LatLon & { readonly accuracyM: number };

/** The length of a run by walking it: a fix of the device at its head, another at its tail. */
export function WalkedLength({ onLength }: { onLength: (lengthM: number) => void }) {
  const [{ units }] = useSettings();
  const [head, setHead] = useState<Fix | null>(null);
  const [says, setSays] = useState<string | null>(null);
  const length = (m: number) => format('length', m, units);
  const take = async () => {
    try {
      const fix = await deviceFix('count your paces', 0);
      if (!head) {
        setHead(fix);
        return setSays(`You stand at the head, give or take ${length(fix.accuracyM)}. Walk to the tail.`);
      }
      const lengthM = Math.round(metresBetween(head, fix));
      setHead(null);
      setSays(`You walked ${length(lengthM)}, give or take ${length(Math.hypot(head.accuracyM, fix.accuracyM))}.`);
      onLength(lengthM);
    } catch (error) {
      setSays(saidOf(error));
    }
  };
  return (
    <Stack gap="xs">
      <Button label={head ? 'I stand at the tail' : 'Measure by walking, from the head'} onPress={() => void take()} />
      {says ? <Text role="status">{says}</Text> : null}
    </Stack>
  );
}
