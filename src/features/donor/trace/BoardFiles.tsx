'use client';

import { useState } from 'react';
import { BOARD_TARGETS, type BoardTarget } from '../../../formats/anyBoard';
import type { FormOutcome } from '../../../ui/form/outcome';
import { useHydrated } from '../../../ui/form/useHydrated';
import { useCommand } from '../../../ui/command/useCommand';
import { routes } from '../../../routes';

/** The traced board taken away as a file, and a file brought in. */
export function BoardFiles({ code }: { code: string }) {
  const { run } = useCommand();
  const hydrated = useHydrated();
  const [refusal, setRefusal] = useState('');
  async function bring(file: File | undefined) {
    if (!file) return;
    const outcome = await run(async () => {
      const answer = await fetch(routes.board(code, { name: file.name }), {
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body: file,
      });
      return (await answer.json()) as FormOutcome;
    });
    setRefusal(outcome && !outcome.ok ? outcome.problems.map(({ message }) => message).join(' ') : '');
  }
  return (
    <div className="mt-4 border-t border-rule pt-2.5 text-[13px]">
      <p className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <span className="text-ink-2">Save as</span>
        {(Object.keys(BOARD_TARGETS) as BoardTarget[]).map((target) => (
          <a key={target} href={routes.board(code, { as: target })} download className="underline decoration-dotted">
            {BOARD_TARGETS[target].message}
          </a>
        ))}
        <label className="ml-auto flex items-baseline gap-2">
          <span className="text-ink-2">or load one</span>
          <input
            type="file"
            accept=".json,.cir,.sp,.net,.csv"
            disabled={!hydrated}
            aria-label="Board file to load"
            className="max-w-[210px] text-[12.5px]"
            onChange={(event) => {
              void bring(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </label>
      </p>
      {refusal && (
        <p role="alert" className="text-stop">
          {refusal}
        </p>
      )}
    </div>
  );
}
