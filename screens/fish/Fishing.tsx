import { useIsFocused, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { isRight, judge } from '@/core/advice';
import { type CastPlan, type Hands, handsOf, presented } from '@/core/cast';
import { BLOCK, castWords, moveWords, nextOf, paceS, sharesOf, smallerFly, trialIn } from '@/core/cover';
import type { FishLie } from '@/core/lies';
import { didOf } from '@/core/logbook/did';
import type { OnRun } from '@/core/logbook';
import { rigNotAllowed } from '@/core/rules';
import { choiceOf, describeFly, describeRig, type Rig, rigOf } from '@/core/tackle';

import { newId, useRecords, useSave, useSession, useSettings } from '@/store/hooks';
import { Fact, Hint, IconButton, PickRow, Screen, Sheet, space, Text, useToast, useWide } from '@/ui';
import { RunSheet } from '@/ui/charts';
import { DayCautions } from '../shared/DayCautions';
import type { RunReady } from '../shared/RunGate';
import { WadeCaution } from '../shared/WadeCaution';
import { clock } from '../shared/time';
import { useNow } from '../shared/useNow';
import { useSwing } from '../shared/useSwing';
import { CautionsNow } from './CautionsNow';
import { ChangeSheet } from './ChangeSheet';
import { FishButtons } from './FishButtons';
import { locate } from './locate';
import { MoreSheet } from './MoreSheet';
import { OtherwiseSheet } from './OtherwiseSheet';
import { placeOfTake } from './paths';
import { ReadAgain } from './ReadAgain';
import { TakeSheet } from './TakeSheet';
import { TimeAndPatience } from './TimeAndPatience';
import { useAlarm } from './useAlarm';
import { useAwake } from './useAwake';
import { useCovered } from './useCovered';
import { useLogging } from './useLogging';
import type { useOuting } from './useOuting';
import { castsAhead, usePlan } from './usePlan';
import { useQuiet } from './useQuiet';
import { useShortcuts } from './useShortcuts';
import { useShown } from './useShown';

interface Props extends RunReady {
  rig: Rig;
  outing: ReturnType<typeof useOuting>;
  state: OnRun;
}

type Open = 'take' | 'change' | 'more' | 'otherwise' | 'plan' | 'read';
/** Seconds are counted while one rests. */
const SECOND = 1000;
const HALF_MINUTE = 30_000;
const countdown = (ms: number): string => {
  const s = Math.max(0, Math.ceil(ms / 1000));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
};

/** On the river: the next move in large words and on the picture, and one tap for whatever happens. */
export function Fishing({ run, water, survey, today, rig, outing, state }: Props) {
  const ready = { run, water, survey, today };
  const [{ units, alarm }] = useSettings();
  const router = useRouter();
  const [session, setSession] = useSession();
  const { data: kit } = useRecords('kit');
  const readings = useSave('reading');
  const toast = useToast();
  const wide = useWide();
  const inSight = useIsFocused();
  const { height } = useWindowDimensions();
  const [open, setOpen] = useState<Open | null>(null);
  const [placing, setPlacing] = useState(false);
  const close = () => setOpen(null);
  const rules = water?.rules ?? null;

  const plan = usePlan(ready, rig, inSight);
  const smaller = useMemo(() => (kit ? smallerFly(kit, rig, rules) : null), [kit, rig, rules]);
  const trial = useMemo(() => trialIn(state), [state]);
  const nextIn = (s: OnRun, at: number) =>
    nextOf({
      ...{ planned: plan.casts, visit: s, sign: plan.sign, flies: 1 + rig.droppers.length },
      ...{ hasSmaller: smaller !== null, swap: trialIn(s)?.swap ?? false, now: at },
    });
  const resting = state.events.findLast((e) => e.kind === 'rest' || e.kind === 'cast')?.kind === 'rest';
  const now = useNow(resting ? SECOND : HALF_MINUTE);
  const next = nextIn(state, now);
  useAlarm(next.kind === 'resting' ? next.until! : null, alarm ?? 'sound and buzz');
  useAwake(inSight);

  // The cast that comes next is simulated while it is made: its picture, and what is kept of it.
  const key = JSON.stringify(next.plan);
  const request = useMemo(
    () => ({ channel: survey.channel, rig, plan: JSON.parse(key) as CastPlan, lies: survey.lies }),
    [survey, rig, key],
  );
  const { simulated } = useSwing(request, inSight);
  const didBy = (made: CastPlan) => {
    if (!simulated || JSON.stringify(simulated.request.plan) !== JSON.stringify(made)) return null;
    if (simulated.request.rig !== rig || simulated.request.channel !== survey.channel) return null;
    const right = judge(simulated.result, survey.lies, survey.channel.features, rig).filter((v) => isRight(v));
    return didOf(
      simulated.result,
      right.map((v) => v.lie.rank),
    );
  };
  const logging = useLogging(outing, state, next, nextIn, didBy);
  const covered = useCovered(survey, state.rigs, state.casts);
  const so = useShown(covered, plan.covering);
  const quiet = useQuiet(state, rig, plan, so, next, today.fresh, trial);
  useShortcuts(open === null, {
    ...{ c: logging.cast, s: logging.again, u: logging.undo },
    t: () => setOpen('take'),
    f: () => setOpen('change'),
    o: () => setOpen('otherwise'),
  });

  const retie = (rigTo: Rig, session: Parameters<typeof setSession>[0]) => {
    void outing
      .changeRig(next.last ?? next.plan, rigTo)
      .then((outcome) => logging.say(`Now ${describeRig(rigTo)}.`, outcome));
    setSession(session);
    close();
  };
  const tieSmaller = () => {
    const choice = { ...choiceOf(rig), flyId: smaller!.id };
    const rigTo = kit && rigOf(kit, choice);
    if (rigTo) retie(rigTo, { rig: choice });
  };
  const elsewhere = kit && session ? rigOf(kit, session.rig) : null;
  const isOn = (r: Rig) => JSON.stringify(choiceOf(r)) === JSON.stringify(choiceOf(rig));
  const chosen = elsewhere && !isOn(elsewhere) && rigNotAllowed(rules, elsewhere) === null ? elsewhere : null;
  const showBy = (hands: Hands | null) => {
    setSession({ cast: hands && { ...presented(next.plan, hands.way), outM: next.plan.outM, hands } });
    logging.note({ kind: 'way', hands }, hands ? `Shown by ${hands.way} from now on.` : 'Shown as planned.');
  };
  const swap = () => {
    if (!trial) return;
    const { of, turn } = trial;
    if (of.flyId === null) return showBy(turn === 'b' ? of.hands : trial.hands);
    const choice = { ...choiceOf(rig), flyId: turn === 'b' ? of.flyId : trial.flyId };
    const rigTo = kit && rigOf(kit, choice);
    if (rigTo) retie(rigTo, { rig: choice });
    else toast('That fly is no longer in the bag.');
  };
  const here = (at: { readonly xM: number; readonly yM: number }, said: string) => logging.go('here', said, at);
  const standFor = (lie: FishLie) =>
    plan.casts.reduce((a, b) =>
      Math.abs(b.xM + AHEAD * b.outM - lie.xM) < Math.abs(a.xM + AHEAD * a.outM - lie.xM) ? b : a,
    );
  const { tally } = state.folded;
  const takes = state.takes.filter((t) => !t.juvenile).flatMap((t) => placeOfTake(t, state.casts, covered) ?? []);
  const share = so && plan.covering ? sharesOf(so.shown, plan.covering.weights).once : null;
  const ahead = useMemo(() => castsAhead(plan.followed, next.left), [plan.followed, next.left]);
  const planned = useMemo(() => ahead.map((c) => c.path), [ahead]);
  const secondsLeft =
    ahead.length === 0 || state.casts.length > OWN_PACE
      ? next.left * paceS(state.casts)
      : ahead.reduce((sum, c) => sum + c.seconds, 0);
  // Of a long run what lies about the next cast.
  const from = Math.max(0, Math.min(run.lengthM - IN_SIGHT_M, next.plan.xM - IN_SIGHT_M / 4));
  const picture = (
    <RunSheet
      run={run}
      survey={survey}
      units={units}
      height={wide ? height - 140 : Math.max(200, height - FOOTER_PX)}
      angler={next.plan}
      covered={covered.map((c) => c.fished)}
      planned={planned}
      {...(wide || run.lengthM <= IN_SIGHT_M ? null : { from, to: from + IN_SIGHT_M })}
      gaps={so?.gaps}
      takes={takes}
      showKey={wide}
      swing={simulated && simulated.request === request ? { result: simulated.result, t: 0 } : null}
      onPoint={
        placing
          ? (p) => {
              setPlacing(false);
              here(p, 'Cast from here.');
            }
          : undefined
      }
      summary={`${run.name} from above with ${covered.length} casts painted and ${takes.length} takes; the next cast from ${next.plan.xM.toFixed(0)} m down`}
    />
  );
  return (
    <Screen
      title={run.name}
      subtitle={`${describeRig(rig)} · ${clock(now)}`}
      trail={<IconButton label="Leave this run" icon="close" onPress={() => setOpen('more')} />}
      footer={
        <FishButtons
          next={next}
          logging={logging}
          smaller={smaller && describeFly(smaller)}
          onSmaller={tieSmaller}
          onSwap={swap}
          onTake={() => setOpen('take')}
          onChange={() => setOpen('change')}
          onOtherwise={() => setOpen('otherwise')}
          onMore={() => setOpen('more')}
        />
      }
      picture={wide ? picture : undefined}
    >
      <View style={wide ? null : s.side}>
        {wide ? null : <View style={s.half}>{picture}</View>}
        <View style={[s.half, { gap: space.xs }]}>
          <Text tone="ink2">{next.last ? `cast ${state.casts.length} made; now` : 'begin with'}</Text>
          <Text size={wide ? 'display' : 'title'} aria-live="polite">
            {placing ? 'Tap where you stand' : moveWords(next, units, clock)}
          </Text>
          {next.kind === 'resting' ? <Text size="strong">{`${countdown(next.until! - now)} left`}</Text> : null}
          {next.kind === 'smaller' && smaller ? <Text size="strong">{describeFly(smaller)}</Text> : null}
          <Text>{`${castWords(next, units)}.`}</Text>
          {next.why ? (
            <Text size="small" tone="ink2">
              {next.why}
            </Text>
          ) : null}
          <View style={s.facts}>
            <Fact name="Casts" value={String(tally.casts)} />
            <Fact name="Takes" value={String(tally.takes)} />
            <Fact name="Water shown" value={share === null ? '…' : `${Math.round(100 * share)} %`} />
            <Fact name="Left" value={`${Math.round(secondsLeft / 60)} min`} />
          </View>
        </View>
      </View>
      <CautionsNow water={water} events={state.events} now={now} />
      <DayCautions water={water} today={today} runId={run.id} />
      <WadeCaution survey={survey} at={next.plan} />
      {chosen ? (
        <PickRow
          label="Chosen under Rig, not logged yet"
          value={describeRig(chosen)}
          detail="Tap once it is tied on"
          onPress={() => retie(chosen, {})}
        />
      ) : null}
      <Hint>{quiet}</Hint>
      {open === 'take' ? (
        <TakeSheet
          rig={rig}
          plan={next.last ?? next.plan}
          features={run.features}
          waterTempC={today.reading.waterTempC}
          onClose={close}
          onTake={(body) => {
            logging.note(body, 'Take logged.');
            close();
          }}
          onJuvenile={() => {
            logging.juvenile();
            close();
          }}
        />
      ) : null}
      {open === 'change' ? (
        <ChangeSheet
          ready={ready}
          rig={rig}
          hands={handsOf(next.plan)}
          rules={rules}
          onClose={close}
          onChange={retie}
          onHands={(hands) => {
            showBy(hands);
            close();
          }}
          onRig={() => {
            close();
            router.navigate('/rig');
          }}
          onTrial={(other) => {
            logging.note(
              { kind: 'trial', flyId: null, hands: null, block: BLOCK, ...other },
              `Fair trial: ${BLOCK} casts each in turn; what is on first.`,
            );
            close();
          }}
        />
      ) : null}
      {open === 'otherwise' ? (
        <OtherwiseSheet
          onClose={close}
          logging={logging}
          lies={survey.lies}
          standFor={standFor}
          onPlace={() => {
            setPlacing(true);
            close();
          }}
          onLocate={() =>
            void locate(run, water, next.plan).then(
              (at) => here(at, `You stand ${Math.round(at.xM)} m down, give or take ${Math.round(at.accuracyM)} m.`),
              (e: Error) => toast(e.message),
            )
          }
          onPlan={() => setOpen('plan')}
          onEndTrial={
            trial && (() => logging.note({ kind: 'trial', flyId: null, hands: null, block: BLOCK }, 'Trial ended.'))
          }
        />
      ) : null}
      {open === 'plan' ? (
        <Sheet title="Time and patience" open onClose={close}>
          <TimeAndPatience plan={plan} />
        </Sheet>
      ) : null}
      {open === 'read' ? (
        <ReadAgain
          today={today.reading}
          onClose={close}
          onRead={(read) => {
            const reading = { ...read, id: newId(), runId: run.id, at: Date.now() };
            void readings
              .put(reading)
              .then(() => logging.note({ kind: 'reading', reading }, 'Read: planned anew for it.'));
            close();
          }}
        />
      ) : null}
      <MoreSheet
        open={open === 'more'}
        onClose={close}
        onNote={logging.note}
        onRead={() => setOpen('read')}
        onLeave={(endDay) => void outing.leave(next.plan, endDay)}
      />
    </Screen>
  );
}

/** With more casts than this one’s own pace tells how long the rest takes. */
const OWN_PACE = 5;
/** So much of a run is in sight on a phone, m. */
const IN_SIGHT_M = 45;
/** A fly fishes about so far below where one stands, as a share of the line. */
const AHEAD = 0.75;
/** What stands above and below the picture on a phone, px. */
const FOOTER_PX = 534;

const s = StyleSheet.create({
  side: { flexDirection: 'row', gap: space.m },
  half: { flex: 1, minWidth: 0 },
  facts: { marginTop: space.s },
});
