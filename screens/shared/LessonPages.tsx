import { useMemo, useState } from 'react';
import type { VariableName } from '@/core/practice';
import { seeded, shuffled } from '@/core/maths';
import { LESSON_NAMES, type LessonName, SIMULATED } from '@/core/practice/lessons';
import { newId, useSave, useSettings } from '@/store/hooks';
import { Button, Caution, Choice, Hint, Stack, Text } from '@/ui';
import { KnotSteps, LessonScene, MoveCurve } from '@/ui/charts';
import { SCENES_OF } from '@/ui/charts/lessonScenes';
import { LESSON_WORDS, said } from '@/words/lessons';
import { KNOTS } from '@/words/rigCard';
import { toShown, unitOf } from '@/words/units';
import { curveOf } from '@/workers/river';
import { useJob } from './useJob';

/** A lesson, step by step, with a question at the end. */
export function LessonPages({ lesson, onDone }: { lesson: LessonName; onDone: () => void }) {
  const [{ units }] = useSettings();
  const { steps, knots, caution } = LESSON_WORDS[lesson];
  const [step, setStep] = useState(0);
  const [round, setRound] = useState(0);
  const last = step === steps.length;
  const go = (to: number) => {
    setStep(to);
    setRound((n) => n + 1);
  };
  if (last) return <Question lesson={lesson} onBack={() => go(step - 1)} onDone={onDone} />;
  const says = said(steps[step]!, units);
  const simulated = SIMULATED[lesson];
  return (
    <Stack>
      <LessonScene scene={SCENES_OF[lesson][step]!} summary={`Drawing: ${says}`} round={round} />
      <Text size="small" tone="ink2">{`Step ${step + 1} of ${steps.length}`}</Text>
      <Text role="status">{says}</Text>
      <Stack row wrap>
        <Button label="Back" disabled={step === 0} onPress={() => go(step - 1)} />
        <Button label="Play again" kind="quiet" onPress={() => setRound((n) => n + 1)} />
        <Button
          kind="primary"
          label={step + 1 === steps.length ? 'To the question' : 'Next'}
          onPress={() => go(step + 1)}
        />
      </Stack>
      {caution ? <Caution>{caution}</Caution> : null}
      {simulated ? <Simulated variable={simulated} /> : null}
      {knots?.map((knot) => (
        <KnotSteps key={knot} knot={knot} steps={KNOTS[knot].steps} />
      ))}
    </Stack>
  );
}

const CURVE_PX = 190;

/** What the engine finds of it, in an even current at a walking pace. */
function Simulated({ variable }: { variable: VariableName }) {
  const [{ units }] = useSettings();
  const ask = useMemo(() => ({ variable, u: 0.9, lineClean: true }), [variable]);
  const { value: points } = useJob(ask, curveOf, 0);
  if (!points) return null;
  const depth = (m: number) => toShown('depth', m, units);
  const labels = points.map((p) => p.words ?? String(toShown('length', p.value, units).toFixed(1).replace('-', '−')));
  return (
    <Stack gap="s">
      <Text size="strong">
        {variable === 'mend' ? 'Simulated: how deep, by the mend’s slack' : 'Simulated: how deep, by what the rod does'}
      </Text>
      <MoveCurve
        labels={labels}
        at={points.map((p) => p.value)}
        curves={[
          { name: 'deepest', values: points.map((p) => depth(p.deepestM)) },
          { name: 'dangle', values: points.map((p) => depth(p.dangleM)), dashed: true },
        ]}
        chosen={Math.floor(points.length / 2)}
        unit={unitOf('depth', units)}
        down
        height={CURVE_PX}
        summary={`How deep the fly runs: ${points.map((p, i) => `${labels[i]} ${depth(p.deepestM).toFixed(2)} ${unitOf('depth', units)}`).join(', ')}`}
      />
      {variable === 'mend' ? (
        <Hint>{`Slack in ${unitOf('length', units)}: upstream to the right, downstream (−) to the left.`}</Hint>
      ) : null}
    </Stack>
  );
}

/** The question at the end: answered once, with why. */
function Question({ lesson, onBack, onDone }: { lesson: LessonName; onBack: () => void; onDone: () => void }) {
  const [{ units }] = useSettings();
  const { put } = useSave('practice');
  const { asks, choices, right, why } = LESSON_WORDS[lesson].check;
  // Where the right one stands tells nothing.
  const order = useMemo(
    () => shuffled([...choices.keys()], seeded(LESSON_NAMES.indexOf(lesson) + 1)),
    [choices, lesson],
  );
  const [choice, setChoice] = useState<number | null>(null);
  const answer = (n: number) => {
    if (choice !== null) return;
    setChoice(n);
    void put({ id: newId(), at: Date.now(), kind: 'lesson', lesson, marks: n === right ? 100 : 0 });
  };
  return (
    <Stack>
      <Text>{said(asks, units)}</Text>
      <Choice
        label="Your answer"
        showLabel={false}
        options={order.map((i) => ({ value: String(i), label: said(choices[i]!, units) }))}
        value={choice === null ? null : String(choice)}
        onChange={(c) => answer(Number(c))}
      />
      {choice !== null ? (
        <Text role="status">
          {`${choice === right ? 'Right.' : `Not quite: ${said(choices[right]!, units)}.`} ${said(why, units)}`}
        </Text>
      ) : null}
      <Stack row>
        <Button label="Back" onPress={onBack} />
        <Button kind="primary" label="Done" disabled={choice === null} onPress={onDone} />
      </Stack>
    </Stack>
  );
}
