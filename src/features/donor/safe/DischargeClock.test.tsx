/** @jest-environment jsdom */
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { InstrumentProvider, type Instrument, type InstrumentOutcome } from '../../../ui/form/instrument';
import { mount } from '../../../ui/testing/mount';
import { latchReadingAction, readStoreAction } from './actions';
import { DischargeClock } from './DischargeClock';

jest.mock('./actions', () => ({
  latchReadingAction: jest.fn(() => Promise.resolve({ ok: true, message: 'C3 reads 212 V.' })),
  readStoreAction: jest.fn(() => Promise.resolve({ ok: true })),
}));

const START = Date.UTC(2026, 0, 5, 19);
beforeEach(() => {
  jest.clearAllMocks();
  jest.useFakeTimers({ now: START, advanceTimers: false });
});
afterEach(() => jest.useRealTimers());

const reading = (value: number | null, at = Date.now()): InstrumentOutcome => ({
  ok: true,
  reading: { value, resolution: 0.1, at },
});

/** The clock with a meter that the test speaks for. */
function clock(of: { read?: InstrumentOutcome; name?: string } = {}) {
  let tell: (outcome: InstrumentOutcome) => void = () => undefined;
  const stop = jest.fn();
  const instrument: Instrument = {
    name: of.name ?? 'bench meter',
    read: jest.fn(() => Promise.resolve(of.read ?? reading(212))),
    watch: jest.fn((_wants, _point, onOutcome) => {
      tell = onOutcome;
      return stop;
    }),
  };
  mount(
    <InstrumentProvider instrument={instrument}>
      <DischargeClock code="FQM-ZN8" store="C3" point="VK-2402 C3" clock={null} />
    </InstrumentProvider>,
  );
  const user = userEvent.setup({ advanceTimers: (ms) => jest.advanceTimersByTime(ms) });
  return { user, instrument, stop, tell: (outcome: InstrumentOutcome) => act(() => tell(outcome)) };
}
const pass = (ms: number) => act(() => jest.advanceTimersByTime(ms));
const shown = () => screen.getByLabelText('Meter reading').textContent?.replaceAll('\u00a0', ' ');

test('the stopwatch runs from its start, and stands still when it is stopped', async () => {
  const { user } = clock();
  const watch = () => screen.getByLabelText('Stopwatch').textContent;
  expect(watch()).toBe('0:00.0');
  await user.keyboard('t');
  pass(83_400);
  expect(watch()).toBe('1:23.4');
  await user.click(screen.getByRole('button', { name: /^Stop/ }));
  pass(5_000);
  expect(watch()).toBe('1:23.4');
});

test('a typed reading takes the time of the running stopwatch, and none before it runs', async () => {
  const { user } = clock();
  const record = async (text: string) => {
    await user.type(screen.getByLabelText('reading'), text);
    await user.click(screen.getByRole('button', { name: 'Record' }));
    const [of, data] = jest.mocked(readStoreAction).mock.calls.at(-1) ?? [];
    return { of, voltage: data?.get('voltage'), store: data?.get('store') };
  };
  expect(await record('212V')).toEqual({ of: { code: 'FQM-ZN8', elapsed: undefined }, voltage: '212V', store: 'C3' });
  await user.click(screen.getByRole('button', { name: /^Start/ }));
  pass(12_340);
  expect((await record('180V')).of).toEqual({ code: 'FQM-ZN8', elapsed: 12.34 });
});

test('what the meter shows is watched, and m records what it showed, at the moment it did', async () => {
  const { user, instrument, tell } = clock();
  await user.click(screen.getByRole('button', { name: 'Watch' }));
  await user.keyboard('t');
  pass(2_000);
  tell(reading(205.3, START + 1_500));
  expect(shown()).toBe('205.3 V');
  await user.keyboard('m');
  expect(instrument.read).not.toHaveBeenCalled();
  expect(latchReadingAction).toHaveBeenCalledWith('FQM-ZN8', {
    store: 'C3',
    voltage: { value: 205.3, resolution: 0.1 },
    elapsed: 1.5,
  });
});

test('a reading from before the stopwatch started belongs to no moment of it: the meter is asked anew', async () => {
  const { user, instrument, tell } = clock({ read: reading(190, START + 10_000) });
  await user.click(screen.getByRole('button', { name: 'Watch' }));
  tell(reading(300, START));
  pass(10_000);
  await user.keyboard('t');
  await user.keyboard('m');
  expect(instrument.read).toHaveBeenCalledTimes(1);
  expect(latchReadingAction).toHaveBeenCalledWith('FQM-ZN8', expect.objectContaining({ elapsed: 0 }));
});

test('over range is shown and recorded as nothing', async () => {
  const { user, tell } = clock({ read: reading(null) });
  await user.click(screen.getByRole('button', { name: 'Watch' }));
  tell(reading(null));
  expect(shown()).toBe('OL');
  await user.keyboard('m');
  expect(await screen.findByText(/over range: nothing was recorded/)).toBeTruthy();
  expect(latchReadingAction).not.toHaveBeenCalled();
});

test('a meter that goes away is told, watched no more, and tried again', async () => {
  const { user, instrument, stop, tell } = clock();
  await user.click(screen.getByRole('button', { name: 'Watch' }));
  tell({ ok: false, message: 'The meter has gone.' });
  expect(screen.getByRole('alert').textContent).toBe('The meter has gone.');
  expect(stop).toHaveBeenCalled();
  await user.click(screen.getByRole('button', { name: 'Try again' }));
  expect(instrument.watch).toHaveBeenCalledTimes(2);
  expect(screen.queryByRole('alert')).toBeNull();
});

test('without a meter the way to name one is offered', () => {
  clock({ name: '' });
  expect(screen.getByRole('link', { name: 'Settings' }).getAttribute('href')).toBe('/settings');
  expect(screen.queryByRole('button', { name: 'Watch' })).toBeNull();
});
