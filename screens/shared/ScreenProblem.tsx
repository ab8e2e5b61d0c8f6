import type { ErrorBoundaryProps } from 'expo-router';
import { causeOf } from '@/store/failures';
import { Button, Screen, Stack, Text } from '@/ui';
import { useExport } from './useExport';

/** In place of a screen that broke: what happened, a way on, and all that is stored as a file. The rest goes on. */
export function ScreenProblem({ error, retry }: ErrorBoundaryProps) {
  const { everything } = useExport();
  // A part that is missing under its old name: the page is older than what is served.
  const newer = causeOf(error, null) === 'newer';
  return (
    <Screen title={newer ? 'A new version is here' : 'This screen has stopped'}>
      <Stack gap="m">
        <Text role="alert">
          {newer
            ? 'This part of the program was replaced by a newer one, or could not be loaded without a signal. Opening the page anew brings you back to this place.'
            : 'Something in it went wrong. What you entered is kept, and the other screens go on working.'}
        </Text>
        {newer ? (
          <Button label="Open the page anew" kind="primary" onPress={() => window.location.reload()} />
        ) : (
          <Button label="Try again" kind="primary" onPress={() => void retry()} />
        )}
        <Button label="Export everything" icon="out" onPress={() => void everything()} />
        {newer ? null : (
          <Text size="small" tone="ink2">
            {`What was reported: ${error.message.slice(0, 300)}`}
          </Text>
        )}
      </Stack>
    </Screen>
  );
}
