import { lazy, Suspense, type ComponentType } from 'react';
import { Route, Routes, useLocation } from 'react-router';
import { persist } from './later.ts';
import { Quiet } from './render/kit/quiet-card.tsx';
import { Message } from './ui/message.tsx';

/** A page whose code comes when it is asked for; the page before stays until then. */
const page = (load: () => Promise<ComponentType>) => lazy(async () => ({ default: await persist(load) }));

const Shelf = page(async () => (await import('./shelf/shelf.tsx')).Shelf);
const Studio = page(async () => (await import('./studio/studio.tsx')).Studio);
const Live = page(async () => (await import('./live/live.tsx')).Live);

export function Pages() {
  const { pathname } = useLocation();
  return (
    <Quiet of={pathname} instead={(error) => <Failed error={error} />}>
      <Suspense>
        <Routes>
          <Route path="/" element={<Shelf />} />
          <Route path="/desk/:id" element={<Studio />} />
          <Route path="/live/:id" element={<Live />} />
          <Route path="*" element={<Nowhere />} />
        </Routes>
      </Suspense>
    </Quiet>
  );
}

function Failed({ error }: { error: Error }) {
  return (
    <Message title="Something broke">
      The page could not go on ({error.message}). What you did is kept in this browser and on the server; load
      the page again to go on.
    </Message>
  );
}

function Nowhere() {
  return <Message title="Nothing stands here">The address leads nowhere.</Message>;
}
