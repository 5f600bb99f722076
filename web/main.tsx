import { StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { z } from 'zod';
import { later } from './later.ts';
import { Pages } from './routes.tsx';
import { startTheme } from './stores/theme.ts';
import './styles/tokens.css';

const Toaster = later(() => import('./ui/toaster.tsx'));
const Tips = later(() => import('./ui/tips.tsx'));

// Compiled checks would need eval, which the page's policy forbids.
z.config({ jitless: true });
startTheme();
const root = document.getElementById('root');
if (!root) throw new Error('The page has no place for the application.');
createRoot(root).render(
  <StrictMode>
    <BrowserRouter>
      <Pages />
    </BrowserRouter>
    <Suspense>
      <Toaster />
      <Tips />
    </Suspense>
  </StrictMode>,
);
