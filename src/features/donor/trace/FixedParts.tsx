'use client';

import type { TracedEntry } from './schema';
import { useState } from 'react';
import { FIXED_ROLES, fixableAs, TOPOLOGY_WORDS, type BoardPart } from '../../../core/board';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { Section } from '../../../ui/judgement/parts';
import { removeFactAction } from './actions';
import type { FactView } from './view.server';

/** What a person has fixed against or ahead of the evidence, where the two differ, and a way to fix more. */
export function FixedParts({
  code,
  parts,
  fixed,
  disagreements,
  record,
}: {
  code: string;
  parts: readonly BoardPart[];
  fixed: readonly FactView[];
  disagreements: readonly string[];
  record: (entry: TracedEntry) => Promise<void>;
}) {
  return (
    <Section label="You know better?">
      {fixed.length > 0 && (
        <ul aria-label="What you have fixed">
          {fixed.map(({ id, a, message }) => (
            <li key={id} className="flex items-baseline justify-between gap-3">
              <span>
                <span className="ref">{a}</span> is {message}
              </span>
              <ActionButton
                action={() => removeFactAction(code, id)}
                tone="small"
                label={`Let the evidence say what ${a} is`}
              >
                let go
              </ActionButton>
            </li>
          ))}
        </ul>
      )}
      {disagreements.map((sentence) => (
        <p key={sentence} className="my-1 border-l-2 border-ochre pl-2.5">
          {sentence}
        </p>
      ))}
      <FixForm parts={parts} record={record} />
    </Section>
  );
}

function FixForm({ parts, record }: { parts: readonly BoardPart[]; record: (entry: TracedEntry) => Promise<void> }) {
  const [ref, setRef] = useState('');
  const part = parts.find((entry) => entry.ref === ref);
  const anchors = parts.filter(({ kind }) => kind === 'transformer' || kind === 'inductor');
  const others = parts.filter((entry) => !anchors.includes(entry) && fixableAs(entry.kind).length > 1);
  return (
    <p className="mt-1.5 flex flex-wrap items-center gap-x-2 gap-y-1">
      <select
        aria-label="Part you fix"
        className="rounded-[3px] border border-rule-2 bg-lift px-2 py-1"
        value={ref}
        onChange={(event) => setRef(event.target.value)}
      >
        <option value="">fix a part</option>
        {[...anchors, ...others].map((entry) => (
          <option key={entry.ref} value={entry.ref}>
            {entry.ref}
          </option>
        ))}
      </select>
      {part && (
        <select
          aria-label={`What ${ref} is`}
          className="rounded-[3px] border border-rule-2 bg-lift px-2 py-1"
          value=""
          onChange={(event) => {
            const as = event.target.value;
            if (as !== '') void record({ kind: 'fix', ref, as }).then(() => setRef(''));
          }}
        >
          <option value="">is</option>
          {fixableAs(part.kind).map((as) => (
            <option key={as} value={as}>
              {TOPOLOGY_WORDS[as] ?? FIXED_ROLES[as]?.message}
            </option>
          ))}
        </select>
      )}
    </p>
  );
}
