import { useRouter } from 'expo-router';
import type { Caught } from '@/core/logbook';
import { loggedName } from '@/words/tackle'; // not the barrel: this weighs on the first look
import { useSettings } from '@/store/hooks';
import { PickRow } from '@/ui';
import { longDayText } from './time';
import { format, formatLevel } from '@/words/units';

interface Props {
  fish: Caught & { readonly outingId: string };
  /** With the level that it was caught at. */
  level?: boolean;
}

/** A fish that was landed: when, what, where on the swing and on which fly; a press opens its outing. */
export function FishRow({ fish: { take, fly, levelM, outingId }, level = false }: Props) {
  const router = useRouter();
  const [{ units }] = useSettings();
  const lengthM = take.fish?.lengthM;
  return (
    <PickRow
      label={longDayText(take.at)}
      value={`${take.fish?.species ?? 'fish'}${lengthM ? `, ${format('small', lengthM, units)}` : ''}`}
      detail={[
        level && levelM !== null ? `level ${formatLevel(levelM, units)}` : null,
        take.where,
        fly && loggedName(fly.name, units),
      ]
        .filter(Boolean)
        .join(' · ')}
      onPress={() => router.navigate({ pathname: '/learn/[outing]', params: { outing: outingId } })}
    />
  );
}
