/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { mount } from '../testing/mount';
import { useZoom, useZoomHands, type Spot } from './useZoom';

const PICTURE = { left: 100, top: 50, width: 400, height: 200 };

/** A picture of 400 by 200 pixels that lies where its view says, as the browser would lay it. */
function Picture({ onSpot }: { onSpot?: (spot: Spot) => void }) {
  const zoom = useZoom();
  const { scale, x, y } = zoom.view;
  const boxOf = () => ({
    left: PICTURE.left + PICTURE.width * (0.5 - x * scale),
    top: PICTURE.top + PICTURE.height * (0.5 - y * scale),
    width: PICTURE.width * scale,
    height: PICTURE.height * scale,
  });
  const hands = useZoomHands(zoom, boxOf, onSpot);
  return (
    <div tabIndex={0} data-testid="frame" {...hands}>
      {[scale, x, y].map((value) => value.toFixed(3)).join(' ')}
    </div>
  );
}

const frame = () => screen.getByTestId('frame');
const view = () => frame().textContent?.split(' ').map(Number) ?? [];
/** jsdom's pointer events carry no place; those of the mouse do. */
const pointer = (type: string, clientX: number, clientY: number) =>
  fireEvent(frame(), new MouseEvent(type, { bubbles: true, clientX, clientY, buttons: 1 }));
const wheel = (deltaY: number, clientX: number, clientY: number) =>
  fireEvent.wheel(frame(), { deltaY, clientX, clientY });

test.each([
  ['plus comes nearer', '+', [1.35, 0.5, 0.5]],
  ['minus stops at the whole', '-', [1, 0.5, 0.5]],
  ['an arrow moves a tenth of what is shown', '+{ArrowRight}', [1.35, 0.574, 0.5]],
  ['and back', '+{ArrowUp}{ArrowDown}', [1.35, 0.5, 0.5]],
  ['no farther than the edge', '{ArrowLeft}{ArrowLeft}{ArrowLeft}{ArrowLeft}{ArrowLeft}{ArrowLeft}', [1, 0, 0.5]],
  ['0 shows all', '++{ArrowLeft}0', [1, 0.5, 0.5]],
  ['twelve times is the most', '+'.repeat(12), [12, 0.5, 0.5]],
])('%s', async (_what, keys, expected) => {
  const { user } = mount(<Picture />);
  frame().focus();
  await user.keyboard(keys);
  expect(view()).toEqual(expected);
});

test('the wheel keeps what lies under the pointer where it is', () => {
  const spots: Spot[] = [];
  mount(<Picture onSpot={(spot) => spots.push(spot)} />);
  const at = { clientX: 220, clientY: 90 };
  fireEvent.click(frame(), at);
  for (let turn = 0; turn < 3; turn += 1) wheel(-100, at.clientX, at.clientY);
  expect(view()[0]).toBeCloseTo(1.35 ** 3, 3);
  fireEvent.click(frame(), at);
  expect(spots[1]?.x).toBeCloseTo(spots[0]?.x ?? NaN, 9);
  expect(spots[1]?.y).toBeCloseTo(spots[0]?.y ?? NaN, 9);
  for (let turn = 0; turn < 5; turn += 1) wheel(100, at.clientX, at.clientY);
  expect(view()).toEqual([1, 0.5, 0.5]);
});

test('a drag moves the picture and is no click; a press that holds still is one', () => {
  const onSpot = jest.fn();
  mount(<Picture onSpot={onSpot} />);
  pointer('pointerdown', 200, 100);
  pointer('pointermove', 240, 100);
  fireEvent.click(frame(), { clientX: 240, clientY: 100 });
  expect(view()).toEqual([1, 0.4, 0.5]);
  expect(onSpot).not.toHaveBeenCalled();
  pointer('pointerdown', 200, 100);
  pointer('pointermove', 202, 101);
  fireEvent.click(frame(), { clientX: 202, clientY: 101 });
  expect(view()).toEqual([1, 0.4, 0.5]);
  expect(onSpot).toHaveBeenCalledTimes(1);
});

test('a click beside the picture tells no spot; Enter tells the middle of what is shown', async () => {
  const onSpot = jest.fn();
  const { user } = mount(<Picture onSpot={onSpot} />);
  fireEvent.click(frame(), { clientX: 20, clientY: 20 });
  expect(onSpot).not.toHaveBeenCalled();
  frame().focus();
  await user.keyboard('{Enter}');
  expect(onSpot).toHaveBeenCalledWith({ x: 0.5, y: 0.5 });
});
