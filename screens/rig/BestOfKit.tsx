import { useRigInHand } from './RigInHand';
import { useMemo, useState } from 'react';
import { howMany, passWords, type RankRequest, type Tried, type Variants } from '@/core/advice';
import type { CastPlan } from '@/core/cast';
import type { FishLie } from '@/core/lies';
import { checkRig, type WaterRules } from '@/core/rules';
import { describeFly, flyBody, itemsOf, type KitItem, type Rig } from '@/core/tackle';

import { ofTen } from '@/core/units';
import { Block, Button, PickRow, Problem, Stack, Text, Working } from '@/ui';
import { rankAll, type Watch } from '@/workers/river';

import { useJob } from '../shared/useJob';
import { MEND } from './planSettings';

interface Props {
  lie: FishLie;
  plan: CastPlan;
  onApply: (trial: Tried) => void;
}

const ANGLES = [35, 50, 65, 80, 95, 110];
const MENDS = [0, 1.5, 3];
const SHOWN = 5;

/** Some values, the nearest of them the one that is set: what reaches the lie as it is must not be said to reach it in no way. */
const withOwn = (some: readonly number[], own: number): number[] => {
  const nearest = some.reduce((a, b) => (Math.abs(b - own) < Math.abs(a - own) ? b : a));
  return some.map((v) => (v === nearest ? own : v));
};

const start = (q: RankRequest, watch: Watch) => rankAll(q, SHOWN, watch);

/** Flies that are allowed here, one of each that swim alike. */
function fliesToTry(kit: readonly KitItem[], rig: Rig, rules: WaterRules | null): Rig['fly'][] {
  const seen = new Set<string>();
  return [rig.fly, ...itemsOf(kit, 'fly')].filter((fly) => {
    const key = JSON.stringify(flyBody(fly));
    if (seen.has(key) || (rules && checkRig(rules, { ...rig, fly }).length > 0)) return false;
    seen.add(key);
    return true;
  });
}

/** Every tip and fly one has, at several angles and mends, ranked for the lie by workers side by side. */
export function BestOfKit({ lie, plan, onApply }: Props) {
  const { survey, rig, kit, rules, units, means } = useRigInHand();
  const [ask, setAsk] = useState<RankRequest | null>(null);
  const { value, share, error } = useJob(ask, start, 0);
  const vary = useMemo<Variants>(
    () => ({
      tips: [null, ...itemsOf(kit, 'tip')],
      flies: fliesToTry(kit, rig, rules),
      angles: withOwn(ANGLES, plan.angleDeg),
      mends: withOwn(MENDS, plan.mendM),
    }),
    [kit, rig, rules, plan.angleDeg, plan.mendM],
  );
  const count = howMany(vary);
  const begin = () => setAsk({ channel: survey.channel, base: { rig, plan, means }, lie, sideOn: false, vary });
  if (count === 0) return null;
  return (
    <Block title="The best of what you have">
      {!ask ? (
        <Button
          label={`Try all ${count} combinations`}
          hint="Every tip and fly, six angles, three mends"
          onPress={begin}
        />
      ) : error ? (
        <Problem title="The search broke off">{error}</Problem>
      ) : !value ? (
        <Working
          what={`${Math.round(100 * share)} % of ${count} swings`}
          stopLabel="Stop trying combinations"
          onStop={() => setAsk(null)}
        />
      ) : (
        <Stack>
          {value.length === 0 ? <Text>Nothing reaches this lie from here. Stand elsewhere.</Text> : null}
          {value.map((t) => (
            <PickRow
              key={`${t.rig.fly.id} ${t.rig.tip?.id} ${t.plan.angleDeg} ${t.plan.mendM}`}
              label=""
              value={`${describeFly(t.rig.fly)}, ${t.rig.tip?.name ?? 'no tip'}, ${t.plan.angleDeg}°${t.plan.mendM === 0 ? '' : `, mended ${MEND.words(t.plan.mendM, units)}`}`}
              detail={`${passWords(t.verdict, units)}${t.chance === undefined ? '' : ` · in ${ofTen(t.chance / 10)}`}`}
              onPress={() => onApply(t)}
            />
          ))}
          <Button label="Close the list" kind="quiet" onPress={() => setAsk(null)} />
        </Stack>
      )}
    </Block>
  );
}
