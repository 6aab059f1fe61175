/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import { mount } from '../../../ui/testing/mount';
import { addSoakAction, correctSoakAction, removeSoakAction } from './actions';
import { SoakLog } from './SoakLog';
import type { SoakView } from './soak.server';

jest.mock('./actions', () => ({ addSoakAction: jest.fn(), correctSoakAction: jest.fn(), removeSoakAction: jest.fn() }));
jest.mock('../../../ui/charts/LazyTrendChart', () => ({
  LazyTrendChart: ({ label }: { label: string }) => <div role="img" aria-label={label} />,
}));

const CODE = 'FQM-ZN8';
const ROW: SoakView['rows'][number] = {
  id: 's1',
  time: '12:00',
  watts: '42 W',
  celsius: '51 °C',
  volts: '19.1 V',
  load: '2 A',
  remark: 'fan starts',
  typed: { watts: '42W', celsius: '51°C', volts: '19.1V', load: '2A', elapsed: '12:00', remark: 'fan starts' },
};
const soak = (more: Partial<SoakView> = {}): SoakView => ({ rows: [], curves: [], findings: [], run: null, ...more });

beforeEach(() => {
  jest.resetAllMocks();
  for (const action of [addSoakAction, correctSoakAction, removeSoakAction])
    jest.mocked(action).mockResolvedValue({ ok: true, message: 'done' });
});

test('before the first row there is a form and no table', async () => {
  const { user } = mount(<SoakLog code={CODE} soak={soak()} />);
  expect(screen.queryByRole('table')).toBeNull();
  const form = within(screen.getByRole('form', { name: 'Row of the run' }));
  expect(form.getByLabelText('case').getAttribute('inputmode')).toBe('decimal');
  await user.type(form.getByLabelText('case'), '51C');
  await user.type(form.getByLabelText('at'), '12');
  await user.tab();
  expect(form.getByText(/“12” what\? Minutes are likely/)).toBeTruthy();
  await user.type(form.getByLabelText('at'), 'm{Enter}');
  await waitFor(() => expect(addSoakAction).toHaveBeenCalledTimes(1));
  expect(Object.fromEntries(jest.mocked(addSoakAction).mock.calls[0]?.[1] as never)).toMatchObject({
    celsius: '51C',
    elapsed: '12m',
  });
});

test('a row is corrected in a form that holds it, and deleted by a press', async () => {
  const { user } = mount(<SoakLog code={CODE} soak={soak({ rows: [ROW] })} />);
  await user.click(screen.getByRole('button', { name: 'Correct the row at 12:00' }));
  const form = within(await screen.findByRole('form', { name: 'Correct the row at 12:00' }));
  await user.clear(form.getByLabelText('load'));
  await user.type(form.getByLabelText('load'), '2.5A{Enter}');
  await waitFor(() => expect(correctSoakAction).toHaveBeenCalledTimes(1));
  const [of, data] = jest.mocked(correctSoakAction).mock.calls[0] ?? [];
  expect([of, Object.fromEntries(data as never)]).toEqual([
    { code: CODE, rowId: 's1' },
    { ...ROW.typed, load: '2.5A' },
  ]);
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  await user.click(screen.getByRole('button', { name: 'Delete the row at 12:00' }));
  expect(removeSoakAction).toHaveBeenCalledWith(CODE, 's1');
});

test('curves are drawn where there are points enough', () => {
  mount(
    <SoakLog
      code={CODE}
      soak={soak({ rows: [ROW], curves: [{ label: 'output', unit: 'V', points: [{ time: 0, value: 19 }] }] })}
    />,
  );
  expect(screen.getByRole('img', { name: 'output' })).toBeTruthy();
});
