import { useIsFocused, useRouter } from 'expo-router';
import { useState } from 'react';
import { useWindowDimensions } from 'react-native';
import { atYourFeet, nextOf, shownAt } from '@/core/cover';
import type { FishLie } from '@/core/lies';
import { gapsIn, WELL_SHOWN } from '@/core/showing';
import { windAsks } from '@/core/cast';
import { checkRig } from '@/core/rules';
import { describeRig, type Rig } from '@/core/tackle';

import { useSession, useSettings } from '@/store/hooks';
import { Button, Caution, Empty, Screen, Text, useToast, useWide } from '@/ui';
import { RunSheet } from '@/ui/charts';
import { DayCautions, HighWater, LaterRelease } from '../shared/DayCautions';
import { RunGate, type RunReady } from '../shared/RunGate';
import { clock, dayText } from '../shared/time';
import { useLoadDemo } from '../shared/useDemo';
import { useMeans } from '../shared/useMeans';
import { useClosed } from '../shared/useClosed';
import { useRelease } from '../shared/useRelease';
import { useRig } from '../shared/useRig';
import { useRunDay } from '../shared/useRunDay';
import { readingLine } from '@/words/water';
import { Fishing } from './Fishing';
import { TimeAndPatience } from './TimeAndPatience';
import { withOutcome } from './useLogging';
import { useOuting } from './useOuting';
import { type Plan, usePlan } from './usePlan';
import { breachWords } from '@/words/rules';
import { windWords } from '@/words/cast';
import { handsWords } from '@/words/hands';
import { moveWords, nextCastWords } from '@/words/cover';
import { capital } from '@/words/capital';
import { format } from '@/words/units';
import { several } from '@/words/counting';
import { HowThisWorks } from '../shared/HowThisWorks';

const NOTHING = 'Choose a run under Read and a rig under Rig. Then each cast is counted here and the next one told.';

/** On the river: the next move, the cast counted, what happened logged. */
export function FishScreen() {
  const router = useRouter();
  const [session] = useSession();
  const day = useRunDay(session?.runId);
  const { run, water } = day;
  const { kit, rig } = useRig(session?.rig);
  const outing = useOuting(run, water ?? (run ? { id: run.waterId, stationId: null } : null));
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
        outing.forgotten ? (
          <ForgottenDay {...outing.forgotten} />
        ) : outing.state && (outing.state.folded.rig ?? rig) ? (
          <Fishing {...ready} rig={(outing.state.folded.rig ?? rig)!} outing={outing} state={outing.state} />
        ) : rig ? (
          <Start {...ready} rig={rig} outing={outing} />
        ) : (
          <Screen title={ready.run.name}>
            <Empty
              title="No rig yet"
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

/** The morning after a day that was not ended: before anything is added to it. */
function ForgottenDay({ startedAt, lastAt, casts, end, goOn }: NonNullable<ReturnType<typeof useOuting>['forgotten']>) {
  const toast = useToast();
  const [day, at] = [dayText(startedAt), clock(lastAt)];
  const endDay = () => void end().then((outcome) => toast(withOutcome(`${day} ended at ${at}.`, outcome)));
  return (
    <Screen
      title={`${day} is still open`}
      footer={
        <>
          <Button label={`End the day at ${at}`} kind="primary" big onPress={endDay} />
          <Button label="Keep fishing this day" kind="quiet" onPress={goOn} />
        </>
      }
    >
      <Text>{`${capital(several(casts, 'cast'))}, last entry at ${at}. End the day there to start a new one.`}</Text>
    </Screen>
  );
}

interface StartProps extends RunReady {
  rig: Rig;
  outing: ReturnType<typeof useOuting>;
}

/** Before the first cast: what the time buys, where one begins, what is to be minded. */
function Start({ run, water, survey, today, rig, outing }: StartProps) {
  const [{ units }] = useSettings();
  const wide = useWide();
  const { height } = useWindowDimensions();
  const plan = usePlan({ run, water, survey, today }, rig, false, useIsFocused());
  const [leave, setLeave] = useState(false);
  const unlawful = checkRig(water?.rules ?? null, rig);
  const closed = useClosed(water, run.id);
  const release = useRelease(water);
  const { means } = useMeans();
  const wind = windAsks(today.reading.wind, run.bank, means);
  const held = (unlawful.length + closed.length > 0 || !!release?.out) && !leave;
  const first = plan.casts[0]!;
  const near = atYourFeet(survey.lies.filter(isShown(plan)), first);
  const next = nextOf({
    ...{ planned: plan.casts, visit: { events: [], casts: [] }, sign: plan.sign, flies: 1, hasSmaller: false, now: 0 },
  });
  const picture = (
    <RunSheet
      run={run}
      survey={survey}
      units={units}
      height={wide ? height - 140 : PICTURE_PX}
      angler={first}
      planned={plan.followed?.casts.map((c) => c.path)}
      other={plan.other?.casts.map((c) => c.path)}
      gaps={gapsOf(plan)}
      showKey={wide}
      summary={`${run.name} from above with ${plan.followed?.casts.length ?? 0} planned casts in red dashes, the others thin`}
    />
  );
  return (
    <Screen
      title={run.name}
      subtitle={readingLine(today.reading, units)}
      picture={wide ? picture : undefined}
      footer={
        held ? (
          <Held closed={closed.length > 0} release={!!release?.out} onGoOn={() => setLeave(true)} />
        ) : (
          <Button
            label="Start fishing"
            kind="primary"
            big
            onPress={() => void outing.start(rig, today.reading, first)}
          />
        )
      }
    >
      <DayCautions water={water} today={today} runId={run.id} />
      <Text size="heading">{describeRig(rig)}</Text>
      <Text>{`${moveWords(next, units, clock)}: ${nextCastWords(next, units)}. ${handsWords(first, plan.school).join(' ')}`}</Text>
      {wide ? null : picture}
      <TimeAndPatience plan={plan} />
      {near ? (
        <Text>{`Fish the near water first: lie ${near.lie.rank} is ${format('length', near.awayM, units)} from where you start.`}</Text>
      ) : null}
      {survey.lies.some((l) => l.kind === 'beat') ? (
        <Text>
          Large trout patrol the slack here. Cast one good lane again and again, a minute apart (Other options, Same
          lane), then the fan.
        </Text>
      ) : null}
      <HowThisWorks page="fishing" />
      <LaterRelease water={water} />
      <HighWater today={today} />
      {wind ? <Text>{windWords(wind)}</Text> : null}
      {water && !water.rules ? <Caution>Rules: not entered yet. Check before you fish.</Caution> : null}
      {unlawful.map((b) => (
        <Caution key={b.rule} strong>
          {breachWords(b)}
        </Caution>
      ))}
      <Caution>Vest on, glasses and hat with weighted flies. Look at the edge before you step in.</Caution>
      {outing.outingId ? <Button label="End the day" onPress={() => void outing.leave(first, true)} /> : null}
    </Screen>
  );
}
const PICTURE_PX = 230;
/** Whether the plan shows its fly well at a lie. */
const isShown =
  ({ covering, followed }: Plan) =>
  (lie: FishLie) =>
    !!covering && !!followed?.casts.some((c) => shownAt(covering, c, lie) >= WELL_SHOWN);
/** Holding water that the casts will not have shown the fly. */
const gapsOf = ({ covering, followed }: Plan) => (covering && followed ? gapsIn(covering.ground, followed.shown) : []);

/** In place of the start where the rules that were entered forbid it, or a dam releases water: what to do instead, and one's own
 * word against it. */
function Held({ closed, release, onGoOn }: { closed: boolean; release: boolean; onGoOn: () => void }) {
  const router = useRouter();
  return (
    <>
      <Button
        label={closed || release ? 'Choose another water' : 'Choose a legal rig'}
        kind="primary"
        big
        onPress={() => router.navigate(closed || release ? '/' : '/rig')}
      />
      <Button
        label={release ? 'I’m staying on the bank: continue' : 'I have permission: continue'}
        kind="quiet"
        onPress={onGoOn}
      />
    </>
  );
}
