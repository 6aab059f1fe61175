import { dossierOf } from '../../../services/dossier/testing/dossierOf';
import { valueOf } from '../../../services/command';
import { findDonor } from '../../../db/repositories/donors';
import { listNotes } from '../../../db/repositories/notes';
import { listParts } from '../../../db/repositories/parts';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { donorForm } from '../intake/schema';
import { partForm } from './schema';
import { markingPreview } from './markingPreview.server';
import { identifyView } from './view.server';
import { acceptClearDecodings, hintPins, logPartForm, placePart } from './commands';
import { registerDonor } from '../intake/commands';
import { addNote, moveIssue } from '../shared/commands';
import { recordLine } from '../shared/recordLine';
import { undoLatest } from '../../../services/command/undo';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  code = await aBoard('adapter');
});
afterEach(() => fixture.dispose());

async function aBoard(description: string): Promise<string> {
  const form = donorForm.parse({ description, nameplate: 'INPUT 100-240V~ 1.5A OUTPUT 24V 2.5A' });
  return valueOf(await registerDonor(fixture.app, form)).code;
}

const type = async (...lines: string[]) => {
  let last = '';
  for (const line of lines) {
    const outcome = await recordLine(fixture.app, { code, station: 'identify', line });
    last = outcome.ok ? (outcome.message ?? '') : outcome.problems.map(({ message }) => message).join(' ');
  }
  return last.replace(/\u00a0/g, ' ');
};
const dossier = (of = code) => dossierOf(fixture.app, of);
const donor = async (of = code) => {
  const found = await findDonor(fixture.app.db.read, of);
  if (!found) throw new Error(`no donor ${of}`);
  return found;
};
const parts = async () => listParts(fixture.app.db.read, (await donor()).id);
const selected = async (ref: string, of = code) => (await identifyView(await dossier(of), ref)).selected?.identity;

describe('many parts in a line', () => {
  test('a range is one step: logged together, taken back together', async () => {
    await type('c11..c20 1000u 35V polymer secondary');
    expect((await parts()).map(({ part }) => part.ref)).toEqual(
      Array.from({ length: 10 }, (_, index) => `C${11 + index}`),
    );
    for (const { part, ratings } of await parts()) {
      expect(part).toMatchObject({ subtype: 'polymer', block: 'secondary' });
      expect(ratings).toMatchObject({ capacitance: { value: 1e-3 }, voltage: { value: 35 } });
    }
    await undoLatest(fixture.app, code);
    expect(await parts()).toEqual([]);
  });

  test('a copy takes kind, case, marking, block and ratings, and leaves damage and measurements', async () => {
    await type(
      'q1 nmos to-220 switch marked 12N65 burnt',
      'q1 vds 650V datasheet',
      'q1 vds 640V measured',
      'q2 like q1',
      'q3 same reworked',
    );
    const [, second, third] = await parts();
    for (const copy of [second, third])
      expect(copy?.part).toMatchObject({
        kind: 'nmos',
        package: 'TO-220',
        marking: '12N65',
        block: 'switch',
        damage: [],
      });
    expect(third?.part.fitments).toEqual(['reworked']);
    expect(second?.ratings.vds).toBeUndefined();
  });

  test('the form logs several alike, and one like the one above', async () => {
    const form = (fields: Record<string, string>) =>
      logPartForm(fixture.app, code, partForm.parse({ package: '', values: '', marking: '', kind: '', ...fields }));
    await form({ ref: 'r1', values: '10k', count: '3', block: 'control' });
    await form({ ref: 'r4', same: 'same' });
    expect((await parts()).map(({ part, ratings }) => [part.ref, part.block, ratings.resistance?.value])).toEqual(
      ['R1', 'R2', 'R3', 'R4'].map((ref) => [ref, 'control', 10e3]),
    );
    expect(partForm.safeParse({ ref: 'r1', kind: '', package: '', values: '', marking: '', count: '61' }).success).toBe(
      false,
    );
  });

  test('parts are deleted and renamed; a taken name is refused', async () => {
    await type('c5 82u', 'c6 82u');
    expect(await type('rename c5 to c6')).toContain('There is a part C6 already');
    await type('rename c5 to c7', 'delete c6');
    expect((await parts()).map(({ part }) => part.ref)).toEqual(['C7']);
  });
});

describe('does it make sense there', () => {
  test.each`
    line                        | message                      | why
    ${'c9 100u 16V secondary'}  | ${'The lowest rail is 24 V'} | ${'a 16 V capacitor on 24 V'}
    ${'q1 nmos 60V switch'}     | ${'As the switch'}           | ${'a 60 V switch on mains'}
    ${'r9 47k snubber'}         | ${'decades'}                 | ${'a snubber two decades off'}
    ${'f1 fuse 16A 250V input'} | ${undefined}                 | ${'its breaking capacity is not known'}
    ${'c9 100u 35V secondary'}  | ${undefined}                 | ${'what belongs there'}
  `('$line: $why', async ({ line, message }) => {
    const said = await type(line);
    if (message === undefined) expect(said).not.toContain('does it fit');
    else expect(said).toContain(message);
  });

  test('the station lists what does not fit, by block, and leaves empty footprints out of its counts', async () => {
    await type('c9 100u 16V secondary', 'q1 nmos switch marked 12N65', 'c30 unpopulated secondary');
    const view = await identifyView(await dossier(), undefined);
    expect(view).toMatchObject({ total: 2, identified: 1, misfits: ['C9'], unread: ['Q1'], nextRef: 'C31' });
    expect(view.blocks).toEqual([
      { label: 'switch', total: 1, left: 1 },
      { label: 'secondary', total: 1, left: 0 },
    ]);
  });

  test('a reading that does not fit offers the next that would', async () => {
    await type('d3 diode to-220 secondary marked 1640');
    const identity = await selected('D3');
    expect(identity?.misfits[0]?.message).toMatch(/40/);
    expect(identity?.instead?.why).toContain('ultrafast');
    expect(identity?.tell).toContain('Diode mode');
  });
});

test('clear readings are taken in one step; the doubtful and what does not fit are left', async () => {
  await type(
    'f1 input marked T3.15AL250V',
    'br1 bridge input marked KBP206',
    'd1,d2 marked 1N4007',
    'u1 ic so-8 control marked UC3843B 2146',
    'd3 diode to-220 marked 1660',
    'q1 nmos switch marked 50N06',
  );
  const outcome = await acceptClearDecodings(fixture.app, code);
  expect(outcome).toMatchObject({
    ok: true,
    // What is printed on the fuse was read when it was logged.
    message: expect.stringContaining('4 clear readings are taken: BR1, D1, D2, U1.'),
  });
  const byRef = Object.fromEntries((await parts()).map((record) => [record.part.ref, record]));
  expect(byRef.D2?.ratings).toMatchObject({ vrrm: { value: 1000, source: 'decoded' } });
  expect(byRef.D1?.part.typeId).toBe(byRef.D2?.part.typeId);
  expect([byRef.D3, byRef.Q1].map((record) => record?.ratings)).toEqual([{}, {}]);
  expect(await acceptClearDecodings(fixture.app, code)).toMatchObject({ ok: false });
  await undoLatest(fixture.app, code);
  const left = (await parts()).filter(({ ratings }) => Object.keys(ratings).length > 0);
  expect(left.map(({ part }) => part.ref)).toEqual(['F1']);
});

test('where a part sits and what is wrong with it is said again, and an unknown word is refused', async () => {
  await type('r9 0R47 burnt');
  const form = {
    block: 'switch',
    duty: 'sense',
    subtype: 'fusible',
    damage: ['cracked'],
    fitments: ['reworked'],
  } as const;
  const save = (more: { sink: string }) =>
    placePart(fixture.app, { code, ref: 'R9' }, { ...form, damage: ['cracked'], fitments: ['reworked'], ...more });
  expect(await save({ sink: 'HS1' })).toMatchObject({ ok: true, message: expect.stringContaining('on heat sink HS1') });
  expect((await parts())[0]?.part).toMatchObject({ ...form, mounting: { sink: 'HS1' } });
  await save({ sink: '' });
  expect((await parts())[0]?.part.mounting.sink).toBeUndefined();
  const outcome = await placePart(
    fixture.app,
    { code, ref: 'R9' },
    { ...form, subtype: 'purple', damage: [], fitments: [], sink: '' },
  );
  expect(outcome).toMatchObject({
    ok: false,
    problems: [{ field: 'subtype', message: expect.stringContaining('“purple”') }],
  });
});

test('an unknown chip is guessed by its pins, and stays a question', async () => {
  await type('u1 ic dip-8 control', '? u1 who made it');
  expect((await selected('U1'))?.unknown).toMatchObject({ legs: 8 });
  await hintPins(fixture.app, { code, ref: 'U1' }, { 3: 'current-sense', 5: 'ground', 6: 'gate', 7: 'supply' });
  const identity = await selected('U1');
  expect(identity?.unknown?.guesses[0]).toMatchObject({ id: expect.stringMatching(/^UC/) });
  expect(identity?.issues).toMatchObject([{ ref: 'U1', text: 'who made it', open: true }]);
  expect(identity?.chip).toBeNull();
});

test('the same marking on another donor is shown, and a date code beside the number does not hide what is known', async () => {
  await type('u2 optocoupler dip-4 marked PC817C');
  const other = await aBoard('the other one');
  await recordLine(fixture.app, { code: other, station: 'identify', line: 'u7 optocoupler marked PC817C' });
  expect((await selected('U7', other))?.seenOn).toMatchObject([{ code, message: 'U2 of adapter' }]);
  expect((await selected('U2'))?.chip?.id).toBe('817 class');
});

describe('claims and questions', () => {
  const issues = async () => listNotes(fixture.app.db.read, (await donor()).id);

  test('a claim moves on by the bench line, with its reason and its steps', async () => {
    await type('rp1 trimmer 1k', 'claim rp1 sets the current limit', 'support rp1 it moves the limit');
    expect(await issues()).toMatchObject([{ ref: 'RP1', claim: true, status: 'supported' }]);
    const identity = await selected('RP1');
    expect(identity?.issues[0]?.steps.map(({ status, because }) => [status, because])).toEqual([
      ['claimed', ''],
      ['supported', 'it moves the limit'],
    ]);
    expect(await type('settle rp1 2.1 A')).toContain('settled');
    expect(await type('settle rp1')).toContain('Nothing is claimed or asked about RP1');
  });

  test('a question is settled from its form, and undo opens it again', async () => {
    await addNote(fixture.app, code, { station: 'identify', ref: '', text: 'which chip', sort: 'question' });
    const [question] = await issues();
    await moveIssue(fixture.app, { code, noteId: question?.id ?? '' }, { status: 'settled', because: 'a UC3843' });
    expect((await issues())[0]).toMatchObject({ status: 'settled', answeredMs: expect.any(Number) });
    await undoLatest(fixture.app, code);
    expect((await issues())[0]).toMatchObject({ status: '', answeredMs: null });
    const gone = await moveIssue(fixture.app, { code, noteId: 'none' }, { status: 'settled', because: '' });
    expect(gone).toMatchObject({ ok: false });
  });
});

test('a marking is read while it is typed: readings, what tells them apart, what does not fit', async () => {
  const ask = (marking: string, more = {}) =>
    markingPreview(fixture.app, code, { marking, kind: '', package: '', block: '', ...more });
  expect(await ask(' ')).toBeNull();
  expect((await ask('12N65'))?.decodings[0]).toMatchObject({ kind: 'N-FET', percent: '88 %' });
  expect((await ask('UC38?3', { kind: 'ic' }))?.decodings[0]?.why).toContain('reading UC3843');
  const schottky = await ask('1620', { kind: 'diode', package: 'TO-220', block: 'secondary' });
  expect(schottky?.misfit).toContain('20 V is too little'.replace(' ', '\u00a0'));
  expect(schottky?.instead).toContain('200 V');
  expect(schottky?.tell).toContain('Diode mode');
});
