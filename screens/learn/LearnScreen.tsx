import { useState } from 'react';
import { addTallies, EMPTY_TALLY, type EventOf } from '@/core/logbook';
import { format } from '@/core/units';
import { useFolded, useRecords, useSettings } from '@/store/hooks';
import { Block, Button, Choice, Empty, Fact, Loading, Screen, Stack, Text } from '@/ui';

import { useLoadDemo } from '../shared/useDemo';
import { longDayText } from '../shared/time';
import { EventList } from './EventList';
import { ExportReminder, Files } from './Files';
import { Rates } from './Rates';

/** What was done, what it proves, and the way out and in for all of it. */
export function LearnScreen() {
  const folded = useFolded();
  const { data: outings } = useRecords('outing');
  const load = useLoadDemo();
  if (!folded || !outings)
    return (
      <Screen title="Learn">
        <Loading what="Adding up the log…" />
      </Screen>
    );
  const logs = folded.map((f) => f.log);
  const total = logs.map((l) => l.tally).reduce(addTallies, EMPTY_TALLY);
  if (outings.length === 0)
    return (
      <Screen title="Learn">
        <Empty
          title="Nothing logged yet"
          actions={<Button label="Look around with demo data" onPress={() => void load()} />}
        >
          Casts that you count under Fish are added up here: which fly in which water, and how sure that is. You can
          also import a backup.
        </Empty>
        <Files />
      </Screen>
    );
  const places = new Map(outings.map((o) => [o.id, o.waterId]));
  const exposures = folded.map((f) => f.log.exposures.map((e) => ({ ...e, place: places.get(f.outingId) })));
  const first = Math.min(...outings.map((o) => o.startedAt));
  return (
    <Screen
      title="Learn"
      subtitle={`${outings.length === 1 ? 'one outing' : `${outings.length} outings`} since ${longDayText(first)}`}
    >
      <ExportReminder />
      <Block title="All in all">
        <Fact name="Casts that count" value={total.casts.toLocaleString('en-GB')} />
        <Fact name="Takes" value={String(total.takes)} />
        <Fact name="Fish landed" value={String(total.landed)} />
        <Text size="small" tone="ink2">
          {`Left out of the rates: ${total.fouled} casts with a fouled fly, ${total.juveniles} juveniles. Seen but not taken: ${total.signs}. Hours out: ${Math.round(total.minutes / 60)}.`}
        </Text>
      </Block>
      <Rates outings={exposures} />
      <FishList fish={logs.flatMap((l) => l.fish.map((c) => c.take))} />
      <EventList outings={outings} />
      <Files />
    </Screen>
  );
}

function FishList({ fish }: { fish: readonly EventOf<'take'>[] }) {
  const [{ units }] = useSettings();
  const [all, setAll] = useState<'longest' | 'latest'>('latest');
  if (fish.length === 0) return null;
  const list = [...fish]
    .sort((a, b) => (all === 'longest' ? (b.fish?.lengthM ?? 0) - (a.fish?.lengthM ?? 0) : b.at - a.at))
    .slice(0, 5);
  return (
    <Block title="Fish">
      <Choice
        label="Order"
        showLabel={false}
        options={[
          { value: 'latest', label: 'latest' },
          { value: 'longest', label: 'longest' },
        ]}
        value={all}
        onChange={setAll}
      />
      <Stack gap="xs">
        {list.map((e) => (
          <Fact
            key={e.id}
            name={`${e.fish?.species ?? 'fish'}, ${e.where ?? 'on the swing'}, ${longDayText(e.at)}`}
            value={e.fish?.lengthM ? format('small', e.fish.lengthM, units) : '–'}
          />
        ))}
      </Stack>
    </Block>
  );
}
