import { aShop } from '../../db/testing/aShop';
import { shareContext } from '../../db/testing/sharedContext';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { blamed, formOf } from '../../ui/form/testing/forms';
import { addNeedAction, movePartsAction, startBuildAction, removeNeedAction } from './actions';
import { buildView } from './view.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  await aShop(fixture.app, {
    lots: [{ code: 'FIT-150', kind: 'nmos', pieces: 2, ratings: { vds: [150, 'datasheet'] } }],
  });
  const outcome = await startBuildAction(formOf({ title: 'lamp' }));
  code = (outcome.ok && outcome.goto?.split('/').at(-1)) || '';
});
afterEach(() => fixture.dispose());

const need = async () => (await buildView(fixture.app, code))?.needs[0];

test.each`
  fields                                                 | fault
  ${{ role: '', filter: 'nmos', quantity: '1' }}         | ${['role']}
  ${{ role: 'switch', filter: '', quantity: '1' }}       | ${['filter']}
  ${{ role: 'switch', filter: 'vds>=5', quantity: '1' }} | ${['filter']}
  ${{ role: 'switch', filter: 'nmos', quantity: 'two' }} | ${['quantity']}
  ${{ role: '', filter: 'x', quantity: '0' }}            | ${['role', 'filter', 'quantity']}
`('a need $fields is refused at $fault', async ({ fields, fault }) => {
  expect(blamed(await addNeedAction(code, formOf(fields)))).toEqual(fault);
  expect(await need()).toBeUndefined();
});

test('a need is filled step by step, and each step answers for itself', async () => {
  await addNeedAction(code, formOf({ role: 'switch', filter: 'nmos vds>=100', quantity: '1' }));
  const needId = (await need())?.id ?? '';
  const move = (step: 'reserve' | 'use' | 'release', quantity: string, lot = 'FIT-150') =>
    movePartsAction({ needId, step }, formOf({ lot, quantity }));
  expect(blamed(await move('reserve', 'some'))).toEqual(['quantity']);
  expect(await move('reserve', '1', 'NO-SUCH')).toMatchObject({ ok: false });
  expect(await move('reserve', '1')).toMatchObject({ ok: true });
  expect(await removeNeedAction(code, needId)).toMatchObject({ ok: false });
  expect(await move('use', '1')).toMatchObject({ ok: true });
  expect(await need()).toMatchObject({ open: 0, allocations: [{ used: 1 }] });
  await expect(
    movePartsAction({ needId, step: 'steal' as never }, formOf({ lot: 'FIT-150', quantity: '1' })),
  ).rejects.toThrow();
  await expect(
    movePartsAction({ needId: '', step: 'use' }, formOf({ lot: 'FIT-150', quantity: '1' })),
  ).rejects.toThrow();
});

test('a build needs a name', async () => {
  expect(blamed(await startBuildAction(formOf({ title: ' ', note: 'x' })))).toEqual(['title']);
  expect(blamed(await startBuildAction(formOf({ title: 'x'.repeat(121) })))).toEqual(['title']);
});
