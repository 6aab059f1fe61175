/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import { answerLater, mount } from '../testing/mount';
import { ActionForm } from './ActionForm';
import { CheckField, QuantityField, SelectField, SubmitButton, TextArea, TextField } from './fields';
import type { FormOutcome } from './outcome';

const refused = (...problems: { field?: string; message: string }[]): FormOutcome => ({ ok: false, problems });

function form(action: (data: FormData) => Promise<FormOutcome>, { clearAfter = false } = {}) {
  return (
    <ActionForm action={action} label="Part" clearAfter={clearAfter}>
      <TextField name="ref" label="reference" hint="as printed beside it" />
      <QuantityField name="value" label="value" unit="ohm" />
      <SelectField
        name="case"
        label="case"
        options={[
          { value: '', label: 'not known' },
          { value: 'axial', label: 'axial' },
        ]}
      />
      <TextArea name="note" label="note" />
      <CheckField name="empty" label="place is empty" />
      <SubmitButton>Log it</SubmitButton>
      <SubmitButton name="then" value="test">
        Log and test
      </SubmitButton>
    </ActionForm>
  );
}

test('what was typed goes to the action, with the button that was pressed', async () => {
  const sent: Record<string, unknown>[] = [];
  const { user, router } = mount(
    form((data) => {
      sent.push(Object.fromEntries(data));
      return Promise.resolve({ ok: true, message: 'R7 is logged.' });
    }),
  );
  await user.type(screen.getByLabelText('reference'), 'R7');
  await user.type(screen.getByLabelText('value'), '4k7');
  await user.selectOptions(screen.getByLabelText('case'), 'axial');
  await user.click(screen.getByLabelText('place is empty'));
  await user.click(screen.getByRole('button', { name: 'Log and test' }));
  expect(sent).toEqual([{ ref: 'R7', value: '4k7', case: 'axial', note: '', empty: 'on', then: 'test' }]);
  expect(await screen.findByText('R7 is logged.')).toBeTruthy();
  expect(router.refresh).toHaveBeenCalledTimes(1);
  expect(screen.getByLabelText<HTMLInputElement>('reference').value).toBe('R7');
});

test('a refusal stands beside its field, takes the focus there, and keeps what was typed', async () => {
  const { user, router } = mount(
    form(() =>
      Promise.resolve(refused({ field: 'note', message: 'Too long.' }, { message: 'The board is archived.' })),
    ),
  );
  await user.type(screen.getByLabelText('reference'), 'R7');
  await user.click(screen.getByRole('button', { name: 'Log it' }));
  const note = screen.getByLabelText<HTMLTextAreaElement>('note');
  await waitFor(() => expect(document.activeElement).toBe(note));
  expect(note.getAttribute('aria-invalid')).toBe('true');
  expect(document.getElementById(note.getAttribute('aria-describedby') ?? '')?.textContent).toBe('Too long.');
  expect(screen.getAllByRole('alert').map(({ textContent }) => textContent)).toEqual([
    'Too long.',
    'The board is archived.',
  ]);
  expect(screen.getByLabelText<HTMLInputElement>('reference').value).toBe('R7');
  expect(router.refresh).not.toHaveBeenCalled();
});

test('no answer is told in the form; the next try goes through, and the refusal is gone', async () => {
  let tries = 0;
  const { user } = mount(
    form(() => {
      tries += 1;
      return tries === 1 ? Promise.reject(new Error('broken pipe')) : Promise.resolve({ ok: true });
    }),
  );
  await user.click(screen.getByRole('button', { name: 'Log it' }));
  expect((await screen.findByRole('alert')).textContent).toContain('did not answer');
  await user.click(screen.getByRole('button', { name: 'Log it' }));
  expect(await screen.findByText('Done.')).toBeTruthy();
  expect(screen.queryByRole('alert')).toBeNull();
});

test('while the answer is awaited nothing can be sent twice', async () => {
  const { promise, settle } = answerLater<FormOutcome>();
  const action = jest.fn(() => promise);
  const { user } = mount(form(action));
  const button = screen.getByRole<HTMLButtonElement>('button', { name: 'Log it' });
  await user.click(button);
  await waitFor(() => expect(button.disabled).toBe(true));
  await user.click(button);
  expect(action).toHaveBeenCalledTimes(1);
  settle({ ok: true });
  await waitFor(() => expect(button.disabled).toBe(false));
});

test('a form for one entry after another is emptied, and the hands stay at its first field', async () => {
  const { user } = mount(form(() => Promise.resolve({ ok: true }), { clearAfter: true }));
  await user.type(screen.getByLabelText('reference'), 'R7');
  await user.click(screen.getByRole('button', { name: 'Log it' }));
  await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('reference').value).toBe(''));
  await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('reference')));
});

test('success may lead elsewhere', async () => {
  const { user, router } = mount(form(() => Promise.resolve({ ok: true, goto: '/donors/K7F-2QM/open' })));
  await user.click(screen.getByRole('button', { name: 'Log it' }));
  await waitFor(() => expect(router.push).toHaveBeenCalledWith('/donors/K7F-2QM/open'));
  expect(router.refresh).not.toHaveBeenCalled();
});

describe('a quantity', () => {
  test.each([
    ['4k7', '4.7\u00a0kΩ'],
    ['2.2M', '2.2\u00a0MΩ'],
  ])('%s says at once what was understood: %s', async (typed, understood) => {
    const { user } = mount(form(() => Promise.resolve({ ok: true })));
    const field = screen.getByLabelText('value');
    await user.type(field, typed);
    expect(document.getElementById(field.getAttribute('aria-describedby') ?? '')?.textContent).toContain(understood);
  });

  test('what cannot be read is said once the field is left, not before', async () => {
    const { user } = mount(form(() => Promise.resolve({ ok: true })));
    const field = screen.getByLabelText<HTMLInputElement>('value');
    await user.type(field, '4k7x');
    expect(screen.queryByRole('alert')).toBeNull();
    await user.click(screen.getByLabelText('note'));
    expect(screen.getByRole('alert').textContent).toContain('4k7x');
    expect(field.value).toBe('4k7x');
  });
});
