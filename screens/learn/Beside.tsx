import { Children, type ReactNode } from 'react';
import { View } from 'react-native';
import { Stack, useWide } from '@/ui';

/** Blocks one below the other; on a wide screen beside each other. */
export function Beside({ children }: { children: ReactNode }) {
  const wide = useWide();
  if (!wide) return children;
  return (
    <Stack row gap="xl" align="flex-start">
      {Children.map(children, (block) => (
        <View style={{ flex: 1, minWidth: 0 }}>{block}</View>
      ))}
    </Stack>
  );
}
