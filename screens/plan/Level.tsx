import type { UseQueryResult } from '@tanstack/react-query';
import { gaugeDoubts, type GaugePoint } from '@/core/gauge';
import { HOUR_MS } from '@/core/units';
import type { Water } from '@/store/records';
import { fileOfStation, type GaugeReport } from '@/store/gauge';
import { useSettings } from '@/store/hooks';

import { Block, Button, Caution, Fact, Hint, Loading, Problem, Stack, Text } from '@/ui';
import { Hydrograph } from '@/ui/charts';
import { clock, dayText } from '../shared/time';
import { useNow } from '../shared/useNow';
import { gaugeDoubt } from '@/words/gauge';
import { capital } from '@/words/capital';
import { format, formatLevel, toShown, unitOf, type UnitSystem } from '@/words/units';

interface Props {
  water: Water;
  gauge: UseQueryResult<GaugeReport | null>;
  direction: 'rising' | 'falling' | 'steady';
  future: boolean;
  /** The moment up to which it was asked, ms UTC. */
  asked: number;
}

/** Level, flow and temperature from the gauge, against normal. */
export function Level({ water, gauge, direction, future, asked }: Props) {
  const [{ units }] = useSettings();
  const now = useNow();
  if (!water.stationId)
    return (
      <Block title="Level">
        <Hint>No gauge is set for this water. Enter the level when you take a reading.</Hint>
      </Block>
    );
  if (gauge.isError)
    return (
      <Block title="Level">
        <Problem title="No level" onRetry={() => void gauge.refetch()}>
          {gauge.error.message}
        </Problem>
      </Block>
    );
  const report = gauge.data;
  const last = report?.points[report.points.length - 1];
  if (!report || !last)
    return (
      <Block title="Level">
        <Loading what="Asking the station…" room={300} />
      </Block>
    );
  const shown = shownOf(report.points, water.normalStageM ?? 0, units);
  const doubts = report.stale ? [] : gaugeDoubts(report.points, asked);
  const file = fileOfStation(water.stationId) !== null;
  return (
    <Block title="Level">
      <Stack row wrap gap="m" align="baseline">
        <Text size="display">{shown.now}</Text>
        <Text size="heading">{direction}</Text>
      </Stack>
      <Hydrograph
        points={shown.points}
        unit={shown.unit}
        now={last.at}
        height={150}
        summary={`${shown.what} over the last seven days, now ${shown.now} and ${direction}`}
      />
      {shown.what === 'Level' && Number.isFinite(last.flowM3s) ? (
        <Fact name="Flow" value={format('flow', last.flowM3s, units)} />
      ) : null}
      {Number.isFinite(last.tempC) ? <Fact name="Water" value={format('temperature', last.tempC, units)} /> : null}
      <Text size="small" tone="ink2">
        {`${shown.what === 'Level' ? 'Against normal at the gauge' : 'Flow at the gauge, which gives no level'} (${file ? 'from your file' : 'a simulated station'}), ${dayText(last.at)} ${clock(last.at)}.`}
        {future ? ' There is no level forecast: these are the latest values.' : ''}
      </Text>
      {doubts.length > 0 ? <Caution>{`${capital(doubts.map(gaugeDoubt).join('; '))}.`}</Caution> : null}
      {report.stale ? (
        <>
          <Hint>{`Last values received, ${hoursAgo(now, report.fetchedAt)}: ${report.stale}.`}</Hint>
          <Button label="Try again" onPress={() => void gauge.refetch()} />
        </>
      ) : null}
    </Block>
  );
}

/** The level against normal; of a gauge that tells none its flow. */
function shownOf(points: readonly GaugePoint[], normalM: number, units: UnitSystem) {
  const levels = points.filter((p) => Number.isFinite(p.stageM));
  if (levels.length > 0)
    return {
      what: 'Level',
      unit: unitOf('level', units),
      now: formatLevel(levels.at(-1)!.stageM - normalM, units),
      points: levels.map((p) => ({ at: p.at, value: toShown('level', p.stageM - normalM, units) })),
    };
  const flows = points.filter((p) => Number.isFinite(p.flowM3s));
  return {
    what: 'Flow',
    unit: unitOf('flow', units),
    now: format('flow', flows.at(-1)!.flowM3s, units),
    points: flows.map((p) => ({ at: p.at, value: toShown('flow', p.flowM3s, units) })),
  };
}

function hoursAgo(now: number, then: number): string {
  const h = Math.round((now - then) / HOUR_MS);
  return h < 1
    ? 'within the hour'
    : h === 1
      ? 'an hour ago'
      : h < 48
        ? `${h} hours ago`
        : `${Math.round(h / 24)} days ago`;
}
