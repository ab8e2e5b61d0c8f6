import { useMemo } from 'react';
import { type Happened, untimed } from '@/core/logbook';
import { placeOf } from '@/core/sight/place';
import { sunAt } from '@/core/sight/sun';
import type { Water } from '@/store/records';
import { useSettings } from '@/store/hooks';
import { Stack, Text } from '@/ui';
import { DayLine } from '@/ui/charts';
import { clock } from '../shared/time';
import { toShown, unitOf } from '@/words/units';

const SAMPLES = 48;

/** An outing along its hours: light, level, casts, what was changed and what took. */
export function OutingTime({ all, water }: { all: readonly Happened[]; water: Water | null | undefined }) {
  const [{ units }] = useSettings();
  const times = all.map((e) => e.at);
  const [from, to] = [Math.min(...times), Math.max(...times)];
  const sun = useMemo(() => {
    const place = placeOf(water);
    if (!place) return [];
    return Array.from({ length: SAMPLES }, (_, i) => {
      const at = from + ((to - from) * i) / SAMPLES;
      return { at, deg: sunAt(at, place.latDeg, place.lonDeg).altitudeDeg };
    });
  }, [water, from, to]);
  const of = (kind: Happened['kind']) => all.flatMap((e) => (e.kind === kind ? [e.at] : []));
  const casts = of('cast');
  const told = untimed(all);
  const takes = all.flatMap((e) => (e.kind === 'take' && !e.juvenile && !told.has(e.id) ? [e.at] : []));
  const level = all.flatMap((e) =>
    e.kind === 'reading'
      ? [{ at: e.at, value: toShown('level', e.reading.levelM, units) }]
      : e.kind === 'estimate' && e.water?.levelM != null
        ? [{ at: e.at, value: toShown('level', e.water.levelM, units) }]
        : [],
  );
  const changes = [...of('rig').slice(1), ...of('way')];
  if (to <= from) return null;
  return (
    <Stack gap="xs">
      <DayLine
        {...{ from, to, sun, level, casts, changes, takes }}
        unit={unitOf('level', units)}
        height={168}
        summary={`From ${clock(from)} to ${clock(to)}: ${casts.length} casts, ${changes.length} changes, takes at ${takes.map(clock).join(', ') || 'no time'}`}
      />
      <Text size="small" tone="ink2">
        Above the light, then the level as read; bars are casts in ten minutes, arrows changes, red takes.
        {told.size > 0 ? ' When takes of a day by hand came is not known: they are not drawn.' : ''}
      </Text>
    </Stack>
  );
}
