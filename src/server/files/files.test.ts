import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { datasheetFile, datasheetProblemText, datasheetsFolder, keepFile, storeDatasheet } from '.';

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'zorvek-files-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const PDF = Buffer.from('%PDF-1.7\n…');

test('a datasheet is kept as it came, once, under the hash of its content', async () => {
  const first = await storeDatasheet(folder, PDF);
  const second = await storeDatasheet(folder, Buffer.from(PDF));
  expect(first).toEqual(second);
  const path = first.ok ? datasheetFile(folder, first.hash) : '';
  expect(readFileSync(path)).toEqual(PDF);
  expect(readdirSync(folder, { recursive: true }).filter((name) => String(name).endsWith('.pdf'))).toHaveLength(1);
});

test.each`
  bytes                                | kind           | message
  ${Buffer.alloc(0)}                   | ${'empty'}     | ${'empty'}
  ${Buffer.from('<html>')}             | ${'not-a-pdf'} | ${'no PDF'}
  ${Buffer.alloc(31 * 1024 * 1024, 1)} | ${'too-large'} | ${'31 MB'}
`('a file that is $kind is refused in words', async ({ bytes, kind, message }) => {
  const stored = await storeDatasheet(folder, bytes as Buffer);
  expect(stored).toMatchObject({ ok: false, problem: { kind } });
  expect(stored.ok ? '' : datasheetProblemText('x.pdf', stored.problem)).toContain(message);
  expect(readdirSync(folder)).toEqual([]);
});

test('no part of a path comes from outside', () => {
  expect(() => datasheetFile(folder, '../../etc/passwd')).toThrow('64 hexadecimal');
  expect(datasheetsFolder('file:/a/b.db')).toBe('/a/datasheets');
});

test('a file is written whole, and nothing is left beside it', async () => {
  const path = join(folder, 'deep', 'file.bin');
  await Promise.all([1, 2, 3].map(() => keepFile(path, PDF)));
  expect(readFileSync(path)).toEqual(PDF);
  expect(readdirSync(join(folder, 'deep'))).toEqual(['file.bin']);
});
