import { findDonor } from '../../db/repositories/donors';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { valueOf } from '../../services/command';
import { openDossier, type Dossier } from '../../services/dossier';
import { boardPartsView, harvestView } from './harvest/view.server';
import { identifyView } from './identify/view.server';
import { registerDonor } from './intake/commands';
import { intakeFacts } from './intake/facts.server';
import { donorForm } from './intake/schema';
import { soakView } from './intake/soak.server';
import { openingView } from './open/view.server';
import { photoStrip } from './photos/view.server';
import { safetyView } from './safe/view.server';
import { journalView, notesView } from './shared/notes.server';
import { recordLine } from './shared/recordLine';
import { donorFrame } from './shared/view.server';
import { testView } from './test/view.server';
import { traceView } from './trace/view.server';

let fixture: Awaited<ReturnType<typeof temporaryContext>>;
let code: string;

const LINES = [
  'store c3 82u 400V bleed 470k',
  'c3 0.4V',
  'q1 nmos to-220 marked 12N65',
  'd1 diode do-41 marked 1N4007',
  'c3 82u 400V 105C bulged',
  'r14 100k clamp',
  'q1 measures sd 0.51 ds OL gs OL',
  'q1.d - d1.a',
  '? what is the six-pin part by T2',
];

beforeAll(async () => {
  fixture = await temporaryContext();
  const { app } = fixture;
  const form = donorForm.parse({
    description: 'adapter',
    maker: 'Velkin',
    nameplate: 'INPUT 100-240V~ 1.5A OUTPUT 24V 2.5A',
    length: '115mm',
  });
  ({ code } = valueOf(await registerDonor(app, form)));
  for (const line of LINES) expect(await recordLine(app, { code, station: 'trace', line })).toMatchObject({ ok: true });
}, 120_000);
afterAll(() => fixture.dispose());

/** What the page of each station asks for, beside the frame that stands round all of them. */
const PAGES: Readonly<Record<string, (dossier: Dossier) => Promise<unknown>>> = {
  intake: (dossier) => Promise.all([intakeFacts(dossier), soakView(dossier), photoStrip(dossier)]),
  'make safe': (dossier) => safetyView(dossier, 'C3'),
  open: (dossier) => Promise.all([openingView(dossier), photoStrip(dossier)]),
  trace: (dossier) => Promise.all([traceView(dossier, false), notesView(dossier, { station: 'trace' })]),
  identify: (dossier) => Promise.all([identifyView(dossier, undefined), notesView(dossier)]),
  'identify, a part': (dossier) => Promise.all([identifyView(dossier, 'Q1'), notesView(dossier)]),
  test: (dossier) => testView(dossier, undefined),
  'test, a part': (dossier) => testView(dossier, 'Q1'),
  harvest: (dossier) => Promise.all([boardPartsView(dossier, 'Q1'), harvestView(dossier)]),
  record: (dossier) => Promise.all([notesView(dossier), journalView(dossier)]),
};

test.each(Object.keys(PAGES))('the page of %s asks the database each thing once', async (name) => {
  const { db, now } = fixture.app;
  const donor = await findDonor(db.read, code);
  if (!donor) throw new Error('The donor is gone.');
  const asked = jest.spyOn(db.client, 'execute');
  const dossier = openDossier(db.read, donor, now());
  await Promise.all([donorFrame(dossier), PAGES[name]?.(dossier)]);
  const statements = asked.mock.calls.map((call) => JSON.stringify(call));
  asked.mockRestore();
  expect(statements.length).toBeGreaterThan(3);
  expect(statements.filter((statement, at) => statements.indexOf(statement) < at)).toEqual([]);
});
