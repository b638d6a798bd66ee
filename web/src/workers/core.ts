import { wrap, type Remote } from 'comlink';
import type { CoreWorker } from './core.worker.ts';

let remote: Remote<CoreWorker> | undefined;

/** The core in a worker of its own, started when first asked for. */
export function coreWorker(): Remote<CoreWorker> {
  remote ??= wrap<CoreWorker>(
    new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module', name: 'core' }),
  );
  return remote;
}
