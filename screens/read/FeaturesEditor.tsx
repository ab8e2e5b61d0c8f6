import { type Feature, FEATURE_KINDS, type FeatureKind, type Run } from '@/core/water';

import { Block, Button, Choice, Hint, plainOptions, Stack, Stepper } from '@/ui';
import type { RunEditor } from './useRunEditor';
import { format, type UnitSystem } from '@/words/units';

interface Props {
  run: Run;
  edit: RunEditor;
  units: UnitSystem;
  placing: FeatureKind | null;
  onPlacing: (kind: FeatureKind | null) => void;
  chosen: string | null;
  onChoose: (id: string | null) => void;
}

/** What stands in the run: put it on the sheet, drag it there, or set it by steps. */
export function FeaturesEditor({ run, edit, units, placing, onPlacing, chosen, onChoose }: Props) {
  const one = run.features.find((f) => f.id === chosen);
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
                const s = run.sections[Math.floor(run.sections.length / 2)]!;
                onChoose(edit.addFeature(placing, run.lengthM / 2, s.points[Math.floor(s.points.length / 2)]!.yM));
                onPlacing(null);
              }}
            />
            <Button label="Cancel" kind="quiet" onPress={() => onPlacing(null)} />
          </Stack>
        </>
      ) : null}
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
