import { useMemo, useState } from 'react';
import { weatherAt, type WeatherHour } from '@/core/gauge/weather';
import { USUAL_WALK_MIN } from '@/core/plan/ahead';
import { SKIES_SAID, type SkySaid } from '@/core/plan/dayLength';
import { type HourOfDay, LOW_ALL_DAY_DEG } from '@/core/plan/hours';
import { temperatureRecord } from '@/core/plan/temperature';
import type { Water } from '@/store/records';
import { useSettings } from '@/store/hooks';

import { Button, Card, Choice, Fact, Hint, plainOptions, Slider, Stack, Text } from '@/ui';
import { SunArc } from '@/ui/charts';
import { clock } from '../shared/time';
import { Fold } from '../shared/Fold';
import { HoursHeld } from './HoursHeld';
import { RunsAtHour } from './RunsAtHour';
import { type DayAhead, useDayAhead } from './useDayAhead';
import { useTrip } from './useTrip';
import { WeatherSheet } from './WeatherSheet';
import { barredWords, goodWords, hoursBecause, leftOutWords, temperatureWords, tideWords } from '@/words/hours';
import { capital } from '@/words/capital';
import { format, toShown, type UnitSystem } from '@/words/units';

interface Props {
  water: Water;
  day: string;
  ahead: Pick<
    DayAhead,
    'now' | 'dayStart' | 'sun' | 'sky' | 'foretold' | 'ofDay' | 'hours' | 'good' | 'highWaters' | 'points' | 'colour'
  > & {
    readonly weather: Pick<DayAhead['weather'], 'data'>;
  };
  onSky: (sky: SkySaid) => void;
}

const HOURS = 'Which hours?';
const HALF_HOUR = 1_800_000;
/** Miles an hour in a metre a second (1609.344 m; international mile). */
const MPH = 3600 / 1609.344;
const COMPASS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;
const compass = (deg: number): string => COMPASS[Math.round((((deg % 360) + 360) % 360) / 45) % 8]!;

/** Light, water and wind through the day, and the hours to fish by the school that is at work; where the water lies nowhere yet, what
 * is missing. */
export function Light({ water, day }: Omit<Props, 'ahead' | 'onSky'>) {
  const ahead = useDayAhead(water, day);
  const [, setTrip] = useTrip(water.id, day);
  if (ahead.sun) return <Hours {...{ water, day, ahead }} onSky={(sky) => setTrip({ sky })} />;
  return (
    <Card asks={HOURS} answer="">
      <Text>Sun and hours need the place of the water. Enter it under Change water or rules.</Text>
    </Card>
  );
}

/** The hours of a day that is known. */
export function Hours({ water, day, ahead, onSky }: Props) {
  const [{ units, walkMin }] = useSettings();
  const { now, dayStart, sky, foretold, ofDay, hours: told, points, colour } = ahead;
  const weather = ahead.weather.data;
  const sun = ahead.sun!;
  const [entering, setEntering] = useState(false);
  const [slot, setSlot] = useState(() => Math.min(47, Math.max(0, Math.round((now - dayStart) / HALF_HOUR))));
  const held = useMemo(() => temperatureRecord(points, dayStart), [points, dayStart]);
  const marks = [
    ...(sun.sunrise ? [{ at: sun.sunrise, text: clock(sun.sunrise) }] : []),
    ...(sun.sunset ? [{ at: sun.sunset, text: clock(sun.sunset) }] : []),
  ];
  const windows = told.windows.map((w) => `${clock(w.fromAt)} to ${clock(w.toAt)}`).join(', ');
  const hour = told.hours[slot]!;
  const then = weatherAt(ofDay, hour.at);
  const high = told.hours.some((h) => h.light === 'high sun');
  return (
    <Card asks={HOURS} answer={windows || 'No hours to fish'}>
      <Text>{`${capital(told.school)}: ${hoursBecause(told.because, units)}.`}</Text>
      {told.leftOut.map((cut) => (
        <Text key={cut.fromAt}>{leftOutWords(cut)}</Text>
      ))}
      {ahead.highWaters.length > 0 ? <Text>{tideWords(ahead.highWaters)}</Text> : null}
      {sun.lastLight ? (
        <Text>{`Dark from ${clock(sun.lastLight)}: start back ${walkMin ?? USUAL_WALK_MIN} minutes before.`}</Text>
      ) : null}
      <SunArc
        altitude={sun.altitude}
        marks={marks}
        now={now}
        windows={told.windows}
        good={ahead.good}
        chosenAt={hour.at}
        onChoose={(at) => setSlot(Math.min(47, Math.max(0, Math.round((at - dayStart) / HALF_HOUR))))}
        temps={told.hours.flatMap((h) =>
          h.tempC === null ? [] : [{ at: h.at, value: toShown('temperature', h.tempC, units) }],
        )}
        tempText={(v) => `${Math.round(v)}°`}
        winds={ofDay.map((h) => ({ at: h.at, mps: h.windMps, fromDeg: h.windFromDeg }))}
        height={ofDay.length > 0 ? 190 : 164}
        summary={`Height of the sun: ${Math.round(sun.highestDeg)} degrees at most, at ${clock(sun.noon)}. Hours to fish: ${windows || 'none'}`}
      />
      <Text>{`${clock(hour.at)}: ${hourWords(hour, units)} ${goodWords(ahead.good[slot]!)}`}</Text>
      {weather ? null : (
        <>
          <Hint>No weather entered yet: sky, air and wind are not known.</Hint>
          <Button label="Enter or import weather" onPress={() => setEntering(true)} />
        </>
      )}
      {entering ? <WeatherSheet water={water} day={day} onClose={() => setEntering(false)} /> : null}
      <Fold title="Hour by hour" summary={`Sky: ${sky}. Sun, wind and each run at an hour`}>
        <Choice
          label={foretold && sky === foretold ? 'Sky (forecast)' : 'Sky'}
          options={plainOptions(SKIES_SAID)}
          value={sky}
          onChange={onSky}
        />
        <Slider
          label="Hour"
          value={slot}
          min={0}
          max={47}
          step={1}
          onChange={setSlot}
          format={(v) => clock(dayStart + v * HALF_HOUR)}
        />
        {then ? <Text>{weatherWords(then, units)}</Text> : null}
        <RunsAtHour waterId={water.id} hour={hour} weather={then} visibilityM={colour?.medianM} />
        {sun.allDay ? (
          <Text>{sun.allDay === 'light' ? 'The sun does not set.' : 'The sun does not rise.'}</Text>
        ) : (
          <Stack gap="xs">
            <Fact name="First light to sunrise" value={`${clock(sun.firstLight)} – ${clock(sun.sunrise)}`} />
            <Fact name="Sunset to last light" value={`${clock(sun.sunset)} – ${clock(sun.lastLight)}`} />
            <Fact name="Sun at its highest" value={`${Math.round(sun.highestDeg)}° at ${clock(sun.noon)}`} />
          </Stack>
        )}
        <HoursHeld water={water} />
        <Text size="small" tone="ink2">
          {high
            ? 'Under a high sun fish lie deep or under cover: a good time for a break.'
            : sun.highestDeg < LOW_ALL_DAY_DEG
              ? 'The sun stays low all day: soft light for as long as it lasts.'
              : ''}
          {points.some((p) => Number.isFinite(p.tempC))
            ? ` ${temperatureWords(held, weather !== undefined, units)}`
            : ''}
          {weather
            ? ` Weather of ${clock(weather.issuedAt)} (${weather.from})${weather.stale ? `, the last one received: ${weather.stale}` : ''}.`
            : ''}
        </Text>
      </Fold>
    </Card>
  );
}

/** "Low sun, 12° up in the south-west; water about 6.4 °C." */
function hourWords(h: HourOfDay, units: UnitSystem): string {
  const sun =
    h.sunDeg > 0
      ? `${capital(h.light)}, ${Math.round(h.sunDeg)}° up in the ${compass(h.azimuthDeg)}`
      : capital(h.light);
  const water = h.tempC === null ? '' : `; water about ${format('temperature', h.tempC, units)}`;
  return `${sun}${water}.${h.barred ? ` ${capital(barredWords(h.barred, units))}.` : ''}`;
}

/** Anglers tell the wind in whole metres or miles. */
const windText = (mps: number, units: UnitSystem): string =>
  units === 'metric' ? `${Math.round(mps)} m/s` : `${Math.round(mps * MPH)} mph`;

/** "Air 7.1 °C, three quarters cloud, 0.4 mm of rain; wind 5 m/s from the south-west." */
function weatherWords(w: WeatherHour, units: UnitSystem): string {
  const cloud = ['clear', 'a quarter cloud', 'half cloud', 'three quarters cloud', 'overcast'][
    Math.round(4 * w.cloud)
  ]!;
  const rain = w.rainMm >= 0.1 ? `, ${w.rainMm.toFixed(1)} mm of rain` : '';
  return `Air ${format('temperature', w.airTempC, units)}, ${cloud}${rain}; wind ${windText(w.windMps, units)} from the ${compass(w.windFromDeg)}.`;
}
