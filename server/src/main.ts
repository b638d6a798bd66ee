import { fileURLToPath } from 'node:url';
import { createServer } from './server.ts';

const root = new URL('../../', import.meta.url);
const demo = process.argv.includes('--demo');
const port = Number(process.env.PORT ?? 4173);

const server = createServer({
  appDir: fileURLToPath(new URL('web/dist', root)),
  demo,
  hosts: (process.env.HOSTS ?? '').split(',').filter((name) => name !== ''),
}).listen(port, '127.0.0.1', (error?: Error) => {
  if (error) {
    console.error(`Could not listen on port ${port}: ${error.message}. Set PORT to another.`);
    process.exit(1);
  }
  const address = server.address();
  const actual = typeof address === 'object' && address ? address.port : port;
  console.log(`Jolly Sprocket${demo ? ', with the demo’s builds' : ''}: http://127.0.0.1:${actual}/`);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => server.close(() => process.exit(0)));
