import { useState, type ReactNode } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { swingSentence, type Verdict, verdictSentence } from '@/core/advice';
import type { CastPlan } from '@/core/cast';
import type { Survey } from '@/core/lies';
import type { Band } from '@/core/swing';
import type { Rig } from '@/core/tackle';
import type { UnitSystem } from '@/core/units';
import type { PlanPoint, Run } from '@/core/water';

import { space, Text, useWide } from '@/ui';
import { DepthStrip, RunSheet } from '@/ui/charts';
import type { SimulatedCast } from '../shared/useSwing';
import { castTo, handlesOf, mendThrough, standAt } from './handles';
import { PlayBar } from './PlayBar';

interface Props {
  run: Run;
  survey: Survey;
  rig: Rig;
  plan: CastPlan;
  swung: SimulatedCast;
  kept: SimulatedCast | null;
  band: Band | null;
  verdicts: readonly Verdict[];
  units: UnitSystem;
  chosen: number | null;
  onPlan: (part: Partial<CastPlan>) => void;
  onMoveLie: (p: PlanPoint) => void;
  /** Below the strip: what else is changed with the picture in sight. */
  children?: ReactNode;
}

/** The run sheet with the swing and, under it, the same seconds as depth. What is dragged is simulated again at once. */
export function SwingPicture(p: Props) {
  const { run, survey, rig, plan, swung, kept, verdicts, units, chosen, onPlan } = p;
  const wide = useWide();
  const { height } = useWindowDimensions();
  const [scrub, setScrub] = useState<number | null>(null);
  const { result } = swung;
  const main = verdicts.find((v) => v.lie.rank === chosen);
  const seconds = (result.rows - 1) / 10;
  const t = Math.min(scrub ?? main?.pass.t ?? result.maxDepthS, seconds);
  const reachM = plan.outM + rig.rod.lengthM;
  const from = Math.max(0, Math.min(plan.xM - 5 - (plan.angleDeg > 90 ? reachM / 2 : 0), run.lengthM - 20));
  const to = Math.min(run.lengthM + 2, Math.max(from + 20, plan.xM + reachM + 4));
  const sentence = swingSentence(result, units);
  const drag = (at: PlanPoint, handle: string | null) => {
    if (handle === 'you') onPlan(standAt(at, run.lengthM));
    else if (handle === 'lie') p.onMoveLie(at);
    else if (handle === 'mend') onPlan({ mendM: mendThrough(plan, rig, result.landing, at) });
    else onPlan(castTo(plan, rig, at));
    setScrub(handle === 'mend' ? 0 : null);
  };
  return (
    <View style={{ gap: space.s }}>
      {main ? (
        <Text size="heading" aria-live="polite">
          {verdictSentence(main, units)}
        </Text>
      ) : null}
      <RunSheet
        run={run}
        survey={survey}
        units={units}
        height={wide ? Math.max(280, height - 410) : Math.min(400, Math.max(240, height * 0.38))}
        from={from}
        to={to}
        chosen={chosen}
        angler={plan}
        swing={{ result, t }}
        kept={kept && { result: kept.result, t }}
        handles={handlesOf(plan, rig, main?.lie ?? null, result)}
        onPoint={drag}
        summary={`The swing from above. ${sentence}`}
      />
      <DepthStrip
        result={result}
        grid={survey.channel}
        verdicts={verdicts}
        band={p.band}
        kept={kept?.result}
        dropper={!!rig.dropper}
        units={units}
        t={t}
        onScrub={setScrub}
        chosen={chosen}
        height={150}
        summary={`Depth of the fly, second by second. ${sentence}`}
      />
      <PlayBar t={t} seconds={seconds} onTime={setScrub} />
      {p.children}
      <Text size="small" tone="ink2">
        Drag the landing, yourself, the lie, or the ring on the line to mend; on the strip, the second.
      </Text>
    </View>
  );
}
