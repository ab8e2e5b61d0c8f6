import { useState } from 'react';
import { notAllowed, type WaterRules } from '@/core/rules';
import { itemsOf, type Rig, type RigChoice, rigOf } from '@/core/tackle';
import { useRecords, useSession, useSettings } from '@/store/hooks';

import { Choice, PickRow, Sheet, Stack } from '@/ui';
import { itemDetail } from '../rig/RigRows';

interface Props {
  rig: Rig;
  rules: WaterRules | null;
  onClose: () => void;
  onChange: (rig: Rig, choice: RigChoice) => void;
}

/** Another fly, or another tip: one tap each. */
export function ChangeSheet({ rig, rules, onClose, onChange }: Props) {
  const { data: kit } = useRecords('kit');
  const [session] = useSession();
  const [{ units }] = useSettings();
  const [part, setPart] = useState<'fly' | 'tip'>('fly');
  if (!kit || !session) return null;
  const now: RigChoice = { ...session.rig, flyId: rig.fly.id, tipId: rig.tip?.id ?? '' };
  const change = (choice: RigChoice) => {
    const next = rigOf(kit, choice);
    if (next) onChange(next, choice);
  };
  return (
    <Sheet title="Change" open onClose={onClose}>
      <Choice
        label="What"
        showLabel={false}
        options={[
          { value: 'fly', label: 'the fly' },
          { value: 'tip', label: 'the tip' },
        ]}
        value={part}
        onChange={setPart}
      />
      <Stack>
        {part === 'tip' ? (
          <PickRow label="" value="no tip" chosen={!rig.tip} onPress={() => change({ ...now, tipId: '' })} />
        ) : null}
        {part === 'fly'
          ? itemsOf(kit, 'fly').map((f) => (
              <PickRow
                key={f.id}
                label=""
                value={f.name}
                detail={itemDetail(f, units)}
                caution={notAllowed(rules, f)}
                chosen={f.id === rig.fly.id}
                onPress={() => change({ ...now, flyId: f.id })}
              />
            ))
          : itemsOf(kit, 'tip').map((f) => (
              <PickRow
                key={f.id}
                label=""
                value={f.name}
                detail={itemDetail(f, units)}
                chosen={f.id === rig.tip?.id}
                onPress={() => change({ ...now, tipId: f.id })}
              />
            ))}
      </Stack>
    </Sheet>
  );
}
