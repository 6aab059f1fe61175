/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import { mount } from '../testing/mount';
import { SheetColumns, type ShownColumn } from './SheetColumns';

const COLUMNS: readonly ShownColumn[] = [
  { heading: 'Bauteil', role: 'kind', by: 'alias', samples: ['Elko'] },
  { heading: 'XQ', role: 'nothing', by: 'none', samples: ['a', 'b'] },
];
const CHOICES = { nothing: 'leave out', kind: 'kind of part', bin: 'bin' };
const onSay = jest.fn();
beforeEach(() => onSay.mockReset());

test('a column is put right, and one bin given for all', async () => {
  const { user } = mount(<SheetColumns columns={COLUMNS} choices={CHOICES} bin="" isBusy={false} onSay={onSay} />);
  expect(screen.getByText('not understood')).toBeTruthy();
  await user.selectOptions(screen.getByLabelText('Column XQ is'), 'bin');
  expect(onSay).toHaveBeenLastCalledWith(['kind', 'bin'], '');
  await user.type(screen.getByLabelText(/Bin for pieces/), 'C2-5{Enter}');
  expect(onSay).toHaveBeenLastCalledWith(['kind', 'nothing'], 'C2-5');
});

test('a list that needs no bin asks for none', () => {
  mount(<SheetColumns columns={COLUMNS} choices={CHOICES} isBusy={false} onSay={onSay} />);
  expect(screen.queryByLabelText(/Bin for pieces/)).toBeNull();
});
