import { useSettings } from '@/store/hooks';
import { useRouter } from 'expo-router';
import { beyondMeans } from '@/core/cast';
import { checkRig, type WaterRules } from '@/core/rules';
import { consequencesOf, type Rig } from '@/core/tackle';
import { Block, Button, Caution, Stack, Text } from '@/ui';
import { useMeans } from '../shared/useMeans';
import { breachWords } from '@/words/rules';
import { consequenceWords } from '@/words/consequences';
import { beyondWords, worthLearning } from '@/words/cast';

interface Props {
  rig: Rig;
  rules: WaterRules | null;
  /** Wood stands in the run. */
  wood: boolean;
}

/** What follows from how the rig is put together: what the rules say, what will go wrong, what holds. */
export function WhatFollows({ rig, rules, wood }: Props) {
  const router = useRouter();
  const [{ units }] = useSettings();
  const { means, asked } = useMeans();
  const all = consequencesOf(rig, { wood });
  const beyond = beyondMeans(means, rig);
  const learn = beyond.flatMap((b) => worthLearning(b) ?? []);
  return (
    <Block title="What follows">
      <Stack>
        {rules
          ? checkRig(rules, rig).map((b) => (
              <Caution key={b.rule} strong>
                {breachWords(b)}
              </Caution>
            ))
          : null}
        {all
          .filter((c) => c.level === 'bad' || c.of === 'hands')
          .map((c) => (
            <Caution key={c.code}>{consequenceWords(c, units)}</Caution>
          ))}
        {beyond.map((b) => (
          <Caution key={beyondWords(b)}>{beyondWords(b)}</Caution>
        ))}
        {all
          .filter((c) => c.level !== 'bad' && c.of !== 'hands')
          .map((c) => (
            <Text key={c.code} tone={c.level === 'good' ? 'ink2' : 'ink'}>
              {consequenceWords(c, units)}
            </Text>
          ))}
        {learn.length > 0 ? <Text>{`Worth learning, with a qualified instructor: ${learn.join('; ')}.`}</Text> : null}
      </Stack>
      <Button
        kind="quiet"
        label={asked ? 'What you can do' : 'Enter what you can do (advice keeps to it)'}
        onPress={() => router.push({ pathname: '/bag/means', params: { from: 'rig' } })}
      />
    </Block>
  );
}
