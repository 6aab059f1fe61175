/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { mount } from '../testing/mount';
import { ActionForm } from './ActionForm';
import { SubmitButton, TextField } from './fields';
import type { FormOutcome } from './outcome';
import { hasUnsaved, leave, markUnsaved } from './unsaved';
import { UnsavedGuard } from './UnsavedGuard';

const action = jest.fn<Promise<FormOutcome>, [FormData]>();
beforeEach(() => action.mockReset().mockResolvedValue({ ok: true, message: 'kept' }));
afterEach(() => markUnsaved('other', false));

const page = () =>
  mount(
    <>
      <UnsavedGuard />
      <ActionForm action={action} label="Unit" guard>
        <TextField name="maker" label="maker" defaultValue="Velkin" />
        <SubmitButton>Save it</SubmitButton>
      </ActionForm>
      {/* oxlint-disable-next-line nextjs/no-html-link-for-pages -- what the guard must hear */}
      <a href="/stock?find=cap">Stock</a>
      <a href="/elsewhere.csv" download>
        a file
      </a>
    </>,
  );
const maker = () => screen.getByLabelText<HTMLInputElement>('maker');

test('a page with nothing changed is left at once', async () => {
  const { user } = page();
  await user.click(screen.getByText('Stock'));
  expect(screen.queryByRole('alertdialog')).toBeNull();
});

test('a change is asked about: staying keeps it, leaving goes where the link leads', async () => {
  const { user, router } = page();
  await user.type(maker(), '!');
  expect(hasUnsaved()).toBe(true);
  await user.click(screen.getByText('Stock'));
  await user.click(await screen.findByRole('button', { name: 'Stay' }));
  expect(router.push).not.toHaveBeenCalled();
  expect(maker().value).toBe('Velkin!');
  await user.click(screen.getByText('Stock'));
  await user.click(await screen.findByRole('button', { name: 'Leave without it' }));
  expect(router.push).toHaveBeenCalledWith('/stock?find=cap');
});

test.each([
  ['typed back', async (type: () => Promise<void>) => type()],
  ['kept', async () => fireEvent.submit(screen.getByRole('form', { name: 'Unit' }))],
])('what was %s is asked about no more', async (_, done) => {
  const { user } = page();
  await user.type(maker(), '!');
  await done(async () => user.type(maker(), '{Backspace}'));
  await waitFor(() => expect(hasUnsaved()).toBe(false));
});

test('what the server refuses is still asked about', async () => {
  action.mockResolvedValue({ ok: false, problems: [{ field: 'maker', message: 'No such maker.' }] });
  const { user } = page();
  await user.type(maker(), '!{Enter}');
  expect(await screen.findByText('No such maker.')).toBeTruthy();
  expect(hasUnsaved()).toBe(true);
});

test('files, and closing the window: the browser asks for itself', async () => {
  const { user } = page();
  await user.type(maker(), '!');
  fireEvent.click(screen.getByText('a file'));
  expect(screen.queryByRole('alertdialog')).toBeNull();
  const closing = new Event('beforeunload', { cancelable: true });
  window.dispatchEvent(closing);
  expect(closing.defaultPrevented).toBe(true);
});

test('a key that leads elsewhere asks as a link does; a form that is gone holds nothing', async () => {
  const { user, unmount } = page();
  await user.type(maker(), '!');
  const go = jest.fn();
  act(() => leave(go));
  expect(go).not.toHaveBeenCalled();
  await user.click(await screen.findByRole('button', { name: 'Leave without it' }));
  expect(go).toHaveBeenCalledTimes(1);
  unmount();
  leave(go);
  expect(go).toHaveBeenCalledTimes(2);
});
