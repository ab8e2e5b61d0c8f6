import { QueryClientProvider } from '@tanstack/react-query';
import { Slot } from 'expo-router';
import Head from 'expo-router/head';
import { useEffect, useState } from 'react';
import { StoreNotice } from '@/screens/shared/StoreNotice';
import { createQueryClient, useStoreNews, useSettings } from '@/store/hooks';
import { ThemeProvider, ToastProvider } from '@/ui';

function Themed() {
  const [settings] = useSettings();
  useStoreNews();
  return (
    <ThemeProvider choice={settings.theme}>
      <ToastProvider>
        <Slot />
        <StoreNotice />
      </ToastProvider>
    </ThemeProvider>
  );
}

export default function RootLayout() {
  const [client] = useState(createQueryClient);
  useEffect(() => {
    if (process.env.NODE_ENV === 'production' && 'serviceWorker' in navigator)
      void navigator.serviceWorker.register('/sw.js');
  }, []);
  return (
    <QueryClientProvider client={client}>
      <Head>
        <title>Wanderung</title>
      </Head>
      <Themed />
    </QueryClientProvider>
  );
}
