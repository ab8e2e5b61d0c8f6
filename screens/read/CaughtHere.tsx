import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { byLevel } from '@/core/learn/levels';
import { format, formatLevel, several } from '@/core/units';
import type { Run } from '@/core/water';
import { useFolded, useSettings } from '@/store/hooks';
import { Block, Button, PickRow, Stack, Text } from '@/ui';
import { ShareSheet } from '../shared/later';
import { longDayText } from '../shared/time';

const FISH = 4;
const per100 = (v: number) => (100 * v).toFixed(1);

/** What a run brought so far, and at which level. */
export function CaughtHere({ run }: { run: Run }) {
  const router = useRouter();
  const [{ units }] = useSettings();
  const folded = useFolded();
  const [sharing, setSharing] = useState(false);
  const here = useMemo(
    () =>
      (folded ?? []).flatMap(({ outingId, log }) => {
        const visits = log.visits.filter((v) => v.runId === run.id);
        const fish = log.fish.filter((c) => c.take.runId === run.id);
        return visits.length > 0 ? [{ outingId, visits, fish }] : [];
      }),
    [folded, run.id],
  );
  if (here.length === 0) return null;
  const levels = byLevel(here.flatMap((o) => o.visits));
  const fish = here
    .flatMap((o) => o.fish.map((c) => ({ ...c, outingId: o.outingId })))
    .sort((a, b) => b.take.at - a.take.at);
  return (
    <Block title="What came here">
      <Stack gap="s" role="list" aria-label="By level">
        {levels.map((l) => (
          <Stack key={l.band} role="listitem" gap="xs">
            <Stack row justify="space-between" gap="m">
              <Text>{l.band === 'not read' ? 'level not read' : `level ${l.band}`}</Text>
              <Text size="strong">{`${several(l.takes, 'take')}, ${l.landed} landed`}</Text>
            </Stack>
            <Text size="small" tone="ink2">
              {`${several(l.visits, 'visit')}, ${several(l.casts, 'cast')}${l.rate ? `; per hundred casts between ${per100(l.rate.low)} and ${per100(l.rate.high)}` : ''}`}
            </Text>
          </Stack>
        ))}
      </Stack>
      <Text size="small" tone="ink2">
        Low is more than 10 cm below normal, raised from 10 cm above, high from 30. Where the ranges overlap the levels
        are not told apart yet.
      </Text>
      {fish.slice(0, FISH).map(({ take, levelM, fly, outingId }) => (
        <PickRow
          key={take.id}
          label={longDayText(take.at)}
          value={`${take.fish?.species ?? 'fish'}${take.fish?.lengthM ? `, ${format('small', take.fish.lengthM, units)}` : ''}`}
          detail={[levelM === null ? null : `level ${formatLevel(levelM, units)}`, take.where, fly?.name]
            .filter(Boolean)
            .join(' · ')}
          onPress={() => router.navigate({ pathname: '/learn/[outing]', params: { outing: outingId } })}
        />
      ))}
      <Button
        label="Share what came here"
        icon="out"
        hint="Without the place, unless you say so"
        onPress={() => setSharing(true)}
      />
      {sharing ? (
        <ShareSheet
          title={`Share ${several(here.length, 'outing')} on this run`}
          outingIds={here.map((o) => o.outingId)}
          runId={run.id}
          onClose={() => setSharing(false)}
        />
      ) : null}
    </Block>
  );
}
