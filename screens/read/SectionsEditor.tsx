import { View } from 'react-native';
import { type Run, type Section, sectionBetween } from '@/core/water';
import { Block, Button, Stack, Stepper, Text } from '@/ui';
import { SectionEditor } from '@/ui/charts';
import { QuantityField } from '../shared/QuantityField';
import type { RunEditor } from './useRunEditor';
import { format, type UnitSystem } from '@/words/units';

interface Props {
  run: Run;
  edit: RunEditor;
  units: UnitSystem;
  index: number;
  onIndex: (i: number) => void;
}

/** Cross-sections: drag their points, or type them. */
export function SectionsEditor({ run, edit, index, onIndex, units }: Props) {
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
      <SectionEditor
        key={`${run.id}-${index}`}
        section={section}
        bank={run.bank}
        units={units}
        height={170}
        onChange={(points) => set({ points })}
      />
      <QuantityField
        key={`x${index}`}
        label="Down the run"
        quantity="length"
        value={section.xM}
        min={0}
        max={run.lengthM}
        digits={1}
        whenDone
        onChange={(xM) => {
          if (xM === null || xM < 0) return;
          // The section may come to lie elsewhere among the others: it stays the one that is edited.
          onIndex(run.sections.filter((o, i) => i !== index && o.xM < xM).length);
          set({ xM });
        }}
      />
      <Text size="small" tone="ink2">
        {`From your bank across. The first and last are the water’s edges.`}
      </Text>
      {section.points.map((p, j) => (
        <Stack key={`${index}-${j}`} row>
          <View style={{ flex: 1 }}>
            <QuantityField
              label={`Point ${j + 1}: out`}
              quantity="length"
              value={p.yM}
              digits={1}
              whenDone
              onChange={(yM) => yM !== null && setPoint(j, { yM })}
            />
          </View>
          <View style={{ flex: 1 }}>
            <QuantityField
              label={`Point ${j + 1}: deep`}
              quantity="depth"
              value={p.depthM}
              min={0}
              max={15}
              whenDone
              onChange={(depthM) => depthM !== null && depthM >= 0 && setPoint(j, { depthM })}
            />
          </View>
        </Stack>
      ))}
      <Stack row wrap>
        <Button label="Add a point" icon="plus" onPress={() => set({ points: withPoint(section) })} />
        <Button
          label="Add a section below"
          icon="plus"
          onPress={() => {
            edit.addSection(sectionBetween(section, run.sections[index + 1]));
            onIndex(index + 1);
          }}
        />
        <Button
          label="Copy it below"
          icon="plus"
          onPress={() => {
            const xM = Math.min(run.lengthM, Math.round(10 * (section.xM + COPY_M)) / 10);
            edit.addSection({ ...section, xM });
            onIndex(index + 1);
          }}
        />
        <Button label="Remove section" disabled={run.sections.length <= 2} onPress={() => edit.removeSection(index)} />
      </Stack>
    </Block>
  );
}

/** A copy starts so far below, m. */
const COPY_M = 3;

/** One more point in the widest gap of a section. */
function withPoint(s: Section): Section['points'] {
  let at = 1;
  for (let j = 1; j < s.points.length; j++)
    if (s.points[j]!.yM - s.points[j - 1]!.yM > s.points[at]!.yM - s.points[at - 1]!.yM) at = j;
  const [a, b] = [s.points[at - 1]!, s.points[at]!];
  const middle = { yM: (a.yM + b.yM) / 2, depthM: (a.depthM + b.depthM) / 2 };
  return [...s.points.slice(0, at), middle, ...s.points.slice(at)];
}
