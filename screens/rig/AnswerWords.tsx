import { useState } from 'react';
import type { Answer, Ask } from '@/core/answer';
import { givenUpWords, oddsWords } from '@/core/answer/words'; // not the barrel: two lazy pages share these
import { Block, Button, Caution, Choice, Hint, Stack, Text } from '@/ui';
import { costWords } from './costWords';

interface Props {
  answer: Answer;
  ask: Ask;
  onAsk: (ask: Ask) => void;
  /** Goes to where the run is read. */
  onRead: () => void;
  /** Something is tied on that could be changed, or fished alone. */
  isOn: boolean;
}

const ASK_LABELS: Record<Ask, string> = {
  best: 'best of the bag',
  change: 'smallest change',
  'only this': 'only what is on',
};

/** Why this, how sure, what was second, what would flip it, how to check it. */
export function AnswerWords({ answer: a, ask, onAsk, onRead, isOn }: Props) {
  const [more, setMore] = useState(false);
  const givenUp = a.served ? givenUpWords(a.served) : '';
  const asks = (['best', 'change', 'only this'] as const).map((value) => ({ value, label: ASK_LABELS[value] }));
  return (
    <Block title="Why this">
      {isOn ? <Choice label="What is asked" options={asks} value={ask} onChange={onAsk} /> : null}
      <Stack gap="xs">
        {a.why.map((line) => (
          <Text key={line}>{line}</Text>
        ))}
        {a.served ? <Text size="strong">{oddsWords(a.served)}</Text> : null}
        {givenUp ? <Text>{givenUp}</Text> : null}
        {a.read ? <Text>{a.read}</Text> : null}
        {a.bring ? <Text>{a.bring}</Text> : null}
      </Stack>
      {a.read ? <Button label="Read the water" onPress={onRead} /> : null}
      {a.changes[0] && ask !== 'only this' ? (
        <Text>{`From what is on: ${a.changes[0].words} (${costWords(a.changes[0].costS)}).`}</Text>
      ) : null}
      {a.served && a.changes.length === 0 && ask === 'change' ? <Text>What is on does it: change nothing.</Text> : null}
      {a.mistakes.map((m) => (
        <Caution key={m}>{m}</Caution>
      ))}
      {a.cautions
        .filter((c) => c.level === 'care') // what stops one stands on every screen already
        .map((c) => (
          <Caution key={c.says}>{c.says}</Caution>
        ))}
      <Button
        kind="quiet"
        label={more ? 'Less about it' : 'Second choice, what would flip it, how to check'}
        onPress={() => setMore(!more)}
      />
      {more ? <More answer={a} /> : null}
    </Block>
  );
}

function More({ answer: a }: { answer: Answer }) {
  const list = (title: string, lines: readonly string[]) =>
    lines.length === 0 ? null : (
      <Stack gap="xs">
        <Text size="strong">{title}</Text>
        {lines.map((l) => (
          <Text key={l}>{l}</Text>
        ))}
      </Stack>
    );
  const adds =
    a.second && a.second.adds.length > 0 ? [`It would serve ${a.second.adds.join(', ')}, which this gives up.`] : [];
  return (
    <Stack>
      {list('Second, and why it lost', a.second ? [a.second.says, ...adds] : [])}
      {list(
        'What would flip it',
        a.flips.map((f) => `${f.when}: ${f.then}.`),
      )}
      {list('How to check it at the river', a.check)}
      {list(
        'Next, if nothing comes',
        a.rotation.map((t) => `${t.words} (${t.differs}, ${costWords(t.costS)}).`),
      )}
      <Stack gap="xs">
        <Text size="strong">What other schools would do</Text>
        {a.schools.map((x) => (
          <Stack key={x.school} gap="xs">
            <Text>{`${x.asks}: here, ${x.used}.`}</Text>
            {x.others.map((o) => (
              <Text key={o.name} tone="ink2" size="small">{`${o.name}: ${o.would}`}</Text>
            ))}
          </Stack>
        ))}
      </Stack>
      <Hint>Estimates, not permission: the water’s own rules decide.</Hint>
    </Stack>
  );
}
