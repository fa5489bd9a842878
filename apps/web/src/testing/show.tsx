import { MantineProvider } from '@mantine/core';
import { Notifications, notifications } from '@mantine/notifications';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, configure, render, type RenderResult } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';

/** A machine with much to do draws late; what never comes fails all the same. */
configure({ asyncUtilTimeout: 20_000 });

/** Shows something as the program does: with its theme, a cache of its own and an address. */
export function show(
  children: ReactNode,
  client = new QueryClient(),
): RenderResult & { readonly client: QueryClient } {
  act(() => notifications.clean());
  client.setDefaultOptions({ queries: { retry: false, staleTime: Infinity } });
  const shown = render(
    // Nothing here is looked at for its colour: its variables are a style sheet that every look at a style would read.
    <MantineProvider env="test" withCssVariables={false}>
      <Notifications />
      <QueryClientProvider client={client}>
        <MemoryRouter>{children}</MemoryRouter>
      </QueryClientProvider>
    </MantineProvider>,
  );
  return { ...shown, client };
}
