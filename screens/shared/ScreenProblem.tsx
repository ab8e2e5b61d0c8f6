import type { ErrorBoundaryProps } from 'expo-router';
import { causeOf } from '@/store/failures';
import { Button, Screen, Stack, Text } from '@/ui';
import { MISSING_WORDS } from './missingWords';
import { useExport } from './useExport';

/** What is said of a part that is missing, and of one that broke. */
const WORDS = {
  ...MISSING_WORDS,
  broken: {
    title: 'This screen crashed',
    text: 'Your data is safe, and the other screens still work.',
  },
} as const;

/** In place of a screen that broke: what happened, a way on, and all that is stored as a file. The rest goes on. */
export function ScreenProblem({ error, retry }: ErrorBoundaryProps) {
  const { everything } = useExport();
  // A part that is missing under its old name: the page is older than what is served, or nothing is served.
  const missing = causeOf(error, null) === 'newer';
  const what = missing ? (navigator.onLine ? 'newer' : 'away') : 'broken';
  return (
    <Screen title={WORDS[what].title}>
      <Stack gap="m">
        <Text role="alert">{WORDS[what].text}</Text>
        {what === 'newer' ? (
          <Button label="Reload the page" kind="primary" onPress={() => window.location.reload()} />
        ) : null}
        {what === 'broken' ? <Button label="Try again" kind="primary" onPress={() => void retry()} /> : null}
        <Button label="Export everything" icon="out" onPress={() => void everything()} />
        {missing ? null : (
          <Text size="small" tone="ink2">
            {`Error: ${error.message.slice(0, 300)}`}
          </Text>
        )}
      </Stack>
    </Screen>
  );
}
