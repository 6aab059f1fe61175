import type { PhotoWorker } from './photo.worker';
import { aside, type Aside } from './remote';

/** Starts a worker that makes pictures ready for tracing. */
export function startPhotoWorker(): Aside<PhotoWorker> {
  return aside(new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' }));
}
