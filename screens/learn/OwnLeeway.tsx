import { useMemo } from 'react';
import type { FishTold, LeewayTold } from '@/core/learn/leeway';
import type { Studied } from '@/core/lies/suitability';
import { roundTo } from '@/core/maths';
import { useSettings } from '@/store/hooks';
import { Block, Button, Problem, Stack, Text } from '@/ui';
import { capital } from '@/words/capital';
import { countedFishWords, fishLikeWords, LEEWAY_NAMES, leewayWords, usedWords } from '@/words/leeway';
import { ownFish } from '@/workers/learn';
import { useJob } from '../shared/useJob';
import type { OutingRow } from './outings';

/** What takes tell of how far fish come to a fly and how they want it; answers go by it where one says so. */
export function OwnLeeway({ rows }: { rows: readonly OutingRow[] }) {
  const passings = useMemo(() => rows.map((r) => r.log.passings), [rows]);
  const { value, error } = useJob(passings, ownFish, 0);
  const told = value?.filter((t) => t.takes > 0);
  return (
    <Block title="How your fish take">
      {error ? <Problem title="Couldn’t work out how they take">{error}</Problem> : null}
      {told?.length === 0 ? (
        <Text>No take tells yet. Each cast you count under Fish keeps how your fly passed the fish.</Text>
      ) : null}
      {told?.map((t) => (
        <OfFish key={t.of} told={t} />
      ))}
    </Block>
  );
}

function OfFish({ told }: { told: FishTold }) {
  return (
    <Stack gap="xs">
      <Text size="strong">{capital(fishLikeWords(told.of))}</Text>
      <Text>{countedFishWords(told)}</Text>
      {told.leeways.map((l) => (
        <OneLeeway key={l.by} of={told.of} told={l} />
      ))}
    </Stack>
  );
}

/** A factor is used to a twentieth: nothing turns over for less. */
const PARTS = 20;

function OneLeeway({ of, told }: { of: Studied; told: LeewayTold }) {
  const [{ units, ownFish: fish = {} }, setSettings] = useSettings();
  const { by, worth } = told;
  const { [of]: { [by]: inUse, ...others } = {}, ...otherFish } = fish;
  const times = roundTo(PARTS, told.times);
  const which = `${capital(fishLikeWords(of))}, ${LEEWAY_NAMES[by]}`;
  const use = (own: typeof others & { [by]?: number }) =>
    setSettings({ ownFish: { ...otherFish, ...(Object.keys(own).length > 0 ? { [of]: own } : null) } });
  return (
    <>
      {worth ? <Text>{leewayWords(told)}</Text> : null}
      <Text size="small" tone="ink2">
        {usedWords(told, inUse, units)}
      </Text>
      {worth && inUse !== times ? (
        <Button
          label="Use yours in answers"
          accessibilityLabel={`Use yours in answers: ${which}`}
          hint={usedWords(told, times, units)}
          onPress={() => use({ ...others, [by]: times })}
        />
      ) : null}
      {inUse === undefined ? null : (
        <Button
          kind="quiet"
          label="Go by what is assumed again"
          accessibilityLabel={`Go by what is assumed again: ${which}`}
          onPress={() => use(others)}
        />
      )}
    </>
  );
}
