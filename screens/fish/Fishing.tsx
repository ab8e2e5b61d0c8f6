import { useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { type CastPlan, wadeTo } from '@/core/cast';
import { type Cover, type Move, progress } from '@/core/cover';
import { chanceOfNone } from '@/core/learn/prior';
import type { Survey } from '@/core/lies';
import type { EventKind, OnRun } from '@/core/logbook';
import { describeFly, type Rig } from '@/core/tackle';
import { format, type UnitSystem } from '@/core/units';
import type { Run } from '@/core/water';

// not the barrel: the distributions weigh more than this screen

import { useSession, useSettings } from '@/store/hooks';
import { Button, Fact, Hint, IconButton, Screen, Sheet, space, Text, TextField, useToast, useWide } from '@/ui';
import { RunSheet } from '@/ui/charts';
import { clock } from '../shared/time';
import { useNow } from '../shared/useNow';
import type { Today } from '../shared/useRunDay';
import { ChangeSheet } from './ChangeSheet';
import { TakeSheet } from './TakeSheet';
import { placeOfTake } from './paths';

import { useCovered } from './useCovered';
import type { useOuting } from './useOuting';
import { useShortcuts } from './useShortcuts';

interface Props {
  run: Run;
  survey: Survey;
  today: Today;
  rig: Rig;
  start: CastPlan;
  cover: Cover;
  outing: ReturnType<typeof useOuting>;
  state: OnRun;
}

/** Seconds a cast takes, until this visit has shown its own pace; nobody casts and swings faster than the least. */
const PACE_S = 45;
const LEAST_PACE_S = 20;

function moveText(move: Move, first: boolean, units: UnitSystem): string {
  if (move.kind === 'done') return 'Run fished out';
  if (first) return 'First cast, short';
  if (move.kind === 'step') return `Step down ${move.paces === 1 ? 'one pace' : `${move.paces} paces`}`;
  return `Lengthen ${format('line', move.byM, units)}`;
}

/** What has just been undone, as one says it. */
const NAMES: Partial<Record<EventKind, string>> = {
  cast: 'Cast',
  take: 'Take',
  bed: 'Bed touch',
  fouled: 'Fouled fly',
  'hang-up': 'Hang-up',
  'fly lost': 'Lost fly',
};

export function Fishing({ run, survey, today, rig, start, cover, outing, state }: Props) {
  const [{ units }] = useSettings();
  const [, setSession] = useSession();
  const toast = useToast();
  const wide = useWide();
  const { height } = useWindowDimensions();
  const now = useNow(30_000);
  const [sheet, setSheet] = useState<'take' | 'change' | 'more' | null>(null);
  const progressOf = (s: OnRun) => progress(cover, start, s.casts, (x) => wadeTo(survey.channel, survey.lies, x));
  const { move, plan, left } = progressOf(state);
  const covered = useCovered(survey, state.rigs, state.casts);
  const shown = new Set(covered.flatMap((c) => c.shown));
  const takes = state.takes.filter((t) => !t.juvenile).flatMap((t) => placeOfTake(t, state.casts, covered) ?? []);
  const { tally, castsSinceTake, castsSinceChange } = state.folded;
  const pace = state.casts.length > 5 ? Math.max(LEAST_PACE_S, meanGapS(state.casts)) : PACE_S;
  const first = state.casts.length === 0;

  const cast = () => {
    const next = progressOf(outing.latest() ?? state);
    if (next.move.kind === 'done') return;
    const event = { kind: 'cast', plan: next.plan } as const;
    void (next.move.kind === 'step'
      ? outing.log(next.plan, { kind: 'step', byM: cover.stepM }, event)
      : outing.log(next.plan, event));
  };
  const undo = () => {
    const { last } = outing.latest() ?? state;
    if (!last) return;
    void outing.log(plan, { kind: 'undo', undoes: last.id });
    toast(`${NAMES[last.kind] ?? 'Last entry'} taken back.`);
  };
  const quick = (kind: 'bed' | 'hang-up' | 'fly lost' | 'fouled', said: string) => {
    void outing.log(plan, { kind });
    setSheet(null);
    toast(said);
  };
  const juvenile = () => {
    void outing.log(plan, { kind: 'take', where: null, sign: null, what: 'pluck', juvenile: true, fish: null });
    toast('Juvenile noted; it stays out of the rates.');
  };
  useShortcuts(sheet === null, { c: cast, t: () => setSheet('take'), f: () => setSheet('change'), u: undo });

  const sheetHeight = wide ? height - 140 : Math.max(200, height - 478);
  const picture = (
    <RunSheet
      run={run}
      survey={survey}
      units={units}
      height={sheetHeight}
      angler={plan}
      covered={covered.map((c) => c.path)}
      takes={takes}
      showKey={wide}
      swing={covered.length > 0 ? { result: covered[covered.length - 1]!.result, t: 0 } : null}
      summary={`${run.name} from above with ${covered.length} casts painted and ${takes.length} takes`}
    />
  );
  const buttons = (
    <View style={s.buttons}>
      <Button
        label={move.kind === 'done' ? 'Run fished out' : 'Cast'}
        kind="primary"
        big
        shortcut={wide ? 'C' : undefined}
        disabled={move.kind === 'done'}
        onPress={cast}
      />
      <View style={s.row}>
        <Button
          label="Take"
          kind="fly"
          big
          shortcut={wide ? 'T' : undefined}
          style={s.two}
          onPress={() => setSheet('take')}
        />
        <Button label="Change" big shortcut={wide ? 'F' : undefined} style={s.two} onPress={() => setSheet('change')} />
        <Button
          label="Undo"
          accessibilityLabel="Undo the last entry"
          big
          shortcut={wide ? 'U' : undefined}
          style={s.one}
          disabled={!state.last}
          onPress={undo}
        />
      </View>
      <View style={s.row}>
        <Button label="Juvenile" style={s.quick} onPress={juvenile} />
        <Button
          label="Bed"
          accessibilityLabel="Touched the bed"
          style={s.quick}
          onPress={() => quick('bed', 'Bed touch noted.')}
        />
        <Button
          label="Weed"
          accessibilityLabel="Fly was fouled: the last cast is no evidence"
          style={s.quick}
          onPress={() => quick('fouled', 'Fouled fly: the last cast does not count.')}
        />
        <Button label="More" style={s.quick} onPress={() => setSheet('more')} />
      </View>
    </View>
  );
  return (
    <Screen
      title={run.name}
      subtitle={`${describeFly(rig.fly)} · ${rig.tip?.name ?? 'no tip'} · ${clock(now)}`}
      trail={<IconButton label="Leave this run" icon="close" onPress={() => setSheet('more')} />}
      footer={buttons}
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
            <Fact name="Left" value={`${Math.max(0, Math.round((left * pace) / 60))} min`} />
          </View>
        </View>
      </View>
      <Hint>{hint(castsSinceTake, castsSinceChange, tally.bedTouches, today)}</Hint>
      {sheet === 'take' ? (
        <TakeSheet
          onClose={() => setSheet(null)}
          onTake={(body) => {
            void outing.log(plan, body);
            setSheet(null);
            toast('Take logged.');
          }}
          onJuvenile={() => {
            juvenile();
            setSheet(null);
          }}
        />
      ) : null}
      {sheet === 'change' ? (
        <ChangeSheet
          rig={rig}
          onClose={() => setSheet(null)}
          onChange={(next, choice) => {
            void outing.changeRig(plan, next);
            setSession({ rig: choice });
            setSheet(null);
            toast(`Now ${describeFly(next.fly)} on ${next.tip?.name ?? 'no tip'}.`);
          }}
        />
      ) : null}
      <Sheet title="More" open={sheet === 'more'} onClose={() => setSheet(null)}>
        <Button label="Hung up, got it back" onPress={() => quick('hang-up', 'Hang-up noted.')} />
        <Button label="Lost the fly" onPress={() => quick('fly lost', 'Lost fly noted.')} />
        <Button
          label="Rest the water ten minutes"
          onPress={() => {
            void outing.log(plan, { kind: 'rest', minutes: 10 });
            setSheet(null);
            toast('Resting. Watch the water.');
          }}
        />
        <NoteEntry
          onNote={(text) => {
            void outing.log(plan, { kind: 'note', text });
            setSheet(null);
            toast('Noted.');
          }}
        />
        <Button
          label="Leave this run"
          kind="primary"
          onPress={() => {
            void outing.leave(plan, false);
            setSheet(null);
          }}
        />
        <Button
          label="End the day"
          onPress={() => {
            void outing.leave(plan, true);
            setSheet(null);
          }}
        />
      </Sheet>
    </Screen>
  );
}

function NoteEntry({ onNote }: { onNote: (text: string) => void }) {
  const [text, setText] = useState('');
  return (
    <>
      <TextField label="A note" value={text} onChange={setText} multiline />
      <Button label="Keep the note" disabled={text.trim() === ''} onPress={() => onNote(text.trim())} />
    </>
  );
}

const meanGapS = (casts: OnRun['casts']): number =>
  (casts[casts.length - 1]!.at - casts[0]!.at) / 1000 / (casts.length - 1);

/** One thing worth saying now, by what was counted. */
function hint(sinceTake: number, sinceChange: number, bedTouches: number, today: Today): string {
  if (bedTouches >= 4) return 'The bed is touched again and again: lighten the tip, or shorten.';
  if (sinceChange >= 60) return `Nothing changed for ${sinceChange} casts: change the fly, the depth or the speed.`;
  if (sinceTake < 12)
    return today.fresh
      ? 'Watch the line where it enters the water.'
      : 'The water was not read today: a reading makes the lies better.';
  const none = Math.round(100 * chanceOfNone(0, 0, sinceTake));
  return `${sinceTake} casts without a take. On ordinary water that happens ${none} times in a hundred: ${none > 25 ? 'too few to tell' : 'something may be wrong'}.`;
}

const s = StyleSheet.create({
  side: { flexDirection: 'row', gap: space.m },
  half: { flex: 1, minWidth: 0 },
  facts: { marginTop: space.s },
  buttons: { gap: space.s },
  row: { flexDirection: 'row', gap: space.s },
  two: { flex: 2, paddingHorizontal: space.xs },
  one: { flex: 1.4, paddingHorizontal: space.xs },
  quick: { flex: 1, minHeight: 48, paddingHorizontal: 2 },
});
