'use client';

import { createContext, use, useEffect, useId, useRef, useState, type FormEvent, type ReactNode } from 'react';
import { useCommand } from '../command/useCommand';
import type { FormAction, FormProblem } from './outcome';
import { Questions } from './Questions';
import { useSeen } from './seen';
import { markUnsaved } from './unsaved';
import { useHydrated } from './useHydrated';

interface FormState {
  readonly problems: readonly FormProblem[];
  readonly pending: boolean;
  readonly formId: string;
}

const FormContext = createContext<FormState>({ problems: [], pending: false, formId: '' });

/** The problem of one field of the surrounding form, and the id that ties its message to it. */
export function useField(name: string) {
  const { problems, pending, formId } = use(FormContext);
  const id = `${formId}-${name}`;
  return { id, messageId: `${id}-says`, pending, problem: problems.find(({ field }) => field === name)?.message };
}

/**
 * A form that keeps what was typed when the server refuses it, names the problem beside its field
 * and moves the focus there. Fields are cleared only after success, and only when asked to.
 */
export function ActionForm({
  action,
  children,
  className,
  clearAfter = false,
  onDone,
  guard = false,
  label,
}: {
  action: FormAction;
  children: ReactNode;
  className?: string;
  clearAfter?: boolean;
  /** Called once the server has taken it. */
  onDone?: () => void;
  /** What was changed and not kept is asked about before the page is left. */
  guard?: boolean;
  label: string;
}) {
  const formId = useId();
  const form = useRef<HTMLFormElement>(null);
  const hydrated = useHydrated();
  const { run, pending, start } = useCommand();
  const seen = useSeen();
  const [problems, setProblems] = useState<readonly FormProblem[]>([]);
  const [round, setRound] = useState(0);
  /** The field that takes the focus once the form can be typed into again; the first one when it has no name. */
  const refocus = useRef<{ readonly name?: string }>(undefined);

  useEffect(() => {
    if (pending || !refocus.current) return;
    const { name } = refocus.current;
    refocus.current = undefined;
    const fields = [
      ...(form.current?.querySelectorAll<HTMLElement>('input:not([type=hidden]), select, textarea') ?? []),
    ];
    fields.find((field) => name === undefined || field.getAttribute('name') === name)?.focus();
  }, [round, problems, pending]);

  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const submitter = (event.nativeEvent as SubmitEvent).submitter;
    const data = new FormData(event.currentTarget, submitter);
    seen.tell(data);
    start(async () => {
      const outcome = await run(() => action(data), { refusal: 'shown' });
      if (!outcome.ok) {
        const placed = outcome.problems.map((problem) => onForm(form.current, problem));
        setProblems(placed);
        const first = placed.find(({ field }) => field !== undefined)?.field;
        if (first) refocus.current = { name: first };
        return;
      }
      setProblems([]);
      seen.made(outcome.undo);
      if (guard) {
        kept.current = contents();
        markUnsaved(formId, false);
      }
      onDone?.();
      if (clearAfter) {
        setRound((count) => count + 1);
        // A cleared form is ready for the next entry: the hands stay on the keyboard.
        refocus.current = {};
      }
    });
  }

  /** What the form held when it was shown, or last kept. */
  const kept = useRef<string>(undefined);
  const contents = () => JSON.stringify([...new FormData(form.current ?? undefined)]);
  useEffect(() => {
    if (!guard || !hydrated) return;
    kept.current = contents();
    return () => markUnsaved(formId, false);
  }, [guard, hydrated, formId]);

  const general = problems.filter(({ field }) => field === undefined);
  return (
    <FormContext value={{ problems, pending, formId }}>
      <form
        ref={form}
        onSubmit={submit}
        onChange={guard ? () => markUnsaved(formId, contents() !== kept.current) : undefined}
        aria-label={label}
        data-sending={pending ? '' : undefined}
        className={className}
        noValidate
      >
        <fieldset
          key={round}
          disabled={pending || !hydrated}
          data-waiting={hydrated ? undefined : ''}
          className="contents"
        >
          {children}
        </fieldset>
        {general.map((problem) =>
          problem.questions ? (
            <Questions key={problem.message} problem={problem} />
          ) : (
            <p key={problem.message} role="alert" className="col-span-full text-[12.5px] text-stop">
              {problem.message}
            </p>
          ),
        )}
      </form>
    </FormContext>
  );
}

/** A problem with a field that the form does not show is one of the whole form: it is said in any case. */
function onForm(form: HTMLFormElement | null, problem: FormProblem): FormProblem {
  const { field } = problem;
  if (field === undefined || form?.elements.namedItem(field)) return problem;
  return { message: problem.message };
}
