/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import { mount } from '../../../ui/testing/mount';
import { amendPlateAction, rereadPlateAction } from './actions';
import PlateEditor from './PlateEditor';

jest.mock('./actions', () => ({
  amendPlateAction: jest.fn(() => Promise.resolve({ ok: true })),
  rereadPlateAction: jest.fn(() => Promise.resolve({ ok: true })),
}));
beforeEach(() => jest.clearAllMocks());

const PLATE = {
  inputs: [{ kind: 'ac', vMin: 100, vMax: 240, current: 1.5, power: 90, frequencies: [50, 60] }],
  outputs: [
    { v: 5, i: 2 },
    { v: -12, i: 0.3, standby: true, port: 'USB-A' },
  ],
  totalPower: 13.6,
} as const;

const editor = (byHand = false) => mount(<PlateEditor code="FQM-ZN8" plate={PLATE as never} byHand={byHand} />);
const sent = () => Object.fromEntries(jest.mocked(amendPlateAction).mock.calls.at(-1)?.[1] ?? []);
const keep = () => screen.getByRole('button', { name: 'Save these fields' });

test('every field of the plate is there as a person would type it, and sent by its place', async () => {
  const { user } = editor();
  await user.click(keep());
  expect(sent()).toEqual({
    'inputs[0].kind': 'ac',
    'inputs[0].power': '90W',
    'inputs[0].vMin': '100V',
    'inputs[0].vMax': '240V',
    'inputs[0].current': '1.5A',
    'inputs[0].hertz': '50/60',
    'outputs[0].v': '5V',
    'outputs[0].vMax': '',
    'outputs[0].i': '2A',
    'outputs[0].p': '',
    'outputs[0].mark': '',
    'outputs[0].port': '',
    'outputs[1].v': '-12V',
    'outputs[1].vMax': '',
    'outputs[1].i': '300mA',
    'outputs[1].p': '',
    'outputs[1].mark': 'standby',
    'outputs[1].port': 'USB-A',
    total: '13.6W',
  });
});

test('a row taken out from between leaves what was typed into the others, which close up', async () => {
  const { user } = editor();
  await user.click(screen.getByRole('button', { name: 'another output' }));
  await user.type(screen.getByLabelText('Volts of output 3'), '24V');
  await user.click(screen.getByRole('button', { name: 'Take output 1 out' }));
  await user.click(keep());
  expect(sent()).toMatchObject({ 'outputs[0].v': '-12V', 'outputs[1].v': '24V' });
  expect(sent()).not.toHaveProperty(['outputs[2].v']);
});

test('a problem stands beside its cell and takes the focus; what was typed stays', async () => {
  jest.mocked(amendPlateAction).mockResolvedValueOnce({
    ok: false,
    problems: [{ field: 'outputs[1].i', message: '“three” is not a current.' }],
  });
  const { user } = editor();
  const cell = screen.getByLabelText<HTMLInputElement>('Current of output 2');
  await user.clear(cell);
  await user.type(cell, 'three');
  await user.click(keep());
  expect((await screen.findByRole('alert')).textContent).toBe('Current of output 2: “three” is not a current.');
  expect(cell.getAttribute('aria-invalid')).toBe('true');
  await waitFor(() => expect(document.activeElement).toBe(cell));
  expect(cell.value).toBe('three');
});

test('a problem of a field that is not shown is told all the same', async () => {
  jest.mocked(amendPlateAction).mockResolvedValueOnce({
    ok: false,
    problems: [{ field: 'outputs[9].v', message: 'A rail too many.' }],
  });
  const { user } = editor();
  await user.click(keep());
  expect((await screen.findByRole('alert')).textContent).toBe('A rail too many.');
});

test('only a plate that was put right by hand is read again', async () => {
  const { user, show } = editor();
  expect(screen.queryByRole('button', { name: 'Read the text again' })).toBeNull();
  show(<PlateEditor code="FQM-ZN8" plate={PLATE as never} byHand />);
  await user.click(screen.getByRole('button', { name: 'Read the text again' }));
  expect(rereadPlateAction).toHaveBeenCalledWith('FQM-ZN8');
});
