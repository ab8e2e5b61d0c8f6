import { useRigInHand } from './RigInHand';
import { useMemo, useState } from 'react';
import {
  type Change,
  type ChangesRequest,
  changeWords,
  isRight,
  passWords,
  type Tried,
  type Verdict,
} from '@/core/advice';
import type { CastPlan } from '@/core/cast';
import type { FishLie } from '@/core/lies';

import { ofTen } from '@/core/units';
import { Block, Button, Caution, Choice, PickRow, Problem, Stack, Text, Working } from '@/ui';
import { findChanges } from '@/workers/river';
import { useJob } from '../shared/useJob';
import { costWords } from './costWords';

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

/** Why the list of what does it is empty. */
const NOTHING = {
  none: 'Nothing you have does it from here. Stand elsewhere, or fish this lie another way.',
  unsure:
    'Nothing does it in seven of ten, as rough as the readings are. A timed float or a measured depth makes it surer.',
};

/** The smallest changes that bring the fly to the lie as wanted; a tap makes one. */
export function ChangeRows({ lie, verdict, plan, settled, onApply }: Props) {
  const { run, survey, rig, kit, rigged, means, rules, units } = useRigInHand();
  const [sideOn, setSideOn] = useState(false);
  const ask = useMemo<ChangesRequest | null>(
    () =>
      !settled
        ? null
        : {
            ...{ channel: survey.channel, lengthM: run.lengthM, lies: survey.lies },
            ...{ rig, plan, rigged, means, kit, rules, lie, sideOn },
          },
    [settled, survey, run.lengthM, rig, plan, rigged, means, kit, rules, lie, sideOn],
  );
  const { value, share, error, stopped, stop, again } = useJob(ask, findChanges, SETTLED_MS);
  const right = isRight(verdict, sideOn) && (value ? value.changes.length === 0 && !value.nothingLegal : true);
  const chance = (t: Tried) => (t.chance === undefined ? '' : ` · in ${ofTen(t.chance / 10)}`);
  const does = value?.changes.filter((c) => c.does) ?? [];
  const helps = value?.changes.filter((c) => !c.does) ?? [];
  const row = (c: Change) => (
    <PickRow
      key={c.levers.join('+')}
      label=""
      value={changeWords(c, { rig, plan }, units)}
      detail={`${passWords(c.verdict, units)}${chance(c)} · ${costWords(c.costS)}`}
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
      {error ? (
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
      ) : value.nothingLegal ? (
        <Caution>Nothing in your kit is allowed here as it is tied: see the rules of this water.</Caution>
      ) : value.changes.length === 0 && value.now?.miss === 0 ? (
        <Text tone="ink2">{`Right depth and slow enough${sideOn ? chance(value.now) : ''}: nothing to change for this lie.`}</Text>
      ) : (
        <Stack>
          {does.length > 0 ? (
            does.slice(0, SHOWN).map(row)
          ) : (
            <Text>{NOTHING[value.now?.miss === 0 ? 'unsure' : 'none']}</Text>
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
