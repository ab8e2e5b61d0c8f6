import { Pressable, View } from 'react-native';
import type { Leg } from '@/core/plan/day';
import type { Stop } from '@/core/plan/dayAsk';
import { MINUTE_MS } from '@/core/units';
import { Icon, IconButton, radius, space, Stack, TARGET, Text, themed, useTheme } from '@/ui';
import { clock } from '../shared/time';
import { useReorder } from './useReorder';
import { legWords } from '@/words/day';
import { several } from '@/words/counting';

interface Props {
  legs: readonly Leg[];
  stops: readonly Stop[];
  onStops: (stops: readonly Stop[]) => void;
  /** What of light and wind awaits one there then; empty: not known. */
  says: (leg: Leg) => string;
}

const useStyles = themed((t) => ({
  time: { width: 56 },
  card: {
    flex: 1,
    borderWidth: 1.5,
    borderColor: t.hairline,
    borderRadius: radius.s,
    backgroundColor: t.card,
    paddingHorizontal: space.m,
    paddingVertical: space.s,
  },
  lifted: { borderColor: t.ink, opacity: 0.9, zIndex: 1 },
  handle: { width: TARGET, minHeight: TARGET, alignItems: 'center', justifyContent: 'center' },
  minutes: { flexDirection: 'row', alignItems: 'center' },
}));

/** A stop is made so much longer or shorter by a tap, minutes; and no shorter than this. */
const [STEP_MIN, LEAST_MIN] = [10, 10];

const moved = (stops: readonly Stop[], from: number, to: number): Stop[] => {
  const rest = stops.filter((_, i) => i !== from);
  return [...rest.slice(0, to), stops[from]!, ...rest.slice(to)];
};

/** The day leg by leg; runs and breaks are moved by dragging or keys, made longer or shorter, taken out. */
export function DayStops({ legs, stops, onStops, says }: Props) {
  const s = useStyles();
  const theme = useTheme();
  const reorder = useReorder(stops.length, (from, to) => onStops(moved(stops, from, to)));
  const walks = legs.filter((l) => l.stop === undefined);
  const before = (i: number) => {
    const own = legs.findIndex((l) => l.stop === i);
    const leg = legs[own - 1];
    return leg && walks.includes(leg) && leg.kind === 'walk' ? leg : null;
  };
  const [first, last] = [legs[0], legs.at(-1)];
  const walkBack = legs.find((l) => l.kind === 'walk back');
  return (
    <Stack gap="s" role="list" aria-label="The day by the clock">
      {first?.kind === 'drive' ? <Plain leg={first} /> : null}
      {stops.map((stop, i) => {
        const leg = legs.find((l) => l.stop === i);
        if (!leg) return null;
        const byY = reorder.byY(i);
        const walk = before(i);
        const set = (minutes: number) => onStops(stops.map((x, k) => (k === i ? { ...x, minutes } : x)));
        const shift = (by: -1 | 1) => onStops(moved(stops, i, Math.max(0, Math.min(stops.length - 1, i + by))));
        return (
          <View key={`${stop.kind === 'run' ? stop.runId : 'break'}-${i}`} role="listitem" {...reorder.row(i)}>
            {walk ? <Plain leg={walk} /> : null}
            <Stack row gap="xs" align="center" style={byY === null ? null : { transform: [{ translateY: byY }] }}>
              <Text style={s.time}>{clock(leg.fromAt)}</Text>
              <View style={[s.card, byY !== null && s.lifted]}>
                <Text size="strong">{legWords(leg)}</Text>
                {stop.kind === 'run' && says(leg) ? (
                  <Text size="small" tone="ink2">
                    {says(leg)}
                  </Text>
                ) : null}
                <View style={s.minutes}>
                  <IconButton
                    label={`${legWords(leg)}, ${STEP_MIN} minutes less`}
                    icon="minus"
                    onPress={() => set(Math.max(LEAST_MIN, stop.minutes - STEP_MIN))}
                  />
                  <Text size="small">{`${Math.round(stop.minutes)} min`}</Text>
                  <IconButton
                    label={`${legWords(leg)}, ${STEP_MIN} minutes more`}
                    icon="plus"
                    onPress={() => set(Math.min(600, stop.minutes + STEP_MIN))}
                  />
                  <View style={{ flex: 1 }} />
                  <IconButton
                    label={`Leave out ${legWords(leg)}`}
                    icon="close"
                    onPress={() => onStops(stops.filter((_, k) => k !== i))}
                  />
                </View>
              </View>
              <Pressable
                role="button"
                aria-label={`Move ${legWords(leg)}: ${i + 1} of ${several(stops.length, 'stop')}. Use the arrow keys, or drag`}
                style={[s.handle, { touchAction: 'none', cursor: 'grab' } as object]}
                {...({
                  onKeyDown: (e: { key: string; preventDefault: () => void }) => {
                    if (e.key !== 'ArrowUp' && e.key !== 'ArrowDown') return;
                    e.preventDefault();
                    shift(e.key === 'ArrowUp' ? -1 : 1);
                  },
                } as object)}
              >
                <View {...reorder.handle(i)} style={s.handle}>
                  <Icon name="drag" size={22} color={theme.ink} />
                </View>
              </Pressable>
            </Stack>
          </View>
        );
      })}
      {walkBack ? <Plain leg={walkBack} /> : null}
      {last?.kind === 'back' ? <Plain leg={last} /> : null}
      {last ? <Text size="strong">{`Home at ${clock(last.toAt)}`}</Text> : null}
    </Stack>
  );
}

/** A leg that follows from the others. */
function Plain({ leg }: { leg: Leg }) {
  const s = useStyles();
  return (
    <Stack row gap="xs" align="center" style={{ paddingVertical: space.xs }}>
      <Text size="small" tone="ink2" style={s.time}>
        {clock(leg.fromAt)}
      </Text>
      <Text size="small" tone="ink2">{`${legWords(leg)}, ${Math.round((leg.toAt - leg.fromAt) / MINUTE_MS)} min`}</Text>
    </Stack>
  );
}
