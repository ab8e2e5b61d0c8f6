import type { FishLie } from '@/core/lies';
import { Button, Choice, Hint, Sheet, Stack, Text } from '@/ui';
import type { Logging } from './useLogging';

interface Props {
  onClose: () => void;
  logging: Logging;
  lies: readonly FishLie[];
  /** Where one would stand for a lie: of the casts that are planned the one that passes it nearest. */
  standFor: (lie: FishLie) => { readonly xM: number; readonly yM: number };
  /** Lets one tap the picture where one stands. */
  onPlace: (how: 'feet' | 'boat') => void;
  /** Asks the device, or the walker of the demo, where one is; null where neither can tell. */
  onLocate: (() => void) | null;
  onPlan: () => void;
  /** Ends the fair trial; null where none goes on. */
  onEndTrial: (() => void) | null;
}

const RESTS = ['2', '5', '10'] as const;

/** Another way on than the plan's. Everything in it closes it. */
export function OtherwiseSheet({ onClose, logging, lies, standFor, onPlace, onLocate, onPlan, onEndTrial }: Props) {
  const does = (work: () => void) => () => {
    work();
    onClose();
  };
  return (
    <Sheet title="Other options" open onClose={onClose}>
      <Stack>
        <Button
          label="Same lane"
          hint="The same cast again and again, a minute apart: a cruising fish comes by"
          onPress={does(() => logging.go('same lane', 'Same lane until you choose something else.'))}
        />
        <Button
          label="Fan from here"
          hint="Five angles from this position, then on"
          onPress={does(() => logging.go('fan', 'Fan from this position.'))}
        />
        <Button
          label="I’m standing here"
          hint="Tap the picture where you are, on the bank or in the river"
          onPress={() => onPlace('feet')}
        />
        <Button label="I’m in a boat here" hint="Tap the picture where the boat lies" onPress={() => onPlace('boat')} />
        {onEndTrial ? <Button label="End the fair trial" onPress={does(onEndTrial)} /> : null}
        {onLocate ? (
          <Button label="I’m where this device says" hint="Accurate to a few metres at best" onPress={does(onLocate)} />
        ) : null}
        <Button
          label="Go through again"
          hint="The whole run, from the first cast"
          onPress={does(() => logging.go('again', 'From the first cast again.'))}
        />
      </Stack>
      {lies.length > 0 ? (
        <Choice
          label="Skip to lie"
          options={lies.map((l) => ({ value: String(l.rank), label: String(l.rank) }))}
          value={null}
          onChange={(rank) => {
            const lie = lies.find((l) => String(l.rank) === rank)!;
            does(() => logging.go('skip', `On to lie ${rank}.`, standFor(lie), lie.rank))();
          }}
        />
      ) : null}
      <Choice
        label="Rest the water"
        options={RESTS.map((value) => ({ value, label: `${value} min` }))}
        value={null}
        onChange={(m) => does(() => logging.note({ kind: 'rest', minutes: Number(m) }, 'Resting. Watch the water.'))()}
      />
      <Button label="Time and thoroughness" hint="What your time covers, beside a simple step-down" onPress={onPlan} />
      <Text size="small" tone="ink2">
        Your choice holds until the cast plan catches up with you, or you choose something else. Undo cancels it.
      </Text>
      <Hint>Behind other anglers, fish differently from them. Leave water where young fish swarm.</Hint>
    </Sheet>
  );
}
