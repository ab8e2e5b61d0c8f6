import { useIsFocused, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { type CastPlan, farSide, openingCast, openingOf, shortestCast } from '@/core/cast';
import { coverFor, fromHead, nearestToBank } from '@/core/cover';
import { checkRig } from '@/core/rules';
import { describeRig, type Rig } from '@/core/tackle';
import { TYPICAL_DAY } from '@/core/water';

import { useSession, useSettings } from '@/store/hooks';
import { Button, Caution, Empty, Screen, Text } from '@/ui';
import { DayCautions } from '../shared/DayCautions';
import { useAnswer } from '../shared/useAnswer';
import { RunGate, type RunReady } from '../shared/RunGate';
import { useLoadDemo } from '../shared/useDemo';
import { useClosed } from '../shared/useClosed';
import { useMeans } from '../shared/useMeans';
import { useRig } from '../shared/useRig';
import { useRunDay } from '../shared/useRunDay';
import { readingLine } from '../shared/words';
import { Fishing } from './Fishing';
import { useOuting } from './useOuting';

const NOTHING = 'Choose a run under Read and a rig under Rig; here each cast is then counted, with the next step told.';

/** On the river: the next move, the cast counted, what happened logged. */
export function FishScreen() {
  const router = useRouter();
  const [session] = useSession();
  const day = useRunDay(session?.runId);
  const { run, water } = day;
  const { kit, rig } = useRig(session?.rig);
  const outing = useOuting(run, water?.id ?? run?.waterId ?? null);
  const load = useLoadDemo();
  return (
    <RunGate
      title="Fish"
      day={day}
      waits={!session || !kit || outing.loading}
      missing="No run chosen"
      none={NOTHING}
      actions={
        <>
          <Button label="Choose a run" kind="primary" onPress={() => router.navigate('/read')} />
          {kit?.length === 0 ? <Button label="Look around with demo data" onPress={() => void load()} /> : null}
        </>
      }
    >
      {(ready) =>
        rig ? (
          <Ready {...ready} rig={rig} cast={session!.cast} outing={outing} />
        ) : (
          <Screen title={ready.run.name}>
            <Empty
              title="Nothing tied on"
              actions={<Button label="Choose the rig" kind="primary" onPress={() => router.navigate('/rig')} />}
            >
              {NOTHING}
            </Empty>
          </Screen>
        )
      }
    </RunGate>
  );
}

interface ReadyProps extends RunReady {
  rig: Rig;
  cast: CastPlan | null;
  outing: ReturnType<typeof useOuting>;
}

function Ready({ run, water, survey, today, rig, cast, outing }: ReadyProps) {
  const [{ units, school }] = useSettings();
  const { means } = useMeans();
  const inSight = useIsFocused();
  // Unless a cast was chosen: the first stand of the answer for what is on.
  const { answer } = useAnswer({ run, water, today, survey }, 'only this', inSight && !cast && !outing.state);
  const stand = answer?.served?.stands[0];
  const first = survey.lies[0];
  const nearest = nearestToBank(survey.lies);
  const plan = useMemo<CastPlan>(
    () =>
      fromHead(
        cast ??
          stand?.plan ??
          openingCast(first, run, survey.channel, rig, survey.lies, openingOf(today.reading, rig, school), means),
        survey.lies,
        rig,
      ),
    [cast, stand, first, survey, rig, run, today, school, means],
  );
  const cover = useMemo(
    () =>
      coverFor({
        shortestM: shortestCast(rig),
        farM: Math.max(plan.outM, farSide(survey.lies, plan, rig, means)),
        endXM: run.lengthM,
        visibilityM: today.reading.visibilityM,
        waterTempC: today.reading.waterTempC ?? TYPICAL_DAY.waterTempC,
      }),
    [rig, plan, survey, run, today, means],
  );
  const [leave, setLeave] = useState(false);
  const unlawful = water ? checkRig(water.rules, rig) : [];
  const closed = useClosed(water, run.id);
  const held = unlawful.length + closed.length > 0 && !leave;
  if (!outing.state)
    return (
      <Screen
        title={run.name}
        subtitle={readingLine(today.reading, units)}
        footer={
          held ? (
            <Held closed={closed.length > 0} onGoOn={() => setLeave(true)} />
          ) : (
            <Button
              label="Start fishing"
              kind="primary"
              big
              onPress={() => void outing.start(rig, today.reading, plan)}
            />
          )
        }
      >
        <Text size="heading">{describeRig(rig)}</Text>
        <Text>
          From here on each cast is one tap. You start short, lengthen two feet a cast to the far side of what holds,
          then step down after each swing. Casts without a fish are what makes the others mean something.
        </Text>
        {nearest ? (
          <Text>{`Fish the water at your feet first: lie ${nearest.rank} is the nearest to your bank.`}</Text>
        ) : null}
        <DayCautions water={water} today={today} runId={run.id} />
        {unlawful.map((b) => (
          <Caution key={b.rule} strong>
            {b.says}
          </Caution>
        ))}
        <Caution>Vest on, glasses and hat with weighted flies. Look at the edge before you step in.</Caution>
        {outing.outingId ? <Button label="End the day" onPress={() => void outing.leave(plan, true)} /> : null}
      </Screen>
    );
  return (
    <Fishing
      run={run}
      water={water}
      survey={survey}
      today={today}
      rig={outing.state.folded.rig ?? rig}
      start={plan}
      cover={cover}
      outing={outing}
      state={outing.state}
    />
  );
}

/** In place of the start where the rules that were entered forbid it: what to do instead, and one's own word against them. */
function Held({ closed, onGoOn }: { closed: boolean; onGoOn: () => void }) {
  const router = useRouter();
  return (
    <>
      <Button
        label={closed ? 'Choose another water' : 'Choose what is allowed'}
        kind="primary"
        big
        onPress={() => router.navigate(closed ? '/' : '/rig')}
      />
      <Button label="I have leave: go on" kind="quiet" onPress={onGoOn} />
    </>
  );
}
