import { useIsFocused, useRouter } from 'expo-router';
import { useState } from 'react';
import type { Ask } from '@/core/answer';
import { FEATURES } from '@/core/water';
import { choiceOf, describeRig, takenUp } from '@/core/tackle';
import { useSession } from '@/store/hooks';
import type { Session } from '@/store/records';
import { Button, Choice, Empty, Hint, Loading, Problem, Screen, Stack } from '@/ui';
import { DayCautions, LaterRelease } from '../shared/DayCautions';
import { RunGate, type RunReady } from '../shared/RunGate';
import { useAnswer } from '../shared/useAnswer';
import { useLoadDemo } from '../shared/useDemo';
import { useRig } from '../shared/useRig';
import { useRunDay } from '../shared/useRunDay';
import { AnswerHead } from './AnswerHead';
import { AnswerWords } from './AnswerWords';
import { Fold } from '../shared/Fold';
import { ReadyRods } from './ReadyRods';
import { StarterBags } from '../bag/later';
import { RigRows } from './RigRows';
import { SwingView } from './SwingView';
import { WhatFollows } from './WhatFollows';
import { BROKE_OFF } from '@/words/refusals';

/** What to tie on and how to cast it: the answer for the run in hand; what is tied on, and what the fly will do. */
export function RigScreen() {
  const router = useRouter();
  const [session, setSession] = useSession();
  const day = useRunDay(session?.runId);
  const { kit, rig } = useRig(session?.rig);
  const load = useLoadDemo();
  if (!session || !kit)
    return (
      <Screen title="Rig">
        <Loading what="Opening your kit…" />
      </Screen>
    );
  const rules = day.water?.rules ?? null;
  const wood = day.run?.features.some((f) => FEATURES[f.kind].hinders) ?? false;
  const follows = rig ? <WhatFollows rig={rig} rules={rules} wood={wood} /> : null;
  const rowsOf: Rows = (onChange, between = follows) => (
    <>
      <RigRows kit={kit} choice={session.rig} onChange={(c) => onChange({ rig: c })} rules={rules} />
      {between}
      <ReadyRods kit={kit} choice={session.rig} ready={session.rigged ?? []} rules={rules} onChange={onChange} />
    </>
  );
  if (kit.length === 0)
    return (
      <Screen title="Rig">
        <Empty
          title="The bag is empty"
          actions={<Button label="Look around with demo data" onPress={() => void load()} />}
        >
          Tap the typical bag nearest to yours and remove what you don’t own later, or add part by part.
        </Empty>
        <StarterBags shown />
        {rowsOf(setSession)}
      </Screen>
    );
  return (
    <RunGate
      title="Rig"
      day={day}
      missing="No run chosen"
      none="The swing is simulated on your own run. Choose one under Read. You can choose your rig here already."
      actions={<Button label="Choose a run" kind="primary" onPress={() => router.navigate('/read')} />}
      beside={rowsOf(setSession)}
    >
      {(ready) => (
        <OnRun key={ready.run.id} {...ready} session={session} onChange={setSession} follows={follows}>
          {rowsOf}
        </OnRun>
      )}
    </RunGate>
  );
}

type Rows = (onChange: (change: Partial<Session>) => void, between?: React.ReactNode) => React.ReactNode;

interface Props extends RunReady {
  session: Session;
  onChange: (change: Partial<Session>) => void;
  /** What is tied on, part by part. */
  children: Rows;
  /** What follows from it: in sight where one looks at it. */
  follows: React.ReactNode;
}

/** Which of the two is looked at: what the answer would do, or what is tied on, as one casts it. */
type Looking = 'answer' | 'mine';

/** What the answer's head takes, about, px. */
const HEAD_PX = 160;

/** Opens on the answer; whatever is altered is one's own from then on. */
function OnRun({ session, onChange, children, follows, ...ready }: Props) {
  const router = useRouter();
  const { kit, rig } = useRig(session.rig);
  const inSight = useIsFocused();
  const [ask, setAsk] = useState<Ask>('best');
  const [looking, setLooking] = useState<Looking>(session.cast ? 'mine' : 'answer');
  const [page, setPage] = useState(0);
  // A run that is chosen anew opens on its answer.
  const [cast, setCast] = useState(session.cast);
  if (session.cast !== cast) {
    setCast(session.cast);
    if (session.cast === null) {
      setLooking('answer');
      setPage(0);
    }
  }
  const [picked, setPicked] = useState(1);
  const { answer, first, settled, share, error } = useAnswer(ready, ask, inSight);
  const thought = answer ? answer.served : first;
  // The answer's pages begin where one begins; then a cast for each lie.
  const begin = answer?.served?.begin ?? null;
  const stands = thought ? [...(begin ? [begin] : []), ...thought.stands] : [];
  const stand = stands[Math.min(page, stands.length - 1)];
  const suggested = looking === 'answer' && thought && stand ? { rig: thought.setup.rig, stand } : null;
  const shown = suggested?.rig ?? rig;

  /** What is suggested becomes one's own with the first thing that is altered. */
  const alter = (change: Partial<Session>) => {
    if (!suggested) return onChange(change);
    setLooking('mine');
    setPicked(suggested.stand.lie.rank);
    const tied = choiceOf(suggested.rig);
    const rods = tied.rodId === session.rig.rodId ? { rig: tied } : takenUp(session.rig, session.rigged ?? [], tied);
    onChange({ cast: suggested.stand.plan, ...rods, ...change });
  };
  /** Fished as it is told, from where one begins. */
  const fishAnswer = () => {
    const tied = choiceOf(suggested!.rig);
    const rods = tied.rodId === session.rig.rodId ? { rig: tied } : takenUp(session.rig, session.rigged ?? [], tied);
    onChange({ cast: null, ...rods });
    router.navigate('/fish');
  };
  /** Who ties something on wants to see what that does. */
  const rows = children(
    (change) => {
      setLooking('mine');
      onChange(change);
    },
    looking === 'mine' ? null : follows,
  );
  /** Another lie is another stand of the answer, where it has one. */
  const toLie = (rank: number) => {
    const at = suggested ? stands.findIndex((x, i) => x.lie.rank === rank && (i > 0 || !begin)) : -1;
    setPicked(rank);
    if (at >= 0) setPage(at);
    else if (suggested) setLooking('mine');
  };
  const choice = (
    <Choice
      label="Show"
      showLabel={false}
      options={[
        { value: 'answer', label: 'what to tie on' },
        { value: 'mine', label: 'your rig' },
      ]}
      value={looking}
      onChange={setLooking}
    />
  );
  const working = settled || error ? null : share;
  const choosing = `Choosing your rig… ${Math.round(100 * share)} %`;
  const words = error ? (
    <Problem title="Couldn’t choose a rig">{BROKE_OFF}</Problem>
  ) : (
    <AnswerWords
      answer={answer}
      ask={ask}
      onAsk={setAsk}
      onRead={() => router.push({ pathname: '/read/[run]', params: { run: ready.run.id } })}
      isOn={rig !== null}
    />
  );
  const cautions = <DayCautions water={ready.water} today={ready.today} runId={ready.run.id} />;
  if (!shown || !kit)
    return (
      <Screen title={ready.run.name}>
        {cautions}
        {choice}
        {looking === 'answer' ? (
          <>
            {working === null ? null : <Loading what={choosing} />}
            {words}
          </>
        ) : (
          <Hint>Choose a rod, a line, a leader and a fly to see the swing here.</Hint>
        )}
        <LaterRelease water={ready.water} />
        {looking === 'mine' ? follows : null}
        {rows}
      </Screen>
    );
  return (
    <SwingView
      {...ready}
      rig={shown}
      kit={kit}
      session={session}
      cast={suggested ? suggested.stand.plan : session.cast}
      picked={suggested?.stand.lie.rank ?? picked}
      onLie={toLie}
      onChange={alter}
      head={
        <Stack>
          {cautions}
          {choice}
          {suggested ? (
            <AnswerHead
              setup={thought!.setup}
              stands={stands}
              begins={begin !== null}
              page={Math.min(page, stands.length - 1)}
              onPage={setPage}
              firstLook={answer ? null : share}
            />
          ) : looking === 'answer' && working !== null ? (
            <Loading what={choosing} room={HEAD_PX} />
          ) : null}
        </Stack>
      }
      words={looking === 'answer' ? words : null}
      firstLook={suggested !== null && !answer}
      onFish={suggested && answer && stand === begin ? fishAnswer : undefined}
    >
      <LaterRelease water={ready.water} />
      {looking === 'mine' ? follows : null}
      <Fold title="Change the rig" summary={rig ? `Tied on: ${describeRig(rig)}` : 'Part of it is missing'}>
        {rows}
      </Fold>
    </SwingView>
  );
}
