/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import { mount } from '../testing/mount';
import { List } from './List';
import { orderText, PAGE_ROWS, readOrder, rowByKey, type Order } from './rows';

const TOTAL = 400;
const nameOf = (index: number) => `lot ${index + 1}`;
const pageOf = (page: number) => Array.from({ length: PAGE_ROWS }, (_, index) => nameOf(page * PAGE_ROWS + index));
const rowOf = (name: string) => ({ id: name, href: `/lots/${name}`, cells: { name: { text: name } } });

let isDown = false;
const asked: string[] = [];

beforeEach(() => {
  isDown = false;
  asked.length = 0;
  // A box of sixteen rows: jsdom lays nothing out.
  for (const [side, value] of [
    ['offsetHeight', 480],
    ['clientHeight', 480],
    ['scrollHeight', TOTAL * 30],
  ] as const)
    Object.defineProperty(HTMLElement.prototype, side, { configurable: true, value });
  Element.prototype.scrollTo = function (this: Element, of?: ScrollToOptions | number) {
    this.scrollTop = typeof of === 'object' ? (of.top ?? 0) : 0;
    // A browser tells of it in its own time.
    setTimeout(() => this.dispatchEvent(new Event('scroll')));
  } as typeof Element.prototype.scrollTo;
  global.fetch = jest.fn((url: string) => {
    asked.push(url);
    const page = Number(/page=(\d+)/.exec(url)?.[1]);
    return Promise.resolve({ ok: !isDown, json: () => Promise.resolve({ rows: pageOf(page) }) });
  }) as unknown as typeof fetch;
});

async function list(order: Order | null = null) {
  const mounted = mount(
    <List
      label="Lots"
      columns={[
        { id: 'name', label: 'name' },
        { id: 'bin', label: 'bin' },
      ]}
      items={pageOf(0)}
      rowOf={rowOf}
      total={TOTAL}
      long={{ rowsUrl: '/rows?find=nmos', url: '/lots?find=nmos', order, orders: ['name'], usual: 'newest first' }}
    />,
  );
  await screen.findByRole('table');
  return mounted;
}
const focused = () => document.activeElement?.textContent;

test('only the rows in view are drawn, and a table of all is told', async () => {
  await list();
  expect(screen.getByRole('table').getAttribute('aria-rowcount')).toBe(`${TOTAL + 1}`);
  expect(screen.getAllByRole('row').length).toBeLessThan(60);
  expect(screen.getByText('lot 1')).toBeTruthy();
  expect(screen.queryByText('lot 300')).toBeNull();
});

test('End goes to the last row, which is fetched with its page; Enter opens it', async () => {
  const { user, router } = await list();
  screen.getByText('lot 1').closest('tr')?.focus();
  await user.keyboard('{ArrowDown}');
  await waitFor(() => expect(focused()).toBe('lot 2'));
  await user.keyboard('{End}');
  await waitFor(() => expect(focused()).toBe('lot 400'));
  expect(asked).toContain('/rows?find=nmos&page=7');
  await user.keyboard('{Enter}');
  expect(router.push).toHaveBeenCalledWith('/lots/lot 400');
});

test('rows that did not come are said so, and asked for again', async () => {
  const { user } = await list();
  isDown = true;
  screen.getByText('lot 1').closest('tr')?.focus();
  await user.keyboard('{End}');
  const again = await screen.findByRole('button', { name: 'Try again' });
  isDown = false;
  await user.click(again);
  expect(await screen.findByText('lot 400')).toBeTruthy();
  expect(screen.queryByRole('alert')).toBeNull();
});

test.each([
  ['not in order by it: upwards', null, '/lots?find=nmos&order=name', null],
  ['upwards: downwards', { by: 'name', down: false }, '/lots?find=nmos&order=-name', 'ascending'],
  ['downwards: as it comes', { by: 'name', down: true }, '/lots?find=nmos', 'descending'],
] as const)('a heading of a list %s', async (_what, order, href, sorted) => {
  await list(order);
  expect(screen.getByRole('link', { name: /^name/ }).getAttribute('href')).toBe(href);
  expect(screen.getByRole('columnheader', { name: /^name/ }).getAttribute('aria-sort')).toBe(sorted);
  expect(screen.queryByRole('link', { name: 'bin' })).toBeNull();
});

test.each([
  ['ArrowDown', 4, 5],
  ['ArrowUp', 0, 0],
  ['PageDown', 4, 9],
  ['PageUp', 4, 0],
  ['Home', 7, 0],
  ['End', 0, 9],
  ['a', 4, undefined],
])('%s on row %i of ten leads to row %s', (key, from, to) => {
  expect(rowByKey(key, from, 10)).toBe(to);
});

test('an order survives its address, and one that is unknown is none', () => {
  for (const text of ['pieces', '-pieces', '']) expect(orderText(readOrder(text, ['pieces']))).toBe(text);
  expect(readOrder('-soup', ['pieces'])).toBeUndefined();
});
