/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import { mount } from '../../../ui/testing/mount';
import { addLotAction, joinLotsAction, moveToBinAction, splitLotAction, takePiecesAction } from './actions';
import { JoinForm, LotForm, MoveForm, SplitForm, TakePiecesForm } from './LotForms';

jest.mock('./actions', () => ({
  addLotAction: jest.fn(),
  joinLotsAction: jest.fn(),
  moveToBinAction: jest.fn(),
  splitLotAction: jest.fn(),
  takePiecesAction: jest.fn(),
}));

const ACTIONS = { addLotAction, joinLotsAction, moveToBinAction, splitLotAction, takePiecesAction };
beforeEach(() => {
  jest.resetAllMocks();
  for (const action of Object.values(ACTIONS)) jest.mocked(action).mockResolvedValue({ ok: true, message: 'done' });
});

const sent = (action: unknown) => {
  const [last] = (action as jest.Mock).mock.calls;
  return { of: last?.[0], ...Object.fromEntries(last?.at(-1) ?? []) };
};
const LOT = 'D4R-MK2';

test.each([
  [
    'pieces are taken out, with what for',
    <TakePiecesForm key="f" code={LOT} />,
    { pieces: '3', 'for what': 'lathe' },
    'Take out',
    takePiecesAction,
    { of: LOT, quantity: '3', note: 'lathe' },
  ],
  [
    'a lot goes into another bin',
    <MoveForm key="f" code={LOT} />,
    { 'to bin': 'C2-5' },
    'Move it',
    moveToBinAction,
    { of: LOT, bin: 'C2-5' },
  ],
  [
    'some pieces become a lot of their own, in the same bin unless another is said',
    <SplitForm key="f" code={LOT} bin="A1" />,
    { pieces: '2' },
    'Split',
    splitLotAction,
    { of: LOT, quantity: '2', bin: 'A1' },
  ],
] as const)('%s', async (_what, form, typed, button, action, expected) => {
  const { user } = mount(form);
  for (const [label, text] of Object.entries(typed)) {
    await user.clear(screen.getByLabelText(label));
    await user.type(screen.getByLabelText(label), text);
  }
  await user.click(screen.getByRole('button', { name: button }));
  await waitFor(() => expect(sent(action)).toEqual(expected));
});

test('like lots are told with their pieces and drawer; where there is none, nothing is asked', async () => {
  const like = [
    { code: 'AAA-111', bin: 'A1', pieces: 4 },
    { code: 'BBB-222', bin: 'C2-5', pieces: 1 },
  ];
  const { user, show } = mount(<JoinForm code={LOT} like={like} />);
  await user.selectOptions(screen.getByLabelText('a similar lot comes into this one'), 'BBB-222, 1 in C2-5');
  await user.click(screen.getByRole('button', { name: 'Merge it' }));
  await waitFor(() => expect(sent(joinLotsAction)).toEqual({ of: LOT, from: 'BBB-222' }));
  show(<JoinForm code={LOT} like={[]} />);
  expect(screen.queryByRole('button', { name: 'Merge it' })).toBeNull();
});

test('a lot from no donor is written down; what is refused stays in its fields', async () => {
  jest.mocked(addLotAction).mockResolvedValueOnce({
    ok: false,
    problems: [
      { field: 'values', message: '“12Q” is no value of an N-FET.' },
      { field: 'bin', message: 'A bin is expected, such as C2-5.' },
    ],
  });
  const { user } = mount(<LotForm />);
  await user.selectOptions(screen.getByLabelText('kind'), 'nmos');
  await user.type(screen.getByLabelText('marking'), '12N65');
  await user.type(screen.getByLabelText(/^values/), '12Q');
  await user.selectOptions(screen.getByLabelText('grade'), 'B');
  await user.click(screen.getByRole('button', { name: 'Put it in the drawer' }));
  expect((await screen.findAllByRole('alert')).map(({ textContent }) => textContent)).toEqual([
    '“12Q” is no value of an N-FET.',
    'A bin is expected, such as C2-5.',
  ]);
  // The first field that was refused is where one types on.
  await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText(/^values/)));
  await user.clear(screen.getByLabelText(/^values/));
  await user.type(screen.getByLabelText(/^values/), '650V 12A datasheet');
  await user.type(screen.getByLabelText('bin'), 'C2-5');
  await user.click(screen.getByRole('button', { name: 'Put it in the drawer' }));
  await waitFor(() => expect(addLotAction).toHaveBeenCalledTimes(2));
  expect(Object.fromEntries(jest.mocked(addLotAction).mock.calls[1]?.at(-1) as FormData)).toMatchObject({
    kind: 'nmos',
    marking: '12N65',
    values: '650V 12A datasheet',
    grade: 'B',
    limit: '',
    pieces: '1',
    bin: 'C2-5',
  });
  expect(screen.queryByRole('alert')).toBeNull();
});
