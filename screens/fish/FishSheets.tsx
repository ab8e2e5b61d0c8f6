import { useRouter } from 'expo-router';
import { handsOf } from '@/core/cast';
import { type FairTrial, type Next } from '@/core/cover';
import type { FishLie } from '@/core/lies';
import type { Rig } from '@/core/tackle';
import type { Reading } from '@/core/water';
import { newId, useSave, useSettings } from '@/store/hooks';
import { Sheet, useToast } from '@/ui';
import type { RunReady } from '../shared/RunGate';
import { ChangeSheet } from './ChangeSheet';
import { locate } from '../shared/locate';
import { MoreSheet } from './MoreSheet';
import { OtherwiseSheet } from './OtherwiseSheet';
import { ReadAgain } from './ReadAgain';
import { TimeAndPatience } from './TimeAndPatience';
import type { Logging } from './useLogging';
import type { useOuting } from './useOuting';
import type { Plan } from './usePlan';
import type { Retying } from './useRetying';
import { TakeSheet } from './TakeSheet';
import { format } from '@/words/units';
import { saidOf } from '@/words/said';

export type Open = 'take' | 'change' | 'more' | 'otherwise' | 'plan' | 'read';

interface Props {
  open: Open | null;
  onOpen: (open: Open | null) => void;
  ready: RunReady;
  rig: Rig;
  plan: Plan;
  next: Next;
  trial: FairTrial | null;
  outing: ReturnType<typeof useOuting>;
  logging: Logging;
  retying: Retying;
  /** Lets one tap the picture where one stands. */
  onPlace: (how: 'feet' | 'boat') => void;
}

/** A fly fishes about so far below where one stands, as a share of the line. */
const AHEAD = 0.75;

/** What rises over the river's screen; each is gone with what is tapped in it. */
export function FishSheets(p: Props) {
  const { open, ready, rig, plan, next, logging, retying, outing } = p;
  const { run, water, survey, today } = ready;
  const router = useRouter();
  const readings = useSave('reading');
  const toast = useToast();
  const [{ units }] = useSettings();
  const close = () => p.onOpen(null);
  /** Does something and closes. */
  const and =
    <A extends unknown[]>(work: (...a: A) => void) =>
    (...a: A) => {
      work(...a);
      close();
    };
  const standFor = (lie: FishLie) =>
    plan.casts.reduce((a, b) => {
      const off = ({ xM, outM }: typeof a) => Math.abs(xM + plan.sign * AHEAD * outM - lie.xM);
      return off(b) < off(a) ? b : a;
    });
  const where = () =>
    void locate(run, water, next.plan, units).then(
      (at) =>
        logging.go(
          'here',
          `You stand ${format('length', at.xM, units)} down, give or take ${format('length', at.accuracyM, units)}.`,
          at,
        ),
      (e: Error) => toast(saidOf(e)),
    );
  const readAgain = (read: Reading) => {
    const reading = { ...read, id: newId(), runId: run.id, at: Date.now() };
    void readings.put(reading).then(() => logging.note(outing.readingBody(reading), 'Reading saved.'));
  };
  switch (open) {
    case 'take':
      return (
        <TakeSheet
          rig={rig}
          plan={next.last ?? next.plan}
          features={run.features}
          waterTempC={today.reading.waterTempC}
          onClose={close}
          onTake={and((body) => logging.note(body, 'Take logged.'))}
          onJuvenile={and(logging.juvenile)}
        />
      );
    case 'change':
      return (
        <ChangeSheet
          ready={ready}
          rig={rig}
          hands={handsOf(next.plan)}
          rules={water?.rules ?? null}
          onClose={close}
          onChange={and(retying.retie)}
          onHands={and(retying.showBy)}
          onRig={and(() => router.navigate('/rig'))}
          onTrial={and(logging.trial)}
        />
      );
    case 'otherwise':
      return (
        <OtherwiseSheet
          onClose={close}
          logging={logging}
          lies={survey.lies}
          standFor={standFor}
          onPlace={and(p.onPlace)}
          onLocate={where}
          onPlan={() => p.onOpen('plan')}
          onEndTrial={p.trial && (() => logging.trial(null))}
        />
      );
    case 'plan':
      return (
        <Sheet title="Time and thoroughness" open onClose={close}>
          <TimeAndPatience plan={plan} />
        </Sheet>
      );
    case 'read':
      return (
        <ReadAgain
          today={today.reading}
          onClose={close}
          onRead={(read) => {
            readAgain(read);
            close();
          }}
        />
      );
    default:
      return (
        <MoreSheet
          open={open === 'more'}
          onClose={close}
          onNote={logging.note}
          onRead={() => p.onOpen('read')}
          onLeave={(endDay) => void outing.leave(next.plan, endDay)}
        />
      );
  }
}
