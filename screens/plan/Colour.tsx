import { clearsWords } from '@/core/colour/clears';
import { betterFrom, type ColourAt, judgeColour } from '@/core/colour/verdict';
import { turnoverSign } from '@/core/plan/dam';
import { capital, format, HOUR_MS, several, toShown, unitOf } from '@/core/units';
import { DIRTY_M } from '@/core/water/clarity';
import { useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { Block, Caution, Fact, Hint, Loading, Stack, Text } from '@/ui';
import { ColourBand } from '@/ui/charts';
import { addDays, clock, dayText, startOfDay } from '../shared/time';
import { useColour, useColourPast } from '../shared/useColour';
import { useSaid } from './useSaid';

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
        The gauge does not tell colour: this is a guess from its rises and your readings. Look from the bridge before
        you unpack.
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
  if (forecast.isError) return <Text>{`Nothing can be said of it: ${forecast.error.message}.`}</Text>;
  if (!all || last === null || moment === null) return <Loading what="Reading the river’s past…" room={240} />;
  if (!then)
    return day === today ? (
      <Text>The gauge has said nothing for more than two days: nothing can be said of the colour either.</Text>
    ) : (
      <Text>{`${dayText(startOfDay(day))} is too far off: colour is foretold for two days. Ask again ${dayText(startOfDay(addDays(day, -2)))}.`}</Text>
    );
  const turned = turnoverSign(water.river, gauge, water.latDeg, units);
  const driveMin = water.driveMin ?? null;
  const { verdict, words } = judgeColour(then, driveMin);
  const better = betterFrom(
    all.filter((f) => f.at >= then.at),
    driveMin,
  );
  const sight = (m: number) => format('depth', m, units);
  const lately = readings.filter((r) => r.at >= all[0]!.at);
  return (
    <Stack>
      <Text size="display">{closed ? 'Closed' : capital(verdict)}</Text>
      <Text>{closed ? `By its colour alone: ${verdict}. ${words}` : words}</Text>
      {record && record.of >= FEW && record.inside < POOR * record.of ? (
        <Caution>{`Such forecasts held ${record.inside} of ${record.of} times here, where four in five are meant: this river is not understood yet. Trust the bridge more.`}</Caution>
      ) : null}
      {turned ? <Caution>{turned}</Caution> : null}
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
        unit={`seen to, ${unitOf('depth', units)}`}
        height={160}
        summary={`Seen to ${sight(then.medianM)}, four times in five ${range(then, sight)}`}
      />
      <Stack gap="xs">
        <Fact
          name={day === today ? 'Seen to, now' : `Seen to, ${dayText(moment)} at noon`}
          value={sight(then.medianM)}
        />
        <Fact name="Four times in five" value={range(then, sight)} />
      </Stack>
      {better.length > 0 ? (
        <Text>{`${capital(better.map((b) => `${b.verdict} from ${dayText(b.at)}, ${clock(b.at)}`).join('; '))}.`}</Text>
      ) : null}
      {clears ? <Text>{clearsWords(clears, readings.length, sight)}</Text> : null}
      <Text size="small" tone="ink2">
        {`${capital(then.because)}.${water.river ? '' : ' The kind of river is not said: taken for a spate river; say it under Rules, Edit.'}`}
        {record && record.of > 0
          ? ` Asked twelve hours before each of your last ${several(record.of, 'reading')}, it would have been right ${record.inside} ${record.inside === 1 ? 'time' : 'times'}.`
          : ''}
        {kept && kept.of > 0 ? ` As it was said at the time: ${kept.inside} of ${kept.of} held.` : ''}
        {rain ? ` Rain to come is not in it. ${rain}` : ''}
      </Text>
    </Stack>
  );
}
