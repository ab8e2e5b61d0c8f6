import { useState } from 'react';
import type { Answer, Ask } from '@/core/answer';
import { coversWords, leftWords, oddsWords, sectionWords } from '@/core/answer/words'; // not the barrel: two lazy pages share these
import { useSettings } from '@/store/hooks';
import { Block, Button, Caution, Choice, Hint, Stack, Text } from '@/ui';
import { costWords } from './costWords';

interface Props {
  /** Null while it is worked out: what is asked can be changed meanwhile. */
  answer: Answer | null;
  ask: Ask;
  onAsk: (ask: Ask) => void;
  /** Goes to where the run is read. */
  onRead: () => void;
  /** Something is tied on that could be changed, or fished alone. */
  isOn: boolean;
}

const ASK_LABELS: Record<Ask, string> = {
  best: 'the best rig',
  change: 'the smallest change',
  'only this': 'casts for this rig',
};

/** Why this, how sure, what was second, what would flip it, how to check it. */
export function AnswerWords({ answer, ask, onAsk, onRead, isOn }: Props) {
  const asks = (['best', 'change', 'only this'] as const).map((value) => ({ value, label: ASK_LABELS[value] }));
  if (!answer && !isOn) return null;
  return (
    <Block title="How to fish it, and why">
      {isOn ? <Choice label="Find me" options={asks} value={ask} onChange={onAsk} /> : null}
      {answer ? <Told answer={answer} ask={ask} onRead={onRead} /> : null}
    </Block>
  );
}

function Told({ answer: a, ask, onRead }: { answer: Answer } & Pick<Props, 'ask' | 'onRead'>) {
  const [more, setMore] = useState(false);
  const [{ units }] = useSettings();
  return (
    <>
      <Stack gap="xs">
        {a.served ? <Text size="strong">{`${coversWords(a.served, a.asNow)} ${oddsWords(a.served)}`}</Text> : null}
        {a.plan.map((x) => (
          <Text key={`${x.fromM} ${x.lie}`}>{sectionWords(x, units)}</Text>
        ))}
        {a.why.map((line) => (
          <Text key={line} tone="ink2">
            {line}
          </Text>
        ))}
        {a.served?.givesUp.map((g) => (
          <Text key={g.lie.rank}>{leftWords(g, a.served!.way, units)}</Text>
        ))}
        {a.read ? <Text>{a.read}</Text> : null}
        {a.bring ? <Text>{a.bring}</Text> : null}
      </Stack>
      {a.read ? <Button label="Read the water" onPress={onRead} /> : null}
      {a.changes[0] && ask !== 'only this' ? (
        <Text>{`From your rig: ${a.changes[0].words} (${costWords(a.changes[0].costS)}).`}</Text>
      ) : null}
      {a.served && a.changes.length === 0 && ask === 'change' ? (
        <Text>Your rig is right for this run. Change nothing.</Text>
      ) : null}
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
        label={more ? 'Less about it' : 'Runner-up, what would change it, how to check'}
        onPress={() => setMore(!more)}
      />
      {more ? <More answer={a} /> : null}
    </>
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
    a.second && a.second.adds.length > 0 ? [`It shows its fly at ${a.second.adds.join(', ')}, which this leaves.`] : [];
  return (
    <Stack>
      {list('Runner-up, and why it lost', a.second ? [a.second.says, ...adds] : [])}
      {list(
        'What would change it',
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
