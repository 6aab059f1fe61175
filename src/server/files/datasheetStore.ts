import { createHash } from 'node:crypto';
import { dirname, join, resolve } from 'node:path';
import { keepFile } from './keepFile';

/** Largest datasheet that is taken in. */
const LIMIT_BYTES = 30 * 1024 * 1024;

export type DatasheetProblem =
  { readonly kind: 'empty' } | { readonly kind: 'too-large'; readonly bytes: number } | { readonly kind: 'not-a-pdf' };

/** What is wrong with a file, for the person who sent it. */
export function datasheetProblemText(name: string, problem: DatasheetProblem): string {
  switch (problem.kind) {
    case 'empty':
      return `${name} is empty.`;
    case 'too-large':
      return `${name} has ${(problem.bytes / 1024 / 1024).toFixed(0)} MB. At most ${LIMIT_BYTES / 1024 / 1024} MB are taken.`;
    case 'not-a-pdf':
      return `${name} is no PDF: its first bytes say so. A datasheet as PDF is expected.`;
  }
}

/** The folder of the datasheets: beside the database file, or where `ZORVEK_DATASHEETS` says. */
export function datasheetsFolder(databaseUrl: string): string {
  const own = process.env.ZORVEK_DATASHEETS;
  if (own) return resolve(own);
  const file = databaseUrl.startsWith('file:') ? databaseUrl.slice('file:'.length) : 'data/zorvek.db';
  return resolve(dirname(file), 'datasheets');
}

/** Where a datasheet lies. The hash is checked: no part of a path comes from outside. */
export function datasheetFile(folder: string, hash: string): string {
  if (!/^[0-9a-f]{64}$/.test(hash)) throw new Error('A datasheet is named by 64 hexadecimal digits.');
  return join(folder, hash.slice(0, 2), `${hash}.pdf`);
}

/** Takes a PDF in as it is; its text is not read. The same file twice is kept once. */
export async function storeDatasheet(
  folder: string,
  bytes: Uint8Array,
): Promise<{ ok: true; hash: string } | { ok: false; problem: DatasheetProblem }> {
  if (bytes.length === 0) return { ok: false, problem: { kind: 'empty' } };
  if (bytes.length > LIMIT_BYTES) return { ok: false, problem: { kind: 'too-large', bytes: bytes.length } };
  if (!Buffer.from(bytes.subarray(0, 1024)).includes('%PDF-')) return { ok: false, problem: { kind: 'not-a-pdf' } };
  const hash = createHash('sha256').update(bytes).digest('hex');
  await keepFile(datasheetFile(folder, hash), bytes);
  return { ok: true, hash };
}
