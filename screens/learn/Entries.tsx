import { useMemo, useState } from 'react';
import { Pressable } from 'react-native';
import { type Happened, untimed } from '@/core/logbook';
import { type Entry, entryAt, entryId, grouped } from '@/core/logbook/grouped';
import { castsText, eventText } from '@/words/log';
import { useSettings } from '@/store/hooks';
import { Block, Button, Choice, Icon, Stack, TARGET, Text, useTheme } from '@/ui';
import { clock } from '../shared/time';

const PAGE = 30;
const FILTERS = ['everything', 'takes', 'changes', 'readings', 'notes'] as const;
type Filter = (typeof FILTERS)[number];
const SHOWS: Readonly<Record<Exclude<Filter, 'everything'>, readonly Entry['kind'][]>> = {
  takes: ['take', 'estimate'],
  changes: ['rig', 'way', 'trial'],
  readings: ['reading'],
  notes: ['note'],
};

/** What happened, hour by hour; casts in a row are one line. Each can be opened and put right, and what was missed added. */
export function Entries({ all, onOpen }: { all: readonly Happened[]; onOpen: (entry: Entry | null) => void }) {
  const [{ units }] = useSettings();
  const theme = useTheme();
  const [filter, setFilter] = useState<Filter>('everything');
  const [shown, setShown] = useState(PAGE);
  const entries = useMemo(() => grouped(all), [all]);
  const told = useMemo(() => untimed(all), [all]);
  const list = entries.filter((e) => filter === 'everything' || SHOWS[filter].includes(e.kind));
  return (
    <Block title="Hour by hour">
      <Choice
        label="Show"
        showLabel={false}
        options={FILTERS.map((f) => ({ value: f, label: f }))}
        value={filter}
        onChange={setFilter}
      />
      {list.length === 0 ? <Text tone="ink2">No casts logged.</Text> : null}
      <Stack role="list" aria-label="Entries" gap="xs">
        {list.slice(0, shown).map((e) => {
          const text = e.kind === 'casts' ? castsText(e, units) : eventText(e, units);
          const when = told.has(entryId(e)) ? '–' : clock(entryAt(e));
          const fish = e.kind === 'take' && !e.juvenile;
          return (
            <Stack key={entryId(e)} role="listitem">
              <Pressable
                role="button"
                aria-label={`${when} ${text}`}
                onPress={() => onOpen(e)}
                style={({ pressed }) => ({ minHeight: TARGET, justifyContent: 'center', opacity: pressed ? 0.7 : 1 })}
              >
                <Stack row gap="m" align="center">
                  <Text size="small" tone="ink2" style={{ width: 44 }}>
                    {when}
                  </Text>
                  <Text size={fish ? 'strong' : 'body'} tone={fish ? 'flyText' : 'ink'} style={{ flex: 1 }}>
                    {text}
                  </Text>
                  <Icon name="forward" size={16} color={theme.ink2} />
                </Stack>
              </Pressable>
            </Stack>
          );
        })}
      </Stack>
      {list.length > shown ? (
        <Button label={`Show ${Math.min(PAGE, list.length - shown)} more`} onPress={() => setShown(shown + PAGE)} />
      ) : null}
      <Button label="Add a missed entry" icon="plus" onPress={() => onOpen(null)} />
    </Block>
  );
}
