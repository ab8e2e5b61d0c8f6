import { useState } from 'react';
import type { WaterRules } from '@/core/rules';
import { notAllowed } from '@/core/rules';
import { FLY_COLOURS, type FlyColour, type KitItem, type KitType } from '@/core/tackle';
import { STARTS, STARTS_SOURCE } from '@/core/tackle/starts';
import { newId, useSave } from '@/store/hooks';
import { Choice, PickRow, plainOptions, Stack, Text, useToast } from '@/ui';
import { FlyLikeness } from '@/ui/charts';
import { LIST_PER_M } from '../shared/ItemPicker';
import { barWords } from '@/words/rules';
import { itemDetail, itemName } from '@/words/tackle';
import { type UnitSystem } from '@/words/units';
import { saidOf } from '@/words/said';

interface Props {
  type: KitType;
  units: UnitSystem;
  rules?: WaterRules | null;
  onAdded: (item: KitItem) => void;
}

/** One more for the bag: an ordinary one by its family, kept at a tap; what differs is changed later. What the rules forbid,
 * where one is about to tie it on, cannot be taken. */
export function AddItem({ type, units, rules = null, onAdded }: Props) {
  const { put } = useSave('kit');
  const [colour, setColour] = useState<FlyColour>('black');
  const toast = useToast();
  /** It is chosen with the same tap that adds it: waiting for the store, what is chosen next would be overwritten. */
  const add = (item: KitItem) => {
    put(item).catch((error: Error) => toast(`Couldn’t save: ${saidOf(error)}.`)); // this sheet has closed by then
    onAdded(item);
  };
  return (
    <>
      <Text size="small" tone="ink2">
        {STARTS_SOURCE}
      </Text>
      {type === 'fly' ? (
        <Choice label="Colour" options={plainOptions(FLY_COLOURS)} value={colour} onChange={setColour} />
      ) : null}
      <Stack>
        {STARTS[type].map((start) => {
          const made = { ...start, ...(type === 'fly' ? { colour } : null), id: '' } as KitItem;
          const item = made.type === 'fly' ? { ...made, name: itemName(made, units) } : made;
          const bar = barWords(notAllowed(rules, item));
          return (
            <PickRow
              key={start.name}
              label=""
              icon="plus"
              value={item.type === 'fly' ? item.family : item.name}
              detail={itemDetail(item, units)}
              caution={bar}
              barred={bar !== null}
              lead={item.type === 'fly' ? <FlyLikeness fly={item} perM={LIST_PER_M} /> : undefined}
              onPress={() => add({ ...item, id: newId() })}
            />
          );
        })}
      </Stack>
    </>
  );
}
