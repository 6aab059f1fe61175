/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import { InstrumentProvider, type InstrumentOutcome } from '../../../ui/form/instrument';
import { mount } from '../../../ui/testing/mount';
import { useBoardAnswer } from '../shared/useBoardAnswer';
import { recordTracedAction, removeFactAction } from './actions';
import { TraceBoard } from './TraceBoard';
import type { TraceView } from './view.server';

jest.mock('../shared/useBoardAnswer', () => ({ useBoardAnswer: jest.fn() }));
jest.mock('./actions', () => ({ recordTracedAction: jest.fn(), removeFactAction: jest.fn() }));
jest.mock('../shared/actions', () => ({ finishStationAction: jest.fn() }));
jest.mock('../photos/actions', () => ({ placePinsAction: jest.fn(), liftPinsAction: jest.fn() }));

const VIEW = {
  board: {
    parts: [
      { ref: 'Q1', kind: 'nmos', pins: { D: 1, S: 2 } },
      { ref: 'T1', kind: 'transformer', pins: { '1': 1, '2': 2 } },
    ],
    joined: [],
    through: [],
  },
  photos: [],
  facts: [{ id: 'f1', when: '14:01', a: 'Q1.D', b: 'T1.2', message: 'joined' }],
  conflicts: [],
  fixed: [],
} as unknown as TraceView;

beforeEach(() => {
  jest.resetAllMocks();
  jest.mocked(recordTracedAction).mockResolvedValue({ ok: true, message: 'recorded' });
  jest.mocked(removeFactAction).mockResolvedValue({ ok: true, message: 'dropped' });
  jest
    .mocked(useBoardAnswer)
    .mockReturnValue({ answer: undefined, isFresh: true, hasFailed: false, redraw: jest.fn() });
});

function board(view = VIEW, read?: InstrumentOutcome) {
  const instrument = {
    name: read ? 'bench meter' : '',
    read: jest.fn(() => Promise.resolve(read as InstrumentOutcome)),
    watch: () => () => undefined,
  };
  const mounted = mount(
    <InstrumentProvider instrument={instrument}>
      <TraceBoard code="FQM-ZN8" model="VK-2402" view={view}>
        <p>head</p>
      </TraceBoard>
    </InstrumentProvider>,
  );
  return { ...mounted, instrument };
}
const pin = (name: string) => screen.getByRole('button', { name });
const sent = () => jest.mocked(recordTracedAction).mock.calls.map(([, entry]) => entry);

test('one pin is held, and each that is touched then is joined to it', async () => {
  const { user } = board();
  await user.click(pin('Hold a probe on Q1.D'));
  await user.click(pin('T1.2 beeps with Q1.D'));
  await user.click(pin('T1.1 beeps with Q1.D'));
  expect(sent()).toEqual([
    { kind: 'join', relation: 'joined', pins: ['Q1.D', 'T1.2'] },
    { kind: 'join', relation: 'joined', pins: ['Q1.D', 'T1.1'] },
  ]);
});

test('nothing else beeps: the net is swept, and the probe let go', async () => {
  const { user } = board();
  await user.click(pin('Hold a probe on Q1.D'));
  await user.click(pin('nothing else beeps'));
  expect(sent()).toEqual([{ kind: 'sweep', pin: 'Q1.D' }]);
  expect(await screen.findByRole('button', { name: 'Hold a probe on T1.2' })).toBeTruthy();
});

test('the same pin again, or let go, takes the probe away', async () => {
  const { user } = board();
  await user.click(pin('Hold a probe on Q1.D'));
  await user.click(pin('Hold a probe on Q1.D'));
  expect(screen.queryByText(/^One probe is held/)).toBeNull();
  await user.click(pin('Hold a probe on Q1.S'));
  await user.click(pin('let go'));
  expect(sent()).toEqual([]);
});

const reading = (value: number | null): InstrumentOutcome => ({
  ok: true,
  reading: { value, resolution: 1e-3, at: 0 },
});

test.each([
  ['meter: continuity', reading(0.3), { relation: 'joined' }],
  ['meter: continuity', reading(null), { relation: 'separate' }],
  ['meter: diode mode', reading(0.54), { relation: 'through', drop: 0.54 }],
])('%s: touching a second pin reads the meter and records what it says', async (mode, read, finding) => {
  const { user, instrument } = board(VIEW, read);
  await user.selectOptions(screen.getByLabelText('What touching a second pin means'), mode);
  await user.click(pin('Hold a probe on Q1.D'));
  await user.click(pin('T1.2 beeps with Q1.D'));
  expect(instrument.read).toHaveBeenCalledWith(expect.any(String), 'VK-2402 Q1.D T1.2');
  expect(sent()).toEqual([expect.objectContaining({ kind: 'join', pins: ['Q1.D', 'T1.2'], ...finding })]);
});

test('a meter that does not answer is told, and nothing is recorded', async () => {
  const { user } = board(VIEW, { ok: false, message: 'The meter has gone.' });
  await user.selectOptions(screen.getByLabelText('What touching a second pin means'), 'meter: continuity');
  await user.click(pin('Hold a probe on Q1.D'));
  await user.click(pin('T1.2 beeps with Q1.D'));
  expect(await screen.findByText('The meter has gone.')).toBeTruthy();
  expect(sent()).toEqual([]);
});

test('what the meter said is dropped again', async () => {
  const { user } = board();
  await user.click(pin('Drop Q1.D T1.2 joined'));
  expect(removeFactAction).toHaveBeenCalledWith('FQM-ZN8', 'f1');
});

test.each([
  [{ isFresh: false, hasFailed: false }, 'working it out'],
  [{ isFresh: false, hasFailed: true }, 'it could not be worked out; what you entered is kept'],
])('while %j it says “%s”', (state, message) => {
  jest.mocked(useBoardAnswer).mockReturnValue({ answer: undefined, redraw: jest.fn(), ...state });
  board();
  expect(screen.getByText(message)).toBeTruthy();
});

test('a board without parts says how to begin', () => {
  board({ ...VIEW, board: { ...VIEW.board, parts: [] }, facts: [] });
  expect(screen.getByText('No part is logged yet')).toBeTruthy();
  expect(screen.getByText('Nothing is logged yet')).toBeTruthy();
});
