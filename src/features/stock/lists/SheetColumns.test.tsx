/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import type { SheetColumn } from '../../../core/stock';
import { mount } from '../../../ui/testing/mount';
import { rememberColumns, rememberedColumns } from './rememberedColumns';
import { SheetColumns } from './SheetColumns';

const COLUMNS: readonly SheetColumn[] = [
  { heading: 'Bauteil', role: 'kind', by: 'alias', samples: ['Elko'] },
  { heading: 'XQ', role: 'nothing', by: 'none', samples: ['a', 'b'] },
];
const onSay = jest.fn();

beforeEach(() => {
  onSay.mockReset();
  localStorage.clear();
});

test('a column is put right, and one bin given for all', async () => {
  const { user } = mount(<SheetColumns columns={COLUMNS} bin="" isBusy={false} onSay={onSay} />);
  expect(screen.getByText('not understood')).toBeTruthy();
  await user.selectOptions(screen.getByLabelText('Column XQ is'), 'bin');
  expect(onSay).toHaveBeenLastCalledWith(['kind', 'bin'], '');
  await user.type(screen.getByLabelText(/Bin for pieces/), 'C2-5{Enter}');
  expect(onSay).toHaveBeenLastCalledWith(['kind', 'nothing'], 'C2-5');
});

test('what was said is known again for a list with the same headings, and for no other', () => {
  rememberColumns(COLUMNS, { roles: 'kind,bin', bin: 'C2' });
  expect(rememberedColumns(COLUMNS)).toEqual({ roles: 'kind,bin', bin: 'C2' });
  expect(rememberedColumns(COLUMNS.slice(1))).toBeUndefined();
  localStorage.setItem(Object.keys(localStorage)[0] ?? '', '{broken');
  expect(rememberedColumns(COLUMNS)).toBeUndefined();
});
