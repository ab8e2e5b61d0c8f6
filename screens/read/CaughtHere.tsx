import { useMemo, useState } from 'react';
import { byLevel } from '@/core/learn/levels';
import type { Run } from '@/core/water';
import { useFolded } from '@/store/hooks';
import { Button, Stack, Text } from '@/ui';
import { Fold } from '../shared/Fold';
import { FishRow } from '../shared/FishRow';
import { ShareSheet } from '../shared/later';
import { several } from '@/words/counting';

const FISH = 4;
const per100 = (v: number) => (100 * v).toFixed(1);

/** What a run brought so far, and at which level. */
export function CaughtHere({ run }: { run: Run }) {
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
    <Fold
      block
      title="Takes here"
      summary={`${several(
        levels.reduce((n, l) => n + l.takes, 0),
        'take',
      )}, ${fish.length} landed, by level`}
    >
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
        Low is more than 10 cm below normal, raised from 10 cm above, high from 30. Where the ranges overlap, no
        difference is proved yet.
      </Text>
      {fish.slice(0, FISH).map((f) => (
        <FishRow key={f.take.id} fish={f} level />
      ))}
      <Button
        label="Share takes here"
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
    </Fold>
  );
}
