import {
  FLY_COLOURS,
  FLY_FAMILIES,
  FLY_FAMILY_NAMES,
  FLY_PROFILES,
  FLY_WEIGHT_NAMES,
  type FlyColour,
  type FlyItem,
  MOTIONS,
  motionOfFly,
  profileOf,
} from '@/core/tackle';
import { Choice, NumberField, plainOptions, Slider, TextField } from '@/ui';
import { YesNo } from '../shared/YesNo';
import { type Fields, Measure } from './fields';

const NONE = 'none';
const MOST_OTHERS = 2;
const BEADS_MM = ['2.5', '2.8', '3.3', '3.5', '4', '4.6'] as const;

/** A fly: family, colours, size, weighting, hook. */
export function FlyFields({ item, set }: Fields<FlyItem>) {
  const also = item.also ?? [];
  const setOther = (i: number, colour: FlyColour | typeof NONE) => {
    const next =
      colour === NONE
        ? also.filter((_, j) => j !== i)
        : [...also.slice(0, i), { colour, share: also[i]?.share ?? 0.25 }, ...also.slice(i + 1)];
    set({ also: next.length > 0 ? next : undefined });
  };
  return (
    <>
      <Choice
        label="Family"
        options={plainOptions(FLY_FAMILY_NAMES)}
        value={item.family}
        onChange={(family) => set({ family })}
      />
      <TextField
        label="Your own family, if not listed"
        hint="Shape and weight come from the one chosen above"
        value={item.called ?? ''}
        onChange={(called) => set({ called: called.trim() === '' ? undefined : called })}
      />
      <Choice
        label="Main colour"
        options={plainOptions(FLY_COLOURS)}
        value={item.colour}
        onChange={(colour) => set({ colour })}
      />
      {Array.from({ length: Math.min(MOST_OTHERS, also.length + 1) }, (_, i) => (
        <Choice
          key={i}
          label={i === 0 ? 'Second colour' : 'Third colour'}
          options={plainOptions([NONE, ...FLY_COLOURS] as const)}
          value={also[i]?.colour ?? NONE}
          onChange={(colour) => setOther(i, colour)}
        />
      ))}
      {also.map((c, i) => (
        <Slider
          key={i}
          label={`Share of ${c.colour}`}
          min={0.05}
          max={0.5}
          step={0.05}
          value={c.share}
          onChange={(share) => set({ also: also.map((d, j) => (j === i ? { ...d, share } : d)) })}
          format={(v) => `${Math.round(100 * v)} %`}
        />
      ))}
      <YesNo label="Flash" value={!!item.flash} onChange={(v) => set({ flash: v || undefined })} />
      <Measure q="small" label="Length" value={item.lengthM} onChange={(lengthM) => set({ lengthM })} />
      <TextField label="Hook size" value={item.hook} onChange={(hook) => set({ hook })} />
      <YesNo label="Barbless" value={item.barbless} onChange={(barbless) => set({ barbless })} />
      <YesNo label="Hook rides point up" value={!!item.hookUp} onChange={(v) => set({ hookUp: v || undefined })} />
      <Choice
        label="Weight"
        options={plainOptions(FLY_WEIGHT_NAMES)}
        value={item.weight}
        onChange={(weight) => set({ weight, beadM: weight === 'bead' ? item.beadM : undefined })}
      />
      {item.weight === 'bead' ? (
        <Choice
          label="Bead, mm of tungsten"
          options={plainOptions(BEADS_MM)}
          value={BEADS_MM.find((mm) => Math.abs(Number(mm) / 1000 - (item.beadM ?? 0.0033)) < 1e-5) ?? null}
          onChange={(mm) => set({ beadM: Number(mm) / 1000 })}
        />
      ) : null}
      <Choice
        label="Profile"
        options={plainOptions(FLY_PROFILES)}
        value={profileOf(item)}
        onChange={(profile) => set({ profile: profile === FLY_FAMILIES[item.family].profile ? undefined : profile })}
      />
      <Choice
        label="How it moves"
        options={plainOptions(MOTIONS)}
        value={motionOfFly(item)}
        onChange={(motion) => set({ motion: motion === FLY_FAMILIES[item.family].motion ? undefined : motion })}
      />
      <YesNo label="Scented" value={!!item.scented} onChange={(v) => set({ scented: v || undefined })} />
      <NumberField
        label="Quantity"
        digits={0}
        min={0}
        value={item.count ?? null}
        onChange={(v) => set({ count: v === null ? undefined : Math.round(v) })}
      />
    </>
  );
}
