import { QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';
import { type ReactNode, useState } from 'react';
import { createQueryClient } from '@/store/hooks';
import { ToastProvider } from '@/ui';

/** What the application wraps round its pages. */
export function Shell({ children }: { children: ReactNode }) {
  const [client] = useState(createQueryClient);
  return (
    <QueryClientProvider client={client}>
      <ToastProvider>{children}</ToastProvider>
    </QueryClientProvider>
  );
}

/** A page or a part of one, with what the application wraps round it. */
export const show = (page: ReactNode) => render(<Shell>{page}</Shell>);
/** Presses the button of a name. */
export const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
/** Opens the row of a name, if it is not open. */
export const unfold = (name: string | RegExp) => {
  const row = screen.getByRole('button', { name });
  if (row.getAttribute('aria-expanded') === 'false') fireEvent.click(row);
};
