import { useState } from 'react';
import { type KitItem } from '@/core/tackle';
import { newId, useSave, useSettings } from '@/store/hooks';
import { Block, Button, Problem, Stack, Text, TextField, useToast } from '@/ui';
import { useResting } from '../shared/useResting';
import { useStable } from '../shared/useStable';
import { FlySight } from './FlySight';
import { ItemFields } from './ItemFields';
import { itemDetail } from '@/words/tackle';
import { saidOf } from '@/words/said';

interface Props {
  item: KitItem;
  kit: readonly KitItem[];
  onOpen: (id: string) => void;
  onGone: () => void;
}

/** One thing of the bag: seen, changed at once, duplicated, set aside, taken out. */
export function ItemPane({ item: stored, kit, onOpen, onGone }: Props) {
  const [{ units }] = useSettings();
  const { put, remove } = useSave('kit');
  const toast = useToast();
  const [asOpened] = useState(stored);
  const [problem, setProblem] = useState<string | null>(null);
  const store = useStable((next: KitItem) => {
    put(next).then(
      () => setProblem(null),
      (error: Error) => setProblem(saidOf(error)),
    );
  });
  const { value: item, set: setItem, forget, settle } = useResting(stored, store);
  const set = useStable((part: object) => setItem(without({ ...item, ...part })));
  const flag = (key: 'aside' | 'low', on: string, off: string) => (
    <Button
      label={item[key] ? off : on}
      onPress={() => {
        set({ [key]: item[key] ? undefined : true });
        settle(); // a tap is whole: it need not wait for the hand to rest
      }}
    />
  );
  const changed = JSON.stringify(item) !== JSON.stringify(asOpened);
  return (
    <Stack gap="l">
      <Text tone="ink2">
        {[itemDetail(item, units), item.low && 'running low', item.aside && 'set aside: not offered']
          .filter(Boolean)
          .join(' · ')}
      </Text>
      {problem ? <Problem title="Not saved yet">{`${problem}.`}</Problem> : null}
      <TextField label="Name" value={item.name} onChange={(name) => set({ name })} />
      {item.type === 'fly' ? <FlySight fly={item} /> : null}
      <ItemFields item={item} set={set} />
      <Block title="In the bag">
        <Stack row wrap gap="s">
          {flag('low', 'Running low', 'In stock again')}
          {flag('aside', 'Set aside', 'Offer again')}
          <Button
            label="Duplicate"
            onPress={() => {
              const copy = { ...item, id: newId(), name: nameOfCopy(item.name, kit) };
              void put(copy).then(() => onOpen(copy.id));
            }}
          />
          {changed ? (
            <Button
              label="Undo changes"
              icon="undo"
              onPress={() => {
                forget();
                store(asOpened);
              }}
            />
          ) : null}
          <Button
            label="Remove from bag"
            onPress={() => {
              forget();
              void remove(item.id);
              onGone();
              toast(`${item.name} removed. Rigs in your log still show it.`, () => void put(stored));
            }}
          />
        </Stack>
      </Block>
    </Stack>
  );
}

/** What is not said is left out, not kept as nothing. */
const without = (item: KitItem): KitItem =>
  Object.fromEntries(Object.entries(item).filter(([, v]) => v !== undefined)) as unknown as KitItem;

function nameOfCopy(name: string, kit: readonly KitItem[]): string {
  const taken = new Set(kit.map((k) => k.name));
  const base = name.replace(/ \(\d+\)$/, '').slice(0, 74);
  let n = 2;
  while (taken.has(`${base} (${n})`)) n++;
  return `${base} (${n})`;
}
