import { checkRig, type WaterRules } from '@/core/rules';
import { describeRig, type KitItem, NO_RIG, type RigChoice, rigOf } from '@/core/tackle';
import { Block, Button, PickRow, Stack, Text } from '@/ui';

interface Props {
  kit: readonly KitItem[];
  choice: RigChoice;
  ready: readonly RigChoice[];
  rules: WaterRules | null;
  onChange: (choice: RigChoice, ready: readonly RigChoice[]) => void;
}

/** Most rods that stand ready beside the one in hand. */
const MOST = 4;

/** Rods that stand ready: taking one up costs seconds, so it is the cheapest change. */
export function ReadyRods({ kit, choice, ready, rules, onChange }: Props) {
  const inHand = rigOf(kit, choice);
  const rigs = ready.map((c) => ({ choice: c, rig: rigOf(kit, c) }));
  const taken = new Set([choice.rodId, ...ready.map((c) => c.rodId)]);
  const free = kit.find((k) => k.type === 'rod' && !k.aside && !taken.has(k.id));
  return (
    <Block title="Rods that stand ready">
      {rigs.length === 0 ? (
        <Text tone="ink2">None. A second rod, rigged another way, is the cheapest change at the river.</Text>
      ) : (
        <Stack>
          {rigs.map(({ choice: c, rig }, i) => {
            const breach = rig && rules ? (checkRig(rules, rig)[0]?.says ?? null) : null;
            return (
              <Stack key={c.rodId}>
                <PickRow
                  label={rig ? `Take up ${rig.rod.name}` : 'Something of it is no longer in the bag'}
                  value={rig ? describeRig(rig) : 'not whole'}
                  caution={breach}
                  barred={!rig || breach !== null}
                  onPress={() => onChange(c, [...ready.slice(0, i), choice, ...ready.slice(i + 1)])}
                />
                <Button
                  kind="quiet"
                  label={`Unrig ${rig?.rod.name ?? 'it'}`}
                  onPress={() =>
                    onChange(
                      choice,
                      ready.filter((_, j) => j !== i),
                    )
                  }
                />
              </Stack>
            );
          })}
        </Stack>
      )}
      {inHand && free && ready.length < MOST ? (
        <Button
          label={`Leave ${inHand.rod.name} ready and rig ${free.name}`}
          onPress={() => onChange({ ...NO_RIG, ...choice, rodId: free.id }, [...ready, choice])}
        />
      ) : null}
    </Block>
  );
}
