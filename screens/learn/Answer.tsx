import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { WAYS } from '@/core/cast';
import { fairPair, isPairedBy } from '@/core/learn/fairPair';
import type { Question, Told } from '@/core/learn/question';
import { notAllowed } from '@/core/rules';
import { describeFly } from '@/core/tackle';
import { useSession } from '@/store/hooks';
import type { PlannedTrial } from '@/store/records';
import { Button, Hint, Stack, Text } from '@/ui';
import { RateBar } from '@/ui/charts';
import { capital } from '@/words/capital';
import {
  alongWords,
  type Namer,
  questionWords,
  sideWords,
  toldWords,
  toTellWords,
  withoutPlaces,
} from '@/words/proofs';
import { useKit } from '../shared/useKit';
import { useWater } from '../shared/useWater';
import { Picture } from '../shared/Picture';
import { rateTable } from './rateTable';

const SIDES = ['a', 'b'] as const;

const answerPage = (question: Question, told: Told, name: Namer) => ({
  title: questionWords(question, name),
  lines: toldWords(question, told, name),
  after: [...told.alongWith.map((w) => alongWords(question, w, name)), ...[toTellWords(told) ?? []].flat()],
  each: SIDES.map((side) => ({ name: capital(name(question.by, question[side])), said: [sideWords(told[side])] })),
});

/** What was asked, answered: found, counted, what else differed, how many casts more would tell; and a fair trial of it. */
export function Answer({ question, told, name }: { question: Question; told: Told; name: Namer }) {
  const [first, ...rest] = toldWords(question, told, name);
  const toTell = toTellWords(told);
  const max = Math.max(0.02, told.a.rate.high, told.b.rate.high);
  return (
    <Stack gap="m">
      <Text size="small" tone="ink2">
        {questionWords(question, name)}
      </Text>
      <Text size="strong" role="status">
        {first}
      </Text>
      <Picture
        pageOnly
        name={`wanderung-${question.by}`}
        csv={() =>
          rateTable(
            question.by,
            SIDES.map((side) => [name(question.by, question[side]), told[side]]),
          )
        }
        page={() => answerPage(question, told, withoutPlaces(name))}
      >
        <Stack gap="s" role="list" aria-label="Takes of each">
          {SIDES.map((side) => (
            <View key={side} role="listitem">
              <Text size="strong">{capital(name(question.by, question[side]))}</Text>
              <RateBar low={told[side].rate.low} mean={told[side].rate.middle} high={told[side].rate.high} max={max} />
              <Text size="small" tone="ink2">
                {sideWords(told[side])}
              </Text>
            </View>
          ))}
        </Stack>
      </Picture>
      {rest.map((s) => (
        <Text key={s}>{s}</Text>
      ))}
      {told.alongWith.length > 0 ? (
        <View>
          <Text size="strong">What else differed</Text>
          {told.alongWith.map((w) => (
            <Text key={w.of}>{alongWords(question, w, name)}</Text>
          ))}
        </View>
      ) : null}
      {toTell ? <Text>{toTell}</Text> : null}
      <SetUpTrial question={question} />
    </Stack>
  );
}

/** The two as a fair trial on the river: flies of one’s bag, or ways to fish. */
function SetUpTrial({ question: { by, a, b } }: { question: Question }) {
  const router = useRouter();
  const { data: kit } = useKit();
  const [session, setSession] = useSession();
  const rules = useWater(session?.waterId)?.rules ?? null;
  const setUp = (trial: PlannedTrial) => {
    setSession({ trial });
    router.navigate('/fish');
  };
  const [one, other] = [a, b].map((value) => WAYS.find((way) => way === value));
  if (by === 'way' && one && other)
    return (
      <Button
        label="Set up a fair trial"
        hint={`${one} against ${other}`}
        onPress={() => setUp({ ways: { a: one, b: other } })}
      />
    );
  if (!isPairedBy(by) || !kit) return null;
  const allowed = kit.filter((k) => notAllowed(rules, k) === null);
  const pair = fairPair(allowed, by, a, b) ?? fairPair(kit, by, a, b);
  if (!pair) return <Hint>For a fair trial your bag needs a fly of each.</Hint>;
  return (
    <Stack gap="xs">
      <Button
        label="Set up a fair trial"
        hint={`${describeFly(pair.a)} against ${describeFly(pair.b)}`}
        onPress={() => setUp({ a: pair.a.id, b: pair.b.id })}
      />
      {pair.differs > 0 ? <Hint>They differ in more than this: the trial tells of the two flies only.</Hint> : null}
    </Stack>
  );
}
