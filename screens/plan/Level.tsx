import type { UseQueryResult } from '@tanstack/react-query';
import { format, formatLevel, toShown, unitOf } from '@/core/units';
import type { Water } from '@/store/records';
import type { GaugeReport } from '@/store/gauge';
import { useSettings } from '@/store/hooks';

import { Block, Button, Fact, Hint, Loading, Problem, Stack, Text } from '@/ui';
import { Hydrograph } from '@/ui/charts';
import { clock, dayText } from '../shared/time';
import { useNow } from '../shared/useNow';

interface Props {
  water: Water;
  gauge: UseQueryResult<GaugeReport | null>;
  direction: 'rising' | 'falling' | 'steady';
  future: boolean;
}

/** Level, flow and temperature from the gauge, against normal. */
export function Level({ water, gauge, direction, future }: Props) {
  const [{ units }] = useSettings();
  const now = useNow();
  if (!water.stationId)
    return (
      <Block title="Level">
        <Hint>No gauge is set for this water. Enter the level in words when you read a run.</Hint>
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
        <Loading what="Asking the station…" />
      </Block>
    );
  const normal = water.normalStageM ?? 0;
  const points = report.points.map((p) => ({ at: p.at, value: toShown('level', p.stageM - normal, units) }));
  const level = formatLevel(last.stageM - normal, units);
  return (
    <Block title="Level">
      <Stack row wrap gap="m" align="baseline">
        <Text size="display">{level}</Text>
        <Text size="heading">{direction}</Text>
      </Stack>
      <Hydrograph
        points={points}
        unit={unitOf('level', units)}
        now={last.at}
        height={150}
        summary={`Level over the last seven days, now ${level} against normal and ${direction}`}
      />
      {Number.isFinite(last.flowM3s) ? <Fact name="Flow" value={format('flow', last.flowM3s, units)} /> : null}
      {Number.isFinite(last.tempC) ? <Fact name="Water" value={format('temperature', last.tempC, units)} /> : null}
      <Text size="small" tone="ink2">
        {`Against normal at the gauge (a simulated station), ${dayText(last.at)} ${clock(last.at)}.`}
        {future ? ' Nobody knows the level of a coming day: these are the last values.' : ''}
      </Text>
      {report.stale ? (
        <>
          <Hint>{`These are the last values heard, ${hoursAgo(now, report.fetchedAt)}: ${report.stale}.`}</Hint>
          <Button label="Ask again" onPress={() => void gauge.refetch()} />
        </>
      ) : null}
    </Block>
  );
}

function hoursAgo(now: number, then: number): string {
  const h = Math.round((now - then) / 3_600_000);
  return h < 1
    ? 'within the hour'
    : h === 1
      ? 'an hour ago'
      : h < 48
        ? `${h} hours ago`
        : `${Math.round(h / 24)} days ago`;
}
