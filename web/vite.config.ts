import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  html: { cspNonce: '__NONCE__' },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    assetsInlineLimit: 0,
    // A screen's styles come with it; a link for each of its thirty scripts would hold the page up longer than they
    // take to be found, and from the second visit on they are kept here anyway.
    modulePreload: {
      resolveDependencies: (_file, deps, { hostType }) =>
        hostType === 'js' ? deps.filter((dep) => dep.endsWith('.css')) : deps,
    },
  },
  worker: { format: 'es' },
});
