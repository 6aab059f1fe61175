import { pictureOf } from './photos/route.server';
import { dossierOf } from '../../services/dossier/testing/dossierOf';
import { valueOf } from '../../services/command';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { findDonor } from '../../db/repositories/donors';
import { pairOf } from '../../db/repositories/photos';
import { readSettings } from '../../db/repositories/settings';
import { shareContext } from '../../db/testing/sharedContext';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { photoName } from '../../services/attachments';
import { folderStore } from '../../server/blobs';
import {
  addOpeningStepAction,
  correctOpeningStepAction,
  noteReassemblyAction,
  startClockAction,
  stopClockAction,
} from './open/actions';
import {
  amendDonorAction,
  amendPlateAction,
  correctSoakAction,
  keepWeightsAction,
  rereadPlateAction,
} from './intake/actions';
import { amendPhotoAction, removePhotoAction } from './photos/actions';
import { donorForm } from './intake/schema';
import { blamed, formOf } from '../../ui/form/testing/forms';
import { intakeFacts } from './intake/facts.server';
import { openingView } from './open/view.server';
import { photoPage, photoStrip } from './photos/view.server';
import { soakView } from './intake/soak.server';
import { takePart } from './harvest/takePart';
import { registerDonor } from './intake/commands';
import { addPin, pairSides, receivePhoto } from './photos/commands';
import { recordLine } from './shared/recordLine';
import { undoLatest } from '../../services/command/undo';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

const UNIT = { description: 'notebook brick', maker: 'Tarn', model: 'TB-1', nameplate: 'INPUT 230V~ OUTPUT 19V 4.74A' };

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  code = await aUnit({});
});
afterEach(() => fixture.dispose());

async function aUnit(more: Record<string, string>) {
  return valueOf(await registerDonor(fixture.app, donorForm.parse({ ...UNIT, ...more }))).code;
}
const dossier = (of = code) => dossierOf(fixture.app, of);
async function donor(of = code) {
  const found = await findDonor(fixture.app.db.read, of);
  if (!found) throw new Error('no donor');
  return found;
}
async function type(...lines: string[]) {
  for (const line of lines) {
    const outcome = await recordLine(fixture.app, { code, station: 'intake', line });
    if (!outcome.ok) throw new Error(outcome.problems.map(({ message }) => message).join(' '));
  }
}
const said = (outcome: { ok: boolean; problems?: readonly { message: string }[] }) =>
  outcome.problems?.map(({ message }) => message).join(' ') ?? '';

describe('the right to take a unit apart', () => {
  test('a borrowed one gives no lots, until someone cleared it and the record says who', async () => {
    code = await aUnit({ originKind: 'borrowed' });
    await type('q1 nmos marked 12N65', 'store c3 82u 400V', 'c3 0.3V');
    const take = () => takePart(fixture.app, { code, ref: 'Q1', bin: 'A1' });
    expect(said(await take())).toMatch(/It is lent.*No lot can be made.*Intake/);
    const cleared = { ...UNIT, originKind: 'borrowed', clearance: 'cleared' };
    expect(blamed(await amendDonorAction(code, formOf(cleared)))).toEqual(['clearanceReason']);
    expect(said(await take())).toMatch(/No lot/);
    const outcome = await amendDonorAction(code, formOf({ ...cleared, clearanceReason: 'Aud gave it away' }));
    expect(outcome).toMatchObject({ ok: true, message: 'Cleared to be taken apart after all: Aud gave it away.' });
    expect(await take()).toMatchObject({ ok: true });
  });

  test('the change of mind is taken back whole', async () => {
    code = await aUnit({ originKind: 'work-scrap' });
    await amendDonorAction(code, formOf({ ...UNIT, clearance: 'cleared', clearanceReason: 'the foreman' }));
    await undoLatest(fixture.app, code);
    expect(await donor()).toMatchObject({ originKind: 'work-scrap', clearance: '' });
  });
});

describe('the plate put right by hand', () => {
  const FIELDS = { 'inputs[0].kind': 'ac', 'inputs[0].vMin': '230V', 'inputs[0].hertz': '50/60' };

  test('it is kept, counts everywhere, and can be let go of', async () => {
    const fields = {
      ...FIELDS,
      'outputs[0].v': '24V',
      'outputs[0].i': '3A',
      'outputs[0].mark': 'standby',
      total: '72W',
    };
    expect(await amendPlateAction(code, formOf(fields))).toMatchObject({ ok: true });
    expect((await intakeFacts(await dossier())).plate).toEqual({
      inputs: [{ kind: 'ac', vMin: 230, vMax: 230, frequencies: [50, 60] }],
      outputs: [{ v: 24, i: 3, standby: true }],
      totalPower: 72,
    });
    await rereadPlateAction(code);
    expect((await donor()).plate).toBeNull();
  });

  test.each`
    fields                                                    | field                | message
    ${{ 'inputs[0].vMin': '240V', 'inputs[0].vMax': '100V' }} | ${'inputs[0].vMax'}  | ${/at least its lower end/}
    ${{ 'inputs[0].vMin': '0V' }}                             | ${'inputs[0].vMin'}  | ${/above zero/}
    ${{ 'inputs[0].hertz': '50/soup' }}                       | ${'inputs[0].hertz'} | ${/“soup”/}
    ${{ 'outputs[0].v': 'high' }}                             | ${'outputs[0].v'}    | ${/“high”/}
    ${{ 'outputs[0].v': '5V', 'outputs[1].v': '' }}           | ${'outputs[1].v'}    | ${/No voltage/}
    ${{ total: '-4W' }}                                       | ${'total'}           | ${/“-4W” is below zero/}
  `('$field is refused by name', async ({ fields, field, message }) => {
    const outcome = await amendPlateAction(code, formOf({ ...FIELDS, ...fields }));
    expect(blamed(outcome)).toEqual([field]);
    expect(said(outcome)).toMatch(message);
    expect((await donor()).plate).toBeNull();
  });
});

test('a run under load: rows in order, curves, and what it suggests', async () => {
  await type('soak 90W 22C 19.1V 4A @ 0s', 'soak 91W 41C 19.1V 4A @ 10min', 'soak 96W 58C 17.9V 4A @ 25min whine');
  const view = JSON.parse(JSON.stringify(await soakView(await dossier())).replaceAll('\u00a0', ' '));
  expect(view.rows.map(({ time }: { time: string }) => time)).toEqual(['0:00', '10:00', '25:00']);
  expect(view.rows[2]).toMatchObject({ watts: '96 W', celsius: '58 °C', volts: '17.9 V', remark: 'whine' });
  expect(view.curves.map(({ label }: { label: string }) => label)).toEqual([
    'case temperature',
    'output',
    'input power',
  ]);
  expect(view.findings.map(({ text }: { text: string }) => text).join(' ')).toMatch(/dips by 6 % after 25 min/);
  expect((await (await dossier()).overview()).isPowered).toBe(true);
});

describe('a run under load is put right', () => {
  const rows = async () => (await soakView(await dossier())).rows.map(({ time, remark }) => `${time} ${remark}`.trim());

  test('a row remembered late belongs to the same run; a new one begins at zero, and is told', async () => {
    await type('soak 90W 22C @ 0s', 'soak 91W 45C @ 20min', 'soak 41C @ 10min late');
    expect(await rows()).toEqual(['0:00', '10:00 late', '20:00']);
    const again = await recordLine(fixture.app, { code, station: 'intake', line: 'soak 90W 23C @ 0s' });
    expect(again.ok && again.message).toMatch(/a new run begins with it/);
    expect(await rows()).toEqual(['0:00']);
  });

  test('a row is corrected as it would be typed, a wrong one is refused by name, another unit’s is not touched', async () => {
    await type('soak 90W 22C 19.1V 4A @ 90s whine');
    const [row] = (await soakView(await dossier())).rows;
    expect(row?.typed).toEqual({
      watts: '90W',
      celsius: '22°C',
      volts: '19.1V',
      load: '4A',
      elapsed: '1:30',
      remark: 'whine',
    });
    const of = { code, rowId: row?.id ?? '' };
    expect(blamed(await correctSoakAction(of, formOf({ ...row?.typed, elapsed: '12' })))).toEqual(['elapsed']);
    expect(await correctSoakAction(of, formOf({ ...row?.typed, celsius: '25C', elapsed: '2 minutes' }))).toMatchObject({
      ok: true,
    });
    expect((await soakView(await dossier())).rows[0]).toMatchObject({
      time: '2:00',
      celsius: expect.stringMatching(/^25/),
    });
    const other = await aUnit({ description: 'another brick' });
    expect((await correctSoakAction({ ...of, code: other }, formOf({ ...row?.typed }))).ok).toBe(false);
  });

  test('what the output did under load goes before what was said of the unit', async () => {
    await type('soak 90W 22C 19.1V 4A @ 0s', 'soak 96W 58C 17.9V 4A @ 25min');
    expect((await intakeFacts(await dossier())).run).toEqual({
      outcome: 'dipped',
      text: 'its output dips as it warms.',
    });
  });
});

test('what like donors gave and which builds wait for it comes with the facts', async () => {
  await type('q1 nmos marked 12N65', 'store c3 1u 400V', 'c3 0.2V', 'f1 fuse 2A 250V', 'u1 ic dated 1948');
  await takePart(fixture.app, { code, ref: 'Q1', bin: 'A1' });
  const facts = await intakeFacts(await dossier());
  expect(facts).toMatchObject({ bounds: { fuse: 2 }, codes: [{ code: '1948', place: 'U1' }], wasRefused: false });
  const other = await aUnit({ description: 'another brick' });
  const [past] = (await intakeFacts(await dossier(other))).past;
  expect(past).toMatchObject({ kind: 'desk-brick', parts: 1 });
});

test('weights are kept for every unit, and let go of', async () => {
  const weights = { symptom: 1, hazard: 0, yield: 5, needs: 2, effort: 1 };
  await keepWeightsAction(weights);
  expect((await readSettings(fixture.app.db.read)).weights).toEqual(weights);
  await expect(keepWeightsAction({ ...weights, yield: 9 })).rejects.toThrow();
  await keepWeightsAction(null);
  expect((await readSettings(fixture.app.db.read)).weights.symptom).toBe(3);
});

describe('opening', () => {
  const step = (more: Record<string, string>) =>
    addOpeningStepAction(code, formOf({ seam: 'weld', damage: 'none', ...more }));

  test('before the first step the seams that are usual for its kind are told', async () => {
    const { steps, tips } = await openingView(await dossier());
    expect(steps).toEqual([]);
    expect(tips[0]).toMatch(/^ultrasonic weld: Squeeze the seam in a vice/);
  });

  test('a step is corrected as it would be typed', async () => {
    await step({ method: 'vice squeeze', minutes: '6min', count: '4', place: 'under the label' });
    const [first] = (await openingView(await dossier())).steps;
    expect(first?.typed).toMatchObject({ seam: 'weld', minutes: '6:00', count: '4', place: 'under the label' });
    const of = { code, stepId: first?.id ?? '' };
    expect(await correctOpeningStepAction(of, formOf({ ...first?.typed, seam: 'snaps', minutes: '8' }))).toMatchObject({
      ok: false,
    });
    expect(await correctOpeningStepAction(of, formOf({ ...first?.typed, seam: 'snaps', minutes: '8m' }))).toMatchObject(
      { ok: true },
    );
    expect((await openingView(await dossier())).steps).toMatchObject([{ seam: 'snaps', minutes: '8 min' }]);
    expect((await correctOpeningStepAction({ ...of, stepId: 'none' }, formOf({ ...first?.typed }))).ok).toBe(false);
  });

  test('steps, the clock, and how it went together', async () => {
    expect(await step({ method: 'vice squeeze', minutes: '6min', kept: 'shell' })).toMatchObject({ ok: true });
    expect(blamed(await step({ count: 'four' }))).toEqual(['count']);
    expect(await startClockAction({ code, station: 'open' })).toMatchObject({ ok: true });
    expect(said(await startClockAction({ code, station: 'open' }))).toMatch(/runs already/);
    expect(await stopClockAction({ code, station: 'open' })).toMatchObject({ ok: true });
    expect(said(await stopClockAction({ code, station: 'open' }))).toMatch(/stands already/);
    await noteReassemblyAction(code, formOf({ result: 'loose', remark: 'one clip short' }));
    expect(await openingView(await dossier())).toMatchObject({
      steps: [{ seam: 'ultrasonic weld', method: 'vice squeeze', minutes: '6 min', kept: 'shell' }],
      clock: { runningSince: null, doneMs: expect.any(Number) },
      reassembly: 'together, with something loose or left over: one clip short',
    });
  });

  test('the next of its kind is shown what worked, most alike first', async () => {
    await step({ method: 'vice squeeze' });
    await step({ seam: 'glue', method: 'hot knife', damage: 'cracked' });
    const same = await aUnit({ model: 'TB-2' });
    const view = await openingView(await dossier(same));
    expect(view.like[0]).toMatchObject({
      code,
      why: 'the same kind, the same maker',
      damage: 'cracked',
      lines: ['ultrasonic weld, vice squeeze', 'glue, hot knife, cracked'],
    });
    expect(view.records).toEqual([
      { label: 'ultrasonic weld, vice squeeze', message: '1 of 1 whole' },
      { label: 'glue, hot knife', message: '0 of 1 whole' },
    ]);
    expect(view.tips[0]).toMatch(/^ultrasonic weld:/);
  });
});

describe('photos', () => {
  const picture = (colour: string) =>
    sharp({ create: { width: 300, height: 200, channels: 3, background: colour } })
      .jpeg()
      .toBuffer();
  const send = async (colour: string, side?: 'front' | 'back') => {
    const bytes = await picture(colour);
    const outcome = await receivePhoto(fixture.app, folderStore(join(fixture.folder, 'photos')), {
      code,
      station: 'open',
      name: `${colour}.jpg`,
      bytes,
      ...(side ? { side } : {}),
    });
    return { outcome, id: (await photoStrip(await dossier())).at(-1)?.id ?? '' };
  };

  test('a photo is kept beside the database, captioned, deleted and given back', async () => {
    const { outcome, id } = await send('#204030');
    expect(outcome).toMatchObject({ ok: true });
    expect(said((await send('#204030')).outcome)).toMatch(/among the photos already/);
    await amendPhotoAction(code, id, formOf({ caption: 'the lid', station: 'open', side: 'inside' }));
    const [thumb] = await photoStrip(await dossier());
    expect(thumb).toMatchObject({ message: 'the lid, inside of the case', pins: 0 });
    const hash = thumb?.small.split('/')[2] ?? '';
    expect(existsSync(join(fixture.folder, 'photos', photoName(hash, 'large')))).toBe(true);
    await removePhotoAction(code, id);
    expect(await photoStrip(await dossier())).toEqual([]);
    await undoLatest(fixture.app, code);
    expect(await photoStrip(await dossier())).toHaveLength(1);
  });

  test('only pictures that are known are served', async () => {
    process.env.ZORVEK_PHOTOS = join(fixture.folder, 'photos');
    await send('#204030');
    const hash = (await photoStrip(await dossier()))[0]?.small.split('/')[2] ?? '';
    expect((await pictureOf(hash, 'small'))?.length).toBeGreaterThan(100);
    for (const [name, size] of [
      [hash, 'huge'],
      [hash, 'toString'],
      ['f'.repeat(64), 'small'],
      ['../../zorvek.db', 'small'],
    ] as const)
      expect(await pictureOf(name, size)).toBeUndefined();
    delete process.env.ZORVEK_PHOTOS;
  });

  test('front and back are paired by three spots, and a pin on one shows on the other', async () => {
    const front = (await send('#204030', 'front')).id;
    const back = (await send('#806040', 'back')).id;
    const spots = [
      { x: 0.1, y: 0.1 },
      { x: 0.9, y: 0.1 },
      { x: 0.1, y: 0.9 },
    ];
    const pair = (mirror: boolean) =>
      pairSides(fixture.app, code, {
        frontId: front,
        backId: back,
        matches: spots.map((spot) => ({ front: spot, back: mirror ? { x: 1 - spot.x, y: spot.y } : spot })),
      });
    expect(said(await pair(false))).toMatch(/mirror image/);
    expect(await pairOf(fixture.app.db.read, front)).toBeUndefined();
    expect(await pair(true)).toMatchObject({ ok: true });
    await addPin(fixture.app, code, { photoId: front, x: 0.25, y: 0.4, note: 'Q1' });
    const page = await photoPage(await dossier(), front);
    expect(page?.pins).toMatchObject([{ number: 1, x: 0.25, y: 0.4, note: 'Q1' }]);
    expect(page?.pair?.mapped[0]?.x).toBeCloseTo(0.75, 9);
    expect(page?.pair?.mapped[0]?.y).toBeCloseTo(0.4, 9);
    expect((await photoPage(await dossier(), back))?.pair).toMatchObject({ id: front, isFront: false });
  });
});
