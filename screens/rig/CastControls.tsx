import { View } from 'react-native';
import {
  CAST_ANGLE_DEG,
  type CastPlan,
  handsOf,
  LONGEST_CAST_M,
  MOST_MEND_M,
  ownsTheRod,
  ROD_WAYS,
  shortestCast,
  wadeTo,
} from '@/core/cast';
import type { Survey } from '@/core/lies';
import type { Rig } from '@/core/tackle';
import { format, type UnitSystem } from '@/core/units';
import type { Run } from '@/core/water';

import { Block, Button, Caution, Choice, plainOptions, Slider, space, Stepper, Text } from '@/ui';
import { HandControls } from './HandControls';
import { WayRow } from './WayRow';

interface Props {
  run: Run;
  survey: Survey;
  rig: Rig;
  plan: CastPlan;
  units: UnitSystem;
  chosen: number | null;
  onChoose: (rank: number) => void;
  onPlan: (part: Partial<CastPlan>) => void;
  /** The whole cast at once: another way of showing the fly leaves nothing of the last. */
  onCast: (plan: CastPlan) => void;
  onReset: () => void;
}

const LATEST_MEND_S = 10;

/** Lie, way, angle, length, mend, rod, and where one stands. */
export function CastControls({ run, survey, rig, plan, units, chosen, onChoose, onPlan, onCast, onReset }: Props) {
  const least = shortestCast(rig);
  const ownRod = ownsTheRod(handsOf(plan));
  const tooDeep = plan.yM > wadeTo(survey.channel, [], plan.xM) + 0.05;
  return (
    <>
      <Block title="The cast">
        {survey.lies.length > 0 ? (
          <Choice
            label="For lie"
            options={survey.lies.map((l) => ({ value: String(l.rank), label: String(l.rank) }))}
            value={chosen === null ? null : String(chosen)}
            onChange={(v) => onChoose(Number(v))}
          />
        ) : null}
        <WayRow plan={plan} onPlan={onCast} />
        <Slider
          label="Angle, from straight downstream"
          value={plan.angleDeg}
          min={CAST_ANGLE_DEG.least}
          max={CAST_ANGLE_DEG.most}
          step={5}
          onChange={(angleDeg) => onPlan({ angleDeg })}
          format={(v) => `${v}°${v > 92 ? ', upstream of square' : v > 87 ? ', square' : ''}`}
        />
        <Slider
          label="Line out, rod tip to fly"
          value={Math.max(least, plan.outM)}
          min={least}
          max={LONGEST_CAST_M}
          step={0.5}
          onChange={(outM) => onPlan({ outM })}
          format={(v) => format('line', v, units)}
        />
        <Slider
          label="Slack from a mend"
          value={plan.mendM}
          min={-MOST_MEND_M}
          max={MOST_MEND_M}
          step={0.25}
          onChange={(mendM) => onPlan({ mendM })}
          format={(v) =>
            v === 0 ? 'no mend' : `${format('depth', Math.abs(v), units)} ${v > 0 ? 'upstream' : 'downstream'}`
          }
        />
        {plan.mendM !== 0 ? (
          <Slider
            label="Mended"
            value={plan.mendAtS ?? 0}
            min={0}
            max={LATEST_MEND_S}
            step={1}
            onChange={(mendAtS) => onPlan({ mendAtS })}
            format={(v) => (v === 0 ? 'at landing' : `${v} s after landing`)}
          />
        ) : null}
        <HandControls plan={plan} units={units} onPlan={onPlan} />
        {ownRod ? null : (
          <Choice label="Rod" options={plainOptions(ROD_WAYS)} value={plan.rod} onChange={(rod) => onPlan({ rod })} />
        )}
        <Choice
          label="Rod tip"
          options={plainOptions(['above water', 'under water'] as const)}
          value={plan.tipUnder ? 'under water' : 'above water'}
          onChange={(v) => onPlan({ tipUnder: v === 'under water' })}
        />
      </Block>
      <Block title="Where you stand">
        {tooDeep ? (
          <Caution>
            Too deep or too fast to wade there. From a boat only, with a vest on, and where it is allowed.
          </Caution>
        ) : null}
        <Slider
          label="Down the run"
          value={plan.xM}
          min={0}
          max={run.lengthM}
          step={0.5}
          onChange={(xM) => onPlan({ xM })}
          format={(v) => format('length', v, units)}
        />
        <Stepper
          label="Out from your bank"
          text={format('depth', plan.yM, units)}
          onLess={() => onPlan({ yM: Math.round((plan.yM - 0.5) * 10) / 10 })}
          onMore={() => onPlan({ yM: Math.round((plan.yM + 0.5) * 10) / 10 })}
        />
        <Choice
          label="Cast to"
          options={plainOptions(['the wide side', 'the near bank'] as const)}
          value={plan.inwards ? 'the near bank' : 'the wide side'}
          onChange={(v) => onPlan({ inwards: v === 'the near bank' })}
        />
        <View style={{ gap: space.xs }}>
          <Button label="Stand and cast for this lie" onPress={onReset} />
          <Text size="small" tone="ink2">
            Puts you upstream of it, the cast long enough to cross it.
          </Text>
        </View>
      </Block>
    </>
  );
}
