import { strFromU8, unzipSync } from 'fflate';
import sharp from 'sharp';
import { findDonor } from '../../../db/repositories/donors';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { openDossier } from '../../../services/dossier';
import { undoStep, valueOf } from '../../../services/command';
import { zipOf } from '../../../formats/report';
import { registerDonor } from '../intake/commands';
import { donorForm } from '../intake/schema';
import { recordLine } from '../shared/recordLine';
import { keepFinding } from '../wave/commands';
import { kinView } from '../shared/kin.server';
import { askQuestion, closeDonor, reopenDonor, tellNext } from './commands';
import { donorReport } from './report.server';
import { reportBundle } from './reportBundle';
import { askFormAt, closingForm } from './schema';
import { recordView } from './view.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

const LINES = [
  'f1 fuse 2A slow',
  'br1 bridge KBL406',
  'c5 82u 400V 105C electrolytic',
  'q1 nmos to-220 marked 12N65',
  'd8 dual-diode MBR20100',
  'c21 1000u 25V',
  't1 transformer',
  'c5.+ - t1.1',
  'q1.d - t1.2',
  '? who makes the chip marked W4',
];

const unit = (model: string) =>
  donorForm.parse({
    description: 'label-printer adapter',
    maker: 'Norrun',
    model,
    nameplate: 'Norrun INPUT 100-240V~ 50/60Hz 1.5A OUTPUT 19V 4.74A',
    origin: 'skip behind the barn',
    symptom: 'clicks twice, then nothing',
  });

async function make(model: string): Promise<string> {
  return valueOf(await registerDonor(fixture.app, unit(model))).code;
}
async function dossierOf(of: string) {
  const donor = await findDonor(fixture.app.db.read, of);
  if (!donor) throw new Error(of);
  return openDossier(fixture.app.db.read, donor, fixture.app.now());
}

beforeEach(async () => {
  fixture = await temporaryContext();
  code = await make('NR-1654');
  for (const line of LINES) {
    const outcome = await recordLine(fixture.app, { code, station: 'identify', line });
    if (!outcome.ok) throw new Error(`${line}: ${JSON.stringify(outcome)}`);
  }
  valueOf(await tellNext(fixture.app, code, { text: 'It kills boards when its standby dries out.' }));
});
afterEach(() => fixture.dispose());

test('a report tells the unit, what the next one should know, its parts, its drawing and its questions', async () => {
  valueOf(
    await askQuestion(
      fixture.app,
      code,
      askFormAt(Date.now()).parse({ text: 'Does W mean wide?', ref: 'u1', askedOf: 'the maker', due: '2 weeks' }),
    ),
  );
  const { report } = await donorReport(await dossierOf(code));
  expect(report.sections.map(({ id }) => id).slice(0, 2)).toEqual(['unit', 'next']);
  const said = JSON.stringify(report.sections);
  for (const wanted of [
    'skip behind the barn',
    'It kills boards when its standby dries out.',
    'MBR20100',
    'U1: Does W mean wide?; asked of the maker',
    'read every store dead yourself',
    '<svg',
  ])
    expect(said).toContain(wanted);
});

test('its zip holds everything in open formats, and neither its maker nor its origin where they are left out', async () => {
  const files = await reportBundle(await dossierOf(code), ['maker', 'origin']);
  const unzipped = unzipSync(zipOf(files, fixture.app.now()));
  expect(Object.keys(unzipped).toSorted()).toEqual([
    'board.json',
    'measurements.csv',
    'netlist.cir',
    'parts.csv',
    'report.md',
    'report.pdf',
    'schematic.svg',
  ]);
  const text = (name: string) => strFromU8(unzipped[name] ?? new Uint8Array());
  for (const name of ['report.md', 'board.json', 'netlist.cir', 'parts.csv', 'schematic.svg']) {
    expect([name, /Norrun|NR-1654|skip behind/u.test(text(name))]).toEqual([name, false]);
  }
  expect(text('report.md')).toMatch(/^# label-printer adapter\n/u);
  expect(text('report.md')).toContain('![The board as it was traced, not all of it yet](schematic.svg)');
  expect(text('parts.csv').split('\n')).toHaveLength(9);
  expect(text('report.pdf').slice(0, 5)).toBe('%PDF-');
  // Another reader draws it.
  const drawn = await sharp(Buffer.from(text('schematic.svg'))).metadata();
  expect([drawn.format, (drawn.width ?? 0) > 100]).toEqual(['svg', true]);
  const whole = await reportBundle(await dossierOf(code), []);
  expect(whole.get('report.md')).toContain('Norrun NR-1654');
});

test('a recording that was kept goes out with the report, as a picture and as a table, and is taken back with its step', async () => {
  const points = Array.from({ length: 400 }, (_, place) => ({ t: place * 1e-6, v: Math.sin(place / 20) - 0.5 }));
  const kept = await keepFinding(
    fixture.app,
    { code, ref: 'C21' },
    { esr: { value: 0.045, resolution: 0.001 } },
    { title: 'ripple.csv', channels: [{ name: 'CH1', unit: 'V', points }] },
  );
  valueOf(kept);
  const files = await reportBundle(await dossierOf(code), []);
  const table = String(files.get('recordings/1.csv')).trim().split('\n');
  expect([table.length, table[1]]).toEqual([401, 'CH1,V,0,-0.5']);
  expect(String(files.get('report.md'))).toContain('![C21, ripple.csv](recordings/1.svg)');
  const drawn = await sharp(Buffer.from(String(files.get('recordings/1.svg')))).metadata();
  expect([drawn.width, drawn.height]).toEqual([560, 180]);
  await undoStep(fixture.app, kept.ok ? (kept.undo ?? '') : '');
  expect((await reportBundle(await dossierOf(code), [])).has('recordings/1.csv')).toBe(false);
});

test('a unit is closed with a check before it, confirmed by hand where something stands against it, and taken up again', async () => {
  const form = closingForm.parse({ outcome: 'repaired', note: 'back to the print shop' });
  const refused = await closeDonor(fixture.app, code, form);
  expect(refused.ok ? '' : JSON.stringify(refused.problems)).toMatch(
    /not put together again.*power-up has not passed/u,
  );
  valueOf(await closeDonor(fixture.app, code, { ...form, anyway: 'on' }));
  const dossier = await dossierOf(code);
  expect(dossier.donor).toMatchObject({ outcome: 'repaired', outcomeNote: 'back to the print shop' });
  expect((await recordView(dossier)).closed).toMatch(/^repaired, .*back to the print shop$/u);
  valueOf(await reopenDonor(fixture.app, code));
  expect((await dossierOf(code)).donor).toMatchObject({ outcome: '', closedMs: null });
});

test('what one of a family told stands at the next; a foreign one hears nothing', async () => {
  const next = await make('NR 1654 B');
  const other = await make('NR-1700');
  const heard = async (of: string) => kinView(fixture.app.db.read, (await dossierOf(of)).donor);
  expect(await heard(next)).toMatchObject([
    {
      code,
      kinship: 'variant',
      told: ['It kills boards when its standby dries out.'],
      failed: ['clicks twice, then nothing'],
    },
  ]);
  expect(await heard(other)).toEqual([]);
});

test('a day that is none is refused by its text', () => {
  const read = askFormAt(Date.now()).safeParse({ text: 'why', due: 'when it rains' });
  expect(read.success ? '' : read.error.issues[0]?.message).toContain('“when it rains” names no day');
});
