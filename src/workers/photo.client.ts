import type { PhotoAnswer, PhotoQuestion, PreparedPhoto } from './photo.contract';

/** Makes a picture ready in a worker of its own. `stop` ends it; then nothing comes. */
export function preparePictureAside(
  question: PhotoQuestion,
  on: {
    readonly share: (share: number) => void;
    readonly done: (prepared: PreparedPhoto) => void;
    readonly fail: () => void;
  },
): { readonly stop: () => void } {
  const worker = new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' });
  worker.addEventListener('message', ({ data }: MessageEvent<PhotoAnswer>) => {
    if ('share' in data) on.share(data.share);
    else {
      worker.terminate();
      on.done(data);
    }
  });
  worker.addEventListener('error', () => {
    worker.terminate();
    on.fail();
  });
  worker.postMessage(question);
  return { stop: () => worker.terminate() };
}
