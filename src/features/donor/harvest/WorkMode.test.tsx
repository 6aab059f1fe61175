/** @jest-environment jsdom */
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { mount } from '../../../ui/testing/mount';
import { endRunAction, stepRunAction } from './actions';
import type { HarvestView } from './view.server';
import { WorkMode } from './WorkMode';

jest.mock('./actions', () => ({
  startRunAction: jest.fn(),
  endRunAction: jest.fn(() => Promise.resolve({ ok: true })),
  stepRunAction: jest.fn(() => Promise.resolve({ ok: true })),
}));

const NOW = Date.UTC(2026, 0, 5, 19);
beforeEach(() => {
  jest.clearAllMocks();
  jest.useFakeTimers({ now: NOW });
});
afterEach(() => jest.useRealTimers());

const JOB = {
  id: 'Q1',
  ref: 'Q1',
  title: 'Q1, 12N65',
  minutes: '4 min',
  by: '12',
  why: 'a build waits for it',
  isSetup: false,
  tip: 'Screw first, then solder.',
  hazards: ['The sink may be live.'],
  sinceMs: NOW - 65_000,
  predictedS: 240,
};

function working(inHand: Partial<typeof JOB> | null = {}, run: Partial<NonNullable<HarvestView['run']>> = {}) {
  const view = {
    bins: ['C2-5'],
    run: {
      minutesLeft: 12,
      endsMs: NOW + 12 * 60_000,
      bin: 'C2-5',
      inHand: inHand && { ...JOB, ...inHand },
      steps: [{ title: 'C3', outcome: 'taken', took: '3 min' }],
      ...run,
    },
  } as unknown as HarvestView;
  const mounted = mount(<WorkMode code="FQM-ZN8" view={view} />);
  return { ...mounted, user: userEvent.setup({ advanceTimers: (ms) => jest.advanceTimersByTime(ms) }) };
}
const sent = () => Object.fromEntries(jest.mocked(stepRunAction).mock.calls[0]?.[1] ?? []);

test.each([
  ['t', 'done'],
  ['x', 'broke'],
  ['k', 'skipped'],
])('%s says of the job in hand that it is %s', async (key, outcome) => {
  const { user } = working();
  await user.keyboard(key);
  expect(sent()).toEqual({ job: 'Q1', bin: 'C2-5', outcome });
});

test('a step that is only set up cannot break', async () => {
  const { user } = working({ isSetup: true, title: 'heat the hot air' });
  expect(screen.queryByRole('button', { name: /broke/ })).toBeNull();
  await user.click(screen.getByRole('button', { name: /done$/ }));
  expect(sent()).toMatchObject({ outcome: 'done' });
});

test('what can hurt stands with the job, and what came of the others', () => {
  working();
  for (const text of ['The sink may be live.', 'Screw first, then solder.', 'C3 taken, 3 min'])
    expect(screen.getByText(text)).toBeTruthy();
});

test('the clock of the job and the time that is left go on, and the plan is made again each minute', () => {
  const { router } = working();
  act(() => jest.advanceTimersByTime(1_000));
  expect(screen.getByRole('timer').textContent).toBe('1:06');
  expect(screen.getByText('12 min left')).toBeTruthy();
  act(() => jest.advanceTimersByTime(12 * 60_000));
  expect(screen.getByText('the time is up')).toBeTruthy();
  expect(router.refresh).toHaveBeenCalledTimes(12);
});

test('when nothing more fits it says so, and the run is ended', async () => {
  const { user } = working(null);
  expect(screen.getByText(/^Nothing more fits into the time/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'End this run' }));
  expect(endRunAction).toHaveBeenCalledWith('FQM-ZN8');
});
