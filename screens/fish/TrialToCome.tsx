import { BLOCK } from '@/core/cover/trial';
import { notAllowed, type WaterRules } from '@/core/rules';
import { describeFly, type FlyItem, type Rig } from '@/core/tackle';
import { useSession } from '@/store/hooks';
import { Button, PickRow, Stack } from '@/ui';
import { barWords } from '@/words/rules';
import { useKit } from '../shared/useKit';
import type { Logging } from './useLogging';
import type { Retying } from './useRetying';

interface Props {
  rig: Rig;
  rules: WaterRules | null;
  logging: Logging;
  retying: Retying;
}

/** A fair trial that was set up under Learn: the first of the two is tied on, then it begins; nothing where none was. */
export function TrialToCome({ rig, rules, logging, retying }: Props) {
  const { data: kit } = useKit();
  const [session, setSession] = useSession();
  const wanted = session?.trial;
  const flyOf = (id: string) => kit?.find((k): k is FlyItem => k.type === 'fly' && k.id === id);
  const [a, b] = wanted ? [flyOf(wanted.a), flyOf(wanted.b)] : [];
  if (!a || !b) return null;
  const barred = notAllowed(rules, a) ?? notAllowed(rules, b);
  // Whichever is on is the first.
  const other = rig.fly.id === a.id ? b : rig.fly.id === b.id ? a : null;
  return (
    <Stack gap="xs">
      <PickRow
        label="Fair trial, set up under Learn"
        value={`${describeFly(a)} against ${describeFly(b)}`}
        detail={other ? `Tap to begin: ${BLOCK} casts each in turn` : `Tap once ${describeFly(a)} is tied on`}
        caution={barred ? barWords(barred) : null}
        barred={barred !== null}
        onPress={() => {
          if (!other) return retying.tieOn(a.id);
          setSession({ trial: undefined });
          logging.note(
            { kind: 'trial', flyId: other.id, hands: null, block: BLOCK },
            `Fair trial: ${BLOCK} casts each in turn; your present fly first.`,
          );
        }}
      />
      <Button kind="quiet" label="Drop this trial" onPress={() => setSession({ trial: undefined })} />
    </Stack>
  );
}
