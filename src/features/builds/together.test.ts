import { donors } from '../../db/schema';
import { findBuild } from '../../db/repositories/builds';
import { findLot } from '../../db/repositories/lotSearch';
import { aShop, DONOR_CODE } from '../../db/testing/aShop';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { undoStep, valueOf } from '../../services/command';
import { addNeed, moveParts, startBuild } from './commands';
import { keepTogether } from './keepTogether';
import { buildView } from './view.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

const can = (farads: number, volts: number, esr: number) =>
  ({
    capacitance: [farads, 'measured'],
    voltage: [volts, 'datasheet'],
    esr: [esr, 'measured'],
  }) as const;

beforeEach(async () => {
  fixture = await temporaryContext();
  await aShop(fixture.app, {
    lots: [
      { code: 'CAN-470', kind: 'capacitor', technology: 'electrolytic', pieces: 5, ratings: can(470e-6, 63, 0.05) },
      { code: 'BUS-330', kind: 'capacitor', technology: 'electrolytic', pieces: 2, ratings: can(330e-6, 250, 0.2) },
    ],
    onBoard: [{ code: 'C3', kind: 'capacitor', ratings: { capacitance: [1e-3, 'decoded'], voltage: [63, 'decoded'] } }],
  });
  await fixture.app.db.write((tx) =>
    tx.insert(donors).values({ id: 'shut', code: 'SHU-T11', description: 'adapter', createdMs: 1 }),
  );
  ({ code } = valueOf(await startBuild(fixture.app, { title: 'lamp', note: '' })));
});
afterEach(() => fixture.dispose());

const need = async (filter: string, quantity = 1) =>
  valueOf(await addNeed(fixture.app, code, { role: 'output', filter, quantity })).needId;
const reserved = async (lot: string) => (await findLot(fixture.app.db.read, lot))?.lot.reserved;
const needs = async () =>
  (await findBuild(fixture.app.db.read, code))?.needs.map(({ need: { role, filter, quantity }, filled }) => [
    role,
    filter,
    quantity,
    filled,
  ]);
const offered = async () => (await buildView(fixture.app, code))?.needs[0]?.together ?? [];

test('where no lot fits alone, lots that fit together are offered with their sum and drawbacks, and set aside as one step', async () => {
  const needId = await need('electrolytic 1000u duty 40V 1A ripple', 2);
  const [first] = await offered();
  expect(first).toMatchObject({
    way: 'side by side',
    sum: '470\u00a0µF + 470\u00a0µF = 940\u00a0µF',
    lots: [{ code: 'CAN-470', count: 2 }],
  });
  const done = await keepTogether(fixture.app, { code, needId, key: first?.key ?? '' });
  expect(done.ok).toBe(true);
  expect(await reserved('CAN-470')).toBe(4);
  expect(await needs()).toEqual([['output, 2 side by side', 'electrolytic c~470uF', 4, 4]]);
  const [step] = (await buildView(fixture.app, code))?.steps ?? [];
  expect(step).toMatchObject({ isUndone: false, message: expect.stringContaining('set aside') as unknown });
  if (done.ok) await undoStep(fixture.app, done.undo ?? '');
  expect(await reserved('CAN-470')).toBe(0);
  expect(await needs()).toEqual([['output', 'electrolytic 1000u duty 40V 1A ripple', 2, 0]]);
  // Its own steps are told, the one that was taken back as such.
  expect((await buildView(fixture.app, code))?.steps.map(({ isUndone }) => isUndone)).toEqual([true, false, false]);
});

test('a string brings its balance with it; what is left over stays a need', async () => {
  const needId = await need('electrolytic 165u duty 350V', 2);
  const [first] = await offered();
  expect(first?.way).toBe('in series');
  await keepTogether(fixture.app, { code, needId, key: first?.key ?? '' });
  // Balance at 350 V: (500 − 350)/(0.0015 · 330 · 350 µA) = 866 kΩ; 0.8 of it, of the series.
  expect(await needs()).toEqual([
    ['output', 'electrolytic 165u duty 350V', 1, 0],
    ['output, 2 in series', 'electrolytic c~330uF', 2, 2],
    ['output, across each can', 'resistor 680k duty 250V', 2, 0],
  ]);
});

test('two at once never set aside more than there is', async () => {
  const one = await need('electrolytic 1000u duty 40V');
  const [first] = await offered();
  const other = await need('electrolytic 1000u duty 40V');
  const third = await need('electrolytic 1000u duty 40V');
  const key = first?.key ?? '';
  const outcomes = await Promise.all(
    [one, other, third].map((needId) => keepTogether(fixture.app, { code, needId, key })),
  );
  expect(outcomes.filter(({ ok }) => ok)).toHaveLength(2);
  expect(await reserved('CAN-470')).toBe(4);
  const rest = await need('electrolytic 470u', 2);
  expect(
    await moveParts(fixture.app, { step: 'reserve', lotCode: 'CAN-470', needId: rest, quantity: 2 }),
  ).toMatchObject({
    ok: false,
  });
});

test('an unopened unit like one that held such a part is named with its odds', async () => {
  await need('capacitor 1000u 63V');
  // One of one opened: (1 + 1)/(1 + 2).
  expect((await buildView(fixture.app, code))?.needs[0]).toMatchObject({
    onBoards: [{ donor: DONOR_CODE, ref: 'C3' }],
    likely: [{ donor: 'SHU-T11', message: '1 of 1 opened like it held one: 0.7 likely' }],
  });
});
