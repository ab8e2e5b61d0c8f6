import { useState } from 'react';
import { type KitItem, NO_RIG } from '@/core/tackle';
import { STARTER_BAGS, type StarterBag, starterRig, STARTS_SOURCE } from '@/core/tackle/starts';
import { put, remove } from '@/store/changes';
import { newId, ofSession, useCommit, useSession, useSettings } from '@/store/hooks';
import { Block, Button, PickRow, Stack, Text, useToast } from '@/ui';
import { itemName } from '@/words/tackle';

const NAMES = Object.keys(STARTER_BAGS) as StarterBag[];

/** Whole bags by method, put beside what is there. */
export function StarterBags({ shown = false }: { shown?: boolean }) {
  const [{ units }] = useSettings();
  const commit = useCommit();
  const [session] = useSession();
  const toast = useToast();
  const [open, setOpen] = useState(shown);
  const take = async (name: StarterBag) => {
    const items = STARTER_BAGS[name].map((start) => {
      const item = { ...start, id: newId() } as KitItem;
      return item.type === 'fly' ? { ...item, name: itemName(item, units) } : item;
    });
    const tied = session && !session.rig.rodId ? [ofSession({ rig: starterRig(items) })] : [];
    await commit(...items.map((item) => put('kit', item)), ...tied);
    const back = [
      ...items.map((item) => remove('kit', item.id)),
      ...(tied.length > 0 ? [ofSession({ rig: NO_RIG })] : []),
    ];
    toast(`${items.length} items added. Remove what you don’t own.`, () => void commit(...back));
    setOpen(false);
  };
  return (
    <Block title="Typical bags to start from">
      {open ? (
        <Stack>
          <Text size="small" tone="ink2">
            {STARTS_SOURCE}
          </Text>
          {NAMES.map((name) => (
            <PickRow
              key={name}
              label=""
              icon="plus"
              value={name}
              detail={`${STARTER_BAGS[name].length} items`}
              onPress={() => void take(name)}
            />
          ))}
        </Stack>
      ) : (
        <Button label="Show" onPress={() => setOpen(true)} />
      )}
    </Block>
  );
}
