import type { CastPlan, Hands } from '@/core/cast';
import type { FairTrial, Next } from '@/core/cover';
import { rigNotAllowed, type WaterRules } from '@/core/rules';
import { choiceOf, describeRig, type FlyItem, type Rig, rigOf } from '@/core/tackle';
import { useSession } from '@/store/hooks';
import type { Session } from '@/store/records';
import { useToast } from '@/ui';
import type { Logging } from './useLogging';
import type { useOuting } from './useOuting';
import { useKit } from '../shared/useKit';

export interface Retying {
  /** Logs what is tied on now, and keeps it as what is on. */
  readonly retie: (rig: Rig, session: Partial<Pick<Session, 'rig' | 'rigged'>>) => void;
  readonly tieOn: (flyId: string) => void;
  /** Shows the fly another way from now on; null: as planned. */
  readonly showBy: (hands: Hands | null) => void;
  /** Takes up the other side of a fair trial. */
  readonly swap: () => void;
  /** Chosen under Rig meanwhile, allowed and not logged yet. */
  readonly chosen: Rig | null;
}

/** Everything in force on the line and in the hands can be changed; all of it is logged.
 * @param plannedBy the cast that the plan was made by: it is not what was set by hand since that holds once a way is chosen here */
export function useRetying(
  rig: Rig,
  rules: WaterRules | null,
  next: Next,
  trial: FairTrial | null,
  outing: ReturnType<typeof useOuting>,
  logging: Logging,
  plannedBy: CastPlan | null,
): Retying {
  const { data: kit } = useKit();
  const [session, setSession] = useSession();
  const toast = useToast();
  const retie: Retying['retie'] = (to, change) => {
    void outing
      .changeRig(next.last ?? next.plan, to)
      .then((outcome) => logging.say(`Now ${describeRig(to)}.`, outcome));
    setSession(change);
  };
  const tieOn = (flyId: FlyItem['id']) => {
    const choice = { ...choiceOf(rig), flyId };
    const to = kit && rigOf(kit, choice);
    if (to) retie(to, { rig: choice });
    else toast('That fly is no longer in the bag.');
  };
  const showBy = (hands: Hands | null) => {
    setSession({ cast: plannedBy });
    logging.note({ kind: 'way', hands }, hands ? `Fished by ${hands.way} from now on.` : 'Fished as planned.');
  };
  const swap = () => {
    if (!trial) return;
    const { of, turn } = trial;
    if (of.flyId === null) showBy(turn === 'b' ? of.hands : trial.hands);
    else tieOn(turn === 'b' ? of.flyId : trial.flyId);
  };
  const elsewhere = kit && session ? rigOf(kit, session.rig) : null;
  const isOn = (r: Rig) => JSON.stringify(choiceOf(r)) === JSON.stringify(choiceOf(rig));
  return {
    ...{ retie, tieOn, showBy, swap },
    chosen: elsewhere && !isOn(elsewhere) && rigNotAllowed(rules, elsewhere) === null ? elsewhere : null,
  };
}
