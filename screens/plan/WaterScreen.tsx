import type { Water } from '@/store/records';
import { useRecord } from '@/store/hooks';
import { Loading, Screen } from '@/ui';
import { WaterForm } from './WaterForm';

const NEW: Water = {
  id: '',
  name: '',
  character: '',
  quarry: 'brown trout',
  latDeg: null,
  lonDeg: null,
  stationId: null,
  normalStageM: null,
  rules: null,
};
/** Adds a water, or changes one. */
export function WaterScreen({ id }: { id?: string }) {
  const water = useRecord('water', id ?? null);
  if (id && water === undefined)
    return (
      <Screen title="Water">
        <Loading what="Opening the water…" />
      </Screen>
    );
  return <WaterForm start={water ?? NEW} isNew={!water} />;
}
