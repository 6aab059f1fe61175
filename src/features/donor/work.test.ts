import { valueOf } from '../../services/command';
import { eq } from 'drizzle-orm';
import { lots, parts, stationMarks } from '../../db/schema';
import { findDonor, donorOverview } from '../../db/repositories/donors';
import { findLot } from '../../db/repositories/lotSearch';
import { findPart } from '../../db/repositories/parts';
import { ratingHistory } from '../../db/repositories/ratings';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { donorForm } from './intake/schema';
import { partForm } from './identify/schema';
import { storeForm } from './safe/schema';
import { takePart } from './harvest/takePart';
import { acceptDecoding, logPartForm, removePart, typeRating } from './identify/commands';
import { decodingId, decodingsOf } from './identify/decodings';
import { amendDonor, restoreDonor, archiveDonor, registerDonor } from './intake/commands';
import { finishStation, goOn } from './shared/commands';
import { recordLine } from './shared/recordLine';
import { addStore, removeStore } from './safe/commands';
import { measurePart } from './test/commands';
import { undoLatest, undoStep } from '../../services/command/undo';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

beforeEach(async () => {
  fixture = await temporaryContext();
  code = await aDonor();
});
afterEach(() => fixture.dispose());

async function aDonor(): Promise<string> {
  const form = donorForm.parse({
    description: 'adapter',
    maker: 'Velkin',
    nameplate: 'INPUT 100-240V~ 1.5A OUTPUT 24V 2.5A',
    length: '115mm',
  });
  return valueOf(await registerDonor(fixture.app, form)).code;
}

const type = (line: string) => recordLine(fixture.app, { code, station: 'intake', line });
const donor = async () =>
  (await findDonor(fixture.app.db.read, code)) as NonNullable<Awaited<ReturnType<typeof findDonor>>>;
const overview = async () => donorOverview(fixture.app.db.read, await donor());
const part = async (ref: string) => findPart(fixture.app.db.read, (await donor()).id, ref);
const messages = (outcome: { ok: boolean; problems?: readonly { message: string }[] }) =>
  outcome.problems?.map(({ message }) => message).join(' ') ?? '';

const READING_12N65 =
  decodingsOf({ kind: 'nmos', package: null, marking: '12N65', block: null }).map(decodingId)[0] ?? '';

async function aGoodMosfet(ref: string) {
  await type(`${ref} nmos to-220 marked 12N65`);
  await acceptDecoding(fixture.app, { code, ref, decoding: READING_12N65 });
  await type(`${ref} measures sd 0.51 ds OL gs OL hold 15s`);
}

describe('a line of the bench', () => {
  test('becomes a record with a sentence, and undo takes it back', async () => {
    const outcome = await type('q1 nmos to-220 marked 12N65');
    expect(outcome).toMatchObject({ ok: true, message: 'Q1 is an N-FET, in TO-220, marked 12N65.' });
    expect((await part('Q1'))?.part).toMatchObject({ kind: 'nmos', package: 'TO-220', marking: '12N65' });
    await undoStep(fixture.app, outcome.ok ? (outcome.undo ?? '') : '');
    expect(await part('Q1')).toBeUndefined();
  });

  test('that is not understood stores nothing and names the word', async () => {
    const outcome = await type('c5 350');
    expect(outcome.ok).toBe(false);
    expect(messages(outcome)).toContain('350 what?');
    expect(await part('C5')).toBeUndefined();
  });

  test('on an archived donor says so', async () => {
    await archiveDonor(fixture.app, code);
    expect(messages(await type('q1 nmos'))).toContain(code);
  });

  test('a part number met before brings its ratings along, as decoded, to the next donor', async () => {
    await aGoodMosfet('Q1');
    code = await aDonor();
    expect(await type('q7 nmos marked 12N65')).toMatchObject({
      message: expect.stringContaining('2 ratings recalled'),
    });
    expect((await part('Q7'))?.ratings).toMatchObject({
      vds: { value: 650, source: 'decoded' },
      id: { value: 12, source: 'decoded' },
    });
  });
});

describe('what the shop knows of a number', () => {
  test('is forgotten again when the step that taught it is taken back', async () => {
    await type('q1 nmos marked 12N65');
    await typeRating(fixture.app, { code, ref: 'Q1' }, { rating: 'vds', value: '6500V', source: 'datasheet' });
    await undoLatest(fixture.app, code);
    expect(await type('q2 nmos marked 12N65')).toMatchObject({ message: expect.not.stringContaining('recalled') });
  });

  test('gets better: a datasheet value supersedes a decoded one, and stays when the marking is read once more', async () => {
    await aGoodMosfet('Q1');
    await typeRating(fixture.app, { code, ref: 'Q1' }, { rating: 'vds', value: '600V', source: 'datasheet' });
    await aGoodMosfet('Q2');
    await type('q3 nmos marked 12N65');
    expect((await part('Q3'))?.ratings.vds).toMatchObject({ value: 600, source: 'datasheet' });
  });

  test('cannot be taken back from under another part that rests on it', async () => {
    await type('q1 nmos marked 12N65');
    const taught = await acceptDecoding(fixture.app, { code, ref: 'Q1', decoding: READING_12N65 });
    const rests = await type('q2 nmos marked 12N65');
    const undo = async (outcome: typeof taught) => undoStep(fixture.app, outcome.ok ? (outcome.undo ?? '') : '');
    expect(await undo(taught)).toMatchObject({ ok: false });
    expect((await part('Q1'))?.ratings.vds).toMatchObject({ value: 650 });
    expect(await undo(rests)).toMatchObject({ ok: true });
  });

  test('what one part measured is its own', async () => {
    await type('q1 nmos marked 12N65');
    await type('q1 vds 640V measured');
    await type('q2 nmos marked 12N65');
    expect((await part('Q2'))?.ratings.vds).toBeUndefined();
  });
});

describe('ratings', () => {
  test('a datasheet value replaces a decoded one, a guess does not, and both stay in the history', async () => {
    await aGoodMosfet('Q1');
    await typeRating(fixture.app, { code, ref: 'Q1' }, { rating: 'vds', value: '600V', source: 'datasheet' });
    const guess = await typeRating(
      fixture.app,
      { code, ref: 'Q1' },
      { rating: 'vds', value: '700V', source: 'guessed' },
    );
    expect(guess).toMatchObject({ message: expect.stringContaining('history') });
    expect((await part('Q1'))?.ratings.vds).toMatchObject({ value: 600, source: 'datasheet' });
    const history = await ratingHistory(fixture.app.db.read, (await part('Q1'))?.part.id ?? '');
    expect(history.filter(({ name, superseded }) => name === 'vds' && superseded).map(({ value }) => value)).toEqual([
      700, 650,
    ]);
  });

  test.each`
    rating     | value     | field       | names
    ${'vds'}   | ${'high'} | ${'value'}  | ${'“high”'}
    ${'vds'}   | ${'4k7'}  | ${'value'}  | ${undefined}
    ${'color'} | ${'650V'} | ${'rating'} | ${'“color”'}
  `('$rating = $value is held against the rating', async ({ rating, value, field, names }) => {
    await type('q1 nmos');
    const outcome = await typeRating(fixture.app, { code, ref: 'Q1' }, { rating, value, source: 'datasheet' });
    if (names === undefined) expect(outcome.ok).toBe(true);
    else expect(outcome).toMatchObject({ ok: false, problems: [{ field, message: expect.stringContaining(names) }] });
  });

  test('a form of a part blames the field that is wrong', async () => {
    const blank = partForm.parse({ ref: 'ZZ1', kind: '', package: '', values: '', marking: '' });
    expect(await logPartForm(fixture.app, code, blank)).toMatchObject({ problems: [{ field: 'kind' }] });
    expect(await logPartForm(fixture.app, code, { ...blank, ref: 'C1', values: '82u blue' })).toMatchObject({
      problems: [{ field: 'values', message: expect.stringContaining('“blue”') }],
    });
    expect(await logPartForm(fixture.app, code, { ...blank, ref: 'C1', values: '82u 400V' })).toMatchObject({
      ok: true,
    });
  });
});

describe('harvest', () => {
  beforeEach(async () => {
    await type('store c3 82u 400V');
    await type('c3 0.4V');
  });

  test('like parts of one grade go into one lot; measured values replace the marking’s and leave it as history', async () => {
    await aGoodMosfet('Q1');
    await aGoodMosfet('Q2');
    const first = await takePart(fixture.app, { code, ref: 'Q1', bin: 'C2-5' });
    const second = await takePart(fixture.app, { code, ref: 'q2', bin: 'C2-5' });
    expect(valueOf(second)).toEqual(valueOf(first));
    const lot = await findLot(fixture.app.db.read, valueOf(first).lot);
    expect(lot).toMatchObject({ bin: 'C2-5', donorCode: code, lot: { onHand: 2, grade: 'A', marking: '12N65' } });
    expect(lot?.ratings).toMatchObject({
      vds: { value: 650, source: 'decoded' },
      vf: { value: 0.51, source: 'measured' },
    });

    await type('c21 electrolytic 1000u 16V radial');
    await type('c21 measures 950u esr 50m');
    const capacitor = await takePart(fixture.app, { code, ref: 'C21', bin: 'C3' });
    expect((await findLot(fixture.app.db.read, valueOf(capacitor).lot))?.ratings).toMatchObject({
      capacitance: { value: 950e-6, source: 'measured' },
      voltage: { value: 16, source: 'decoded' },
    });
  });

  test('in one lot the worse rating governs; another limit makes another lot', async () => {
    for (const ref of ['Q1', 'Q2', 'Q3', 'Q4']) await aGoodMosfet(ref);
    await typeRating(fixture.app, { code, ref: 'Q2' }, { rating: 'vds', value: '600V', source: 'datasheet' });
    await type('q3 measures leak 50u');
    await type('q4 measures on 0.3 at 1');
    const lots: string[] = [];
    for (const ref of ['Q1', 'Q2', 'Q3', 'Q4'])
      lots.push(valueOf(await takePart(fixture.app, { code, ref, bin: 'C2-5' })).lot);
    const [first = '', second, third = '', fourth = ''] = lots;
    expect(second).toBe(first);
    expect((await findLot(fixture.app.db.read, first))?.ratings.vds).toMatchObject({ value: 600 });
    const [leaky, unrated] = [await findLot(fixture.app.db.read, third), await findLot(fixture.app.db.read, fourth)];
    expect(leaky?.lot).toMatchObject({ grade: 'B', limits: [{ kind: 'derated', rating: 'vds', share: 0.5 }] });
    expect(unrated?.lot).toMatchObject({ grade: 'B', limits: [] });
  });

  test('scrap, what is taken already and what was never logged stay out of stock', async () => {
    await type('q3 nmos to-220 marked 12N65');
    await type('q3 measures sd 0.002 ds 0.3 gs 0.8');
    expect(messages(await takePart(fixture.app, { code, ref: 'Q3', bin: 'C2' }))).toContain('scrap');
    await aGoodMosfet('Q1');
    await takePart(fixture.app, { code, ref: 'Q1', bin: 'C2' });
    expect(messages(await takePart(fixture.app, { code, ref: 'Q1', bin: 'C2' }))).toContain('taken already');
    expect(messages(await takePart(fixture.app, { code, ref: 'Q9', bin: 'C2' }))).toContain('Q9');
    expect(messages(await removePart(fixture.app, { code, ref: 'Q1' }))).toContain('in stock');
    expect(await fixture.app.db.read.select().from(lots)).toHaveLength(1);
  });

  test('undo takes the piece out of stock again, but not from under a second piece in the lot', async () => {
    await aGoodMosfet('Q1');
    await aGoodMosfet('Q2');
    const first = await takePart(fixture.app, { code, ref: 'Q1', bin: 'C2' });
    const second = await takePart(fixture.app, { code, ref: 'Q2', bin: 'C2' });
    const undo = async (outcome: typeof first) => undoStep(fixture.app, outcome.ok ? (outcome.undo ?? '') : '');
    expect(await undo(first)).toMatchObject({ ok: false });
    expect(await undo(second)).toMatchObject({ ok: true });
    expect(await undo(first)).toMatchObject({ ok: true });
    expect(await findLot(fixture.app.db.read, valueOf(first).lot)).toBeUndefined();
    const [row] = await fixture.app.db.read.select().from(parts).where(eq(parts.ref, 'Q1'));
    expect(row?.state).toBe('on-board');
  });
});

test('a board of which no store was ever listed is not dead: silence is no measurement', async () => {
  await aGoodMosfet('Q1');
  expect(messages(await takePart(fixture.app, { code, ref: 'Q1', bin: 'C2' }))).toContain('No store is listed');
  await goOn(fixture.app, { code, station: 'harvest' });
  expect(await takePart(fixture.app, { code, ref: 'Q1', bin: 'C2' })).toMatchObject({ ok: true });
});

describe('beside a store that is not measured dead', () => {
  beforeEach(async () => {
    await type('store c3 82u 400V bleed 470k');
    await type('c3 212V @ 0s');
    await aGoodMosfet('Q1');
  });

  test('nothing is taken until the person says that they go on, and the record shows it', async () => {
    expect(messages(await takePart(fixture.app, { code, ref: 'Q1', bin: 'C2' }))).toContain('C3 not measured dead');
    await goOn(fixture.app, { code, station: 'harvest' });
    expect(await takePart(fixture.app, { code, ref: 'Q1', bin: 'C2' })).toMatchObject({
      ok: true,
      message: expect.stringContaining('though not measured dead'),
    });
    expect(await fixture.app.db.read.select().from(stationMarks)).toMatchObject([
      { mark: 'went-on', station: 'harvest' },
    ]);
  });

  test('Make safe stays blocked until the last reading of every store shows it empty', async () => {
    const makeSafe = async () => (await overview()).line.find(({ station }) => station === 'make-safe');
    await finishStation(fixture.app, { code, station: 'make-safe' });
    expect(await makeSafe()).toMatchObject({ state: 'blocked', status: '0 of 1 dead' });
    await type('c3 12V @ 90s');
    expect(await makeSafe()).toMatchObject({ state: 'blocked' });
    await type('c3 0.3V @ 95s');
    expect(await makeSafe()).toMatchObject({ state: 'done' });
    await type('c3 75V @ 99s');
    expect(await makeSafe()).toMatchObject({ state: 'blocked' });
    await type('c3 0.4V');
    expect(messages(await goOn(fixture.app, { code, station: 'trace' }))).toContain('nothing to go on beside');
  });
});

describe('forms', () => {
  test('a store’s name is taken once, and can be deleted and given back', async () => {
    const store = storeForm.parse({ name: 'C3', capacitance: '82u' });
    await addStore(fixture.app, code, store);
    expect(await addStore(fixture.app, code, store)).toMatchObject({ problems: [{ field: 'name' }] });
    await removeStore(fixture.app, { code, name: 'C3' });
    expect((await overview()).facts.stores.total).toBe(0);
    await undoLatest(fixture.app, code);
    expect((await overview()).facts.stores.total).toBe(1);
  });

  test('a measurement needs at least one reading, and blames the field it cannot read', async () => {
    await type('c5 electrolytic 100u 25V');
    const of = { code, ref: 'C5' };
    expect(await measurePart(fixture.app, of, { inCircuit: false, capacitance: ' ' } as never)).toMatchObject({
      problems: [{ field: 'capacitance' }],
    });
    expect(
      await measurePart(fixture.app, of, { inCircuit: false, capacitance: '98u', esr: 'low' } as never),
    ).toMatchObject({
      problems: [{ field: 'esr', message: expect.stringContaining('“low”') }],
    });
    expect((await part('C5'))?.measurements).toHaveLength(0);
  });

  test('a changed sheet and an archived donor come back whole', async () => {
    const form = donorForm.parse({ description: 'brick', maker: 'Tarn' });
    await amendDonor(fixture.app, code, form);
    expect(await donor()).toMatchObject({ description: 'brick', maker: 'Tarn', nameplate: '', lengthM: null });
    await undoLatest(fixture.app, code);
    expect(await donor()).toMatchObject({ description: 'adapter', maker: 'Velkin', lengthM: 0.115 });
  });

  test('a donor is brought back from the waste bin long after', async () => {
    await type('q1 nmos marked 12N65');
    expect(await restoreDonor(fixture.app, code)).toMatchObject({ ok: false });
    await archiveDonor(fixture.app, code);
    expect(await findDonor(fixture.app.db.read, code)).toBeUndefined();
    expect(await restoreDonor(fixture.app, code)).toMatchObject({ ok: true, goto: `/donors/${code}` });
    expect((await part('Q1'))?.part.marking).toBe('12N65');
  });
});
