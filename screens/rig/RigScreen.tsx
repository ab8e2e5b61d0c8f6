import { useRouter } from 'expo-router';
import { checkRig } from '@/core/rules';
import { useRecords, useSession } from '@/store/hooks';
import { Button, Caution, Empty, Hint, Loading, Problem, Screen } from '@/ui';
import { useLoadDemo } from '../shared/useDemo';
import { useRig } from '../shared/useRig';
import { useRunDay } from '../shared/useRunDay';
import { RigRows } from './RigRows';
import { SwingView } from './SwingView';

/** What is tied on, how it is cast, and what the fly will do. */
export function RigScreen() {
  const router = useRouter();
  const [session, setSession] = useSession();
  const { data: runs } = useRecords('run');
  const { run, water, today, survey } = useRunDay(session?.runId);
  const { kit, rig } = useRig(session?.rig);
  const load = useLoadDemo();
  if (!session || !kit || !runs || (session.runId && run === undefined))
    return (
      <Screen title="Rig">
        <Loading what="Opening your kit…" />
      </Screen>
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
        <RigRows kit={kit} choice={session.rig} onChange={(c) => setSession({ rig: c })} />
      </Screen>
    );
  if (!run)
    return (
      <Screen title="Rig">
        <Empty
          title="No run chosen"
          actions={<Button label="Choose a run" kind="primary" onPress={() => router.navigate('/read')} />}
        >
          The swing is simulated on a run of yours. Choose one under Read; what is tied on can be chosen here already.
        </Empty>
        <RigRows kit={kit} choice={session.rig} onChange={(c) => setSession({ rig: c })} />
      </Screen>
    );
  const breaches = water && rig ? checkRig(water.rules, rig) : [];
  const rows = (
    <>
      {breaches.map((b) => (
        <Caution key={b.rule}>{b.says}</Caution>
      ))}
      <RigRows kit={kit} choice={session.rig} onChange={(c) => setSession({ rig: c })} />
    </>
  );
  if (survey.isError)
    return (
      <Screen title={run.name}>
        <Problem title="The run cannot be rebuilt">{survey.error.message}</Problem>
        {rows}
      </Screen>
    );
  if (!rig)
    return (
      <Screen title={run.name}>
        <Hint>Choose a rod, a line, a leader and a fly: then the swing is shown here.</Hint>
        {rows}
      </Screen>
    );
  if (!survey.data || !today)
    return (
      <Screen title={run.name}>
        <Loading what="Rebuilding depth and current…" />
      </Screen>
    );
  return (
    <SwingView
      run={run}
      survey={survey.data}
      today={today}
      rig={rig}
      kit={kit}
      rules={water?.rules ?? null}
      session={session}
      onChange={setSession}
    >
      {rows}
    </SwingView>
  );
}
