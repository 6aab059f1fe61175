import { sql } from 'drizzle-orm';
import { bins, donors, journal, lotRatings, lots, notes, stockLedger } from '../../db/schema';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { readSettings } from '../../db/repositories/settings';
import type { Edit } from '../../db/repositories/journal';
import { ON_STOCK, refusal, refuse, redoStep, run, undoLatest, undoStep, valueOf, type Outcome } from '.';

let fixture: Awaited<ReturnType<typeof temporaryContext>>;
const app = () => fixture.app;
const CODE = 'K7F-2QM';
const AT_OPEN = { scope: 'donor', code: CODE, station: 'open' } as const;

beforeEach(async () => {
  fixture = await temporaryContext();
  await app().db.write((tx) =>
    tx.insert(donors).values({ id: 'd1', code: CODE, description: 'adapter', createdMs: 1 }),
  );
});
afterEach(() => fixture.dispose());

const jot = async (edit: Edit, text: string) =>
  edit.insert('notes', { donorId: 'd1', station: 'open', text, question: false, createdMs: app().now() });
const noteCount = async () => (await app().db.read.select().from(notes)).filter(({ deletedMs }) => !deletedMs).length;
const entries = () => app().db.read.select().from(journal);
const codes = (outcome: Outcome<unknown>) => (outcome.ok ? [] : outcome.problems.map(({ code }) => code));
const failing = (code: string) => Object.assign(new Error(`${code}: as the database says it`), { code });

describe('a command', () => {
  test('is one entry of the journal, however many rows it writes, and is undone whole', async () => {
    const outcome = await run(app(), AT_OPEN, async (edit, donor) => {
      for (const text of ['two clips', 'no glue', 'one screw']) await jot(edit, text);
      return { message: `${donor.code} is open.`, value: 3, goto: '/next' };
    });
    expect(outcome).toMatchObject({ ok: true, message: `${CODE} is open.`, value: 3, goto: '/next' });
    expect(await entries()).toMatchObject([
      { scope: 'donor', donorId: 'd1', station: 'open', message: `${CODE} is open.` },
    ]);
    expect(await noteCount()).toBe(3);
    const id = (outcome.ok && outcome.undo) || '';
    expect(await undoStep(app(), id)).toMatchObject({ ok: true, redo: id });
    expect(await noteCount()).toBe(0);
    expect(await redoStep(app(), id)).toMatchObject({ ok: true, undo: id });
    expect(await noteCount()).toBe(3);
    expect(codes(await redoStep(app(), id))).toEqual(['redo-impossible']);
  });

  test('of stock and of ratings is done again as it was, and not over what was done since', async () => {
    await app().db.write(async (tx) => {
      await tx.insert(bins).values({ id: 'b1', code: 'A-1', createdMs: 1 });
      await tx.insert(lots).values({ id: 'l1', code: 'M4R-9XK', kind: 'nmos', binId: 'b1', createdMs: 1 });
    });
    const step = await run(app(), ON_STOCK, async (edit) => {
      await edit.ledger({ lotId: 'l1', onHandDelta: 4, reservedDelta: 0, reason: 'counted', note: '' });
      await edit.insert('lotRatings', { lotId: 'l1', name: 'vds', valueSi: 600, source: 'typed', recordedMs: 1 });
      await edit.update('lots', 'l1', { grade: 'B' });
      return 'four counted';
    });
    const id = (step.ok && step.undo) || '';
    const stands = async () => {
      const [lot] = await app().db.read.select().from(lots);
      return [lot?.onHand, lot?.grade, (await app().db.read.select().from(lotRatings)).length];
    };
    for (const round of [1, 2]) {
      expect(await undoStep(app(), id)).toMatchObject({ ok: true });
      expect([round, await stands()]).toEqual([round, [0, null, 0]]);
      expect(await redoStep(app(), id)).toMatchObject({ ok: true });
      expect([round, await stands()]).toEqual([round, [4, 'B', 1]]);
    }
    await undoStep(app(), id);
    await run(app(), ON_STOCK, async (edit) => (await edit.update('lots', 'l1', { grade: 'C' }), 'graded'));
    expect(codes(await redoStep(app(), id))).toEqual(['redo-impossible']);
    expect(await stands()).toEqual([0, 'C', 0]);
  });

  test('that refuses stores nothing of what it wrote before', async () => {
    const outcome = await run(app(), AT_OPEN, async (edit) => {
      await jot(edit, 'two clips');
      return refuse('part-not-logged', { ref: 'R7' }, 'ref');
    });
    expect(outcome).toMatchObject({ ok: false, problems: [{ code: 'part-not-logged', field: 'ref' }] });
    expect([await noteCount(), (await entries()).length]).toEqual([0, 0]);
  });

  test('that breaks off for another reason stores nothing either, and says so to the caller', async () => {
    const broken = run(app(), AT_OPEN, async (edit) => {
      await jot(edit, 'two clips');
      throw new Error('out of paper');
    });
    await expect(broken).rejects.toThrow('out of paper');
    expect([await noteCount(), (await entries()).length]).toEqual([0, 0]);
  });

  test('reads within its own transaction: of two at once the second sees what the first wrote', async () => {
    const count = () =>
      run(app(), AT_OPEN, async (edit) => {
        const [row] = await edit.tx.select({ total: sql<number>`count(*)` }).from(notes);
        await jot(edit, 'one more');
        return { message: 'counted', value: row?.total ?? -1 };
      });
    const seen = (await Promise.all([count(), count(), count()])).map(valueOf);
    expect(seen.toSorted()).toEqual([0, 1, 2]);
  });
});

describe('whose a command is', () => {
  test.each(['stock', 'types', 'builds', 'settings'] as const)('one on %s is the shop’s', async (scope) => {
    await run(app(), { scope }, async (edit) => {
      await edit.setting('touchLimit', 50);
      return 'fifty';
    });
    expect(await entries()).toMatchObject([{ scope, donorId: null, station: '' }]);
  });

  test.each([
    ['a donor that is not there', { ...AT_OPEN, code: 'ZZZ-ZZZ' }, 'donor-gone'],
    [
      'one that is not archived, looked for in the archive',
      { ...AT_OPEN, archived: true } as const,
      'donor-not-archived',
    ],
  ])('%s is refused before any work', async (_what, scope, code) => {
    const work = jest.fn(async () => 'done');
    expect(codes(await run(app(), scope, work))).toEqual([code]);
    expect(work).not.toHaveBeenCalled();
  });

  test('the latest step of a donor is the one that undo takes, not the shop’s', async () => {
    await run(app(), AT_OPEN, async (edit) => (await jot(edit, 'two clips'), 'noted'));
    await run(app(), { scope: 'settings' }, async (edit) => (await edit.setting('touchLimit', 50), 'fifty'));
    expect(await undoLatest(app(), CODE)).toMatchObject({ ok: true, message: 'Undone: noted' });
    expect(codes(await undoLatest(app(), CODE))).toEqual(['undo-nothing']);
    expect((await readSettings(app().db.read)).touchLimit).toBe(50);
  });
});

describe('what the database says', () => {
  const onLot = (delta: number) =>
    run(app(), ON_STOCK, async (edit) => {
      await edit.ledger({ lotId: 'l1', onHandDelta: delta, reservedDelta: 0, reason: 'used', note: '' });
      return 'taken';
    });

  test('a refused row is answered by what the command says of it', async () => {
    await app().db.write(async (tx) => {
      await tx.insert(bins).values({ id: 'b1', code: 'C2-5', createdMs: 0 });
      await tx.insert(lots).values({ id: 'l1', code: 'M4R-9XK', kind: 'nmos', binId: 'b1', createdMs: 0 });
      const counted = { id: 's1', lotId: 'l1', atMs: 0, onHandDelta: 2, reservedDelta: 0, reason: 'counted' as const };
      await tx.insert(stockLedger).values(counted);
    });
    expect(await onLot(-1)).toMatchObject({ ok: true });
    expect(codes(await onLot(-5))).toEqual(['stock-changed']);
    expect(await app().db.read.select({ left: lots.onHand }).from(lots)).toEqual([{ left: 1 }]);
  });

  test('a refused row that the command does not expect is an error, not an answer', async () => {
    const work = async (): Promise<string> => {
      throw failing('SQLITE_CONSTRAINT_UNIQUE');
    };
    await expect(run(app(), AT_OPEN, work)).rejects.toThrow('SQLITE_CONSTRAINT');
    const expected = { ...AT_OPEN, onConflict: refusal('part-exists', { ref: 'R7' }) };
    expect(codes(await run(app(), expected, work))).toEqual(['part-exists']);
  });

  test('a database that another holds is tried again, each time from the beginning', async () => {
    let tries = 0;
    const outcome = await run(app(), AT_OPEN, async (edit) => {
      tries += 1;
      await jot(edit, 'two clips');
      if (tries < 3) throw failing('SQLITE_BUSY');
      return 'noted';
    });
    expect(outcome).toMatchObject({ ok: true });
    expect([tries, await noteCount(), (await entries()).length]).toEqual([3, 1, 1]);
  });

  test('one that stays busy is refused after a few tries, with nothing stored', async () => {
    let tries = 0;
    const outcome = await run(app(), AT_OPEN, async (edit) => {
      tries += 1;
      await jot(edit, 'two clips');
      throw failing('SQLITE_BUSY');
    });
    expect(codes(outcome)).toEqual(['busy']);
    expect([tries, await noteCount()]).toEqual([4, 0]);
  });
});

test('a scenario stops at what was refused, with its sentence', () => {
  expect(() => valueOf({ ok: false, problems: [refusal('part-not-logged', { ref: 'R7' })] })).toThrow('R7');
  expect(valueOf({ ok: true, message: '', value: 7 })).toBe(7);
});
