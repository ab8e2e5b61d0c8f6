import { usePathname } from 'expo-router';
import { useState } from 'react';
import { useSession } from '@/store/hooks';
import { Button, Notice, Stack, Text } from '@/ui';
import { useVersion } from './useVersion';

/** Offers a newer version when one has come; on the river once the day is ended. */
export function VersionNotice() {
  const use = useVersion();
  const [later, setLater] = useState(false);
  const [session] = useSession();
  const fishing = usePathname() === '/fish' && session?.outingId !== null;
  if (!use || later || fishing) return null;
  return (
    <Notice role="status">
      <Text>New version ready. Your data stays as it is.</Text>
      <Stack row>
        <Button label="Update now" onPress={use} />
        <Button label="Later" kind="quiet" onPress={() => setLater(true)} />
      </Stack>
    </Notice>
  );
}
