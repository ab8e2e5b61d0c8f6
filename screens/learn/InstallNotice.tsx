import { useState } from 'react';
import { Button, Notice, Stack, Text } from '@/ui';
import { isSaid, once } from '../shared/once';
import { useInstall } from '../shared/useInstall';

const SAID = 'wanderung-install';
/** Nobody wants it on the home screen before it has been of use. */
const AFTER_OUTINGS = 2;

/** Offers the home screen, once, after the second outing. @param ended outings that were ended */
export function InstallNotice({ ended }: { ended: number }) {
  const install = useInstall();
  const [said, setSaid] = useState(() => isSaid(SAID));
  if (!install || said || ended < AFTER_OUTINGS) return null;
  const done = () => {
    once(SAID);
    setSaid(true);
  };
  return (
    <Notice role="status">
      <Text>Add Wanderung to your home screen? It opens like an app, offline too.</Text>
      <Stack row>
        <Button label="Add to home screen" onPress={() => (done(), install())} />
        <Button label="No, thanks" kind="quiet" onPress={done} />
      </Stack>
    </Notice>
  );
}
