/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import { mount } from '../../ui/testing/mount';
import { keepOfferedAction, keepOwnWordAction, removeOwnWordAction } from './actions';
import { WordList } from './WordList';

jest.mock('./actions', () => ({
  keepOfferedAction: jest.fn(),
  keepOwnWordAction: jest.fn(),
  removeOwnWordAction: jest.fn(),
}));
beforeEach(() => {
  jest.resetAllMocks();
  for (const action of [keepOfferedAction, keepOwnWordAction, removeOwnWordAction])
    jest.mocked(action).mockResolvedValue({ ok: true, message: 'done' });
});

test('a word is typed with what it means, and a refusal stands at its field', async () => {
  jest.mocked(keepOwnWordAction).mockResolvedValueOnce({
    ok: false,
    problems: [{ field: 'means', message: '“flurbl” is not understood.' }],
  });
  const { user } = mount(<WordList view={{ ownWords: [], offered: [] }} />);
  await user.type(screen.getByLabelText('you type'), 'gubbins');
  await user.type(screen.getByLabelText('it means'), 'flurbl{Enter}');
  expect(await screen.findByText('“flurbl” is not understood.')).toBeTruthy();
  await user.clear(screen.getByLabelText('it means'));
  await user.type(screen.getByLabelText('it means'), 'common mode choke{Enter}');
  await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('you type').value).toBe(''));
});

test('a word is deleted, and a slip that came often is saved as one, each by a press', async () => {
  const { user } = mount(
    <WordList
      view={{
        ownWords: [{ word: 'gubbins', means: 'common mode choke' }],
        offered: [{ typed: 'resitor', read: 'resistor', count: 4 }],
      }}
    />,
  );
  expect(screen.getByText('was read as resistor 4 times')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Delete gubbins' }));
  expect(removeOwnWordAction).toHaveBeenCalledWith('gubbins');
  await user.click(screen.getByRole('button', { name: /resitor as a word/ }));
  expect(keepOfferedAction).toHaveBeenCalledWith({ word: 'resitor', means: 'resistor' });
});
