import Form from 'next/form';
import type { ReactNode } from 'react';

/** What a list is searched by: words, with whatever else narrows it; the answer is a page of its own address. */
export function ListSearch({
  action,
  label,
  value,
  placeholder,
  found,
  problem,
  id,
  children,
}: {
  action: string;
  label: string;
  value: string;
  placeholder: string;
  /** How much was found, in words. */
  found: string;
  problem?: string | null;
  id?: string;
  /** Further fields, with the button that sends them. */
  children?: ReactNode;
}) {
  return (
    <>
      <Form action={action} role="search" className="flex max-w-[760px] flex-wrap items-center gap-2.5">
        <span className="relative min-w-[220px] flex-1">
          <input
            id={id}
            name="find"
            defaultValue={value}
            key={value}
            aria-label={label}
            aria-invalid={problem ? true : undefined}
            placeholder={placeholder}
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            className={`h-9 w-full rounded-[3px] border-[1.5px] border-ink bg-lift pl-3 font-mono text-[15px] outline-offset-2 placeholder:text-ink-3 ${found === '' ? 'pr-3' : 'pr-36'}`}
          />
          <span role="status" className="pointer-events-none absolute top-2 right-3 text-[12px] text-ink-2">
            {problem ? '' : found}
          </span>
        </span>
        {children}
      </Form>
      {problem && (
        <p role="alert" className="mt-1 text-[13px] text-stop">
          {problem}
        </p>
      )}
    </>
  );
}
