import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

export interface ServerOptions {
  /** Folder of the built app. */
  appDir: string;
  /** Whether the page should fill an empty store with the demo’s builds. */
  demo?: boolean | undefined;
}

const NONCE_MARK = '__NONCE__';

/**
 * The app's server: the built app with a strict content policy, a health address, and in the demo
 * the demo's data. Styles the interface writes at run time carry a nonce, new with every page.
 */
export function createServer({ appDir, demo = false }: ServerOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use((_req, res, next) => {
    res.locals.nonce = randomBytes(16).toString('base64');
    next();
  });
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          styleSrc: [
            "'self'",
            (_req, res) => `'nonce-${(res as unknown as { locals: { nonce: string } }).locals.nonce}'`,
          ],
          styleSrcAttr: ["'none'"],
          fontSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      crossOriginEmbedderPolicy: true,
      // The app is served over plain HTTP at home; forcing HTTPS would lock it out.
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.get('/health', (_req, res) => {
    res.json({ ok: true, demo });
  });
  // The page is only ever handed out with its nonce filled in.
  app.get('/index.html', (_req, res) => {
    res.redirect(301, '/');
  });
  app.use('/assets', express.static(join(appDir, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(appDir, { index: false }));
  const page = join(appDir, 'index.html');
  app.use((req, res) => {
    if (req.method !== 'GET' || !req.accepts('html')) {
      res.status(404).json({ error: 'not found' });
      return;
    }
    if (!existsSync(page)) {
      res.status(503).type('text').send('The app is not built yet: run npm run build.');
      return;
    }
    res.set('Cache-Control', 'no-store');
    res.type('html').send(
      readFileSync(page, 'utf8')
        .replaceAll(NONCE_MARK, String(res.locals.nonce))
        .replace('__DEMO__', demo ? 'yes' : 'no'),
    );
  });
  return app;
}
