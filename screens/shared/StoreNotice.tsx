import { useEffect, useState } from 'react';
import type { Status } from '@/store/database';
import { useStoreStatus } from '@/store/hooks';
import type { Mended } from '@/store/lasting';
import { forgetMended, openDatabase } from '@/store/open';
import { Button, Notice, Stack, Text, useToast } from '@/ui';
import { useExport } from './useExport';
import { capital } from '@/words/capital';
import { several } from '@/words/counting';

/** What fails, and what becomes of what was entered. */
export function storeWords({ failing, waiting, copied }: Status): { title: string; text: string } {
  if (waiting === 0)
    return {
      title: 'Stored data can’t be reached',
      text: `Why: ${failing}. You can continue: new entries stay on this page until the store answers.`,
    };
  return {
    title: waiting === 1 ? 'One entry is not stored yet' : `${waiting} entries are not stored yet`,
    text: `Why: ${failing}. Kept ${copied ? 'safe on this device, even when the page closes' : 'only while this page stays open'}.`,
  };
}

/** What was put back of a store that the browser had thrown away. */
export function mendedWords({ outings, isWhole }: Mended): { title: string; text: string } {
  const found = several(outings, 'outing');
  const why = 'most likely because the device was full';
  if (isWhole)
    return {
      title: 'Your log is back',
      text: `The browser deleted your data, ${why}. All of it (${found}) is restored from the second copy. Free some space, then export everything.`,
    };
  if (outings === 0)
    return {
      title: 'Your data is gone',
      text: `The browser deleted it, ${why}, and no second copy was left. Import your last export.`,
    };
  return {
    title: 'Check your newest entries',
    text: `The browser lost part of your data, ${why}. ${capital(found)} ${outings === 1 ? 'is' : 'are'} here. Your last export may hold more.`,
  };
}

/** The browser asks before the page is left while something is not stored. */
function useLeaveWarning(on: boolean): void {
  useEffect(() => {
    if (!on) return;
    const warn = (e: BeforeUnloadEvent) => e.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [on]);
}

/** Says when something could not be saved or read, wherever the user is. */
export function StoreNotice() {
  const status = useStoreStatus();
  const { failing, damaged, waiting, mended } = status;
  const [seen, setSeen] = useState(0);
  const { everything } = useExport();
  const toast = useToast();
  const exportAll = () => void everything().then((leftOut) => leftOut && toast(leftOut));
  useLeaveWarning(failing !== null && waiting > 0);
  if (failing) {
    const { title, text } = storeWords(status);
    return (
      <Notice role="alert">
        <Text size="strong">{title}</Text>
        <Text size="small">{text}</Text>
        <Stack row>
          <Button label="Try again now" onPress={() => void openDatabase().db.retry()} />
          <Button label="Export everything" kind="quiet" onPress={exportAll} />
        </Stack>
      </Notice>
    );
  }
  if (mended) {
    const { title, text } = mendedWords(mended);
    return (
      <Notice role="alert">
        <Text size="strong">{title}</Text>
        <Text size="small">{text}</Text>
        <Stack row>
          <Button label="Export everything" onPress={exportAll} />
          <Button label="Go on" kind="quiet" onPress={forgetMended} />
        </Stack>
      </Notice>
    );
  }
  if (damaged.length <= seen) return null;
  return (
    <Notice role="alert">
      <Text size="strong">
        {damaged.length === 1 ? 'One stored record can’t be read' : `${damaged.length} stored records can’t be read`}
      </Text>
      <Text size="small">
        {damaged[0]!.key}: {damaged[0]!.why}. The damaged record stays as it is; everything else works. Export
        everything under Learn, then import a backup to repair it.
      </Text>
      <Stack row>
        <Button label="Go on" onPress={() => setSeen(damaged.length)} />
      </Stack>
    </Notice>
  );
}
