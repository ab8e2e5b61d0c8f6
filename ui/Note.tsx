import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Icon } from './Icon';
import { Text } from './Text';
import { radius, space, themed, useTheme } from './theme';

const useStyles = themed((t) => ({
  hint: { borderLeftWidth: 3, borderLeftColor: t.ink, paddingLeft: space.m, paddingVertical: space.xs },
  caution: {
    flexDirection: 'row',
    gap: space.m,
    backgroundColor: t.cautionGround,
    borderColor: t.cautionLine,
    borderWidth: 1.5,
    borderRadius: radius.m,
    padding: space.m,
  },
  text: { flex: 1 },
  notice: {
    margin: space.s,
    backgroundColor: t.card,
    borderColor: t.ink,
    borderWidth: 2,
    borderRadius: radius.m,
    padding: space.m,
    gap: space.s,
  },
}));

/** Something about the program itself, above whatever screen one is on: it covers nothing. */
export function Notice({ children, role }: { children: ReactNode; role: 'alert' | 'status' }) {
  const s = useStyles();
  return (
    <View style={s.notice} role={role}>
      {children}
    </View>
  );
}

/** Something worth knowing: paper with an ink line. */
export function Hint({ children }: { children: string }) {
  const s = useStyles();
  return (
    <View style={s.hint}>
      <Text>{children}</Text>
    </View>
  );
}

/** Danger to people or fish, and nothing else, is amber. */
export function Caution({ children, strong = false }: { children: string; strong?: boolean }) {
  const s = useStyles();
  const theme = useTheme();
  return (
    <View role="note" aria-label={`Caution: ${children}`} style={s.caution}>
      <Icon name="caution" color={theme.cautionText} />
      <Text tone="cautionText" size={strong ? 'strong' : 'body'} style={s.text}>
        {children}
      </Text>
    </View>
  );
}
