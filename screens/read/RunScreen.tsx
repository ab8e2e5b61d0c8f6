import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import type { Survey } from '@/core/advice';
import type { FishLie } from '@/core/lies';
import { format, type UnitSystem } from '@/core/units';
import { acrossAt, type Run } from '@/core/water';
import { useSession, useSettings } from '@/store/hooks';
import {
  Block,
  Button,
  Caution,
  Empty,
  Fact,
  Hint,
  IconButton,
  Loading,
  PickRow,
  Problem,
  Screen,
  Slider,
  space,
  Text,
  useWide,
} from '@/ui';
import { RunSheet, SectionView } from '@/ui/charts';
import { useRunDay, type Today } from '../shared/useRunDay';
import { readingLine } from '../shared/words';
import { ReadingSheet } from './ReadingSheet';

const SPEED_WORDS: Record<Survey['channel']['speedFrom'], string> = {
  today: 'from the float timed today',
  'read with the run': 'from the float timed when the run was read, carried to today’s level',
  typical: 'typical for such a run: time a float to do better',
};

/** One run as it is today. */
export function RunScreen({ runId }: { runId: string }) {
  const router = useRouter();
  const { run, water, today, survey } = useRunDay(runId);
  const [, setSession] = useSession();
  const [{ units }] = useSettings();
  const [reading, setReading] = useState(false);
  const [sectionX, setSectionX] = useState<number | null>(null);
  const [chosen, setChosen] = useState<number | null>(1);
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
        survey.data ? (
          <RunPicture run={run} survey={survey.data} units={units} x={x} chosen={chosen} onX={setSectionX} />
        ) : survey.isError ? (
          <Problem title="The run cannot be rebuilt">{survey.error.message}</Problem>
        ) : (
          <Loading what="Rebuilding depth and current…" />
        )
      }
    >
      <ReadingBlock today={today} survey={survey.data} units={units} onNew={() => setReading(true)} />
      {survey.data ? (
        <Lies lies={survey.data.lies} units={units} chosen={chosen} onChoose={setChosen} run={run} />
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

interface PictureProps {
  run: Run;
  survey: Survey;
  units: UnitSystem;
  x: number;
  chosen: number | null;
  onX: (x: number) => void;
}

function RunPicture({ run, survey, units, x, chosen, onX }: PictureProps) {
  const wide = useWide();
  const { height } = useWindowDimensions();
  const sheet = Math.max(280, wide ? height - 330 : Math.min(430, height * 0.48));
  const cut = survey.lies.filter((l) => Math.abs(l.x - x) <= l.lengthM / 2 + survey.channel.dx);
  const summary =
    `${run.name} from above, ${format('length', run.lengthM, units)} long, flowing down the picture. ` +
    survey.lies.map((l) => `Lie ${l.rank}: ${l.reasons[0]}, ${format('length', l.x, units)} down`).join('. ');
  return (
    <View style={{ gap: space.s }}>
      <RunSheet
        run={run}
        survey={survey}
        units={units}
        height={sheet}
        chosen={chosen}
        sectionX={x}
        summary={summary}
        onPoint={(p) => onX(Math.min(run.lengthM, Math.max(0, p.xM)))}
      />
      <Slider
        label="Cross-section"
        value={x}
        min={0}
        max={run.lengthM}
        step={0.5}
        onChange={onX}
        format={(v) => `${format('length', v, units)} down the run`}
      />
      <SectionView points={acrossAt(survey.channel, x)} bank={run.bank} lies={cut} units={units} height={150} />
    </View>
  );
}

interface ReadingBlockProps {
  today: Today;
  survey: Survey | undefined;
  units: UnitSystem;
  onNew: () => void;
}

function ReadingBlock({ today, survey, units, onNew }: ReadingBlockProps) {
  const c = survey?.channel;
  return (
    <Block title="Today">
      {c ? (
        <>
          <Fact
            name="Flow through the run"
            value={`${format('flow', c.flowM3s, units)} ± ${Math.round(100 * c.speedSpread)} %`}
          />
          <Text size="small" tone="ink2">
            {`Speed: ${SPEED_WORDS[c.speedFrom]}. Depths ± ${Math.round(100 * c.depthSpread)} %.`}
          </Text>
        </>
      ) : null}
      {today.fresh ? null : (
        <Hint>{`The water is ${today.source}. A reading takes half a minute and moves the lies.`}</Hint>
      )}
      <Button label="New reading" icon="plus" onPress={onNew} />
    </Block>
  );
}

interface LiesProps {
  lies: readonly FishLie[];
  units: UnitSystem;
  chosen: number | null;
  onChoose: (rank: number) => void;
  run: Run;
}

/** Where fish hold, best first, each with its reasons. */
export function Lies({ lies, units, chosen, onChoose, run }: LiesProps) {
  return (
    <Block title="Where they hold">
      {lies.length === 0 ? <Text>No water here suits the fish you are after at this level.</Text> : null}
      {run.features.some((f) => f.kind === 'redd') ? (
        <Caution>
          There is a redd in this run. It and the water just below it are left out: do not fish it, do not wade there.
        </Caution>
      ) : null}
      {lies.map((l) => (
        <PickRow
          key={l.rank}
          label={`${l.rank} · ${format('length', l.x, units)} down, ${format('length', Math.abs(l.y), units)} out`}
          value={l.reasons.join('; ')}
          detail={`${format('depth', l.depthM, units)} deep, ${format('speed', l.speedMps, units)}. Show the fly at ${format('depth', l.band.topM, units)} to ${format('depth', l.band.bottomM, units)}, no faster than ${format('speed', l.crossSpeedMps, units)} across.`}
          chosen={l.rank === chosen}
          onPress={() => onChoose(l.rank)}
        />
      ))}
    </Block>
  );
}
