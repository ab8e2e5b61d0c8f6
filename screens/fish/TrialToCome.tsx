import { handsOf, usualHands } from '@/core/cast';
import type { Next } from '@/core/cover';
import { BLOCK } from '@/core/cover/trial';
import { type Bar, notAllowed, type WaterRules } from '@/core/rules';
import { describeFly, type FlyItem, type Rig } from '@/core/tackle';
import { useSession } from '@/store/hooks';
import type { PlannedTrial } from '@/store/records';
import { Button, PickRow, Stack } from '@/ui';
import { barWords } from '@/words/rules';
import { useKit } from '../shared/useKit';
import type { Logging } from './useLogging';
import type { Retying } from './useRetying';

interface Props {
  rig: Rig;
  next: Next;
  rules: WaterRules | null;
  logging: Logging;
  retying: Retying;
}

/** What is held against what, and what of it is in force. */
interface Pair {
  readonly names: { readonly a: string; readonly b: string };
  readonly barred: Bar | null;
  /** Takes up the first; then the trial can begin. */
  readonly first: { readonly ask: string; readonly take: () => void };
  /** Begins it against the one that is not in force; null: neither is. */
  readonly begin: (() => void) | null;
}

/** A fair trial that was set up under Learn: the first of the two is taken up, then it begins; nothing where none was. */
export function TrialToCome(p: Props) {
  const { data: kit } = useKit();
  const [session, setSession] = useSession();
  const flies = kit?.filter((k): k is FlyItem => k.type === 'fly') ?? [];
  const drop = () => setSession({ trial: undefined });
  const pair = session?.trial && pairOf(session.trial, flies, p);
  if (!pair) return null;
  const { names, barred, first, begin } = pair;
  return (
    <Stack gap="xs">
      <PickRow
        label="Fair trial, set up under Learn"
        value={`${names.a} against ${names.b}`}
        detail={begin ? `Tap to begin: ${BLOCK} casts each in turn` : first.ask}
        caution={barred ? barWords(barred) : null}
        barred={barred !== null}
        onPress={() => {
          if (!begin) return first.take();
          drop();
          begin();
        }}
      />
      <Button kind="quiet" label="Drop this trial" onPress={drop} />
    </Stack>
  );
}

function pairOf(
  trial: PlannedTrial,
  flies: readonly FlyItem[],
  { rig, next, rules, logging, retying }: Props,
): Pair | null {
  if ('ways' in trial) {
    const { a, b } = trial.ways;
    const now = handsOf(next.plan).way;
    const other = now === a ? b : now === b ? a : null;
    return {
      ...{ names: trial.ways, barred: null },
      first: { ask: `Tap to fish by ${a} first`, take: () => retying.showBy(usualHands(a)) },
      begin: other && (() => logging.trial({ hands: usualHands(other) })),
    };
  }
  const [a, b] = [trial.a, trial.b].map((id) => flies.find((f) => f.id === id));
  if (!a || !b) return null;
  const names = { a: describeFly(a), b: describeFly(b) };
  // Whichever is on is the first.
  const other = rig.fly.id === a.id ? b : rig.fly.id === b.id ? a : null;
  return {
    ...{ names, barred: notAllowed(rules, a) ?? notAllowed(rules, b) },
    first: { ask: `Tap once ${names.a} is tied on`, take: () => retying.tieOn(a.id) },
    begin: other && (() => logging.trial({ flyId: other.id })),
  };
}
