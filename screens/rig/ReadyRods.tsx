import { rigNotAllowed, type WaterRules } from '@/core/rules';
import { describeRig, type KitItem, type RigChoice, rigOf, takenUp } from '@/core/tackle';
import { Block, Button, PickRow, Stack, Text } from '@/ui';
import { breachOf } from '@/words/rules';

interface Props {
  kit: readonly KitItem[];
  choice: RigChoice;
  ready: readonly RigChoice[];
  rules: WaterRules | null;
  onChange: (rods: ReturnType<typeof takenUp>) => void;
}

/** Most rods that stand ready beside the one in hand. */
const MOST = 4;

/** Rods you have ready: taking one up costs seconds, so it is the cheapest change. */
export function ReadyRods({ kit, choice, ready, rules, onChange }: Props) {
  const inHand = rigOf(kit, choice);
  const rigs = ready.map((c) => ({ choice: c, rig: rigOf(kit, c) }));
  const taken = new Set([choice.rodId, ...ready.map((c) => c.rodId)]);
  const free = kit.find((k) => k.type === 'rod' && !k.aside && !taken.has(k.id));
  return (
    <Block title="Rods you have ready">
      {rigs.length === 0 ? (
        <Text tone="ink2">
          No second rod yet. A second rod, rigged differently, is the quickest change at the river.
        </Text>
      ) : (
        <Stack>
          {rigs.map(({ choice: c, rig }, i) => {
            const breach = rig && breachOf(rigNotAllowed(rules, rig));
            return (
              <Stack key={c.rodId}>
                <PickRow
                  label={rig ? `Pick up ${rig.rod.name}` : 'Part of this rig is no longer in the bag'}
                  value={rig ? describeRig(rig) : 'incomplete'}
                  caution={breach}
                  barred={!rig || breach !== null}
                  onPress={() => onChange(takenUp(choice, ready, c))}
                />
                <Button
                  kind="quiet"
                  label={`Unrig ${rig?.rod.name ?? 'it'}`}
                  onPress={() => onChange({ rig: choice, rigged: ready.filter((_, j) => j !== i) })}
                />
              </Stack>
            );
          })}
        </Stack>
      )}
      {inHand && free && ready.length < MOST ? (
        <Button
          label={`Leave ${inHand.rod.name} ready and rig ${free.name}`}
          onPress={() => onChange({ rig: { ...choice, rodId: free.id }, rigged: [...ready, choice] })}
        />
      ) : null}
    </Block>
  );
}
