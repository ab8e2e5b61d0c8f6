import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Choice, PickRow, Sheet, Stack, Text, TextField } from '@/ui';
import { longDayText } from '../shared/time';
import { ALL_OUTINGS, type OutingFilter, type OutingRow, tallyText, wanted, yearOf } from './outings';

/** So many at first; beside an open one as many as at a time, so that it is among them. */
const FIRST = 3;
const PAGE = 12;
const ANY = 'any';

interface Props {
  rows: readonly OutingRow[];
  /** The one that is open beside the list. */
  openId?: string;
  /** What can be done with those that are listed. */
  actions?: (listed: readonly OutingRow[]) => React.ReactNode;
}

/** Outings to look for and to open: by year, water and run, and by words in notes and fish. */
export function OutingList({ rows, openId, actions }: Props) {
  const router = useRouter();
  const [filter, setFilter] = useState<OutingFilter>(ALL_OUTINGS);
  const [choosing, setChoosing] = useState(false);
  const first = openId ? PAGE : FIRST;
  const [shown, setShown] = useState(first);
  const list = wanted(rows, filter);
  const change = (part: Partial<OutingFilter>) => {
    setFilter((f) => ({ ...f, ...part }));
    setShown(first);
  };
  const water = rows.find((r) => r.outing.waterId === filter.waterId)?.water;
  const said = [filter.year, water, filter.run].filter((v) => v !== null && v !== undefined).join(', ');
  return (
    <Stack>
      <TextField label="Search notes, fish and runs" value={filter.words} onChange={(words) => change({ words })} />
      <PickRow label="Show" value={said || 'all years and waters'} onPress={() => setChoosing(true)} />
      <Text size="small" tone="ink2" role="status">
        {list.length < rows.length ? `${list.length} of ${rows.length} listed` : ''}
      </Text>
      <Stack role="list" aria-label="Outings" gap="s">
        {list.slice(0, shown).map(({ outing, water: name, log }) => (
          <View key={outing.id} role="listitem">
            <PickRow
              label={longDayText(outing.startedAt)}
              value={name}
              detail={[
                [...new Set(log.visits.map((v) => v.runName))].join(', '),
                outing.endedAt === null ? 'still open' : '',
                `${tallyText(log)}${log.tally.byHand > 0 ? ', by hand' : ''}`,
              ]
                .filter(Boolean)
                .join(' · ')}
              chosen={outing.id === openId}
              onPress={() => router.navigate({ pathname: '/learn/[outing]', params: { outing: outing.id } })}
            />
          </View>
        ))}
      </Stack>
      {list.length > shown ? (
        <Button label={`Show ${Math.min(PAGE, list.length - shown)} more`} onPress={() => setShown(shown + PAGE)} />
      ) : null}
      {actions?.(list)}
      {choosing ? (
        <FilterSheet rows={rows} filter={filter} onChange={change} onClose={() => setChoosing(false)} />
      ) : null}
    </Stack>
  );
}

interface FilterProps {
  rows: readonly OutingRow[];
  filter: OutingFilter;
  onChange: (part: Partial<OutingFilter>) => void;
  onClose: () => void;
}

function FilterSheet({ rows, filter, onChange, onClose }: FilterProps) {
  const options = (label: string, values: readonly (readonly [string, string])[]) => [
    { value: ANY, label },
    ...values.map(([value, text]) => ({ value, label: text })),
  ];
  const years = [...new Set(rows.map((r) => yearOf(r.outing)))].sort((a, b) => b - a);
  const waters = [...new Map(rows.map((r) => [r.outing.waterId, r.water]))];
  const own = rows.filter((r) => filter.waterId === null || r.outing.waterId === filter.waterId);
  const runs = [...new Set(own.flatMap((r) => r.log.visits.map((v) => v.runName)))].sort();
  const or = (v: string) => (v === ANY ? null : v);
  return (
    <Sheet title="Filter outings" open onClose={onClose}>
      <Choice
        label="Year"
        options={options(
          'all years',
          years.map((y) => [String(y), String(y)]),
        )}
        value={filter.year === null ? ANY : String(filter.year)}
        onChange={(v) => onChange({ year: v === ANY ? null : Number(v) })}
      />
      <Choice
        label="Water"
        options={options('all waters', waters)}
        value={filter.waterId ?? ANY}
        onChange={(v) => onChange({ waterId: or(v), run: null })}
      />
      <Choice
        label="Run"
        options={options(
          'all runs',
          runs.map((r) => [r, r]),
        )}
        value={filter.run ?? ANY}
        onChange={(v) => onChange({ run: or(v) })}
      />
      <Button label="Show" kind="primary" onPress={onClose} />
    </Sheet>
  );
}
