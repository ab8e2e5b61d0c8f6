import { coldWading } from '@/core/rules';
import type { Survey } from '@/core/lies';
import { type PlanPoint, type Reading, wadingHazard, waterAt } from '@/core/water';
import { useSettings } from '@/store/hooks';
import { Caution } from '@/ui';
import { waterCaution } from '@/words/cautions';
import { format } from '@/words/units';

interface Props {
  survey: Survey;
  reading: Reading;
  at: PlanPoint;
}

/** How hard, and how cold, the water is to stand in where one stands; nothing where it is easy for fit adults, or one is dry. */
export function WadeCaution({ survey: { channel }, reading, at }: Props) {
  const [{ units }] = useSettings();
  const { depthM, speedMps } = waterAt(channel, at.xM, at.yM);
  const hazard = wadingHazard(depthM, speedMps);
  const cold = coldWading(reading.waterTempC, depthM);
  return (
    <>
      {hazard === 'low' ? null : (
        <Caution strong>
          {`Your position is ${format('depth', depthM, units)} deep at ${format('speed', speedMps, units)}: ${hazard} hazard even to fit adults (Cox, Shand & Blacka 2010). Fish it from the bank, or from a boat with a vest on.`}
        </Caution>
      )}
      {cold ? <Caution>{waterCaution(cold, units)}</Caution> : null}
    </>
  );
}
