/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import { mount } from '../testing/mount';
import { CommandLine } from './CommandLine';
import ShortcutHelp from './ShortcutHelp';

const LINES = [
  { line: 'q1.d - t1.2', means: 'two pins beep' },
  { line: 'c3 212V @ 15s', means: 'a reading of a store' },
];

function help() {
  const onClose = jest.fn();
  const mounted = mount(
    <>
      <CommandLine
        id="bench-line"
        label="Bench line"
        placeholder=""
        preview={() => undefined}
        onEnter={() => Promise.resolve(undefined)}
        idle=""
      />
      <ShortcutHelp keys={[{ key: 'j', label: 'they beep' }]} lines={LINES} onClose={onClose} />
    </>,
  );
  return { ...mounted, onClose };
}
const examples = () => screen.queryAllByRole('button', { name: /^(q1|c3)/ }).map(({ textContent }) => textContent);

test('the keys of the screen stand with those that are everywhere', () => {
  help();
  const rows = [...document.querySelectorAll('dl')][0]?.textContent;
  for (const text of ['they beep', 'show this', 'leave a field or close']) expect(rows).toContain(text);
});

test.each([
  ['store', ['c3 212V @ 15s']],
  ['beep Q1', ['q1.d - t1.2']],
  ['soup', []],
])('examples are searched by “%s”, in any case and order', async (typed, found) => {
  const { user } = help();
  await user.type(screen.getByRole('searchbox', { name: 'Search the examples' }), typed);
  expect(examples()).toEqual(found);
  expect(screen.queryByText('No example has these words.') !== null).toBe(found.length === 0);
});

test('an example that is pressed is put into the line, where one types on', async () => {
  const { user, onClose } = help();
  await user.click(screen.getByRole('button', { name: 'c3 212V @ 15s' }));
  expect(onClose).toHaveBeenCalled();
  const line = document.querySelector<HTMLInputElement>('#bench-line');
  await waitFor(() => expect(line?.value).toBe('c3 212V @ 15s'));
  await waitFor(() => expect(document.activeElement).toBe(line));
});
