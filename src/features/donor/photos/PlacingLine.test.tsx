/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import type { BoardPart } from '../../../core/board';
import { mount } from '../../../ui/testing/mount';
import { firstPin, pinAfter, PlacingLine } from './PlacingLine';

const PARTS = [
  { ref: 'Q1', kind: 'nmos', pins: { G: 1, D: 2, S: 3 } },
  { ref: 'C3', kind: 'capacitor', pins: { '+': 1, '-': 2 } },
] as unknown as readonly BoardPart[];

test.each([
  [undefined, [], 'Q1.G'],
  ['Q1.G', [], 'Q1.D'],
  ['Q1.S', [], 'C3.+'],
  // From the last pin it begins again with those that were skipped.
  ['C3.-', ['Q1.G'], 'Q1.D'],
  ['Q1.G', ['Q1.D', 'Q1.S'], 'C3.+'],
  ['Q1.G', ['Q1.G', 'Q1.D', 'Q1.S', 'C3.+', 'C3.-'], undefined],
])('after %s with %j placed comes %s', (pin, placed, next) => {
  expect(pinAfter(pin, PARTS, new Set(placed))).toBe(next);
});

test('placing begins with the first pin when all have a place', () => {
  expect(firstPin(PARTS)).toBe('Q1.G');
  expect(firstPin([])).toBeUndefined();
});

const onPin = jest.fn();
const onLift = jest.fn();
beforeEach(() => jest.clearAllMocks());
const line = (pin: string, placed: readonly string[] = []) =>
  mount(<PlacingLine pin={pin} parts={PARTS} placed={new Set(placed)} onPin={onPin} onLift={onLift} />);

test('another part is chosen by its first pin without a place, with how many of its pins have one', async () => {
  const { user } = line('Q1.G', ['C3.+']);
  expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual(['Q1 0/3', 'C3 1/2']);
  await user.selectOptions(screen.getByLabelText('Part whose pins are placed'), 'C3');
  expect(onPin).toHaveBeenCalledWith('C3.-');
});

test('a pin is placed anew by its button, or left out', async () => {
  const { user } = line('Q1.G', ['Q1.D']);
  await user.click(screen.getByRole('button', { name: 'Place Q1.D' }));
  expect(onPin).toHaveBeenLastCalledWith('Q1.D');
  await user.click(screen.getByRole('button', { name: 'skip' }));
  expect(onPin).toHaveBeenLastCalledWith('Q1.S');
});

test('pins are taken off a photo only of a part that has some there', async () => {
  const { user, show } = line('Q1.G');
  expect(screen.queryByRole('button', { name: /^take/ })).toBeNull();
  show(<PlacingLine pin="Q1.G" parts={PARTS} placed={new Set(['Q1.D'])} onPin={onPin} onLift={onLift} />);
  await user.click(screen.getByRole('button', { name: 'take Q1 off' }));
  expect(onLift).toHaveBeenCalled();
});
