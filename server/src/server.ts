import { isDate } from '@sprocket/core';
import compression from 'compression';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { counterOn, standingsOn, type CounterOrder } from './counter.ts';
import { weather } from './weather.ts';
import { addRideMeter } from './rideMeter.ts';

export interface ServerOptions {
  /** Folder of the built app. */
  appDir: string;
  /** Whether the page should fill an empty store with the demo’s builds. */
  demo?: boolean | undefined;
  /** Names besides this machine's own that the server may be asked by, where something stands before it. */
  hosts?: readonly string[] | undefined;
}

/** Names of this machine to itself. A page elsewhere that points its own name here is not served. */
const OWN_NAMES = ['localhost', '127.0.0.1', '[::1]'];

/** What no page of the app asks of a device. */
const PERMISSIONS = [
  'accelerometer',
  'camera',
  'geolocation',
  'gyroscope',
  'magnetometer',
  'microphone',
  'payment',
  'usb',
]
  .map((feature) => `${feature}=()`)
  .join(', ');

const NONCE_MARK = '__NONCE__';

/**
 * The app's server: the built app with a strict content policy, a health address, and in the demo
 * the demo's data. Styles the interface writes at run time carry a nonce, new with every page.
 */
export function createServer({ appDir, demo = false, hosts = [] }: ServerOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  const names = new Set([...OWN_NAMES, ...hosts]);
  app.use((req, res, next) => {
    res.set('Permissions-Policy', PERMISSIONS);
    // The port is not part of the name; an IPv6 address keeps its brackets.
    const name = (req.headers.host ?? '').replace(/:\d+$/, '').toLowerCase();
    if (names.has(name)) next();
    else res.status(421).json({ error: 'this server does not answer for that host' });
  });
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
          // The integer solver is a WebAssembly module; no script is ever made from text.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
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
  // The parts counter, a stand-in for suppliers: made up, and says so.
  app.get('/api/counter', (req, res) => {
    const { day } = req.query;
    if (typeof day !== 'string' || !isDate(day)) {
      res.status(400).json({ error: 'day: must be a date such as 2026-03-07' });
      return;
    }
    res.json(counterOn(day));
  });
  app.post('/api/counter/orders', express.json({ limit: '200kb' }), (req, res) => {
    const body = ordersIn(req.body);
    if (typeof body === 'string') res.status(400).json({ error: body });
    else res.json({ standIn: true, orders: standingsOn(body.day, body.orders) });
  });
  addRideMeter(app);
  weather(app);
  // The page is only ever handed out with its nonce filled in.
  app.get('/index.html', (_req, res) => {
    res.redirect(301, '/');
  });
  app.use('/assets', express.static(join(appDir, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(appDir, { index: false }));
  const page = join(appDir, 'index.html');
  app.use((req, res) => {
    // A file that is not there is not the app; addresses of the app have no ending.
    if (req.method !== 'GET' || !req.accepts('html') || /\.[a-z0-9]+$/i.test(req.path)) {
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
  // What goes wrong is told by its number alone: neither where the files lie nor how the code runs.
  app.use((error: unknown, _req: Request, res: Response, next: NextFunction) => {
    if (res.headersSent) {
      next(error);
      return;
    }
    const status = statusOf(error);
    res
      .status(status)
      .json({ error: status === 404 ? 'not found' : status < 500 ? 'not understood' : 'it went wrong' });
  });
  return app;
}

/** The status an error asks for; 500 where it asks for none. */
function statusOf(error: unknown): number {
  const status = typeof error === 'object' && error !== null && 'status' in error ? error.status : undefined;
  return typeof status === 'number' && status >= 400 && status < 600 ? status : 500;
}

/** Most orders asked of at once. */
const MOST_ORDERS = 400;

/** Orders asked after, or what is wrong with the question, by its place. */
function ordersIn(body: unknown): { day: string; orders: CounterOrder[] } | string {
  const { day, orders } = (body ?? {}) as { day?: unknown; orders?: unknown };
  if (typeof day !== 'string' || !isDate(day)) return 'day: must be a date such as 2026-03-07';
  if (!Array.isArray(orders) || orders.length > MOST_ORDERS) return `orders: must be a list of at most ${MOST_ORDERS}`;
  const found: CounterOrder[] = [];
  for (const [i, one] of orders.entries()) {
    const { supplier, part, orderedOn } = (one ?? {}) as Record<string, unknown>;
    if (typeof supplier !== 'string' || typeof part !== 'string')
      return `orders[${i}]: must name a supplier and a part`;
    if (typeof orderedOn !== 'string' || !isDate(orderedOn)) return `orders[${i}].orderedOn: must be a date`;
    found.push({ supplier, part, orderedOn });
  }
  return { day, orders: found };
}
