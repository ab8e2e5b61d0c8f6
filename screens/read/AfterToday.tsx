import { likestOf } from '@/core/lies/suitability'; // not the barrel: this weighs on the first look
import { useRecord, useSession } from '@/store/hooks';
import type { Water } from '@/store/records';
import { Choice, Hint, plainOptions } from '@/ui';
import { dayOf } from '../shared/time';
import { fishOf } from '../shared/useWater';
import { capital } from '@/words/capital';

/** Which of the fish of a water one is after today; nothing where it has one that is told of by itself. */
export function AfterToday({ water }: { water: Water }) {
  const [, setSession] = useSession();
  const kept = useRecord('water', water.id); // in the order in which they stand there
  const fish = fishOf(kept ?? water);
  const like = likestOf(water.quarry);
  return (
    <>
      {fish.length > 1 ? (
        <Choice
          label="Fish you are after today"
          options={plainOptions(fish)}
          value={water.quarry}
          onChange={(quarry) => setSession({ after: { waterId: water.id, day: dayOf(Date.now()), quarry } })}
        />
      ) : null}
      {like === water.quarry ? null : (
        <Hint>{`${capital(water.quarry)} are worked out as ${like}: the most similar fish the program knows well.`}</Hint>
      )}
    </>
  );
}
