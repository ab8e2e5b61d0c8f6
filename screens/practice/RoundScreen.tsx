import { useMemo, useRef, useState } from 'react';
import { type Marked, markOf } from '@/core/practice/marks';
import type { Asked } from '@/core/practice/onWater';
import { PLACES, type RoundKind } from '@/core/practice/played';
import type { Round } from '@/core/practice/rounds';
import { newId, useSave, useSettings } from '@/store/hooks';
import { Button, IconButton, Loading, Problem, Screen, Stack, Text } from '@/ui';
import { dayWords, GAME_TITLES, markedWords } from '@/words/practice';
import { questionOf, reasonOf } from '@/words/rounds';
import { practiceRound } from '@/workers/river';
import { useJob } from '../shared/useJob';
import { type Entered, guessOf, NOTHING_YET, RoundAnswer } from './RoundAnswer';
import { RoundPicture, SHEET_PX } from './RoundPicture';
import { SideBySide } from './SideBySide';

interface Props {
  kind: RoundKind;
  asked: Asked;
  onNext: () => void;
  onBack: () => void;
}

const start = ({ kind, asked }: { kind: RoundKind; asked: Asked }) => practiceRound(kind, asked);

/** One question, its answer with the marks, and why. */
export function RoundScreen({ kind, asked, onNext, onBack }: Props) {
  const ask = useMemo(() => ({ kind, asked }), [kind, asked]);
  const { value: round, error } = useJob(ask, start, 0);
  const lead = <IconButton label="Back to the practice ground" icon="back" onPress={onBack} />;
  if (round) return <Play round={round} lead={lead} onNext={onNext} />;
  return (
    <Screen title={GAME_TITLES[kind]} lead={lead}>
      {error ? (
        <Problem title="Couldn’t make up this round" onRetry={onNext}>
          {asked.own
            ? `No such question comes up on ${asked.own.run.name} that day. Try another day, or another round.`
            : 'No question came up this time. Try another.'}
        </Problem>
      ) : (
        <Loading what={asked.own ? `Rebuilding ${asked.own.run.name}…` : 'Making up a river…'} room={SHEET_PX} />
      )}
    </Screen>
  );
}

function Play({ round, lead, onNext }: { round: Round; lead: React.ReactNode; onNext: () => void }) {
  const [{ units }] = useSettings();
  const { put } = useSave('practice');
  const [entered, setEntered] = useState<Entered>(NOTHING_YET);
  const [marked, setMarked] = useState<Marked | null>(null);
  const change = (part: Partial<Entered>) => setEntered((was) => ({ ...was, ...part }));
  const reached = useRef(0);
  const ready = guessOf(round, entered, 0) !== null;
  const open = marked !== null;
  const answer = () => {
    const guess = guessOf(round, entered, reached.current);
    if (!guess) return;
    const marks = markOf(round, guess);
    setMarked(marks);
    void put({ id: newId(), at: Date.now(), kind: round.kind, ...marks, ...('sure' in guess && { sure: guess.sure }) });
  };
  return (
    <Screen
      title={GAME_TITLES[round.kind]}
      {...('water' in round && { subtitle: dayWords(round, units) })}
      lead={lead}
      picture={
        <RoundPicture
          round={round}
          places={entered.places}
          open={open}
          onPlace={(p) => open || change({ places: [...entered.places, p].slice(-PLACES) })}
          onTime={(t) => {
            reached.current = t;
          }}
        />
      }
      footer={
        open ? (
          <Button kind="primary" label="Next round" onPress={onNext} />
        ) : (
          <Button
            kind="primary"
            label={round.kind === 'moment' ? 'Now' : 'Answer'}
            disabled={!ready}
            onPress={answer}
          />
        )
      }
    >
      <Text>{questionOf(round, units)}</Text>
      {marked ? (
        <Stack gap="s">
          <Text size="title" role="status">
            {markedWords(marked)}
          </Text>
          {reasonOf(round, units).map((s) => (
            <Text key={s}>{s}</Text>
          ))}
          {'options' in round && round.kind !== 'fly' ? <SideBySide round={round} /> : null}
        </Stack>
      ) : (
        <RoundAnswer round={round} entered={entered} onChange={change} />
      )}
    </Screen>
  );
}
