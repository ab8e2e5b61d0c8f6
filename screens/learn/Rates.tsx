import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { type Dimension, isCalled } from '@/core/learn/evidence';
import type { Group, Lists } from '@/core/learn/proofs';
import { Block, Button, Choice, Loading, Problem, Stack, Text } from '@/ui';
import { RateBar } from '@/ui/charts';
import { capital } from '@/words/capital';
import { type Namer, notNotedWords, sideWords, ratioWords, withoutPlaces } from '@/words/proofs';
import { DIMENSION_NAMES } from '@/words/properties';
import type { Outings } from '@/workers/learn';
import { HowThisWorks } from '../shared/HowThisWorks';
import { PickOne } from '../shared/PickOne';
import { CountedBy } from './CountedBy';
import { Picture } from '../shared/Picture';
import { rateTable } from './rateTable';
import { useDimensions } from './useDimensions';
import { useProofs, useRated } from './useProofs';

const WATERS = [
  { value: 'all', label: 'all water' },
  { value: 'clear', label: 'clear' },
  { value: 'green', label: 'green' },
  { value: 'stained', label: 'stained' },
  { value: 'dirty', label: 'dirty' },
] as const;

/** So many are shown at first, and all that prove something. */
const FIRST = 3;

interface Props {
  outings: Outings;
  /** What all water proves; null while it is worked out. */
  lists: Lists | null;
  name: Namer;
}

const BAR = 'The bar holds the true rate nine times in ten; the mark in it is the best guess.';

/** Takes per hundred casts by one property, each with its interval and what it proves; what proves something first. */
export function Rates({ outings, lists, name }: Props) {
  const dims = useDimensions();
  const [by, setBy] = useState<Dimension>('colour');
  const [water, setWater] = useState<(typeof WATERS)[number]['value']>('all');
  const inOne = water !== 'all' && by !== 'water';
  const some = useMemo(
    () => (inOne ? outings.map((es) => es.filter((e) => e.shown.water === water)) : outings),
    [outings, inOne, water],
  );
  const one = useProofs(inOne ? some : null, 'one water');
  const shownLists = inOne ? one.value : lists;
  const { value: groups, error } = useRated(some, by, shownLists);
  return (
    <Block title="Takes per hundred casts">
      <PickOne
        label="Compare by"
        options={dims.map((d) => ({ value: d, label: capital(DIMENSION_NAMES[d]) }))}
        value={by}
        onChange={setBy}
      />
      <CountedBy outings={outings} />
      {by === 'water' ? null : <Choice label="In" options={WATERS} value={water} onChange={setWater} />}
      {error ? <Problem title="Couldn’t work out the rates">{error}</Problem> : null}
      {groups ? (
        <List key={by} groups={groups} by={by} name={name} />
      ) : error ? null : (
        <Loading what={`Comparing: ${Math.round(100 * one.share)} %`} room={260} />
      )}
      {groups ? (
        <Text size="small" tone="ink2">
          {`${BAR} ${notNotedWords(some, by) ?? ''}`.trim()}
        </Text>
      ) : null}
      <HowThisWorks page="rates" />
    </Block>
  );
}

function ratesPage(groups: readonly Group[], by: Dimension, name: Namer) {
  const veiled = withoutPlaces(name);
  return {
    title: `Takes per hundred casts, by ${DIMENSION_NAMES[by]}`,
    lines: [BAR],
    after: [],
    each: groups.map((g) => ({
      name: `${capital(veiled(by, g.name))}: ${g.finding}`,
      said: [sideWords(g), ratioWords(g)],
    })),
  };
}

function List({ groups, by, name }: { groups: readonly Group[]; by: Dimension; name: Namer }) {
  const [open, setOpen] = useState(false);
  const sorted = [...groups].sort((a, b) => Number(isCalled(b)) - Number(isCalled(a)));
  const first = sorted.filter((g, i) => isCalled(g) || i < FIRST);
  const shown = open ? sorted : first;
  const max = Math.max(0.02, ...groups.filter((g) => g.casts > 30).map((g) => g.rate.high));
  if (groups.length === 0) return <Text>No casts of this kind yet.</Text>;
  return (
    <>
      <Picture
        pageOnly
        name={`wanderung-rates-${by}`}
        csv={() =>
          rateTable(
            by,
            shown.map((g) => [name(by, g.name), g]),
          )
        }
        page={() => ratesPage(shown, by, name)}
      >
        <Stack gap="m" role="list" aria-label="Rates">
          {shown.map((g) => (
            <Row key={g.name} group={g} label={name(by, g.name)} max={max} />
          ))}
        </Stack>
      </Picture>
      {first.length < groups.length ? (
        <Button label={open ? 'Show fewer' : `Show all ${groups.length}`} kind="quiet" onPress={() => setOpen(!open)} />
      ) : null}
    </>
  );
}

function Row({ group, label, max }: { group: Group; label: string; max: number }) {
  const { rate, finding } = group;
  const firm = isCalled(group);
  return (
    <View role="listitem" aria-label={`${label}: ${sideWords(group)}; ${finding}`}>
      <Stack row align="baseline" justify="space-between">
        <Text size="strong" style={{ flexShrink: 1 }}>
          {label}
        </Text>
        <Text size={firm ? 'strong' : 'small'} tone={firm ? 'ink' : 'ink2'}>
          {finding}
        </Text>
      </Stack>
      <RateBar low={rate.low} mean={rate.middle} high={rate.high} max={max} />
      <Text size="small" tone="ink2">
        {sideWords(group)}
      </Text>
      <Text size="small" tone="ink2">
        {ratioWords(group)}
      </Text>
    </View>
  );
}
