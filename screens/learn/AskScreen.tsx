import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Dimension } from '@/core/learn/evidence';
import type { Lists } from '@/core/learn/proofs';
import type { Question } from '@/core/learn/question';
import { Block, Button, Empty, IconButton, Loading, Problem, Screen, Stack, Text } from '@/ui';
import { capital } from '@/words/capital';
import { countsWords, type Namer, suggestionWords } from '@/words/proofs';
import { DIMENSION_NAMES } from '@/words/properties';
import type { Outings } from '@/workers/learn';
import { HowThisWorks } from '../shared/HowThisWorks';
import { PickOne } from '../shared/PickOne';
import { Answer } from './Answer';
import { Beside } from './Beside';
import { CountedBy } from './CountedBy';
import { OwnLeeway } from './OwnLeeway';
import { useDimensions } from './useDimensions';
import { useOutings } from './useOutings';
import { useExposures, useNamer, useProofs, useTold, useWorthTrying } from './useProofs';

/** Where one may ask: one of these at a time. */
const WHERE = [
  'water',
  'season',
  'hour',
  'temperature',
  'level',
  'trend',
  'freshet',
  'river',
  'run',
  'sky',
] as const satisfies Dimension[];
const ANYWHERE = '';

/** A question is a dimension and two of its values; what is not chosen is what was fished most. */
interface Asked {
  readonly by: Dimension;
  readonly a: string | null;
  readonly b: string | null;
  /** "dimension|value", or anywhere. */
  readonly where: string;
}

/** One against another, as the log has it, and what would be worth trying. */
export function AskScreen() {
  const router = useRouter();
  const rows = useOutings();
  const outings = useExposures(rows);
  const name = useNamer();
  const { value: lists, share, error } = useProofs(outings, 'all water');
  const [asked, setAsked] = useState<Asked>({ by: 'colour', a: null, b: null, where: ANYWHERE });
  const back = <IconButton label="Back to Learn" icon="back" onPress={() => router.navigate('/learn')} />;
  if (error)
    return (
      <Screen title="Ask your log" lead={back}>
        <Problem title="Couldn’t read the log">{error}</Problem>
      </Screen>
    );
  if (!outings || !lists)
    return (
      <Screen title="Ask your log" lead={back}>
        <Loading what={`Comparing what you fished: ${Math.round(100 * share)} %`} />
      </Screen>
    );
  if (outings.flat().length === 0)
    return (
      <Screen title="Ask your log" lead={back}>
        <Empty title="No casts yet" actions={<Button label="Go fishing" onPress={() => router.navigate('/fish')} />}>
          Casts you count under Fish answer here which fly, which water and which hour bring takes.
        </Empty>
      </Screen>
    );
  return (
    <Screen title="Ask your log" subtitle="One against another, on the same days and in like water" lead={back} full>
      <Beside>
        <OneAgainstAnother outings={outings} lists={lists} asked={asked} setAsked={setAsked} name={name} />
        <TryNext
          outings={outings}
          lists={lists}
          name={name}
          onAsk={(by, a, b) => setAsked({ by, a, b, where: ANYWHERE })}
        />
        <OwnLeeway rows={rows ?? []} />
      </Beside>
    </Screen>
  );
}

interface Shown {
  outings: Outings;
  lists: Lists;
  name: Namer;
}

/** The question that stands, null where there is nothing to hold against. */
function questionOf(lists: Lists, { by, a, b, where }: Asked): Question | null {
  const names = lists[by].map((p) => p.name);
  const one = a !== null && names.includes(a) ? a : names[0];
  const other = b !== null && b !== one && names.includes(b) ? b : names.find((n) => n !== one);
  if (one === undefined || other === undefined) return null;
  const [of, value] = where.split('|') as [Dimension, string | undefined];
  return { by, a: one, b: other, where: value === undefined ? {} : { [of]: value } };
}

function OneAgainstAnother({
  outings,
  lists,
  asked,
  setAsked,
  name,
}: Shown & { asked: Asked; setAsked: (a: Asked) => void }) {
  const dims = useDimensions();
  const question = useMemo(() => questionOf(lists, asked), [lists, asked]);
  const { value, error } = useTold(outings, question);
  const values = (by: Dimension) =>
    lists[by].map((p) => ({ value: p.name, label: capital(name(by, p.name)), detail: countsWords(p) }));
  const places = WHERE.filter((of) => of !== asked.by).flatMap((of) =>
    lists[of].map((p) => ({
      value: `${of}|${p.name}`,
      label: `${capital(DIMENSION_NAMES[of])}: ${name(of, p.name)}`,
      detail: countsWords(p),
    })),
  );
  return (
    <Block title="One against another">
      <PickOne
        label="Compare"
        options={dims
          .filter((d) => lists[d].length > 1)
          .map((d) => ({
            value: d,
            label: capital(DIMENSION_NAMES[d]),
          }))}
        value={asked.by}
        onChange={(by) => setAsked({ by, a: null, b: null, where: ANYWHERE })}
      />
      <CountedBy outings={outings} />
      {question ? (
        <>
          <PickOne
            label="This"
            options={values(asked.by)}
            value={question.a}
            onChange={(a) => setAsked({ ...asked, a, b: a === question.b ? question.a : question.b })}
          />
          <PickOne
            label="Against"
            options={values(asked.by).filter((v) => v.value !== question.a)}
            value={question.b}
            onChange={(b) => setAsked({ ...asked, a: question.a, b })}
          />
          <PickOne
            label="In"
            options={[{ value: ANYWHERE, label: 'All water, at any time' }, ...places]}
            value={asked.where}
            onChange={(where) => setAsked({ ...asked, where })}
          />
          {error ? <Problem title="Couldn’t work it out">{error}</Problem> : null}
          {value ? (
            <Answer question={question} told={value} name={name} />
          ) : error ? null : (
            <Loading what="Comparing…" room={220} />
          )}
        </>
      ) : (
        <Text>Only one kind was noted so far. Fish two to compare them.</Text>
      )}
      <HowThisWorks page="rates" />
    </Block>
  );
}

function TryNext({ outings, lists, name, onAsk }: Shown & { onAsk: (by: Dimension, a: string, b: string) => void }) {
  const router = useRouter();
  const { value, error } = useWorthTrying(outings, lists);
  return (
    <Block title="What to try next">
      {error ? <Problem title="Couldn’t work out what to try">{error}</Problem> : null}
      {value?.length === 0 ? (
        <Text>Fish a hundred casts with what you like best first. Then something else can be held against it.</Text>
      ) : null}
      {value ? (
        <Stack gap="m" role="list" aria-label="Worth trying">
          {value.map((s) => {
            const { title, why } = suggestionWords(s, name);
            return (
              <View key={s.by} role="listitem">
                <Text size="strong">{title}</Text>
                <Text>{why}</Text>
                <Button
                  kind="quiet"
                  label="What is known of it"
                  accessibilityLabel={`What is known of it: ${title}`}
                  onPress={() => onAsk(s.by, s.name, s.usual)}
                />
              </View>
            );
          })}
        </Stack>
      ) : error ? null : (
        <Loading what="Weighing what could be learned…" room={120} />
      )}
      <Text size="small" tone="ink2">
        Under Fish, “Fair trial” counts two in turn over the same water, so that luck falls on both alike.
      </Text>
      <Button label="Go fishing" icon="fish" onPress={() => router.navigate('/fish')} />
    </Block>
  );
}
