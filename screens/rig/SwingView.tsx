import { useIsFocused, useRouter } from 'expo-router';
import { useMemo, useState, type ReactNode } from 'react';
import { judge, type Trial, type Verdict } from '@/core/advice';
import { castAt, type CastPlan, openingCast } from '@/core/cast';
import { movedLie, type Survey } from '@/core/lies';
import type { WaterRules } from '@/core/rules';
import { choiceOf, describeFly, type KitItem, type Rig } from '@/core/tackle';
import { format } from '@/core/units';
import type { PlanPoint, Run } from '@/core/water';
import type { Session } from '@/store/records';

import { useSettings } from '@/store/hooks';

import { Block, Button, Loading, Problem, Screen, Text } from '@/ui';
import type { Today } from '../shared/useRunDay';
import { useBand, useSwing, type SimulatedCast } from '../shared/useSwing';
import { readingLine } from '../shared/words';
import { BestOfKit } from './BestOfKit';
import { CastControls } from './CastControls';
import { ChangeRows } from './ChangeRows';
import { SwingPicture } from './SwingPicture';
import { SwingWords } from './SwingWords';
import { TipStepper } from './TipStepper';

interface Props {
  run: Run;
  survey: Survey;
  today: Today;
  rig: Rig;
  kit: readonly KitItem[];
  rules: WaterRules | null;
  session: Session;
  onChange: (change: Partial<Session>) => void;
  children: ReactNode;
}

interface Kept {
  readonly swung: SimulatedCast;
  readonly verdicts: readonly Verdict[];
  readonly what: string;
}

/** The swing of the rig and cast in hand: picture, verdict, what to change, controls. */
export function SwingView({ run, survey: today0, today, rig, kit, rules, session, onChange, children }: Props) {
  const router = useRouter();
  const [{ units }] = useSettings();
  const [chosen, setChosen] = useState<number | null>(null);
  const [moved, setMoved] = useState<(PlanPoint & { rank: number }) | null>(null);
  const [kept, setKept] = useState<Kept | null>(null);
  const survey = useMemo<Survey>(
    () =>
      moved
        ? {
            ...today0,
            lies: today0.lies.map((l) => (l.rank === moved.rank ? movedLie(l, today0.channel, moved.xM, moved.yM) : l)),
          }
        : today0,
    [today0, moved],
  );
  const lie = survey.lies.find((l) => l.rank === (chosen ?? 1)) ?? survey.lies[0] ?? null;
  const opening = useMemo(
    () =>
      openingCast(
        today0.lies.find((l) => l.rank === lie?.rank),
        run,
        today0.channel,
        rig,
        today0.lies,
      ),
    [lie?.rank, today0, rig, run],
  );
  const plan = session.cast ?? opening;
  const request = useMemo(() => ({ channel: survey.channel, rig, plan, lies: survey.lies }), [survey, rig, plan]);
  const inSight = useIsFocused();
  const { swung, error } = useSwing(request, inSight);
  const band = useBand(swung);
  const verdicts = useMemo(() => (swung ? judge(swung.result, swung.request.lies) : []), [swung]);
  const main = verdicts.find((v) => v.lie.rank === lie?.rank) ?? null;
  const setPlan = (part: Partial<CastPlan>) => onChange({ cast: { ...plan, ...part } });
  const apply = (t: Trial) => onChange({ cast: t.plan, rig: choiceOf(session.rig, t.rig) });
  const search = lie && { survey, lie, rig, plan, kit, rules, units, onApply: apply };
  const keep = () =>
    swung &&
    setKept({
      swung,
      verdicts,
      what: `${describeFly(rig.fly)}, ${rig.tip?.name ?? 'no tip'}, ${format('line', plan.outM, units)} at ${plan.angleDeg}°`,
    });
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
            kept={kept?.swung ?? null}
            band={band}
            verdicts={verdicts}
            units={units}
            chosen={lie?.rank ?? null}
            onPlan={setPlan}
            onMoveLie={(p) => lie && setMoved({ ...p, rank: lie.rank })}
          >
            <TipStepper kit={kit} tip={rig.tip} onTip={(tipId) => onChange({ rig: { ...session.rig, tipId } })} />
          </SwingPicture>
        ) : error ? null : (
          <Loading what="Simulating the swing…" />
        )
      }
    >
      {error ? <Problem title="This cannot be cast">{`${error}. Lengthen the cast or change the rig.`}</Problem> : null}
      {swung ? (
        <SwingWords swung={swung} band={band} verdicts={verdicts} main={main} dropper={!!rig.dropper} units={units} />
      ) : null}
      {moved ? <Button label={`Put lie ${moved.rank} back where it was found`} onPress={() => setMoved(null)} /> : null}
      {search && main && inSight && swung?.request === request ? (
        <ChangeRows run={run} verdict={main} {...search} />
      ) : null}
      {search ? <BestOfKit {...search} /> : null}
      <CastControls
        run={run}
        survey={survey}
        rig={rig}
        plan={plan}
        units={units}
        chosen={lie?.rank ?? null}
        onChoose={(rank) => {
          setChosen(rank);
          setMoved(null);
        }}
        onPlan={setPlan}
        onCast={(cast) => onChange({ cast })}
        onReset={() => onChange({ cast: lie ? castAt(lie, survey.channel, rig, survey.lies) : null })}
      />
      <Block title="Compare">
        {kept ? (
          <>
            <Text>{`Dotted: ${kept.what}.`}</Text>
            <SwingWords
              swung={kept.swung}
              band={null}
              verdicts={kept.verdicts}
              main={kept.verdicts.find((v) => v.lie.rank === lie?.rank) ?? null}
              dropper={false}
              units={units}
              brief
            />
            <Button label="Let it go" onPress={() => setKept(null)} />
          </>
        ) : (
          <Button label="Keep this swing to compare" onPress={keep} />
        )}
      </Block>
      {children}
      <Button label="What moves the fly?" hint="Try one thing at a time" onPress={() => router.navigate('/moves')} />
    </Screen>
  );
}
