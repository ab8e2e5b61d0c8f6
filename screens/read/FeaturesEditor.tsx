import { useState } from 'react';
import { type Feature, FEATURE_KINDS, type FeatureKind, type Run } from '@/core/water';

import type { Water } from '@/store/records';
import { Block, Button, Choice, Hint, plainOptions, Stack, Stepper, Text } from '@/ui';
import { locate } from '../shared/locate';
import type { RunEditor } from './useRunEditor';
import { format, type UnitSystem } from '@/words/units';
import { saidOf } from '@/words/said';

interface Props {
  run: Run;
  water: Water | null;
  edit: RunEditor;
  units: UnitSystem;
  placing: FeatureKind | null;
  onPlacing: (kind: FeatureKind | null) => void;
  chosen: string | null;
  onChoose: (id: string | null) => void;
}

/** The middle of a run’s middle section, m out. */
function middleOf({ sections }: Run): number {
  const { points } = sections[Math.floor(sections.length / 2)]!;
  return points[Math.floor(points.length / 2)]!.yM;
}

/** What stands in the run: put it on the sheet, drag it there, or set it by steps. */
export function FeaturesEditor({ run, water, edit, units, placing, onPlacing, chosen, onChoose }: Props) {
  const [says, setSays] = useState<string | null>(null);
  const one = run.features.find((f) => f.id === chosen);
  const meant = { xM: run.lengthM / 2, yM: middleOf(run) };
  const putHere = async (kind: FeatureKind) => {
    try {
      const at = await locate(run, water, meant, units);
      onChoose(edit.addFeature(kind, at.xM, at.yM));
      onPlacing(null);
      setSays(`The ${kind} is where you stood, give or take ${format('length', at.accuracyM, units)}.`);
    } catch (error) {
      setSays(saidOf(error));
    }
  };
  return (
    <Block title="What stands in the run">
      <Choice
        label="Add: choose, then tap the picture"
        options={plainOptions(FEATURE_KINDS)}
        value={placing}
        onChange={onPlacing}
      />
      {placing ? (
        <>
          <Hint>{`Tap the picture where the ${placing} is.`}</Hint>
          <Stack row>
            <Button
              label={`Put the ${placing} in the middle`}
              onPress={() => {
                onChoose(edit.addFeature(placing, meant.xM, meant.yM));
                onPlacing(null);
              }}
            />
            <Button label={`The ${placing} is where I stand`} onPress={() => void putHere(placing)} />
            <Button label="Cancel" kind="quiet" onPress={() => onPlacing(null)} />
          </Stack>
        </>
      ) : null}
      {says ? <Text role="status">{says}</Text> : null}
      {run.features.length > 0 ? (
        <Choice
          label="In the run (tap one to change it)"
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
    <Stack>
      {feature.kind === 'redd' ? (
        <Hint>Treat any pale, clean oval as a redd: leave it alone and walk round.</Hint>
      ) : null}
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
    </Stack>
  );
}
