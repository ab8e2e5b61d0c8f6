import { useRecord } from '@/store/hooks';
import { Loading, Screen } from '@/ui';
import { NO_WATER } from './noWater';
import { WaterForm } from './WaterForm';

/** Adds a water, or changes one. */
export function WaterScreen({ id }: { id?: string }) {
  const water = useRecord('water', id ?? null);
  if (id && water === undefined)
    return (
      <Screen title="Water">
        <Loading what="Opening the water…" />
      </Screen>
    );
  return <WaterForm start={water ?? NO_WATER} isNew={!water} />;
}
