import { useRouter } from 'expo-router';
import { useState } from 'react';
import { ScrollView } from 'react-native';
import { useSession, useSettings } from '@/store/hooks';
import {
  Button,
  Choice,
  Empty,
  IconButton,
  Loading,
  plainOptions,
  Screen,
  Sheet,
  space,
  Stack,
  Text,
  useWide,
} from '@/ui';
import { KIT_TYPE_NAMES, KIT_TYPES, type KitType } from '@/core/tackle';
import { useLoadDemo } from '../shared/useDemo';
import { useKit } from '../shared/useKit';
import { BagFiles } from './BagFiles';
import { BagList } from './BagList';
import { ItemPane } from './ItemPane';
import { AddItem, StarterBags } from './later';
import { useBack } from './useBack';
import { HowThisWorks } from '../shared/HowThisWorks';

/** Everything one owns: a list, and beside it or after it one thing of it. */
export function BagScreen({ itemId }: { itemId?: string }) {
  const router = useRouter();
  const wide = useWide();
  const { data: kit } = useKit();
  const [session] = useSession();
  const load = useLoadDemo();
  const [adding, setAdding] = useState(false);
  const { from, back } = useBack('/rig');
  const lead = <IconButton label="Back" icon="back" onPress={back} />;
  if (!kit || !session)
    return (
      <Screen title="Bag" lead={lead}>
        <Loading what="Opening your bag…" />
      </Screen>
    );
  const item = kit.find((k) => k.id === itemId);
  const open = (id: string) =>
    wide ? router.setParams({ item: id }) : router.push({ pathname: '/bag', params: { ...from, item: id } });
  const close = () => router.replace({ pathname: '/bag', params: from });
  const pane = item ? <ItemPane key={item.id} item={item} kit={kit} onOpen={open} onGone={close} /> : null;
  const add = (
    <AddSheet
      open={adding}
      onClose={() => setAdding(false)}
      onAdded={(id) => {
        setAdding(false);
        open(id);
      }}
    />
  );
  if (itemId && !wide)
    return (
      <Screen
        title={item?.name ?? 'Not in your bag'}
        lead={<IconButton label="Back to the bag" icon="back" onPress={close} />}
      >
        {pane ?? <Text>This item is no longer in your bag.</Text>}
      </Screen>
    );
  if (kit.length === 0)
    return (
      <Screen title="Bag" lead={lead}>
        <Empty
          title="The bag is empty"
          actions={
            <>
              <Button label="Add item" icon="plus" onPress={() => setAdding(true)} />
              <Button label="Look around with demo data" onPress={() => void load()} />
            </>
          }
        >
          Start from a typical bag and remove what you don’t own, or add items one by one.
        </Empty>
        <StarterBags shown />
        <BagFiles kit={kit} />
        {add}
      </Screen>
    );
  const list = (
    <Stack gap="l">
      <BagList kit={kit} chosen={item?.id ?? null} onOpen={open} />
      <StarterBags />
      <BagFiles kit={kit} />
      <HowThisWorks page="bag" />
    </Stack>
  );
  const footer = (
    <Stack row gap="s">
      <Button label="Add" icon="plus" kind="primary" onPress={() => setAdding(true)} style={{ flex: 1 }} />
      <Button
        label="What you can do"
        onPress={() => router.push({ pathname: '/bag/means', params: from })}
        style={{ flex: 1 }}
      />
    </Stack>
  );
  return wide ? (
    <Screen
      title="Bag"
      lead={lead}
      footer={footer}
      picture={<ScrollView contentContainerStyle={{ paddingRight: space.l }}>{list}</ScrollView>}
    >
      {pane ?? <Text tone="ink2">Choose an item on the left to see and change it.</Text>}
      {add}
    </Screen>
  ) : (
    <Screen title="Bag" lead={lead} footer={footer}>
      {list}
      {add}
    </Screen>
  );
}

interface AddProps {
  open: boolean;
  onClose: () => void;
  onAdded: (id: string) => void;
}

/** Type, then an ordinary one of it: it is in the bag. */
function AddSheet({ open, onClose, onAdded }: AddProps) {
  const [{ units }] = useSettings();
  const [type, setType] = useState<KitType>('fly');
  return (
    <Sheet title={`A ${KIT_TYPES[type].one} for the bag`} open={open} onClose={onClose}>
      <Choice
        label="What"
        options={plainOptions(KIT_TYPE_NAMES).map((o) => ({ ...o, label: KIT_TYPES[o.value].one }))}
        value={type}
        onChange={setType}
      />
      <AddItem key={type} type={type} units={units} onAdded={(item) => onAdded(item.id)} />
    </Sheet>
  );
}
