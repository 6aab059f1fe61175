'use client';

import { useEffect, useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { NO_ANSWER } from '../command/useCommand';
import { useHydrated } from '../form/useHydrated';
import { onTypedLine } from './typedLine';

export interface CommandPreview {
  readonly ok: boolean;
  /** What was understood, or what was not. */
  readonly message: string;
  /** The rest of the word being typed, if it can be told. */
  readonly ghost: string;
  /** Where the word stands that was not understood. */
  readonly at?: { readonly start: number; readonly end: number };
  /** What was read otherwise than typed, and what a number stands for. */
  readonly details?: readonly string[];
  /** Lines that may have been meant, each one key away. */
  readonly maybe?: readonly string[];
  /** The line is asked about: what may have been meant is shown before Enter. */
  readonly isQuestion?: boolean;
}

/**
 * One line at the foot of a screen: it shows what it understood before Enter, completes with Tab,
 * keeps what was refused and offers what may have been meant, and recalls earlier lines with the arrow keys.
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
  /** Nothing while it cannot be told yet; the line may be sent all the same. */
  preview: (text: string) => CommandPreview | undefined;
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
  /** Tab was pressed before the rest of the word could be told. */
  const [isCompleting, setCompleting] = useState(false);
  if (isCompleting && shown) {
    setCompleting(false);
    setText(text + shown.ghost);
  }

  const field = useRef<HTMLInputElement>(null);
  useEffect(
    () =>
      onTypedLine((line) => {
        setText(line);
        setRefusal(undefined);
        field.current?.focus();
      }),
    [],
  );
  const maybe = shown && !shown.ok ? (shown.maybe ?? []) : [];
  const isOffered = maybe.length > 0 && (refusal !== undefined || shown?.isQuestion === true);

  async function enter() {
    if (text.trim() === '' || busy) return;
    if (shown && !shown.ok) setRefusal(shown.message);
    else await send(text);
  }

  async function send(line: string) {
    setBusy(true);
    const refused = await onEnter(line).catch(() => NO_ANSWER);
    setBusy(false);
    setRefusal(refused);
    if (refused) return;
    past.current = [...past.current.slice(-49), line];
    setBack(0);
    setText('');
  }

  /** Takes one of the lines that may have been meant: sent when it is whole, else typed on. */
  function take(line: string) {
    setText(line);
    setRefusal(undefined);
    field.current?.focus();
    if (preview(line)?.ok && !line.endsWith(' ')) void send(line);
  }

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>) {
    if (event.key === 'Enter') {
      event.preventDefault();
      void enter();
    } else if (refusal !== undefined && isOffered && /^[1-3]$/.test(event.key) && maybe[Number(event.key) - 1]) {
      event.preventDefault();
      take(maybe[Number(event.key) - 1] ?? '');
    } else if (event.key === 'Tab' && !event.shiftKey && text.trim() !== '' && !shown) {
      event.preventDefault();
      setCompleting(true);
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
    <div className="no-print border-t border-rule bg-lift">
      {isOffered && (
        <div
          role="group"
          aria-label="What may have been meant"
          className="flex flex-wrap items-center gap-2 border-b border-rule px-[22px] py-1.5 text-[13px] max-[899px]:px-4"
        >
          <span className="text-ink-2">Did you mean</span>
          {maybe.map((line, index) => (
            <button key={line} type="button" className="btn max-[899px]:min-h-11" onClick={() => take(line)}>
              {refusal !== undefined && <kbd className="max-[899px]:hidden">{index + 1}</kbd>}{' '}
              <span className="font-mono">{line}</span>
              {line.startsWith('# ') && <span className="text-ink-2"> as a note</span>}
            </button>
          ))}
        </div>
      )}
      <div className="grid min-h-[40px] grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-x-3 px-[22px] py-[7px] max-[899px]:grid-cols-[auto_minmax(0,1fr)] max-[899px]:px-4">
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
            ref={field}
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
              {shown.details?.map((detail) => (
                <span key={detail} className="block text-[12px]">
                  {detail}
                </span>
              ))}
            </>
          ) : (
            message
          )}
        </p>
      </div>
    </div>
  );
}
