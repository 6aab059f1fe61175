/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import { mount } from '../../ui/testing/mount';
import { addNeedAction, movePartsAction, removeNeedAction } from './actions';
import { BuildSheet } from './BuildSheet';
import type { BuildView, MatchView, NeedView } from './view.server';

jest.mock('./actions', () => ({
  addNeedAction: jest.fn(),
  movePartsAction: jest.fn(),
  removeNeedAction: jest.fn(),
  startBuildAction: jest.fn(),
}));

const MATCH: MatchView = {
  lot: 'FIT-150',
  marking: '30N15',
  bin: 'C2',
  grade: 'A',
  free: 5,
  verdict: 'fits',
  word: 'fits',
  margin: '1.5×',
  checks: ['150 V for 100 V'],
};
const NEED: NeedView = {
  id: 'n1',
  role: 'switch',
  filter: 'nmos vds>=100',
  message: 'N-channel MOSFET, drain voltage at least 100 V',
  quantity: 2,
  open: 2,
  allocations: [],
  matches: [],
  together: [],
  likely: [],
  onBoards: [],
};

beforeEach(() => {
  jest.resetAllMocks();
  for (const action of [addNeedAction, movePartsAction, removeNeedAction])
    jest.mocked(action).mockResolvedValue({ ok: true, message: 'done' });
});

function build(needs: readonly NeedView[], line: { message?: string; ready?: boolean } = {}) {
  const view = {
    code: 'B-PUMP',
    title: 'pump supply',
    note: '',
    steps: [],
    needs,
    line: { code: 'B-PUMP', title: '', message: 'lacks 2 switch', hint: '', hintHref: null, ready: false, ...line },
  } as unknown as BuildView;
  return mount(<BuildSheet build={view} />);
}
const need = () => within(screen.getByRole('listitem', { name: 'switch' }));
const judged = () => screen.getByText(/^switch: /).textContent;

test('a build without needs asks for the first', async () => {
  const { user } = build([]);
  expect(screen.getByText('What does it need?')).toBeTruthy();
  expect(screen.getByText('Write down the first need.')).toBeTruthy();
  await user.type(screen.getByLabelText('what it is for'), 'switch');
  await user.type(screen.getByLabelText('what it must be'), 'nmos vds>=100{Enter}');
  await waitFor(() => expect(addNeedAction).toHaveBeenCalledTimes(1));
  expect(Object.fromEntries(jest.mocked(addNeedAction).mock.calls[0]?.[1] as never)).toEqual({
    role: 'switch',
    filter: 'nmos vds>=100',
    quantity: '1',
  });
});

test.each`
  of                                                                          | says                                           | next
  ${{ matches: [MATCH] }}                                                     | ${'switch: 2 wanted, 1 lot to choose from'}    | ${/tightest margin/}
  ${{ matches: [MATCH, { ...MATCH, lot: 'BIG-650' }] }}                       | ${'switch: 2 wanted, 2 lots to choose from'}   | ${/tightest margin/}
  ${{ onBoards: [{ donor: 'K7F-2QM', ref: 'Q3', message: '', href: '/x' }] }} | ${'switch: 2 wanted, on the board of K7F-2QM'} | ${/tightest margin/}
  ${{}}                                                                       | ${'switch: 2 wanted, nothing in sight'}        | ${/tightest margin/}
  ${{ open: 0 }}                                                              | ${'switch: 2 set aside or built in'}           | ${/tightest margin/}
`('$says', ({ of, says, next }) => {
  build([{ ...NEED, ...of }]);
  expect(judged()).toBe(says);
  expect(screen.getByText(next)).toBeTruthy();
});

test('a need that nothing fits says so, and can be deleted after a question', async () => {
  const { user } = build([NEED]);
  expect(need().getByText('No free lot fits.')).toBeTruthy();
  expect(need().getByText('0 of 2')).toBeTruthy();
  await user.click(need().getByRole('button', { name: 'delete' }));
  expect(removeNeedAction).not.toHaveBeenCalled();
  await user.click(await screen.findByRole('button', { name: 'Delete it' }));
  await waitFor(() => expect(removeNeedAction).toHaveBeenCalledWith('B-PUMP', 'n1'));
});

test('what is set aside can be given back or built in; a need that holds something is not deleted', async () => {
  const { user } = build([
    { ...NEED, open: 0, allocations: [{ lot: 'FIT-150', marking: '30N15', reserved: 1, used: 1, scrap: null }] },
  ]);
  expect(need().getByText('1 set aside, 1 built in')).toBeTruthy();
  expect(need().queryByRole('button', { name: 'delete' })).toBeNull();
  await user.click(need().getByRole('button', { name: 'give back 1' }));
  await user.click(need().getByRole('button', { name: 'Build in 1' }));
  await waitFor(() => expect(movePartsAction).toHaveBeenCalledTimes(2));
  expect(jest.mocked(movePartsAction).mock.calls.map(([of]) => of)).toEqual([
    { needId: 'n1', step: 'release' },
    { needId: 'n1', step: 'use' },
  ]);
});

test.each([
  ['no more than are wanted', 5, 2, 'Set aside 2'],
  ['no more than are free', 1, 2, 'Set aside 1'],
])('of a lot that fits %s are offered', async (_, free, open, button) => {
  const { user } = build([{ ...NEED, open, matches: [{ ...MATCH, free }] }]);
  const row = within(need().getByRole('table', { name: 'Lots for switch' }));
  expect(row.getByText('150 V for 100 V')).toBeTruthy();
  await user.click(row.getByRole('button', { name: button }));
  await waitFor(() => expect(movePartsAction).toHaveBeenCalledTimes(1));
  expect(Object.fromEntries(jest.mocked(movePartsAction).mock.calls[0]?.[1] as never)).toEqual({
    lot: 'FIT-150',
    quantity: button.slice(-1),
  });
});

test('when all is there the next is to build', () => {
  build([{ ...NEED, open: 0 }], { message: 'all set aside, ready to build', ready: true });
  expect(screen.getByText('All set aside, ready to build')).toBeTruthy();
  expect(screen.getByText(/Take the parts out of their bins/)).toBeTruthy();
});
