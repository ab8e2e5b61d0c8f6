import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { CAST_ANGLE_DEG, type CastPlan, longestCast, MOST_MEND_M, shortestCast } from '@/core/cast';
import { PACE_M, signOf, workOf } from '@/core/cover';
import { roundTo } from '@/core/maths';
import { afterCast, BEGUN, type Hour, HOUR_S, hourEnd, type HourSoFar } from '@/core/practice/hour';
import type { Asked } from '@/core/practice/onWater';
import { describeRig } from '@/core/tackle';
import { FOOT_M } from '@/core/units';
import { newId, useSave, useSettings } from '@/store/hooks';
import { Button, IconButton, Loading, Problem, Screen, Slider, Stack, Stepper, Text } from '@/ui';
import { RunSheet } from '@/ui/charts';
import { mendWords, outWords } from '@/words/cast';
import { several } from '@/words/counting';
import { castWords, dayWords, GAME_TITLES, hourEndWords, NOT_CAST, runSummary, timeLeft } from '@/words/practice';
import { loggedName } from '@/words/tackle';
import { format, type UnitSystem } from '@/words/units';
import { practiceHour, throwCast } from '@/workers/river';
import { useJob } from '../shared/useJob';
import { SHEET_PX } from './RoundPicture';

interface Props {
  asked: Asked;
  onNext: () => void;
  onBack: () => void;
}

/** An hour in quick time: one’s own casts over fish that nobody sees. */
export function HourScreen({ asked, onNext, onBack }: Props) {
  const { value: hour, error } = useJob(asked, practiceHour, 0);
  const lead = <IconButton label="Back to the practice ground" icon="back" onPress={onBack} />;
  if (hour) return <Fishing hour={hour} lead={lead} onNext={onNext} />;
  return (
    <Screen title={GAME_TITLES.hour} lead={lead}>
      {error ? (
        <Problem title="Couldn’t make up this hour" onRetry={onNext}>
          {asked.own
            ? `No fish hold on ${asked.own.run.name} that day. Try another day.`
            : 'No river came up this time. Try again.'}
        </Problem>
      ) : (
        <Loading what="Putting fish into the river…" room={SHEET_PX} />
      )}
    </Screen>
  );
}

/** One tap of a control: line, way out and slack by a metre or a yard; degrees. */
const STEP_M: Readonly<Record<UnitSystem, number>> = { metric: 1, imperial: 3 * FOOT_M };
const STEP_DEG = 10;
/** Lower than a round’s picture: the controls stay in sight, px. */
const HOUR_PX = 320;
/** Casts in a row, a step between each and the next. */
const ROW = 5;

function Fishing({ hour, lead, onNext }: { hour: Hour; lead: React.ReactNode; onNext: () => void }) {
  const [{ units }] = useSettings();
  const { put } = useSave('practice');
  const { request, water } = hour;
  const [plan, setPlan] = useState<CastPlan>(hour.first);
  const [played, setPlayed] = useState<HourSoFar>(BEGUN);
  const [said, setSaid] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [ended, setEnded] = useState(false);
  const set = (part: Partial<CastPlan>) => setPlan((was) => ({ ...was, ...part }));
  const stepM = PACE_M * signOf(workOf(plan));
  const end = (so: HourSoFar) => {
    setEnded(true);
    void put({ id: newId(), at: Date.now(), kind: 'hour', marks: hourEnd(hour, so).marks });
  };
  /** Casts so often, a step on after each but the last; a fish, or a cast that cannot be made, ends the row. */
  const cast = async (times: number) => {
    setBusy(true);
    let so = played;
    try {
      so = await row(times);
    } catch {
      setSaid('The cast couldn’t be simulated. Your casts so far are kept: cast again.');
    }
    setBusy(false);
    if (so.seconds >= HOUR_S) end(so);
  };
  const row = async (times: number): Promise<HourSoFar> => {
    let [so, from] = [played, plan];
    for (let n = 0; n < times && so.seconds < HOUR_S; n++) {
      if (n > 0) {
        const xM = roundTo(10, from.xM + stepM);
        if (xM < 0 || xM > water.run.lengthM) break;
        from = { ...from, xM };
      }
      const thrown = await throwCast(request, from);
      if ('not' in thrown) {
        setSaid(NOT_CAST[thrown.not]);
        break;
      }
      const before = so.took.length;
      so = afterCast(hour, so, thrown.choice);
      setSaid(castWords(so, so.took.length - before));
      setPlayed(so);
      setPlan(from);
      if (so.took.length > before) break;
    }
    return so;
  };
  if (ended) return <Ended hour={hour} played={played} lead={lead} onNext={onNext} />;
  const by = <K extends 'outM' | 'angleDeg' | 'mendM' | 'xM' | 'yM'>(
    of: K,
    step: number,
    [least, most]: readonly [number, number],
  ): Pick<React.ComponentProps<typeof Stepper>, 'onLess' | 'onMore' | 'canLess' | 'canMore'> => ({
    onLess: () => set({ [of]: roundTo(100, Math.max(least, plan[of] - step)) }),
    onMore: () => set({ [of]: roundTo(100, Math.min(most, plan[of] + step)) }),
    canLess: plan[of] > least,
    canMore: plan[of] < most,
  });
  const { rig, means, channel } = request;
  const controls = [
    {
      ...by('outM', STEP_M[units], [shortestCast(rig), longestCast(means, rig)]),
      ...{ label: 'Line', text: format('line', plan.outM, units) },
    },
    {
      ...by('angleDeg', STEP_DEG, [CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most]),
      ...{ label: 'Angle', text: `${Math.round(plan.angleDeg)}°`, lessLabel: 'Flatter', moreLabel: 'Squarer' },
    },
    {
      ...by('xM', PACE_M, [0, water.run.lengthM]),
      ...{ label: 'Down the run', text: format('length', plan.xM, units) },
      ...{ lessLabel: 'A step up', moreLabel: 'A step down' },
    },
    {
      ...by('yM', STEP_M[units], [channel.y0, channel.y0 + channel.dy * (channel.ny - 1)]),
      ...{ label: 'Out from the bank', text: format('length', plan.yM, units) },
    },
    {
      ...by('mendM', STEP_M[units], [0, MOST_MEND_M]),
      ...{ label: 'Mend upstream', text: plan.mendM === 0 ? 'none' : format('length', plan.mendM, units) },
    },
  ];
  return (
    <Screen
      title={GAME_TITLES.hour}
      subtitle={dayWords(hour, units)}
      lead={lead}
      picture={
        <RunSheet
          run={water.run}
          survey={{ ...hour.survey, lies: [] }}
          units={units}
          height={HOUR_PX}
          angler={plan}
          covered={played.casts.map((c) => c.path)}
          takes={played.took.map((fish) => hour.covering.ground.places[hour.fish[fish]!]!)}
          onPoint={(p) => set({ xM: roundTo(10, p.xM), yM: roundTo(10, p.yM) })}
          summary={`${runSummary(hour, units)}; you stand ${format('length', plan.xM, units)} down, ${outWords(plan.yM, units)}; ${several(played.casts.length, 'cast')} made`}
        />
      }
      footer={
        <Stack row>
          <Button kind="primary" label="Cast" disabled={busy} onPress={() => void cast(1)} />
          <Button label={`${ROW} casts, a step each`} disabled={busy} onPress={() => void cast(ROW)} />
        </Stack>
      }
    >
      <Text role="status" size="strong">
        {said ?? `${hour.fish.length} willing fish hold where you can’t see them. Tap the run to stand there.`}
      </Text>
      <Text size="small" tone="ink2">
        {`${timeLeft(played)}, ${played.took.length} fish so far. Fishing ${loggedName(describeRig(request.rig), units)}.`}
      </Text>
      <Stack row wrap>
        {controls.map((c) => (
          <View key={c.label} style={styles.control}>
            <Stepper {...c} />
          </View>
        ))}
      </Stack>
      <Button
        label="End the hour"
        kind="quiet"
        disabled={busy || played.casts.length === 0}
        onPress={() => end(played)}
      />
    </Screen>
  );
}

/** What the hour came to, and the same hour as a guide would have fished it. */
function Ended({
  hour,
  played,
  lead,
  onNext,
}: {
  hour: Hour;
  played: HourSoFar;
  lead: React.ReactNode;
  onNext: () => void;
}) {
  const [{ units }] = useSettings();
  const sum = useMemo(() => hourEnd(hour, played), [hour, played]);
  const { beat } = sum;
  const [shown, setShown] = useState(0);
  const places = hour.covering.ground.places;
  const took = new Set(played.took);
  return (
    <Screen
      title={GAME_TITLES.hour}
      subtitle={dayWords(hour, units)}
      lead={lead}
      picture={
        <RunSheet
          run={hour.water.run}
          survey={hour.survey}
          units={units}
          height={SHEET_PX}
          covered={(shown > 0 ? beat.casts.slice(0, shown) : played.casts).map((c) => c.path)}
          takes={played.took.map((fish) => places[hour.fish[fish]!]!)}
          missed={hour.fish.flatMap((at, i) => (took.has(i) ? [] : [places[at]!]))}
          {...(shown > 0 && { angler: beat.casts[shown - 1]!.plan })}
          summary={`${runSummary(hour, units)}, with its lies, your casts, and the fish that you missed`}
        />
      }
      footer={<Button kind="primary" label="Next hour" onPress={onNext} />}
    >
      <Text size="title" role="status">
        {`${Math.round(sum.marks)} of 100 marks.`}
      </Text>
      {hourEndWords(sum).map((s) => (
        <Text key={s}>{s}</Text>
      ))}
      <Text size="small" tone="ink2">
        Full dots: fish that took. Open dots: fish that did not.
      </Text>
      {beat.casts.length > 0 ? (
        <Slider
          label="A guide’s hour, cast by cast"
          value={shown}
          min={0}
          max={beat.casts.length}
          step={1}
          onChange={setShown}
          format={(n) => (n === 0 ? 'your casts' : `its cast ${n} of ${beat.casts.length}`)}
        />
      ) : null}
      {shown > 0 ? (
        <Text size="small" tone="ink2">
          {guideCast(beat.casts[shown - 1]!.plan)}
        </Text>
      ) : null}
    </Screen>
  );

  function guideCast(p: CastPlan): string {
    return `${format('length', p.xM, units)} down, ${outWords(p.yM, units)}: ${format('line', p.outM, units)} at ${Math.round(p.angleDeg)}°${p.mendM === 0 ? '' : `, ${mendWords(p.mendM, units)}`}.`;
  }
}

const styles = StyleSheet.create({ control: { flexGrow: 1, flexBasis: 165 } });
