import { useMemo } from 'react';
import { sunDay } from '@/core/sight';
import type { Water } from '@/store/records';

import { Block, Fact, Stack, Text } from '@/ui';
import { SunArc } from '@/ui/charts';
import { clock } from '../shared/time';

/** Above this the sun is high: fish lie deep or under cover (common practice, no source). */
const HIGH_SUN_DEG = 35;

/** Sunrise, sunset, twilights and the height of the sun through the day. */
export function Light({ water, dayStart, now }: { water: Water; dayStart: number; now: number }) {
  const sun = useMemo(() => sunDay(dayStart, water.latDeg, water.lonDeg), [dayStart, water.latDeg, water.lonDeg]);
  const high = sun.altitude.filter((a) => a.deg > HIGH_SUN_DEG);
  const marks = [
    ...(sun.sunrise ? [{ at: sun.sunrise, text: clock(sun.sunrise) }] : []),
    ...(sun.sunset ? [{ at: sun.sunset, text: clock(sun.sunset) }] : []),
  ];
  return (
    <Block title="Light">
      <SunArc
        altitude={sun.altitude}
        marks={marks}
        now={now}
        height={130}
        summary={`Height of the sun: ${Math.round(sun.highestDeg)} degrees at most, at ${clock(sun.noon)}`}
      />
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
        {high.length > 0
          ? `High sun from ${clock(high[0]!.at)} to ${clock(high[high.length - 1]!.at)}: fish lie deep or under cover then.`
          : 'The sun stays low all day: soft light for as long as it lasts.'}
      </Text>
    </Block>
  );
}
