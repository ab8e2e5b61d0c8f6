import { useState } from 'react';
import { type Fish, SPECIES } from '@/core/logbook';
import type { RememberedStay } from '@/core/logbook/byHand';
import { describeFly, type FlyItem, itemsOf } from '@/core/tackle';
import { type Run, SKIES, type Sky } from '@/core/water';
import type { Water } from '@/store/records';
import { useSettings } from '@/store/hooks';
import { Button, Choice, PickRow, plainOptions, Sheet, Stack, Stepper, TextField } from '@/ui';
import { ItemPicker } from '../shared/ItemPicker';
import { QuantityField } from '../shared/QuantityField';
import { FishLength, useOwnSpecies } from '../shared/useFishFields';
import { atClock, dayOf, spanOf } from '../shared/time';
import { useKit } from '../shared/useKit';
import { MINUTE_MS } from '@/core/units';
import { type Quantity } from '@/words/units';

/** A stay on a run as it is being entered. */
interface StayDraft {
  readonly key: string;
  /** null: another run, by its name alone. */
  readonly runId: string | null;
  readonly runName: string;
  /** "Another" was chosen. */
  readonly elsewhere: boolean;
  readonly from: string;
  readonly to: string;
  readonly casts: number | null;
  readonly takes: number;
  readonly fish: readonly { readonly species: string; readonly lengthM: number | null }[];
  readonly flyId: string | null;
  readonly levelM: number | null;
  readonly visibilityM: number | null;
  readonly waterTempC: number | null;
  readonly sky: Sky | null;
}

export const emptyStay = (key: string, from: string): StayDraft => ({
  ...{ key, runId: null, runName: '', elsewhere: false, from, to: '', casts: null, takes: 0, fish: [], flyId: null },
  ...{ levelM: null, visibilityM: null, waterTempC: null, sky: null },
});

/** What a stay comes to on a day; null where its hours are not told yet, or cannot be. */
export function rememberedStay(d: StayDraft, dayAt: number, flies: readonly FlyItem[]): RememberedStay | null {
  const span = spanOf(dayAt, d.from, d.to);
  if (!span) return null;
  const { fromAt, toAt } = span;
  const fly = flies.find((f) => f.id === d.flyId);
  return {
    ...{ runId: d.runId, runName: d.runName.trim() || 'somewhere', fromAt, toAt, casts: d.casts },
    ...{ takes: Math.max(d.takes, d.fish.length), minutes: Math.round((toAt - fromAt) / MINUTE_MS), timed: true },
    fly: fly ? { name: fly.name, colour: fly.colour, family: fly.family } : null,
    water: { levelM: d.levelM, visibilityM: d.visibilityM, waterTempC: d.waterTempC, sky: d.sky },
    landed: d.fish.map((f): Fish => ({ ...f, sex: null, condition: '', origin: null })),
    lost: 0,
  };
}

const OTHER = 'another';
/** About so many; nobody remembers more closely. */
const ABOUT = [30, 60, 100, 150, 200, 300] as const;

interface Props {
  stay: StayDraft;
  onStay: (stay: StayDraft) => void;
  runs: readonly Run[];
  water: Water | null;
  onRemove?: () => void;
}

/** Run, hours, about how many casts, takes and fish, and what one remembers of fly and water. */
export function StayFields({ stay, onStay, runs, water, onRemove }: Props) {
  const set = (part: Partial<StayDraft>) => onStay({ ...stay, ...part });
  const [day] = useState(() => Date.now());
  const wrong = (text: string) => (text !== '' && atClock(day, text) === null ? 'Hours and minutes, as 14:05.' : null);
  const told = stay.from !== '' && stay.to !== '' && !wrong(stay.to) && !wrong(stay.from);
  const span = told ? spanOf(day, stay.from, stay.to) : null;
  const backwards = told && !span;
  const named = runs.some((r) => r.id === stay.runId);
  return (
    <Stack gap="m">
      {runs.length > 0 ? (
        <Choice
          label="Run"
          options={[...runs.map((r) => ({ value: r.id, label: r.name })), { value: OTHER, label: OTHER }]}
          value={stay.runId ?? OTHER}
          onChange={(id) => {
            const run = runs.find((r) => r.id === id);
            set({ runId: run?.id ?? null, runName: run?.name ?? '', elsewhere: !run });
          }}
        />
      ) : null}
      {named ? null : (
        <TextField
          label="Name of the run"
          value={stay.runName}
          onChange={(runName) => set({ runName: runName.slice(0, 80) })}
        />
      )}
      <TextField
        label="From"
        value={stay.from}
        onChange={(from) => set({ from })}
        error={wrong(stay.from)}
        hint="As 07:30"
      />
      <TextField
        label="To"
        value={stay.to}
        onChange={(to) => set({ to })}
        error={wrong(stay.to) ?? (backwards ? 'The end is before the beginning.' : null)}
        {...(span && dayOf(span.toAt) !== dayOf(span.fromAt) ? { hint: 'The next day' } : null)}
      />
      <Choice
        label="About how many casts"
        options={[
          { value: 'unknown', label: 'not known' },
          ...ABOUT.map((n) => ({ value: String(n), label: String(n) })),
        ]}
        value={stay.casts === null ? 'unknown' : String(stay.casts)}
        onChange={(v) => set({ casts: v === 'unknown' ? null : Number(v) })}
      />
      <Stepper
        label="Takes, the fish among them"
        text={String(Math.max(stay.takes, stay.fish.length))}
        canLess={stay.takes > stay.fish.length}
        onLess={() => set({ takes: Math.max(stay.takes, stay.fish.length) - 1 })}
        onMore={() => set({ takes: Math.max(stay.takes, stay.fish.length) + 1 })}
      />
      <FishRows fish={stay.fish} quarry={water?.quarry ?? 'brown trout'} onFish={(fish) => set({ fish })} />
      <Remembered stay={stay} set={set} />
      {onRemove ? <Button label="Leave out this run" kind="quiet" onPress={onRemove} /> : null}
    </Stack>
  );
}

interface FishProps {
  fish: StayDraft['fish'];
  quarry: string;
  onFish: (fish: StayDraft['fish']) => void;
}

function FishRows({ fish, quarry, onFish }: FishProps) {
  const own = useOwnSpecies();
  const change = (i: number, part: Partial<StayDraft['fish'][number]>) =>
    onFish(fish.map((f, j) => (i === j ? { ...f, ...part } : f)));
  return (
    <>
      <Stepper
        label="Fish landed"
        text={String(fish.length)}
        canLess={fish.length > 0}
        canMore={fish.length < 50}
        onLess={() => onFish(fish.slice(0, -1))}
        onMore={() => onFish([...fish, { species: fish.at(-1)?.species ?? quarry, lengthM: null }])}
      />
      {fish.map((f, i) => (
        <Stack key={i} gap="s">
          <Choice
            label={`Fish ${i + 1}`}
            options={plainOptions([...new Set([quarry, f.species, ...own, ...SPECIES])])}
            value={f.species}
            onChange={(species) => change(i, { species })}
          />
          <FishLength
            label={`Length of fish ${i + 1}`}
            value={f.lengthM}
            onChange={(lengthM) => change(i, { lengthM })}
          />
        </Stack>
      ))}
    </>
  );
}

/** Fly and water, as far as one remembers them. */
function Remembered({ stay, set }: { stay: StayDraft; set: (part: Partial<StayDraft>) => void }) {
  const [{ units }] = useSettings();
  const { data: kit } = useKit();
  const [open, setOpen] = useState(false);
  const [picking, setPicking] = useState(false);
  const fly = itemsOf(kit ?? [], 'fly').find((f) => f.id === stay.flyId);
  const quantity = (
    label: string,
    q: Quantity,
    key: 'levelM' | 'visibilityM' | 'waterTempC',
    min: number,
    max: number,
  ) => (
    <QuantityField
      {...{ label, quantity: q, min, max }}
      digits={q === 'depth' ? 2 : 0}
      value={stay[key]}
      onChange={(si) => set({ [key]: si })}
    />
  );
  return (
    <>
      <PickRow label="Fly" value={fly ? describeFly(fly) : 'not known'} onPress={() => setPicking(true)} />
      {open ? (
        <>
          {quantity('Level against normal', 'level', 'levelM', -5, 5)}
          {quantity('Visibility', 'depth', 'visibilityM', 0.02, 15)}
          {quantity('Water temperature', 'temperature', 'waterTempC', -1, 35)}
          <Choice
            label="Sky"
            options={[{ value: 'unknown', label: 'not known' }, ...plainOptions(SKIES)]}
            value={stay.sky ?? 'unknown'}
            onChange={(v) => set({ sky: v === 'unknown' ? null : (v as Sky) })}
          />
        </>
      ) : (
        <Button label="The water, as you remember it" kind="quiet" onPress={() => setOpen(true)} />
      )}
      {picking ? (
        <Sheet title="The fly you fished most" open onClose={() => setPicking(false)}>
          <ItemPicker
            type="fly"
            kit={kit ?? []}
            chosenId={stay.flyId ?? ''}
            rules={null}
            units={units}
            none="not known"
            onPick={(id) => {
              set({ flyId: id || null });
              setPicking(false);
            }}
          />
        </Sheet>
      ) : null}
    </>
  );
}
