import { usePathname } from 'expo-router';
import { useState } from 'react';
import { useRecords } from '@/store/hooks';
import { Button, Notice, Stack, Text } from '@/ui';
import { isSaid, once } from './once';
import { useInstall } from './useInstall';

const SAID = 'wanderung-install';
/** Nobody wants it on the home screen before it has been of use. */
const AFTER_OUTINGS = 2;

/** Offers the home screen, once, under Learn, after the second outing. */
export function InstallNotice() {
  const install = useInstall();
  const learn = usePathname() === '/learn';
  const [said, setSaid] = useState(() => isSaid(SAID));
  if (!install || !learn || said) return null;
  const done = () => {
    once(SAID);
    setSaid(true);
  };
  return <Offer onInstall={() => (done(), install())} onLater={done} />;
}

function Offer({ onInstall, onLater }: { onInstall: () => void; onLater: () => void }) {
  const { data: outings } = useRecords('outing');
  if ((outings?.filter((o) => o.endedAt !== null).length ?? 0) < AFTER_OUTINGS) return null;
  return (
    <Notice role="status">
      <Text>Add Wanderung to your home screen? It opens like an app, offline too.</Text>
      <Stack row>
        <Button label="Add to home screen" onPress={onInstall} />
        <Button label="No, thanks" kind="quiet" onPress={onLater} />
      </Stack>
    </Notice>
  );
}
