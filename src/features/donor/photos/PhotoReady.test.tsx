/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { answerLater, mount } from '../../../ui/testing/mount';
import { startPhotoWorker } from '../../../workers/photo.client';
import type { PreparedPhoto } from '../../../workers/photo.worker';
import { PhotoReady } from './PhotoReady';
import { sendPrepared } from './sendPhoto';
import type { PhotoPageView } from './view.server';

jest.mock('comlink', () => ({ proxy: <T,>(value: T) => value }));
jest.mock('../../../workers/photo.client', () => ({ startPhotoWorker: jest.fn() }));
jest.mock('./sendPhoto', () => ({ sendPrepared: jest.fn() }));

const PHOTO = { id: 'p1', message: 'front of the board', medium: '/m', large: '/l' } as PhotoPageView;
const MADE = {
  picture: { data: new Uint8ClampedArray(4), width: 1, height: 1 },
  file: new Blob(['made']),
} as PreparedPhoto;

/** Stands in for the worker; what it is asked for is settled by the test. */
function worker() {
  const answer = answerLater<PreparedPhoto>();
  const stop = jest.fn();
  const prepare = jest.fn((_picture: unknown, _preparation: unknown, _share: (done: number) => void) => answer.promise);
  jest.mocked(startPhotoWorker).mockReturnValue({
    ask: (call: (service: { prepare: typeof prepare }) => Promise<PreparedPhoto>) => call({ prepare }),
    stop,
  } as never);
  return { ...answer, stop, prepare };
}

beforeEach(() => {
  jest.resetAllMocks();
  Object.assign(globalThis, {
    fetch: () => Promise.resolve({ blob: () => Promise.resolve(new Blob()) }),
    createImageBitmap: () => Promise.resolve({ width: 2, height: 1 }),
    ImageData: class {},
    OffscreenCanvas: class {
      getContext = () => ({
        drawImage: () => undefined,
        getImageData: () => ({ data: new Uint8ClampedArray(8), width: 2, height: 1 }),
      });
    },
  });
  jest.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue({ putImageData: () => undefined } as never);
});

const corner = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name: new RegExp(`Corner ${name}`) });
const make = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Make it ready' });
const status = () => screen.getAllByRole('status')[0]?.textContent;

test.each`
  keys                                        | left   | top   | why
  ${'{ArrowRight}'}                           | ${6.4} | ${6}  | ${'a step'}
  ${'{Shift>}{ArrowDown}{/Shift}'}            | ${6}   | ${10} | ${'ten steps with Shift'}
  ${'{Shift>}{ArrowLeft}{ArrowLeft}{/Shift}'} | ${0}   | ${6}  | ${'no farther than the edge'}
  ${'x'}                                      | ${6}   | ${6}  | ${'other keys move nothing'}
`('a corner moved by $keys lies at $left %, $top %: $why', async ({ keys, left, top }) => {
  const { user } = mount(<PhotoReady code="FQM-ZN8" photo={PHOTO} />);
  corner('top left').focus();
  await user.keyboard(keys as string);
  expect([parseFloat(corner('top left').style.left), parseFloat(corner('top left').style.top)]).toEqual([left, top]);
});

test('corners that cross are told, and nothing can be made of them', async () => {
  jest
    .spyOn(HTMLDivElement.prototype, 'getBoundingClientRect')
    .mockReturnValue({ left: 0, top: 0, width: 100, height: 100 } as DOMRect);
  const { container } = mount(<PhotoReady code="FQM-ZN8" photo={PHOTO} />);
  const frame = container.querySelector('.touch-none')!;
  const drag = (to: readonly [number, number]) => {
    fireEvent.pointerDown(corner('top left'));
    fireEvent(frame, new MouseEvent('pointermove', { bubbles: true, clientX: to[0], clientY: to[1] }));
    fireEvent.pointerUp(frame);
  };
  drag([99, 99]);
  await waitFor(() => expect(screen.getByRole('alert').textContent).not.toBe(''));
  expect(make().disabled).toBe(true);
  drag([5, 5]);
  expect(screen.queryByRole('alert')).toBeNull();
  expect(make().disabled).toBe(false);
});

test('what was made is shown, kept as a photo of its own, and asked for with what was set', async () => {
  const asked = worker();
  jest.mocked(sendPrepared).mockResolvedValue({ ok: true, message: 'kept' });
  const { user } = mount(<PhotoReady code="FQM-ZN8" photo={PHOTO} />);
  await user.click(screen.getByLabelText(/square it/));
  await user.click(screen.getByLabelText(/mirror it/));
  fireEvent.change(screen.getByLabelText(/more contrast for the copper/), { target: { value: '0.5' } });
  await user.click(make());
  await waitFor(() => expect(asked.prepare).toHaveBeenCalledTimes(1));
  expect(asked.prepare.mock.calls[0]?.[1]).toEqual({ mirror: true, contrast: 0.5 });
  asked.settle(MADE);
  expect(await screen.findByRole('img', { name: 'The picture made ready' })).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Save it as a photo' }));
  expect(sendPrepared).toHaveBeenCalledWith(
    expect.objectContaining({ code: 'FQM-ZN8', fromId: 'p1', preparation: { mirror: true, contrast: 0.5 } }),
  );
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Save it as a photo' })).toBeNull());
});

test('what is set anew makes the shown one void', async () => {
  const asked = worker();
  const { user } = mount(<PhotoReady code="FQM-ZN8" photo={PHOTO} />);
  await user.click(make());
  asked.settle(MADE);
  await screen.findByRole('button', { name: 'Save it as a photo' });
  await user.click(screen.getByLabelText(/mirror it/));
  expect(screen.queryByRole('button', { name: 'Save it as a photo' })).toBeNull();
});

test('work shows its share and can be stopped; what comes afterwards is not shown', async () => {
  const asked = worker();
  const { user } = mount(<PhotoReady code="FQM-ZN8" photo={PHOTO} />);
  await user.click(make());
  await waitFor(() => expect(asked.prepare).toHaveBeenCalledTimes(1));
  expect(make().disabled).toBe(true);
  await user.click(screen.getByRole('button', { name: /Stop|Cancel/ }));
  expect(asked.stop).toHaveBeenCalled();
  expect(status()).toBe('Stopped. The photo is as it was.');
  asked.settle(MADE);
  await Promise.resolve();
  expect(screen.queryByRole('img', { name: 'The picture made ready' })).toBeNull();
});

test.each([
  [
    'the picture cannot be read',
    () => Object.assign(globalThis, { fetch: () => Promise.reject(new Error('gone')) }),
    /could not be read/,
  ],
  ['the worker fails', () => undefined, /could not be worked on. Nothing was changed/],
])('when %s it is told and nothing is changed', async (_, before, message) => {
  const asked = worker();
  before();
  const { user } = mount(<PhotoReady code="FQM-ZN8" photo={PHOTO} />);
  asked.promise.catch(() => undefined);
  await user.click(make());
  asked.fail(new Error('broken'));
  await waitFor(() => expect(status()).toMatch(message));
  expect(make().disabled).toBe(false);
});
