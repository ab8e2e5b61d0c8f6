import { useMemo, useState } from 'react';
import { notAllowed } from '@/core/rules';
import { FLY_ORDERS, type FlyOrder, flyOrder, seenFrom } from '@/core/sight';
import { choiceOf, type FlyItem, KIT_TYPE_NAMES, KIT_TYPES, type KitItem, type KitType, rigOf } from '@/core/tackle';
import { useRecord, useSession, useSettings } from '@/store/hooks';
import { Block, Button, Choice, PickRow, plainOptions, Stack, Text, TextField } from '@/ui';
import { FlyLikeness } from '@/ui/charts';
import { Fold } from '../shared/Fold';
import { LIST_PER_M, matches } from '../shared/ItemPicker';
import { type Looking, useLook } from '../shared/useLook';
import { barWords } from '@/words/rules';
import { itemDetail } from '@/words/tackle';
import { format, type UnitSystem } from '@/words/units';

const GROUPS = [
  'everything',
  'flies',
  'rods and lines',
  'leaders and small things',
  'running low',
  'set aside',
] as const;
type Group = (typeof GROUPS)[number];
const TYPES_OF: Partial<Record<Group, readonly KitType[]>> = {
  flies: ['fly', 'other fly'],
  'rods and lines': ['rod', 'head', 'running', 'tip'],
  'leaders and small things': ['leader', 'spool', 'ring', 'shot', 'float'],
};
const belongs = (item: KitItem, group: Group): boolean =>
  group === 'set aside'
    ? !!item.aside
    : !item.aside && (group === 'running low' ? !!item.low : (TYPES_OF[group]?.includes(item.type) ?? true));

/** A bag so small is in sight as a whole; so few things of a kind stand there without being opened. */
const [SMALL, FEW] = [12, 1];

interface Props {
  kit: readonly KitItem[];
  chosen: string | null;
  onOpen: (id: string) => void;
}

/** What is in the bag by type, searched and sorted. */
export function BagList({ kit, chosen, onOpen }: Props) {
  const [{ units }] = useSettings();
  const [session] = useSession();
  const rules = useRecord('water', session?.waterId)?.rules ?? null;
  const [words, setWords] = useState('');
  const [group, setGroup] = useState<Group>('everything');
  const [sorting, setSorting] = useState(false);
  const [order, setOrder] = useState<FlyOrder>('name');
  const looking = useLook();
  const rigged = useRigged(kit);
  const shown = kit.filter((k) => belongs(k, group) && (words.trim() === '' || matches(k, words.trim(), units)));
  const flies = shown.some((k) => k.type === 'fly');
  const looksFor = words.trim() !== '' || group !== 'everything' || order !== 'name' || kit.length <= SMALL;
  return (
    <>
      <TextField label="Search the bag" value={words} onChange={setWords} hint="e.g. olive, 4X, jigs, running low" />
      <Button
        kind="quiet"
        label={`${sorting ? 'Close' : 'Show and sort'}: ${group}${flies ? `, flies by ${order}` : ''}`}
        onPress={() => setSorting(!sorting)}
      />
      {sorting ? <Choice label="Show" options={plainOptions(GROUPS)} value={group} onChange={setGroup} /> : null}
      {flies && (sorting || order.includes('seen')) ? (
        <>
          {sorting ? (
            <Choice
              label="Flies in the order of"
              options={plainOptions(FLY_ORDERS)}
              value={order}
              onChange={setOrder}
            />
          ) : null}
          {order.includes('seen') ? (
            <Text size="small" tone="ink2">
              {looking
                ? `Seen from beside in the water of ${looking.where}${looking.read ? ' as read today' : ', which was not read today'}${looking.dark ? '; by the light of noon' : ''}.`
                : 'Choose a run under Read first: what fish see depends on its water.'}
            </Text>
          ) : null}
        </>
      ) : null}
      {shown.length === 0 ? <Text>No items here.</Text> : null}
      {KIT_TYPE_NAMES.map((type) => {
        const some = shown.filter((k) => k.type === type).sort((a, b) => a.name.localeCompare(b.name));
        const items = type === 'fly' ? flyOrder(some as FlyItem[], order, looking?.look ?? null) : some;
        if (items.length === 0) return null;
        const { many } = KIT_TYPES[type];
        const list = (
          <Stack>
            {items.map((item) => (
              <PickRow
                key={item.id}
                label={[...(rigged.get(item.id) ?? []), ...(item.low ? ['running low'] : [])].join(' · ')}
                value={item.name}
                detail={detailOf(item, units, order, looking)}
                caution={barWords(notAllowed(rules, item))}
                chosen={item.id === chosen}
                lead={item.type === 'fly' ? <FlyLikeness fly={item} perM={LIST_PER_M} /> : undefined}
                onPress={() => onOpen(item.id)}
              />
            ))}
          </Stack>
        );
        // What one looks for is in sight.
        return looksFor || items.length <= FEW ? (
          <Block key={type} title={`${many}, ${items.length}`}>
            {list}
          </Block>
        ) : (
          <Fold key={type} block title={many} summary={`${items.length}: ${items.map((i) => i.name).join(', ')}`}>
            {list}
          </Fold>
        );
      })}
    </>
  );
}

/** What a thing is, and how far it is seen where the list is sorted by that. */
function detailOf(item: KitItem, units: UnitSystem, order: FlyOrder, looking: Looking | null): string {
  const detail = itemDetail(item, units);
  if (item.type !== 'fly' || !looking || !order.includes('seen')) return detail;
  const seen = seenFrom(looking.look, item, 'beside');
  return `${detail}; outline ${format('depth', seen.outline.likelyM, units)}, colour ${format('depth', seen.colour.likelyM, units)}`;
}

/** On which rods things are, by their ids. */
function useRigged(kit: readonly KitItem[]): ReadonlyMap<string, readonly string[]> {
  const [session] = useSession();
  return useMemo(() => {
    const out = new Map<string, string[]>();
    const rigs = session ? [session.rig, ...(session.rigged ?? [])] : [];
    rigs.forEach((choice, i) => {
      const rig = rigOf(kit, choice);
      if (!rig) return;
      const { droppers, ...c } = choiceOf(rig);
      const ids = [
        c.rodId,
        c.headId,
        c.runningId,
        c.tipId,
        c.leaderId,
        c.flyId,
        c.floatId,
        ...droppers.map((d) => d.flyId),
      ];
      const says = i === 0 ? 'on the rod in hand' : `ready on ${rig.rod.name}`;
      for (const id of ids) if (id) out.set(id, [...(out.get(id) ?? []), says]);
    });
    return out;
  }, [kit, session]);
}
