import { useRouter } from 'expo-router';
import { FEATURES } from '@/core/water';
import { useSession } from '@/store/hooks';
import { Button, Empty, Hint, Loading, Screen } from '@/ui';
import { DayCautions } from '../shared/DayCautions';
import { RunGate, type RunReady } from '../shared/RunGate';
import { useLoadDemo } from '../shared/useDemo';
import { useRig } from '../shared/useRig';
import { useRunDay } from '../shared/useRunDay';
import { ReadyRods } from './ReadyRods';
import { RigRows } from './RigRows';
import { SwingView } from './SwingView';
import { WhatFollows } from './WhatFollows';

/** What is tied on, how it is cast, and what the fly will do. */
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
  const rows = (
    <>
      <RigRows kit={kit} choice={session.rig} onChange={(c) => setSession({ rig: c })} rules={rules} />
      {rig ? <WhatFollows rig={rig} rules={rules} wood={wood} /> : null}
      <ReadyRods kit={kit} choice={session.rig} ready={session.rigged ?? []} rules={rules} onChange={setSession} />
    </>
  );
  if (kit.length === 0)
    return (
      <Screen title="Rig">
        <Empty
          title="The bag is empty"
          actions={
            <>
              <Button
                label="Start a bag"
                kind="primary"
                onPress={() => router.push({ pathname: '/bag', params: { from: 'rig' } })}
              />
              <Button label="Look around with demo data" onPress={() => void load()} />
            </>
          }
        >
          Put in what you own: a whole bag by method to be thinned out, or one thing after the other.
        </Empty>
        {rows}
      </Screen>
    );
  const withCautions = ({ water, today, run }: RunReady) => (
    <>
      <DayCautions water={water} today={today} runId={run.id} />
      {rows}
    </>
  );
  return (
    <RunGate
      title="Rig"
      day={day}
      missing="No run chosen"
      none="The swing is simulated on a run of yours. Choose one under Read; what is tied on can be chosen here already."
      actions={<Button label="Choose a run" kind="primary" onPress={() => router.navigate('/read')} />}
      beside={rows}
    >
      {(ready) =>
        rig ? (
          <SwingView {...ready} rig={rig} kit={kit} session={session} onChange={setSession}>
            {withCautions(ready)}
          </SwingView>
        ) : (
          <Screen title={ready.run.name}>
            <Hint>Choose a rod, a line, a leader and a fly: then the swing is shown here.</Hint>
            {rows}
          </Screen>
        )
      }
    </RunGate>
  );
}
