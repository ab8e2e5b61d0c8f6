import { useState } from 'react';
import { type Guess, isChoice } from '@/core/practice/marks';
import { PLACES, type Sureness, SURENESS } from '@/core/practice/played';
import type { Round } from '@/core/practice/rounds';
import type { PlanPoint } from '@/core/water';
import { useSettings } from '@/store/hooks';
import { Button, Choice, Stack, Text } from '@/ui';
import { SURENESS_WORDS } from '@/words/practice';
import { CHANCES, choicesOf } from '@/words/rounds';
import { QuantityField } from '../shared/QuantityField';

/** What was entered for a round so far. */
export interface Entered {
  readonly places: readonly PlanPoint[];
  readonly value: number | null;
  readonly sure: Sureness;
  readonly choice: number | null;
}
export const NOTHING_YET: Entered = { places: [], value: null, sure: 'fairly', choice: null };

/** No water of the rounds is deeper or faster, m and m/s. */
const MOST = 5;

/** What was entered as an answer; null while something is missing. @param t seconds that a swing has played */
export function guessOf(round: Round, { places, value, sure, choice }: Entered, t: number): Guess | null {
  if (isChoice(round)) return choice === null ? null : { kind: 'choice', choice };
  const { kind } = round;
  switch (kind) {
    case 'lies':
      return places.length > 0 ? { kind, places } : null;
    case 'luck':
      return choice === null ? null : { kind, chance: CHANCES[choice]!.chance };
    case 'moment':
      return { kind, atS: t };
    default:
      return value === null || value <= 0 ? null : { kind, value, sure };
  }
}

interface Props {
  round: Round;
  entered: Entered;
  onChange: (part: Partial<Entered>) => void;
}

/** Where an answer is entered. */
export function RoundAnswer({ round, entered, onChange }: Props) {
  const [{ units }] = useSettings();
  if (round.kind === 'lies') return <Places places={entered.places} onChange={(places) => onChange({ places })} />;
  if (round.kind === 'moment') return null;
  if (isChoice(round) || round.kind === 'luck') {
    const labels = isChoice(round) ? choicesOf(round, units) : CHANCES.map((c) => c.words);
    return (
      <Choice
        label="Your answer"
        showLabel={false}
        options={labels.map((label, i) => ({ value: String(i), label }))}
        value={entered.choice === null ? null : String(entered.choice)}
        onChange={(c) => onChange({ choice: Number(c) })}
      />
    );
  }
  const speed = round.kind === 'speed';
  return (
    <>
      <QuantityField
        label={speed ? 'Current' : 'Depth'}
        quantity={speed ? 'speed' : 'depth'}
        value={entered.value}
        onChange={(value) => onChange({ value })}
        min={0.02}
        max={MOST}
      />
      <Choice
        label="How sure are you?"
        options={(Object.keys(SURENESS) as Sureness[]).map((s) => ({ value: s, label: SURENESS_WORDS[s] }))}
        value={entered.sure}
        onChange={(sure) => onChange({ sure })}
      />
    </>
  );
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
