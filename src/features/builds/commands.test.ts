import { readQuestion } from '../../core/stock';
import { findBuild } from '../../db/repositories/builds';
import { findLot } from '../../db/repositories/lotSearch';
import { undoStep, valueOf } from '../../services/command';
import { bins, lots, stockLedger } from '../../db/schema';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { needForm } from './schema';
import { addNeed, moveParts, startBuild, removeNeed } from './commands';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let need: { code: string; needId: string };

const LOT = 'M4R-9XK';

beforeEach(async () => {
  fixture = await temporaryContext();
  const { app } = fixture;
  await app.db.write(async (tx) => {
    await tx.insert(bins).values({ id: 'bin-1', code: 'C2-5', createdMs: 0 });
    await tx.insert(lots).values({ id: 'lot-1', code: LOT, kind: 'nmos', binId: 'bin-1', createdMs: 0 });
    await tx
      .insert(stockLedger)
      .values({ id: 'line-1', lotId: 'lot-1', atMs: 0, onHandDelta: 3, reservedDelta: 0, reason: 'counted' });
  });
  const { code } = valueOf(await startBuild(app, { title: 'lamp', note: '' }));
  const { needId } = valueOf(await addNeed(app, code, { role: 'switch', filter: 'nmos >=100V', quantity: 2 }));
  need = { code, needId };
});
afterEach(() => fixture.dispose());

const move = (step: 'reserve' | 'release' | 'use', quantity: number) =>
  moveParts(fixture.app, { step, quantity, lotCode: LOT, needId: need.needId });
const balance = async () => {
  const found = await findLot(fixture.app.db.read, LOT);
  return [found?.lot.onHand, found?.lot.reserved];
};

test('parts are set aside, given back and built in, and the stock says so at each step', async () => {
  await move('reserve', 2);
  expect(await balance()).toEqual([3, 2]);
  await move('release', 1);
  expect(await balance()).toEqual([3, 1]);
  await move('use', 1);
  expect(await balance()).toEqual([2, 0]);
});

test.each`
  first                           | then         | quantity | code                  | data
  ${[]}                           | ${'reserve'} | ${3}     | ${'need-wants-fewer'} | ${{ open: 2, asked: 3 }}
  ${[['reserve', 2]]}             | ${'reserve'} | ${1}     | ${'need-wants-fewer'} | ${{ open: 0, asked: 1 }}
  ${[['reserve', 2], ['use', 2]]} | ${'reserve'} | ${1}     | ${'need-wants-fewer'} | ${{ open: 0, asked: 1 }}
  ${[]}                           | ${'use'}     | ${1}     | ${'need-holds-fewer'} | ${{ held: 0, asked: 1 }}
  ${[['reserve', 1]]}             | ${'release'} | ${2}     | ${'need-holds-fewer'} | ${{ held: 1, asked: 2 }}
`(
  '$then $quantity after $first is refused with the numbers, and nothing moves',
  async ({ first, then, quantity, code, data }) => {
    for (const [step, pieces] of first) await move(step, pieces);
    const before = await balance();
    expect(await move(then, quantity)).toMatchObject({
      ok: false,
      problems: [{ code, data }],
    });
    expect(await balance()).toEqual(before);
  },
);

test('pieces set aside for another need are not this one’s to give back or to take', async () => {
  const { app } = fixture;
  const { needId } = valueOf(await addNeed(app, need.code, { role: 'spare', filter: 'nmos', quantity: 2 }));
  await moveParts(app, { step: 'reserve', quantity: 2, lotCode: LOT, needId });
  expect(await move('release', 1)).toMatchObject({ ok: false });
  expect(await move('reserve', 2)).toMatchObject({
    ok: false,
    problems: [{ code: 'too-many-reserved', data: { asked: 2, onHand: 3, reserved: 2 } }],
  });
  expect(await balance()).toEqual([3, 2]);
});

test('each step can be undone once', async () => {
  const outcome = await move('reserve', 2);
  const line = outcome.ok ? (outcome.undo ?? '') : '';
  expect(await undoStep(fixture.app, line)).toMatchObject({ ok: true });
  expect(await undoStep(fixture.app, line)).toMatchObject({ problems: [{ code: 'undone-already' }] });
  expect(await balance()).toEqual([3, 0]);
});

test('a need with parts set aside cannot be deleted', async () => {
  await move('reserve', 1);
  expect(await removeNeed(fixture.app, need)).toMatchObject({ ok: false });
  await move('release', 1);
  expect(await removeNeed(fixture.app, need)).toMatchObject({ ok: true });
});

test.each`
  filter               | names
  ${'>=600V'}          | ${'>=600V'}
  ${'nmos vds>=tall'}  | ${'vds>=tall'}
  ${'something'}       | ${'Name a kind'}
  ${'resistor >=600F'} | ${'>=600F'}
`('a need “$filter” is refused and named', ({ filter, names }) => {
  const parsed = needForm.safeParse({ role: 'switch', filter, quantity: '1' });
  expect(parsed.error?.issues.map(({ message }) => message).join()).toContain(names);
});

test('what a need accepts is what the stock search reads', () => {
  const { filter } = needForm.parse({ role: 'switch', filter: ' nmos >=600V ', quantity: '2' });
  expect(readQuestion(filter)).toMatchObject({
    ok: true,
    filter: { kind: { kinds: ['nmos'] }, demands: [{ rating: 'vds', value: 600 }] },
  });
});

test('fifty hands at once set aside what two needs want, and not one piece more', async () => {
  const { app } = fixture;
  const { needId } = valueOf(await addNeed(app, need.code, { role: 'spare', filter: 'nmos', quantity: 50 }));
  const outcomes = await Promise.all(
    Array.from({ length: 50 }, (_, hand) =>
      moveParts(app, { step: 'reserve', quantity: 1, lotCode: LOT, needId: hand % 2 ? need.needId : needId }),
    ),
  );
  expect(outcomes.filter(({ ok }) => ok)).toHaveLength(3);
  expect(await balance()).toEqual([3, 3]);
});

test('a build and its needs are undone like every change, but not from under what rests on them', async () => {
  const { app } = fixture;
  const begun = await startBuild(app, { title: 'jig', note: '' });
  const { code } = valueOf(begun);
  const needed = await addNeed(app, code, { role: 'switch', filter: 'nmos', quantity: 1 });
  const { needId } = valueOf(needed);
  const reserved = await moveParts(app, { step: 'reserve', quantity: 1, lotCode: LOT, needId });
  const undo = (outcome: { ok: boolean; undo?: string }) => undoStep(app, outcome.undo ?? '');
  const tooEarly = { ok: false, problems: [{ code: 'steps-rest-on-it' }] };
  expect(await undo(begun)).toMatchObject(tooEarly);
  expect(await undo(needed)).toMatchObject({
    ok: false,
    problems: [{ message: expect.stringMatching(/1 of M4R-9XK set aside for switch\./) as string }],
  });
  for (const step of [reserved, needed, begun]) expect(await undo(step)).toMatchObject({ ok: true });
  expect(await balance()).toEqual([3, 0]);
  expect(await findBuild(app.db.read, code)).toBeUndefined();

  const deleted = await removeNeed(app, need);
  expect(await undo(deleted)).toMatchObject({ ok: true });
  expect((await findBuild(app.db.read, need.code))?.needs).toHaveLength(1);
});
