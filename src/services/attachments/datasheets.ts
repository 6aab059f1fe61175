import { createHash } from 'node:crypto';
import type { BlobStore } from '../../server/blobs';

/** Largest datasheet that is taken in. */
const LIMIT_BYTES = 30 * 1024 * 1024;

export type DatasheetProblem =
  | { readonly kind: 'empty' }
  | { readonly kind: 'too-large'; readonly bytes: number }
  | { readonly kind: 'not-a-pdf' };

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

/** What a datasheet is called in the store. */
export const datasheetName = (hash: string) => `${hash.slice(0, 2)}/${hash}.pdf`;

/** Takes a PDF in as it is; its text is not read. The same file twice is kept once. */
export async function storeDatasheet(
  store: BlobStore,
  bytes: Uint8Array,
): Promise<{ ok: true; hash: string } | { ok: false; problem: DatasheetProblem }> {
  if (bytes.length === 0) return { ok: false, problem: { kind: 'empty' } };
  if (bytes.length > LIMIT_BYTES) return { ok: false, problem: { kind: 'too-large', bytes: bytes.length } };
  if (!Buffer.from(bytes.subarray(0, 1024)).includes('%PDF-')) return { ok: false, problem: { kind: 'not-a-pdf' } };
  const hash = createHash('sha256').update(bytes).digest('hex');
  await store.put(datasheetName(hash), bytes);
  return { ok: true, hash };
}
