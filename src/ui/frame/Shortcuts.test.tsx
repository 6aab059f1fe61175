/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import { mount } from '../testing/mount';
import { Shortcuts } from './Shortcuts';

const pressed = jest.fn();
const screenOf = (keys: Parameters<typeof Shortcuts>[0]['keys']) => (
  <>
    <Shortcuts keys={keys} lines={[{ line: 'c3 8.2V', means: 'a reading of a store' }]} />
    <input aria-label="a field" id="field" />
    <button id="next" onClick={pressed}>
      next
    </button>
  </>
);
const KEYS = [
  { key: 'g', label: 'go to the guide', href: '/guide' },
  { key: '/', label: 'type', focus: 'field' },
  { key: 'n', label: 'the next one', press: 'next' },
];

test('a key leads somewhere, puts the focus on a field, or presses a button', async () => {
  const { user, router } = mount(screenOf(KEYS));
  await user.keyboard('gn/');
  expect(router.push).toHaveBeenCalledWith('/guide');
  expect(pressed).toHaveBeenCalledTimes(1);
  expect(document.activeElement).toBe(screen.getByLabelText('a field'));
});

test('what is typed into a field, or held with Ctrl, is no key of the screen', async () => {
  const { user, router } = mount(screenOf(KEYS));
  await user.keyboard('{Control>}g{/Control}');
  await user.type(screen.getByLabelText('a field'), 'g');
  expect(router.push).not.toHaveBeenCalled();
  expect(screen.getByLabelText<HTMLInputElement>('a field').value).toBe('g');
});

test('the keys of a screen go when it goes', async () => {
  const { user, router, show } = mount(screenOf(KEYS));
  show(screenOf([{ key: 's', label: 'go to stock', href: '/stock' }]));
  await user.keyboard('gs');
  expect(router.push.mock.calls).toEqual([['/stock']]);
});

test('? shows them with what the line understands, and Escape closes', async () => {
  const { user } = mount(screenOf(KEYS));
  await user.keyboard('?');
  const help = await screen.findByRole('dialog', { name: 'Keys of this screen' });
  for (const text of ['go to the guide', 'the next one', 'c3 8.2V', 'a reading of a store'])
    expect(within(help).getByText(text)).toBeTruthy();
  await user.keyboard('{Escape}');
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
});

test('no key carries the page away while a row is begun', async () => {
  const row = (
    <>
      {screenOf(KEYS)}
      <form aria-label="row">
        <input aria-label="part" defaultValue="Q1" />
      </form>
    </>
  );
  const { user, router } = mount(row);
  const field = screen.getByLabelText('part');
  await user.type(field, '2');
  field.blur();
  await user.keyboard('gn');
  expect(router.push).not.toHaveBeenCalled();
  expect(pressed).toHaveBeenCalled();
  await user.type(field, '{Backspace}');
  field.blur();
  await user.keyboard('g');
  expect(router.push).toHaveBeenCalledWith('/guide');
});
