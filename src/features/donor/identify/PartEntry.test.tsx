/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import { answerLater, mount } from '../../../ui/testing/mount';
import { logPartAction, readMarkingAction } from './actions';
import type { MarkingPreview } from './markingPreview.server';
import { PartEntry } from './PartEntry';

jest.mock('./actions', () => ({ logPartAction: jest.fn(), readMarkingAction: jest.fn() }));

const previewOf = (marking: string, more: Partial<MarkingPreview> = {}): MarkingPreview => ({
  marking,
  decodings: [{ kind: 'N-FET', why: '12 A, 650 V', percent: '97 %' }],
  known: '',
  tell: '',
  misfit: '',
  instead: '',
  ...more,
});

beforeEach(() => {
  jest.resetAllMocks();
  jest.mocked(logPartAction).mockResolvedValue({ ok: true, message: 'logged' });
  jest.mocked(readMarkingAction).mockResolvedValue(null);
});

const row = () => mount(<PartEntry code="FQM-ZN8" refs={['Q1']} nextRef="Q2" packages={['TO-220']} />);
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
const values = (...labels: string[]) => labels.map((label) => field(label).value);
const meaning = () => screen.getByRole('status', { name: 'What the marking may mean' }).textContent;

test('the next row counts on, and keeps kind, case and block; the hands stay where the next one begins', async () => {
  const { user } = row();
  await user.selectOptions(field('kind'), 'nmos');
  await user.type(field('case'), 'TO-220');
  await user.selectOptions(field('block'), 'switch');
  await user.clear(field('how many'));
  await user.type(field('how many'), '3{Enter}');
  await waitFor(() => expect(field('part').value).toBe('Q5'));
  expect(values('kind', 'case', 'block', 'values as printed', 'how many')).toEqual([
    'nmos',
    'TO-220',
    'switch',
    '',
    '1',
  ]);
  await waitFor(() => expect(document.activeElement).toBe(field('part')));
  // The reference that was counted on is typed over.
  expect([field('part').selectionStart, field('part').selectionEnd]).toEqual([0, 2]);
});

test('one like the one above is said so, and what it is like is not kept a second time', async () => {
  const { user } = row();
  await user.selectOptions(field('kind'), 'nmos');
  await user.click(screen.getByRole('button', { name: 'like the one above' }));
  expect(jest.mocked(logPartAction).mock.calls[0]?.[1].get('same')).toBe('same');
  await waitFor(() => expect(values('part', 'kind')).toEqual(['Q3', '']));
});

test('what is refused stays in the row', async () => {
  jest.mocked(logPartAction).mockResolvedValueOnce({
    ok: false,
    problems: [{ field: 'values', message: '“soup” is no value of an N-FET.' }],
  });
  const { user } = row();
  await user.type(field('values as printed'), 'soup{Enter}');
  expect((await screen.findByRole('alert')).textContent).toBe('“soup” is no value of an N-FET.');
  expect(values('part', 'values as printed')).toEqual(['Q2', 'soup']);
});

test('a marking is read while it is typed, with what it would be, what is known of it and what does not fit', async () => {
  jest
    .mocked(readMarkingAction)
    .mockResolvedValue(
      previewOf('12N65', { known: '12N65, 650 V', misfit: 'A switch behind 400 V is expected.', instead: '20N60' }),
    );
  const { user } = row();
  await user.type(field('case'), 'to-220');
  await user.type(field('marking, ? for what is worn off'), '12N65');
  await waitFor(() => expect(meaning()).toContain('12 A, 650 V'));
  expect(meaning()).toContain('The shop knows it: 12N65, 650 V');
  expect(meaning()).toContain('A switch behind 400 V is expected. What would fit: 20N60.');
  expect(readMarkingAction).toHaveBeenLastCalledWith('FQM-ZN8', {
    marking: '12N65',
    kind: '',
    package: 'TO-220',
    block: '',
  });
});

test('an answer that comes late does not take the place of a newer one', async () => {
  const [slow, quick] = [answerLater<MarkingPreview | null>(), answerLater<MarkingPreview | null>()];
  jest.mocked(readMarkingAction).mockReturnValueOnce(slow.promise).mockReturnValueOnce(quick.promise);
  const { user } = row();
  const marking = field('marking, ? for what is worn off');
  await user.type(marking, '12N6');
  await waitFor(() => expect(readMarkingAction).toHaveBeenCalledTimes(1));
  await user.type(marking, '5');
  await waitFor(() => expect(readMarkingAction).toHaveBeenCalledTimes(2));
  quick.settle(previewOf('12N65'));
  await waitFor(() => expect(meaning()).toContain('12N65'));
  slow.settle(previewOf('12N6', { decodings: [] }));
  await slow.promise;
  expect(meaning()).not.toContain('is known to no rule');
});

test('keys to point at write into the row: a kind with the next reference, a case, how many, and characters', async () => {
  const { user } = row();
  await user.click(screen.getByRole('button', { name: 'point instead of typing' }));
  const tray = await screen.findByRole('group', { name: 'Keys to point at' });
  const press = (name: string) =>
    user.click(
      [...tray.querySelectorAll('button')].find((key) => (key.getAttribute('aria-label') ?? key.textContent) === name)!,
    );
  await press('N-FET');
  await press('TO-220');
  await press('one more');
  await press('marking');
  for (const key of ['1', '2', 'N']) await press(key);
  expect(values('part', 'kind', 'case', 'how many', 'marking, ? for what is worn off')).toEqual([
    'Q2',
    'nmos',
    'TO-220',
    '2',
    '12N',
  ]);
});
