/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import { ActionForm } from '../form/ActionForm';
import { SubmitButton, TextField } from '../form/fields';
import type { FormOutcome } from '../form/outcome';
import { mount } from '../testing/mount';
import { CorrectButton } from './CorrectButton';

const action = jest.fn<Promise<FormOutcome>, [FormData]>();
const row = () =>
  mount(
    <CorrectButton label="Correct step 2" title="Step 2">
      {(close) => (
        <ActionForm action={action} label="Correct step 2" onDone={close}>
          <TextField name="place" label="where it hides" defaultValue="under the label" />
          <SubmitButton>Save the correction</SubmitButton>
        </ActionForm>
      )}
    </CorrectButton>,
  );

test('what was recorded opens filled in, is put right, and the focus comes back', async () => {
  action.mockReset().mockResolvedValue({ ok: true, message: 'put right' });
  const { user } = row();
  const button = screen.getByRole('button', { name: 'Correct step 2' });
  await user.click(button);
  const field = await screen.findByLabelText<HTMLInputElement>('where it hides');
  expect(field.value).toBe('under the label');
  await user.type(field, ', left{Enter}');
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(action.mock.calls[0]?.[0].get('place')).toBe('under the label, left');
  expect(document.activeElement).toBe(button);
});

test('what is refused stays open with the reason; closed, nothing is changed', async () => {
  action.mockReset().mockResolvedValue({ ok: false, problems: [{ field: 'place', message: 'Too long.' }] });
  const { user } = row();
  await user.click(screen.getByRole('button', { name: 'Correct step 2' }));
  await user.click(await screen.findByRole('button', { name: 'Save the correction' }));
  expect(await screen.findByText('Too long.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Close' }));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
});
