import { eq } from 'drizzle-orm';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { contextFrom, type AppContext } from './context';
import { openDatabase } from './client';
import { migrate } from './migrate';
import { listBins } from './repositories/bins';
import { findBuild } from './repositories/builds';
import { findLot } from './repositories/lotSearch';
import { latestStockSteps } from './repositories/stockSteps';
import { findType } from './repositories/types';
import { undoEdit } from './repositories/undo';
import { journal, notes, parts, stockLedger } from './schema';
import { MIGRATIONS } from './testing/temporaryContext';

// A shop as it was kept before steps had a scope and a version: a donor with parts, a store, a claim that was supported
// and a part in stock; lots counted in, taken from, moved, split and brought in; a build with a need; a type.
const OLD = join(process.cwd(), 'src', 'db', 'testing', 'fixtures', 'shop-0012.db');

let folder: string;
let app: AppContext;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'zorvek-old-'));
  const url = `file:${join(folder, 'shop.db')}`;
  copyFileSync(OLD, join(folder, 'shop.db'));
  await migrate(url, MIGRATIONS);
  let now = Date.UTC(2026, 11, 1);
  app = contextFrom(
    openDatabase(url),
    () => (now += 1000),
    () => 0.5,
  );
});
afterEach(() => {
  app.db.close();
  rmSync(folder, { recursive: true, force: true });
});

const LOT = 'Q4Y-NPQ';
const stepOf = async (message: string) => {
  const rows = await app.db.read.select().from(journal);
  return rows.find((row) => row.message.includes(message))?.id ?? '';
};
const lot = async () => (await findLot(app.db.read, LOT))?.lot;

test('steps are told apart by what they are about, and lines of the ledger know their step', async () => {
  const rows = await app.db.read.select().from(journal);
  const scopes = new Map(rows.map(({ message, scope }) => [message, scope]));
  expect(scopes.get('Q4Y-NPQ moved from B2 to B3.')).toBe('stock');
  expect(scopes.get('20N60 is known now.')).toBe('types');
  expect(scopes.get('C5, capacitor, went into bin A1 as lot PG6-TTZ.')).toBe('donor');
  const lines = await app.db.read.select().from(stockLedger);
  const ofSteps = lines.filter(({ journalId }) => journalId !== null);
  expect(new Set(ofSteps.map(({ reason }) => reason))).toEqual(new Set(['harvested', 'moved', 'split']));
  expect((await latestStockSteps(app.db.read, { limit: 20 })).map(({ what }) => what)).toEqual([
    expect.objectContaining({ reason: 'reserved', pieces: 2 }),
    expect.objectContaining({ message: '1 lots came in from a list.' }),
    expect.objectContaining({ message: '5 of Q4Y-NPQ are lot NNJ-D9T in B4 now.' }),
    expect.objectContaining({ message: 'Q4Y-NPQ moved from B2 to B3.' }),
    expect.objectContaining({ reason: 'taken', pieces: 3 }),
    expect.objectContaining({ reason: 'counted', pieces: 20 }),
  ]);
});

test('what was kept is there as it was', async () => {
  expect(await lot()).toMatchObject({ onHand: 12, reserved: 2 });
  expect(await findBuild(app.db.read, 'RPK-VVM')).toMatchObject({ needs: [{ filled: 2 }] });
  expect((await listBins(app.db.read)).map(({ countedMs }) => countedMs)).toEqual([null, null, null, null, null]);
});

test('steps of every kind can still be undone, in the order in which they rest on each other', async () => {
  const undo = (id: string) => undoEdit(app, id);
  const moved = await stepOf('moved from B2');
  const split = await stepOf('are lot NNJ-D9T');
  expect(await undo(await stepOf('came in from a list'))).toMatchObject({ kind: 'undone' });
  expect(await undo(split)).toMatchObject({ kind: 'undone' });
  expect(await lot()).toMatchObject({ onHand: 17 });
  expect(await undo(moved)).toMatchObject({ kind: 'undone' });
  expect((await findLot(app.db.read, LOT))?.bin).toBe('B2');
  const lines = await app.db.read.select().from(stockLedger).where(eq(stockLedger.reason, 'taken'));
  expect(await undo(lines[0]?.id ?? '')).toMatchObject({ kind: 'undone' });
  expect(await lot()).toMatchObject({ onHand: 20 });

  expect(await undo(await stepOf('is supported: traced'))).toMatchObject({ kind: 'undone' });
  expect(await app.db.read.select().from(notes)).toMatchObject([{ text: 'drives the transformer', status: 'claimed' }]);
  expect(await undo(await stepOf('went into bin A1'))).toMatchObject({ kind: 'undone' });
  expect(await app.db.read.select().from(parts).where(eq(parts.ref, 'C5'))).toMatchObject([{ state: 'on-board' }]);
  expect(await undo(await stepOf('20N60 is known now'))).toMatchObject({ kind: 'undone' });
  expect(await findType(app.db.read, 'nmos', '20N60')).toBeUndefined();
});
