import { QueryClientProvider } from '@tanstack/react-query';
import { Slot } from 'expo-router';
import Head from 'expo-router/head';
import { useState } from 'react';
import { holdInstallPrompt } from '@/screens/shared/useInstall';
import { Keys } from '@/screens/shared/Keys';
import { Beside } from '@/screens/shared/Beside';
import { ScreenProblem } from '@/screens/shared/ScreenProblem';
import { usePageTitle } from '@/screens/shared/usePageTitle';
import { StoreNotice } from '@/screens/shared/StoreNotice';
import { useDemoStart } from '@/screens/shared/useDemo';
import { TourNotice } from '@/screens/shared/TourNotice';
import { VersionNotice } from '@/screens/shared/VersionNotice';
import { createQueryClient, useStoreNews, useSettings } from '@/store/hooks';
import { ThemeProvider, ToastProvider } from '@/ui';

holdInstallPrompt();

function Themed() {
  const [settings] = useSettings();
  useStoreNews();
  return (
    <ThemeProvider choice={settings.theme}>
      <ToastProvider>
        <Frame />
      </ToastProvider>
    </ThemeProvider>
  );
}

/** Every screen, under what the program has to say of itself. */
function Frame() {
  useDemoStart();
  const title = usePageTitle();
  return (
    <>
      <Head>
        <title>{title}</title>
      </Head>
      <VersionNotice />
      <StoreNotice />
      <TourNotice />
      <Beside>
        <Slot />
      </Beside>
      <Keys />
    </>
  );
}

/** Every screen of the program is caught by itself when it breaks. */
export const unstable_settings = { screenErrorBoundary: ScreenProblem };

export default function RootLayout() {
  const [client] = useState(createQueryClient);
  return (
    <QueryClientProvider client={client}>
      <Themed />
    </QueryClientProvider>
  );
}
