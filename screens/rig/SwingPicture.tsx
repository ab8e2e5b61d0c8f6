import { lengthS } from '@/core/swing/series';
import { TipStepper } from './TipStepper';
import { useRigInHand } from './RigInHand';
import { useState } from 'react';
import { useWindowDimensions } from 'react-native';
import { type CastPlan, handsOf } from '@/core/cast';
import type { Band } from '@/core/swing';
import type { PlanPoint } from '@/core/water';

import { Stack, Text, useWide } from '@/ui';
import { DepthStrip, RunSheet } from '@/ui/charts';
import type { JudgedCast, SimulatedCast } from '../shared/useSwing';
import { castTo, handlesOf, mendThrough, standAt } from './handles';
import { PlayBar } from './PlayBar';
import { openingSentence, swingSentence, verdictSentence } from '@/words/advice';

interface Props {
  /** Height of what stands above it. */
  aboveH: number;
  judged: JudgedCast;
  /** The cast that the words speak of: this one, or one of a moment ago; null: nothing can be said yet. */
  told: JudgedCast | null;
  kept: SimulatedCast | null;
  band: Band | null;
  onPlan: (part: Partial<CastPlan>) => void;
  onMoveLie: (p: PlanPoint) => void;
  onTip: (tipId: string) => void;
  /** Only a first look. */
  pale: boolean;
  /** It is the first cast of a run, and comes to no lie yet. */
  opens: boolean;
}

const STEP_M = 5;

/** Height of the run sheet under what stands above it, px. */
function useSheetH(aboveH: number): number {
  const wide = useWide();
  const { height } = useWindowDimensions();
  return wide ? Math.max(220, height - 410 - aboveH) : Math.min(400, Math.max(240, height * 0.38));
}

/** The verdict's two lines, the depth strip and what plays it, px. */
const BESIDES_PX = 330;
/** Height of the whole picture, about, before there is one, px. */
export const usePictureH = (aboveH: number): number => useSheetH(aboveH) + BESIDES_PX;

/** The run sheet with the swing and, under it, the same seconds as depth. What is dragged is simulated again at once. */
export function SwingPicture(p: Props) {
  const { run, survey, kit, units, chosen } = useRigInHand();
  const { kept, onPlan } = p;
  const { result, request, verdicts } = p.judged;
  const { rig, plan } = request;
  const sheetH = useSheetH(p.aboveH);
  const [scrub, setScrub] = useState<number | null>(null);
  const main = verdicts.find((v) => v.lie.rank === chosen);
  const seconds = lengthS(result);
  const t = Math.min(scrub ?? main?.pass.t ?? result.fishing?.maxDepthS ?? 0, seconds);
  const reachM = plan.outM + rig.rod.lengthM;
  // In steps of some metres: the sheet must not slide under a hand that drags.
  const wanted = Math.min(plan.xM - 5 - (plan.angleDeg > 90 ? reachM / 2 : 0), run.lengthM - 20);
  const from = Math.max(0, STEP_M * Math.floor(wanted / STEP_M));
  const to = Math.min(run.lengthM + 2, STEP_M * Math.ceil(Math.max(from + 20, plan.xM + reachM + 4) / STEP_M));
  const sentence = swingSentence(result, units, handsOf(plan).way);
  const said = p.told?.verdicts.find((v) => v.lie.rank === chosen);
  const drag = (at: PlanPoint, handle: string | null) => {
    if (handle === 'you') onPlan(standAt(at, run.lengthM));
    else if (handle === 'lie') p.onMoveLie(at);
    else if (handle === 'mend') onPlan({ mendM: mendThrough(plan, rig, result.landing, at) });
    else onPlan(castTo(plan, rig, at));
    setScrub(handle === 'mend' ? 0 : null);
  };
  return (
    <Stack>
      {said ? (
        <Text size="heading" aria-live="polite">
          {p.opens ? openingSentence(said, units) : verdictSentence(said, units, rig)}
        </Text>
      ) : null}
      <RunSheet
        run={run}
        survey={survey}
        units={units}
        height={sheetH}
        from={from}
        to={to}
        chosen={chosen}
        angler={plan}
        swing={{ result, t }}
        kept={kept && { result: kept.result, t }}
        handles={handlesOf(plan, rig, main?.lie ?? null, result)}
        onPoint={drag}
        pale={p.pale}
        summary={`The swing from above. ${sentence}`}
      />
      <DepthStrip
        result={result}
        grid={survey.channel}
        verdicts={verdicts}
        band={p.band}
        kept={kept?.result}
        units={units}
        t={t}
        onScrub={setScrub}
        chosen={chosen}
        height={150}
        pale={p.pale}
        summary={`Depth of the fly, second by second. ${sentence}`}
      />
      <PlayBar t={t} seconds={seconds} onTime={setScrub} />
      <TipStepper kit={kit} tip={rig.tip} onTip={p.onTip} />
      <Text size="small" tone="ink2">
        Drag the landing, yourself, the lie, or the ring on the line to mend; on the strip, the second.
      </Text>
    </Stack>
  );
}
