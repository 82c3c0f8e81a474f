import { QueryClient } from '@tanstack/react-query';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { useState } from 'react';
import { createBrowserRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { ApiProblem } from './api/problem.js';
import { KEPT_MS, LAST_SEEN } from './offline/lastSeen.js';
import { NoticeProvider } from './page/Notice.js';
import { routes } from './routes.js';
import { Look } from './theme/Look.js';

/** A refusal stays a refusal; what could not be reached is worth two more tries. */
function worthAnotherTry(failures: number, error: Error): boolean {
  return !(error instanceof ApiProblem) && failures < 2;
}

export function App() {
  const [client] = useState(
    () =>
      new QueryClient({
        defaultOptions: {
          queries: { retry: worthAnotherTry, staleTime: 30_000, gcTime: KEPT_MS, networkMode: 'always' },
        },
      }),
  );
  const [router] = useState(() => createBrowserRouter(routes));
  return (
    <Look>
      <PersistQueryClientProvider
        client={client}
        persistOptions={LAST_SEEN}
        // However young it is, it may be older than what is known elsewhere.
        onSuccess={() => client.invalidateQueries({ predicate: ({ state }) => state.data !== undefined })}
      >
        <NoticeProvider>
          <RouterProvider router={router} />
        </NoticeProvider>
      </PersistQueryClientProvider>
    </Look>
  );
}
