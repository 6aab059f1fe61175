/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import type { FormOutcome } from '../form/outcome';
import { answerLater, mount } from '../testing/mount';
import { ActionButton } from './ActionButton';
import { ConfirmButton } from './ConfirmButton';

const notice = () => screen.getByRole('status').textContent;

describe('a button that acts at once', () => {
  test('tells what was done, and undoes it when asked', async () => {
    const undo = jest.fn((id: string) => Promise.resolve<FormOutcome>({ ok: true, message: `Undone: ${id}.` }));
    const { user, router } = mount(
      <ActionButton action={() => Promise.resolve({ ok: true, message: 'Moved.', undo: 'step-9' })}>Move</ActionButton>,
      { undo },
    );
    await user.click(screen.getByRole('button', { name: 'Move' }));
    await waitFor(() => expect(notice()).toContain('Moved.'));
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(notice()).toContain('Undone: step-9.'));
    expect(undo).toHaveBeenCalledTimes(1);
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
    expect(router.refresh).toHaveBeenCalledTimes(2);
  });

  test.each<[string, () => Promise<FormOutcome>, string]>([
    ['a refusal', () => Promise.resolve({ ok: false, problems: [{ message: 'It is taken.' }] }), 'It is taken.'],
    ['no answer', () => Promise.reject(new Error('gone')), 'The server did not answer.'],
  ])('tells %s, without a way back', async (_what, action, message) => {
    const { user } = mount(<ActionButton action={action}>Move</ActionButton>);
    await user.click(screen.getByRole('button', { name: 'Move' }));
    await waitFor(() => expect(notice()).toContain(message));
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Move' }).disabled).toBe(false);
  });

  test('an undo that is refused says why, and a notice is dismissed', async () => {
    const undo = () => Promise.resolve<FormOutcome>({ ok: false, problems: [{ message: 'A part rests on it.' }] });
    const { user } = mount(
      <ActionButton action={() => Promise.resolve({ ok: true, undo: 'step-9' })}>Move</ActionButton>,
      { undo },
    );
    await user.click(screen.getByRole('button', { name: 'Move' }));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(notice()).toContain('A part rests on it.'));
    await user.click(screen.getByRole('button', { name: 'Dismiss' }));
    expect(notice()).toBe('');
  });
});

describe('a button that asks first', () => {
  function ask(action: () => Promise<FormOutcome>) {
    const mounted = mount(
      <ConfirmButton action={action} title="Delete R7?" detail="It can be undone." confirm="Delete it">
        delete R7
      </ConfirmButton>,
    );
    return { ...mounted, button: screen.getByRole<HTMLButtonElement>('button', { name: 'delete R7' }) };
  }

  test('does nothing when one thinks better of it, and gives the focus back', async () => {
    const action = jest.fn(() => Promise.resolve<FormOutcome>({ ok: true }));
    const { user, button } = ask(action);
    await user.click(button);
    const dialog = await screen.findByRole('alertdialog', { name: 'Delete R7?' });
    expect(dialog.textContent).toContain('It can be undone.');
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    await waitFor(() => expect(screen.queryByRole('alertdialog')).toBeNull());
    expect(action).not.toHaveBeenCalled();
    expect(document.activeElement).toBe(button);
  });

  test('acts once when it is confirmed, and cannot be pressed meanwhile', async () => {
    const { promise, settle } = answerLater<FormOutcome>();
    const action = jest.fn(() => promise);
    const { user, button } = ask(action);
    await user.click(button);
    await user.click(await screen.findByRole('button', { name: 'Delete it' }));
    await waitFor(() => expect(button.disabled).toBe(true));
    expect(action).toHaveBeenCalledTimes(1);
    settle({ ok: true, message: 'R7 is deleted.' });
    await waitFor(() => expect(notice()).toContain('R7 is deleted.'));
    await waitFor(() => expect(button.disabled).toBe(false));
  });
});
