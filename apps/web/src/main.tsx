import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import './shell/tokens.css';
import './shell/look.css';
import './shell/bench.css';
import './shell/paper.css';
import './shell/calendar.css';
import './shell/pit.css';
import { ThemeProvider } from '@mui/material/styles';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { openBook } from './data/batches';
import { Door } from './shell/Door';
import { openShell } from './shell/openShell';
import { PreferencesProvider } from './shell/preferences';
import { router } from './shell/routes';
import { theme } from './shell/theme';

const root = document.getElementById('root');
if (root === null) throw new Error('The page has no root.');

void openBook();
openShell();

createRoot(root).render(
  <StrictMode>
    <ThemeProvider theme={theme} defaultMode="system" noSsr>
      <Door>
        <PreferencesProvider>
          <RouterProvider router={router} />
        </PreferencesProvider>
      </Door>
    </ThemeProvider>
  </StrictMode>,
);
