import { useState } from 'react';
import { rigNotAllowed, type WaterRules } from '@/core/rules';
import {
  choiceOf,
  describeRig,
  type KitType,
  placeName,
  type Rig,
  type RigChoice,
  rigOf,
  takenUp,
} from '@/core/tackle';
import { useRecords, useSession, useSettings } from '@/store/hooks';
import type { Session } from '@/store/records';
import { Choice, PickRow, Sheet, Stack, Text } from '@/ui';
import { ItemPicker } from '../shared/ItemPicker';

interface Props {
  rig: Rig;
  rules: WaterRules | null;
  onClose: () => void;
  onChange: (rig: Rig, session: Pick<Session, 'rig' | 'rigged'>) => void;
}

type Part = 'fly' | 'dropper' | 'tip' | 'leader' | 'rod';
const TYPE_OF: Record<Exclude<Part, 'rod'>, KitType> = { fly: 'fly', dropper: 'fly', tip: 'tip', leader: 'leader' };

/** Another fly, tip, leader or rod: one tap each; what the water forbids cannot be tapped. */
export function ChangeSheet({ rig, rules, onClose, onChange }: Props) {
  const { data: kit } = useRecords('kit');
  const [session] = useSession();
  const [{ units }] = useSettings();
  const [part, setPart] = useState<Part>('fly');
  if (!kit || !session) return null;
  // What is on the line, as the log has it, not what was last chosen under Rig.
  const now = choiceOf(rig);
  const ready = session.rigged ?? [];
  const change = (rods: ReturnType<typeof takenUp>) => {
    const next = rigOf(kit, rods.rig);
    if (next && rigNotAllowed(rules, next) === null) onChange(next, rods);
  };
  const retie = (part: Partial<RigChoice>) => change({ rig: { ...now, ...part }, rigged: ready });
  const [dropper, ...above] = now.droppers;
  const options = [
    { value: 'fly' as const, label: rig.droppers.length > 0 ? placeName(rig, 0) : 'the fly' },
    ...(dropper ? [{ value: 'dropper' as const, label: placeName(rig, 1) }] : []),
    { value: 'tip' as const, label: 'the tip' },
    { value: 'leader' as const, label: 'the leader' },
    ...(ready.length > 0 ? [{ value: 'rod' as const, label: 'the rod' }] : []),
  ];
  return (
    <Sheet title="Change" open onClose={onClose}>
      <Choice label="What" showLabel={false} options={options} value={part} onChange={setPart} />
      {part === 'rod' ? (
        <Stack>
          {ready.map((choice) => {
            const other = rigOf(kit, choice);
            const bar = other ? rigNotAllowed(rules, other) : 'Not whole: see Rig.';
            return (
              <PickRow
                key={choice.rodId}
                label={other?.rod.name ?? ''}
                value={other ? describeRig(other) : 'A rod that stands ready'}
                caution={bar}
                barred={bar !== null}
                onPress={() => change(takenUp(now, ready, choice))}
              />
            );
          })}
          <Text size="small" tone="ink2">
            Taking up another rod costs seconds.
          </Text>
        </Stack>
      ) : (
        <ItemPicker
          key={part}
          type={TYPE_OF[part]}
          kit={kit}
          chosenId={{ fly: now.flyId, dropper: dropper?.flyId ?? '', tip: now.tipId, leader: now.leaderId }[part]}
          rules={rules}
          units={units}
          none={part === 'tip' ? 'no tip' : part === 'dropper' ? 'take it off' : undefined}
          onPick={(id) => {
            if (part === 'fly') retie({ flyId: id });
            else if (part === 'tip') retie({ tipId: id });
            else if (part === 'leader') retie({ leaderId: id });
            else retie({ droppers: id ? [{ ...dropper!, flyId: id }, ...above] : above });
          }}
        />
      )}
    </Sheet>
  );
}
