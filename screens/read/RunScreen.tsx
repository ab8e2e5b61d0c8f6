import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { orderOfWork } from '@/core/cover';
import type { SizeClass } from '@/core/lies';

import { useSession, useSettings } from '@/store/hooks';
import { Block, Button, Empty, IconButton, Loading, Problem, Screen, Text } from '@/ui';
import { useRig } from '../shared/useRig';
import { useLieOptions, useRunDay, useSurvey, type LieQuery } from '../shared/useRunDay';
import { readingLine } from '../shared/words';
import { DayBlock } from './DayBlock';
import { LieRows } from './LieRows';
import { OrderBlock } from './OrderBlock';
import { ReadingSheet } from './ReadingSheet';
import { RunPicture } from './RunPicture';
import { useDraft, useSettled } from './useWhatIf';

const SETTLED_MS = 250;

/** One run as it is today. */
export function RunScreen({ runId }: { runId: string }) {
  const router = useRouter();
  const [session, setSession] = useSession();
  const size = session?.size ?? 'any';
  const setSize = (chosenSize: SizeClass) => setSession({ size: chosenSize });
  const [hour, setHour] = useState(() => Math.min(22, Math.max(4, new Date().getHours())));
  const wish = useMemo<LieQuery>(() => ({ size, sunAt: new Date().setHours(hour, 0, 0, 0) }), [size, hour]);
  const { run, water, today, survey } = useRunDay(runId, wish);
  const options = useLieOptions(water, wish);
  const { rig } = useRig(session?.rig);
  const [{ units }] = useSettings();
  const [reading, setReading] = useState(false);
  const [sectionX, setSectionX] = useState<number | null>(null);
  const [chosen, setChosen] = useState<number | null>(1);
  const [levelM, setLevelM] = useState<number | null>(null);
  const [upstream, setUpstream] = useState(false);
  // Another level: coarse at once, in full when the hand rests.
  const draft = useDraft(run, today?.reading ?? null, levelM, options);
  const there = useSettled(draft.at, SETTLED_MS);
  const full = useSurvey(there?.run, there?.reading, water, wish);
  const settled = there && there === draft.at && !full.isPlaceholderData ? full.data : null;
  const shown = levelM === null ? survey.data : (settled ?? draft.survey ?? survey.data);
  const order = useMemo(
    () =>
      run && shown && rig ? orderOfWork(run, shown.channel, shown.lies, rig, today?.reading ?? null, upstream) : null,
    [run, shown, rig, today, upstream],
  );
  const back = <IconButton label="All runs" icon="back" onPress={() => router.navigate('/read')} />;
  if (run === null)
    return (
      <Screen title="Read" lead={back}>
        <Empty
          title="This run is not here"
          actions={<Button label="All runs" onPress={() => router.navigate('/read')} />}
        >
          It may have been removed, or the address is from another device. Import its backup under Learn to have it
          here.
        </Empty>
      </Screen>
    );
  if (!run || !today)
    return (
      <Screen title="Read" lead={back}>
        <Loading what="Opening the run…" />
      </Screen>
    );
  const x = sectionX ?? run.lengthM / 2;
  return (
    <Screen
      title={run.name}
      subtitle={readingLine(today.reading, units)}
      lead={back}
      trail={
        <IconButton
          label="Edit the run"
          icon="edit"
          onPress={() => router.push({ pathname: '/read/[run]/edit', params: { run: run.id } })}
        />
      }
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
        shown ? (
          <RunPicture
            run={run}
            survey={shown}
            order={order}
            options={options}
            units={units}
            x={x}
            chosen={chosen}
            onChoose={setChosen}
            onX={setSectionX}
            levelM={levelM ?? shown.channel.levelM}
            todayM={survey.data?.channel.levelM ?? today.reading.levelM}
            onLevel={setLevelM}
            hour={hour}
            onHour={setHour}
            problem={draft.error}
          />
        ) : survey.isError ? (
          <Problem title="The run cannot be rebuilt">{survey.error.message}</Problem>
        ) : (
          <Loading what="Rebuilding depth and current…" />
        )
      }
    >
      <DayBlock today={today} survey={survey.data} units={units} onNew={() => setReading(true)} />
      {shown ? (
        <>
          <LieRows
            lies={shown.lies}
            units={units}
            chosen={chosen}
            onChoose={setChosen}
            run={run}
            size={size}
            onSize={setSize}
          />
          <OrderBlock order={order} upstream={upstream} onUpstream={setUpstream} units={units} />
          <View>
            <Button
              label="Compare with another day"
              onPress={() => router.push({ pathname: '/read/[run]/compare', params: { run: run.id } })}
            />
          </View>
        </>
      ) : null}
      {run.notes ? (
        <Block title="Notes">
          <Text>{run.notes}</Text>
        </Block>
      ) : null}
      {reading && survey.data ? (
        <ReadingSheet
          run={run}
          channel={survey.data.channel}
          today={today.reading}
          stationed={!!water?.stationId}
          onClose={() => setReading(false)}
        />
      ) : null}
    </Screen>
  );
}
