'use client';

import { useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { NO_ANSWER } from '../command/useCommand';
import { useHydrated } from '../form/useHydrated';

export interface CommandPreview {
  readonly ok: boolean;
  /** What was understood, or what was not. */
  readonly message: string;
  /** The rest of the word being typed, if it can be told. */
  readonly ghost: string;
  /** Where the word stands that was not understood. */
  readonly at?: { readonly start: number; readonly end: number };
}

/**
 * One line at the foot of a screen: it shows what it understood before Enter, completes with Tab,
 * keeps what was refused, and recalls earlier lines with the arrow keys.
 */
export function CommandLine({
  id,
  label,
  placeholder,
  preview,
  onEnter,
  onPasteLines,
  onBegin,
  idle,
}: {
  id: string;
  label: string;
  placeholder: string;
  preview: (text: string) => CommandPreview;
  /** Resolves to a refusal to show, or nothing when the line was taken. */
  onEnter: (text: string) => Promise<string | undefined>;
  onPasteLines?: (lines: readonly string[]) => void;
  /** A line is about to be typed. */
  onBegin?: () => void;
  idle: React.ReactNode;
}) {
  const [text, setText] = useState('');
  const [refusal, setRefusal] = useState<string>();
  const [busy, setBusy] = useState(false);
  const past = useRef<string[]>([]);
  const [back, setBack] = useState(0);
  const hydrated = useHydrated();
  const shown = text.trim() === '' ? undefined : preview(text);

  async function enter() {
    if (!shown?.ok || busy) {
      if (shown && !shown.ok) setRefusal(shown.message);
      return;
    }
    setBusy(true);
    const refused = await onEnter(text).catch(() => NO_ANSWER);
    setBusy(false);
    setRefusal(refused);
    if (refused) return;
    past.current = [...past.current.slice(-49), text];
    setBack(0);
    setText('');
  }

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>) {
    if (event.key === 'Enter') {
      event.preventDefault();
      void enter();
    } else if (event.key === 'Tab' && !event.shiftKey && shown?.ghost) {
      event.preventDefault();
      setText(text + shown.ghost);
    } else if (event.key === 'Escape') event.currentTarget.blur();
    else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      const step = Math.max(0, Math.min(past.current.length, back + (event.key === 'ArrowUp' ? 1 : -1)));
      if (step === back) return;
      event.preventDefault();
      setBack(step);
      setText(step === 0 ? '' : (past.current.at(-step) ?? ''));
    }
  }

  function onPaste(event: ClipboardEvent<HTMLInputElement>) {
    const lines = event.clipboardData
      .getData('text')
      .split(/\r?\n/)
      .map((line) => line.trim())
      .filter((line) => line !== '');
    if (lines.length < 2 || !onPasteLines) return;
    event.preventDefault();
    onPasteLines(lines);
  }

  const message = refusal ?? shown?.message;
  const good = shown?.ok === true && refusal === undefined;
  return (
    <div className="no-print grid min-h-[40px] grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-x-3 border-t border-rule bg-lift px-[22px] py-[7px] max-[899px]:grid-cols-[auto_minmax(0,1fr)] max-[899px]:px-4">
      <span className="q text-[15px] text-ochre" aria-hidden="true">
        /
      </span>
      <div className="relative font-mono text-[15px]">
        <div aria-hidden="true" className="pointer-events-none absolute inset-0 overflow-hidden whitespace-pre">
          {shown?.at ? (
            <span className="text-transparent">
              {text.slice(0, shown.at.start)}
              <span className="underline decoration-stop decoration-wavy underline-offset-4">
                {text.slice(shown.at.start, shown.at.end)}
              </span>
              {text.slice(shown.at.end)}
            </span>
          ) : (
            <span className="invisible">{text}</span>
          )}
          <span className="text-ink-3">{shown?.ghost}</span>
        </div>
        <input
          id={id}
          aria-label={label}
          aria-describedby={`${id}-says`}
          value={text}
          disabled={!hydrated}
          placeholder={placeholder}
          autoComplete="off"
          autoCapitalize="off"
          spellCheck={false}
          onChange={(event) => {
            setText(event.target.value);
            setRefusal(undefined);
          }}
          onFocus={onBegin}
          onKeyDown={onKeyDown}
          onPaste={onPaste}
          className="relative w-full border-0 bg-transparent p-0 outline-none placeholder:text-ink-3"
        />
      </div>
      <p
        id={`${id}-says`}
        role="status"
        data-understood={message === undefined ? undefined : good}
        className={`max-w-[620px] text-right text-[13px] max-[899px]:col-span-2 max-[899px]:text-left ${good || message === undefined ? 'text-ink-2' : 'text-stop'}`}
      >
        {message === undefined ? (
          idle
        ) : good ? (
          <>
            understood: <b className="font-semibold text-ink">{message}</b> <kbd className="ml-1.5">Enter</kbd>
          </>
        ) : (
          message
        )}
      </p>
    </div>
  );
}
