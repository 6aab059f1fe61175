import { findBuild } from '../../db/repositories/builds';
import { findLot } from '../../db/repositories/lotSearch';
import { aShop, type LotSketch } from '../../db/testing/aShop';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { undoStep, valueOf } from '../../services/command';
import { designQuery, specOf } from './design.server';
import { designSheet } from './designSheet.server';
import { FIGURE_ROOM } from '../../core/whatif';
import { keepDesign } from './keepDesign';
import { buildReportFiles } from './report.server';
import { keptDesign } from './keptDesign.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;

const LOTS: readonly LotSketch[] = [
  {
    code: 'LLL-047',
    kind: 'inductor',
    pieces: 2,
    ratings: {
      inductance: [47e-6, 'measured'],
      saturation: [7, 'measured'],
      current: [7, 'typed'],
      dcr: [0.03, 'measured'],
    },
  },
  {
    code: 'QQQ-100',
    kind: 'nmos',
    package: 'TO-220',
    ratings: { vds: [100, 'datasheet'], id: [33, 'datasheet'], rdsOn: [0.044, 'datasheet'] },
  },
  {
    code: 'DDD-100',
    kind: 'dual-diode',
    technology: 'schottky',
    package: 'TO-220',
    ratings: { vrrm: [100, 'datasheet'], ifav: [20, 'datasheet'] },
  },
  {
    code: 'CCC-470',
    kind: 'capacitor',
    technology: 'electrolytic',
    pieces: 4,
    bin: 'B2',
    ratings: {
      capacitance: [470e-6, 'measured'],
      voltage: [63, 'datasheet'],
      esr: [0.04, 'measured'],
      ripple: [2, 'datasheet'],
    },
  },
  { code: 'KKK-025', kind: 'transformer', package: 'EF25', pieces: 2, bin: 'L2' },
  { code: 'UUU-043', kind: 'ic', marking: 'UC3843AN', bin: 'B3' },
];
const QUERY = designQuery.parse({ from: '22V', to: '26V', out: '48V', amps: '1A' });

beforeEach(async () => {
  fixture = await temporaryContext();
  await aShop(fixture.app, { lots: LOTS });
});
afterEach(() => fixture.dispose());

const reserved = async (code: string) => (await findLot(fixture.app.db.read, code))?.lot.reserved;

test.each([
  [
    { from: '22V', out: '48V', amps: '1A' },
    { inputLow: 22, inputHigh: 22, output: 48, current: 1 },
  ],
  [
    { from: '10', to: '14V', out: '-12V', amps: '500m', ripple: '50mV' },
    { inputLow: 10, inputHigh: 14, output: -12, current: 0.5, ripple: 0.05 },
  ],
  [
    { from: '24V', out: '−5V', amps: '1A', isolated: 'yes' },
    { inputLow: 24, inputHigh: 24, output: -5, current: 1, isolated: true },
  ],
  [{ from: '24V', out: '', amps: '1A' }, { text: expect.stringMatching(/^Output: nothing is typed/) as unknown }],
  [{ from: '24 bananas', out: '5V', amps: '1A' }, { text: expect.stringMatching(/^Input from: /) as unknown }],
  [{}, undefined],
])('%j asks for %j', (typed, spec) => expect(specOf(designQuery.parse(typed))).toEqual(spec));

test('the sheet shows the best whole, others in a line, and what cannot be done with its reason', async () => {
  const sheet = await designSheet(fixture.app, QUERY);
  expect(sheet.chosen?.view.headline).toMatch(/^Boost, 9\d\.\d % efficient\. Hottest part [QD]1 at \d+ °C/u);
  expect(sheet.chosen?.view.rows.map(({ refs, lot }) => [refs.join(), lot])).toEqual([
    ['L1', 'LLL-047'],
    ['Q1', 'QQQ-100'],
    ['D1', 'DDD-100'],
    ['C2', 'CCC-470'],
    ['C1', 'CCC-470'],
    ['C8', undefined],
  ]);
  expect(sheet.chosen?.missing).toEqual([]);
  expect(sheet.others.some(({ title }) => title.includes('with a choke to buy'))).toBe(true);
  const picked = await designSheet(fixture.app, { ...QUERY, pick: sheet.others[0]?.id ?? '' });
  expect(picked.chosen?.id).toBe(sheet.others[0]?.id);
  expect((await designSheet(fixture.app, { ...QUERY, isolated: 'yes' })).problem).toMatch(
    /^No transformer of the drawers/,
  );
  expect((await designSheet(fixture.app, { ...QUERY, out: '72V' })).problem).toMatch(/over 60 V/);
});

test('a design becomes a build: lots set aside, the controller and its small parts as needs, the design kept as it was', async () => {
  const { chosen } = await designSheet(fixture.app, QUERY);
  const done = await keepDesign(fixture.app, QUERY, chosen?.id ?? '');
  const { code } = valueOf(done);
  const build = await findBuild(fixture.app.db.read, code);
  expect(build?.needs.map(({ need: { role }, filled }) => [role, filled])).toEqual(
    expect.arrayContaining([
      ['choke', 1],
      ['switch', 1],
      ['rectifier', 1],
      ['output capacitor', 1],
      ['snubber capacitor', 0],
      ['snubber resistor', 0],
      ['controller', 1],
      ['timing resistor', 0],
      ['compensation resistor', 0],
    ]),
  );
  expect(await reserved('CCC-470')).toBe(2);
  expect(await reserved('UUU-043')).toBe(1);
  // What was kept is worked out again, though its lots are set aside now.
  const record = build?.build.design;
  const kept = record && (await keptDesign(fixture.app, record));
  expect(kept?.headline).toBe(chosen?.view.headline);
  if (done.ok) await undoStep(fixture.app, done.undo ?? '');
  expect(await reserved('CCC-470')).toBe(0);
  expect(await findBuild(fixture.app.db.read, code)).toBeUndefined();
});

test('a design whose lots are gone meanwhile is refused', async () => {
  const { chosen } = await designSheet(fixture.app, QUERY);
  const outcomes = await Promise.all([1, 2].map(() => keepDesign(fixture.app, QUERY, chosen?.id ?? '')));
  // There is one switch: the second build has its need open, or is refused.
  expect(outcomes.some(({ ok }) => ok)).toBe(true);
  expect(await reserved('QQQ-100')).toBe(1);
  expect(await keepDesign(fixture.app, QUERY, 'boost NONE')).toMatchObject({ ok: false });
});

test('a core of the drawers is wound: its winding sheet is shown, set aside with the build and kept', async () => {
  const query = designQuery.parse({ from: '20V', to: '28V', out: '12V', amps: '1A', isolated: 'yes' });
  const sheet = await designSheet(fixture.app, query);
  expect(sheet.chosen?.id).toBe('flyback KKK-025 wound');
  expect(sheet.chosen?.view.winding.map(({ name }) => name)).toContain('gap');
  const { code } = valueOf(await keepDesign(fixture.app, query, sheet.chosen?.id ?? ''));
  expect((await findLot(fixture.app.db.read, 'KKK-025'))?.lot.reserved).toBe(1);
  const kept = (await findBuild(fixture.app.db.read, code))?.build.design;
  expect(kept && (await keptDesign(fixture.app, kept))?.winding).toEqual(sheet.chosen?.view.winding);
});

test.each`
  typed                                                      | says
  ${{ from: 'mains', out: '12V', amps: '2A' }}               | ${/90\sV to 264\sV in/}
  ${{ from: '230VAC', out: '12V', amps: '2A' }}              | ${/230\sV in/}
  ${{ from: '230V', out: '72V', amps: '2A' }}                | ${/60 V or less/}
  ${{ from: '70V', out: '12V', amps: '2A' }}                 | ${/70 V is over 60 V/}
  ${{ from: '24V', out: '12V', amps: '2A', ambient: 'hot' }} | ${/Air around it/}
`('$typed is shown to learn from, or refused: $says', async ({ typed, says }) => {
  const sheet = await designSheet(fixture.app, designQuery.parse(typed));
  expect(sheet.chosen).toBeUndefined();
  expect(sheet.mains?.asked ?? sheet.problem).toMatch(says as RegExp);
});

test('the report of a designed build holds its needs, drawing, winding sheet, deck and first power-up', async () => {
  const query = designQuery.parse({ from: '20V', to: '28V', out: '12V', amps: '1A', isolated: 'yes' });
  const { code } = valueOf(await keepDesign(fixture.app, query, 'flyback KKK-025 wound'));
  const files = await buildReportFiles(fixture.app, code.toLowerCase());
  expect([...(files?.keys() ?? [])].toSorted()).toEqual([
    'circuit.cir',
    'needs.csv',
    'report.md',
    'report.pdf',
    'schematic.svg',
  ]);
  const told = String(files?.get('report.md'));
  for (const wanted of ['KKK-025', 'turns of', 'First power-up', 'set aside', 'schematic.svg'])
    expect(told).toContain(wanted);
  // Values stand beside the parts, and no room that was kept for one.
  expect(String(files?.get('schematic.svg'))).not.toContain(FIGURE_ROOM);
  expect(await buildReportFiles(fixture.app, 'NON-EXX')).toBeUndefined();
});
