import { eq } from 'drizzle-orm';
import { donors, lots, parts, powerUpMarks, soakRows } from '../../db/schema';
import { aShop } from '../../db/testing/aShop';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { wholeSheet } from './whole.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;

/** A unit with its label; how it did under load, where it was run. */
async function unit(
  code: string,
  nameplate: string,
  of: { kind?: 'desk-brick' | 'appliance-board'; volts?: readonly number[]; taken?: boolean } = {},
) {
  const { kind = 'desk-brick', volts = [], taken = false } = of;
  await fixture.app.db.write(async (tx) => {
    await tx.insert(donors).values({ id: code, code, description: 'brick', kind, nameplate, createdMs: 1 });
    for (const [place, outputV] of volts.entries())
      await tx.insert(soakRows).values({
        id: `${code}-${place}`,
        donorId: code,
        run: 1,
        elapsedS: 1800 * place,
        outputV,
        loadA: 1,
        inputW: 15,
        takenMs: place,
      });
    if (taken)
      await tx.insert(parts).values({
        id: `${code}-q1`,
        donorId: code,
        ref: 'Q1',
        kind: 'nmos',
        damage: [],
        state: 'harvested',
        createdMs: 1,
      });
  });
}

beforeEach(async () => {
  fixture = await temporaryContext();
  await unit('AAA-111', 'INPUT 230V~ OUTPUT 12V 5A class II', { volts: [12, 12, 12, 12, 12] });
  await unit('BBB-222', 'INPUT 230V~ OUTPUT 12V 2A class II');
  await unit('CCC-333', 'INPUT 230V~ OUTPUT 24V 3A class I');
  await unit('DDD-444', 'INPUT 230V~ OUTPUT 12V 9A', { taken: true });
  await unit('EEE-555', 'INPUT 230V~ OUTPUT 12V 3A', { kind: 'appliance-board' });
  await aShop(fixture.app, {
    lots: [
      {
        code: 'MOD-005',
        kind: 'assembly',
        grade: 'A',
        pieces: 2,
        ratings: { vout: [5, 'measured'], iout: [2, 'datasheet'] },
      },
    ],
  });
});
afterEach(() => fixture.dispose());

const sheet = async (query: Record<string, string>) =>
  JSON.parse(JSON.stringify(await wholeSheet(fixture.app, query)).replaceAll('\u00a0', ' ')) as Awaited<
    ReturnType<typeof wholeSheet>
  >;

test('what is whole and gives it is told, the proven one as good; what parts were taken from, and what stands on the mains, is not', async () => {
  const { rows, asked } = await sheet({ volts: '12V', amps: '1.5A', isolated: 'yes' });
  expect(asked).toBe('12 V at 1.5 A, isolated');
  expect(rows.map(({ code, verdict }) => [code, verdict])).toEqual([
    ['AAA-111', 'good'],
    ['BBB-222', 'limits'],
  ]);
  expect(rows[1]?.checks.find(({ isBad }) => isBad)?.text).toBe('it was never run under load here: do that first');
});

test('stacks come to volts that none gives, with what is earthed told', async () => {
  const { rows, stacks } = await sheet({ volts: '36V', amps: '1A' });
  expect(rows).toEqual([]);
  expect(stacks[0]?.of.map(({ code }) => code).toSorted()).toEqual(['AAA-111', 'CCC-333']);
  expect(stacks[0]?.checks.some(({ text, isBad }) => isBad && text.startsWith('read ohms from each minus'))).toBe(true);
});

test('a subassembly of the drawers counts with its pieces', async () => {
  const { rows, stacks } = await sheet({ volts: '5V', amps: '3A' });
  expect(rows).toEqual([]);
  expect(stacks[0]).toMatchObject({ way: 'Side by side', of: [{ code: 'MOD-005', count: 2 }], verdict: 'limits' });
});

test('plug, cooling, mounting and measured ripple count, of donors and of lots alike', async () => {
  const { db } = fixture.app;
  await db.write(async (tx) => {
    await tx
      .update(donors)
      .set({ fittings: { plug: 'barrel-2.1', cooling: 'fan', mounting: 'stands', ripple: 0.02 } })
      .where(eq(donors.code, 'AAA-111'));
    // What was read at the first power-up counts before what somebody wrote.
    await tx.insert(powerUpMarks).values([
      { id: 'm1', donorId: 'AAA-111', run: 1, step: 'ripple:+12V', text: '0.5V', outcome: 'stop', createdMs: 1 },
      { id: 'm2', donorId: 'AAA-111', run: 2, step: 'ripple:+12V', text: '90mV', outcome: 'pass', createdMs: 2 },
    ]);
    await tx
      .update(lots)
      .set({ fittings: { plug: 'terminals', mounting: 'chassis', protection: 'III', trimmedTo: 6 } })
      .where(eq(lots.code, 'MOD-005'));
  });
  const bad = (rows: Awaited<ReturnType<typeof sheet>>['rows'], code: string) =>
    rows
      .find((row) => row.code === code)
      ?.checks.filter(({ isBad }) => isBad)
      .map(({ text }) => text);
  const brick = await sheet({ volts: '12V', amps: '1.5A', ripple: '100mV', plug: 'barrel-2.5', quiet: 'yes' });
  expect(bad(brick.rows, 'AAA-111')).toEqual([
    expect.stringMatching(/^barrel 5\.5 × 2\.1 mm, barrel 5\.5 × 2\.5 mm is asked/),
    expect.stringMatching(/^a fan of its own: it is heard/),
  ]);
  expect((await sheet({ volts: '12V', amps: '1.5A', ripple: '50mV' })).rows.map(({ code }) => code)).toEqual([
    'BBB-222',
  ]);
  const board = await sheet({ volts: '5.8V', amps: '1A', mounting: 'chassis' });
  expect(bad(board.rows, 'MOD-005')).toEqual(['5 V to 6 V: set it to 5.8 V without load, and measure']);
});

test('where nothing does it, what has the volts and lacks one thing is told with what it lacks', async () => {
  const { rows } = await sheet({ volts: '12V', amps: '20A' });
  expect(rows.map(({ code, verdict }) => [code, verdict])).toEqual([
    ['BBB-222', 'no'],
    ['AAA-111', 'no'],
  ]);
  expect(rows[0]?.checks.find(({ isBad }) => isBad)?.text).toBe('20 A of 2 A: more than it gives');
});

test('a fan gets what runs it', async () =>
  expect((await sheet({ fan: '12V' })).fans.map(({ title }) => title.split(' ')[0]).toSorted()).toEqual([
    'AAA-111',
    'BBB-222',
  ]));

test.each([
  [{ volts: '12x', amps: '1A' }, /^Volts: /],
  [{ volts: '12V', amps: '' }, /^Current: /],
  [{ volts: '0V', amps: '1A' }, /above 0/],
  [{ fan: 'big' }, /^Fan: /],
  [{ volts: '12V', amps: '1A', ripple: 'low' }, /^Ripple: /],
])('%j is refused', async (query, why) => {
  const { problem, rows } = await sheet(query as Record<string, string>);
  expect([problem, rows]).toEqual([expect.stringMatching(why), []]);
});
