import { useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { shortestCast, swingSentence, type CastPlan, type Survey, type Verdict } from '@/core/advice';
import type { Band } from '@/core/swing';
import type { Rig } from '@/core/tackle';
import type { UnitSystem } from '@/core/units';
import type { Run } from '@/core/water';
import { space, Text, useWide } from '@/ui';
import { DepthStrip, RunSheet } from '@/ui/charts';
import type { Swung } from '../shared/useSwing';

interface Props {
  run: Run;
  survey: Survey;
  rig: Rig;
  plan: CastPlan;
  swung: Swung;
  band: Band | null;
  verdicts: readonly Verdict[];
  units: UnitSystem;
  chosen: number | null;
  onPlan: (part: Partial<CastPlan>) => void;
}

/** The run sheet with the swing and, under it, the same seconds as depth. Tap or drag the sheet to cast there. */
export function SwingPicture({ run, survey, rig, plan, swung, band, verdicts, units, chosen, onPlan }: Props) {
  const wide = useWide();
  const { height } = useWindowDimensions();
  const [scrub, setScrub] = useState<number | null>(null);
  const { result } = swung;
  const main = verdicts.find((v) => v.lie.rank === chosen);
  const t = Math.min(scrub ?? main?.pass.t ?? result.maxDepthS, (result.rows - 1) / 10);
  const reachM = plan.outM + rig.rod.lengthM;
  const from = Math.max(0, Math.min(plan.xM - 5, run.lengthM - 20));
  const to = Math.min(run.lengthM + 2, Math.max(from + 20, plan.xM + reachM + 4));
  const sentence = swingSentence(result, units);
  const castTo = (p: { xM: number; yM: number }) => {
    const dx = p.xM - plan.xM;
    const dy = Math.abs(p.yM - plan.yM);
    const angleDeg = Math.min(110, Math.max(10, Math.round((Math.atan2(dy, dx) * 180) / Math.PI)));
    const outM = Math.round(2 * (Math.hypot(dx, dy) - 0.8 * rig.rod.lengthM)) / 2;
    onPlan({ angleDeg, outM: Math.min(28, Math.max(shortestCast(rig), outM)) });
    setScrub(null);
  };
  return (
    <View style={{ gap: space.s }}>
      <RunSheet
        run={run}
        survey={survey}
        units={units}
        height={wide ? Math.max(300, height - 330) : Math.min(400, Math.max(260, height * 0.42))}
        from={from}
        to={to}
        chosen={chosen}
        angler={plan}
        swing={{ result, t }}
        onPoint={castTo}
        summary={`The swing from above. ${sentence}`}
      />
      <Text size="small" tone="ink2">
        Drag on the picture to cast elsewhere, on the strip to see the line at another second.
      </Text>
      <DepthStrip
        result={result}
        grid={survey.channel}
        verdicts={verdicts}
        band={band}
        units={units}
        t={t}
        onScrub={setScrub}
        height={150}
        summary={`Depth of the fly, second by second. ${sentence}`}
      />
    </View>
  );
}
