import { randomUUID } from 'node:crypto';
import { mkdir, rename, rm, stat, writeFile } from 'node:fs/promises';
import { dirname } from 'node:path';

/** Writes a file whole or not at all; one of the same name and size is left as it is. */
export async function keepFile(path: string, data: Uint8Array): Promise<void> {
  const present = await stat(path).then(
    ({ size }) => size === data.length,
    () => false,
  );
  if (present) return;
  await mkdir(dirname(path), { recursive: true });
  const draft = `${path}.${randomUUID()}`;
  try {
    await writeFile(draft, data);
    await rename(draft, path);
  } finally {
    await rm(draft, { force: true });
  }
}
