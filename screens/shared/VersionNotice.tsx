import { usePathname } from 'expo-router';
import { useState } from 'react';
import { Button, Notice, Stack, Text } from '@/ui';
import { useVersion } from './useVersion';

/** Offers a newer version when one has come; not while casts are counted. */
export function VersionNotice() {
  const use = useVersion();
  const [later, setLater] = useState(false);
  const fishing = usePathname() === '/fish';
  if (!use || later || fishing) return null;
  return (
    <Notice role="status">
      <Text>A new version is here. Nothing you entered is touched by it.</Text>
      <Stack row>
        <Button label="Use it now" onPress={use} />
        <Button label="Later" kind="quiet" onPress={() => setLater(true)} />
      </Stack>
    </Notice>
  );
}
