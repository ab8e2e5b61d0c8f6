import { useState } from 'react';
import { View } from 'react-native';
import type { EventKind } from '@/core/logbook';
import type { Outing } from '@/store/records';
import { useEvents, useRecords, useSettings } from '@/store/hooks';

import { Block, Button, Choice, PickRow, Sheet, space, Stack, Text } from '@/ui';
import { clock, longDayText } from '../shared/time';
import { eventText } from '@/core/logbook/words';

const PAGE = 40;
const FILTERS = ['all', 'take', 'cast', 'rig', 'reading', 'bed', 'note'] as const satisfies readonly (
  'all' | EventKind
)[];

/** All that was logged on an outing, with a filter. */
export function EventList({ outings }: { outings: readonly Outing[] }) {
  const [{ units }] = useSettings();
  const { data: waters } = useRecords('water');
  const sorted = [...outings].sort((a, b) => b.startedAt - a.startedAt);
  const [id, setId] = useState<string | null>(null);
  const [picking, setPicking] = useState(false);
  const [filter, setFilter] = useState<(typeof FILTERS)[number]>('all');
  const [shown, setShown] = useState(PAGE);
  const outing = sorted.find((o) => o.id === id) ?? sorted[0]!;
  const events = useEvents(outing.id);
  const list = (events ?? []).filter((e) => filter === 'all' || e.kind === filter).reverse();
  const name = (o: Outing) => waters?.find((w) => w.id === o.waterId)?.name ?? 'a removed water';
  return (
    <Block title="The log">
      <PickRow
        label="Outing"
        value={`${longDayText(outing.startedAt)}, ${name(outing)}`}
        detail={outing.endedAt === null ? 'still going on' : `${clock(outing.startedAt)} to ${clock(outing.endedAt)}`}
        onPress={() => setPicking(true)}
      />
      <Choice
        label="Show"
        options={FILTERS.map((f) => ({ value: f, label: f === 'all' ? 'everything' : `${f}s` }))}
        value={filter}
        onChange={(f) => {
          setFilter(f);
          setShown(PAGE);
        }}
      />
      <Text size="small" tone="ink2">{`${list.length} of ${events?.length ?? 0} entries, the latest first`}</Text>
      <View role="list" aria-label="Entries">
        {list.slice(0, shown).map((e) => (
          <Stack key={e.id} role="listitem" row gap="m" style={{ paddingVertical: space.xs }}>
            <Text size="small" tone="ink2" style={{ width: 44 }}>
              {clock(e.at)}
            </Text>
            <Text
              size={e.kind === 'take' && !e.juvenile ? 'strong' : 'body'}
              tone={e.kind === 'take' && !e.juvenile ? 'flyText' : 'ink'}
              style={{ flex: 1 }}
            >
              {eventText(e, units)}
            </Text>
          </Stack>
        ))}
      </View>
      {list.length > shown ? (
        <Button label={`Show ${Math.min(PAGE, list.length - shown)} more`} onPress={() => setShown(shown + PAGE)} />
      ) : null}
      <Sheet title="Outings" open={picking} onClose={() => setPicking(false)}>
        <Stack>
          {sorted.map((o) => (
            <PickRow
              key={o.id}
              label={longDayText(o.startedAt)}
              value={name(o)}
              chosen={o.id === outing.id}
              onPress={() => {
                setId(o.id);
                setShown(PAGE);
                setPicking(false);
              }}
            />
          ))}
        </Stack>
      </Sheet>
    </Block>
  );
}
