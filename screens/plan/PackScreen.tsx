import { Pressable, View } from 'react-native';
import type { PackItem } from '@/core/plan/packing';
import { useSettings } from '@/store/hooks';
import type { Water } from '@/store/records';
import {
  Block,
  Button,
  Caution,
  Icon,
  Loading,
  radius,
  space,
  Stack,
  TARGET,
  Text,
  themed,
  useTheme,
  useWide,
} from '@/ui';
import { PlannedWater } from './PlannedWater';
import { useDayAhead } from './useDayAhead';
import { usePacking } from './usePacking';
import { useTrip } from './useTrip';
import { colourBecause } from '@/words/colour';
import { GROUP_NAMES, isGrave, missingWords, packWhat, packWhy } from '@/words/packing';

/** What to pack for the day on the water that is chosen. */
export const PackScreen = () => (
  <PlannedWater title="What to pack">
    {(water, day) => <List key={`${water.id}${day}`} water={water} day={day} />}
  </PlannedWater>
);

const useStyles = themed((t) => ({
  row: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: 56, paddingVertical: space.xs },
  box: {
    width: 30,
    height: 30,
    borderRadius: radius.s,
    borderWidth: 2,
    borderColor: t.ink,
    alignItems: 'center',
    justifyContent: 'center',
  },
  ticked: { backgroundColor: t.ink },
  text: { flex: 1, minWidth: 0, minHeight: TARGET, justifyContent: 'center' },
}));

const COLUMN = { flexGrow: 1, flexBasis: 380, maxWidth: 600 } as const;

function List({ water, day }: { water: Water; day: string }) {
  const wide = useWide();
  const [{ units }] = useSettings();
  const ahead = useDayAhead(water, day);
  const { colour } = ahead;
  const [trip, setTrip] = useTrip(water.id, day);
  const packing = usePacking(water, ahead);
  if (!trip || !packing) return <Loading what="Opening the day…" />;
  const ticked = new Set(trip.packed);
  const all = packing.groups.flatMap((g) => g.items);
  const left = all.filter((i) => !ticked.has(i.id)).length;
  const tick = (id: string) =>
    setTrip({ packed: ticked.has(id) ? trip.packed.filter((x) => x !== id) : [...trip.packed, id] });
  return (
    <Stack gap="l">
      <Text size="title">{left === 0 ? 'All packed' : `${left} of ${all.length} left to pack`}</Text>
      <Text size="small" tone="ink2">
        {colour
          ? `For the colour in the forecast: ${colourBecause(colour.because)}.`
          : 'No colour forecast for that day: packed for clear and for dirty water.'}
      </Text>
      {packing.missing.map((m) => (
        <Caution key={missingWords(m, units)} strong={isGrave(m)}>
          {missingWords(m, units)}
        </Caution>
      ))}
      <Stack gap="l" row={wide} wrap={wide} align={wide ? 'flex-start' : undefined}>
        {packing.groups.map((g) => (
          <View key={g.name} style={wide ? COLUMN : null}>
            <Block title={GROUP_NAMES[g.name]}>
              {g.items.map((item) => (
                <Row key={item.id} item={item} ticked={ticked.has(item.id)} onPress={() => tick(item.id)} />
              ))}
            </Block>
          </View>
        ))}
      </Stack>
      {trip.packed.length > 0 ? (
        <Button label="Untick all" icon="undo" onPress={() => setTrip({ packed: [] })} />
      ) : null}
      <Button label="Print the list" onPress={() => window.print()} />
    </Stack>
  );
}

function Row({ item, ticked, onPress }: { item: PackItem; ticked: boolean; onPress: () => void }) {
  const s = useStyles();
  const theme = useTheme();
  const [{ units }] = useSettings();
  const [what, why] = [packWhat(item), packWhy(item, units)];
  return (
    <Pressable role="checkbox" aria-checked={ticked} aria-label={`${what}: ${why}`} onPress={onPress} style={s.row}>
      <View style={[s.box, ticked && s.ticked]}>
        {ticked ? <Icon name="check" size={20} color={theme.onInk} /> : null}
      </View>
      <View style={s.text}>
        <Text size="strong">{what}</Text>
        <Text size="small" tone="ink2">
          {why}
        </Text>
      </View>
    </Pressable>
  );
}
