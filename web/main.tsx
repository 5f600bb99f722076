import { Tooltip } from 'radix-ui';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { Toaster } from 'sonner';
import { z } from 'zod';
import { router } from './routes.tsx';
import { startTheme } from './stores/theme.ts';
import './styles/tokens.css';

// Compiled checks would need eval, which the page's policy forbids.
z.config({ jitless: true });
startTheme();
const root = document.getElementById('root');
if (!root) throw new Error('The page has no place for the application.');
createRoot(root).render(
  <StrictMode>
    <Tooltip.Provider>
      <RouterProvider router={router} />
      <Toaster
        position="bottom-center"
        offset={124}
        toastOptions={{
          style: {
            background: 'var(--nap)',
            color: 'var(--chalk)',
            border: '1px solid var(--seam)',
            fontFamily: 'var(--font-sans)',
            fontSize: 13,
          },
          actionButtonStyle: { background: 'var(--brass)', color: 'var(--on-brass)' },
        }}
      />
    </Tooltip.Provider>
  </StrictMode>,
);
