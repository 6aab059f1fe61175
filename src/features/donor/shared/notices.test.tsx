/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import { mount } from '../../../ui/testing/mount';
import { goOnAction, notePowerAction } from './actions';
import { LiveNotice } from './LiveNotice';
import { PowerNotice, UnplugFirst } from './PowerNotice';
import type { DonorFrame } from './view.server';

jest.mock('./actions', () => ({ goOnAction: jest.fn(), notePowerAction: jest.fn() }));
beforeEach(() => {
  jest.resetAllMocks();
  jest.mocked(goOnAction).mockResolvedValue({ ok: true, message: 'noted' });
  jest.mocked(notePowerAction).mockResolvedValue({ ok: true, message: 'noted' });
});

const frame = (more: Partial<DonorFrame> = {}) =>
  ({
    code: 'FQM-ZN8',
    isPowered: false,
    wentOn: [],
    notDead: { trace: 'C3 not measured dead', test: 'C3 not measured dead', harvest: null },
    ...more,
  }) as unknown as DonorFrame;

test.each([
  ['each station goes by its own limit', frame(), 'harvest'],
  ['power on is told above every page already', frame({ isPowered: true }), 'trace'],
] as const)('nothing is told where %s', (_, of, station) => {
  mount(<LiveNotice frame={of} station={station} />);
  expect(screen.queryByRole('alert')).toBeNull();
});

test('a board that is not measured dead leads to Make safe, or on after a question', async () => {
  const { user } = mount(<LiveNotice frame={frame()} station="trace" />);
  expect(screen.getByRole('link', { name: 'Make it safe' }).getAttribute('href')).toBe('/donors/FQM-ZN8/make-safe');
  await user.click(screen.getByRole('button', { name: 'I go on all the same' }));
  const dialog = within(await screen.findByRole('alertdialog'));
  expect(dialog.getByText(/^C3 not measured dead\. Stored charge at mains voltage can kill/)).toBeTruthy();
  expect(goOnAction).not.toHaveBeenCalled();
  await user.click(dialog.getByRole('button', { name: 'I go on' }));
  await waitFor(() => expect(goOnAction).toHaveBeenCalledWith({ code: 'FQM-ZN8', station: 'trace' }));
});

test('who went on is reminded, and not asked again', () => {
  mount(<LiveNotice frame={frame({ wentOn: ['trace'] })} station="trace" />);
  expect(screen.getByText(/Keep your hands off the mains side/)).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});

test.each([
  ['above the page', <PowerNotice key="p" code="FQM-ZN8" />],
  ['in the place of the next step', <UnplugFirst key="u" code="FQM-ZN8" />],
])('power on can be said to be gone %s', async (_, notice) => {
  const { user } = mount(notice);
  await user.click(screen.getByRole('button', { name: 'It is unplugged now' }));
  expect(notePowerAction).toHaveBeenCalledWith('FQM-ZN8', false);
});
