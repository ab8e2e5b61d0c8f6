import type { ReactNode } from 'react';
import { ActivityIndicator, StyleSheet, View } from 'react-native';
import { Stack } from './Stack';
import { Button } from './Button';
import { Text } from './Text';
import { space, useTheme } from './theme';

/** Nothing here yet: what goes here, and how to begin. */
export function Empty({ title, children, actions }: { title: string; children: string; actions?: ReactNode }) {
  return (
    <View style={s.box}>
      <Text size="title" level={2}>
        {title}
      </Text>
      <Text tone="ink2">{children}</Text>
      {actions ? <View style={s.actions}>{actions}</View> : null}
    </View>
  );
}

interface LoadingProps {
  what: string;
  onCancel?: () => void;
  /** Height of what will come, about, px: what stands below then stays where the thumb is. */
  room?: number;
}

export function Loading({ what, onCancel, room }: LoadingProps) {
  const theme = useTheme();
  return (
    <View style={[s.row, { minHeight: room }]} role="status" aria-label={what}>
      <ActivityIndicator color={theme.ink} aria-hidden aria-label={what} />
      <Text tone="ink2">{what}</Text>
      {onCancel ? <Button label="Cancel" kind="quiet" onPress={onCancel} /> : null}
    </View>
  );
}

/** What went wrong and what to do about it. */
export function Problem({ title, children, onRetry }: { title: string; children: string; onRetry?: () => void }) {
  return (
    <View style={s.box} role="alert">
      <Text size="heading">{title}</Text>
      <Text>{children}</Text>
      {onRetry ? <Button label="Try again" onPress={onRetry} /> : null}
    </View>
  );
}

const s = StyleSheet.create({
  box: { gap: space.m, paddingVertical: space.l, alignItems: 'flex-start' },
  actions: { gap: space.s, alignSelf: 'stretch', maxWidth: 420 },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.m, paddingVertical: space.m },
});

interface WorkingProps {
  /** What is being done and how far it is. */
  what: string;
  /** What the button ends, for readers. */
  stopLabel: string;
  onStop: () => void;
}

/** A long piece of work under way, and the way to end it. */
export function Working({ what, stopLabel, onStop }: WorkingProps) {
  return (
    <Stack row gap="m" align="center">
      <Text tone="ink2" style={{ flex: 1 }} aria-live="polite">
        {what}
      </Text>
      <Button label="Stop" accessibilityLabel={stopLabel} onPress={onStop} />
    </Stack>
  );
}
