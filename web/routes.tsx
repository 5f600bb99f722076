import { createBrowserRouter, useRouteError } from 'react-router';
import { persist } from './later.ts';
import { Message } from './ui/message.tsx';

/** Each page comes when it is asked for. */
export const router = createBrowserRouter([
  {
    errorElement: <Failed />,
    // Shown while the first page's code is on its way.
    HydrateFallback: () => null,
    children: [
      {
        path: '/',
        lazy: async () => ({ Component: (await persist(() => import('./shelf/shelf.tsx'))).Shelf }),
      },
      {
        path: '/desk/:id',
        lazy: async () => ({ Component: (await persist(() => import('./studio/studio.tsx'))).Studio }),
      },
      {
        path: '/live/:id',
        lazy: async () => ({ Component: (await persist(() => import('./live/live.tsx'))).Live }),
      },
      { path: '*', Component: Nowhere },
    ],
  },
]);

function Failed() {
  const error = useRouteError();
  return (
    <Message title="Something broke">
      The page could not go on ({error instanceof Error ? error.message : 'unknown reason'}). What you did is
      kept in this browser and on the server; load the page again to go on.
    </Message>
  );
}

function Nowhere() {
  return <Message title="Nothing stands here">The address leads nowhere.</Message>;
}
