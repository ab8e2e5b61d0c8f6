import type { HourOfDay } from '@/core/plan/hours';
import { shoulderFor } from '@/core/cast/wind';
import type { WeatherHour } from '@/core/gauge';
import { lyingOf, OVERCAST } from '@/core/plan/suits';
import { windOnRun } from '@/core/plan/wind';
import { lightAtBed, runLight } from '@/core/sight/runLight';
import { type Run, TYPICAL_DAY } from '@/core/water';
import { useRecords } from '@/store/hooks';
import { Stack, Text } from '@/ui';

interface Props {
  waterId: string;
  hour: HourOfDay;
  weather: WeatherHour | undefined;
  visibilityM: number | undefined;
}

const inTenths = (share: number): string => (share >= 0.95 ? 'all' : `${Math.round(share * 10)} tenths`);
const depthOf = (run: Run): number => {
  const depths = run.sections.flatMap((s) => s.points.map((p) => p.depthM).filter((d) => d > 0.1));
  return depths.reduce((sum, d) => sum + d, 0) / Math.max(1, depths.length);
};

/** Shade, glare, light at the bed and wind on each run of a water at an hour. */
export function RunsAtHour({ waterId, hour, weather, visibilityM = TYPICAL_DAY.visibilityM }: Props) {
  const { data: runs } = useRecords('run');
  const own = (runs ?? []).filter((r) => r.waterId === waterId);
  if (own.length === 0) return null;
  return (
    <Stack gap="xs" role="group" aria-label="Runs at that hour">
      <Text size="small" tone="ink2">
        Runs at that hour
      </Text>
      {own.map((run) => (
        <Text key={run.id}>{`${run.name}: ${runAtHour(run, hour, weather, visibilityM)}.`}</Text>
      ))}
    </Stack>
  );
}

/** Light and wind on a run at an hour. @example runAtHour(run, hour, weather, 1.2) // 'in the sun; light wind from behind' */
export function runAtHour(
  run: Run,
  hour: HourOfDay,
  weather: WeatherHour | undefined,
  visibilityM: number = TYPICAL_DAY.visibilityM,
): string {
  const lying = lyingOf(run);
  const parts: string[] = [];
  if (hour.sunDeg > 0 && (weather?.cloud ?? 0) >= OVERCAST) parts.push('soft light under cloud');
  else if (hour.sunDeg > 0) {
    const { shade, shadeFrom, glare } = runLight(lying, { altitudeDeg: hour.sunDeg, azimuthDeg: hour.azimuthDeg });
    parts.push(shadeFrom === null ? 'in the sun' : `${inTenths(shade)} in the shade of the ${shadeFrom} trees`);
    if (glare) parts.push('glare');
    if (shade < 0.5)
      parts.push(`${Math.round(100 * lightAtBed(hour.sunDeg, depthOf(run), visibilityM))} % of the sun at the bed`);
  }
  if (weather) {
    const { wind, sheltered } = windOnRun(lying, weather);
    const shoulder = wind.force === 'light' ? null : shoulderFor(wind, run.bank);
    parts.push(
      `${wind.force} wind ${wind.from === 'behind' ? 'from behind' : wind.from === 'across' ? 'from across' : `from ${wind.from}`}${sheltered ? ', broken by the trees' : ''}${shoulder ? `: cast over the ${shoulder} shoulder` : ''}`,
    );
  }
  return parts.join('; ') || 'dark';
}
