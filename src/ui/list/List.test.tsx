/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { mount } from '../testing/mount';
import { List } from './List';
import type { TableColumn, TableRow } from './rows';

const COLUMNS: readonly TableColumn[] = [
  { id: 'ref', label: 'reference' },
  { id: 'value', label: 'value', align: 'end' },
  { id: 'case', label: 'case', hidden: true },
];
const ROWS: readonly TableRow[] = [
  ['R10', '4.7 kΩ', 4700, 'axial'],
  ['R2', '22 Ω', 22, 'axial'],
  ['R1', '1 MΩ', 1e6, '1206'],
  ['R3', '100 Ω', 100, 'axial'],
  ['R4', 'not known', undefined, '0805'],
  ['R5', '10 kΩ', 1e4, 'axial'],
].map(([ref, text, sort, case_]) => ({
  id: `${ref}`,
  href: `/parts/${ref}`,
  cells: {
    ref: { text: `${ref}` },
    value: { text: `${text}`, ...(sort === undefined ? {} : { sort: Number(sort) }) },
    case: { text: `${case_}` },
  },
}));

const bodyRows = () => screen.getAllByRole('row').filter((row) => row.hasAttribute('data-href'));
const refs = () => bodyRows().map((row) => within(row).getAllByRole('cell')[0]?.textContent);
async function table() {
  const mounted = mount(<List label="Parts" columns={COLUMNS} items={ROWS} />);
  await screen.findByRole('table');
  return mounted;
}

test.each([
  ['a reference by its number, not by its letters', 'reference', 1, ['R1', 'R2', 'R3', 'R4', 'R5', 'R10']],
  ['the other way round', 'reference', 2, ['R10', 'R5', 'R4', 'R3', 'R2', 'R1']],
  ['a quantity by its size, the unknown last', 'value', 1, ['R2', 'R3', 'R10', 'R5', 'R1', 'R4']],
])('a heading sorts %s', async (_what, heading, clicks, expected) => {
  const { user } = await table();
  for (let count = 0; count < clicks; count += 1)
    await user.click(screen.getByRole('button', { name: new RegExp(`^${heading}`) }));
  expect(refs()).toEqual(expected);
  expect(screen.getByRole('columnheader', { name: new RegExp(`^${heading}`) }).getAttribute('aria-sort')).toBe(
    clicks === 1 ? 'ascending' : 'descending',
  );
});

test('rows are filtered by what any column says, a hidden one too, and an empty answer says so', async () => {
  const { user } = await table();
  const filter = screen.getByLabelText('Filter Parts');
  await user.type(filter, 'kω');
  expect(refs()).toEqual(['R10', 'R5']);
  await user.clear(filter);
  await user.type(filter, 'soup');
  expect(screen.getByText('No row fits.')).toBeTruthy();
});

test('a column is left out until it is asked for', async () => {
  const { user } = await table();
  expect(screen.queryByRole('columnheader', { name: 'case' })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'columns' }));
  await user.click(await screen.findByRole('checkbox', { name: 'case' }));
  expect(screen.getByRole('columnheader', { name: 'case' })).toBeTruthy();
  expect(within(bodyRows()[2] as HTMLElement).getByText('1206')).toBeTruthy();
});

test('arrows go from row to row and stop at the ends; Enter opens', async () => {
  const { user, router } = await table();
  const [first, second] = bodyRows();
  expect(bodyRows().map((row) => row.tabIndex)).toEqual([0, -1, -1, -1, -1, -1]);
  first?.focus();
  await user.keyboard('{ArrowUp}');
  expect(document.activeElement).toBe(first);
  await user.keyboard('{ArrowDown}');
  expect(document.activeElement).toBe(second);
  await user.keyboard('{Enter}');
  expect(router.push).toHaveBeenCalledWith('/parts/R2');
});

test('a click anywhere in a row opens it', async () => {
  const { user, router } = await table();
  await user.click(screen.getByText('1 MΩ'));
  expect(router.push).toHaveBeenCalledWith('/parts/R1');
});

test('a short table has no filter, and one that is fixed no choice of columns', async () => {
  mount(<List label="Parts" columns={COLUMNS} items={ROWS.slice(0, 5)} choose={false} />);
  await screen.findByRole('table');
  expect(screen.queryByLabelText('Filter Parts')).toBeNull();
  expect(screen.queryByRole('button', { name: 'columns' })).toBeNull();
});

test('groups head their rows as the list came; a third press on a heading brings them back', async () => {
  const { user } = mount(
    <List
      label="Parts"
      columns={COLUMNS}
      items={ROWS.map((row, index) => ({ ...row, group: index < 3 ? 'mains side' : 'output side' }))}
    />,
  );
  await screen.findByRole('table');
  const groups = () => screen.queryAllByRole('rowheader').map(({ textContent }) => textContent);
  const before = refs();
  expect(groups()).toEqual(['mains side', 'output side']);
  const press = () => user.click(screen.getByRole('button', { name: /^value/ }));
  await press();
  expect(groups()).toEqual([]);
  await press();
  // Downwards what is not known stays last.
  expect(refs()).toEqual(['R1', 'R5', 'R10', 'R3', 'R2', 'R4']);
  await press();
  expect([refs(), groups()]).toEqual([before, ['mains side', 'output side']]);
});
