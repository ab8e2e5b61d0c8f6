import { useMemo } from 'react';
import { trialsOf } from '@/core/cover/trial'; // not the barrel: what two rooms share weighs on the first screen
import { priorOf } from '@/core/learn/prior';
import { trialSoFar } from '@/core/learn/trials';
import { type Happened, rigsOf } from '@/core/logbook';
import { isWetFly } from '@/core/tackle';
import { Block, Text } from '@/ui';
import { trialNames, trialWords } from '@/words/trials';

/** What the fair trials of an outing came to; nothing where there was none. */
export function Trials({ all }: { all: readonly Happened[] }) {
  const told = useMemo(() => {
    const rigs = rigsOf(all);
    return trialsOf(all, rigs).map((t) => {
      const tied = [...rigs.values()].find((r) => r.fly.id === t.flyId);
      return trialWords(trialSoFar(t.sides, t.even, priorOf(!!tied && isWetFly(tied.fly))), trialNames(t, rigs));
    });
  }, [all]);
  if (told.length === 0) return null;
  return (
    <Block title={told.length === 1 ? 'A fair trial' : 'Fair trials'}>
      {told.map((t) => (
        <Text key={t}>{t}</Text>
      ))}
    </Block>
  );
}
