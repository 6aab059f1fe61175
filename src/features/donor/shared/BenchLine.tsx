'use client';

import { counted } from '../../../core/quantity';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type * as Benchline from '../../../core/benchline';
import type { BenchContext } from '../../../core/benchline';
import { everyLineText, readEveryLine } from '../../../core/everyLine';
import type { StationName } from '../../../core/station';
import { outcomeText, UNANSWERED, useCommand } from '../../../ui/command/useCommand';
import { ProgressLine } from '../../../ui/feedback/ProgressLine';
import { CommandLine, type CommandPreview } from '../../../ui/frame/CommandLine';
import { HelpButton } from '../../../ui/frame/HelpButton';
import { openHelp } from '../../../ui/frame/openHelp';
import { routes } from '../../../routes';
import { recordLineAction, typeNamesAction, undoLatestAction } from './actions';

/** Milliseconds that a page is left to itself before the reader is fetched. */
const READER_AFTER_MS = 400;

interface Refused {
  readonly line: string;
  readonly why: string;
}

/** The reader of the line, with all that it knows of markings; it comes when a line is begun. */
type Reader = typeof Benchline;

/** The line at the foot of a donor's screen: a person types what they see and it becomes a record. */
export function BenchLine({ code, station, context }: { code: string; station: StationName; context: BenchContext }) {
  const { run } = useCommand();
  const router = useRouter();
  const [progress, setProgress] = useState<{ done: number; total: number }>();
  const [refused, setRefused] = useState<readonly Refused[]>([]);
  const stopped = useRef(false);
  const [types, setTypes] = useState<readonly string[]>();
  const asked = useRef(false);
  const [reader, setReader] = useState<Reader>();
  const known = types === undefined ? context : { ...context, types };

  // The reader brings the rules of markings along: it comes when the page rests, before anyone types.
  useEffect(() => {
    const load = () => void import('../../../core/benchline').then(setReader).catch(() => undefined);
    const timer = window.setTimeout(load, READER_AFTER_MS);
    return () => window.clearTimeout(timer);
  }, []);

  /** Known numbers are many; they are fetched when a line is first begun. */
  function begin() {
    if (asked.current) return;
    asked.current = true;
    void import('../../../core/benchline').then(setReader).catch(() => (asked.current = false));
    void typeNamesAction()
      .then(setTypes)
      .catch(() => (asked.current = false));
  }

  function preview(text: string): CommandPreview | undefined {
    const every = readEveryLine(text);
    if (every) return { ok: true, message: everyLineText(every), ghost: '' };
    if (!reader) return undefined;
    const understood = reader.understand(text, known);
    const ghost = reader.complete(text, known);
    if (understood.ok) {
      const { message, corrected, decodes, changes } = understood;
      const details = [...changes, ...corrected.map(({ typed, read }) => `“${typed}” is read as ${read}`), ...decodes];
      return { ok: true, message, ghost, details };
    }
    return {
      ok: false,
      message: reader.benchProblemText(understood.problem),
      ghost,
      maybe: understood.maybe,
      isQuestion: understood.problem.kind === 'unclear',
      ...(understood.at ? { at: understood.at } : {}),
    };
  }

  async function enter(text: string) {
    const every = readEveryLine(text);
    if (every?.kind === 'help') openHelp();
    if (every?.kind === 'code') router.push(routes.coded(every));
    if (every?.kind === 'design') router.push(routes.design(every.query));
    if (every?.kind === 'guide') router.push(routes.guideSearch(every.find));
    if (every?.kind === 'compare') router.push(routes.compare(every.codes));
    if (every?.kind === 'find') router.push(routes.stock({ find: every.filter }));
    if (every && every.kind !== 'undo' && every.kind !== 'unplugged') return undefined;
    const isUndo = every?.kind === 'undo';
    const outcome = await run(() => (isUndo ? undoLatestAction(code) : recordLineAction({ code, station }, text)), {
      refusal: 'shown',
    });
    return outcome.ok ? undefined : outcomeText(outcome);
  }

  async function pasteLines(lines: readonly string[]) {
    stopped.current = false;
    const failures: Refused[] = [];
    for (const [index, line] of lines.entries()) {
      setProgress({ done: index, total: lines.length });
      if (stopped.current) failures.push({ line, why: 'not read: you stopped' });
      else {
        const outcome = await recordLineAction({ code, station }, line).catch(() => UNANSWERED);
        if (!outcome.ok) failures.push({ line, why: outcomeText(outcome) });
      }
    }
    setProgress(undefined);
    setRefused(failures);
    const message = `${lines.length - failures.length} of ${counted(lines.length, 'line')} recorded.`;
    await run(() => Promise.resolve({ ok: true, message }));
  }

  return (
    <div>
      {progress && (
        <div className="border-t border-rule bg-lift px-[22px] py-2 max-[899px]:px-4">
          <ProgressLine label="Reading the pasted lines" {...progress} onCancel={() => (stopped.current = true)} />
        </div>
      )}
      {refused.length > 0 && (
        <div
          role="alert"
          className="max-h-40 overflow-auto border-t border-rule bg-lift px-[22px] py-2 text-[13px] max-[899px]:px-4"
        >
          <div className="flex items-baseline justify-between">
            <p className="font-semibold">These lines were not understood and are kept here:</p>
            <button type="button" className="btn" data-tone="quiet" onClick={() => setRefused([])}>
              dismiss
            </button>
          </div>
          <ul>
            {refused.map(({ line, why }) => (
              <li key={line} className="py-0.5">
                <span className="font-mono">{line}</span> <span className="text-stop">{why}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
      <CommandLine
        id="bench-line"
        label="Bench line"
        placeholder="q1 nmos to-220 marked 12N65"
        onBegin={begin}
        preview={preview}
        onEnter={enter}
        onPasteLines={(lines) => void pasteLines(lines)}
        idle={
          <>
            type what you see; <HelpButton>examples and keys</HelpButton>
          </>
        }
      />
    </div>
  );
}
