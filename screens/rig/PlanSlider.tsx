import { memo } from 'react';
import type { CastPlan } from '@/core/cast';
import { Slider } from '@/ui';
import { type UnitSystem } from '@/words/units';

/** A number of a cast that a slider sets. */
export interface PlanSetting {
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly of: (plan: CastPlan) => number;
  readonly set: (plan: CastPlan, value: number) => Partial<CastPlan>;
  readonly words: (value: number, units: UnitSystem) => string;
}

interface Props {
  setting: PlanSetting;
  value: number;
  units: UnitSystem;
  /** In place of the setting's own ends. */
  min?: number;
  max?: number;
  onValue: (setting: PlanSetting, value: number) => void;
}

/** Drawn again only when its own number changes: a cast has a dozen of them. */
export const PlanSlider = memo(function PlanSlider({ setting, value, units, min, max, onValue }: Props) {
  return (
    <Slider
      label={setting.label}
      value={value}
      min={min ?? setting.min}
      max={max ?? setting.max}
      step={setting.step}
      onChange={(v) => onValue(setting, v)}
      format={(v) => setting.words(v, units)}
    />
  );
});
