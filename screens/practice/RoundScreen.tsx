import { useMemo, useState } from 'react';
import type { Survey } from '@/core/lies';
import { type Guess, type Marked, markOf } from '@/core/practice/marks';
import { type Grade, PLACES, type RoundKind, type Sureness, SURENESS } from '@/core/practice/played';
import type { Round } from '@/core/practice/rounds';
import type { PlanPoint } from '@/core/water';
import { newId, useSave, useSettings } from '@/store/hooks';
import { Button, Choice, IconButton, Loading, Problem, Screen, Stack, Text } from '@/ui';
import { RunSheet } from '@/ui/charts';
import {
  CHANCES,
  dayWords,
  markedWords,
  questionOf,
  reasonOf,
  ROUND_TITLES,
  SURENESS_WORDS,
  tipChoices,
} from '@/words/practice';
import { practiceRound } from '@/workers/river';
import { QuantityField } from '../shared/QuantityField';
import { useJob } from '../shared/useJob';

interface Props {
  kind: RoundKind;
  seed: number;
  grade: Grade;
  onNext: () => void;
  onBack: () => void;
}

const start = (q: { kind: RoundKind; seed: number; grade: Grade }) => practiceRound(q);

/** One question, its answer with the marks, and why. */
export function RoundScreen({ kind, seed, grade, onNext, onBack }: Props) {
  const ask = useMemo(() => ({ kind, seed, grade }), [kind, seed, grade]);
  const { value: round, error } = useJob(ask, start, 0);
  const lead = <IconButton label="Back to the practice ground" icon="back" onPress={onBack} />;
  if (!round)
    return (
      <Screen title={ROUND_TITLES[kind]} lead={lead}>
        {error ? (
          <Problem title="Couldn’t make up this round" onRetry={onNext}>
            {error}
          </Problem>
        ) : (
          <Loading what="Making up a river…" room={SHEET_PX} />
        )}
      </Screen>
    );
  return <Play round={round} lead={lead} onNext={onNext} />;
}

const SHEET_PX = 400;

function Play({ round, lead, onNext }: { round: Round; lead: React.ReactNode; onNext: () => void }) {
  const [{ units }] = useSettings();
  const { put } = useSave('practice');
  const [places, setPlaces] = useState<readonly PlanPoint[]>([]);
  const [value, setValue] = useState<number | null>(null);
  const [sure, setSure] = useState<Sureness>('fairly');
  const [choice, setChoice] = useState<number | null>(null);
  const [marked, setMarked] = useState<Marked | null>(null);
  const guess = guessOf(round, { places, value, sure, choice });
  const answer = () => {
    if (!guess) return;
    const marks = markOf(round, guess);
    setMarked(marks);
    void put({ id: newId(), at: Date.now(), kind: round.kind, ...marks, ...('sure' in guess && { sure: guess.sure }) });
  };
  const picture =
    'survey' in round ? <Sheet round={round} places={places} open={marked !== null} onPlace={placed} /> : undefined;
  function placed(p: PlanPoint) {
    if (marked === null && round.kind === 'lies') setPlaces([...places, p].slice(-PLACES));
  }
  return (
    <Screen
      title={ROUND_TITLES[round.kind]}
      {...('water' in round && { subtitle: dayWords(round, units) })}
      lead={lead}
      {...(picture && { picture })}
      footer={
        marked ? (
          <Button kind="primary" label="Next round" onPress={onNext} />
        ) : (
          <Button kind="primary" label="Answer" disabled={!guess} onPress={answer} />
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
        </Stack>
      ) : round.kind === 'lies' ? (
        <Places places={places} onChange={setPlaces} />
      ) : round.kind === 'tip' || round.kind === 'luck' ? (
        <Choice
          label={round.kind === 'tip' ? 'Tip' : 'Which is better'}
          showLabel={false}
          options={(round.kind === 'tip' ? tipChoices(round) : CHANCES.map((c) => c.words)).map((label, i) => ({
            value: String(i),
            label,
          }))}
          value={choice === null ? null : String(choice)}
          onChange={(c) => setChoice(Number(c))}
        />
      ) : (
        <>
          <QuantityField
            label={round.kind === 'speed' ? 'Current' : 'Depth'}
            quantity={round.kind === 'speed' ? 'speed' : 'depth'}
            value={value}
            onChange={setValue}
            min={0.02}
            max={MOST}
          />
          <Choice
            label="How sure are you?"
            options={(Object.keys(SURENESS) as Sureness[]).map((s) => ({ value: s, label: SURENESS_WORDS[s] }))}
            value={sure}
            onChange={setSure}
          />
        </>
      )}
    </Screen>
  );
}

/** No invented water is deeper or faster, m and m/s. */
const MOST = 5;

interface Entered {
  readonly places: readonly PlanPoint[];
  readonly value: number | null;
  readonly sure: Sureness;
  readonly choice: number | null;
}

/** What was entered as an answer; null while something is missing. */
function guessOf({ kind }: Round, { places, value, sure, choice }: Entered): Guess | null {
  switch (kind) {
    case 'lies':
      return places.length > 0 ? { kind, places } : null;
    case 'tip':
      return choice === null ? null : { kind, choice };
    case 'luck':
      return choice === null ? null : { kind, chance: CHANCES[choice]!.chance };
    default:
      return value === null || value <= 0 ? null : { kind, value, sure };
  }
}

const ORDER = ['1st', '2nd', '3rd'];

type OnWater = Extract<Round, { survey: Survey }>;

/** The run, without what would tell the answer until it is given. */
function Sheet({
  round,
  places,
  open,
  onPlace,
}: {
  round: OnWater;
  places: readonly PlanPoint[];
  open: boolean;
  onPlace: (p: PlanPoint) => void;
}) {
  const [{ units }] = useSettings();
  const survey = useMemo(() => (open ? round.survey : hidden(round)), [round, open]);
  const asked =
    'at' in round
      ? [
          { id: 'A', ...round.told, grip: true },
          { id: 'B', ...round.at, grip: true },
        ]
      : [];
  const own = places.map((p, i) => ({ id: ORDER[i]!, ...p, grip: true }));
  return (
    <RunSheet
      run={round.water.run}
      survey={survey}
      units={units}
      height={SHEET_PX}
      handles={[...asked, ...own]}
      {...(round.kind === 'tip' && { chosen: round.lie.rank, angler: round.plan })}
      {...(round.kind === 'lies' && !open && { onPoint: (p: PlanPoint) => onPlace(p) })}
      showKey={round.kind !== 'depth' || open}
      summary={`An invented ${round.water.kind}, ${round.water.run.lengthM} m long, from above${open && survey.lies.length > 0 ? `, with its ${survey.lies.length} best lies` : ''}`}
    />
  );
}

/** A survey without what is asked. */
function hidden({ kind, survey, ...rest }: OnWater): Survey {
  // The first tint is all water; the others tell how deep it is.
  if (kind === 'depth') return { ...survey, tints: survey.tints.slice(0, 1) };
  if (kind === 'speed') return { ...survey, flow: [] };
  return { ...survey, lies: kind === 'tip' && 'lie' in rest ? [rest.lie] : [] };
}

/** Places by numbers, for whoever does not tap on a picture; and taking them back. */
function Places({ places, onChange }: { places: readonly PlanPoint[]; onChange: (p: readonly PlanPoint[]) => void }) {
  const [down, setDown] = useState<number | null>(null);
  const [out, setOut] = useState<number | null>(null);
  return (
    <Stack gap="s">
      <Text role="status">{`${places.length} of ${PLACES} places named`}</Text>
      <Stack row wrap align="flex-end">
        <QuantityField label="Down the run" quantity="length" value={down} onChange={setDown} min={0} max={200} />
        <QuantityField label="Out from the bank" quantity="length" value={out} onChange={setOut} min={0} max={60} />
      </Stack>
      <Stack row wrap>
        <Button
          label="Add place"
          icon="plus"
          disabled={down === null || out === null || places.length >= PLACES}
          onPress={() => down !== null && out !== null && onChange([...places, { xM: down, yM: out }])}
        />
        <Button label="Start again" kind="quiet" disabled={places.length === 0} onPress={() => onChange([])} />
      </Stack>
    </Stack>
  );
}
