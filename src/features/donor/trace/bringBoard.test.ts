import { dossierOf } from '../../../services/dossier/testing/dossierOf';
import { valueOf } from '../../../services/command';
import { readFileSync } from 'node:fs';
import { toSpice } from '../../../core/board';
import { analyse } from '../../../core/topology';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { readBoard } from '../../../formats/board';
import { donorStress } from '../../../services/board/donorStress';
import { donorForm } from '../intake/schema';
import { boardFileOf, bringBoardFile } from './boardRoute.server';
import { traceView } from './view.server';
import { registerDonor } from '../intake/commands';
import { recordLine } from '../shared/recordLine';
import { undoLatest } from '../../../services/command/undo';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  ({ code } = valueOf(await registerDonor(fixture.app, donorForm.parse({ description: 'adapter' }))));
});
afterEach(() => fixture.dispose());

const dossier = (of = code) => dossierOf(fixture.app, of);
const board = async () => (await traceView(await dossier(), true)).board;
const reference = (name: string) => readFileSync(`src/core/topology/fixtures/boards/${name}.json`, 'utf8');

test.each([
  ['step-down-5v', ['buck']],
  ['router-adapter-12v', ['flyback']],
  ['room-thermostat', ['capacitive-dropper']],
])(
  '%s comes in as a board file and reads as %s, comes out again and reads the same once more',
  async (name, topologiesOfIt) => {
    const brought = await bringBoardFile({ code, name: `${name}.json`, content: reference(name) });
    expect(brought).toMatchObject({ ok: true });
    const topologies = async () => analyse(await board()).stages.map(({ topology }) => topology);
    expect(await topologies()).toEqual(topologiesOfIt);
    const file = await boardFileOf(code, 'board');
    expect(file).toMatchObject({ name: `${code}.json`, type: 'application/json' });
    await undoLatest(fixture.app, code);
    expect((await board()).parts).toEqual([]);
    expect(await bringBoardFile({ code, name: 'again', content: file?.content ?? '' })).toMatchObject({ ok: true });
    expect(await topologies()).toEqual(topologiesOfIt);
  },
);

test('a SPICE netlist comes in with its nets; net list and netlist go out with every joined pin', async () => {
  const file = readBoard(reference('step-down-5v'));
  const { result } = toSpice(file.ok ? file.board : { parts: [] });
  expect(await bringBoardFile({ code, name: 'buck.cir', content: result })).toMatchObject({ ok: true });
  expect((await board()).joined?.length).toBeGreaterThan(5);
  const csv = await boardFileOf(code, 'csv');
  expect(csv?.content.split('\n')[0]).toMatch(/^ref,/);
  expect((await boardFileOf(code, 'spice'))?.content).toMatch(/N\d+/);
});

test.each([
  ['broken JSON', '{"format": ', 'JSON is expected'],
  ['an unknown kind', '{"format":"zorvek.board/1","parts":[{"ref":"Q1","kind":"valve","pins":{}}]}', 'parts[0].kind'],
  [
    'a reference that is none',
    '{"format":"zorvek.board/1","parts":[{"ref":"left","kind":"resistor","pins":{}}]}',
    '“left”',
  ],
  ['an empty file', '', 'no part was found'],
])('%s is refused, and nothing is stored', async (_what, content, message) => {
  const outcome = await bringBoardFile({ code, name: 'board.json', content });
  expect(outcome.ok ? '' : outcome.problems.map(({ message }) => message).join(' ')).toContain(message);
  expect((await board()).parts).toEqual([]);
});

test('what a part must stand follows from the topology once the board is traced', async () => {
  expect((await donorStress(await dossier())).topology).toBeUndefined();
  await bringBoardFile({ code, name: 'router', content: reference('router-adapter-12v') });
  expect((await donorStress(await dossier())).topology).toBe('flyback');
  await recordLine(fixture.app, { code, station: 'trace', line: 't303 as forward' });
  expect((await donorStress(await dossier())).topology).toBe('forward');
});

test('the power path counts the pins that power passes, and names those that are open', async () => {
  for (const line of ['j1 mains-inlet', 'f1 fuse', 'br1 bridge', 'j1.l - f1.1', 'f1.2 - br1.ac1'])
    await recordLine(fixture.app, { code, station: 'trace', line });
  const { power } = analyse((await traceView(await dossier(), false)).board);
  expect(power).toEqual({ pins: 8, traced: 4, open: ['J1.N', 'BR1.AC2', 'BR1.+', 'BR1.-'] });
});
