import { type Beat, PATIENCES, type Patience } from '@/core/cover';
import { Choice, Fact, Hint, Loading, Problem, Slider, Stack, Text } from '@/ui';
import type { Plan } from './usePlan';
import { percent } from '@/words/counting';
import { BROKE_OFF } from '@/words/refusals';

const LABELS: Record<Patience, string> = { 1: 'quick: one pass', 2: 'normal: two', 4: 'thorough: four' };

/** How long one has and how patient one is, and what that buys; the simple step-down beside it. */
export function TimeAndPatience({ plan }: { plan: Plan }) {
  const { time, setTime, beat, rule, working, error } = plan;
  return (
    <Stack>
      <Slider
        label="Time for this run"
        value={time.minutes}
        min={5}
        max={180}
        step={5}
        onChange={(minutes) => setTime({ ...time, minutes })}
        format={(m) => `${m} min`}
      />
      <Choice
        label="How thoroughly"
        options={PATIENCES.map((p) => ({ value: String(p), label: LABELS[p] }))}
        value={String(time.patience)}
        onChange={(p) => setTime({ ...time, patience: Number(p) as Patience })}
      />
      {error ? <Problem title="Couldn’t plan the casts">{BROKE_OFF}</Problem> : null}
      {beat && rule ? <Bought beat={beat} rule={rule} minutes={time.minutes} /> : null}
      {working !== null ? <Loading what={`Planning the casts… ${Math.round(100 * working)} %`} /> : null}
      <Choice
        label="Go by"
        options={[
          { value: 'plan', label: 'the cast plan' },
          { value: 'rule', label: 'simple step-down' },
        ]}
        value={time.byRule ? 'rule' : 'plan'}
        onChange={(by) => setTime({ ...time, byRule: by === 'rule' })}
      />
    </Stack>
  );
}

function Bought({ beat, rule, minutes }: { beat: Beat; rule: Beat; minutes: number }) {
  if (beat.casts.length === 0)
    return <Text>Your rig covers no holding water here in this time. Change it, or take longer.</Text>;
  const spare = minutes - beat.minutes;
  return (
    <>
      <Fact name="Casts" value={`${countOf(beat)} in ${Math.round(beat.minutes)} min`} />
      <Fact name="Covers" value={`${percent(beat.found)} of the willing fish`} />
      <Fact name="Simple step-down" value={`${percent(rule.found)} in ${Math.round(rule.minutes)} min`} />
      <Text size="small" tone="ink2">
        Simple step-down: start short, two feet longer each cast to the far side, then a step after each.
      </Text>
      <Hint>
        {spare > 5
          ? `After ${Math.round(beat.minutes)} minutes more casts with this rig add little.`
          : 'The rest lies too far, too deep or too fast for this rig, or takes more time.'}
      </Hint>
    </>
  );
}

const countOf = (beat: Beat): number => beat.casts.reduce((n, c) => n + (c.times ?? 1), 0);
