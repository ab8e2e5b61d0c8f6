import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useSettings } from '@/store/hooks';
import { Block, Sheet, Stack, Text, useWide } from '@/ui';
import { KEYS } from '@/words/keys';
import { useShortcuts } from './useShortcuts';

/** On a wide screen: digits lead to the rooms, and a question mark to the list of keys. Off where single keys are. */
export function Keys() {
  const router = useRouter();
  const wide = useWide();
  const [{ keys }] = useSettings();
  const [open, setOpen] = useState(false);
  useShortcuts(wide && keys !== false && !open, {
    '?': () => setOpen(true),
    1: () => router.navigate('/'),
    2: () => router.navigate('/read'),
    3: () => router.navigate('/rig'),
    4: () => router.navigate('/fish'),
    5: () => router.navigate('/learn'),
  });
  if (!open) return null;
  return (
    <Sheet title="Keys" open onClose={() => setOpen(false)}>
      {KEYS.map((group) => (
        <Block key={group.title} title={group.title}>
          <Stack role="list">
            {group.keys.map(([key, does]) => (
              <View key={key} role="listitem" style={{ flexDirection: 'row' }}>
                <Text size="strong" style={{ width: 170 }}>
                  {key}
                </Text>
                <Text style={{ flex: 1 }}>{does}</Text>
              </View>
            ))}
          </Stack>
        </Block>
      ))}
      <Text size="small" tone="ink2">
        Settings turn single keys off.
      </Text>
    </Sheet>
  );
}
