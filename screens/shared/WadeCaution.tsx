import type { Survey } from '@/core/lies';
import { type PlanPoint, wadingHazard, waterAt } from '@/core/water';
import { format } from '@/core/units';
import { useSettings } from '@/store/hooks';
import { Caution } from '@/ui';

/** How hard the water is to stand in where one stands; nothing where it is easy for fit adults. */
export function WadeCaution({ survey: { channel }, at }: { survey: Survey; at: PlanPoint }) {
  const [{ units }] = useSettings();
  const { depthM, speedMps } = waterAt(channel, at.xM, at.yM);
  const hazard = wadingHazard(depthM, speedMps);
  if (hazard === 'low') return null;
  return (
    <Caution strong>
      {`Where you stand it is ${format('depth', depthM, units)} deep at ${format('speed', speedMps, units)}: a ${hazard} hazard even to fit adults (depth times speed; Cox, Shand & Blacka 2010). From the bank, or from a boat with a vest on.`}
    </Caution>
  );
}
