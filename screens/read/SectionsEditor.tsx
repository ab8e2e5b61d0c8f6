import { View } from 'react-native';
import { format, fromShown, toShown, unitOf, type UnitSystem } from '@/core/units';
import { type Run, type Section, sectionBetween } from '@/core/water';

import { Block, Button, NumberField, Stack, Stepper, Text } from '@/ui';
import { SectionEditor } from '@/ui/charts';
import type { RunEditor } from './useRunEditor';

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
        <Stack key={`${index}-${j}`} row>
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
