import { useRouter } from 'expo-router';
import { TabList, Tabs, TabSlot, TabTrigger, type TabTriggerSlotProps } from 'expo-router/ui';
import { themed, useWide } from '@/ui';
import { type Room, ROOMS, RoomTab, useBarStyle } from './RoomTab';

const useStyles = themed((t) => ({
  page: { flex: 1, backgroundColor: t.paper },
  // The slot comes first in the document; on a wide screen the rail is shown at its left all the same.
  pageWide: { flexDirection: 'row-reverse' },
}));

export function TabBar() {
  const s = useStyles();
  const wide = useWide();
  const bar = useBarStyle();
  return (
    <Tabs style={[s.page, wide && s.pageWide]}>
      <TabSlot style={{ flex: 1 }} />
      <TabList role="navigation" aria-label="Rooms" style={bar}>
        {ROOMS.map((r) => (
          <TabTrigger key={r.name} name={r.name} href={r.href} asChild>
            <Tab room={r} />
          </TabTrigger>
        ))}
      </TabList>
    </Tabs>
  );
}

function Tab({ room, isFocused = false, href: _href, onPress, ...press }: TabTriggerSlotProps & { room: Room }) {
  const router = useRouter();
  return (
    <RoomTab
      {...press}
      // In the room already: back to its first page.
      onPress={(e) => (isFocused ? router.navigate(room.href) : onPress?.(e))}
      room={room}
      on={isFocused}
    />
  );
}
