import { useRouter } from 'expo-router';
import { useRef, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { deepestOf, type Feature, type FeatureKind, type Run, withDeepestAt } from '@/core/water';
import { useRecord, useSave, useSettings } from '@/store/hooks';
import { Button, Empty, IconButton, Loading, Problem, Screen, Stack, useToast } from '@/ui';
import { RunSheet } from '@/ui/charts';
import { NotRebuilt } from '../shared/RunGate';
import { useSurvey } from '../shared/useRunDay';
import { FeaturesEditor } from './FeaturesEditor';
import { RunFacts } from './RunFacts';
import { SectionsEditor } from './SectionsEditor';
import { useRunEditor } from './useRunEditor';
import { STRETCH, useZoom } from './useZoom';

export function EditRunScreen({ runId }: { runId: string }) {
  const run = useRecord('run', runId);
  const router = useRouter();
  if (run) return <Editor run={run} />;
  return (
    <Screen title="Edit a run">
      {run === null ? (
        <Empty
          title="This run is not here"
          actions={<Button label="All runs" onPress={() => router.navigate('/read')} />}
        >
          The run may have been removed on this device.
        </Empty>
      ) : (
        <Loading what="Opening the run…" />
      )}
    </Screen>
  );
}

/** Grips on the sheet, by the words beside them. */
const [DEEPEST, STRETCHED] = ['deepest', 'stretch'];
/** On a lower screen the picture would leave too little room under it, px. */
const TALL_PX = 700;
/** A grip stands off what is small by this share of what is shown. */
const GRIP_SHARE = 0.1;
/** What stands in a run is no smaller than this, m. */
const LEAST_M = 0.5;
const stretchedTo = (m: number): number => Math.max(LEAST_M, Math.round(10 * m) / 10);

function Editor({ run }: { run: Run }) {
  const router = useRouter();
  const toast = useToast();
  const [{ units }] = useSettings();
  const water = useRecord('water', run.waterId);
  const { put, remove } = useSave('run');
  const edit = useRunEditor(run);
  const survey = useSurvey(run, null, water);
  const [index, setIndex] = useState(0);
  const [placing, setPlacing] = useState<FeatureKind | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const zoom = useZoom(run.lengthM);
  const { height } = useWindowDimensions();
  const i = Math.min(index, run.sections.length - 1);
  const back = () => router.navigate({ pathname: '/read/[run]', params: { run: run.id } });

  const [dragged, setDragged] = useState<({ id: string } & Partial<Feature>) | null>(null);
  /** The section whose deep line is being dragged, as it is so far. */
  const [deepened, setDeepened] = useState<Run['sections'][number] | null>(null);
  // Else the run itself: a new one each time would be drawn anew each time.
  const shown = dragged
    ? { ...run, features: run.features.map((f) => (f.id === dragged.id ? { ...f, ...dragged } : f)) }
    : run;
  const section = deepened ?? run.sections[i]!;
  const one = shown.features.find((f) => f.id === chosen);
  /** Where a grip was taken hold of. */
  const grabbed = useRef<{ xM: number; yM: number } | null>(null);
  const grips = [
    { id: DEEPEST, grip: true, xM: section.xM, yM: section.points[deepestOf(section)]!.yM },
    // Beside what it stretches, however small that is.
    ...(one
      ? [
          {
            id: STRETCHED,
            grip: true,
            xM: one.xM + Math.max(one.lengthM / 2, GRIP_SHARE * (zoom.to - zoom.from)),
            yM: one.yM + one.widthM / 2,
          },
        ]
      : []),
  ];
  const onPoint = (p: { xM: number; yM: number }, handle: string | null) => {
    if (placing) {
      setChosen(edit.addFeature(placing, Math.min(run.lengthM, Math.max(0, p.xM)), p.yM));
      setPlacing(null);
    } else if (handle === DEEPEST) {
      setDeepened(withDeepestAt(run.sections[i]!, p.yM));
    } else if (handle === STRETCHED) {
      const was = run.features.find((f) => f.id === chosen);
      grabbed.current ??= p;
      if (was)
        setDragged({
          id: was.id,
          lengthM: stretchedTo(was.lengthM + 2 * (p.xM - grabbed.current.xM)),
          widthM: stretchedTo(was.widthM + 2 * (p.yM - grabbed.current.yM)),
        });
    } else if (handle) {
      setDragged({ id: handle, xM: Math.round(10 * p.xM) / 10, yM: Math.round(10 * p.yM) / 10 });
    } else {
      const nearest = run.sections.reduce(
        (b, s, j) => (Math.abs(s.xM - p.xM) < Math.abs(run.sections[b]!.xM - p.xM) ? j : b),
        0,
      );
      setIndex(nearest);
    }
  };
  const onRelease = () => {
    grabbed.current = null;
    if (deepened) {
      edit.setSection(i, deepened);
      setDeepened(null);
    }
    if (!dragged) return;
    const { id, ...place } = dragged;
    edit.setFeature(id, place);
    setChosen(id);
    setDragged(null);
  };
  const removeRun = async () => {
    await remove(run.id);
    router.navigate('/read');
    toast(`${run.name} was removed.`, () => void put(run));
  };

  return (
    <Screen
      title={run.name}
      subtitle="Changes are saved at once"
      lead={<IconButton label="Back to the run" icon="back" onPress={back} />}
      trail={
        <View style={{ flexDirection: 'row' }}>
          {edit.undo ? <IconButton label="Undo" icon="undo" onPress={edit.undo} /> : null}
          {edit.redo ? <IconButton label="Redo" icon="forward" onPress={edit.redo} /> : null}
        </View>
      }
      stays={height >= TALL_PX}
      footer={<Button label="Done" kind="primary" onPress={back} />}
      picture={
        survey.data ? (
          <Stack gap="s">
            <RunSheet
              run={shown}
              survey={survey.data}
              units={units}
              height={300}
              from={zoom.from}
              to={zoom.to}
              stretch={STRETCH}
              {...zoom.gestures}
              sectionX={run.sections[i]!.xM}
              handles={placing ? [] : [...grips, ...shown.features]}
              onPoint={onPoint}
              onRelease={onRelease}
              summary={`${run.name} from above. Tap to choose a section, drag its deepest point or what stands in it${placing ? `, or to place the ${placing}` : ''}. Pinch, or tap twice, to go closer`}
            />
            <Stack row>
              <Button
                label="Closer"
                icon="plus"
                disabled={!zoom.canCloser}
                onPress={() => zoom.closer(run.sections[i]!.xM)}
              />
              <Button label="Whole run" kind="quiet" disabled={!zoom.zoomed} onPress={zoom.whole} />
            </Stack>
          </Stack>
        ) : survey.isError ? (
          <NotRebuilt survey={survey} />
        ) : (
          <Loading what="Rebuilding the run…" />
        )
      }
    >
      {edit.problem ? <Problem title="Not saved">{`${edit.problem}. Correct the entry to save.`}</Problem> : null}
      <SectionsEditor run={run} edit={edit} index={i} onIndex={setIndex} units={units} />
      <FeaturesEditor
        run={run}
        water={water ?? null}
        edit={edit}
        units={units}
        placing={placing}
        onPlacing={setPlacing}
        chosen={chosen}
        onChoose={setChosen}
      />
      <RunFacts run={run} edit={edit} survey={survey.data} water={water} onRemove={() => void removeRun()} />
    </Screen>
  );
}
