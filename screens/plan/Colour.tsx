import { clearsAfter } from '@/core/colour/clears';
import { betterFrom, type ColourAt, judgeColour } from '@/core/colour/verdict';
import { turnoverSign } from '@/core/plan/dam';
import { HOUR_MS } from '@/core/units';
import { DIRTY_M } from '@/core/water/clarity';
import { useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { Block, Caution, Fact, Hint, Loading, Stack, Text } from '@/ui';
import { ColourBand } from '@/ui/charts';
import { addDays, clock, dayText, startOfDay } from '../shared/time';
import { useColour, useColourPast } from '../shared/useColour';
import { useSaid } from './useSaid';
import { clearsWords, colourBecause, judgedWords } from '@/words/colour';
import { turnoverWords } from '@/words/plan';
import { capital } from '@/words/capital';
import { format, toShown, unitOf } from '@/words/units';
import { several } from '@/words/counting';
import { HowThisWorks } from '../shared/HowThisWorks';

const NOON_H = 12;
/** So many forecasts make a record; with less than this share of them right it is told to be a poor one. */
const [FEW, POOR] = [6, 0.65];

interface Props {
  water: Water;
  /** The day that is planned, YYYY-MM-DD, and today. */
  day: string;
  today: string;
  /** The last whole hour that the gauge can know. */
  until: number;
  /** The water is closed that day: whatever its colour, nobody goes. */
  closed: boolean;
}

/** The colour to expect: go, go with sinking gear, or elsewhere; with its doubt, and how such forecasts did. */
export function Colour(props: Props) {
  const { water, day, today } = props;
  if (!water.stationId || day < today) return null;
  return (
    <Block title="Colour">
      <Forecast {...props} />
      <Hint>
        A forecast from the gauge and your past readings, not a measurement. Look from the bridge before you unpack.
      </Hint>
    </Block>
  );
}

/** The moment of a day that is judged: now, or the noon of a day to come. */
const momentOf = (day: string, today: string, until: number): number =>
  day === today ? until : startOfDay(day) + NOON_H * HOUR_MS;

/** Nobody measures further than this by eye, m. */
const FURTHEST_M = 3;
const range = ({ low80M, high80M }: ColourAt, sight: (m: number) => string): string =>
  low80M >= FURTHEST_M
    ? `more than ${sight(FURTHEST_M)}`
    : `${sight(low80M).replace(/ \D+$/, '')} to ${high80M > FURTHEST_M ? `more than ${sight(FURTHEST_M)}` : sight(high80M)}`;

const nearest = (list: readonly ColourAt[], at: number): ColourAt =>
  list.reduce((a, b) => (Math.abs(b.at - at) < Math.abs(a.at - at) ? b : a));

function Forecast({ water, day, today, until, closed }: Props) {
  const [{ units }] = useSettings();
  const { forecast, asked, last, readings, rain, lately: gauge } = useColour(water, until);
  const { record, clears } = useColourPast(asked);
  const all = forecast.data;
  const moment = last === null ? null : momentOf(day, today, until);
  const then = all && moment !== null && moment <= all.at(-1)!.at ? nearest(all, moment) : null;
  const kept = useSaid(water.id, then, last, readings);
  if (forecast.isError) return <Text>{`No colour forecast: ${forecast.error.message}.`}</Text>;
  if (!all || last === null || moment === null) return <Loading what="Reading the river’s past…" room={240} />;
  if (!then)
    return day === today ? (
      <Text>No colour forecast: the gauge has been silent for more than two days.</Text>
    ) : (
      <Text>{`${dayText(startOfDay(day))} is too far off: the colour forecast reaches two days. Look again ${dayText(startOfDay(addDays(day, -2)))}.`}</Text>
    );
  const turned = turnoverSign(water.river, gauge, water.latDeg);
  const driveMin = water.driveMin ?? null;
  const judged = judgeColour(then, driveMin);
  const { verdict } = judged;
  const words = judgedWords(judged);
  const better = betterFrom(
    all.filter((f) => f.at >= then.at),
    driveMin,
  );
  const sight = (m: number) => format('depth', m, units);
  const lately = readings.filter((r) => r.at >= all[0]!.at);
  return (
    <Stack>
      <Text size="display">{closed ? 'Closed' : capital(verdict)}</Text>
      <Text>{closed ? `By colour alone: ${verdict}. ${words}` : words}</Text>
      {record && record.of >= FEW && record.inside < POOR * record.of ? (
        <Caution>{`Colour forecasts held only ${record.inside} of ${record.of} times here; 8 of 10 is usual. Trust your look from the bridge more.`}</Caution>
      ) : null}
      {turned ? <Caution>{turnoverWords(turned, units)}</Caution> : null}
      <ColourBand
        points={all.map((f) => ({
          at: f.at,
          low: toShown('depth', f.low80M, units),
          middle: toShown('depth', f.medianM, units),
          high: toShown('depth', f.high80M, units),
        }))}
        readings={lately.map((r) => ({ at: r.at, value: toShown('depth', r.visibilityM, units), atLeast: r.atLeast }))}
        dirty={toShown('depth', DIRTY_M, units)}
        now={last}
        unit={`visibility, ${unitOf('depth', units)}`}
        height={160}
        summary={`Visibility ${sight(then.medianM)}, likely ${range(then, sight)}`}
      />
      <Stack gap="xs">
        <Fact
          name={day === today ? 'Visibility now' : `Visibility ${dayText(moment)} at noon`}
          value={sight(then.medianM)}
        />
        <Fact name="Likely (4 times in 5)" value={range(then, sight)} />
      </Stack>
      {better.length > 0 ? (
        <Text>{`${capital(better.map((b) => `${b.verdict} from ${dayText(b.at)}, ${clock(b.at)}`).join('; '))}.`}</Text>
      ) : null}
      {clears ? <Text>{clearsWords(clearsAfter(clears, readings.length), units)}</Text> : null}
      <Text size="small" tone="ink2">
        {`${capital(colourBecause(then.because))}.${water.river ? '' : ' Kind of river not entered: treated as a spate river. Enter it under Rules, Edit.'}`}
        {record && record.of > 0
          ? ` Tested twelve hours before each of your last ${several(record.of, 'reading')}, this forecast held ${record.inside} of ${record.of} times.`
          : ''}
        {kept && kept.of > 0 ? ` Of the forecasts you saw here, ${kept.inside} of ${kept.of} held.` : ''}
        {rain ? ` Rain to come is not counted. ${rain}` : ''}
      </Text>
      <HowThisWorks page="colour" />
    </Stack>
  );
}
