import { View } from 'react-native';
import { ROD_WAYS, shortestCast, type CastPlan, type Survey } from '@/core/advice';
import type { Rig } from '@/core/tackle';
import { format, type UnitSystem } from '@/core/units';
import type { Run } from '@/core/water';
import { Block, Button, Choice, plainOptions, Slider, space, Stepper, Text } from '@/ui';

interface Props {
  run: Run;
  survey: Survey;
  rig: Rig;
  plan: CastPlan;
  units: UnitSystem;
  chosen: number | null;
  onChoose: (rank: number) => void;
  onPlan: (part: Partial<CastPlan>) => void;
  onReset: () => void;
}

const LONGEST_M = 28;

/** Lie, angle, length, mend, rod, and where one stands. */
export function CastControls({ run, survey, rig, plan, units, chosen, onChoose, onPlan, onReset }: Props) {
  const least = shortestCast(rig);
  return (
    <Block title="The cast">
      {survey.lies.length > 0 ? (
        <Choice
          label="For lie"
          options={survey.lies.map((l) => ({ value: String(l.rank), label: String(l.rank) }))}
          value={chosen === null ? null : String(chosen)}
          onChange={(v) => onChoose(Number(v))}
        />
      ) : null}
      <Slider
        label="Angle, from straight downstream"
        value={plan.angleDeg}
        min={10}
        max={110}
        step={5}
        onChange={(angleDeg) => onPlan({ angleDeg })}
        format={(v) => `${v}°${v > 92 ? ', upstream of square' : v > 87 ? ', square' : ''}`}
      />
      <Slider
        label="Line out, rod tip to fly"
        value={Math.max(least, plan.outM)}
        min={least}
        max={LONGEST_M}
        step={0.5}
        onChange={(outM) => onPlan({ outM })}
        format={(v) => format('line', v, units)}
      />
      <Slider
        label="Upstream mend at landing, slack"
        value={plan.mendM}
        min={0}
        max={4}
        step={0.25}
        onChange={(mendM) => onPlan({ mendM })}
        format={(v) => (v === 0 ? 'none' : format('depth', v, units))}
      />
      <Choice label="Rod" options={plainOptions(ROD_WAYS)} value={plan.rod} onChange={(rod) => onPlan({ rod })} />
      <Slider
        label="You stand, down the run"
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
      <View style={{ gap: space.xs }}>
        <Button label="Stand and cast for this lie" onPress={onReset} />
        <Text size="small" tone="ink2">
          Puts you upstream of it, the cast long enough to cross it.
        </Text>
      </View>
    </Block>
  );
}
