import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { type CastPlan, farSide, openingCast, shortestCast } from '@/core/cast';
import { coverFor } from '@/core/cover';
import type { Survey } from '@/core/lies';
import { describeFly, type Rig } from '@/core/tackle';
import { type Run, TYPICAL_DAY } from '@/core/water';

import { useSession, useSettings } from '@/store/hooks';
import { Button, Caution, Empty, Loading, Problem, Screen, Text } from '@/ui';
import { useLoadDemo } from '../shared/useDemo';
import { useRig } from '../shared/useRig';
import { useRunDay, type Today } from '../shared/useRunDay';
import { readingLine } from '../shared/words';
import { Fishing } from './Fishing';
import { useOuting } from './useOuting';

/** On the river: the next move, the cast counted, what happened logged. */
export function FishScreen() {
  const router = useRouter();
  const [session] = useSession();
  const { run, water, today, survey } = useRunDay(session?.runId);
  const { kit, rig } = useRig(session?.rig);
  const outing = useOuting(run, water?.id ?? run?.waterId ?? null);
  const load = useLoadDemo();
  if (!session || !kit || outing.loading || (session.runId && run === undefined))
    return (
      <Screen title="Fish">
        <Loading what="Opening the day…" />
      </Screen>
    );
  if (!run || !rig)
    return (
      <Screen title="Fish">
        <Empty
          title={run ? 'Nothing tied on' : 'No run chosen'}
          actions={
            <>
              <Button
                label={run ? 'Choose the rig' : 'Choose a run'}
                kind="primary"
                onPress={() => router.navigate(run ? '/rig' : '/read')}
              />
              {kit.length === 0 ? <Button label="Look around with demo data" onPress={() => void load()} /> : null}
            </>
          }
        >
          Choose a run under Read and a rig under Rig; here each cast is then counted, with the next step told.
        </Empty>
      </Screen>
    );
  if (survey.isError)
    return (
      <Screen title={run.name}>
        <Problem title="The run cannot be rebuilt">{survey.error.message}</Problem>
      </Screen>
    );
  if (!survey.data || !today)
    return (
      <Screen title={run.name}>
        <Loading what="Rebuilding depth and current…" />
      </Screen>
    );
  return <Ready run={run} survey={survey.data} today={today} rig={rig} cast={session.cast} outing={outing} />;
}

interface ReadyProps {
  run: Run;
  survey: Survey;
  today: Today;
  rig: Rig;
  cast: CastPlan | null;
  outing: ReturnType<typeof useOuting>;
}

function Ready({ run, survey, today, rig, cast, outing }: ReadyProps) {
  const [{ units }] = useSettings();
  const first = survey.lies[0];
  const plan = useMemo<CastPlan>(
    () => fromHead(cast ?? openingCast(first, run, survey.channel, rig, survey.lies), survey, rig),
    [cast, first, survey, rig, run],
  );
  const cover = useMemo(
    () =>
      coverFor({
        shortestM: shortestCast(rig),
        farM: Math.max(plan.outM, farSide(survey.lies, plan, rig)),
        endXM: run.lengthM,
        visibilityM: today.reading.visibilityM,
        waterTempC: today.reading.waterTempC ?? TYPICAL_DAY.waterTempC,
      }),
    [rig, plan, survey, run, today],
  );
  if (!outing.state)
    return (
      <Screen
        title={run.name}
        subtitle={readingLine(today.reading, units)}
        footer={
          <Button
            label="Start fishing"
            kind="primary"
            big
            onPress={() => void outing.start(rig, today.reading, plan)}
          />
        }
      >
        <Text size="heading">{`${describeFly(rig.fly)} on ${rig.tip?.name ?? 'no tip'}`}</Text>
        <Text>
          From here on each cast is one tap. You start short, lengthen two feet a cast to the far side of what holds,
          then step down after each swing. Casts without a fish are what makes the others mean something.
        </Text>
        {survey.lies.length > 0 ? (
          <Text>{`Fish the water at your feet first: lie ${nearest(survey)} is the nearest to your bank.`}</Text>
        ) : null}
        <Caution>Vest on, glasses and hat with weighted flies. Look at the edge before you step in.</Caution>
        {outing.outingId ? <Button label="End the day" onPress={() => void outing.leave(plan, true)} /> : null}
      </Screen>
    );
  return (
    <Fishing
      run={run}
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

/** Swinging works from the head down: begin where the first cast of full length reaches the uppermost lie. */
function fromHead(plan: CastPlan, s: Survey, rig: Rig): CastPlan {
  const top = Math.min(plan.xM, ...s.lies.map((l) => l.xM - l.lengthM / 2));
  const xM = Math.max(0, Math.round(top - farSide(s.lies, plan, rig) - rig.rod.lengthM));
  return { ...plan, xM };
}

const nearest = (s: Survey) => [...s.lies].sort((a, b) => a.yM - b.yM)[0]!.rank;
