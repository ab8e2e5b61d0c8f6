import { type Beat, PATIENCES, type Patience } from '@/core/cover';
import { Choice, Fact, Hint, Loading, Problem, Slider, Stack, Text } from '@/ui';
import type { Plan } from './usePlan';

const LABELS: Record<Patience, string> = { 1: 'search: once', 2: 'twice', 4: 'stay: four times' };
const percent = (share: number) => `${Math.round(100 * share)} %`;

/** How long one has and how patient one is, and what that buys; the plain rule beside it. */
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
        label="Show the water before you leave it"
        options={PATIENCES.map((p) => ({ value: String(p), label: LABELS[p] }))}
        value={String(time.patience)}
        onChange={(p) => setTime({ ...time, patience: Number(p) as Patience })}
      />
      {error ? <Problem title="The casts could not be planned">{error}</Problem> : null}
      {beat && rule ? <Bought beat={beat} rule={rule} minutes={time.minutes} /> : null}
      {working !== null ? <Loading what={`Planning the casts… ${Math.round(100 * working)} %`} /> : null}
      <Choice
        label="Go by"
        options={[
          { value: 'plan', label: 'the plan' },
          { value: 'rule', label: 'the plain rule' },
        ]}
        value={time.byRule ? 'rule' : 'plan'}
        onChange={(by) => setTime({ ...time, byRule: by === 'rule' })}
      />
    </Stack>
  );
}

function Bought({ beat, rule, minutes }: { beat: Beat; rule: Beat; minutes: number }) {
  if (beat.casts.length === 0)
    return <Text>What is on shows its fly to no holding water here in this time: change it, or take longer.</Text>;
  const spare = minutes - beat.minutes;
  return (
    <>
      <Fact name="Casts" value={`${countOf(beat)} in ${Math.round(beat.minutes)} min`} />
      <Fact name="Holding water it shows" value={`${percent(beat.shares.once)}, twice ${percent(beat.shares.twice)}`} />
      <Fact name="By the plain rule" value={`${percent(rule.shares.once)} in ${Math.round(rule.minutes)} min`} />
      <Text size="small" tone="ink2">
        The plain rule: start short, two feet longer each cast to the far side, then a step after each.
      </Text>
      <Hint>
        {spare > 5
          ? `After ${Math.round(beat.minutes)} minutes more casts hardly show more with what is on.`
          : 'Shown: it came by tight, at the depth and speed that are wanted, within reach of a fish. The rest lies too far, too deep or too fast for what is on, or wants more time.'}
      </Hint>
    </>
  );
}

const countOf = (beat: Beat): number => beat.casts.reduce((n, c) => n + (c.times ?? 1), 0);
