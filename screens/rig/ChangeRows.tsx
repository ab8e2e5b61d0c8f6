import { useRigInHand } from './RigInHand';
import { useMemo, useState } from 'react';
import { type Change, type ChangesRequest, changeWords, missOf, passWords, type Verdict } from '@/core/advice';
import type { CastPlan } from '@/core/cast';
import type { FishLie } from '@/core/lies';

import { Block, Button, Choice, PickRow, Problem, Stack, Text, Working } from '@/ui';
import { findChanges } from '@/workers/river';
import { useJob } from '../shared/useJob';

interface Props {
  lie: FishLie;
  verdict: Verdict;
  plan: CastPlan;
  /** The hand rests and the verdict is of this plan: the search may begin. */
  settled: boolean;
  onApply: (change: Change) => void;
}

const SETTLED_MS = 500;
const SHOWN = 4;

/** What a change costs at the river, in words. */
function costWords(s: number): string {
  if (s < 10) return 'with the next cast';
  if (s < 60) return 'a few steps';
  const minutes = Math.round(s / 60);
  return minutes <= 1 ? 'about a minute' : `about ${minutes} minutes`;
}

/** The smallest changes that bring the fly to the lie as wanted; a tap makes one. */
export function ChangeRows({ lie, verdict, plan, settled, onApply }: Props) {
  const { run, survey, rig, kit, rules, units } = useRigInHand();
  const [sideOn, setSideOn] = useState(false);
  const right = missOf(verdict, sideOn) === 0;
  const ask = useMemo<ChangesRequest | null>(
    () =>
      right || !settled
        ? null
        : { channel: survey.channel, lengthM: run.lengthM, lies: survey.lies, rig, plan, kit, rules, lie, sideOn },
    [right, settled, survey, run.lengthM, rig, plan, kit, rules, lie, sideOn],
  );
  const { value, share, error, stopped, stop, again } = useJob(ask, findChanges, SETTLED_MS);
  const does = value?.changes.filter((c) => c.does) ?? [];
  const helps = value?.changes.filter((c) => !c.does) ?? [];
  const row = (c: Change) => (
    <PickRow
      key={c.levers.join('+')}
      label=""
      value={changeWords(c, { rig, plan }, units)}
      detail={`${passWords(c.verdict, units)} · ${costWords(c.costS)}`}
      onPress={() => onApply(c)}
    />
  );
  return (
    <Block title={right ? 'The fly passes as wanted' : 'What to change'}>
      <Choice
        label="The fly should show itself"
        options={[
          { value: 'any', label: 'any way' },
          { value: 'side', label: 'side-on' },
        ]}
        value={sideOn ? 'side' : 'any'}
        onChange={(v) => setSideOn(v === 'side')}
      />
      {right ? (
        <Text tone="ink2">Right depth and slow enough: nothing to change for this lie.</Text>
      ) : error ? (
        <Problem title="The search broke off">{error}</Problem>
      ) : !settled ? (
        <Text tone="ink2">Searched for when your hand rests.</Text>
      ) : stopped ? (
        <Button label="Search for changes" onPress={again} />
      ) : !value ? (
        <Working
          what={`Trying angles, mends, tips and flies… ${Math.round(100 * share)} %`}
          stopLabel="Stop the search"
          onStop={stop}
        />
      ) : (
        <Stack>
          {does.length > 0 ? (
            does.slice(0, SHOWN).map(row)
          ) : (
            <Text>Nothing you have does it from here. Stand elsewhere, or fish this lie another way.</Text>
          )}
          {does.length < 2 && helps.length > 0 ? (
            <>
              <Text size="strong">Helps, but is not enough</Text>
              {helps.slice(0, SHOWN).map(row)}
            </>
          ) : null}
        </Stack>
      )}
    </Block>
  );
}
