import type { UseQueryResult } from '@tanstack/react-query';
import { useRef } from 'react';
import { View } from 'react-native';
import { checkSeason } from '@/core/rules';
import { DAY_MS } from '@/core/units';
import type { GaugeReport } from '@/store/gauge';
import type { Water } from '@/store/records';
import { Button, Card, Caution, Fact, Hint, Loading, Problem, Stack, Text } from '@/ui';
import { ColourBand, Hydrograph } from '@/ui/charts';
import { capital } from '@/words/capital';
import { Fold } from '../shared/Fold';
import { HowThisWorks } from '../shared/HowThisWorks';
import { PictureActions } from '../shared/Picture';
import { RIVER_PX } from './rooms';
import { useColourAhead } from './useColourAhead';
import { useLevel } from './useLevel';
import { saidOf } from '@/words/said';

interface Props {
  water: Water;
  gauge: UseQueryResult<GaugeReport | null>;
  direction: 'rising' | 'falling' | 'steady';
  /** The day that is planned, YYYY-MM-DD, and today. */
  day: string;
  today: string;
  /** The last whole hour that the gauge can know, ms UTC. */
  until: number;
}

/** Days before now that the picture of level and colour shows. */
const PAST_DAYS = 4;
const [LEVEL_PX, COLOUR_PX, ALONE_PX] = [100, 130, 150];
/** Room of what is not there yet, px. */
const [WAITING_PX, COLOUR_WAITS_PX] = [300, 320];

/** Whether to go: the colour to expect, and how the river stands and stood, in one picture. */
export function Going({ water, gauge, direction, day, today, until }: Props) {
  const curve = useRef<View>(null);
  const colour = useColourAhead(water, day, today, until);
  const { ahead, record } = colour.level;
  const level = useLevel(water, gauge, { until, day, today, ahead, record });
  /** Whatever its colour, nobody goes. */
  const closed = checkSeason(water.rules, day.slice(5)).length > 0;
  const asks = day < today ? 'How the river stood' : 'Go?';
  const forecast = colour.has === 'a forecast' ? colour : null;
  const answer = closed ? 'Closed' : forecast ? capital(forecast.verdict) : '';
  if (!water.stationId)
    return (
      <Card asks={asks} answer={closed ? answer : 'Look from the bridge'}>
        <Text>No gauge is set for this water. Enter the level when you take a reading.</Text>
      </Card>
    );
  const span = forecast && ([until - PAST_DAYS * DAY_MS, forecast.picture.points.at(-1)!.at] as const);
  return (
    <Card asks={asks} answer={answer} {...((forecast || colour.has === 'to wait') && { room: RIVER_PX })}>
      {forecast ? (
        <Text>{closed ? `By colour alone: ${forecast.verdict}. ${forecast.words}` : forecast.words}</Text>
      ) : colour.has === 'a reason' ? (
        <Text>{colour.says}</Text>
      ) : null}
      {forecast?.cautions.map((c) => (
        <Caution key={c}>{c}</Caution>
      ))}
      {level ? (
        <>
          <Stack row wrap gap="m" align="baseline">
            <Text size="title">{level.now}</Text>
            <Text size="strong">{direction}</Text>
            {level.beside.map((b) => (
              <Text key={b}>{b}</Text>
            ))}
          </Stack>
          {level.doubts ? <Caution>{level.doubts}</Caution> : null}
          {level.stale ? (
            <>
              <Hint>{level.stale}</Hint>
              <Button label="Try again" onPress={() => void gauge.refetch()} />
            </>
          ) : null}
          <Hydrograph
            points={level.points}
            ahead={level.ahead}
            unit={level.unit}
            now={level.lastAt}
            height={span ? LEVEL_PX : ALONE_PX}
            {...(span && { span })}
            summary={`${level.what} over the last days, now ${level.now} and ${direction}${level.then ? `. ${level.then.when}: ${level.then.value}` : ''}`}
          />
        </>
      ) : gauge.isError ? (
        <Problem title="No level" onRetry={() => void gauge.refetch()}>
          {saidOf(gauge.error)}
        </Problem>
      ) : (
        <Loading what="Asking the station…" room={WAITING_PX} />
      )}
      {forecast ? (
        <View ref={curve}>
          <ColourBand {...forecast.picture} {...(span && { span })} height={COLOUR_PX} />
        </View>
      ) : null}
      {level?.then ? (
        <>
          <Fact name={level.then.when} value={level.then.value} />
          <Fact name="Likely level (4 times in 5)" value={level.then.likely} />
        </>
      ) : null}
      {forecast ? (
        <>
          <Fact name={forecast.when} value={forecast.visibility} />
          <Fact name="Likely (4 times in 5)" value={forecast.likely} />
          {forecast.better ? <Text>{forecast.better}</Text> : null}
        </>
      ) : colour.has === 'to wait' && level ? (
        <Loading what="Reading the river’s past…" room={COLOUR_WAITS_PX} />
      ) : null}
      {level || forecast ? (
        <Fold
          title="What this rests on"
          summary={forecast ? 'The gauge, your readings, and how such forecasts held' : 'The gauge'}
        >
          {forecast?.clears ? <Text>{forecast.clears}</Text> : null}
          <Text size="small" tone="ink2">
            {[level?.source, forecast?.because].filter(Boolean).join(' ')}
          </Text>
          {forecast ? (
            <>
              <Hint>
                A forecast from the gauge and your past readings, not a measurement. Look from the bridge before you
                unpack.
              </Hint>
              <HowThisWorks page="colour" />
              <PictureActions frame={curve} {...curveOf(forecast)} />
            </>
          ) : null}
        </Fold>
      ) : null}
    </Card>
  );
}

type Forecast = Extract<ReturnType<typeof useColourAhead>, { has: 'a forecast' }>;
/** How the river clears, with what was read of it, to be saved. */
const curveOf = ({ picture: { points, readings, unit, summary }, words, when, visibility, likely }: Forecast) => ({
  name: 'wanderung-visibility',
  page: () => ({
    title: capital(unit),
    lines: [`${when}: ${visibility}, likely ${likely}.`, words],
    after: [summary],
  }),
  csv: (): readonly [string[], object[]] => [
    ['time', unit, 'low', 'high', 'read', 'at least'],
    [
      ...points.map((p) => ({ time: iso(p.at), [unit]: p.middle, low: p.low, high: p.high })),
      ...readings.map((r) => ({ time: iso(r.at), read: r.value, 'at least': r.atLeast })),
    ],
  ],
});
const iso = (at: number): string => new Date(at).toISOString();
