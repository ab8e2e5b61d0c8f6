import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from './Text';
import { radius, space, themed } from './theme';

const useStyles = themed((t) => ({
  card: {
    borderWidth: 1.5,
    borderColor: t.edge,
    borderRadius: radius.m,
    backgroundColor: t.card,
    padding: space.m,
    gap: space.s,
  },
}));

interface Props {
  asks: string;
  answer: string;
  /** As high at the least, px: what is still to come pushes nothing away. */
  room?: number;
  children: ReactNode;
}

/** A question, its answer in the first line, and what it rests on. */
export function Card({ asks, answer, room, children }: Props) {
  const s = useStyles();
  return (
    <View style={[s.card, { minHeight: room }]} role="region" aria-label={asks}>
      <Text size="small" tone="ink2" level={2}>
        {asks}
      </Text>
      {answer ? <Text size="title">{answer}</Text> : null}
      {children}
    </View>
  );
}
