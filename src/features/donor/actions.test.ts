import { shareContext } from '../../db/testing/sharedContext';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { blamed, formOf } from '../../ui/form/testing/forms';
import { decodingId, decodingsOf } from './identify/decodings';
import { acceptDecodingAction, logPartAction, placePartAction, typeRatingAction } from './identify/actions';
import { addNoteAction, finishStationAction, recordLineAction, undoAction, undoLatestAction } from './shared/actions';
import { addStoreAction, readStoreAction, removeStoreAction } from './safe/actions';
import { amendDonorAction, registerDonorAction } from './intake/actions';
import { measurePartAction } from './test/actions';
import { takePartAction } from './harvest/actions';

// The boundary: what a browser may send, well or ill.

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

const DONOR = { description: 'adapter', nameplate: 'INPUT 230V~ 1A OUTPUT 12V 1A' };

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  const outcome = await registerDonorAction(formOf(DONOR));
  code = /donors\/(.{7})\//.exec((outcome.ok && outcome.goto) || '')?.[1] ?? '';
  await recordLineAction({ code, station: 'identify' }, 'q1 nmos to-220 marked 12N65');
  await recordLineAction({ code, station: 'make-safe' }, 'store c3 82u 400V');
});
afterEach(() => fixture.dispose());

test.each`
  fields                                       | fault
  ${{}}                                        | ${['description']}
  ${{ description: '   ' }}                    | ${['description']}
  ${{ description: 'x'.repeat(121) }}          | ${['description']}
  ${{ ...DONOR, length: 'long', mass: '3V' }}  | ${['length', 'mass']}
  ${{ ...DONOR, nameplate: 'x'.repeat(1001) }} | ${['nameplate']}
`('a unit with $fields is refused at $fault, new or amended', async ({ fields, fault }) => {
  expect(blamed(await registerDonorAction(formOf(fields)))).toEqual(fault);
  expect(blamed(await amendDonorAction(code, formOf(fields)))).toEqual(fault);
});

test.each`
  fields                                                       | fault
  ${{ name: '', role: '', capacitance: '82u' }}                | ${['name']}
  ${{ name: 'C4', role: 'bomb', capacitance: '82u' }}          | ${['role']}
  ${{ name: 'C4', role: '', capacitance: '' }}                 | ${['capacitance']}
  ${{ name: 'C4', role: '', capacitance: '0' }}                | ${['capacitance']}
  ${{ name: 'C4', role: '', capacitance: '82u', bleed: '5V' }} | ${['bleed']}
  ${{ name: 'c3', role: '', capacitance: '82u' }}              | ${['name']}
`('a store $fields is refused at $fault', async ({ fields, fault }) => {
  expect(blamed(await addStoreAction(code, formOf(fields)))).toEqual(fault);
});

test.each`
  fields                                              | fault
  ${{ store: 'C3', voltage: '' }}                     | ${['voltage']}
  ${{ store: 'C3', voltage: '12V', elapsed: 'soon' }} | ${['elapsed']}
  ${{ store: 'C9', voltage: '12V' }}                  | ${[undefined]}
`('a reading $fields is refused at $fault', async ({ fields, fault }) => {
  expect(blamed(await readStoreAction({ code }, formOf(fields)))).toEqual(fault);
});

test.each`
  fields                                                                           | fault
  ${{ ref: '', kind: '', package: '', values: '', marking: '' }}                   | ${['ref']}
  ${{ ref: 'Q2', kind: 'teapot', package: '', values: '', marking: '' }}           | ${['kind']}
  ${{ ref: 'Q2', kind: 'nmos', package: '', values: 'soup', marking: '' }}         | ${['values']}
  ${{ ref: 'Q2', kind: 'nmos', package: '', values: '', marking: 'X'.repeat(61) }} | ${['marking']}
`('a part $fields is refused at $fault', async ({ fields, fault }) => {
  expect(blamed(await logPartAction(code, formOf(fields)))).toEqual(fault);
});

test('readings, ratings, measurements, bins and notes are held against their schemas', async () => {
  const of = { code, ref: 'Q1' };
  expect(blamed(await acceptDecodingAction(of, formOf({ decoding: 'x'.repeat(301) })))).toEqual(['decoding']);
  expect(blamed(await acceptDecodingAction(of, formOf({ decoding: 'nmos no-such-rule' })))).toEqual([undefined]);
  const [reading] = decodingsOf({ kind: 'nmos', package: null, marking: '12N65', block: null }).map(decodingId);
  expect(await acceptDecodingAction(of, formOf({ decoding: reading ?? '' }))).toMatchObject({ ok: true });
  expect(blamed(await typeRatingAction(of, formOf({ rating: 'vds', value: '650V', source: 'hearsay' })))).toEqual([
    'source',
  ]);
  // A person cannot claim a measurement here: that takes the meter’s reading at the Test station.
  expect(blamed(await typeRatingAction(of, formOf({ rating: 'vds', value: '650V', source: 'measured' })))).toEqual([
    'source',
  ]);
  expect(blamed(await measurePartAction(of, formOf({ body: 'low' })))).toEqual(['body']);
  expect(blamed(await takePartAction(code, formOf({ ref: 'Q1', bin: 'the red one' })))).toEqual(['bin']);
  expect(blamed(await addNoteAction(code, formOf({ station: 'kitchen', ref: '', text: 'x' })))).toEqual(['station']);
  expect(blamed(await addNoteAction(code, formOf({ station: 'open', ref: '', text: ' ' })))).toEqual(['text']);
  expect(blamed(await placePartAction(of, formOf({ block: 'kitchen' })))).toEqual(['block']);
  expect(blamed(await placePartAction(of, formOf({ 'damage[]': 'tired' })))).toEqual(['damage[0]']);
});

test('arguments that no page of ours would send are thrown out', async () => {
  await expect(recordLineAction({ code, station: 'kitchen' as never }, 'q1 nmos')).rejects.toThrow();
  await expect(recordLineAction({ code, station: 'identify' }, 'x'.repeat(2001))).rejects.toThrow();
  await expect(finishStationAction({ code: '', station: 'open' })).rejects.toThrow();
  await expect(undoAction({ $ne: null } as never)).rejects.toThrow();
  await expect(removeStoreAction(code, 'x'.repeat(65))).rejects.toThrow();
});

test('what does not exist is named, not thrown', async () => {
  expect(await undoAction('no-such-entry')).toMatchObject({
    ok: false,
    problems: [{ code: 'undo-nothing' }],
  });
  expect(await undoLatestAction('ZZZ-ZZZ')).toMatchObject({ ok: false });
  expect(await recordLineAction({ code: 'ZZZ-ZZZ', station: 'open' }, '# x')).toMatchObject({
    ok: false,
    problems: [{ message: 'There is no donor ZZZ-ZZZ any more.' }],
  });
});

test('texts are data: markup and SQL come back as they were typed', async () => {
  const hostile = `'); drop table donors; -- <script>alert(1)</script>`;
  expect(await registerDonorAction(formOf({ description: hostile }))).toMatchObject({
    ok: true,
    message: expect.stringContaining(hostile),
  });
  expect(await undoLatestAction(code)).toMatchObject({ ok: true });
});
