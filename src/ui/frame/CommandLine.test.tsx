/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { answerLater, mount } from '../testing/mount';
import { CommandLine, type CommandPreview } from './CommandLine';

const WORDS = ['measured', 'dead'];
/** Understands two words, and completes the first. */
function preview(text: string): CommandPreview {
  const word = text.trim();
  const begun = WORDS.find((known) => known.startsWith(word)) ?? '';
  if (WORDS.includes(word)) return { ok: true, message: `record ${word}`, ghost: '' };
  return {
    ok: false,
    message: `“${word}” is no word`,
    ghost: begun.slice(word.length),
    at: { start: 0, end: word.length },
  };
}

function line(
  onEnter: (text: string) => Promise<string | undefined>,
  onPasteLines?: (lines: readonly string[]) => void,
) {
  const mounted = mount(
    <CommandLine
      id="bench-line"
      label="Bench line"
      placeholder="c3 8.2V"
      preview={preview}
      onEnter={onEnter}
      {...(onPasteLines ? { onPasteLines } : {})}
      idle="type a line"
    />,
  );
  return { ...mounted, input: screen.getByLabelText<HTMLInputElement>('Bench line') };
}
const said = () => document.getElementById('bench-line-says')?.textContent;

test('it shows what it understood before Enter, and is empty once the line was taken', async () => {
  const taken: string[] = [];
  const { user, input } = line((text) => {
    taken.push(text);
    return Promise.resolve(undefined);
  });
  expect(said()).toBe('type a line');
  await user.type(input, 'dead');
  expect(said()).toContain('understood: record dead');
  await user.keyboard('{Enter}');
  await waitFor(() => expect(input.value).toBe(''));
  expect(taken).toEqual(['dead']);
});

test('what it does not understand is marked where it stands, and Enter does not send it', async () => {
  const onEnter = jest.fn(() => Promise.resolve(undefined));
  const { user, input, container } = line(onEnter);
  await user.type(input, 'soup{Enter}');
  expect(said()).toBe('“soup” is no word');
  expect(document.getElementById('bench-line-says')?.dataset['understood']).toBe('false');
  expect(container.querySelector('.decoration-wavy')?.textContent).toBe('soup');
  expect(onEnter).not.toHaveBeenCalled();
  expect(input.value).toBe('soup');
});

test('Tab completes what is begun', async () => {
  const { user, input } = line(() => Promise.resolve(undefined));
  await user.type(input, 'meas');
  await user.tab();
  expect(input.value).toBe('measured');
  expect(document.activeElement).toBe(input);
});

test.each([
  ['a refusal', () => Promise.resolve('C3 is not on this board.'), 'C3 is not on this board.'],
  ['no answer', () => Promise.reject(new Error('gone')), 'did not answer'],
])('%s keeps the line, until it is changed', async (_what, onEnter, message) => {
  const { user, input } = line(onEnter);
  await user.type(input, 'dead{Enter}');
  await waitFor(() => expect(said()).toContain(message));
  expect(input.value).toBe('dead');
  await user.type(input, '{Backspace}');
  expect(said()).not.toContain(message);
});

test('a line on its way is not sent twice', async () => {
  const { promise, settle } = answerLater<string | undefined>();
  const onEnter = jest.fn(() => promise);
  const { user, input } = line(onEnter);
  await user.type(input, 'dead{Enter}{Enter}');
  expect(onEnter).toHaveBeenCalledTimes(1);
  settle(undefined);
  await waitFor(() => expect(input.value).toBe(''));
});

test('arrows recall the lines that were taken, and come back to an empty one', async () => {
  const { user, input } = line(() => Promise.resolve(undefined));
  for (const word of WORDS) {
    await user.type(input, `${word}{Enter}`);
    await waitFor(() => expect(input.value).toBe(''));
  }
  const seen: string[] = [];
  for (const key of ['ArrowUp', 'ArrowUp', 'ArrowUp', 'ArrowDown', 'ArrowDown']) {
    await user.keyboard(`{${key}}`);
    seen.push(input.value);
  }
  expect(seen).toEqual(['dead', 'measured', 'measured', 'dead', '']);
});

describe('lines that are pasted', () => {
  const paste = (input: HTMLElement, text: string) =>
    fireEvent.paste(input, { clipboardData: { getData: () => text } });

  test('several are handed over without their blanks, and none goes into the field', () => {
    const onPasteLines = jest.fn();
    const { input } = line(() => Promise.resolve(undefined), onPasteLines);
    expect(paste(input, ' r1 10k \r\n\r\n r2 22k\n')).toBe(false);
    expect(onPasteLines).toHaveBeenCalledWith(['r1 10k', 'r2 22k']);
    expect(input.value).toBe('');
  });

  test('one line is pasted as text', () => {
    const onPasteLines = jest.fn();
    const { input } = line(() => Promise.resolve(undefined), onPasteLines);
    expect(paste(input, 'r1 10k\n')).toBe(true);
    expect(onPasteLines).not.toHaveBeenCalled();
  });
});
