import {
  type FloatItem,
  floatCarriesKg,
  HEAD_SHAPES,
  type HeadItem,
  type KitItem,
  MATERIALS,
  OTHER_FLIES,
  type OtherFlyItem,
  type RodItem,
  RUNNING_KINDS,
  type RunningItem,
  type SpoolItem,
  strengthN,
  type TipItem,
  windowOf,
} from '@/core/tackle';
import { GRAIN_KG, INCH_M } from '@/core/units';
import { Button, Choice, Hint, NumberField, plainOptions, Text, TextField } from '@/ui';
import { YesNo } from '../shared/YesNo';
import { type Fields, Grains, Grams, Length, Measure, Millimetres, Strength } from './fields';
import { FlyFields } from './FlyFields';
import { LeaderFields } from './LeaderFields';

/** The fields of a thing by its type. */
export function ItemFields({ item, ...rest }: Fields<KitItem>) {
  switch (item.type) {
    case 'rod':
      return <RodFields item={item} {...rest} />;
    case 'head':
      return <HeadFields item={item} {...rest} />;
    case 'running':
      return <RunningFields item={item} {...rest} />;
    case 'tip':
      return <TipFields item={item} {...rest} />;
    case 'leader':
      return <LeaderFields item={item} {...rest} />;
    case 'spool':
      return <SpoolFields item={item} {...rest} />;
    case 'ring':
      return <Millimetres label="Across" value={item.diameterM} onChange={(diameterM) => rest.set({ diameterM })} />;
    case 'shot':
      return <Grams label="Weight of one" value={item.massKg} onChange={(massKg) => rest.set({ massKg })} />;
    case 'float':
      return <FloatFields item={item} {...rest} />;
    case 'other fly':
      return <OtherFlyFields item={item} {...rest} />;
    case 'fly':
      return <FlyFields item={item} {...rest} />;
  }
}

const ROD_KINDS = ['one hand', 'two hands', 'one or two'] as const;

function RodFields({ item, set }: Fields<RodItem>) {
  const kind = item.switch ? ROD_KINDS[2] : ROD_KINDS[item.hands - 1]!;
  const [least, most] = windowOf(item, 'short');
  return (
    <>
      <Length item={item} set={set} />
      <Choice
        label="Cast with"
        options={plainOptions(ROD_KINDS)}
        value={kind}
        onChange={(v) => set({ hands: v === 'one hand' ? 1 : 2, switch: v === 'one or two' ? true : undefined })}
      />
      <NumberField
        label="Line number"
        digits={0}
        min={1}
        max={12}
        value={item.lineNumber}
        onChange={(v) => v !== null && set({ lineNumber: v })}
      />
      <Grains label="Head, from" value={least} onChange={(kg) => set({ windowKg: [kg, Math.max(kg, most)] })} />
      <Grains label="Head, to" value={most} onChange={(kg) => set({ windowKg: [Math.min(kg, least), kg] })} />
      {item.windowKg ? (
        <Button label="Take the heads by its number" kind="quiet" onPress={() => set({ windowKg: undefined })} />
      ) : (
        <Text size="small" tone="ink2">
          The weights of heads are those of its number (common practice); enter your maker’s if you know them.
        </Text>
      )}
    </>
  );
}

const DENSITIES = ['1', '2', '3'] as const;

function HeadFields({ item, set }: Fields<HeadItem>) {
  const rates = item.sinkRatesMps;
  return (
    <>
      <Choice
        label="Kind"
        options={HEAD_SHAPES.map((value) => ({
          value,
          label: { taper: 'whole line', short: 'short head', long: 'long head' }[value],
        }))}
        value={item.shape}
        onChange={(shape) => set({ shape })}
      />
      <Length item={item} set={set} />
      <Grains label="Weight" value={item.massKg} onChange={(massKg) => set({ massKg })} />
      <Choice
        label="Densities"
        options={DENSITIES.map((value) => ({ value, label: { 1: 'one', 2: 'two', 3: 'three' }[value] }))}
        value={String(rates.length) as (typeof DENSITIES)[number]}
        onChange={(n) =>
          set({
            sinkRatesMps: Array.from(
              { length: Number(n) },
              (_, i) => rates[i] ?? (rates.at(-1) || INCH_M) + i * INCH_M,
            ),
          })
        }
      />
      {rates.map((rate, i) => (
        <Measure
          key={i}
          q="sinkRate"
          label={`Sink rate${rates.length > 1 ? `, ${['at the rod', ...(rates.length > 2 ? ['in the middle'] : []), 'in front'][i]}` : ''} (0 floats)`}
          value={rate}
          onChange={(v) => set({ sinkRatesMps: rates.map((r, j) => (j === i ? v : r)) })}
        />
      ))}
      <Measure
        q="depth"
        label="Cut back by"
        value={item.cutBackM ?? 0}
        onChange={(m) => set({ cutBackM: m > 0 ? m : undefined })}
        digits={2}
      />
    </>
  );
}

const OtherFlyFields = ({ item, set }: Fields<OtherFlyItem>) => (
  <>
    <Choice label="Kind" options={plainOptions(OTHER_FLIES)} value={item.kind} onChange={(kind) => set({ kind })} />
    <TextField label="Hook" value={item.hook} onChange={(hook) => set({ hook })} />
    <Hint>Not used for rigs: only for logging a fish taken on it.</Hint>
  </>
);

const RunningFields = ({ item, set }: Fields<RunningItem>) => (
  <>
    <Choice label="Kind" options={plainOptions(RUNNING_KINDS)} value={item.kind} onChange={(kind) => set({ kind })} />
    <Millimetres label="Diameter" value={item.diameterM} onChange={(diameterM) => set({ diameterM })} />
  </>
);

function TipFields({ item, set }: Fields<TipItem>) {
  return (
    <>
      <Length item={item} set={set} />
      <Measure
        q="sinkRate"
        label="Sink rate (0 floats)"
        value={item.sinkRateMps}
        onChange={(sinkRateMps) => set({ sinkRateMps })}
      />
      <YesNo label="Tapered sinking leader" value={!!item.tapered} onChange={(v) => set({ tapered: v || undefined })} />
      <NumberField
        label="Weight, if it is printed on it"
        unit="gr"
        digits={0}
        value={item.massKg === undefined ? null : item.massKg / GRAIN_KG}
        onChange={(v) => set({ massKg: v === null ? undefined : v * GRAIN_KG })}
      />
    </>
  );
}

function SpoolFields({ item, set }: Fields<SpoolItem>) {
  const { strengthN: _printed, ...plain } = item;
  return (
    <>
      <Millimetres label="Diameter" value={item.diameterM} onChange={(diameterM) => set({ diameterM })} />
      <Choice
        label="Material"
        options={plainOptions(MATERIALS)}
        value={item.material}
        onChange={(material) => set({ material })}
      />
      <Strength value={item.strengthN} onChange={(n) => set({ strengthN: n })} byDiameterN={strengthN(plain)} />
    </>
  );
}

function FloatFields({ item, set }: Fields<FloatItem>) {
  const carries = floatCarriesKg(item);
  return (
    <>
      <Millimetres label="Diameter" value={item.diameterM} onChange={(diameterM) => set({ diameterM })} />
      <Grams label="Weight" value={item.massKg} onChange={(massKg) => set({ massKg })} />
      <Text tone={carries > 0 ? 'ink2' : 'cautionText'}>
        {carries > 0
          ? `Carries ${(1000 * carries).toFixed(1)} g in water before it goes under.`
          : 'This float sinks: too heavy for its size.'}
      </Text>
    </>
  );
}
