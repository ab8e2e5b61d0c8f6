import { useRouter } from 'expo-router';
import { TabList, Tabs, TabSlot, TabTrigger, type TabTriggerSlotProps } from 'expo-router/ui';
import { Pressable, View } from 'react-native';
import { Icon, space, Text, themed, useTheme, useWide, type IconName } from '@/ui';

/** The rooms in the order of the work. */
const ROOMS = [
  { name: 'plan', href: '/', label: 'Plan' },
  { name: 'read', href: '/read', label: 'Read' },
  { name: 'rig', href: '/rig', label: 'Rig' },
  { name: 'fish', href: '/fish', label: 'Fish' },
  { name: 'learn', href: '/learn', label: 'Learn' },
] as const satisfies readonly { name: IconName; href: string; label: string }[];

const useStyles = themed((t) => ({
  page: { flex: 1, backgroundColor: t.paper },
  // The slot comes first in the document; on a wide screen the rail is shown at its left all the same.
  pageWide: { flexDirection: 'row-reverse' },
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

export function TabBar() {
  const s = useStyles();
  const wide = useWide();
  return (
    <Tabs style={[s.page, wide && s.pageWide]}>
      <TabSlot style={{ flex: 1 }} />
      <TabList role="navigation" aria-label="Rooms" style={[s.bar, wide && s.rail]}>
        {ROOMS.map((r) => (
          <TabTrigger key={r.name} name={r.name} href={r.href} asChild>
            <Tab room={r} />
          </TabTrigger>
        ))}
      </TabList>
    </Tabs>
  );
}

type Room = (typeof ROOMS)[number];

function Tab({ room, isFocused, href, onPress, ...press }: TabTriggerSlotProps & { room: Room }) {
  const router = useRouter();
  const s = useStyles();
  const theme = useTheme();
  const wide = useWide();
  return (
    <Pressable
      {...press}
      // In the room already: back to its first page.
      onPress={(e) => (isFocused ? router.navigate(room.href) : onPress?.(e))}
      role="link"
      aria-label={room.label}
      aria-current={isFocused ? 'page' : undefined}
      {...{ href }}
      style={[s.tab, wide && s.tabWide]}
    >
      <View style={[s.mark, isFocused && s.markOn]} />
      <Icon name={room.name} color={isFocused ? theme.ink : theme.ink2} />
      <Text size="small" tone={isFocused ? 'ink' : 'ink2'} style={{ fontWeight: isFocused ? '700' : '500' }}>
        {room.label}
      </Text>
    </Pressable>
  );
}
