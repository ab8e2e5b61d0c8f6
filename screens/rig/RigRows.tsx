import { useRouter } from 'expo-router';
import { useState } from 'react';
import { notAllowed, type WaterRules } from '@/core/rules';
import { FLOAT_ABOVE_M, itemOf, type KitItem, type KitType, type RigChoice } from '@/core/tackle';
import { useSettings } from '@/store/hooks';
import { Block, Button, Choice, PickRow, Slider, Stack } from '@/ui';
import { PartSheet } from '../shared/PartSheet';
import { shotOptions, withShot } from '../shared/shotOptions';
import { FlyRows } from './FlyRows';
import { barWords } from '@/words/rules';
import { itemDetail } from '@/words/tackle';
import { format } from '@/words/units';

type Part = {
  key: 'rodId' | 'headId' | 'runningId' | 'tipId' | 'leaderId' | 'floatId';
  type: KitType;
  label: string;
  none?: string;
};
const PARTS: readonly Part[] = [
  { key: 'tipId', type: 'tip', label: 'Tip', none: 'no tip' },
  { key: 'leaderId', type: 'leader', label: 'Leader' },
  { key: 'headId', type: 'head', label: 'Line' },
  { key: 'runningId', type: 'running', label: 'Running line', none: 'a plain floating one' },
  { key: 'rodId', type: 'rod', label: 'Rod' },
  { key: 'floatId', type: 'float', label: 'Float', none: 'no float' },
];

const HALF = { flex: 1 } as const;

interface Props {
  kit: readonly KitItem[];
  choice: RigChoice;
  onChange: (choice: RigChoice) => void;
  /** Of the water: what they forbid cannot be chosen. */
  rules?: WaterRules | null;
}

/** What is tied on, part by part. */
export function RigRows({ kit, choice, onChange, rules = null }: Props) {
  const router = useRouter();
  const [{ units }] = useSettings();
  const [open, setOpen] = useState<Part | null>(null);
  const set = (part: Partial<RigChoice>) => onChange({ ...choice, ...part });
  return (
    <Block title="Tied on">
      <FlyRows kit={kit} choice={choice} onChange={onChange} rules={rules} />
      <Shot kit={kit} choice={choice} onChange={onChange} rules={rules} />
      <Stack>
        {PARTS.map((part) => {
          const item = itemOf(kit, part.type, choice[part.key]);
          return (
            <PickRow
              key={part.key}
              label={part.label}
              value={item?.name ?? part.none ?? 'choose'}
              detail={item ? itemDetail(item, units) : undefined}
              onPress={() => setOpen(part)}
            />
          );
        })}
      </Stack>
      {choice.floatId ? (
        <Slider
          label="Float above the fly"
          min={0.3}
          max={3}
          step={0.05}
          value={choice.floatAboveM ?? FLOAT_ABOVE_M}
          onChange={(floatAboveM) => set({ floatAboveM })}
          format={(m) => format('depth', m, units)}
        />
      ) : null}
      <Choice
        label="Floating line: clean, or dirty (sinks at the end)?"
        options={[
          { value: 'clean', label: 'clean' },
          { value: 'dirty', label: 'dirty' },
        ]}
        value={choice.lineClean ? 'clean' : 'dirty'}
        onChange={(v) => set({ lineClean: v === 'clean' })}
      />
      <Stack row gap="s">
        <Button
          label="Bag"
          hint="Your tackle"
          style={HALF}
          onPress={() => router.push({ pathname: '/bag', params: { from: 'rig' } })}
        />
        <Button label="Rig card" hint="Lengths, knots" style={HALF} onPress={() => router.push('/rig-card')} />
      </Stack>
      {open ? (
        <PartSheet
          part={open}
          kit={kit}
          chosenId={choice[open.key]}
          rules={rules}
          onPick={(id) => {
            set({ [open.key]: id });
            setOpen(null);
          }}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </Block>
  );
}

function Shot({
  kit,
  choice,
  onChange,
  rules,
}: Pick<Props, 'kit' | 'choice' | 'onChange'> & { rules: WaterRules | null }) {
  const [{ schools }] = useSettings();
  const { shotKg, shotAboveM, ...bare } = choice;
  const bar = barWords(notAllowed(rules, { type: 'shot', id: '', name: '', massKg: 1 }));
  const options = shotOptions(bar ? [] : kit, shotKg);
  if (options.length === 1 && !bar) return null;
  return (
    <>
      <Choice
        label={bar ? `Shot on the leader: ${bar}` : 'Shot on the leader'}
        options={options}
        value={String(shotKg ?? 0)}
        onChange={(kg) => onChange(withShot(choice, Number(kg), schools?.shot !== 'at the fly'))}
      />
      {shotKg ? (
        <Choice
          label="Where the shot sits"
          options={[
            { value: 'head', label: 'at the fly' },
            { value: 'above', label: 'a hand above' },
          ]}
          value={shotAboveM ? 'above' : 'head'}
          onChange={(v) => onChange(withShot(bare, shotKg, v === 'above'))}
        />
      ) : null}
    </>
  );
}
