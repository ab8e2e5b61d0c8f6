import { useRigInHand } from './RigInHand';
import { useMemo } from 'react';
import { type ChangesRequest, isRight, type Verdict } from '@/core/advice';
import type { Change } from '@/core/advice/changes';
import type { CastPlan } from '@/core/cast';
import type { FishLie } from '@/core/lies';

import { Block, Button, Caution, PickRow, Problem, Stack, Text, Working } from '@/ui';
import { findChanges } from '@/workers/river';
import { useJob } from '../shared/useJob';
import { costWords } from './costWords';
import { passWords } from '@/words/advice';
import { changeWords } from '@/words/changes';
import { ofTen } from '@/words/counting';
import { BROKE_OFF } from '@/words/refusals';

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
  none: 'No change in your bag fixes this from here. Move, or fish the lie another way.',
  unsure: 'No change makes it sure while the readings are so rough. Time a float or measure a depth.',
};

/** The smallest changes that bring the fly to the lie as wanted; a tap makes one. */
export function ChangeRows({ lie, verdict, plan, settled, onApply }: Props) {
  const { run, survey, rig, kit, rigged, means, rules, units } = useRigInHand();
  const ask = useMemo<ChangesRequest | null>(
    () =>
      !settled
        ? null
        : {
            ...{ channel: survey.channel, lengthM: run.lengthM, lies: survey.lies },
            ...{ rig, plan, rigged, means, kit, rules, lie },
          },
    [settled, survey, run.lengthM, rig, plan, rigged, means, kit, rules, lie],
  );
  const { value, share, error, stopped, stop, again } = useJob(ask, findChanges, SETTLED_MS);
  const right = isRight(verdict) && (value ? value.changes.length === 0 && !value.nothingLegal : true);
  const does = value?.changes.filter((c) => c.does) ?? [];
  const helps = value?.changes.filter((c) => !c.does) ?? [];
  const row = (c: Change) => (
    <PickRow
      key={c.levers.join('+')}
      label=""
      value={changeWords(c, { rig, plan }, units)}
      detail={`${passWords(c.verdict, units)} · well shown in ${ofTen(c.chance / 10)} swings · ${costWords(c.costS)}`}
      onPress={() => onApply(c)}
    />
  );
  return (
    <Block title={right ? 'Lie well shown' : 'What to change'}>
      {error ? (
        <Problem title="Search failed">{BROKE_OFF}</Problem>
      ) : !settled ? (
        <Text tone="ink2">Changes appear when you pause.</Text>
      ) : stopped ? (
        <Button label="Search for changes" onPress={again} />
      ) : !value ? (
        <Working
          what={`Trying angles, mends, tips and flies… ${Math.round(100 * share)} %`}
          stopLabel="Stop the search"
          onStop={stop}
        />
      ) : value.nothingLegal ? (
        <Caution>No rig in your bag is allowed here. See the rules of this water.</Caution>
      ) : value.changes.length === 0 && value.now && isRight(value.now.verdict) ? (
        <Text tone="ink2">{`Well shown in ${ofTen(value.now.chance / 10)} swings. Change nothing for this lie.`}</Text>
      ) : (
        <Stack>
          {does.length > 0 ? (
            does.slice(0, SHOWN).map(row)
          ) : (
            <Text>{NOTHING[value.now && isRight(value.now.verdict) ? 'unsure' : 'none']}</Text>
          )}
          {does.length < 2 && helps.length > 0 ? (
            <>
              <Text size="strong">Better, but not enough</Text>
              {helps.slice(0, SHOWN).map(row)}
            </>
          ) : null}
        </Stack>
      )}
    </Block>
  );
}
