/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { FormOutcome } from '../../../ui/form/outcome';
import { answerLater, mount } from '../../../ui/testing/mount';
import { recordLineAction, typeNamesAction, undoLatestAction } from './actions';
import { BenchLine } from './BenchLine';

jest.mock('./actions', () => ({
  recordLineAction: jest.fn(),
  typeNamesAction: jest.fn(),
  undoLatestAction: jest.fn(),
}));

beforeEach(() => {
  jest.resetAllMocks();
  jest.mocked(typeNamesAction).mockResolvedValue(['12N65', 'UF4007']);
  jest.mocked(recordLineAction).mockResolvedValue({ ok: true, message: 'recorded' });
  jest.mocked(undoLatestAction).mockResolvedValue({ ok: true, message: 'undone' });
});

const line = () => {
  const mounted = mount(
    <BenchLine
      code="FQM-ZN8"
      station="identify"
      context={{
        parts: [
          { ref: 'Q1', kind: 'nmos' },
          { ref: 'T1', kind: 'transformer' },
        ],
        stores: [],
      }}
    />,
  );
  return { ...mounted, field: screen.getByLabelText<HTMLInputElement>('Bench line') };
};
const says = () => document.getElementById('bench-line-says')?.textContent?.replaceAll('\u00a0', ' ');
const sent = () => jest.mocked(recordLineAction).mock.calls.map(([, text]) => text);

test.each([
  ['q2 nmos to-220 marked 12N65', /Q2.*N-FET.*TO-220/],
  ['q1.d - t1.2', /Q1\.D.*T1\.2/],
  ['undo', /undo the last step/],
  ['qq what', /./],
])('“%s” is understood before Enter, or what is not is named', async (text, message) => {
  const { user, field } = line();
  await user.type(field, text);
  await waitFor(() => expect(says()).toMatch(message));
});

test('a line is recorded at its station and the field is free for the next one', async () => {
  const { user, field } = line();
  await user.type(field, 'q2 nmos{Enter}');
  await waitFor(() => expect(field.value).toBe(''));
  expect(recordLineAction).toHaveBeenCalledWith({ code: 'FQM-ZN8', station: 'identify' }, 'q2 nmos');
});

test('undo takes the last step back instead of being recorded', async () => {
  const { user, field } = line();
  await user.type(field, 'Undo{Enter}');
  await waitFor(() => expect(undoLatestAction).toHaveBeenCalledWith('FQM-ZN8'));
  expect(sent()).toEqual([]);
});

test('what the server refuses stays in the line, with its words', async () => {
  jest.mocked(recordLineAction).mockResolvedValueOnce({ ok: false, problems: [{ message: 'There is a Q2 already.' }] });
  const { user, field } = line();
  await user.type(field, 'q2 nmos{Enter}');
  expect(await screen.findByText('There is a Q2 already.')).toBeTruthy();
  expect(field.value).toBe('q2 nmos');
});

test('numbers that the shop knows are asked for once, when a line is begun, and complete it', async () => {
  const { user, field } = line();
  expect(typeNamesAction).not.toHaveBeenCalled();
  await user.type(field, 'd5 diode marked UF');
  await user.keyboard('{Tab}');
  await waitFor(() => expect(field.value.trim()).toBe('d5 diode marked UF4007'));
  expect(typeNamesAction).toHaveBeenCalledTimes(1);
});

test('what may have been meant is offered with a question, and taken by one key after Enter or by a touch', async () => {
  const { user, field } = line();
  await user.type(field, 'c5 350');
  const offered = await screen.findByRole('group', { name: 'What may have been meant' });
  expect(offered.textContent).toContain('c5 350u');
  await user.keyboard('{Enter}2');
  await waitFor(() => expect(sent()).toEqual(['c5 350V']));
  await waitFor(() => expect(field.value).toBe(''));
  await user.type(field, 'what a day{Enter}');
  await user.click(await screen.findByRole('button', { name: /# what a day/ }));
  await waitFor(() => expect(sent()).toEqual(['c5 350V', '# what a day']));
});

test('what was read otherwise than it was typed, and what a number stands for, is told before Enter', async () => {
  const { user, field } = line();
  await user.type(field, 'q2 fet 12N65 brnt');
  await waitFor(() => expect(says()).toContain('“brnt” is read as burnt'));
  expect(says()).toContain('12 A');
});

const paste = (field: HTMLInputElement, text: string) =>
  fireEvent.paste(field, { clipboardData: { getData: () => text } });

test('a pasted list is recorded line by line; what is refused is kept with the reason, until it is dismissed', async () => {
  jest
    .mocked(recordLineAction)
    .mockImplementation((_of, text) =>
      Promise.resolve<FormOutcome>(
        text === 'soup' ? { ok: false, problems: [{ message: '“soup” is no reference.' }] } : { ok: true },
      ),
    );
  const { user, field } = line();
  paste(field, 'q2 nmos\nsoup\nr1 10k\n');
  expect(await screen.findByText('2 of 3 lines recorded.')).toBeTruthy();
  expect(sent()).toEqual(['q2 nmos', 'soup', 'r1 10k']);
  expect(screen.getByRole('alert').textContent).toContain('soup “soup” is no reference.');
  await user.click(screen.getByRole('button', { name: 'dismiss' }));
  expect(screen.queryByRole('alert')).toBeNull();
});

test('a long list is stopped in between, and what was not read is named', async () => {
  const first = answerLater<FormOutcome>();
  jest.mocked(recordLineAction).mockReturnValueOnce(first.promise);
  const { user, field } = line();
  paste(field, 'q2 nmos\nr1 10k');
  await user.click(await screen.findByRole('button', { name: /stop|cancel/i }));
  first.settle({ ok: true });
  expect(await screen.findByText('1 of 2 lines recorded.')).toBeTruthy();
  expect(sent()).toEqual(['q2 nmos']);
  expect(screen.getByRole('alert').textContent).toContain('r1 10k not read: you stopped');
});

test.each([
  ['find nmos >=600V', '/stock?find=nmos%20%3E%3D600V'],
  ['go to K4K-4J5', '/donors/K4K-4J5'],
])('“%s” leads to %s and records nothing', async (text, href) => {
  const { user, router, field } = line();
  await user.type(field, `${text}{Enter}`);
  await waitFor(() => expect(router.push).toHaveBeenCalledWith(href));
  expect(recordLineAction).not.toHaveBeenCalled();
});

test('help shows the examples and records nothing', async () => {
  const { user, field } = line();
  await user.type(field, 'help{Enter}');
  expect(await screen.findByRole('dialog', { name: 'Keys of this screen' })).toBeTruthy();
  expect(recordLineAction).not.toHaveBeenCalled();
});
