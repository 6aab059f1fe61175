import { dossierOf } from '../../../services/dossier/testing/dossierOf';
import { valueOf } from '../../../services/command';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { donorForm } from '../intake/schema';
import { takePart } from '../harvest/takePart';
import { acceptDecoding } from '../identify/commands';
import { registerDonor } from '../intake/commands';
import { addNote } from './commands';
import { recordLine } from './recordLine';
import { undoLatest } from '../../../services/command/undo';
import { donorLines } from '../../../services/dossier/donorLines';
import { loadAddressInHand, loadDonor } from './load.server';
import { journalView, notesView } from './notes.server';
import { harvestView } from '../harvest/view.server';
import { boardPartsView } from '../harvest/view.server';
import { identifyView } from '../identify/view.server';
import { testView } from '../test/view.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  const form = donorForm.parse({
    description: 'adapter',
    maker: 'Velkin',
    nameplate: 'INPUT 230V~ 1A OUTPUT 24V 2.5A',
    symptom: 'dead',
  });
  code = valueOf(await registerDonor(fixture.app, form)).code;
});
afterEach(() => fixture.dispose());

async function type(...lines: string[]) {
  for (const line of lines)
    expect(await recordLine(fixture.app, { code, station: 'identify', line })).toMatchObject({ ok: true });
}

const dossier = (of = code) => dossierOf(fixture.app, of);
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value).replaceAll('\u00a0', ' ')) as T;
const identify = async (wanted?: string) => plain(await identifyView(await dossier(), wanted));
const testing = async (wanted?: string) => plain(await testView(await dossier(), wanted));
const board = async (wanted?: string) => plain(await boardPartsView(await dossier(), wanted));

describe('the parts of a donor', () => {
  beforeEach(() =>
    type(
      'q1 nmos to-220 marked 12N65',
      'c5 electrolytic 100u 25V 105C radial',
      'u1 ic sot-23-6',
      'r12 4k7 5%',
      'd3 diode marked 1N4007',
    ),
  );

  test('as rows: what is printed, what it rates, how well that is known', async () => {
    const { rows } = await identify();
    const texts = rows.map(({ cells }) =>
      Object.fromEntries(Object.entries(cells).map(([id, { text }]) => [id, text])),
    );
    expect(texts[0]).toMatchObject({
      ref: 'Q1',
      kind: 'N-FET',
      marking: '12N65',
      package: 'TO-220',
      ratings: '',
      evidence: '',
    });
    expect(texts[1]).toMatchObject({
      ref: 'C5',
      kind: 'capacitor, electrolytic',
      ratings: '100 µF  25 V  105 °C',
      evidence: 'decoded',
    });
    expect(rows.map(({ href }) => href)[3]).toBe(`/donors/${code}/identify?part=R12`);
  });

  test('what to look at next: markings not read, parts not tested, parts worth taking', async () => {
    expect(await identify()).toMatchObject({ total: 5, identified: 2, unread: ['Q1', 'D3'] });
    expect(await testing()).toMatchObject({ testable: 5, tested: 0, untested: ['Q1', 'C5', 'U1', 'R12', 'D3'] });
    await type('r12 measures 4k69', 'c5 measures 40u esr 9');
    expect(await testing()).toMatchObject({ testable: 5, tested: 2, untested: ['Q1', 'U1', 'D3'] });
    await expect((await dossier()).overview()).resolves.toMatchObject({ facts: { parts: { testable: 5, tested: 2 } } });
    expect(await board()).toMatchObject({ onBoard: 5 });
  });

  test('the station Test leaves out what has no bench test', async () => {
    await type('j1 connector output');
    expect((await testing()).rows.map(({ cells }) => cells.ref?.text)).toEqual(['Q1', 'C5', 'U1', 'R12', 'D3']);
  });

  test('a reading is offered with its rule, and marked once it is taken', async () => {
    const before = (await identify('q1')).selected;
    expect(before?.identity?.decodings).toMatchObject([
      { kind: 'N-FET', why: '12N65: 12 A, N channel, 650 V', percent: '88 %', rule: 'current-N-voltage', readAs: null },
    ]);
    expect(before?.taken).toEqual([]);
    await acceptDecoding(fixture.app, { code, ref: 'Q1', decoding: before?.identity?.decodings[0]?.id ?? '' });
    const after = (await identify('Q1')).selected;
    expect(after?.taken).toEqual([after?.identity?.decodings[0]?.id]);
    expect(after?.ratings).toMatchObject([
      {
        label: 'drain to source',
        value: '650 V',
        source: 'decoded',
        meaning: expect.stringContaining('current-N-voltage'),
      },
      { label: 'drain current, 25 °C', value: '12 A' },
    ]);
    await undoLatest(fixture.app, code);
    expect((await identify('Q1')).selected).toMatchObject({ ratings: [], taken: [] });
  });

  test('superseded values stay in sight', async () => {
    await type('q1 vds 600V guessed', 'q1 vds 650V datasheet');
    const { selected } = await identify('Q1');
    expect(selected?.ratings).toMatchObject([{ value: '650 V', source: 'datasheet' }]);
    expect(selected?.history).toMatchObject([{ value: '600 V', source: 'guessed' }]);
  });

  test('a measured part shows its readings, its verdict, and what its lot would carry', async () => {
    await type('c5 measures 95u esr 0.3');
    const { selected } = await testing('C5');
    expect(selected).toMatchObject({
      title: 'C5, a capacitor',
      test: {
        measured: [
          { label: 'capacitance', value: '95 µF' },
          { label: 'ESR at 100 kHz', value: '300 mΩ' },
        ],
      },
      judgement: { verdict: 'keep', grade: 'A' },
    });
    expect((await board('C5')).selected).toMatchObject({
      forStock: expect.arrayContaining([{ label: 'capacitance', value: '95 µF', source: 'measured' }]),
    });
  });

  test('a measurement in circuit can condemn a part, never pass it', async () => {
    await type('c5 measures 95u esr 0.3 in-circuit');
    expect((await testing('C5')).selected?.judgement).toMatchObject({ verdict: 'retest' });
    await type('c5 measures 20u esr 0.3 in-circuit');
    expect((await testing('C5')).selected?.judgement).toMatchObject({ verdict: 'scrap' });
  });

  test('a bridge is judged as the mains rectifier it is', async () => {
    await type('br1 bridge marked KBP206', 'br1 measures 0.52 0.52 0.51 0.52 OL');
    expect((await testing('BR1')).selected?.judgement).toMatchObject({ verdict: 'keep', grade: 'A' });
  });

  test('what was taken is listed with its bin, and offered no more', async () => {
    await type('store c3 82u 400V', 'c3 0.4V', 'r12 measures 4k69');
    await takePart(fixture.app, { code, ref: 'R12', bin: 'A1' });
    expect(plain(await harvestView(await dossier()))).toMatchObject({
      bins: ['A1'],
      lots: [{ message: 'resistor 4.69 kΩ', grade: 'A', pieces: 1, bin: 'A1' }],
    });
    expect((await board('R12')).selected?.harvested).toBe(true);
    expect((await board()).onBoard).toBe(4);
  });
});

describe('the frame of a donor', () => {
  test('says what it is, and which store is not measured dead', async () => {
    await type('store c3 82u 400V', 'store cx1 220n', 'c3 212V @ 0s');
    const frame = plain((await loadDonor(code.toLowerCase()))?.frame);
    expect(frame).toMatchObject({
      title: 'Velkin adapter',
      subtitle: expect.stringMatching(/^230 V~ 1 A to 24 V 2\.5 A · 60 W · desk brick, 14 Nov/),
      live: { message: 'C3 and 1 more not measured dead', volts: '212 V' },
    });
    expect(frame?.stages.map(({ state }) => state)).toEqual([
      'done',
      'blocked',
      'untouched',
      'untouched',
      'untouched',
      'untouched',
      'untouched',
      'untouched',
    ]);
  });

  test('an unknown code leads nowhere', async () => {
    expect(await loadDonor('ZZZ-ZZZ')).toBeUndefined();
    expect(await loadAddressInHand('ZZZ-ZZZ')).toBeUndefined();
  });

  test.each`
    lines                                                                      | station        | next
    ${[]}                                                                      | ${'make-safe'} | ${'list what stores charge'}
    ${['store c3 82u 400V']}                                                   | ${'make-safe'} | ${'read C3'}
    ${['store c3 82u 400V', 'c3 0.4V', 'r1 4k7', 'q1 nmos marked 12N65']}      | ${'identify'}  | ${'identify 1 of 2 parts'}
    ${['store c3 82u 400V', 'c3 0.4V', 'r1 4k7', 'r2 10k', 'r1 measures 4k7']} | ${'test'}      | ${'test 1 of 2 parts'}
  `('work stands at $station: $next', async ({ lines, station, next }) => {
    await type(...(lines as string[]));
    const line = (await donorLines(fixture.app, { query: code, page: 0, size: 5 })).lines[0];
    expect(line).toMatchObject({ station, next, message: expect.stringContaining('dead') });
    expect(await loadAddressInHand(code)).toBe(line?.href);
  });
});

test('notes and the journal tell what was done, with what was undone struck through', async () => {
  await addNote(fixture.app, code, { station: 'open', text: 'glued', ref: '', sort: 'note' });
  await addNote(fixture.app, code, { station: 'record', text: 'who made U1', ref: '', sort: 'question' });
  await type('r1 4k7');
  await undoLatest(fixture.app, code);
  expect(await notesView(await dossier())).toMatchObject([
    { station: 'Open', text: 'glued', ref: '', question: false, open: false },
    { station: 'Record', text: 'who made U1', question: true, open: true, next: ['settled'] },
  ]);
  expect(await notesView(await dossier(), { station: 'open' })).toHaveLength(1);
  const [latest, ...earlier] = await journalView(await dossier());
  expect(latest).toMatchObject({ undone: true, message: expect.stringContaining('R1') });
  expect(earlier.every(({ undone }) => !undone)).toBe(true);
});
