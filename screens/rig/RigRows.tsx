import { useState } from 'react';
import { notAllowed, type WaterRules } from '@/core/rules';
import { itemsOf, type KitItem, type RigChoice } from '@/core/tackle';
import { format, toShown, unitOf, type UnitSystem } from '@/core/units';

import { useSettings } from '@/store/hooks';

import { Block, Button, Choice, PickRow, Sheet, Stack, Text } from '@/ui';

import { AddItem } from './AddItem';

type Part = {
  key: keyof Omit<RigChoice, 'lineClean' | 'shotKg' | 'shotAboveM'>;
  type: KitItem['type'];
  label: string;
  optional?: string;
};
const PARTS: readonly Part[] = [
  { key: 'flyId', type: 'fly', label: 'Fly' },
  { key: 'tipId', type: 'tip', label: 'Tip', optional: 'no tip' },
  { key: 'leaderId', type: 'leader', label: 'Leader' },
  { key: 'headId', type: 'head', label: 'Line' },
  { key: 'rodId', type: 'rod', label: 'Rod' },
  { key: 'dropperId', type: 'fly', label: 'Second fly', optional: 'none' },
];

/** What an item is, beside its name. */
export function itemDetail(item: KitItem, units: UnitSystem): string {
  switch (item.type) {
    case 'rod':
      return `${format('depth', item.lengthM, units)}, ${item.hands === 2 ? 'two hands' : 'one hand'}, line ${item.lineNumber}`;
    case 'head':
      return `${format('length', item.lengthM, units)}, ${item.sinkRateMps > 0 ? `sinks ${format('sinkRate', item.sinkRateMps, units)}` : 'floats'}`;
    case 'tip':
      return `${format('length', item.lengthM, units)}, sinks ${format('sinkRate', item.sinkRateMps, units)}`;
    case 'leader':
      return `${format('depth', item.lengthM, units)}, ${(item.diameterM * 1000).toFixed(2)} mm ${item.material}`;
    case 'fly':
      return `${format('small', item.lengthM, units)}, hook ${item.hook}, ${item.weight === 'none' ? 'no weight' : item.weight}${item.barbless ? ', barbless' : ''}`;
  }
}

interface Props {
  kit: readonly KitItem[];
  choice: RigChoice;
  onChange: (choice: RigChoice) => void;
  /** Of the water: what they forbid is marked. */
  rules?: WaterRules | null;
}

/** What is tied on, part by part. */
export function RigRows({ kit, choice, onChange, rules = null }: Props) {
  const [{ units }] = useSettings();
  const [open, setOpen] = useState<Part | null>(null);
  const [adding, setAdding] = useState(false);
  const close = () => {
    setOpen(null);
    setAdding(false);
  };
  const pick = (part: Part, id: string) => {
    onChange({ ...choice, [part.key]: id });
    close();
  };
  const items = open ? itemsOf(kit, open.type) : [];
  return (
    <Block title="Tied on">
      <Stack>
        {PARTS.map((part) => {
          const item = kit.find((k) => k.id === choice[part.key] && k.type === part.type);
          return (
            <PickRow
              key={part.key}
              label={part.label}
              value={item?.name ?? part.optional ?? 'choose'}
              detail={item ? itemDetail(item, units) : undefined}
              onPress={() => setOpen(part)}
            />
          );
        })}
      </Stack>
      <Shot choice={choice} onChange={onChange} />
      <Choice
        label="Is the floating line clean? (clean floats high; dirty is dragged under)"
        options={[
          { value: 'clean', label: 'clean' },
          { value: 'dirty', label: 'dirty' },
        ]}
        value={choice.lineClean ? 'clean' : 'dirty'}
        onChange={(v) => onChange({ ...choice, lineClean: v === 'clean' })}
      />
      {open ? (
        <Sheet title={adding ? `A ${open.label.toLowerCase()} for the kit` : open.label} open onClose={close}>
          {adding ? (
            <AddItem type={open.type} units={units} onAdded={(item) => pick(open, item.id)} />
          ) : (
            <>
              {open.type === 'tip' ? (
                <Text
                  size="small"
                  tone="ink2"
                >{`Sink rates are the catalogue’s (${toShown('sinkRate', 0.1778, units).toFixed(1)} ${unitOf('sinkRate', units)} is heavy); dense tips are often a little slower in truth.`}</Text>
              ) : null}
              <Stack>
                {open.optional ? (
                  <PickRow
                    label=""
                    value={open.optional}
                    chosen={choice[open.key] === ''}
                    onPress={() => pick(open, '')}
                  />
                ) : null}
                {items.map((item) => (
                  <PickRow
                    key={item.id}
                    label=""
                    value={item.name}
                    detail={itemDetail(item, units)}
                    caution={item.type === 'fly' ? notAllowed(rules, item) : null}
                    chosen={item.id === choice[open.key]}
                    onPress={() => pick(open, item.id)}
                  />
                ))}
              </Stack>
              <Button
                label="Add one to the kit"
                icon="plus"
                kind={items.length ? 'plain' : 'primary'}
                onPress={() => setAdding(true)}
              />
            </>
          )}
        </Sheet>
      ) : null}
    </Block>
  );
}

const SHOT_G = [0, 0.2, 0.4, 0.8] as const;
/** Two schools place it: at the fly's head, or 6 to 8 in above it (common practice, no source). */
const ABOVE_M = 0.18;

function Shot({ choice, onChange }: Pick<Props, 'choice' | 'onChange'>) {
  const { shotKg, shotAboveM, ...bare } = choice;
  const set = (kg: number, above: number) =>
    onChange({ ...bare, ...(kg > 0 ? { shotKg: kg, ...(above > 0 ? { shotAboveM: above } : null) } : null) });
  return (
    <>
      <Choice
        label="Shot on the leader"
        options={SHOT_G.map((g) => ({ value: String(g), label: g === 0 ? 'none' : `${g} g` }))}
        value={String(1000 * (shotKg ?? 0))}
        onChange={(g) => set(Number(g) / 1000, shotAboveM ?? 0)}
      />
      {shotKg ? (
        <Choice
          label="Where it sits"
          options={[
            { value: 'head', label: 'at the fly' },
            { value: 'above', label: 'a hand above' },
          ]}
          value={shotAboveM ? 'above' : 'head'}
          onChange={(v) => set(shotKg, v === 'above' ? ABOVE_M : 0)}
        />
      ) : null}
    </>
  );
}
