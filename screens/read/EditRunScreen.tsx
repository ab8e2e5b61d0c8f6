import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { format, fromShown, toShown, unitOf, type UnitSystem } from '@/core/units';
import { FEATURE_KINDS, sectionBetween, type Feature, type FeatureKind, type Run, type Section } from '@/core/water';
import { useRecord, useSave, useSettings } from '@/store/hooks';
import {
  Block,
  Button,
  Choice,
  Empty,
  Hint,
  IconButton,
  Loading,
  NumberField,
  plainOptions,
  Problem,
  Screen,
  space,
  Stepper,
  Text,
  TextField,
  useToast,
} from '@/ui';
import { RunSheet } from '@/ui/charts';
import { useSurvey } from '../shared/useRunDay';
import { useRunEditor, type RunEditor } from './useRunEditor';

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
          It may have been removed on this device.
        </Empty>
      ) : (
        <Loading what="Opening the run…" />
      )}
    </Screen>
  );
}

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
  const i = Math.min(index, run.sections.length - 1);
  const back = () => router.navigate({ pathname: '/read/[run]', params: { run: run.id } });

  const onPoint = (p: { xM: number; yM: number }) => {
    if (placing) {
      setChosen(edit.addFeature(placing, Math.min(run.lengthM, Math.max(0, p.xM)), p.yM));
      setPlacing(null);
    } else {
      const nearest = run.sections.reduce(
        (b, s, j) => (Math.abs(s.xM - p.xM) < Math.abs(run.sections[b]!.xM - p.xM) ? j : b),
        0,
      );
      setIndex(nearest);
    }
  };
  const removeRun = async () => {
    await remove(run.id);
    router.navigate('/read');
    toast(`${run.name} was removed.`, () => void put(run));
  };

  return (
    <Screen
      title={run.name}
      subtitle="Every change is kept at once"
      lead={<IconButton label="Back to the run" icon="back" onPress={back} />}
      trail={
        <View style={{ flexDirection: 'row' }}>
          {edit.undo ? <IconButton label="Undo" icon="undo" onPress={edit.undo} /> : null}
          {edit.redo ? <IconButton label="Redo" icon="forward" onPress={edit.redo} /> : null}
        </View>
      }
      footer={<Button label="Done" kind="primary" onPress={back} />}
      picture={
        survey.data ? (
          <RunSheet
            run={run}
            survey={survey.data}
            units={units}
            height={300}
            sectionX={run.sections[i]!.xM}
            onPoint={onPoint}
            summary={`${run.name} from above. Tap to choose a section${placing ? `, or to place the ${placing}` : ''}`}
          />
        ) : survey.isError ? (
          <Problem title="The run cannot be rebuilt">{survey.error.message}</Problem>
        ) : (
          <Loading what="Rebuilding the run…" />
        )
      }
    >
      {edit.problem ? <Problem title="Not kept">{`${edit.problem}. Correct it and it will be.`}</Problem> : null}
      <Sections run={run} edit={edit} index={i} onIndex={setIndex} units={units} />
      <Features
        run={run}
        edit={edit}
        units={units}
        placing={placing}
        onPlacing={setPlacing}
        chosen={chosen}
        onChoose={setChosen}
      />
      <Block title="The run">
        <TextField label="Name" value={run.name} onChange={(name) => void edit.change({ name })} />
        <TextField label="Notes" multiline value={run.notes} onChange={(notes) => void edit.change({ notes })} />
        <Button label="Remove this run" onPress={() => void removeRun()} />
      </Block>
    </Screen>
  );
}

interface PartProps {
  run: Run;
  edit: RunEditor;
  units: UnitSystem;
}

function Sections({ run, edit, index, onIndex, units }: PartProps & { index: number; onIndex: (i: number) => void }) {
  const section = run.sections[index]!;
  const set = (change: Partial<Section>) => edit.setSection(index, { ...section, ...change });
  const setPoint = (j: number, part: Partial<Section['points'][number]>) =>
    set({ points: section.points.map((p, n) => (n === j ? { ...p, ...part } : p)) });
  return (
    <Block title="Sections">
      <Stepper
        label="Section"
        text={`${index + 1} of ${run.sections.length}, ${format('length', section.xM, units)} down`}
        onLess={() => onIndex(index - 1)}
        onMore={() => onIndex(index + 1)}
        canLess={index > 0}
        canMore={index < run.sections.length - 1}
        lessLabel="Section above"
        moreLabel="Section below"
      />
      <NumberField
        key={`x${index}`}
        label="Down the run"
        unit={unitOf('length', units)}
        value={toShown('length', section.xM, units)}
        min={0}
        max={toShown('length', run.lengthM, units)}
        digits={1}
        onChange={(v) => v !== null && v >= 0 && set({ xM: fromShown('length', v, units) })}
      />
      <Text size="small" tone="ink2">
        {`From your bank across. The first and last are the water’s edges.`}
      </Text>
      {section.points.map((p, j) => (
        <View key={`${index}-${j}`} style={{ flexDirection: 'row', gap: space.s }}>
          <View style={{ flex: 1 }}>
            <NumberField
              label={`Point ${j + 1}: out`}
              unit={unitOf('length', units)}
              value={toShown('length', p.yM, units)}
              digits={1}
              onChange={(v) => v !== null && setPoint(j, { yM: fromShown('length', v, units) })}
            />
          </View>
          <View style={{ flex: 1 }}>
            <NumberField
              label={`Point ${j + 1}: deep`}
              unit={unitOf('depth', units)}
              value={toShown('depth', p.depthM, units)}
              min={0}
              max={toShown('depth', 15, units)}
              onChange={(v) => v !== null && v >= 0 && setPoint(j, { depthM: fromShown('depth', v, units) })}
            />
          </View>
        </View>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Button label="Add a point" icon="plus" onPress={() => set({ points: withPoint(section) })} />
        <Button
          label="Add a section below"
          icon="plus"
          onPress={() => {
            edit.addSection(sectionBetween(section, run.sections[index + 1]));
            onIndex(index + 1);
          }}
        />
        <Button label="Remove section" disabled={run.sections.length <= 2} onPress={() => edit.removeSection(index)} />
      </View>
    </Block>
  );
}

/** One more point in the widest gap of a section. */
function withPoint(s: Section): Section['points'] {
  let at = 1;
  for (let j = 1; j < s.points.length; j++)
    if (s.points[j]!.yM - s.points[j - 1]!.yM > s.points[at]!.yM - s.points[at - 1]!.yM) at = j;
  const [a, b] = [s.points[at - 1]!, s.points[at]!];
  const middle = { yM: (a.yM + b.yM) / 2, depthM: (a.depthM + b.depthM) / 2 };
  return [...s.points.slice(0, at), middle, ...s.points.slice(at)];
}

interface FeaturesProps extends PartProps {
  placing: FeatureKind | null;
  onPlacing: (kind: FeatureKind | null) => void;
  chosen: string | null;
  onChoose: (id: string | null) => void;
}

function Features({ run, edit, units, placing, onPlacing, chosen, onChoose }: FeaturesProps) {
  const one = run.features.find((f) => f.id === chosen);
  return (
    <Block title="What stands in it">
      <Choice
        label="Add: choose, then tap the picture"
        options={plainOptions(FEATURE_KINDS)}
        value={placing}
        onChange={onPlacing}
      />
      {placing ? (
        <>
          <Hint>{`Tap the picture where the ${placing} is.`}</Hint>
          <View style={{ flexDirection: 'row', gap: space.s }}>
            <Button
              label={`Put the ${placing} in the middle`}
              onPress={() => {
                const s = run.sections[Math.floor(run.sections.length / 2)]!;
                onChoose(edit.addFeature(placing, run.lengthM / 2, s.points[Math.floor(s.points.length / 2)]!.yM));
                onPlacing(null);
              }}
            />
            <Button label="Do not" kind="quiet" onPress={() => onPlacing(null)} />
          </View>
        </>
      ) : null}
      {run.features.length > 0 ? (
        <Choice
          label="Here already (choose one to change it)"
          options={run.features.map((f) => ({
            value: f.id,
            label: `${f.kind}, ${format('length', f.xM, units)} down`,
          }))}
          value={chosen}
          onChange={onChoose}
        />
      ) : null}
      {one ? (
        <FeatureForm key={one.id} feature={one} edit={edit} units={units} onRemoved={() => onChoose(null)} />
      ) : null}
    </Block>
  );
}

function FeatureForm({
  feature,
  edit,
  units,
  onRemoved,
}: {
  feature: Feature;
  edit: RunEditor;
  units: UnitSystem;
  onRemoved: () => void;
}) {
  const step = (key: 'xM' | 'yM' | 'lengthM' | 'widthM', label: string, by: number, least: number) => (
    <Stepper
      label={label}
      text={format('depth', feature[key], units)}
      onLess={() =>
        edit.setFeature(feature.id, { [key]: Math.max(least, Math.round((feature[key] - by) * 100) / 100) })
      }
      onMore={() => edit.setFeature(feature.id, { [key]: Math.round((feature[key] + by) * 100) / 100 })}
      canLess={feature[key] > least}
    />
  );
  return (
    <View style={{ gap: space.s }}>
      {step('xM', 'Down the run', 0.5, 0)}
      {step('yM', 'Out from your bank', 0.5, -20)}
      {step('lengthM', 'Length along the river', 0.5, 0.5)}
      {step('widthM', 'Width across', 0.5, 0.5)}
      <Button
        label={`Remove the ${feature.kind}`}
        onPress={() => {
          edit.removeFeature(feature.id);
          onRemoved();
        }}
      />
    </View>
  );
}
