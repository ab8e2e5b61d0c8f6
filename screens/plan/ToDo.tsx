import { useRouter } from 'expo-router';
import type { Water } from '@/store/records';
import { useSettings } from '@/store/hooks';
import { PickRow, Stack } from '@/ui';
import { isGrave, missingWords, packWhat } from '@/words/packing';
import { several } from '@/words/counting';
import { clock } from '../shared/time';
import { TO_DO_PX } from './rooms';
import { useDayAhead } from './useDayAhead';
import { usePacking } from './usePacking';
import { usePlannedDay } from './usePlannedDay';

/** What to pack and when to leave, each in a line; the whole of it stands on a page of its own. */
export function ToDo({ water, day }: { water: Water; day: string }) {
  const router = useRouter();
  const [{ units }] = useSettings();
  const ahead = useDayAhead(water, day);
  const packing = usePacking(water, ahead);
  const planned = usePlannedDay(water, day, ahead);
  const ticked = new Set(planned?.trip.packed);
  const items = packing?.groups.flatMap((g) => g.items) ?? [];
  const rods = items.filter((i) => i.code === 'rod');
  const left = items.filter((i) => !ticked.has(i.id)).length;
  const grave = packing?.missing.find(isGrave);
  const runs = planned?.plan.legs.filter((l) => l.kind === 'run') ?? [];
  return (
    <Stack gap="l" style={{ minHeight: TO_DO_PX }}>
      <PickRow
        label="What to pack?"
        value={
          !packing
            ? 'Working it out…'
            : left === 0
              ? 'All packed'
              : rods.length > 0
                ? packWhat(rods[0]!)
                : 'No whole rig in your bag'
        }
        detail={
          packing && left > 0
            ? `${rods.length > 1 ? `and ${several(rods.length - 1, 'more rod')}; ` : ''}${left} of ${several(items.length, 'thing')} left to pack`
            : undefined
        }
        caution={grave ? missingWords(grave, units) : null}
        onPress={() => router.push('/pack')}
      />
      <PickRow
        label="The day by the clock"
        value={
          !planned
            ? 'Planning your day…'
            : !ahead.sun
              ? 'Needs the place of the water'
              : runs.length === 0
                ? planned.own.length === 0
                  ? 'Needs a run to fish'
                  : planned.none
                : `Leave home ${clock(planned.plan.leaveAt)}, back ${clock(planned.plan.backAt)}`
        }
        detail={
          ahead.sun && runs.length > 0
            ? runs.map((l) => `${l.name} ${clock(l.fromAt)} to ${clock(l.toAt)}`).join(', ')
            : undefined
        }
        onPress={() => router.push('/day')}
      />
    </Stack>
  );
}
