import { useRouter } from 'expo-router';
import { checkRig } from '@/core/rules';
import { useSession } from '@/store/hooks';
import { Button, Caution, Empty, Hint, Loading, Screen } from '@/ui';
import { DayCautions } from '../shared/DayCautions';
import { RunGate, type RunReady } from '../shared/RunGate';
import { useLoadDemo } from '../shared/useDemo';
import { useRig } from '../shared/useRig';
import { useRunDay } from '../shared/useRunDay';
import { RigRows } from './RigRows';
import { SwingView } from './SwingView';

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
  const rows = (
    <RigRows kit={kit} choice={session.rig} onChange={(c) => setSession({ rig: c })} rules={day.water?.rules ?? null} />
  );
  if (kit.length === 0)
    return (
      <Screen title="Rig">
        <Empty
          title="The kit is empty"
          actions={<Button label="Look around with demo data" onPress={() => void load()} />}
        >
          Put in what you own, one of each to begin with: a rod, a line, a leader and a fly. A sinking tip comes next.
        </Empty>
        {rows}
      </Screen>
    );
  const withBreaches = ({ water, today }: RunReady) => (
    <>
      <DayCautions water={water} today={today} />
      {(water && rig ? checkRig(water.rules, rig) : []).map((b) => (
        <Caution key={b.rule}>{b.says}</Caution>
      ))}
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
            {withBreaches(ready)}
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
