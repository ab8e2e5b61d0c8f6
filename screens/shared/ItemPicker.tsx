import { useMemo, useState } from 'react';
import { notAllowed, type WaterRules } from '@/core/rules';
import { FLY_ORDERS, type FlyOrder, flyOrder } from '@/core/sight';
import { itemsOf, type KitItem, type KitType, motionOfFly, profileOf } from '@/core/tackle';
import { Choice, PickRow, plainOptions, Stack, Text, TextField } from '@/ui';
import { FlyLikeness } from '@/ui/charts';
import { useLook } from './useLook';
import { barWords } from '@/words/rules';
import { itemDetail } from '@/words/tackle';
import { toShown, unitOf, type UnitSystem } from '@/words/units';

/** Lists longer than this can be searched. */
const MANY = 8;
/** Likenesses in a list: so many points to the metre. */
export const LIST_PER_M = 900;

/** Whether every word that was typed stands somewhere in what a thing is. */
export function matches(item: KitItem, words: string, units: UnitSystem): boolean {
  const fly =
    item.type === 'fly'
      ? `${item.colour} ${(item.also ?? []).map((c) => c.colour).join(' ')} ${item.family} ${item.called ?? ''} ${profileOf(item)} ${motionOfFly(item)}`
      : '';
  const all = `${item.name} ${itemDetail(item, units)} ${fly} ${item.low ? 'running low' : ''}`.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((w) => all.includes(w));
}

interface Props {
  type: KitType;
  kit: readonly KitItem[];
  chosenId: string;
  rules: WaterRules | null;
  units: UnitSystem;
  /** Nothing may be chosen, too; in words. */
  none?: string;
  onPick: (id: string) => void;
}

/** One thing of a type out of the kit: what the water forbids is marked and cannot be chosen. */
export function ItemPicker({ type, kit, chosenId, rules, units, none, onPick }: Props) {
  const [words, setWords] = useState('');
  const [order, setOrder] = useState<FlyOrder>('name');
  const looking = useLook();
  const all = useMemo(() => {
    const items: KitItem[] = itemsOf(kit, type);
    return type === 'fly' ? flyOrder(itemsOf(kit, 'fly'), order, looking?.look ?? null) : items;
  }, [kit, type, order, looking]);
  const shown = all.filter((item) => words.trim() === '' || matches(item, words.trim(), units));
  return (
    <>
      {type === 'tip' ? (
        <Text size="small" tone="ink2">
          {`Sink rates are the catalogue’s (${toShown('sinkRate', 0.1778, units).toFixed(1)} ${unitOf('sinkRate', units)} is heavy); dense tips are often a little slower in truth.`}
        </Text>
      ) : null}
      {all.length > MANY ? (
        <>
          <TextField
            label="Search"
            value={words}
            onChange={setWords}
            hint={type === 'fly' ? 'e.g. black, bead, jigs' : undefined}
          />
          {type === 'fly' ? (
            <Choice label="Sort by" options={plainOptions(FLY_ORDERS)} value={order} onChange={setOrder} />
          ) : null}
        </>
      ) : null}
      <Stack>
        {none ? <PickRow label="" value={none} chosen={chosenId === ''} onPress={() => onPick('')} /> : null}
        {shown.map((item) => {
          const bar = barWords(notAllowed(rules, item));
          return (
            <PickRow
              key={item.id}
              label=""
              value={item.name}
              detail={`${itemDetail(item, units)}${item.low ? ', running low' : ''}`}
              caution={bar}
              barred={bar !== null}
              chosen={item.id === chosenId}
              lead={item.type === 'fly' ? <FlyLikeness fly={item} perM={LIST_PER_M} /> : undefined}
              onPress={() => onPick(item.id)}
            />
          );
        })}
        {shown.length === 0 && words ? <Text tone="ink2">{`No item in the bag matches “${words}”.`}</Text> : null}
      </Stack>
    </>
  );
}
