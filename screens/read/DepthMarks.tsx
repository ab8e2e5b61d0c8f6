import { useState } from 'react';
import { View } from 'react-native';
import { acrossAt, type Channel, type DepthAt, LEG_MARKS, legDepthM, type LegMark, type Run } from '@/core/water';

import { QuantityField } from '../shared/QuantityField';
import { Button, Choice, NumberField, plainOptions, Slider, Stack, Text } from '@/ui';
import { format, type UnitSystem } from '@/words/units';

interface Props {
  run: Run;
  channel: Channel;
  units: UnitSystem;
  heightM: number;
  depths: readonly DepthAt[];
  onChange: (depths: readonly DepthAt[]) => void;
}

const HOW = { leg: 'on the leg', 'sink count': 'by a sink count', staff: 'by a staff' } as const;
/** A tip's rate to begin with, m/s (5 in a second). */
const RATE_MPS = 0.127;

/** Depths measured today: where, and how. They say which level it really is. */
export function DepthMarks({ run, channel, units, heightM, depths, onChange }: Props) {
  const [open, setOpen] = useState(false);
  const [how, setHow] = useState<DepthAt['how']>('leg');
  const [xM, setX] = useState(run.lengthM / 2);
  const [outM, setOut] = useState(3);
  const [mark, setMark] = useState<LegMark | null>(null);
  const [rate, setRate] = useState<number | null>(RATE_MPS);
  const [count, setCount] = useState<number | null>(null);
  const [staff, setStaff] = useState<number | null>(null);
  const near = acrossAt(channel, xM, 1)[0]!.yM;
  const depthM =
    how === 'leg'
      ? mark && legDepthM(mark, heightM)
      : how === 'staff'
        ? staff
        : rate !== null && count !== null
          ? rate * count
          : null;
  const keep = () => {
    if (!depthM) return;
    onChange([...depths, { xM, yM: Math.round(10 * (near + outM)) / 10, depthM: Math.round(100 * depthM) / 100, how }]);
    setMark(null);
    setCount(null);
    setStaff(null);
    setOpen(false);
  };
  return (
    <Stack>
      {depths.map((d, i) => (
        <Stack key={i} row align="center">
          <Text style={{ flex: 1 }}>
            {`${format('depth', d.depthM, units)} deep ${HOW[d.how]}, ${format('length', d.xM, units)} down`}
          </Text>
          <Button kind="quiet" label="Remove" onPress={() => onChange(depths.filter((_, j) => j !== i))} />
        </Stack>
      ))}
      {!open ? (
        <Button label="Add a depth you measured" icon="plus" onPress={() => setOpen(true)} />
      ) : (
        <>
          <Choice
            label="A depth, measured"
            options={(Object.keys(HOW) as DepthAt['how'][]).map((h) => ({ value: h, label: HOW[h] }))}
            value={how}
            onChange={setHow}
          />
          <Slider
            label="Down the run"
            value={xM}
            min={0}
            max={run.lengthM}
            step={0.5}
            onChange={setX}
            format={(v) => format('length', v, units)}
          />
          <Slider
            label="Out from the water’s edge"
            value={outM}
            min={0.5}
            max={20}
            step={0.5}
            onChange={setOut}
            format={(v) => format('length', v, units)}
          />
          {how === 'leg' ? (
            <Choice
              label="The water stands at"
              options={plainOptions(LEG_MARKS.map(([m]) => m))}
              value={mark}
              onChange={setMark}
            />
          ) : how === 'staff' ? (
            <QuantityField label="Depth" quantity="depth" value={staff} min={0.05} onChange={setStaff} />
          ) : (
            <Stack row gap="m">
              <View style={{ flex: 1 }}>
                <QuantityField
                  label="The tip sinks"
                  quantity="sinkRate"
                  value={rate}
                  digits={1}
                  min={0.002}
                  onChange={setRate}
                />
              </View>
              <View style={{ flex: 1 }}>
                <NumberField label="Count to the bed" unit="s" value={count} digits={0} min={1} onChange={setCount} />
              </View>
            </Stack>
          )}
          {depthM ? <Text size="strong">{`${format('depth', depthM, units)} there`}</Text> : null}
          <Stack row>
            <Button label="Save depth" disabled={!depthM} onPress={keep} />
            <Button label="Cancel" kind="quiet" onPress={() => setOpen(false)} />
          </Stack>
        </>
      )}
    </Stack>
  );
}
