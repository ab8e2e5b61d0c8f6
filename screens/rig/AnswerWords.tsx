import { useState } from 'react';
import type { Answer, Ask } from '@/core/answer';
import { coversWords, leftWords, oddsWords, sectionWords } from '@/words/answer'; // not the barrel: two lazy pages share these
import { useSettings } from '@/store/hooks';
import { Block, Button, Caution, Choice, Hint, Stack, Text } from '@/ui';
import { costWords } from './costWords';
import {
  bringWords,
  checkWords,
  flipWords,
  nothingWords,
  reasonWords,
  secondWords,
  toReadWords,
  turnWords,
} from '@/words/reasons';
import { stepWords } from '@/words/changes';
import { cautionWords, mistakeWords } from '@/words/cautions';
import { otherWould, SCHOOL_WORDS } from '@/words/schools';
import { Fold } from '../shared/Fold';
import { HowThisWorks } from '../shared/HowThisWorks';

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
  const why = [...a.why.map((r) => reasonWords(r, units)), ...a.mistakes.map((m) => mistakeWords(m, units))];
  return (
    <>
      <Stack gap="xs">
        {a.served ? <Text size="strong">{`${coversWords(a.served, a.asNow)} ${oddsWords(a.served)}`}</Text> : null}
        {a.plan.map((x) => (
          <Text key={`${x.fromM} ${x.lie}`}>{sectionWords(x, units)}</Text>
        ))}
        {a.nothing ? <Text tone="ink2">{nothingWords(a.nothing)}</Text> : null}
        {a.served
          ? leftWords(a.served.givesUp, a.served.way, units).map((line) => <Text key={line}>{line}</Text>)
          : null}
        {a.read ? <Text>{toReadWords(a.read)}</Text> : null}
        {a.bring ? <Text>{bringWords(a.bring, units)}</Text> : null}
      </Stack>
      {a.read ? <Button label="Read the water" onPress={onRead} /> : null}
      {a.changes[0] && ask !== 'only this' ? (
        <Text>{`From your rig: ${stepWords(a.changes[0], units)} (${costWords(a.changes[0].costS)}).`}</Text>
      ) : null}
      {a.served && a.changes.length === 0 && ask === 'change' ? (
        <Text>Your rig is right for this run. Change nothing.</Text>
      ) : null}
      {a.cautions
        .filter((c) => c.level === 'care') // what stops one stands on every screen already
        .map((c) => (
          <Caution key={c.code}>{cautionWords(c, units)}</Caution>
        ))}
      <Fold title="Why" summary={why[0] ?? 'How an answer comes about'}>
        {why.map((line) => (
          <Text key={line}>{line}</Text>
        ))}
        <HowThisWorks page="answer" />
      </Fold>
      <Button
        kind="quiet"
        label={more ? 'Show less' : 'Runner-up, what would change it, how to check'}
        onPress={() => setMore(!more)}
      />
      {more ? <More answer={a} /> : null}
    </>
  );
}

function More({ answer: a }: { answer: Answer }) {
  const [{ units }] = useSettings();
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
    a.second && a.second.adds.length > 0
      ? [
          `The runner-up reaches ${a.second.adds.length > 1 ? 'lies' : 'lie'} ${a.second.adds.join(', ')}, which this rig skips.`,
        ]
      : [];
  return (
    <Stack>
      {list('Runner-up, and why it lost', a.second ? [secondWords(a.second, units), ...adds] : [])}
      {list(
        'What would change it',
        a.flips.map((f) => flipWords(f, units)),
      )}
      {list('How to check it at the river', a.check.map(checkWords))}
      {list(
        'Next, if no fish comes',
        a.rotation.map((t) => `${turnWords(t, units)} (${t.differs}, ${costWords(t.costS)}).`),
      )}
      <Stack gap="xs">
        <Text size="strong">What other schools would do</Text>
        {a.schools.map((x) => (
          <Stack key={x.school} gap="xs">
            <Text>{`${SCHOOL_WORDS[x.school].asks}: here, ${x.used}.`}</Text>
            {x.others.map((o) => (
              <Text key={o.name} tone="ink2" size="small">{`${o.name}: ${otherWould(x, o, units)}`}</Text>
            ))}
          </Stack>
        ))}
      </Stack>
      <Hint>Estimates, not permission: the water’s own rules decide.</Hint>
    </Stack>
  );
}
