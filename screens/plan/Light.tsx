import { useMemo, useState } from 'react';
import { dayHours, type HourOfDay, type HoursAsk, temperatureCourse } from '@/core/answer/hours';
import type { GaugePoint } from '@/core/gauge';
import { sunDay } from '@/core/sight';
import { capital, format, type UnitSystem } from '@/core/units';
import type { Water } from '@/store/records';
import { useSettings } from '@/store/hooks';

import { Block, Choice, Fact, Slider, Stack, Text } from '@/ui';
import { SunArc } from '@/ui/charts';
import { clock } from '../shared/time';

interface Props {
  water: Pick<Water, 'latDeg' | 'lonDeg' | 'rules'>;
  dayStart: number;
  now: number;
  /** The gauge's last days, for how the water warms and cools. */
  points?: readonly GaugePoint[];
}

const HALF_HOUR = 1_800_000;
/** Where nobody set it, minutes. */
const USUAL_WALK_MIN = 10;
const SKIES = [
  { value: 'not said', label: 'not said' },
  { value: 'bright', label: 'bright' },
  { value: 'cloud', label: 'cloud' },
] as const;
const COMPASS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;
const compass = (deg: number): string => COMPASS[Math.round((((deg % 360) + 360) % 360) / 45) % 8]!;

/** Light and water through the day, and the hours to fish by the school that is at work. */
export function Light({ water, dayStart, now, points }: Props) {
  const [{ units, schools, walkMin }] = useSettings();
  const { latDeg, lonDeg, rules } = water;
  const sun = useMemo(() => sunDay(dayStart, latDeg, lonDeg), [dayStart, latDeg, lonDeg]);
  const [sky, setSky] = useState<(typeof SKIES)[number]['value']>('not said');
  const [slot, setSlot] = useState(() => Math.min(47, Math.max(0, Math.round((now - dayStart) / HALF_HOUR))));
  const chosen = schools?.hours;
  const tempAt = useMemo(() => temperatureCourse(points ?? []), [points]);
  const day = useMemo(() => {
    const ask: HoursAsk = { dayStart, sun, latDeg, lonDeg, tempAt, sky: sky === 'not said' ? null : sky, rules };
    return dayHours(chosen ? { ...ask, chosen } : ask);
  }, [dayStart, sun, latDeg, lonDeg, tempAt, sky, rules, chosen]);
  const marks = [
    ...(sun.sunrise ? [{ at: sun.sunrise, text: clock(sun.sunrise) }] : []),
    ...(sun.sunset ? [{ at: sun.sunset, text: clock(sun.sunset) }] : []),
  ];
  const windows = day.windows.map((w) => `${clock(w.fromAt)} to ${clock(w.toAt)}`).join(', ');
  const hour = day.hours[slot]!;
  const high = day.hours.some((h) => h.light === 'high sun');
  return (
    <Block title="The hours">
      <Text size="title">{windows || 'No hour to fish'}</Text>
      <Text>{`${capital(day.school)}: ${day.because}.`}</Text>
      <Choice label="The sky" options={SKIES} value={sky} onChange={setSky} />
      <SunArc
        altitude={sun.altitude}
        marks={marks}
        now={now}
        windows={day.windows}
        chosenAt={hour.at}
        height={140}
        summary={`Height of the sun: ${Math.round(sun.highestDeg)} degrees at most, at ${clock(sun.noon)}. Hours to fish: ${windows || 'none'}`}
      />
      <Slider
        label="Hour by hour"
        value={slot}
        min={0}
        max={47}
        step={1}
        onChange={setSlot}
        format={(v) => clock(dayStart + v * HALF_HOUR)}
      />
      <Text>{hourWords(hour, units)}</Text>
      {sun.allDay ? (
        <Text>{sun.allDay === 'light' ? 'The sun does not set.' : 'The sun does not rise.'}</Text>
      ) : (
        <Stack gap="xs">
          <Fact name="First light to sunrise" value={`${clock(sun.firstLight)} – ${clock(sun.sunrise)}`} />
          <Fact name="Sunset to last light" value={`${clock(sun.sunset)} – ${clock(sun.lastLight)}`} />
          <Fact name="Sun at its highest" value={`${Math.round(sun.highestDeg)}° at ${clock(sun.noon)}`} />
        </Stack>
      )}
      <Text size="small" tone="ink2">
        {high
          ? 'Under a high sun fish lie deep or under cover: plan a break then rather than a slog.'
          : 'The sun stays low all day: soft light for as long as it lasts.'}
        {sun.lastLight
          ? ` Dark from ${clock(sun.lastLight)}: be on your way ${walkMin ?? USUAL_WALK_MIN} minutes before.`
          : ''}
        {tempAt ? ' Water temperatures follow the last days at the gauge, and may be a degree or two off.' : ''}
      </Text>
    </Block>
  );
}

/** "Low sun, 12° up in the south-west; water about 6.4 °C." */
function hourWords(h: HourOfDay, units: UnitSystem): string {
  const sun =
    h.sunDeg > 0
      ? `${capital(h.light)}, ${Math.round(h.sunDeg)}° up in the ${compass(h.azimuthDeg)}`
      : capital(h.light);
  const water = h.tempC === null ? '' : `; water about ${format('temperature', h.tempC, units)}`;
  return `${sun}${water}.${h.barred ? ` ${capital(h.barred)}.` : ''}`;
}
