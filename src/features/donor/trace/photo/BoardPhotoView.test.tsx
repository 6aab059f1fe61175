/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { BoardPart } from '../../../../core/board';
import { answerLater, mount } from '../../../../ui/testing/mount';
import type { FormOutcome } from '../../../../ui/form/outcome';
import { liftPinsAction, placePinsAction } from '../../photos/actions';
import type { BoardPhoto } from '../../photos/view.server';
import { BoardPhotoView } from './BoardPhotoView';

jest.mock('../../photos/actions', () => ({ placePinsAction: jest.fn(), liftPinsAction: jest.fn() }));

const PARTS: readonly BoardPart[] = [
  { ref: 'Q1', kind: 'nmos', pins: { G: 'n1', D: 'n2', S: 'n3' } },
  { ref: 'R1', kind: 'resistor', pins: { '1': 'n3', '2': 'n4' } },
];
const photo = (id: string, message: string, spots: BoardPhoto['spots'] = []): BoardPhoto => ({
  id,
  message,
  spots,
  side: 'front',
  href: `/photos/${id}`,
  medium: `/${id}-medium`,
  large: `/${id}-large`,
  width: 400,
  height: 200,
});
const FRONT = photo('front', 'front of the board', [
  { pin: 'Q1.G', x: 0.1, y: 0.2, isOwn: true },
  { pin: 'Q1.S', x: 0.3, y: 0.2, isOwn: false },
]);
const BACK = photo('back', 'back of the board', [{ pin: 'R1.1', x: 0.6, y: 0.6, isOwn: true }]);

beforeEach(() => {
  jest.resetAllMocks();
  jest.mocked(placePinsAction).mockResolvedValue({ ok: true });
  jest.mocked(liftPinsAction).mockResolvedValue({ ok: true });
  jest
    .spyOn(HTMLImageElement.prototype, 'getBoundingClientRect')
    .mockReturnValue({ left: 0, top: 0, width: 400, height: 200, right: 400, bottom: 200 } as DOMRect);
});

function shown({ photos = [FRONT, BACK], lit = [] as string[], asked = [] as string[], held = '' } = {}) {
  const onTouch = jest.fn();
  const mounted = mount(
    <BoardPhotoView
      {...{ code: 'FQM-ZN8', photos, parts: PARTS, asked, onTouch }}
      held={held || undefined}
      isLit={(pin) => lit.includes(pin)}
    />,
  );
  return { ...mounted, onTouch };
}
const spots = () =>
  screen.getAllByRole('button', { name: /on the photo/ }).map((spot) => spot.getAttribute('aria-label'));
const spot = (pin: string) =>
  screen.getByRole<HTMLButtonElement>('button', { name: new RegExp(`^${pin} on the photo`) });
const pointAt = (clientX: number, clientY: number) =>
  fireEvent.click(screen.getByRole('group', { name: /enlarged/ }), { clientX, clientY });
const line = () => screen.getByText(/^Point at/).closest('p')!;
const wanted = () => line().querySelector('.ref')?.textContent;

test('without a photo the way to one is shown, and that none is needed', () => {
  shown({ photos: [] });
  expect(screen.getByRole('link', { name: 'Add its front and its back' })).toBeTruthy();
  expect(screen.getByText(/works without a photo too/)).toBeTruthy();
});

test('a pin is touched where it lies; which one is held, lit, asked for and seen through the board is told', async () => {
  const { user, onTouch } = shown({ lit: ['Q1.G'], asked: ['Q1.S'], held: 'Q1.G' });
  expect(spots()).toEqual(['Q1.G on the photo', 'Q1.S on the photo, asked for next']);
  expect(spot('Q1.G').getAttribute('aria-pressed')).toBe('true');
  expect(spot('Q1.S').title).toBe('Q1.S, placed on the other side');
  await user.click(spot('Q1.S'));
  expect(onTouch).toHaveBeenCalledWith('Q1.S');
});

test('a lit net is drawn as one line less than it has pins', () => {
  const { container } = shown({ lit: ['Q1.G', 'Q1.S'] });
  expect(container.querySelectorAll('[data-thread]')).toHaveLength(1);
  expect(screen.getByText('Q1.G: 2 joints')).toBeTruthy();
});

test('v turns the board over, and over again', async () => {
  const { user } = shown();
  await user.keyboard('v');
  expect(spots()).toEqual(['R1.1 on the photo']);
  await user.keyboard('v');
  expect(spots()).toHaveLength(2);
});

test('one photo has no other side to turn to', () => {
  shown({ photos: [FRONT] });
  expect(screen.queryByRole('button', { name: /turn over/ })).toBeNull();
});

describe('placing pins', () => {
  test('begins with the first that has no place, goes on from pin to pin, and sends what was pointed at', async () => {
    const { user, onTouch } = shown();
    await user.click(screen.getByRole('button', { name: 'Place pins' }));
    expect(wanted()).toBe('Q1.D');
    pointAt(200, 50);
    expect(placePinsAction).toHaveBeenCalledWith('FQM-ZN8', {
      photoId: 'front',
      spots: [{ pin: 'Q1.D', x: 0.5, y: 0.25 }],
    });
    await waitFor(() => expect(wanted()).toBe('R1.1'));
    expect(spots()).toContain('Q1.D on the photo');
    // While pins are placed a touch points and does not join.
    expect(spot('Q1.G').disabled).toBe(true);
    expect(onTouch).not.toHaveBeenCalled();
  });

  test('by key the middle of the picture is meant', async () => {
    const { user } = shown();
    await user.click(screen.getByRole('button', { name: 'Place pins' }));
    screen.getByRole('group', { name: /enlarged/ }).focus();
    await user.keyboard('{Enter}');
    expect(placePinsAction).toHaveBeenCalledWith('FQM-ZN8', {
      photoId: 'front',
      spots: [{ pin: 'Q1.D', x: 0.5, y: 0.5 }],
    });
  });

  test('a place that was refused is taken back, and the ones beside it stay', async () => {
    const first = answerLater<FormOutcome>();
    jest.mocked(placePinsAction).mockReturnValueOnce(first.promise).mockResolvedValueOnce({ ok: true });
    const { user } = shown();
    await user.click(screen.getByRole('button', { name: 'Place pins' }));
    pointAt(200, 50);
    await waitFor(() => expect(wanted()).toBe('R1.1'));
    pointAt(300, 100);
    await waitFor(() => expect(spots()).toEqual(expect.arrayContaining(['Q1.D on the photo', 'R1.1 on the photo'])));
    first.settle({ ok: false, problems: [{ field: '', message: 'Q1 was archived.' }] });
    await waitFor(() => expect(spots()).not.toContain('Q1.D on the photo'));
    expect(spots()).toContain('R1.1 on the photo');
  });

  test('a pin is chosen by its part and its name, skipped, and a whole part is taken off', async () => {
    const { user } = shown();
    await user.click(screen.getByRole('button', { name: 'Place pins' }));
    const placing = within(line());
    await user.selectOptions(placing.getByRole('combobox'), 'R1');
    expect(wanted()).toBe('R1.1');
    await user.click(placing.getByRole('button', { name: 'skip' }));
    expect(wanted()).toBe('R1.2');
    await user.selectOptions(placing.getByRole('combobox'), 'Q1');
    await user.click(placing.getByRole('button', { name: 'Place Q1.S' }));
    expect(wanted()).toBe('Q1.S');
    await user.click(placing.getByRole('button', { name: 'take Q1 off' }));
    expect(liftPinsAction).toHaveBeenCalledWith('FQM-ZN8', { photoId: 'front', ref: 'Q1' });
  });

  test('a pin placed on one side is not shown on the other as its own', async () => {
    const { user } = shown();
    await user.click(screen.getByRole('button', { name: 'Place pins' }));
    pointAt(200, 50);
    await user.click(screen.getByRole('button', { name: 'Done placing' }));
    await user.click(screen.getByRole('button', { name: /turn over/ }));
    expect(spots()).toEqual(['R1.1 on the photo']);
  });
});
