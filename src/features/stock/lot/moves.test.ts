import { exportLots, importLots, previewLots } from '../../../services/exchange';
import fc from 'fast-check';
import { limitsFrom } from '../../../core/measure';
import { allAtOnce } from '../../../core/steps';
import { KIND_NAMES, kindRule, RATINGS } from '../../../core/part';
import { lotTable, readLotTable, reformAdvice, type LotEntry } from '../../../core/stock';
import { valueOf } from '../../../services/command';
import { addNeed, moveParts, startBuild } from '../../builds/commands';
import { undoEdit } from '../../../db/repositories/undo';
import { findLot } from '../../../db/repositories/lotSearch';
import { lotLedger } from '../../../db/repositories/lots';
import { aShop } from '../../../db/testing/aShop';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { stockAsCsv, stockAsJson, readStock } from '../../../formats/stock';
import { latestStepAction } from '../find/actions';
import { placeOf } from '../labels/ScanSheet';
import { lotView } from './view.server';
import { countBin, sizeBin } from '../bins/commands';
import { removeFilter, saveFilter } from '../find/commands';
import { joinLots, moveToBin, splitLot } from './moves';
import { countForm } from '../bins/schema';
import { filterForm } from '../find/schema';
import { fittingsForm, joinForm, lotForm } from './schema';
import { ageingView, binsView, doneLately, stocktakeView } from '../bins/view.server';
import { addLot, fitLot, stickLabels, takePieces } from './commands';
import { stockView } from '../find/view.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let years = 0;
const app = () => ({ ...fixture.app, now: () => Date.UTC(2024 + years, 0, 2) });

beforeEach(async () => {
  years = 0;
  fixture = await temporaryContext();
  shareContext(app());
  const fet = { kind: 'nmos', marking: '12N65', package: 'TO-220', grade: 'A' } as const;
  await aShop(app(), {
    lots: [
      { code: 'CDD-DDM', ...fet, bin: 'C2-4', pieces: 5, ratings: { vds: [650, 'decoded'], rdsOn: [0.5, 'measured'] } },
      { code: 'HKK-KKD', ...fet, bin: 'C2-5', pieces: 2, ratings: { vds: [600, 'decoded'], rdsOn: [0.4, 'measured'] } },
      { code: 'NRR-RR5', ...fet, grade: 'B', bin: 'C2-5', pieces: 1 },
      {
        code: 'RYY-YYW',
        kind: 'capacitor' as const,
        bin: 'D1',
        pieces: 9,
        ratings: { capacitance: [100e-6, 'decoded'], voltage: [400, 'decoded'] },
      },
    ],
  });
});
afterEach(() => fixture.dispose());

const lot = async (code: string) => {
  const found = await findLot(fixture.app.db.read, code);
  if (!found) throw new Error(`no lot ${code}`);
  return found;
};
const pieces = async (code: string) => (await lot(code)).lot.onHand;
const undo = (outcome: { ok: boolean; undo?: string | undefined }) =>
  undoEdit(app(), outcome.ok ? (outcome.undo ?? '') : '');
const messages = (outcome: { ok: boolean; problems?: readonly { message: string }[] }) =>
  outcome.problems?.map(({ message }) => message).join(' ') ?? '';

async function setAside(code: string, quantity: number) {
  const build = valueOf(await startBuild(app(), { title: 'lamp', note: '' }));
  const { needId } = valueOf(await addNeed(app(), build.code, { role: 'switch', filter: 'nmos', quantity }));
  await moveParts(app(), { step: 'reserve', lotCode: code, needId, quantity });
}

describe('every change of stock can be undone', () => {
  test('long after: the latest stand in a list, and undo means the newest that stands', async () => {
    const lately = async () =>
      (await doneLately(app()))
        .slice(0, 5)
        .map(({ message: said, isUndone }) => `${isUndone ? 'undone: ' : ''}${said}`);
    await moveToBin(app(), { code: 'CDD-DDM', bin: 'E1' });
    await takePieces(app(), { code: 'RYY-YYW', quantity: 4, note: 'the lathe' });
    await setAside('HKK-KKD', 1);
    expect(await lately()).toEqual([
      '1 of HKK-KKD set aside for switch.',
      'switch: 1 of nmos.',
      'lamp is written down as PG6-TT9.',
      '4 taken out of RYY-YYW: the lathe.',
      expect.stringContaining('E1'),
    ]);
    for (const left of [4, 3, 2, 1, 0]) {
      await undoEdit(app(), (await latestStepAction()) ?? '');
      expect((await lately()).filter((one) => !one.startsWith('undone'))).toHaveLength(left);
    }
    expect([await pieces('RYY-YYW'), (await lot('CDD-DDM')).bin]).toEqual([9, 'C2-4']);
    expect((await doneLately(app())).filter(({ message: said }) => said.includes('counted in'))).toHaveLength(4);
  });

  test('moved', async () => {
    const outcome = await moveToBin(app(), { code: 'CDD-DDM', bin: 'E1' });
    expect((await lot('CDD-DDM')).bin).toBe('E1');
    await undo(outcome);
    expect((await lot('CDD-DDM')).bin).toBe('C2-4');
  });

  test('split off, with its ratings; never more than is free, and one stays', async () => {
    const outcome = await splitLot(app(), { code: 'CDD-DDM', quantity: 2, bin: 'C2-9' });
    const code = /lot ([A-Z0-9-]+)/.exec(outcome.ok ? (outcome.message ?? '') : '')?.[1] ?? '';
    expect(await lot(code)).toMatchObject({
      bin: 'C2-9',
      lot: { onHand: 2, grade: 'A' },
      ratings: { vds: { value: 650 } },
    });
    expect(await pieces('CDD-DDM')).toBe(3);
    expect(messages(await splitLot(app(), { code: 'CDD-DDM', quantity: 3, bin: 'C2-9' }))).toContain(
      'one at least stays',
    );
    await undo(outcome);
    expect(await pieces('CDD-DDM')).toBe(5);
    expect(await findLot(fixture.app.db.read, code)).toBeUndefined();
  });

  test('joined: the worse rating governs', async () => {
    const outcome = await joinLots(app(), { code: 'CDD-DDM', from: 'HKK-KKD' });
    expect(await lot('CDD-DDM')).toMatchObject({
      lot: { onHand: 7 },
      ratings: { vds: { value: 600 }, rdsOn: { value: 0.5 } },
    });
    expect(await pieces('HKK-KKD')).toBe(0);
    await undo(outcome);
    expect(await lot('CDD-DDM')).toMatchObject({ lot: { onHand: 5 }, ratings: { vds: { value: 650 } } });
  });

  test.each`
    from         | message
    ${'NRR-RR5'} | ${'grade is B, here it is A'}
    ${'RYY-YYW'} | ${'kind is capacitor'}
    ${'CDD-DDM'} | ${'not joined with itself'}
    ${'JJJ-JJJ'} | ${'no lot JJJ-JJJ'}
  `('$from is not joined: $message', async ({ from, message }) => {
    expect(messages(await joinLots(app(), { code: 'CDD-DDM', from }))).toContain(message);
  });

  test('values tell like from unlike, and what one lot alone knows is not known of both', async () => {
    const can = async (values: string) => {
      const form = {
        kind: 'capacitor' as const,
        package: 'radial',
        values,
        marking: '',
        grade: '' as const,
        limit: '' as const,
        bin: 'Z1',
        pieces: 2,
      };
      const outcome = await addLot(app(), form);
      return outcome.ok ? (outcome.goto?.split('/').at(-1) ?? '') : messages(outcome);
    };
    const [first, like, larger, unread] = [
      await can('220u 35V'),
      await can('224u'),
      await can('470u 35V'),
      await can(''),
    ];
    expect((await lotView(app(), first))?.like.map(({ code }) => code)).toEqual([like]);
    const refused = async (from: string) => messages(await joinLots(app(), { code: first, from }));
    expect(await refused(larger)).toMatch(/capacitance is 470.µF, here it is 220.µF/);
    expect(await refused(unread)).toMatch(/capacitance is not known, here it is/);
    const outcome = await joinLots(app(), { code: first, from: like });
    expect(Object.keys((await lot(first)).ratings)).toEqual(['capacitance']);
    await undo(outcome);
    expect((await lot(first)).ratings.voltage?.value).toBe(35);
  });

  test('counted: what is missing is booked, what was set aside stays', async () => {
    const outcome = await countBin(app(), { bin: 'C2-5', counts: { 'HKK-KKD': 1 } });
    expect(outcome).toMatchObject({ ok: true, message: '1 lot counted in C2-5, 1 put right.' });
    expect(await pieces('HKK-KKD')).toBe(1);
    expect((await binsView(app())).cabinets[0]?.drawers.find(({ code }) => code === 'C2-5')?.counted).toBe(
      '2 Jan 2024',
    );
    await undo(outcome);
    expect(await pieces('HKK-KKD')).toBe(2);
    await setAside('HKK-KKD', 2);
    expect(await countBin(app(), { bin: 'C2-5', counts: { 'HKK-KKD': 1, 'NRR-RR5': 3 } })).toMatchObject({
      ok: false,
      problems: [{ field: 'counts.HKK-KKD', message: expect.stringContaining('2 are set aside') }],
    });
    // Nothing of a refused count is booked.
    expect(await pieces('NRR-RR5')).toBe(1);
    expect(await joinLots(app(), { code: 'CDD-DDM', from: 'HKK-KKD' })).toMatchObject({ ok: false });
    expect(
      (await stocktakeView(app(), 'c2-5'))?.lots.map(({ code, booked, reserved }) => [code, booked, reserved]),
    ).toEqual([
      ['HKK-KKD', 2, 2],
      ['NRR-RR5', 1, 0],
    ]);
  });

  test('a bin has its room, a question its name', async () => {
    await sizeBin(app(), { bin: 'C2-4', capacity: 3 });
    expect((await ageingView(app())).full).toEqual([{ code: 'C2-4', message: '5 pieces, 3 fit' }]);
    const kept = await saveFilter(app(), { name: 'switches', filter: 'nmos >=600V' });
    const [saved] = (await stockView(app(), '')).saved;
    expect(saved).toMatchObject({ name: 'switches', href: '/stock?find=nmos%20%3E%3D600V' });
    const removed = await removeFilter(app(), saved?.id ?? '');
    expect((await stockView(app(), '')).saved).toEqual([]);
    await undo(removed);
    expect((await stockView(app(), '')).saved).toHaveLength(1);
    await undo(kept);
    expect((await stockView(app(), '')).saved).toEqual([]);
  });
});

// Ledger law: whatever is done at once, the lots hold what their lines add up to, and no piece appears or is lost.
test('under parallel moves the ledger and the lots agree, and the pieces stay as many', async () => {
  const step = fc.oneof(
    fc.record({ kind: fc.constant('split' as const), quantity: fc.integer({ min: 1, max: 3 }) }),
    fc.record({ kind: fc.constant('join' as const) }),
    fc.record({ kind: fc.constant('move' as const), bin: fc.constantFrom('X1', 'X2') }),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 4, maxLength: 10 }), async (steps) => {
      const before = (await stockView(app(), 'nmos')).pieces;
      await Promise.all(
        steps.map((one) =>
          one.kind === 'split'
            ? splitLot(app(), { code: 'CDD-DDM', quantity: one.quantity, bin: 'X1' })
            : one.kind === 'join'
              ? joinLots(app(), { code: 'CDD-DDM', from: 'HKK-KKD' })
              : moveToBin(app(), { code: 'HKK-KKD', bin: one.bin }),
        ),
      );
      expect((await stockView(app(), 'nmos')).pieces).toBe(before);
      for (const code of ['CDD-DDM', 'HKK-KKD']) {
        const { lot: row } = await lot(code);
        const lines = await lotLedger(fixture.app.db.read, row.id);
        expect(lines.reduce((sum, { onHandDelta }) => sum + onHandDelta, 0)).toBe(row.onHand);
        expect(row.onHand).toBeGreaterThanOrEqual(row.reserved);
      }
    }),
    { seed: 3, numRuns: 8 },
  );
});

describe('what lies too long', () => {
  test('cans and what nobody wanted, after two years', async () => {
    expect((await ageingView(app())).cans).toEqual([]);
    years = 3;
    shareContext(app());
    const { cans, unwanted } = await ageingView(app());
    expect(cans.map(({ code }) => code)).toEqual(['RYY-YYW']);
    expect(cans[0]?.message).toMatch(/400.V through 10 to 100 kΩ.*Enclosed/);
    expect(unwanted).toHaveLength(4);
    await setAside('CDD-DDM', 1);
    expect((await ageingView(app())).unwanted.map(({ code }) => code)).not.toContain('CDD-DDM');
  });

  test('a low-voltage can needs no enclosure', () => {
    expect(reformAdvice({ years: 3, volts: 25 })).not.toContain('Enclosed');
    expect(reformAdvice({ years: 12, volts: null })).toContain('12 years');
  });
});

test('near misses come with the demand that would let them in, kept questions and files with the same rows', async () => {
  const view = await stockView(app(), 'nmos vds>=620');
  expect(view.rows).toHaveLength(1);
  expect(view.near).toMatchObject([
    { message: expect.stringMatching(/^1 more if 600.V will do$/), href: '/stock?find=nmos%20vds%3E%3D600V' },
  ]);
  expect(view.best).toMatchObject({ code: 'CDD-DDM', verdict: 'fits' });
  expect((await stockView(app(), 'nmos vds>=600V')).rows).toHaveLength(2);
  expect((await exportLots(app().db.read, 'nmos vds>=620', 'csv'))?.split('\r\n')).toHaveLength(3);
  expect(await exportLots(app().db.read, 'nmos vds>=tall', 'csv')).toBeUndefined();
});

describe('lists in and out', () => {
  test('what goes out comes in at another bench as it was; at the same one nothing is counted twice', async () => {
    const csv = (await exportLots(app().db.read, '', 'csv')) ?? '';
    const json = (await exportLots(app().db.read, '', 'json')) ?? '';
    expect(await previewLots(app(), csv)).toMatchObject({ lots: 0, refusedCount: 4 });
    const other = await temporaryContext();
    for (const text of [csv, json]) {
      const entries = allAtOnce(readStock(text)).read.map(({ entry }) => entry);
      expect(stockAsCsv(entries)).toBe(csv);
      expect(stockAsJson(entries)).toBe(json);
    }
    expect(await importLots(other.app, csv)).toMatchObject({ ok: true, message: '4 lots came in from a list.' });
    expect(await exportLots(other.app.db.read, '', 'json')).toBe(json);
    other.dispose();
  });

  test('good rows in, bad rows named, all at once; and the whole list taken back', async () => {
    const csv = [
      'kind,marking,pieces,bin,grade,limits,vds,colour',
      "nmos,'=1+1,3,E1,A,no mains,650 V; datasheet,red",
      'nmos,10N60,0,E1,,,,',
      'spaceship,X,1,E1,,,,',
      'nmos,11N60,1,the red box,,,,',
      'nmos,12N60,1,E1,D,,,',
      'nmos,13N60,1,E1,,no soup,,',
      'nmos,14N60,1,E1,,,tall,',
      'nmos,15N60,1,E1,,vds 500%,,',
      'capacitor,,4,E2,B,"no ripple, voltage 80%",,',
    ].join('\n');
    const preview = await previewLots(app(), csv);
    expect(preview).toMatchObject({ lots: 3, pieces: 8, bins: 3, refusedCount: 7 });
    expect(preview.refused.map(({ line, why }) => `${line} ${why.slice(0, 22)}`)).toEqual([
      '1 Column “colour” is lef',
      '3 Pieces “0”: a whole nu',
      '4 Kind “spaceship” is no',
      '6 Grade “D”: A, B, C or ',
      '7 Limit “no soup”: a use',
      '8 drain to source: “tall',
      '9 Limit “vds 500%”: a us',
    ]);
    const outcome = await importLots(app(), csv);
    expect(outcome).toMatchObject({ ok: true, message: '3 lots came in from a list; 7 rows were refused.' });
    const [code = ''] = (await stockView(app(), 'bin:E1')).rows.map(({ cells }) => cells.lot?.text ?? '');
    expect((await lot(code)).lot).toMatchObject({
      marking: '=1+1',
      onHand: 3,
      limits: [{ kind: 'not-for', use: 'mains' }],
    });
    // A spreadsheet gets the formula as a text again.
    expect(await exportLots(app().db.read, 'bin:E1', 'csv')).toContain("'=1+1");
    await undo(outcome);
    expect((await stockView(app(), 'bin:E1')).total).toBe(0);
    const again = await importLots(app(), csv);
    const [second = ''] = (await stockView(app(), 'bin:E1')).rows.map(({ cells }) => cells.lot?.text ?? '');
    await moveToBin(app(), { code: second, bin: 'E9' });
    expect(await undo(again)).toEqual({ kind: 'changed-since', holds: { lots: [second] } });
    expect((await stockView(app(), 'bin:E9')).total).toBe(1);
  });

  test.each`
    text                                                      | why
    ${''}                                                     | ${/empty/}
    ${'{"format":"other/1"}'}                                 | ${/zorvek.stock\/1/}
    ${'{"format":'}                                           | ${/no JSON/}
    ${'marking,bin\nx,E1'}                                    | ${/Nothing says what kind/}
    ${'{"format":"zorvek.stock/1","lots":[{"kind":"nmos"}]}'} | ${/pieces/}
  `('“$text” is refused', ({ text, why }) => {
    expect(allAtOnce(readStock(text as string)).refused[0]?.why).toMatch(why as RegExp);
  });

  // Law: whatever a lot is, a table of it reads back as the same lot.
  const entry: fc.Arbitrary<LotEntry> = fc.constantFrom(...KIND_NAMES).chain((kind) =>
    fc.record({
      code: fc.constant(''),
      kind: fc.constant(kind),
      subtype: fc.constant(''),
      technology: fc.constantFrom('', 'schottky'),
      marking: fc.string({ maxLength: 12 }).map((text) => text.trim().replace(/^'+/, '')),
      package: fc.constantFrom('', 'TO-220'),
      grade: fc.constantFrom('', 'A', 'B', 'C'),
      limits: fc.constantFrom(
        limitsFrom([]),
        limitsFrom([
          { kind: 'not-for', use: 'mains' },
          { kind: 'derated', rating: 'vds', share: 0.8 },
        ]),
      ),
      pieces: fc.integer({ min: 1, max: 9999 }),
      bin: fc.constantFrom('E1', 'C2-5'),
      note: fc.constantFrom('', '=cmd', '- as found'),
      ratings: fc
        .subarray(kindRule(kind).ratings.filter((name) => !['celsius', 'ratio'].includes(RATINGS[name].unit)))
        .map((names) => Object.fromEntries(names.map((name) => [name, { value: 47, source: 'measured' as const }]))),
    }),
  );
  test('a table of lots reads back as the same lots', () => {
    fc.assert(
      fc.property(fc.array(entry, { minLength: 1, maxLength: 5 }), (entries) => {
        const { read, refused } = allAtOnce(readLotTable(lotTable(entries)));
        expect(refused).toEqual([]);
        expect(read.map((one) => one.entry)).toEqual(entries);
      }),
      { seed: 10, numRuns: 150 },
    );
  });
});

test.each`
  text                                        | place
  ${'http://barn.example:3000/stock/CDD-DDM'} | ${'/stock/CDD-DDM'}
  ${'soup'}                                   | ${undefined}
`('a square that says “$text” leads to $place', ({ text, place }) => {
  expect(placeOf(text as string)).toBe(place);
});

test.each`
  form          | fields                                       | ok
  ${countForm}  | ${{ counts: { A: '3', B: '' }, other: 'x' }} | ${true}
  ${countForm}  | ${{ counts: { A: 'three' } }}                | ${false}
  ${countForm}  | ${{ counts: { A: '-1' } }}                   | ${false}
  ${joinForm}   | ${{ from: 'nonsense' }}                      | ${false}
  ${filterForm} | ${{ name: '', filter: 'nmos' }}              | ${false}
`('$fields is taken: $ok', ({ form, fields, ok }) => {
  expect((form as typeof filterForm).safeParse(fields).success).toBe(ok);
});

test('what counts when a supply is used whole is written down, goes with a split, and is taken back by undo', async () => {
  const typed = { kind: 'assembly', package: '', marking: 'SD-5', values: '5V', pieces: '3', grade: 'A', bin: 'M1' };
  const { code } = valueOf(await addLot(app(), lotForm.parse(typed)));
  const form = fittingsForm.parse({
    plug: 'usb-c',
    cooling: 'air',
    mounting: '',
    protection: 'III',
    trimmedTo: '',
    ripple: '45mV',
  });
  const written = await fitLot(app(), code, form);
  const of = async (lot: string) => (await findLot(app().db.read, lot))?.lot.fittings;
  const fittings = { plug: 'usb-c', cooling: 'air', protection: 'III', ripple: 0.045 };
  expect(await of(code)).toEqual(fittings);
  expect((await lotView(app(), code))?.fittings).toEqual(fittings);
  const { code: other } = valueOf(await splitLot(app(), { code, quantity: 1, bin: 'M2' }));
  expect(await of(other)).toEqual(fittings);
  await undo(written);
  expect(await of(code)).toEqual({});
  expect(
    fittingsForm.safeParse({ ...typed, plug: 'barrel', ripple: 'lots' }).error?.issues.map(({ path }) => path[0]),
  ).toEqual(expect.arrayContaining(['plug', 'ripple']));
});

test('a label that is stuck on is noted, a piece that is split off wants its own', async () => {
  const stuck = async (code: string) => (await lot(code)).lot.labelledMs;
  expect(await stuck('CDD-DDM')).toBeNull();
  const outcome = await stickLabels(app(), ['CDD-DDM', 'HKK-KKD']);
  expect([await stuck('CDD-DDM'), await stuck('HKK-KKD')]).toEqual([app().now(), app().now()]);
  const { code } = valueOf(await splitLot(app(), { code: 'CDD-DDM', quantity: 1, bin: 'M2' }));
  expect(await stuck(code)).toBeNull();
  await undo(outcome);
  expect([await stuck('CDD-DDM'), await stuck('HKK-KKD')]).toEqual([null, null]);
});
