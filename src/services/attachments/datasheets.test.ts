import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { folderStore } from '../../server/blobs';
import { datasheetName, datasheetProblemText, storeDatasheet } from '.';

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'zorvek-files-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const PDF = Buffer.from('%PDF-1.7\n…');

test('a datasheet is kept as it came, once, under the hash of its content', async () => {
  const first = await storeDatasheet(folderStore(folder), PDF);
  const second = await storeDatasheet(folderStore(folder), Buffer.from(PDF));
  expect(first).toEqual(second);
  const path = first.ok ? join(folder, datasheetName(first.hash)) : '';
  expect(readFileSync(path)).toEqual(PDF);
  expect(readdirSync(folder, { recursive: true }).filter((name) => String(name).endsWith('.pdf'))).toHaveLength(1);
});

test.each`
  bytes                                | kind           | message
  ${Buffer.alloc(0)}                   | ${'empty'}     | ${'empty'}
  ${Buffer.from('<html>')}             | ${'not-a-pdf'} | ${'no PDF'}
  ${Buffer.alloc(31 * 1024 * 1024, 1)} | ${'too-large'} | ${'31 MB'}
`('a file that is $kind is refused in words', async ({ bytes, kind, message }) => {
  const stored = await storeDatasheet(folderStore(folder), bytes as Buffer);
  expect(stored).toMatchObject({ ok: false, problem: { kind } });
  expect(stored.ok ? '' : datasheetProblemText('x.pdf', stored.problem)).toContain(message);
  expect(readdirSync(folder)).toEqual([]);
});

const HASH = 'ab'.repeat(32);

test('no part of a path comes from outside', async () => {
  const store = folderStore(folder);
  await expect(async () => store.put('../../etc/passwd', PDF)).rejects.toThrow('no name of a blob');
  await expect(async () => store.get(`ab/../${HASH}.pdf`)).rejects.toThrow('no name of a blob');
  expect(await store.get(`ab/${HASH}.pdf`)).toBeUndefined();
});

test('a content is written whole, and nothing is left beside it', async () => {
  const store = folderStore(folder);
  await Promise.all([1, 2, 3].map(() => store.put(`ab/${HASH}.pdf`, PDF)));
  expect(Buffer.from((await store.get(`ab/${HASH}.pdf`)) ?? [])).toEqual(PDF);
  expect(readdirSync(join(folder, 'ab'))).toEqual([`${HASH}.pdf`]);
});
