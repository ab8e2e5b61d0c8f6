import { useState } from 'react';
import type { WaterRules } from '@/core/rules';
import type { KitItem, KitType } from '@/core/tackle';
import { useSettings } from '@/store/hooks';
import { Button, Sheet } from '@/ui';
import { AddItem } from '../bag/later';
import { ItemPicker } from './ItemPicker';

interface Props {
  part: { readonly type: KitType; readonly label: string; readonly none?: string };
  kit: readonly KitItem[];
  chosenId: string;
  rules: WaterRules | null;
  onPick: (id: string) => void;
  onClose: () => void;
}

/** Chooses one part, or adds one to the bag: from an ordinary one, in one more tap. */
export function PartSheet({ part, kit, chosenId, rules, onPick, onClose }: Props) {
  const [{ units }] = useSettings();
  const [adding, setAdding] = useState(false);
  const empty = !kit.some((k) => k.type === part.type);
  return (
    <Sheet title={adding ? `A ${part.label.toLowerCase()} for the bag` : part.label} open onClose={onClose}>
      {adding || empty ? (
        <AddItem type={part.type} units={units} rules={rules} onAdded={(item) => onPick(item.id)} />
      ) : (
        <>
          <ItemPicker
            type={part.type}
            kit={kit}
            chosenId={chosenId}
            rules={rules}
            units={units}
            none={part.none}
            onPick={onPick}
          />
          <Button label="Add one to the bag" icon="plus" onPress={() => setAdding(true)} />
        </>
      )}
    </Sheet>
  );
}
