/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { mount } from '../../../ui/testing/mount';
import { pairSidesAction } from './actions';
import { PhotoPairing } from './PhotoPairing';
import type { PhotoPageView } from './view.server';

jest.mock('./actions', () => ({ pairSidesAction: jest.fn(() => Promise.resolve({ ok: true, message: 'paired' })) }));

beforeEach(() => {
  jest.clearAllMocks();
  Element.prototype.getBoundingClientRect = () => ({ left: 0, top: 0, width: 200, height: 100 }) as DOMRect;
});

const other = { id: 'p2', medium: '/photos/b/medium', message: 'copper side', side: 'back' };
const page = (side: PhotoPageView['side'] = 'front', others = [other]) =>
  ({ id: 'p1', medium: '/photos/a/medium', message: 'parts side', side, pins: [], others, pair: null }) as never;

/** Opens the pairing and points at spots by turns, each a share of the picture. */
async function pointing(side: PhotoPageView['side'], spots: number) {
  const { user } = mount(<PhotoPairing code="FQM-ZN8" photo={page(side)} />);
  await user.selectOptions(screen.getByLabelText('Pair it with'), 'copper side');
  const [here, there] = [/this photo$/, /the other side$/].map((name) => screen.getByRole('button', { name }));
  for (let spot = 0; spot < spots; spot += 1) {
    fireEvent.click(here as HTMLElement, { clientX: 20 * (spot + 1), clientY: 10 });
    fireEvent.click(there as HTMLElement, { clientX: 200 - 20 * (spot + 1), clientY: 10 });
  }
  return user;
}
const pair = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Pair them' });

test('three spots on each side are asked for by turns, and no more are taken', async () => {
  await pointing('front', 0);
  expect(screen.getByText(/^Point at spot 1 on this photo/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: /the other side$/ }), { clientX: 10, clientY: 10 });
  expect(screen.getByText(/^Point at spot 1 on this photo/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: /this photo$/ }), { clientX: 10, clientY: 10 });
  expect(screen.getByText('Now at the same spot 1 on the other photo.')).toBeTruthy();
  expect(pair().disabled).toBe(true);
});

test.each([
  ['front', { frontId: 'p1', backId: 'p2' }, { front: { x: 0.1, y: 0.1 }, back: { x: 0.9, y: 0.1 } }],
  ['', { frontId: 'p1', backId: 'p2' }, { front: { x: 0.1, y: 0.1 }, back: { x: 0.9, y: 0.1 } }],
  ['back', { frontId: 'p2', backId: 'p1' }, { front: { x: 0.9, y: 0.1 }, back: { x: 0.1, y: 0.1 } }],
] as const)('a photo called “%s” is paired with its spots the right way round', async (side, ids, first) => {
  const user = await pointing(side, 3);
  expect(screen.getByText('Three spots on each: pair them.')).toBeTruthy();
  await user.click(pair());
  const [code, sent] = jest.mocked(pairSidesAction).mock.calls[0] ?? [];
  expect(code).toBe('FQM-ZN8');
  expect(sent).toMatchObject(ids);
  expect(sent?.matches).toHaveLength(3);
  expect(sent?.matches[0]).toEqual(first);
});

test('one may begin again, or leave it', async () => {
  const user = await pointing('front', 3);
  await user.click(screen.getByRole('button', { name: 'begin again' }));
  expect(pair().disabled).toBe(true);
  await user.click(screen.getByRole('button', { name: 'leave it' }));
  expect(screen.getByLabelText('Pair it with')).toBeTruthy();
});

test('a photo alone says what it lacks', () => {
  mount(<PhotoPairing code="FQM-ZN8" photo={page('front', [])} />);
  expect(screen.getByText(/^Add a photo of the other side/)).toBeTruthy();
});
