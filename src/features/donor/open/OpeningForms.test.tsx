/** @jest-environment jsdom */
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { mount } from '../../../ui/testing/mount';
import {
  addOpeningStepAction,
  noteReassemblyAction,
  removeOpeningStepAction,
  startClockAction,
  stopClockAction,
} from './actions';
import { DeleteStep, ReassemblyForm, StepForm, WorkClock } from './OpeningForms';

jest.mock('./actions', () => ({
  addOpeningStepAction: jest.fn(),
  noteReassemblyAction: jest.fn(),
  removeOpeningStepAction: jest.fn(),
  startClockAction: jest.fn(),
  stopClockAction: jest.fn(),
}));

beforeEach(() => {
  jest.resetAllMocks();
  for (const action of [addOpeningStepAction, noteReassemblyAction, removeOpeningStepAction])
    jest.mocked(action).mockResolvedValue({ ok: true, message: 'noted' });
  for (const action of [startClockAction, stopClockAction]) jest.mocked(action).mockResolvedValue({ ok: true });
});

const CODE = 'FQM-ZN8';
const sent = (action: unknown) => Object.fromEntries((action as jest.Mock).mock.calls[0]?.[1] ?? []);

describe('the clock of the work', () => {
  const NOW = Date.UTC(2026, 0, 5, 19);
  beforeEach(() => jest.useFakeTimers({ now: NOW }));
  afterEach(() => jest.useRealTimers());
  const hands = () => userEvent.setup({ advanceTimers: (ms) => jest.advanceTimersByTime(ms) });
  const clock = () => screen.getByRole('timer', { name: 'Time spent opening it' }).textContent;

  test.each`
    doneMs       | button               | reads      | why
    ${0}         | ${'Start the clock'} | ${'0:00'}  | ${'nothing was done yet'}
    ${65_400}    | ${'Go on'}           | ${'1:05'}  | ${'part of a second does not count'}
    ${3_725_000} | ${'Go on'}           | ${'62:05'} | ${'an hour is sixty minutes more'}
  `('standing at $doneMs ms it reads $reads and offers “$button”: $why', async ({ doneMs, button, reads }) => {
    mount(<WorkClock code={CODE} clock={{ doneMs, runningSince: null }} />);
    expect(clock()).toBe(reads);
    act(() => jest.advanceTimersByTime(5_000));
    expect(clock()).toBe(reads);
    await hands().click(screen.getByRole('button', { name: button }));
    expect(startClockAction).toHaveBeenCalledWith({ code: CODE, station: 'open' });
  });

  test('running it counts from when it was started, also while the page was closed, and is stopped', async () => {
    mount(<WorkClock code={CODE} clock={{ doneMs: 60_000, runningSince: NOW - 600_000 }} />);
    act(() => jest.advanceTimersByTime(1_000));
    expect(clock()).toBe('11:01');
    await hands().click(screen.getByRole('button', { name: 'Stop the clock' }));
    expect(stopClockAction).toHaveBeenCalledWith({ code: CODE, station: 'open' });
  });

  test('a start that this machine’s clock places in the future takes nothing off', () => {
    mount(<WorkClock code={CODE} clock={{ doneMs: 60_000, runningSince: NOW + 90_000 }} />);
    act(() => jest.advanceTimersByTime(1_000));
    expect(clock()).toBe('1:00');
  });
});

test('a step is noted with what held, where, how many, and the fields are free for the next', async () => {
  const { user } = mount(<StepForm code={CODE} />);
  await user.selectOptions(screen.getByLabelText('what holds it'), 'screws');
  await user.type(screen.getByLabelText('where it hides'), 'under the label');
  await user.type(screen.getByLabelText('how many'), '4');
  await user.type(screen.getByLabelText('drive and size'), 'TR9');
  await user.type(screen.getByLabelText('took'), '6min{Enter}');
  await waitFor(() => expect(addOpeningStepAction).toHaveBeenCalledTimes(1));
  expect(sent(addOpeningStepAction)).toEqual({
    seam: 'screws',
    place: 'under the label',
    count: '4',
    drive: 'TR9',
    damage: 'none',
    method: '',
    kept: '',
    minutes: '6min',
  });
  await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('where it hides').value).toBe(''));
});

test('a step that is refused stays as it was typed, with the reason at its field', async () => {
  jest.mocked(addOpeningStepAction).mockResolvedValueOnce({
    ok: false,
    problems: [{ field: 'count', message: '“four” is no count; a whole number is expected.' }],
  });
  const { user } = mount(<StepForm code={CODE} />);
  await user.type(screen.getByLabelText('how many'), 'four{Enter}');
  expect((await screen.findByRole('alert')).textContent).toContain('“four” is no count');
  expect(screen.getByLabelText<HTMLInputElement>('how many').value).toBe('four');
});

test('a step is deleted by its number', async () => {
  const { user } = mount(<DeleteStep code={CODE} id="s2" number={2} />);
  await user.click(screen.getByRole('button', { name: 'Delete step 2' }));
  expect(removeOpeningStepAction).toHaveBeenCalledWith(CODE, 's2');
});

test('how it went together again is noted with a remark', async () => {
  const { user } = mount(<ReassemblyForm code={CODE} />);
  await user.selectOptions(screen.getByLabelText('put together again'), 'loose');
  await user.type(screen.getByLabelText('remark'), 'one clip short');
  await user.click(screen.getByRole('button', { name: 'Note it' }));
  expect(sent(noteReassemblyAction)).toEqual({ result: 'loose', remark: 'one clip short' });
});
