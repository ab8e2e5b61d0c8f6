import { playingAt } from '@/core/cover';
import { useState } from 'react';
import type { CastPlan } from '@/core/cast';
import {
  type EventBody,
  TAKE_KINDS,
  TAKE_PLACES,
  TAKE_SIGNS,
  type TakeKind,
  type TakePlace,
  type TakeSign,
} from '@/core/logbook';
import type { Rig } from '@/core/tackle';
import type { Feature } from '@/core/water';
import { WARM_WATER_C } from '@/core/water/warmth';

import { useSession, useSettings } from '@/store/hooks';
import { Button, Caution, Choice, plainOptions, Sheet } from '@/ui';
import { useFishFields } from '../shared/useFishFields';
import { takenOf, useFliesTaken } from '../shared/useFliesTaken';
import { useWater } from '../shared/useWater';
import { playingWords, strikeWords } from '@/words/cover';

interface Props {
  rig: Rig;
  /** The cast it took. */
  plan: CastPlan;
  features: readonly Feature[];
  /** As last read, °C. */
  waterTempC: number | null;
  onClose: () => void;
  onTake: (body: EventBody) => void;
  onJuvenile: () => void;
}

/** What it was; where on the swing, which fly; a fish only when there is one. Nothing but the kind must be said. */
export function TakeSheet({ rig, plan, features, waterTempC, onClose, onTake, onJuvenile }: Props) {
  const [what, setWhat] = useState<TakeKind>('pluck');
  const [where, setWhere] = useState<TakePlace | null>(null);
  const [sign, setSign] = useState<TakeSign | null>(null);
  const [place, setPlace] = useState<string | null>(null);
  const [session] = useSession();
  const water = useWater(session?.waterId);
  const fish = useFishFields(null, water?.quarry ?? null);
  const isFish = what === 'landed' || what === 'lost';
  const flies = useFliesTaken(rig);
  const save = () =>
    onTake({
      ...{ kind: 'take', what, where, sign, juvenile: false, fish: isFish ? fish.value : null },
      ...takenOf(place),
    });
  return (
    <Sheet title="A take" open onClose={onClose}>
      <Button label="A juvenile" hint="One tap; not counted in your rates" onPress={onJuvenile} />
      <Choice label="What happened?" options={plainOptions(TAKE_KINDS)} value={what} onChange={setWhat} />
      {what === 'hooked' ? <Playing rig={rig} plan={plan} features={features} /> : null}
      {isFish ? <Release rig={rig} waterTempC={waterTempC} /> : null}
      <Choice label="Where on the swing?" options={plainOptions(TAKE_PLACES)} value={where} onChange={setWhere} />
      {flies.length > 1 ? <Choice label="Which fly?" options={flies} value={place} onChange={setPlace} /> : null}
      <Button label="Log take" kind="primary" big onPress={save} />
      <Choice label="How did you notice?" options={plainOptions(TAKE_SIGNS)} value={sign} onChange={setSign} />
      {isFish ? fish.fields : null}
    </Sheet>
  );
}

/** A fish is on: what to mind, the wood near by first. */
function Playing({ rig, plan, features }: Pick<Props, 'rig' | 'plan' | 'features'>) {
  const [{ units }] = useSettings();
  return (
    <Caution strong>{[strikeWords(plan), ...playingWords(playingAt(rig, plan, features), units)].join(' ')}</Caution>
  );
}

function Release({ rig, waterTempC }: Pick<Props, 'rig' | 'waterTempC'>) {
  return (
    <Caution strong>
      {[
        'In the water, wet hands, soft mesh; seconds of air at most; never over stones.',
        ...(rig.droppers.length > 0 ? ['Mind the free hook.'] : []),
        ...(waterTempC !== null && waterTempC >= WARM_WATER_C
          ? ['Warm water: no picture, release the fish at once, and stop soon.']
          : []),
      ].join(' ')}
    </Caution>
  );
}
