import { useMemo } from 'react';
import type { ComesUpTold } from '@/core/learn/comesUp';
import { roundTo } from '@/core/maths';
import { useSettings } from '@/store/hooks';
import { Block, Button, Problem, Stack, Text } from '@/ui';
import { capital } from '@/words/capital';
import { comesUpToldWords, comesUpWords, fishLikeWords } from '@/words/comesUp';
import { howFarUp } from '@/workers/learn';
import { useJob } from '../shared/useJob';
import type { OutingRow } from './outings';

/** What takes tell of how far fish come up to a fly; answers go by it where one says so. */
export function HowFarUp({ rows }: { rows: readonly OutingRow[] }) {
  const rises = useMemo(() => rows.map((r) => r.log.rises), [rows]);
  const { value, error } = useJob(rises, howFarUp, 0);
  const told = value?.filter((t) => t.takes > 0);
  return (
    <Block title="How far up your fish come">
      {error ? <Problem title="Couldn’t work out how far up they come">{error}</Problem> : null}
      {told?.length === 0 ? (
        <Text>No take tells yet. Each cast you count under Fish keeps how high above the fish your fly passed.</Text>
      ) : null}
      {told?.map((t) => (
        <OfFish key={t.of} told={t} />
      ))}
    </Block>
  );
}

/** A factor is used to a twentieth: nothing turns over for less. */
const PARTS = 20;

function OfFish({ told }: { told: ComesUpTold }) {
  const [{ units, comesUp: chosen = {} }, setSettings] = useSettings();
  const { [told.of]: inUse, ...others } = chosen;
  const times = roundTo(PARTS, told.times);
  const fish = capital(fishLikeWords(told.of));
  return (
    <Stack gap="xs">
      <Text size="strong">{fish}</Text>
      <Text>{comesUpToldWords(told)}</Text>
      <Text size="small" tone="ink2">
        {`Used in answers now: ${inUse === undefined ? 'the usual' : 'yours'}. ${comesUpWords(told, inUse ?? 1, units)}`}
      </Text>
      {told.worth && inUse !== times ? (
        <Button
          label="Use yours in answers"
          accessibilityLabel={`Use yours in answers: ${fish}`}
          hint={comesUpWords(told, times, units)}
          onPress={() => setSettings({ comesUp: { ...others, [told.of]: times } })}
        />
      ) : null}
      {inUse === undefined ? null : (
        <Button
          kind="quiet"
          label="Use the usual again"
          accessibilityLabel={`Use the usual again: ${fish}`}
          onPress={() => setSettings({ comesUp: others })}
        />
      )}
    </Stack>
  );
}
