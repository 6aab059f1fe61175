/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { mount } from '../testing/mount';
import { Judgement } from './Judgement';

const isNarrow = (matches: boolean) =>
  Object.assign(window, { matchMedia: () => ({ matches }) as unknown as MediaQueryList });
const sheet = () => {
  const mounted = mount(
    <Judgement>
      <p>Can it hurt you now</p>
    </Judgement>,
  );
  return { ...mounted, isOpen: () => screen.getByRole('complementary').dataset.open !== undefined };
};
const handle = () => screen.getByRole('button', { name: /judgement/ });
/** jsdom's pointer events carry no place; those of the mouse do. */
const at = (type: string, clientY: number) => fireEvent(handle(), new MouseEvent(type, { bubbles: true, clientY }));
function pull(from: number, to: number) {
  at('pointerdown', from);
  at('pointerup', to);
  fireEvent.click(handle());
}

test.each([
  [
    'a tap on its handle opens and closes it',
    [
      [700, 700],
      [700, 702],
    ],
    [true, false],
  ],
  [
    'pulled up it opens, pulled down it closes',
    [
      [700, 500],
      [300, 600],
    ],
    [true, false],
  ],
  ['pulled down at rest it stays', [[700, 760]], [false]],
] as const)('%s', (_, pulls, states) => {
  isNarrow(true);
  const { isOpen } = sheet();
  const seen = pulls.map(([from, to]) => {
    pull(from, to);
    return isOpen();
  });
  expect(seen).toEqual(states);
});

test.each([
  ['on a phone a tap on the line opens it', true],
  ['beside the page a click does nothing', false],
])('%s', async (_, narrow) => {
  isNarrow(narrow);
  const { user, isOpen } = sheet();
  await user.click(screen.getByText('Can it hurt you now'));
  expect(isOpen()).toBe(narrow);
});
