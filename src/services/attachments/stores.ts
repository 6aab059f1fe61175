import { dirname, resolve } from 'node:path';
import { databaseUrl } from '../../db/context';
import { folderStore, type BlobStore } from '../../server/blobs';

/** The photos of this server: beside the database file, or where `ZORVEK_PHOTOS` says. */
export function photoStore(): BlobStore {
  return folderStore(folderOf('photos', process.env.ZORVEK_PHOTOS));
}

/** The datasheets of this server: beside the database file, or where `ZORVEK_DATASHEETS` says. */
export function datasheetStore(): BlobStore {
  return folderStore(folderOf('datasheets', process.env.ZORVEK_DATASHEETS));
}

function folderOf(name: string, own: string | undefined): string {
  if (own) return resolve(own);
  const url = databaseUrl();
  const file = url.startsWith('file:') ? url.slice('file:'.length) : 'data/zorvek.db';
  return resolve(dirname(file), name);
}
