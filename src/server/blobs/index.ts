import { randomUUID } from 'node:crypto';
import { mkdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';

/** Keeps contents that never change under names of their own, such as pictures and datasheets. */
export interface BlobStore {
  /** Keeps a content whole or not at all; one of the same name and size is left as it is. */
  put(name: string, data: Uint8Array): Promise<void>;
  /** The content of a name, or nothing. */
  get(name: string): Promise<Uint8Array | undefined>;
}

/** A store in a folder of this machine. */
export function folderStore(folder: string): BlobStore {
  const pathOf = (name: string) => {
    if (!NAME.test(name))
      throw new Error(`“${name}” is no name of a blob: two digits, a slash and a name are expected.`);
    return join(folder, name);
  };
  return {
    async put(name, data) {
      const path = pathOf(name);
      const isPresent = await stat(path).then(
        ({ size }) => size === data.length,
        () => false,
      );
      if (isPresent) return;
      await mkdir(dirname(path), { recursive: true });
      const draft = `${path}.${randomUUID()}`;
      try {
        await writeFile(draft, data);
        await rename(draft, path);
      } finally {
        await rm(draft, { force: true });
      }
    },
    get: (name) => readFile(pathOf(name)).catch(() => undefined),
  };
}

/** No part of a path comes from outside: a name is made of a hash. */
const NAME = /^[0-9a-f]{2}\/[0-9a-f]{64}[a-z-]*\.[a-z]{3}$/;
