import { Pressable, type PressableProps, View } from 'react-native';
import { Icon, type IconName, space, Text, themed, useTheme, useWide } from '@/ui';

/** The rooms in the order of the work. */
export const ROOMS = [
  { name: 'plan', href: '/', label: 'Plan' },
  { name: 'read', href: '/read', label: 'Read' },
  { name: 'rig', href: '/rig', label: 'Rig' },
  { name: 'fish', href: '/fish', label: 'Fish' },
  { name: 'learn', href: '/learn', label: 'Learn' },
] as const satisfies readonly { name: IconName; href: string; label: string }[];
export type Room = (typeof ROOMS)[number];

const useStyles = themed((t) => ({
  bar: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    backgroundColor: t.card,
    borderTopWidth: 1,
    borderTopColor: t.hairline,
    paddingHorizontal: space.xs,
  },
  rail: {
    flexDirection: 'column',
    justifyContent: 'flex-start',
    gap: space.s,
    width: 92,
    paddingTop: space.xl,
    paddingHorizontal: 0,
    borderTopWidth: 0,
    borderRightWidth: 1,
    borderRightColor: t.hairline,
  },
  tab: { flex: 1, minHeight: 60, alignItems: 'center', justifyContent: 'center', gap: 2, paddingTop: 4 },
  tabWide: { flex: 0, flexBasis: 'auto', minHeight: 68 },
  mark: { height: 4, width: 36, borderRadius: 2, backgroundColor: 'transparent' },
  markOn: { backgroundColor: t.ink },
}));

/** A bar at the thumb; on a wide screen a rail at the side. */
export function useBarStyle() {
  const s = useStyles();
  const wide = useWide();
  return [s.bar, wide && s.rail];
}

interface Props extends PressableProps {
  room: Room;
  /** One is in it. */
  on: boolean;
}

/** The way to a room. */
export function RoomTab({ room, on, ...press }: Props) {
  const s = useStyles();
  const theme = useTheme();
  const wide = useWide();
  return (
    <Pressable
      {...press}
      role="link"
      aria-label={room.label}
      aria-current={on ? 'page' : undefined}
      {...{ href: room.href }}
      style={[s.tab, wide && s.tabWide]}
    >
      <View style={[s.mark, on && s.markOn]} />
      <Icon name={room.name} color={on ? theme.ink : theme.ink2} />
      <Text size="small" tone={on ? 'ink' : 'ink2'} style={{ fontWeight: on ? '700' : '500' }}>
        {room.label}
      </Text>
    </Pressable>
  );
}
