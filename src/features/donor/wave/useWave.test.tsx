/** @jest-environment jsdom */
import { act, renderHook, waitFor } from '@testing-library/react';
import { answerLater } from '../../../ui/testing/mount';
import { startWaveWorker } from '../../../workers/wave.client';
import type { Opening } from '../../../workers/wave.worker';
import { useWave } from './useWave';

jest.mock('../../../workers/wave.client', () => ({ startWaveWorker: jest.fn() }));

const WAVE = { channels: [{ name: 'CH1', unit: 'V' }], points: 3, from: 0, to: 2 };
const POINTS = [[{ time: 0, low: 0, high: 1 }]];

/** Workers as they are started, each answered by the test. */
function workers() {
  const started: ReturnType<typeof one>[] = [];
  function one() {
    const opening = answerLater<Opening>();
    const call = {
      open: jest.fn((_file: File, _share: (share: number) => void) => opening.promise),
      make: jest.fn(() => opening.promise),
      view: jest.fn(() => Promise.resolve(POINTS)),
      analyse: jest.fn((): Promise<unknown> => Promise.resolve({ task: 'ramp' })),
    };
    return { opening, call, stop: jest.fn(), ask: (question: (on: typeof call) => unknown) => question(call) };
  }
  jest.mocked(startWaveWorker).mockImplementation(() => {
    const next = one();
    started.push(next);
    return next as never;
  });
  return started;
}

beforeEach(() => jest.resetAllMocks());

const begin = () => {
  const started = workers();
  const { result, unmount } = renderHook(() => useWave());
  const FILE = new File(['t,v'], 'scope.csv');
  act(() => result.current.open(FILE));
  return { started, result, unmount, FILE };
};

test('a file is opened in a worker of its own, and the whole of it is shown', async () => {
  const { started, result } = begin();
  expect([result.current.title, result.current.share]).toEqual(['scope.csv', 0]);
  act(() => started[0]?.opening.settle({ ok: true, wave: WAVE }));
  await waitFor(() => expect(result.current.series).toEqual(POINTS));
  expect(started[0]?.call.view).toHaveBeenCalledWith(0, 2);
  expect([result.current.wave, result.current.share]).toEqual([WAVE, undefined]);
});

test('a file that is no recording is refused in its words', async () => {
  const { started, result } = begin();
  act(() => started[0]?.opening.settle({ ok: false, message: 'Line 3 has no number.' }));
  await waitFor(() => expect(result.current.refusal).toBe('Line 3 has no number.'));
  expect(result.current.wave).toBeUndefined();
});

test('a worker that fails is told', async () => {
  const { started, result } = begin();
  act(() => started[0]?.opening.fail(new Error('out of memory')));
  await waitFor(() => expect(result.current.refusal).toMatch(/^Reading the recording failed/));
});

test('another recording ends the first one, and what that still says is left alone', async () => {
  const { started, result } = begin();
  act(() => result.current.make('ring'));
  expect(started[0]?.stop).toHaveBeenCalled();
  act(() => started[0]?.opening.settle({ ok: true, wave: { ...WAVE, points: 9 } }));
  act(() => started[1]?.opening.settle({ ok: true, wave: WAVE }));
  await waitFor(() => expect(result.current.wave).toEqual(WAVE));
  expect([result.current.isMade, result.current.title]).toEqual([true, expect.stringContaining('made by formula')]);
});

test('stopping keeps nothing, and says so', async () => {
  const { started, result } = begin();
  act(() => result.current.stop());
  expect(started[0]?.stop).toHaveBeenCalled();
  act(() => started[0]?.opening.settle({ ok: true, wave: WAVE }));
  await act(() => Promise.resolve());
  expect([result.current.wave, result.current.refusal]).toEqual([undefined, 'You stopped it; nothing was kept.']);
});

test('what is worked out of a stretch is kept until the view changes', async () => {
  const { started, result } = begin();
  act(() => started[0]?.opening.settle({ ok: true, wave: WAVE }));
  await waitFor(() => expect(result.current.wave).toEqual(WAVE));
  act(() => result.current.analyse('ramp', { channel: 0, from: 0, to: 1 }, {}));
  await waitFor(() => expect(result.current.found).toEqual({ task: 'ramp', finding: { task: 'ramp' } }));
  expect(started[0]?.call.analyse).toHaveBeenCalledWith({ task: 'ramp', channel: 0, from: 0, to: 1, parameters: {} });
  act(() => result.current.forget());
  expect(result.current.found).toBeUndefined();
});

test('the worker ends with the page', () => {
  const { started, unmount } = begin();
  unmount();
  expect(started[0]?.stop).toHaveBeenCalled();
});
