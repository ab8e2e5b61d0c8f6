import { useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { type CastPlan, wadeTo } from '@/core/cast';
import { type Cover, type Move, paceS, progress } from '@/core/cover';
import { hintFor } from '@/core/learn/hint';
import type { OnRun } from '@/core/logbook';
import { describeRig, isWetFly, type Rig } from '@/core/tackle';
import { format, type UnitSystem } from '@/core/units';

// not the barrel: the distributions weigh more than this screen

import { useOwnLog, useSession, useSettings } from '@/store/hooks';
import { Fact, Hint, IconButton, Screen, space, Text, useWide } from '@/ui';
import { RunSheet } from '@/ui/charts';
import { DayCautions } from '../shared/DayCautions';
import type { RunReady } from '../shared/RunGate';
import { WadeCaution } from '../shared/WadeCaution';
import { clock } from '../shared/time';
import { useMeans } from '../shared/useMeans';
import { useNow } from '../shared/useNow';
import { ChangeSheet } from './ChangeSheet';
import { FishButtons } from './FishButtons';
import { MoreSheet } from './MoreSheet';
import { TakeSheet } from './TakeSheet';
import { placeOfTake } from './paths';

import { useCovered } from './useCovered';
import { useLogging } from './useLogging';
import type { useOuting } from './useOuting';
import { useShortcuts } from './useShortcuts';

interface Props extends RunReady {
  rig: Rig;
  start: CastPlan;
  cover: Cover;
  outing: ReturnType<typeof useOuting>;
  state: OnRun;
}

function moveText(move: Move, first: boolean, units: UnitSystem): string {
  if (move.kind === 'done') return 'Run fished out';
  if (first) return 'First cast, short';
  if (move.kind === 'step') return `Step down ${move.paces === 1 ? 'one pace' : `${move.paces} paces`}`;
  return `Lengthen ${format('line', move.byM, units)}`;
}

export function Fishing({ run, water, survey, today, rig, start, cover, outing, state }: Props) {
  const [{ units }] = useSettings();
  const [, setSession] = useSession();
  const { means } = useMeans();
  const wide = useWide();
  const { height } = useWindowDimensions();
  const now = useNow(30_000);
  const [sheet, setSheet] = useState<'take' | 'change' | 'more' | null>(null);
  const close = () => setSheet(null);
  const progressOf = (s: OnRun) =>
    progress(cover, start, s.casts, (x) => wadeTo(survey.channel, survey.lies, x, means));
  const { move, plan, left } = progressOf(state);
  const covered = useCovered(survey, state.rigs, state.casts);
  const shown = new Set(covered.flatMap((c) => c.shown));
  const takes = state.takes.filter((t) => !t.juvenile).flatMap((t) => placeOfTake(t, state.casts, covered) ?? []);
  const { tally, castsSinceTake, castsSinceChange, lately } = state.folded;
  const own = useOwnLog();
  const first = state.casts.length === 0;

  const logging = useLogging(outing, state, plan, cover, progressOf);
  useShortcuts(sheet === null, {
    c: logging.cast,
    t: () => setSheet('take'),
    f: () => setSheet('change'),
    u: logging.undo,
  });

  const sheetHeight = wide ? height - 140 : Math.max(200, height - 478);
  const picture = (
    <RunSheet
      run={run}
      survey={survey}
      units={units}
      height={sheetHeight}
      angler={plan}
      covered={covered.map((c) => c.fished)}
      takes={takes}
      showKey={wide}
      swing={covered.length > 0 ? { result: covered[covered.length - 1]!.result, t: 0 } : null}
      summary={`${run.name} from above with ${covered.length} casts painted and ${takes.length} takes`}
    />
  );
  return (
    <Screen
      title={run.name}
      subtitle={`${describeRig(rig)} · ${clock(now)}`}
      trail={<IconButton label="Leave this run" icon="close" onPress={() => setSheet('more')} />}
      footer={
        <FishButtons
          done={move.kind === 'done'}
          logging={logging}
          onTake={() => setSheet('take')}
          onChange={() => setSheet('change')}
          onMore={() => setSheet('more')}
        />
      }
      picture={wide ? picture : undefined}
    >
      <View style={wide ? null : s.side}>
        {wide ? null : <View style={s.half}>{picture}</View>}
        <View style={[s.half, { gap: space.xs }]}>
          <Text tone="ink2">{first ? 'begin with' : `cast ${state.casts.length} made; now`}</Text>
          <Text size={wide ? 'display' : 'title'} aria-live="polite">
            {moveText(move, first, units)}
          </Text>
          <Text>
            {move.kind === 'done'
              ? 'Leave it, or change something and go through again.'
              : `${format('line', plan.outM, units)} out, ${plan.angleDeg}°${plan.mendM ? ', one mend' : ''}${plan.hands ? `, ${plan.hands.way}` : ''}.`}
          </Text>
          <View style={s.facts}>
            <Fact name="Casts" value={String(tally.casts)} />
            <Fact name="Takes" value={String(tally.takes)} />
            <Fact name="Lies shown" value={`${shown.size} of ${survey.lies.length}`} />
            <Fact
              name="Left"
              value={`${Math.max(0, Math.round((left * paceS(state.casts, covered.at(-1)?.result)) / 60))} min`}
            />
          </View>
        </View>
      </View>
      <DayCautions water={water} today={today} runId={run.id} />
      <WadeCaution survey={survey} at={plan} />
      <Hint>
        {hintFor({ castsSinceTake, castsSinceChange, lately, fresh: today.fresh, wet: isWetFly(rig.fly), own })}
      </Hint>
      {sheet === 'take' ? (
        <TakeSheet
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
      {sheet === 'change' ? (
        <ChangeSheet
          rig={rig}
          rules={water?.rules ?? null}
          onClose={close}
          onChange={(next, session) => {
            const said = `Now ${describeRig(next)}.`;
            void outing.changeRig(plan, next).then((outcome) => logging.say(said, outcome));
            setSession(session);
            close();
          }}
        />
      ) : null}
      <MoreSheet
        open={sheet === 'more'}
        onClose={close}
        onNote={logging.note}
        onLeave={(endDay) => void outing.leave(plan, endDay)}
      />
    </Screen>
  );
}

const s = StyleSheet.create({
  side: { flexDirection: 'row', gap: space.m },
  half: { flex: 1, minWidth: 0 },
  facts: { marginTop: space.s },
});
