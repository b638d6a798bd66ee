import '@fontsource/atkinson-hyperlegible/latin-400.css';
import '@fontsource/atkinson-hyperlegible/latin-700.css';
import '@fontsource-variable/bricolage-grotesque/index.css';
import './app/mantine.ts';
import './app/styles.css';
import './app/pieces.css';
import { MantineProvider } from '@mantine/core';
import { setNonce } from 'get-nonce';
import { lazy, StrictMode, Suspense, type ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { router } from './app/router.tsx';
import { startUp } from './app/startUp.ts';
import { store } from './store/store.ts';
import { theme } from './app/theme.ts';
import { startOffline } from './offline/offline.ts';
import { tellNewVersion } from './sheet/newVersion.tsx';
import { clearAway, readAhead } from './storage/builds.ts';
import { inAPause } from './ui/inAPause.ts';
import { readAsTheReader } from './ui/manner.ts';

const nonce = document.querySelector('meta[name="csp-nonce"]')?.getAttribute('content') ?? '';
// Scroll locking under drawers writes a style of its own; it carries the page's nonce too.
setNonce(nonce);
const root = document.getElementById('root');
if (!root) throw new Error('the page has no #root');

/** Fetched beside the page: nothing is told before there is one, and what is told meanwhile waits. */
const Notices = lazy<ComponentType>(() => import('./app/Notices.tsx').catch(() => ({ default: () => null })));

readAsTheReader();
await startUp();
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <MantineProvider theme={theme} defaultColorScheme="auto" getStyleNonce={() => nonce}>
        <Suspense>
          <Notices />
        </Suspense>
        <RouterProvider router={router} />
      </MantineProvider>
    </Provider>
  </StrictMode>,
);
// Once what was asked for is on the screen, and nobody is typing into it.
inAPause(() => void startOffline(tellNewVersion).catch(() => undefined), 1500, 60_000, document);
// Whoever rests on the bench opens a build next: its sheet is fetched ahead, and the list stays what it is without it.
inAPause(
  () =>
    void Promise.all([import('./app/OpenBuild.tsx'), import('./sheet/planAhead.ts'), readAhead()])
      .then(([, { planAhead }, build]) => (build && location.pathname === '/' ? planAhead(build) : undefined))
      .catch(() => undefined),
  300,
  10_000,
  document,
);
setTimeout(() => void clearAway().catch(() => undefined), 4000);
