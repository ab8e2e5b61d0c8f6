import { type CastPlan, type Hands, handsOf, PRESENTATIONS } from '@/core/cast';
import { format, type UnitSystem } from '@/core/units';

import { Slider } from '@/ui';

interface Props {
  plan: CastPlan;
  units: UnitSystem;
  onPlan: (part: Partial<CastPlan>) => void;
}

const MOST = { count: 20, pull: 0.8, pullMps: 2, rest: 3, feed: 6, walk: 4 } as const;

/** What hands and feet do after the cast: only what this way of showing the fly asks for. */
export function HandControls({ plan, units, onPlan }: Props) {
  const hands = handsOf(plan);
  const { sets } = PRESENTATIONS[hands.way];
  const set = (part: Partial<Hands>) => onPlan({ hands: { ...hands, ...part } });
  const length = (none: string) => (v: number) => (v === 0 ? none : format('depth', v, units));
  return (
    <>
      {sets.includes('count') ? (
        <Slider
          label="Count before the hands begin"
          value={hands.countS}
          min={0}
          max={MOST.count}
          step={1}
          onChange={(countS) => set({ countS })}
          format={(v) => (v === 0 ? 'at once' : `${v}`)}
        />
      ) : null}
      {sets.includes('pull') ? (
        <>
          <Slider
            label="One pull"
            value={hands.pullM}
            min={0.05}
            max={MOST.pull}
            step={0.05}
            onChange={(pullM) => set({ pullM })}
            format={(v) => format('depth', v, units)}
          />
          <Slider
            label="How fast"
            value={hands.pullMps}
            min={0.1}
            max={MOST.pullMps}
            step={0.1}
            onChange={(pullMps) => set({ pullMps })}
            format={(v) => format('speed', v, units)}
          />
          <Slider
            label="Rest after it"
            value={hands.restS}
            min={0}
            max={MOST.rest}
            step={0.1}
            onChange={(restS) => set({ restS })}
            format={(v) => (v === 0 ? 'none' : `${v.toFixed(1)} s`)}
          />
        </>
      ) : null}
      {sets.includes('feed') ? (
        <Slider
          label="Line paid into the drift"
          value={hands.feedM}
          min={0}
          max={MOST.feed}
          step={0.5}
          onChange={(feedM) => set({ feedM })}
          format={length('none')}
        />
      ) : null}
      {sets.includes('walk') ? (
        <Slider
          label="Steps down while it sinks"
          value={hands.walkM}
          min={0}
          max={MOST.walk}
          step={0.25}
          onChange={(walkM) => set({ walkM })}
          format={length('none')}
        />
      ) : null}
    </>
  );
}
