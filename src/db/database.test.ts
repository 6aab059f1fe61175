import { createClient } from '@libsql/client';
import { count, eq } from 'drizzle-orm';
import { spawn } from 'node:child_process';
import { cpSync, existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openDatabase } from './client';
import { migrate } from './migrate';
import { allocationsOf } from './repositories/builds';
import { isConstraintFailure, type Edit } from './repositories/journal';
import { undoEdit } from './repositories/undo';
import { logPart } from './repositories/parts';
import { ratingHistory, ratingsOfParts, recordPartRatings } from './repositories/ratings';
import { addReading, findStore, listStores } from './repositories/stores';
import { bins, builds, donors, lots, needs, parts, stockLedger } from './schema';
import { edited, moved } from './testing/edited';
import { MIGRATIONS, temporaryContext } from './testing/temporaryContext';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;

beforeEach(async () => {
  fixture = await temporaryContext();
});
afterEach(() => fixture.dispose());

const donorId = 'donor-1';

async function aDonor() {
  const { db } = fixture.app;
  await db.write((tx) =>
    tx.insert(donors).values({ id: donorId, code: 'K7F-2QM', description: 'adapter', createdMs: 0 }),
  );
}

async function aLot(pieces: number) {
  const { db } = fixture.app;
  await db.write(async (tx) => {
    await tx.insert(bins).values({ id: 'bin-1', code: 'C2-5', createdMs: 0 });
    await tx.insert(lots).values({ id: 'lot-1', code: 'M4R-9XK', kind: 'nmos', binId: 'bin-1', createdMs: 0 });
    await tx
      .insert(stockLedger)
      .values({ id: 'line-1', lotId: 'lot-1', atMs: 0, onHandDelta: pieces, reservedDelta: 0, reason: 'counted' });
  });
}

const balance = async () => (await fixture.app.db.read.select().from(lots).where(eq(lots.id, 'lot-1')))[0];

const move = (reason: 'reserved' | 'released' | 'used' | 'taken', pieces: number, needId?: string) =>
  moved(fixture.app, {
    lotId: 'lot-1',
    reason,
    onHandDelta: reason === 'used' || reason === 'taken' ? -pieces : 0,
    reservedDelta: { reserved: pieces, released: -pieces, used: -pieces, taken: 0 }[reason],
    ...(needId ? { needId } : {}),
  });
const take = (pieces: number) => move('taken', pieces);

describe('the stock ledger', () => {
  test('fifty takes at once from twenty pieces: twenty succeed, thirty are refused, nothing goes below zero', async () => {
    await aLot(20);
    const outcomes = await Promise.allSettled(Array.from({ length: 50 }, () => take(1)));
    expect(outcomes.filter(({ status }) => status === 'fulfilled')).toHaveLength(20);
    for (const outcome of outcomes)
      if (outcome.status === 'rejected') expect(isConstraintFailure(outcome.reason)).toBe(true);
    expect(await balance()).toMatchObject({ onHand: 0, reserved: 0 });
    const [lines] = await fixture.app.db.read.select({ n: count() }).from(stockLedger);
    expect(lines?.n).toBe(21);
  });

  test('reserved pieces cannot be taken, reserved or used twice', async () => {
    await aLot(3);
    const { app } = fixture;
    await app.db.write(async (tx) => {
      await tx.insert(builds).values({ id: 'build-1', code: 'B', title: 'lamp', createdMs: 0 });
      await tx
        .insert(needs)
        .values({ id: 'need-1', buildId: 'build-1', role: 'switch', filter: 'nmos', quantity: 2, createdMs: 0 });
    });

    await move('reserved', 2, 'need-1');
    await expect(take(2)).rejects.toThrow();
    await expect(move('reserved', 2, 'need-1')).rejects.toThrow();
    await move('used', 1, 'need-1');
    await move('released', 1, 'need-1');
    await expect(move('released', 1, 'need-1')).rejects.toThrow();
    expect(await balance()).toMatchObject({ onHand: 2, reserved: 0 });
    expect(await allocationsOf(app.db.read, ['need-1'])).toMatchObject([{ reserved: 0, used: 1 }]);
  });

  test('written lines cannot be changed or removed', async () => {
    await aLot(3);
    const { client } = fixture.app.db;
    await expect(client.execute('update stock_ledger set on_hand_delta = 99')).rejects.toThrow(/append-only/);
    await expect(client.execute('delete from stock_ledger')).rejects.toThrow(/append-only/);
  });

  test('killing the writer loses no acknowledged line', async () => {
    await aLot(0);
    const child = spawn(
      process.execPath,
      [join(process.cwd(), 'src/db/testing/ledgerWriter.mjs'), fixture.url, 'lot-1'],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    );
    const acknowledged = await new Promise<number>((resolve) => {
      let last = 0;
      child.stdout.on('data', (chunk: Buffer) => {
        last = Number(chunk.toString().trim().split('\n').at(-1));
        if (last >= 25) child.kill('SIGKILL');
      });
      child.on('exit', () => resolve(last));
    });
    const [lines] = await fixture.app.db.read.select({ n: count() }).from(stockLedger);
    expect((lines?.n ?? 0) - 1).toBeGreaterThanOrEqual(acknowledged);
    expect((await balance())?.onHand).toBe((lines?.n ?? 0) - 1);
    expect((await fixture.app.db.client.execute('pragma integrity_check')).rows[0]?.integrity_check).toBe('ok');
  });
});

describe('migrations', () => {
  function brokenMigrations(sqlText: string): string {
    const folder = join(fixture.folder, 'migrations');
    cpSync(MIGRATIONS, folder, { recursive: true });
    const file = join(folder, 'meta', '_journal.json');
    const log = JSON.parse(readFileSync(file, 'utf8')) as {
      entries: { idx: number; version: string; when: number; tag: string; breakpoints: boolean }[];
    };
    const last = log.entries.at(-1) as (typeof log.entries)[number];
    log.entries.push({ ...last, idx: last.idx + 1, when: last.when + 1000, tag: '0099_next' });
    writeFileSync(file, JSON.stringify(log));
    writeFileSync(join(folder, '0099_next.sql'), sqlText);
    return folder;
  }

  test('one that fails leaves the old file as it was, beside a copy', async () => {
    await aDonor();
    const folder = brokenMigrations(
      'ALTER TABLE donors ADD COLUMN extra text;\n--> statement-breakpoint\nALTER TABLE nowhere ADD COLUMN extra text;',
    );
    await expect(migrate(fixture.url, folder)).rejects.toThrow(/left as it was; a copy lies at .*before-0099/);
    const columns = await fixture.app.db.client.execute('pragma table_info(donors)');
    expect(columns.rows.map(({ name }) => name)).not.toContain('extra');
    expect(await fixture.app.db.read.select().from(donors)).toHaveLength(1);
    const copy = createClient({ url: `${fixture.url}.before-0099` });
    expect((await copy.execute('select code from donors')).rows[0]?.code).toBe('K7F-2QM');
    copy.close();
  });

  test('one that works keeps a copy of the file from before; running again does nothing', async () => {
    await aDonor();
    const folder = brokenMigrations('ALTER TABLE donors ADD COLUMN extra text;');
    const outcome = await migrate(fixture.url, folder);
    expect(outcome.applied).toEqual(['0099_next']);
    expect(existsSync(outcome.copy ?? '')).toBe(true);
    expect(await migrate(fixture.url, folder)).toEqual({ applied: [] });
  });

  test('a file from before the stations were in full keeps its donors and stores, as nothing more is known of them', async () => {
    const folder = join(fixture.folder, 'old');
    cpSync(MIGRATIONS, folder, { recursive: true });
    const file = join(folder, 'meta', '_journal.json');
    const log = JSON.parse(readFileSync(file, 'utf8')) as { entries: { idx: number }[] };
    writeFileSync(file, JSON.stringify({ ...log, entries: log.entries.filter(({ idx }) => idx < 2) }));
    const url = `file:${join(fixture.folder, 'old.db')}`;
    await migrate(url, folder);
    const old = createClient({ url });
    await old.execute("insert into donors (id, code, description, created_ms) values ('d', 'K7F-2QM', 'brick', 1)");
    await old.execute(
      "insert into stores (id, donor_id, name, role, capacitance_f, created_ms) values ('s', 'd', 'C3', 'bulk', 8.2e-5, 1)",
    );
    old.close();
    expect((await migrate(url, MIGRATIONS)).applied).toEqual([
      '0002_first-stations',
      '0003_identify',
      '0004_trace',
      '0005_photo-spots',
      '0006_meters-and-limits',
      '0007_harvest-runs',
      '0008_bins-and-filters',
      '0009_words-of-lots',
      '0010_lot-photos',
      '0011_paces-by-case',
      '0012_indexes-of-questions',
      '0013_scopes',
      '0014_tools-and-checks',
      '0015_alternating-ratings',
      '0016_undone-steps',
      '0017_kept-sums',
      '0018_repair-facts',
      '0019_power-up-marks',
      '0020_build_design',
      '0021_record',
      '0022_recordings',
      '0023_fittings',
      '0024_labelled',
    ]);
    const db = openDatabase(url);
    const [donor] = await db.read.select().from(donors);
    expect(donor).toMatchObject({ kind: 'other', plate: null, originKind: '', clearance: '', symptomKind: '' });
    expect((await listStores(db.read, 'd'))[0]?.store).toMatchObject({ bank: '', holdSource: 'auto', holdV: null });
    db.close();
  });

  test('every connection keeps foreign keys', async () => {
    await expect(
      fixture.app.db.client.execute(
        "insert into parts (id, donor_id, ref, kind, damage, state, created_ms) values ('p', 'nobody', 'Q1', 'nmos', '[]', 'on-board', 0)",
      ),
    ).rejects.toThrow(/FOREIGN KEY/);
  });
});

describe('edits', () => {
  const edit = (work: (open: Edit) => Promise<string>) => edited(fixture.app, { donorId, station: 'identify' }, work);
  const partRows = () => fixture.app.db.read.select().from(parts);

  test('an edit that fails half way leaves nothing', async () => {
    await aDonor();
    await expect(
      edit(async (open) => {
        await logPart(open, { ref: 'Q1', kind: 'nmos' });
        throw new Error('stop');
      }),
    ).rejects.toThrow('stop');
    expect(await partRows()).toHaveLength(0);
  });

  test('undo takes back what was added and what was changed', async () => {
    await aDonor();
    await edit(async (open) => (await logPart(open, { ref: 'Q1', kind: 'nmos', marking: '12N65' }), 'first'));
    const second = await edit(
      async (open) => (await logPart(open, { ref: 'Q1', kind: 'nmos', marking: '8N60', damage: ['burnt'] }), 'second'),
    );
    expect((await partRows())[0]).toMatchObject({ marking: '8N60', damage: ['burnt'] });
    expect(await undoEdit(fixture.app, second.journalId)).toEqual({ kind: 'undone', message: 'second' });
    expect((await partRows())[0]).toMatchObject({ marking: '12N65', damage: [] });
    expect(await undoEdit(fixture.app, second.journalId)).toEqual({ kind: 'already-undone' });
  });

  test('undo stands back when something else changed the row since', async () => {
    await aDonor();
    const first = await edit(async (open) => (await logPart(open, { ref: 'Q1', kind: 'nmos', marking: 'A' }), 'first'));
    const second = await edit(
      async (open) => (await logPart(open, { ref: 'Q1', kind: 'nmos', marking: 'B' }), 'second'),
    );
    await edit(async (open) => (await logPart(open, { ref: 'Q1', kind: 'nmos', marking: 'C' }), 'third'));
    expect((await undoEdit(fixture.app, second.journalId)).kind).toBe('changed-since');
    expect((await partRows())[0]?.marking).toBe('C');
    expect(first.message).toBe('first');
  });

  test('a stronger source supersedes a weaker one; a weaker one goes into the history', async () => {
    await aDonor();
    let partId = '';
    const rate = (value: number, source: 'decoded' | 'datasheet' | 'guessed') =>
      edit(async (open) => (await recordPartRatings(open, partId, [{ name: 'vds', value, source }]), 'rated'));
    await edit(async (open) => {
      partId = await logPart(open, { ref: 'Q1', kind: 'nmos' });
      return 'logged';
    });
    await rate(600, 'decoded');
    await rate(650, 'datasheet');
    const weaker = await rate(100, 'guessed');
    const present = async () => (await ratingsOfParts(fixture.app.db.read, [partId])).get(partId)?.vds;
    expect(await present()).toMatchObject({ value: 650, source: 'datasheet' });
    expect(
      (await ratingHistory(fixture.app.db.read, partId)).map(({ value, superseded }) => [value, superseded]),
    ).toEqual([
      [100, true],
      [650, false],
      [600, true],
    ]);
    await undoEdit(fixture.app, weaker.journalId);
    expect(await ratingHistory(fixture.app.db.read, partId)).toHaveLength(2);
  });

  test('readings without a time count by the clock; going back in time begins a new run', async () => {
    await aDonor();
    await edit(async (open) => {
      await open.insert('stores', { donorId, name: 'C3', role: 'bulk', capacitanceF: 82e-6, createdMs: 0 });
      return 'store';
    });
    const store = await findStore(fixture.app.db.read, donorId, 'C3');
    const read = (voltage: number, elapsed?: number) =>
      edit(async (open) => (await addReading(open, store as never, { voltage, resolution: 0.1, elapsed }), 'read'));
    await read(318, 0);
    await read(232, 12);
    await read(0.4);
    await read(300, 0);
    const [listed] = await listStores(fixture.app.db.read, donorId);
    expect(listed?.readings.map(({ run, elapsedS }) => [run, elapsedS])).toEqual([
      [1, 0],
      [1, 12],
      [2, 0],
      [3, 0],
    ]);
  });

  test('a reading by the clock after a long pause is no part of the old discharge', async () => {
    await aDonor();
    await edit(async (open) => {
      await open.insert('stores', { donorId, name: 'C3', role: 'bulk', capacitanceF: 82e-6, createdMs: 0 });
      return 'store';
    });
    const store = await findStore(fixture.app.db.read, donorId, 'C3');
    const at = (seconds: number) => ({ ...fixture.app, now: () => Date.UTC(2026, 10, 15) + seconds * 1000 });
    for (const seconds of [0, 60, 3600, 3600 + 7201])
      await edited(at(seconds), { donorId, station: 'make-safe' }, async (open) => {
        await addReading(open, store as never, { voltage: 300, resolution: 1 });
        return 'read';
      });
    const [listed] = await listStores(fixture.app.db.read, donorId);
    expect(listed?.readings.map(({ run, elapsedS }) => [run, elapsedS])).toEqual([
      [1, 0],
      [1, 60],
      [1, 3600],
      [2, 0],
    ]);
  });
});
