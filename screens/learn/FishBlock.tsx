import { useState } from 'react';
import { View } from 'react-native';
import { recordsOf } from '@/core/learn/records';
import { useSettings } from '@/store/hooks';
import { Block, Button, Choice, Fact, Stack, Text } from '@/ui';
import { Fold } from '../shared/Fold';
import { FishRow } from '../shared/FishRow';
import { longDayText } from '../shared/time';
import type { OutingRow } from './outings';
import { format } from '@/words/units';

const FIRST = 2;
const PAGE = 5;

/** Fish that were landed, and how one’s largest grew. */
export function FishBlock({ rows }: { rows: readonly OutingRow[] }) {
  const [{ units }] = useSettings();
  const [order, setOrder] = useState<'longest' | 'latest'>('latest');
  const [shown, setShown] = useState(FIRST);
  const caught = rows.flatMap((r) => r.log.fish.map((c) => ({ ...c, outingId: r.outing.id })));
  if (caught.length === 0) return null;
  const list = [...caught].sort((a, b) =>
    order === 'longest' ? (b.take.fish?.lengthM ?? 0) - (a.take.fish?.lengthM ?? 0) : b.take.at - a.take.at,
  );
  const records = recordsOf(caught);
  return (
    <Block title="Fish">
      {shown > FIRST ? (
        <Choice
          label="Order"
          showLabel={false}
          options={[
            { value: 'latest', label: 'latest' },
            { value: 'longest', label: 'longest' },
          ]}
          value={order}
          onChange={setOrder}
        />
      ) : null}
      <Stack gap="s" role="list" aria-label="Fish landed">
        {list.slice(0, shown).map((fish) => (
          <View key={fish.take.id} role="listitem">
            <FishRow fish={fish} />
          </View>
        ))}
      </Stack>
      {list.length > shown ? (
        <Button label={`Show ${Math.min(PAGE, list.length - shown)} more`} onPress={() => setShown(shown + PAGE)} />
      ) : null}
      {records.length > 0 ? (
        <Fold
          title="The largest so far"
          summary={records.map((r) => `${r.of} ${format('small', r.steps.at(-1)!.lengthM, units)}`).join(', ')}
        >
          {records.map((r) => {
            const last = r.steps.at(-1)!;
            const before = r.steps.at(-2);
            return (
              <Stack key={r.of} gap="xs">
                <Fact name={r.of} value={format('small', last.lengthM, units)} />
                <Text size="small" tone="ink2">
                  {`${longDayText(last.at)}${before ? `; before that ${format('small', before.lengthM, units)}, ${longDayText(before.at)}` : ''}; of ${r.measured} measured`}
                </Text>
              </Stack>
            );
          })}
        </Fold>
      ) : null}
    </Block>
  );
}
