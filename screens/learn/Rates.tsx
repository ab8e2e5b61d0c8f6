import { useState } from 'react';
import { View } from 'react-native';
import { type Group, type PlacedExposure, ratesBy } from '@/core/learn';

import { Block, Button, Choice, Stack, Text } from '@/ui';
import { RateBar } from '@/ui/charts';
import { several } from '@/words/counting';
import { HowThisWorks } from '../shared/HowThisWorks';

const BY = [
  { value: 'colour', label: 'fly colour' },
  { value: 'family', label: 'fly' },
  { value: 'water', label: 'water' },
] as const;
const WATERS = [
  { value: 'all', label: 'all water' },
  { value: 'clear', label: 'clear' },
  { value: 'green', label: 'green' },
  { value: 'stained', label: 'stained' },
  { value: 'dirty', label: 'dirty' },
] as const;

/** So many are shown at first, and all that prove something. */
const FIRST = 3;
const isFirm = ({ finding }: Group): boolean => finding === 'better' || finding === 'worse';

/** Takes per hundred casts by one property, each with its interval and what it proves; what proves something first. */
export function Rates({ outings }: { outings: readonly (readonly PlacedExposure[])[] }) {
  const [by, setBy] = useState<(typeof BY)[number]['value']>('colour');
  const [water, setWater] = useState<(typeof WATERS)[number]['value']>('all');
  const some = outings.map((es) => es.filter((e) => water === 'all' || by === 'water' || e.water === water));
  const [open, setOpen] = useState(false);
  const groups = [...ratesBy(some, by)].sort((a, b) => Number(isFirm(b)) - Number(isFirm(a)));
  const first = groups.filter((g, i) => isFirm(g) || i < FIRST);
  const shown = open ? groups : first;
  const max = Math.max(0.02, ...groups.filter((g) => g.rate.casts > 30).map((g) => g.rate.high));
  return (
    <Block title="Takes per hundred casts">
      <Choice label="By" options={BY} value={by} onChange={setBy} />
      {by === 'water' ? null : <Choice label="In" options={WATERS} value={water} onChange={setWater} />}
      {groups.length === 0 ? <Text>No casts in such water yet.</Text> : null}
      <Stack gap="m" role="list" aria-label="Rates">
        {shown.map((g) => (
          <Row key={g.name} group={g} max={max} />
        ))}
      </Stack>
      {first.length < groups.length ? (
        <Button label={open ? 'Show fewer' : `Show all ${groups.length}`} kind="quiet" onPress={() => setOpen(!open)} />
      ) : null}
      <Text size="small" tone="ink2">
        The bar holds the true rate nine times in ten; the mark in it is the best guess.
      </Text>
      <HowThisWorks page="rates" />
    </Block>
  );
}

const per100 = (v: number) => (100 * v).toFixed(1);

function Row({ group, max }: { group: Group; max: number }) {
  const { rate, finding, byHand } = group;
  const firm = isFirm(group);
  const counts = `${several(group.takes, 'take')} in ${several(group.casts, 'cast')}${byHand > 0 ? `, ${byHand === group.casts ? 'all' : byHand} by hand` : ''}`;
  const said = `${group.name}: ${per100(rate.mean)} takes per hundred casts, between ${per100(rate.low)} and ${per100(rate.high)}; ${counts}; ${finding}`;
  return (
    <View role="listitem" aria-label={said}>
      <Stack row align="baseline" justify="space-between">
        <Text size="strong" style={{ flexShrink: 1 }}>
          {group.name}
        </Text>
        <Text size={firm ? 'strong' : 'small'} tone={firm ? 'ink' : 'ink2'}>
          {finding}
        </Text>
      </Stack>
      <RateBar low={rate.low} mean={rate.mean} high={rate.high} max={max} />
      <Text size="small" tone="ink2">
        {`${per100(rate.mean)} (${per100(rate.low)} to ${per100(rate.high)}); ${counts}`}
      </Text>
    </View>
  );
}
