import { useRouter } from 'expo-router';
import { beyondMeans } from '@/core/cast';
import { checkRig, type WaterRules } from '@/core/rules';
import { consequencesOf, type Rig } from '@/core/tackle';
import { Block, Button, Caution, Stack, Text } from '@/ui';
import { useMeans } from '../shared/useMeans';

interface Props {
  rig: Rig;
  rules: WaterRules | null;
  /** Wood stands in the run. */
  wood: boolean;
}

/** What follows from how the rig is put together: what the rules say, what will go wrong, what holds. */
export function WhatFollows({ rig, rules, wood }: Props) {
  const router = useRouter();
  const { means, asked } = useMeans();
  const all = consequencesOf(rig, { wood });
  const beyond = beyondMeans(means, rig);
  const learn = beyond.flatMap((b) => b.learn ?? []);
  return (
    <Block title="What follows">
      <Stack>
        {rules
          ? checkRig(rules, rig).map((b) => (
              <Caution key={b.rule} strong>
                {b.says}
              </Caution>
            ))
          : null}
        {all
          .filter((c) => c.level === 'bad' || c.of === 'hands')
          .map((c) => (
            <Caution key={c.says}>{c.says}</Caution>
          ))}
        {beyond.map((b) => (
          <Caution key={b.says}>{b.says}</Caution>
        ))}
        {all
          .filter((c) => c.level !== 'bad' && c.of !== 'hands')
          .map((c) => (
            <Text key={c.says} tone={c.level === 'good' ? 'ink2' : 'ink'}>
              {c.says}
            </Text>
          ))}
        {learn.length > 0 ? <Text>{`Worth learning, with a qualified instructor: ${learn.join('; ')}.`}</Text> : null}
      </Stack>
      <Button
        kind="quiet"
        label={asked ? 'What you can do' : 'Say what you can do: advice keeps to it'}
        onPress={() => router.push({ pathname: '/bag/means', params: { from: 'rig' } })}
      />
    </Block>
  );
}
