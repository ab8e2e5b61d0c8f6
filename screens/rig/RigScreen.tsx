import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { castAt, judge, openingCast, swingSentence, verdictSentence, type CastPlan, type Survey } from '@/core/advice';
import { checkRig } from '@/core/rules';
import type { Rig } from '@/core/tackle';
import { format } from '@/core/units';
import type { Run } from '@/core/water';
import { useRecords, useSession, useSettings } from '@/store/hooks';
import type { Session } from '@/store/records';
import { Button, Caution, Empty, Hint, Loading, Problem, Screen, space, Text } from '@/ui';
import { useLoadDemo } from '../shared/useDemo';
import { useRig } from '../shared/useRig';
import { useRunDay, type Today } from '../shared/useRunDay';
import { useBand, useSwing } from '../shared/useSwing';
import { readingLine } from '../shared/words';
import { CastControls } from './CastControls';
import { RigRows } from './RigRows';
import { SwingPicture } from './SwingPicture';

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
    <Swing run={run} survey={survey.data} today={today} rig={rig} session={session} onChange={setSession}>
      {rows}
    </Swing>
  );
}

interface SwingProps {
  run: Run;
  survey: Survey;
  today: Today;
  rig: Rig;
  session: Session;
  onChange: (change: Partial<Session>) => void;
  children: React.ReactNode;
}

function Swing({ run, survey, today, rig, session, onChange, children }: SwingProps) {
  const router = useRouter();
  const [{ units }] = useSettings();
  const [chosen, setChosen] = useState<number | null>(null);
  const lie = survey.lies.find((l) => l.rank === (chosen ?? 1)) ?? survey.lies[0] ?? null;
  const plan = useMemo(
    () => session.cast ?? openingCast(lie, run, survey.channel, rig, survey.lies),
    [session.cast, lie, survey, rig, run],
  );
  const request = useMemo(() => ({ channel: survey.channel, rig, plan, lies: survey.lies }), [survey, rig, plan]);
  const { swung, error } = useSwing(request);
  const band = useBand(swung);
  const verdicts = useMemo(() => (swung ? judge(swung.result, swung.request.lies) : []), [swung]);
  const main = verdicts.find((v) => v.lie.rank === lie?.rank);
  const others = verdicts.filter((v) => v !== main && v.fit !== 'not reached');
  const setPlan = (part: Partial<CastPlan>) => onChange({ cast: { ...plan, ...part } });
  const doubt = band && lie ? band.lies[survey.lies.indexOf(lie)] : null;
  return (
    <Screen
      title={run.name}
      subtitle={readingLine(today.reading, units)}
      footer={
        <Button
          label="Fish this"
          kind="primary"
          onPress={() => {
            onChange({ cast: plan });
            router.navigate('/fish');
          }}
        />
      }
      picture={
        swung ? (
          <SwingPicture
            run={run}
            survey={survey}
            rig={rig}
            plan={plan}
            swung={swung}
            band={band}
            verdicts={verdicts}
            units={units}
            chosen={lie?.rank ?? null}
            onPlan={setPlan}
          />
        ) : error ? null : (
          <Loading what="Simulating the swing…" />
        )
      }
    >
      {error ? <Problem title="This cannot be cast">{`${error}. Lengthen the cast or change the rig.`}</Problem> : null}
      {swung && main && lie ? (
        <View style={{ gap: space.s }} aria-live="polite">
          <Text size="heading">{verdictSentence(main, units)}</Text>
          {main.fit === 'not reached' ? null : doubt ? (
            <Text>
              {`Four swings in five pass between ${format('depth', doubt.low, units)} and ${format('depth', doubt.high, units)}; the ${DOUBT_WORDS[band!.cause]} matters most.`}
            </Text>
          ) : (
            <Text tone="ink2">Working out how sure this is…</Text>
          )}
          {others.map((v) => (
            <Text key={v.lie.rank}>{verdictSentence(v, units)}</Text>
          ))}
          <Text tone="ink2">{swingSentence(swung.result, units)}</Text>
        </View>
      ) : null}
      <CastControls
        run={run}
        survey={survey}
        rig={rig}
        plan={plan}
        units={units}
        chosen={lie?.rank ?? null}
        onChoose={setChosen}
        onPlan={setPlan}
        onReset={() => onChange({ cast: lie ? castAt(lie, survey.channel, rig, survey.lies) : null })}
      />
      {children}
    </Screen>
  );
}

const DOUBT_WORDS = { speed: 'current', depth: 'depth of the water', line: 'state of the line' } as const;
