/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import { mount } from '../../../ui/testing/mount';
import { stockCommandAction } from '../lot/actions';
import { latestStepAction } from './actions';
import { FindLine } from './FindLine';

jest.mock('../lot/actions', () => ({ stockCommandAction: jest.fn() }));
jest.mock('./actions', () => ({ latestStepAction: jest.fn() }));

beforeEach(() => {
  jest.resetAllMocks();
  jest.mocked(stockCommandAction).mockResolvedValue({ ok: true, message: 'done' });
  undo.mockResolvedValue({ ok: true, message: 'undone' });
});

const undo = jest.fn();
const unplug = jest.fn();
const line = () => {
  const mounted = mount(<FindLine unplug={unplug} />, { undo });
  return { ...mounted, field: screen.getByLabelText<HTMLInputElement>('Find line') };
};
const says = () => document.getElementById('find-line-says')?.textContent?.replaceAll('\u00a0', ' ');

test.each([
  ['nmos >=600V', '/stock?find=nmos%20%3E%3D600V'],
  ['find nmos', '/stock?find=nmos'],
  // Codes are read in any spelling that their check allows.
  ['K4K-4J5', '/donors/K4K-4J5'],
  ['k4k4j5', '/donors/K4K-4J5'],
])('“%s” leads to %s', async (text, href) => {
  const { user, router, field } = line();
  await user.type(field, `${text}{Enter}`);
  await waitFor(() => expect(router.push).toHaveBeenCalledWith(href));
  expect(stockCommandAction).not.toHaveBeenCalled();
});

test.each([
  ['find nmos', /: find in stock: N-FET/],
  ['k4k4j5', /: go to donor K4K-4J5/],
  ['undo', /undo the last change of stock/],
  ['nmos >=soup', /soup/],
])('“%s” says what it would do', async (text, message) => {
  const { user, field } = line();
  await user.type(field, text);
  expect(says()).toMatch(message);
});

test('a command of stock is done here, and a refusal keeps the line', async () => {
  jest.mocked(stockCommandAction).mockResolvedValueOnce({ ok: false, problems: [{ message: 'Two are reserved.' }] });
  const { user, router, field } = line();
  await user.type(field, 'take 2 QCH-95V{Enter}');
  expect(await screen.findByText('Two are reserved.')).toBeTruthy();
  expect(field.value).toBe('take 2 QCH-95V');
  await user.type(field, '{Enter}');
  await waitFor(() => expect(field.value).toBe(''));
  expect(router.push).not.toHaveBeenCalled();
});

test('undo takes the last change back; without one it says so', async () => {
  jest.mocked(latestStepAction).mockResolvedValueOnce(undefined).mockResolvedValueOnce('J7');
  const { user, field } = line();
  await user.type(field, 'undo{Enter}');
  expect(await screen.findByText('There is nothing to undo.')).toBeTruthy();
  await user.type(field, '{Enter}');
  await waitFor(() => expect(undo).toHaveBeenCalledWith('J7'));
});

test('/ puts the hands on the line', async () => {
  const { user, field } = line();
  await user.keyboard('/');
  expect(document.activeElement).toBe(field);
});

test('help opens the examples, and one that is pressed is typed into the line', async () => {
  const { user, field } = line();
  await user.type(field, 'help{Enter}');
  const dialog = within(await screen.findByRole('dialog'));
  await user.click(dialog.getByRole('button', { name: 'find nmos 600V' }));
  await waitFor(() => expect(field.value).toBe('find nmos 600V'));
});

test('the examples open by a finger too', async () => {
  const { user } = line();
  await user.click(screen.getByRole('button', { name: /examples and keys/ }));
  expect(await screen.findByRole('dialog', { name: 'Keys of this screen' })).toBeTruthy();
});

test('unplugged is said of the unit that has power on; when none or several have, that is told', async () => {
  unplug.mockResolvedValueOnce({ ok: false, problems: [{ message: 'Several units have power on: A, B.' }] });
  const { user, field } = line();
  await user.type(field, 'unplugged{Enter}');
  expect(await screen.findByText('Several units have power on: A, B.')).toBeTruthy();
  unplug.mockResolvedValueOnce({ ok: true, message: 'power is taken away' });
  await user.type(field, '{Enter}');
  await waitFor(() => expect(field.value).toBe(''));
  expect(unplug).toHaveBeenCalledTimes(2);
});
