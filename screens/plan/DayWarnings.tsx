import type { GaugePoint } from '@/core/gauge/points';
import { damAbove } from '@/core/plan/dam';
import { checkSeason, waterCautions } from '@/core/rules';
import { useRecords, useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { Caution } from '@/ui';
import { waterCaution } from '@/words/cautions';
import { damWords } from '@/words/dam';
import { breachWords } from '@/words/rules';
import { dayOf, startOfDay } from '../shared/time';
import { useRelease } from '../shared/useRelease';

/** Water temperature last measured on a run of the water on a day; null where none was. */
function useBankTemperature(waterId: string, day: string): number | null {
  const { data: readings } = useRecords('reading');
  const { data: runs } = useRecords('run');
  const own = new Set((runs ?? []).filter((r) => r.waterId === waterId).map((r) => r.id));
  return (
    (readings ?? [])
      .filter((r) => own.has(r.runId) && r.waterTempC !== null && dayOf(r.at) === day)
      .sort((a, b) => b.at - a.at)[0]?.waterTempC ?? null
  );
}

interface Props {
  water: Water;
  day: string;
  today: string;
  last: GaugePoint | undefined;
  direction: 'rising' | 'falling' | 'steady';
}

/** What to beware of on a water that day: its season, its temperature and rise, the dam above. */
export function DayWarnings({ water, day, today, last, direction }: Props) {
  const [{ units }] = useSettings();
  // What was measured at the bank that day overrides the gauge.
  const own = useBankTemperature(water.id, day);
  const tempC = own ?? (last && Number.isFinite(last.tempC) ? last.tempC : null);
  const release = useRelease(day === today ? water : null);
  const dam = damAbove(water.river, water.releases, startOfDay(day));
  return (
    <>
      {checkSeason(water.rules, day.slice(5)).map((b) => (
        <Caution key={b.rule} strong>
          {breachWords(b)}
        </Caution>
      ))}
      {waterCautions(tempC, direction, water.rules?.closesAtC ?? null).map((c) => (
        <Caution key={c.code} strong={c.level === 'stop'}>
          {waterCaution(c, units)}
        </Caution>
      ))}
      {release ? <Caution strong>{release.says}</Caution> : null}
      {dam ? <Caution>{damWords(dam)}</Caution> : null}
    </>
  );
}
