import { View } from 'react-native';
import type { Answer } from '@/core/answer';
import { coversWords, leftWords, sectionWords } from '@/words/answer'; // not the barrel: two lazy pages share these
import { describeRig } from '@/core/tackle';

import { Block, Caution, Stack, Text } from '@/ui';
import { nothingWords } from '@/words/reasons';
import { type UnitSystem } from '@/words/units';

interface Props {
  answer: Answer | null;
  /** The run in sight is today's: of another level nothing is known. */
  asToday: boolean;
  units: UnitSystem;
}

/** How to work down the run, or up it, as the answer has it: where to begin, the way, what is left and why. */
export function OrderBlock({ answer, asToday, units }: Props) {
  const served = answer?.served;
  return (
    <Block title="How to fish it">
      {!asToday ? (
        <Text tone="ink2">Only for today’s level.</Text>
      ) : !answer ? (
        <Text tone="ink2">Working it out…</Text>
      ) : !served ? (
        <Text>{answer.nothing ? nothingWords(answer.nothing) : ''}</Text>
      ) : (
        <>
          <Text>{`With ${describeRig(served.setup.rig)}. ${coversWords(served, answer.asNow)}`}</Text>
          <Stack role="list">
            {answer.plan.map((x, i) => (
              <View key={`${x.fromM} ${x.lie}`} role="listitem">
                <Text>{`${i + 1}. ${sectionWords(x, units)}`}</Text>
              </View>
            ))}
          </Stack>
          {leftWords(served.givesUp, served.way, units).map((line) => (
            <Text key={line} tone="ink2">
              {line}
            </Text>
          ))}
        </>
      )}
      <Caution>
        All positions are in water that is easy for fit adults. A bed can fall away in one step: staff in hand, and turn
        back when in doubt.
      </Caution>
    </Block>
  );
}
