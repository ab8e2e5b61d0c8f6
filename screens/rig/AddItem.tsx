import { useState } from 'react';
import {
  FLY_COLOURS,
  FLY_FAMILY_NAMES,
  FLY_WEIGHT_NAMES,
  type FlyItem,
  type HeadItem,
  type KitItem,
  type LeaderItem,
  lineMassKg,
  type RodItem,
  type TipItem,
} from '@/core/tackle';
import { FOOT_M, fromShown, INCH_M, type Quantity, toShown, unitOf, type UnitSystem } from '@/core/units';

import { newId, useSave } from '@/store/hooks';
import { Button, Choice, NumberField, plainOptions, Text, TextField } from '@/ui';

/** What a new item of each type starts as: ordinary tackle, to be changed. */
const START: { [T in KitItem['type']]: Extract<KitItem, { type: T }> } = {
  rod: { type: 'rod', id: '', name: '', lengthM: 9 * FOOT_M, hands: 1, lineNumber: 6 },
  head: { type: 'head', id: '', name: '', shape: 'taper', lengthM: 12, massKg: lineMassKg(6), sinkRateMps: 0 },
  tip: { type: 'tip', id: '', name: '', lengthM: 10 * FOOT_M, sinkRateMps: 3 * INCH_M },
  leader: { type: 'leader', id: '', name: '', lengthM: 1.5, diameterM: 0.25e-3, material: 'nylon' },
  fly: {
    type: 'fly',
    id: '',
    name: '',
    family: 'woolly bugger',
    colour: 'black',
    lengthM: 0.05,
    hook: '8',
    weight: 'none',
    barbless: true,
  },
};

interface Props {
  type: KitItem['type'];
  units: UnitSystem;
  onAdded: (item: KitItem) => void;
}

/** A short form for one thing one owns. */
export function AddItem({ type, units, onAdded }: Props) {
  const { put } = useSave('kit');
  const [item, setItem] = useState<KitItem>(START[type]);
  const [problem, setProblem] = useState<string | null>(null);
  const set = (part: object) => setItem((now) => ({ ...now, ...part }) as KitItem);
  const save = async () => {
    const whole = { ...item, id: newId(), name: item.name.trim() || ownName(item, units) } as KitItem;
    try {
      await put(whole);
    } catch (error) {
      return setProblem((error as Error).message);
    }
    onAdded(whole);
  };
  const fields = { item, set, units };
  return (
    <>
      {item.type === 'rod' ? <RodFields {...fields} item={item} /> : null}
      {item.type === 'head' ? <HeadFields {...fields} item={item} /> : null}
      {item.type === 'tip' ? <TipFields {...fields} item={item} /> : null}
      {item.type === 'leader' ? <LeaderFields {...fields} item={item} /> : null}
      {item.type === 'fly' ? <FlyFields {...fields} item={item} /> : null}
      <TextField label="Your name for it (may be left empty)" value={item.name} onChange={(name) => set({ name })} />
      {problem ? <Text role="alert">{problem}</Text> : null}
      <Button label="Put it in the kit" kind="primary" onPress={() => void save()} />
    </>
  );
}

/** A name made of what it is. */
function ownName(item: KitItem, units: UnitSystem): string {
  const n = (q: Quantity, v: number, digits: number) =>
    `${Number(toShown(q, v, units).toFixed(digits))} ${unitOf(q, units)}`;
  switch (item.type) {
    case 'rod':
      return `${n('depth', item.lengthM, 1)} rod, line ${item.lineNumber}`;
    case 'head':
      return `${n('length', item.lengthM, 0)} ${item.shape === 'sinking' ? 'sinking head' : item.shape === 'short' ? 'short head' : 'floating line'}`;
    case 'tip':
      return `${n('depth', item.lengthM, 1)} tip, ${n('sinkRate', item.sinkRateMps, 1)}`;
    case 'leader':
      return `${n('depth', item.lengthM, 1)} leader`;
    case 'fly':
      return `${item.colour} ${item.family}, ${n('small', item.lengthM, 1)}`;
  }
}

interface Fields<T> {
  item: T;
  set: (part: object) => void;
  units: UnitSystem;
}

function Measure({
  q,
  label,
  value,
  onChange,
  units,
  digits = 1,
}: {
  q: Quantity;
  label: string;
  value: number;
  onChange: (si: number) => void;
  units: UnitSystem;
  digits?: number;
}) {
  return (
    <NumberField
      label={label}
      unit={unitOf(q, units)}
      digits={digits}
      value={toShown(q, value, units)}
      onChange={(v) => v !== null && onChange(fromShown(q, v, units))}
    />
  );
}

function RodFields({ item, set, units }: Fields<RodItem>) {
  return (
    <>
      <Measure q="depth" label="Length" value={item.lengthM} onChange={(lengthM) => set({ lengthM })} units={units} />
      <Choice
        label="Hands"
        options={plainOptions(['1', '2'])}
        value={String(item.hands)}
        onChange={(v) => set({ hands: Number(v) })}
      />
      <NumberField
        label="Line number"
        digits={0}
        min={1}
        max={12}
        value={item.lineNumber}
        onChange={(v) => v !== null && set({ lineNumber: v })}
      />
    </>
  );
}

function HeadFields({ item, set, units }: Fields<HeadItem>) {
  return (
    <>
      <Choice
        label="Kind"
        options={[
          { value: 'taper', label: 'floating line' },
          { value: 'short', label: 'short head' },
          { value: 'sinking', label: 'sinking head' },
        ]}
        value={item.shape}
        onChange={(shape) => set({ shape, sinkRateMps: shape === 'sinking' ? 1.5 * INCH_M : 0 })}
      />
      <Measure q="length" label="Length" value={item.lengthM} onChange={(lengthM) => set({ lengthM })} units={units} />
      <NumberField
        label="Weight"
        unit="g"
        digits={1}
        min={2}
        max={80}
        value={item.massKg * 1000}
        onChange={(v) => v !== null && set({ massKg: v / 1000 })}
      />
      {item.shape === 'sinking' ? (
        <>
          <Measure
            q="sinkRate"
            label="Sink rate"
            value={item.sinkRateMps}
            onChange={(sinkRateMps) => set({ sinkRateMps })}
            units={units}
          />
          <Measure
            q="sinkRate"
            label="Sink rate of its front half"
            value={item.frontSinkRateMps ?? item.sinkRateMps}
            onChange={(frontSinkRateMps) => set({ frontSinkRateMps })}
            units={units}
          />
        </>
      ) : null}
    </>
  );
}

function TipFields({ item, set, units }: Fields<TipItem>) {
  return (
    <>
      <Measure q="depth" label="Length" value={item.lengthM} onChange={(lengthM) => set({ lengthM })} units={units} />
      <Measure
        q="sinkRate"
        label="Sink rate"
        value={item.sinkRateMps}
        onChange={(sinkRateMps) => set({ sinkRateMps })}
        units={units}
      />
    </>
  );
}

function LeaderFields({ item, set, units }: Fields<LeaderItem>) {
  return (
    <>
      <Measure q="depth" label="Length" value={item.lengthM} onChange={(lengthM) => set({ lengthM })} units={units} />
      <NumberField
        label="Diameter"
        unit="mm"
        digits={3}
        min={0.05}
        max={1}
        value={item.diameterM * 1000}
        onChange={(v) => v !== null && set({ diameterM: v / 1000 })}
      />
      <Choice
        label="Material"
        options={plainOptions(['nylon', 'fluorocarbon'] as const)}
        value={item.material}
        onChange={(material) => set({ material })}
      />
    </>
  );
}

function FlyFields({ item, set, units }: Fields<FlyItem>) {
  return (
    <>
      <Choice
        label="Kind"
        options={plainOptions(FLY_FAMILY_NAMES)}
        value={item.family}
        onChange={(family) => set({ family })}
      />
      <Choice
        label="Colour"
        options={plainOptions(FLY_COLOURS)}
        value={item.colour}
        onChange={(colour) => set({ colour })}
      />
      <Measure q="small" label="Length" value={item.lengthM} onChange={(lengthM) => set({ lengthM })} units={units} />
      <Choice
        label="Weight"
        options={plainOptions(FLY_WEIGHT_NAMES)}
        value={item.weight}
        onChange={(weight) => set({ weight })}
      />
      <TextField label="Hook size" value={item.hook} onChange={(hook) => set({ hook })} />
      <Choice
        label="Barbless"
        options={plainOptions(['yes', 'no'] as const)}
        value={item.barbless ? 'yes' : 'no'}
        onChange={(v) => set({ barbless: v === 'yes' })}
      />
    </>
  );
}
