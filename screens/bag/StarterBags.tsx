import { useState } from 'react';
import { itemName, type KitItem, STARTER_BAGS, type StarterBag, STARTS_SOURCE } from '@/core/tackle';
import { put, remove } from '@/store/changes';
import { newId, useCommit, useSettings } from '@/store/hooks';
import { Block, Button, PickRow, Stack, Text, useToast } from '@/ui';

const NAMES = Object.keys(STARTER_BAGS) as StarterBag[];

/** Whole bags by method, put beside what is there. */
export function StarterBags() {
  const [{ units }] = useSettings();
  const commit = useCommit();
  const toast = useToast();
  const [open, setOpen] = useState(false);
  const take = async (name: StarterBag) => {
    const items = STARTER_BAGS[name].map((start) => {
      const item = { ...start, id: newId() } as KitItem;
      return item.type === 'fly' ? { ...item, name: itemName(item, units) } : item;
    });
    await commit(...items.map((item) => put('kit', item)));
    toast(
      `${items.length} things put in the bag: thin them out.`,
      () => void commit(...items.map((item) => remove('kit', item.id))),
    );
    setOpen(false);
  };
  return (
    <Block title="Whole bags to start from">
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
              detail={`${STARTER_BAGS[name].length} things`}
              onPress={() => void take(name)}
            />
          ))}
        </Stack>
      ) : (
        <Button label="Show them" onPress={() => setOpen(true)} />
      )}
    </Block>
  );
}
