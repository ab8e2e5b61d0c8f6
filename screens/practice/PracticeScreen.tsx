import { useRouter } from 'expo-router';
import { useState } from 'react';
import { eyeOf } from '@/core/practice/eye';
import { type Grade, GRADES, type RoundKind } from '@/core/practice/played';
import { useRecords } from '@/store/hooks';
import { Block, Choice, IconButton, Loading, PickRow, Screen, Stack, Text } from '@/ui';
import { eyeWords, ROUND_TITLES } from '@/words/practice';
import { RoundScreen } from './RoundScreen';

/** A game of one round after the other on water that nobody has to drive to. */
export function PracticeScreen() {
  const router = useRouter();
  const { data: played } = useRecords('practice');
  const [grade, setGrade] = useState<Grade>('plain');
  const [playing, setPlaying] = useState<{ kind: RoundKind; seed: number } | null>(null);
  if (playing)
    return (
      <RoundScreen
        key={`${playing.kind}-${playing.seed}`}
        {...playing}
        grade={grade}
        onNext={() => setPlaying({ kind: playing.kind, seed: newSeed() })}
        onBack={() => setPlaying(null)}
      />
    );
  const back = <IconButton label="Back to Learn" icon="back" onPress={() => router.navigate('/learn')} />;
  if (!played)
    return (
      <Screen title="Practice ground" lead={back}>
        <Loading what="Opening…" />
      </Screen>
    );
  return (
    <Screen title="Practice ground" subtitle="Invented water, a minute a round. Your log stays as it is." lead={back}>
      <Choice
        label="How hard"
        options={GRADES.map((g) => ({ value: g, label: g }))}
        value={grade}
        onChange={setGrade}
      />
      <Block title="Rounds, what is due first">
        <Stack gap="s">
          {eyeOf(played).map((e) => (
            <PickRow
              key={e.kind}
              label=""
              value={ROUND_TITLES[e.kind]}
              detail={eyeWords(e).join('. ')}
              icon="play"
              onPress={() => setPlaying({ kind: e.kind, seed: newSeed() })}
            />
          ))}
        </Stack>
      </Block>
      <PickRow
        label="To look at, without marks"
        value="What moves the fly"
        detail="One thing at a time, the rest fixed"
        onPress={() => router.navigate('/moves')}
      />
      <Text size="small" tone="ink2">
        The answers are those of this program’s own model of water, fish and line. On the river, look before you step
        in, and learn hard wading and hard casts with a qualified instructor.
      </Text>
    </Screen>
  );
}

/** Seeds are whole numbers that a person could say. */
const SEEDS = 1_000_000;
const newSeed = (): number => 1 + Math.floor(SEEDS * Math.random());
