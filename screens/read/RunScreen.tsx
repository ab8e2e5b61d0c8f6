import { useIsFocused, useRouter } from 'expo-router';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import type { SizeClass } from '@/core/lies';
import { useSession, useSettings } from '@/store/hooks';
import { Block, Button, IconButton, Screen, Text } from '@/ui';
import { DayCautions, HighWater, LaterRelease } from '../shared/DayCautions';
import { CaughtHere } from '../shared/later';
import { RunGate, type RunReady } from '../shared/RunGate';
import { useAnswer } from '../shared/useAnswer';
import { type LieQuery, useLieOptions, useRunDay } from '../shared/useRunDay';
import { readingLine } from '@/words/water';
import { answeredCasts, wayOnFoot } from './answeredCasts';
import { DayBlock, ReadingPrompt } from './DayBlock';
import { AfterToday } from './AfterToday';
import { LieRows } from './LieRows';
import { OrderBlock } from './OrderBlock';
import { ReadingSheet } from './ReadingSheet';
import { RunPicture } from './RunPicture';
import { useWhatIf } from './useWhatIf';

/** One run as it is today. */
export function RunScreen({ runId }: { runId: string }) {
  const router = useRouter();
  const [session] = useSession();
  const size = session?.size ?? 'any';
  const [hour, setHour] = useState(() => Math.min(22, Math.max(4, new Date().getHours())));
  const wish = useMemo<LieQuery>(() => ({ size, sunAt: new Date().setHours(hour, 0, 0, 0) }), [size, hour]);
  const day = useRunDay(runId, wish);
  const edit = (
    <IconButton
      label="Edit the run"
      icon="edit"
      onPress={() => router.push({ pathname: '/read/[run]/edit', params: { run: runId } })}
    />
  );
  const back = <IconButton label="All runs" icon="back" onPress={() => router.navigate('/read')} />;
  return (
    <RunGate
      title="Read"
      day={day}
      lead={back}
      trail={edit}
      missing="This run is not here"
      none="The run may have been removed, or the address is from another device. Import its backup under Learn."
      actions={<Button label="All runs" onPress={() => router.navigate('/read')} />}
    >
      {(ready) => <Today {...ready} lead={back} trail={edit} wish={wish} hour={hour} onHour={setHour} />}
    </RunGate>
  );
}

interface Props extends RunReady {
  lead: ReactNode;
  trail: ReactNode;
  wish: LieQuery;
  hour: number;
  onHour: (hour: number) => void;
}

function Today({ run, water, today, survey, rebuilding = false, lead, trail, wish, hour, onHour }: Props) {
  const router = useRouter();
  const [session, setSession] = useSession();
  const options = useLieOptions(water, wish);
  const [{ units }] = useSettings();
  const [reading, setReading] = useState(false);
  const [sectionX, setSectionX] = useState<number | null>(null);
  const [chosen, setChosen] = useState<number | null>(1);
  const { shown, levelM, setLevelM, problem } = useWhatIf({ run, water, today, survey }, wish, options);
  const inSight = useIsFocused();
  // Who opens a run has chosen it, unless one is fishing another.
  const chooses = inSight && !!session && session.outingId === null && session.runId !== run.id;
  useEffect(() => {
    if (chooses) setSession({ runId: run.id, waterId: run.waterId, cast: null });
  }, [chooses, run.id, run.waterId, setSession]);
  const { answer } = useAnswer({ run, water, today, survey }, 'best', inSight);
  const casts = useMemo(() => answeredCasts(answer, shown === survey, units), [answer, shown, survey, units]);
  const wade = useMemo(() => (shown === survey ? wayOnFoot(answer) : null), [answer, shown, survey]);
  return (
    <Screen
      title={run.name}
      subtitle={readingLine(today.reading, units)}
      lead={lead}
      trail={trail}
      footer={
        <Button
          label="Choose the rig for it"
          kind="primary"
          onPress={() => {
            setSession({ runId: run.id, waterId: run.waterId, cast: null });
            router.navigate('/rig');
          }}
        />
      }
      picture={
        <RunPicture
          run={run}
          survey={shown}
          wade={wade}
          options={options}
          units={units}
          x={sectionX ?? run.lengthM / 2}
          chosen={chosen}
          onChoose={setChosen}
          onX={setSectionX}
          levelM={levelM ?? today.reading.levelM}
          todayM={today.reading.levelM}
          onLevel={setLevelM}
          hour={hour}
          onHour={onHour}
          problem={problem}
          pale={rebuilding}
        />
      }
      third={
        <>
          <OrderBlock answer={answer} asToday={shown === survey} units={units} />
          <DayBlock survey={survey} units={units} />
          <CaughtHere run={run} survey={shown} levelM={levelM ?? today.reading.levelM} onLevel={setLevelM} />
          <View>
            <Button
              label="Compare with another day"
              onPress={() => router.push({ pathname: '/read/[run]/compare', params: { run: run.id } })}
            />
          </View>
          {run.notes ? (
            <Block title="Notes">
              <Text>{run.notes}</Text>
            </Block>
          ) : null}
        </>
      }
    >
      <DayCautions water={water} today={today} runId={run.id} />
      <LaterRelease water={water} />
      <HighWater today={today} />
      <ReadingPrompt today={today} onNew={() => setReading(true)} />
      {water ? <AfterToday water={water} /> : null}
      <LieRows
        lies={shown.lies}
        units={units}
        chosen={chosen}
        onChoose={setChosen}
        run={run}
        size={session?.size ?? 'any'}
        onSize={(size: SizeClass) => setSession({ size })}
        casts={casts}
      />
      {reading ? (
        <ReadingSheet
          run={run}
          channel={survey.channel}
          today={today.reading}
          stationed={!!water?.stationId}
          onClose={() => setReading(false)}
        />
      ) : null}
    </Screen>
  );
}
