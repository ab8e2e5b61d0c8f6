import { useIsFocused } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { handsOf, moved, shortened } from '@/core/cast';
import { nextOf, sharesOf, smallerFly, trialIn } from '@/core/cover';
import type { OnRun } from '@/core/logbook';
import { describeFly, describeRig, type Rig } from '@/core/tackle';

import { useSettings } from '@/store/hooks';
import { Caution, Fact, Hint, IconButton, later, PickRow, Screen, space, Text, useWide } from '@/ui';
import { RunSheet } from '@/ui/charts';
import { DayCautions, HighWater, LaterRelease } from '../shared/DayCautions';
import type { RunReady } from '../shared/RunGate';
import { WadeCaution } from '../shared/WadeCaution';
import { clock } from '../shared/time';
import { useMeansToday } from '../shared/useMeans';
import { useNow } from '../shared/useNow';
import { dayParts } from '../plan/later';
import { CautionsNow } from './CautionsNow';
import { FishButtons } from './FishButtons';
import { FishSheets, type Open } from './FishSheets';
import { placeOfTake } from '../shared/paths';
import { useAlarm } from './useAlarm';
import { useAwake } from './useAwake';
import { useCovered } from '../shared/useCovered';
import { useKit } from '../shared/useKit';
import { useLogging } from './useLogging';
import { useNextSwing } from './useNextSwing';
import type { useOuting } from './useOuting';
import { castsAhead, usePlan } from './usePlan';
import { useQuiet } from './useQuiet';
import { useRetying } from './useRetying';
import { useShortcuts } from '../shared/useShortcuts';
import { TrialToCome } from './TrialToCome';
import { useShown } from './useShown';
import { MINUTE_MS } from '@/core/units';
import { moveWords, nextCastWords, nextWhy } from '@/words/cover';
import { capital } from '@/words/capital';
import { several } from '@/words/counting';

interface Props extends RunReady {
  rig: Rig;
  outing: ReturnType<typeof useOuting>;
  state: OnRun;
}

const NextRun = later(dayParts, (m) => m.NextRun);
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
  const [{ units, alarm, keys }] = useSettings();
  const { data: kit } = useKit();
  const means = useMeansToday(run, today);
  const wide = useWide();
  const inSight = useIsFocused();
  const { height } = useWindowDimensions();
  const [open, setOpen] = useState<Open | null>(null);
  const [placing, setPlacing] = useState<'feet' | 'boat' | null>(null);
  const rules = water?.rules ?? null;

  const plan = usePlan(ready, rig, true, inSight);
  const smaller = useMemo(() => (kit ? smallerFly(kit, rig, rules) : null), [kit, rig, rules]);
  const trial = useMemo(() => trialIn(state), [state]);
  const nextIn = (s: OnRun, at: number) =>
    nextOf({
      ...{ planned: plan.casts, visit: s, sign: plan.sign, flies: 1 + rig.droppers.length },
      ...{ hasSmaller: smaller !== null, swap: trialIn(s)?.swap ?? false, now: at },
      setByHand: plan.setByHand,
      fit: (p) => shortened(survey.channel, rig, p),
      moved: (p) => moved(survey.channel, rig, survey.lies, means, p),
    });
  const resting = state.events.findLast((e) => e.kind === 'rest' || e.kind === 'cast')?.kind === 'rest';
  const now = useNow(resting ? SECOND : HALF_MINUTE);
  const next = nextIn(state, now);
  useAlarm(next.kind === 'resting' ? next.until! : null, alarm ?? 'sound and buzz');
  useAwake(inSight);

  const { result, didBy } = useNextSwing(survey, rig, next.plan, inSight, plan.covering);
  const logging = useLogging(outing, state, next, nextIn, didBy);
  const { covered } = useCovered(survey, state.rigs, state.casts);
  const so = useShown(covered, plan.covering);
  const quiet = useQuiet(state, rig, plan, so, next, today.fresh, trial);
  useShortcuts(open === null && keys !== false, {
    ...{ c: logging.cast, s: logging.again, u: logging.undo },
    t: () => setOpen('take'),
    f: () => setOpen('change'),
    o: () => setOpen('otherwise'),
  });

  const retying = useRetying(rig, rules, next, trial, outing, logging, plan.madeBy);
  const otherWay = handsOf(next.plan).way !== handsOf(plan.casts[0]!).way;
  const outdated = plan.outdated ?? (otherWay ? 'cast' : null);
  const { tally } = state.folded;
  const takes = state.takes.filter((t) => !t.juvenile).flatMap((t) => placeOfTake(t, state.casts, covered) ?? []);
  const share = so && plan.covering ? sharesOf(so.shown, plan.covering.weights).once : null;
  const ahead = useMemo(() => castsAhead(plan.followed, next.left), [plan.followed, next.left]);
  const planned = useMemo(() => ahead.map((c) => c.path), [ahead]);
  const painted = useMemo(() => covered.map((c) => c.fished), [covered]);
  // Of the time that one gave oneself for this run.
  const minutesLeft = Math.max(0, Math.round(plan.time.minutes - (now - state.startedAt) / MINUTE_MS));
  // Of a long run what lies about the next cast.
  const from = Math.max(0, Math.min(run.lengthM - IN_SIGHT_M, next.plan.xM - IN_SIGHT_M / 4));
  const picture = (
    <RunSheet
      run={run}
      survey={survey}
      units={units}
      height={wide ? height - 140 : Math.max(200, height - FOOTER_PX)}
      angler={next.plan}
      covered={painted}
      planned={planned}
      {...(wide || run.lengthM <= IN_SIGHT_M ? null : { from, to: from + IN_SIGHT_M })}
      gaps={so?.gaps}
      takes={takes}
      showKey={wide}
      swing={result && { result, t: 0 }}
      onPoint={
        placing
          ? (p) => {
              setPlacing(null);
              logging.go('here', 'Cast from here.', p, null, placing === 'boat');
            }
          : undefined
      }
      summary={`${run.name} from above with ${covered.length} casts painted and ${takes.length} takes; the next cast from ${next.plan.xM.toFixed(0)} m down`}
    />
  );
  const title = placing ? PLACING[placing] : moveWords(next, units, clock);
  const made = next.last ? `${several(state.casts.length, 'cast')} made` : 'first cast';
  return (
    <Screen
      title={title}
      subtitle={`${capital(nextCastWords(next, units))}.`}
      now
      trail={<IconButton label="Leave this run" icon="close" onPress={() => setOpen('more')} />}
      footer={
        <FishButtons
          next={next}
          logging={logging}
          smaller={smaller && describeFly(smaller)}
          onSmaller={() => smaller && retying.tieOn(smaller.id)}
          onSwap={retying.swap}
          onTake={() => setOpen('take')}
          onChange={() => setOpen('change')}
          onOtherwise={() => setOpen('otherwise')}
          onMore={() => setOpen('more')}
        />
      }
      picture={wide ? picture : undefined}
    >
      <DayCautions water={water} today={today} runId={run.id} />
      <View style={wide ? null : s.side}>
        {wide ? null : <View style={s.half}>{picture}</View>}
        <View style={[s.half, { gap: space.xs }]}>
          {next.kind === 'resting' ? <Text size="strong">{`${countdown(next.until! - now)} left`}</Text> : null}
          {next.kind === 'smaller' && smaller ? <Text size="strong">{describeFly(smaller)}</Text> : null}
          {next.why ? (
            <Text size="small" tone="ink2">
              {nextWhy(next.why)}
            </Text>
          ) : null}
          <View style={s.facts}>
            <Fact name="Casts" value={String(tally.casts)} />
            <Fact name="Takes" value={String(tally.takes)} />
            <Fact name="Water covered" value={share === null ? '…' : `${Math.round(100 * share)} %`} />
            <Fact name="Time left" value={`${minutesLeft} min`} />
          </View>
        </View>
      </View>
      <Text size="small" tone="ink2">{`${run.name}: ${made} · ${describeRig(rig)} · ${clock(now)}`}</Text>
      <CautionsNow water={water} events={state.events} now={now} />
      <LaterRelease water={water} />
      <HighWater today={today} />
      {next.afloat ? (
        <Caution>In a boat: vest on, seated to cast, the anchor line clear.</Caution>
      ) : (
        <WadeCaution survey={survey} reading={today.reading} at={next.plan} />
      )}
      {retying.chosen ? (
        <PickRow
          label="Chosen under Rig, not logged yet"
          value={describeRig(retying.chosen)}
          detail="Tap once it is tied on"
          onPress={() => retying.chosen && retying.retie(retying.chosen, {})}
        />
      ) : null}
      {trial ? null : <TrialToCome {...{ rig, next, rules, logging, retying }} />}
      {water ? <NextRun {...{ water, run, now }} begunAt={state.startedAt} stayMin={minutesLeft} /> : null}
      {outdated ? (
        <PickRow
          label={OUTDATED[outdated]}
          value="Make a new cast plan?"
          detail="The cast plan stays until you tap"
          onPress={() => {
            plan.renew(otherWay ? next.plan : undefined);
            logging.go('plan', 'New cast plan.');
          }}
        />
      ) : null}
      <Hint>{quiet}</Hint>
      <FishSheets
        {...{ open, ready, rig, plan, next, trial, outing, logging, retying }}
        onOpen={setOpen}
        onPlace={setPlacing}
      />
    </Screen>
  );
}

const PLACING = { feet: 'Tap where you stand', boat: 'Tap where your boat lies' } as const;
/** What the plan was not made for. */
const OUTDATED = {
  reading: 'New reading',
  rig: 'New rig tied on',
  cast: 'New cast chosen',
} as const;
/** So much of a run is in sight on a phone, m. */
const IN_SIGHT_M = 45;
/** What stands above and below the picture on a phone, px. */
const FOOTER_PX = 534;

const s = StyleSheet.create({
  side: { flexDirection: 'row', gap: space.m },
  half: { flex: 1, minWidth: 0 },
  facts: { marginTop: space.s },
});
