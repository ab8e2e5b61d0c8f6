import { usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { later, themed, useWide } from '@/ui';

const rail = () => import('./Rail');
const Rail = later(rail, (m) => m.Rail);

const useStyles = themed((t) => ({
  page: { flex: 1, flexDirection: 'row', backgroundColor: t.paper },
  fill: { flex: 1, minWidth: 0 },
}));

/** The rooms bring their own bar. */
const IN_A_ROOM = /^\/(read|rig|fish|learn)?(\/|$)/;

/** Every page, on a wide screen with the rooms at its side. */
export function Beside({ children }: { children: ReactNode }) {
  const s = useStyles();
  const wide = useWide();
  const path = usePathname();
  return (
    <View style={s.page}>
      {wide && !IN_A_ROOM.test(path) ? <Rail /> : null}
      <View style={s.fill}>{children}</View>
    </View>
  );
}
