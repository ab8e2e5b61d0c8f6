import { betterFrom, type ColourAt, judgeColour } from '@/core/colour/verdict';
import { clearsAfter } from '@/core/colour/clears';
import { turnoverSign } from '@/core/plan/dam';
import { nearestTo } from '@/core/maths';
import { HOUR_MS } from '@/core/units';
import { DIRTY_M } from '@/core/water/clarity';
import { useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import { capital } from '@/words/capital';
import { clearsWords, colourBecause, judgedWords } from '@/words/colour';
import { several } from '@/words/counting';
import { turnoverWords } from '@/words/dam';
import { format, toShown, unitOf } from '@/words/units';
import { addDays, clock, dayText, startOfDay } from '../shared/time';
import { useColour, useColourPast } from '../shared/useColour';
import { useSaid } from './useSaid';
import { saidOf } from '@/words/said';

const NOON_H = 12;
/** So many forecasts make a record; with less than this share of them right it is told to be a poor one. */
const [FEW, POOR] = [6, 0.65];
/** Nobody measures further than this by eye, m. */
const FURTHEST_M = 3;

const range = ({ low80M, high80M }: ColourAt, sight: (m: number) => string): string =>
  low80M >= FURTHEST_M
    ? `more than ${sight(FURTHEST_M)}`
    : `${sight(low80M).replace(/ \D+$/, '')} to ${high80M > FURTHEST_M ? `more than ${sight(FURTHEST_M)}` : sight(high80M)}`;
/**
 * The colour to expect on a day: go, go with sinking gear, or elsewhere; with its doubt, and how such forecasts did. A day that was,
 * and a water without a gauge, have none.
 *
 * @param until the last whole hour that the gauge can know, ms UTC
 */
export function useColourAhead(water: Water, day: string, today: string, until: number) {
  const [{ units }] = useSettings();
  const {
    forecast,
    level: ahead,
    pending,
    asked,
    last,
    readings,
    rain,
    lately,
  } = useColour(day < today ? null : water, until);
  const { record, levels, clears } = useColourPast(asked);
  const level = { ahead, record: levels };
  const all = forecast.data;
  const moment = day === today ? until : startOfDay(day) + NOON_H * HOUR_MS;
  const then = all && last !== null && moment <= all.at(-1)!.at ? nearestTo(all, moment) : null;
  const kept = useSaid(water.id, then, last, readings);
  if (!water.stationId || day < today) return { has: 'nothing', level } as const;
  if (forecast.isError)
    return { has: 'a reason', level, says: `No colour forecast: ${saidOf(forecast.error)}.` } as const;
  if (pending || !all || last === null) return { has: 'to wait', level } as const;
  if (!then)
    return {
      ...{ has: 'a reason' as const, level },
      says:
        day === today
          ? 'No colour forecast: the gauge has been silent for more than two days.'
          : `${dayText(startOfDay(day))} is too far off: the colour forecast reaches two days. Look again ${dayText(startOfDay(addDays(day, -2)))}.`,
    } as const;
  const driveMin = water.driveMin ?? null;
  const judged = judgeColour(then, driveMin);
  const better = betterFrom(
    all.filter((f) => f.at >= then.at),
    driveMin,
  );
  const turned = turnoverSign(water.river, lately, water.latDeg);
  const sight = (m: number) => format('depth', m, units);
  const shown = (m: number) => toShown('depth', m, units);
  return {
    ...{ has: 'a forecast' as const, level },
    verdict: judged.verdict,
    words: judgedWords(judged),
    cautions: [
      ...(record && record.of >= FEW && record.inside < POOR * record.of
        ? [
            `Colour forecasts held only ${record.inside} of ${record.of} times here; 8 of 10 is usual. Trust your look from the bridge more.`,
          ]
        : []),
      ...(turned ? [turnoverWords(turned, units)] : []),
    ],
    /** When it will be better. */
    better:
      better.length > 0
        ? `${capital(better.map((b) => `${b.verdict} from ${dayText(b.at)}, ${clock(b.at)}`).join('; '))}.`
        : null,
    clears: clears ? clearsWords(clearsAfter(clears, readings.length), units) : null,
    when: day === today ? 'Visibility now' : `Visibility ${dayText(moment)} at noon`,
    visibility: sight(then.medianM),
    likely: range(then, sight),
    picture: {
      points: all.map((f) => ({
        ...{ at: f.at, low: shown(f.low80M), middle: shown(f.medianM), high: shown(f.high80M) },
      })),
      readings: readings
        .filter((r) => r.at >= all[0]!.at)
        .map((r) => ({ at: r.at, value: shown(r.visibilityM), atLeast: r.atLeast })),
      dirty: shown(DIRTY_M),
      now: last,
      unit: `visibility, ${unitOf('depth', units)}`,
      summary: `Visibility ${sight(then.medianM)}, likely ${range(then, sight)}`,
    },
    because: [
      `${capital(colourBecause(then.because))}.`,
      ...(water.river ? [] : ['Kind of river not entered: treated as a spate river. Enter it under Rules, Edit.']),
      ...(record && record.of > 0
        ? [
            `Tested twelve hours before each of your last ${several(record.of, 'reading')}, this forecast held ${record.inside} of ${record.of} times.`,
          ]
        : []),
      ...(kept && kept.of > 0 ? [`Of the forecasts you saw here, ${kept.inside} of ${kept.of} held.`] : []),
      ...(rain ? [`Rain to come is not counted. ${rain}`] : []),
    ].join(' '),
  } as const;
}
