import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import './app/rail.css';
import './app/paper.css';
import CssBaseline from '@mui/material/CssBaseline';
import { StyledEngineProvider, ThemeProvider } from '@mui/material/styles';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { openBook } from './data/batches';
import { Door } from './app/Door';
import { openShell } from './app/openShell';
import { PreferencesProvider } from './app/PreferencesProvider';
import { Screens } from './app/routes';
import { theme } from './theme/theme';

const root = document.getElementById('root');
if (root === null) throw new Error('The page has no root.');

void openBook();
openShell();

createRoot(root).render(
  <StrictMode>
    <StyledEngineProvider injectFirst>
      <ThemeProvider theme={theme} defaultMode="system" noSsr>
        <CssBaseline enableColorScheme />
        <Door>
          <PreferencesProvider>
            <Screens />
          </PreferencesProvider>
        </Door>
      </ThemeProvider>
    </StyledEngineProvider>
  </StrictMode>,
);
