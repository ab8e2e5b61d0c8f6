import type { Happened } from '@/core/logbook';
import { describeRig, itemsOf } from '@/core/tackle';
import { useSettings } from '@/store/hooks';
import { Choice, Hint, NumberField, plainOptions, Text, TextField } from '@/ui';
import { ItemPicker } from '../shared/ItemPicker';
import { QuantityField } from '../shared/QuantityField';
import { useKit } from '../shared/useKit';
import { type Quantity } from '@/words/units';

/** What an entry can be instead: none of these says more than that it happened. */
const PLAIN = ['rise', 'bed', 'hang-up', 'fly lost', 'fouled'] as const;
type Plain = (typeof PLAIN)[number];
const isPlain = (e: Happened): e is Happened & { kind: Plain } => (PLAIN as readonly string[]).includes(e.kind);

/** What more an entry says, to be said anew. */
export function EntryFields({ draft, onDraft }: { draft: Happened; onDraft: (to: Happened) => void }) {
  const [{ units }] = useSettings();
  const { data: kit } = useKit();
  const quantity = (
    label: string,
    q: Quantity,
    si: number | null,
    digits: number,
    set: (si: number | null) => void,
  ) => <QuantityField label={label} quantity={q} digits={digits} value={si} onChange={set} />;
  /** Where an angler stood. */
  const place = (
    <>
      {draft.xM !== null
        ? quantity('Down the run', 'length', draft.xM, 1, (xM) => onDraft({ ...draft, xM: xM ?? draft.xM }))
        : null}
      {draft.yM !== null
        ? quantity('Out from the bank', 'length', draft.yM, 1, (yM) => onDraft({ ...draft, yM: yM ?? draft.yM }))
        : null}
    </>
  );
  switch (draft.kind) {
    case 'note':
      return (
        <TextField
          label="Note"
          multiline
          value={draft.text}
          onChange={(text) => onDraft({ ...draft, text: text || draft.text })}
        />
      );
    case 'rest':
      return (
        <NumberField
          label="Rested"
          unit="min"
          digits={0}
          min={0}
          max={600}
          value={draft.minutes}
          onChange={(minutes) => onDraft({ ...draft, minutes: minutes ?? draft.minutes })}
        />
      );
    case 'cast': {
      const { plan } = draft;
      const set = (part: Partial<typeof plan>) => onDraft({ ...draft, plan: { ...plan, ...part } });
      return (
        <>
          {quantity('Line out', 'line', plan.outM, 1, (outM) => set({ outM: outM ?? plan.outM }))}
          <NumberField
            label="Angle, from straight downstream"
            unit="°"
            digits={0}
            min={0}
            max={180}
            value={plan.angleDeg}
            onChange={(angleDeg) => set({ angleDeg: angleDeg ?? plan.angleDeg })}
          />
          {place}
        </>
      );
    }
    case 'reading': {
      const r = draft.reading;
      const set = (part: Partial<typeof r>) => onDraft({ ...draft, reading: { ...r, ...part } });
      return (
        <>
          {quantity('Level against normal', 'level', r.levelM, 0, (levelM) => set({ levelM: levelM ?? r.levelM }))}
          {quantity('Visibility', 'depth', r.visibilityM, 2, (v) => set({ visibilityM: v ?? r.visibilityM }))}
          {quantity('Water temperature', 'temperature', r.waterTempC, 1, (waterTempC) => set({ waterTempC }))}
          <Hint>This corrects the day’s log. The run’s own reading stays under Read.</Hint>
        </>
      );
    }
    case 'estimate':
      return (
        <>
          <NumberField
            label="About how many casts"
            digits={0}
            min={0}
            max={2000}
            value={draft.casts}
            onChange={(casts) => onDraft({ ...draft, casts: casts === null ? null : Math.round(casts) })}
          />
          <NumberField
            label="Takes, besides those logged one by one"
            digits={0}
            min={0}
            max={500}
            value={draft.takes}
            onChange={(takes) => onDraft({ ...draft, takes: Math.round(takes ?? 0) })}
          />
        </>
      );
    case 'rig': {
      const { set } = draft;
      return (
        <>
          <Text>{describeRig(set)}</Text>
          <Text size="small" tone="ink2">
            The fly you really fished; its casts count for that one.
          </Text>
          <ItemPicker
            type="fly"
            kit={kit ?? []}
            chosenId={set.fly.id}
            rules={null}
            units={units}
            onPick={(id) => {
              const fly = itemsOf(kit ?? [], 'fly').find((f) => f.id === id);
              if (fly) onDraft({ ...draft, set: { ...set, fly } });
            }}
          />
        </>
      );
    }
    default:
      return isPlain(draft) ? (
        <>
          <Choice
            label="What it was"
            options={plainOptions(PLAIN)}
            value={draft.kind}
            onChange={(kind) => onDraft({ ...draft, kind } as Happened)}
          />
          {place}
        </>
      ) : null;
  }
}
