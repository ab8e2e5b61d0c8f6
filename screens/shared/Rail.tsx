import { usePathname, useRouter } from 'expo-router';
import { View } from 'react-native';
import { ROOMS, RoomTab, useBarStyle } from './RoomTab';

/** Pages beside the rooms, by the first part of their address, with the room that they are part of. */
const BESIDE: Readonly<Record<string, (typeof ROOMS)[number]['name']>> = {
  bag: 'plan',
  day: 'plan',
  pack: 'plan',
  water: 'plan',
  waters: 'plan',
  moves: 'rig',
  'rig-card': 'rig',
};

/** The rooms, at the side of a page that lies in none of them. */
export function Rail() {
  const router = useRouter();
  const [, part = ''] = usePathname().split('/');
  const bar = useBarStyle();
  return (
    <View role="navigation" aria-label="Rooms" style={bar}>
      {ROOMS.map((room) => (
        <RoomTab
          key={room.name}
          room={room}
          on={BESIDE[part] === room.name}
          onPress={() => router.navigate(room.href)}
        />
      ))}
    </View>
  );
}
