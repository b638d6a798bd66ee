import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { asBuilt } from './src/offline/ourPage.ts';

const dist = fileURLToPath(new URL('dist', import.meta.url));

/** Every file under a folder. */
function filesOf(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name));
}

/**
 * What the service worker keeps: the page, and every file but those that no browser of today asks for, and the solver's
 * module: megabytes that would hold up the first writes to the disk, for one sheet. The browser keeps it once it was used.
 */
function precache(): { url: string; revision: string | null; integrity?: string }[] {
  const kept = filesOf(dist).filter((file) => !/sw\.js$|\.woff$|\.map$|\.wasm$/.test(file));
  return kept
    .map((file) => {
      const path = `/${relative(dist, file).split(sep).join('/')}`;
      const bytes = readFileSync(file);
      const revision = createHash('sha256').update(bytes).digest('hex').slice(0, 16);
      // The page is only handed out at the root, each time with another nonce: its checksum is taken without that.
      if (path === '/index.html') return { url: '/', revision };
      const integrity = `sha384-${createHash('sha384').update(bytes).digest('base64')}`;
      // Files under /assets carry their version in their name.
      return { url: path, revision: path.startsWith('/assets/') ? null : revision, integrity };
    })
    .sort((a, b) => (a.url < b.url ? -1 : 1));
}

/** The service worker, built after the app it keeps. */
export default defineConfig({
  define: {
    PRECACHE: JSON.stringify(precache()),
    PAGE_SHA256: JSON.stringify(
      createHash('sha256')
        .update(asBuilt(readFileSync(join(dist, 'index.html'), 'utf8')))
        .digest('hex'),
    ),
    'process.env.NODE_ENV': '"production"',
  },
  publicDir: false,
  build: {
    target: 'es2022',
    emptyOutDir: false,
    lib: {
      entry: fileURLToPath(new URL('src/offline/sw.ts', import.meta.url)),
      formats: ['es'],
      fileName: () => 'sw.js',
    },
  },
});
