import { useState } from 'react';
import { type EventOf, TAKE_KINDS, TAKE_PLACES, TAKE_SIGNS } from '@/core/logbook';
import type { Rig } from '@/core/tackle';
import { Choice, plainOptions, Stepper } from '@/ui';
import { clock } from '../shared/time';
import { useFishFields } from '../shared/useFishFields';
import { choiceOfTaken, takenOf, useFliesTaken } from '../shared/useFliesTaken';

type Take = EventOf<'take'>;

/** What is said of a take, with the fields to say it anew; `cast` is another cast that it is to belong to. */
export function useTakeEdit(take: Take, casts: readonly EventOf<'cast'>[], rig: Rig | null, quarry: string | null) {
  const own = casts.findLastIndex((c) => c.at <= take.at);
  const [at, setAt] = useState(own);
  const [said, setSaid] = useState({ what: take.what, where: take.where, sign: take.sign, juvenile: take.juvenile });
  const flies = useFliesTaken(rig, take.on);
  const [place, setPlace] = useState(choiceOfTaken(take));
  const fish = useFishFields(take.fish, quarry);
  const isFish = !said.juvenile && (said.what === 'landed' || said.what === 'lost');
  const { place: _place, on: _on, ...rest } = take;
  const value: Take = {
    ...{ ...rest, ...said, fish: isFish ? fish.value : null },
    ...takenOf(place),
  };
  const fields = (
    <>
      <Choice
        label="What happened?"
        options={plainOptions(TAKE_KINDS)}
        value={said.what}
        onChange={(what) => setSaid({ ...said, what })}
      />
      <Choice
        label="A juvenile?"
        options={[
          { value: 'no', label: 'no' },
          { value: 'yes', label: 'yes: out of the rates' },
        ]}
        value={said.juvenile ? 'yes' : 'no'}
        onChange={(v) => setSaid({ ...said, juvenile: v === 'yes' })}
      />
      <Choice
        label="Where on the swing?"
        options={plainOptions(TAKE_PLACES)}
        value={said.where}
        onChange={(where) => setSaid({ ...said, where })}
      />
      <Choice
        label="How did you notice?"
        options={plainOptions(TAKE_SIGNS)}
        value={said.sign}
        onChange={(sign) => setSaid({ ...said, sign })}
      />
      {flies.length > 1 ? <Choice label="Which fly?" options={flies} value={place} onChange={setPlace} /> : null}
      {isFish ? fish.fields : null}
      {casts.length > 1 && own >= 0 ? (
        <Stepper
          label="The cast it took"
          text={`cast ${at + 1} of ${casts.length}, ${clock(casts[at]!.at)}`}
          canLess={at > 0}
          canMore={at < casts.length - 1}
          onLess={() => setAt(at - 1)}
          onMore={() => setAt(at + 1)}
        />
      ) : null}
    </>
  );
  return { value, fields, cast: at === own || at < 0 ? null : casts[at]! };
}
