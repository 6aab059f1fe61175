/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import { mount } from '../../../ui/testing/mount';
import { notePowerAction } from '../shared/actions';
import {
  addStoreAction,
  correctStoreAction,
  listPartAsStoreAction,
  noteMeterCheckAction,
  removeStoreAction,
} from './actions';
import { CorrectStore, DeleteStore, MeterCheckRow, PowerRow, StoreForm, StoreOffers } from './SafetyForms';
import type { StoreTexts } from './view.server';

jest.mock('./actions', () => ({
  addStoreAction: jest.fn(),
  correctStoreAction: jest.fn(),
  listPartAsStoreAction: jest.fn(),
  noteMeterCheckAction: jest.fn(),
  removeStoreAction: jest.fn(),
}));
jest.mock('../shared/actions', () => ({ notePowerAction: jest.fn() }));

const CODE = 'FQM-ZN8';
const C3: StoreTexts = {
  name: 'C3',
  role: 'bulk',
  capacitance: '82u',
  ratedVoltage: '400V',
  bleed: '470k',
  holdSource: 'auto',
  holdVoltage: '',
};
beforeEach(() => {
  jest.resetAllMocks();
  for (const action of [
    addStoreAction,
    correctStoreAction,
    listPartAsStoreAction,
    noteMeterCheckAction,
    notePowerAction,
    removeStoreAction,
  ])
    jest.mocked(action).mockResolvedValue({ ok: true, message: 'done' });
});
const sent = (action: unknown, argument = 1) =>
  Object.fromEntries((action as jest.Mock).mock.calls[0]?.[argument] ?? []);

test.each`
  on       | button                    | applied
  ${true}  | ${'It is unplugged now'}  | ${false}
  ${false} | ${'it is plugged in now'} | ${true}
`('with power on: $on, “$button” is one press', async ({ on, button, applied }) => {
  const { user } = mount(<PowerRow code={CODE} power={{ on, message: 'as recorded' }} />);
  await user.click(screen.getByRole('button', { name: button }));
  expect(notePowerAction).toHaveBeenCalledWith(CODE, applied);
});

test.each`
  checked    | says                                      | button
  ${null}    | ${/not checked yet: read a known source/} | ${'meter checked before and after'}
  ${'14:02'} | ${/checked on a known source at 14:02/}   | ${'checked again'}
`('a meter checked at $checked', async ({ checked, says, button }) => {
  const { user } = mount(<MeterCheckRow code={CODE} checked={checked} />);
  expect(screen.getByText(says)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: button }));
  expect(noteMeterCheckAction).toHaveBeenCalledWith(CODE);
});

test('a store is listed as it is typed; the form is free for the next', async () => {
  const { user } = mount(<StoreForm code={CODE} first />);
  expect(screen.getByRole('heading', { name: 'A store of charge' })).toBeTruthy();
  await user.type(screen.getByLabelText('name'), 'c9');
  await user.type(screen.getByLabelText('capacitance, or several'), '?');
  await user.type(screen.getByLabelText('rated'), '450V{Enter}');
  await waitFor(() => expect(addStoreAction).toHaveBeenCalledTimes(1));
  expect(sent(addStoreAction)).toMatchObject({ name: 'c9', capacitance: '?', ratedVoltage: '450V', role: '' });
  await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('name').value).toBe(''));
});

test('a store is corrected from what it is, under the name that it had', async () => {
  const { user } = mount(<CorrectStore code={CODE} typed={C3} />);
  await user.click(screen.getByRole('button', { name: 'Correct C3' }));
  const form = within(await screen.findByRole('form', { name: 'Correct C3' }));
  expect(form.getByLabelText<HTMLInputElement>('bleed path').value).toBe('470k');
  await user.clear(form.getByLabelText('name'));
  await user.type(form.getByLabelText('name'), 'C3A{Enter}');
  await waitFor(() => expect(correctStoreAction).toHaveBeenCalledTimes(1));
  expect(jest.mocked(correctStoreAction).mock.calls[0]?.[0]).toEqual({ code: CODE, name: 'C3' });
  expect(sent(correctStoreAction)).toMatchObject({ ...C3, name: 'C3A' });
});

test('what the parts list offers is listed by a press; nothing offered shows nothing', async () => {
  const { user, show } = mount(<StoreOffers code={CODE} offers={[{ ref: 'C6', message: 'size not known' }]} />);
  await user.click(screen.getByRole('button', { name: 'List C6 as a store' }));
  expect(listPartAsStoreAction).toHaveBeenCalledWith({ code: CODE, ref: 'C6' });
  show(<StoreOffers code={CODE} offers={[]} />);
  expect(screen.queryByRole('region', { name: 'From the parts list' })).toBeNull();
});

test('a store goes off the list only after a question that says what is lost', async () => {
  const { user } = mount(<DeleteStore code={CODE} name="C3" />);
  await user.click(screen.getByRole('button', { name: 'delete C3' }));
  const dialog = within(await screen.findByRole('alertdialog'));
  expect(dialog.getByText(/no warning will name it/)).toBeTruthy();
  expect(removeStoreAction).not.toHaveBeenCalled();
  await user.click(dialog.getByRole('button', { name: 'Delete it' }));
  await waitFor(() => expect(removeStoreAction).toHaveBeenCalledWith(CODE, 'C3'));
});
