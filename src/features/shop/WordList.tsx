'use client';

import { ActionButton } from '../../ui/feedback/ActionButton';
import { ActionForm } from '../../ui/form/ActionForm';
import { SubmitButton, TextField } from '../../ui/form/fields';
import { keepOfferedAction, keepOwnWordAction, removeOwnWordAction } from './actions';
import type { WordsView } from './view.server';

/** Words that the shop has for what the bench line knows. */
export function WordList({ view }: { view: WordsView }) {
  return (
    <section aria-label="Words of the shop" className="mt-6 max-w-[640px] border-t border-rule pt-3">
      <h2 className="text-[15px] font-semibold">Words of this shop</h2>
      <p className="mt-0.5 mb-2 text-[12.5px] text-ink-2">
        The bench line takes a word of yours for one that it knows. Slips that it had to mend three times are offered.
      </p>
      {view.ownWords.length > 0 && (
        <ul aria-label="Own words" className="dotted mb-3 text-[13px]">
          {view.ownWords.map(({ word, means }) => (
            <li key={word} className="flex items-baseline gap-3 py-1.5">
              <b className="font-mono font-semibold">{word}</b>
              <span className="min-w-0 flex-1 text-ink-2">is read as {means}</span>
              <ActionButton tone="small" action={() => removeOwnWordAction(word)} label={`Delete ${word}`}>
                delete
              </ActionButton>
            </li>
          ))}
        </ul>
      )}
      {view.offered.length > 0 && (
        <ul aria-label="Offered words" className="dotted mb-3 text-[13px]">
          {view.offered.map(({ typed, read, count }) => (
            <li key={typed} className="flex items-baseline gap-3 py-1.5">
              <span className="font-mono">{typed}</span>
              <span className="min-w-0 flex-1 text-ink-2">
                was read as {read} {count} times
              </span>
              <ActionButton action={() => keepOfferedAction({ word: typed, means: read })}>
                Keep {typed} as a word
              </ActionButton>
            </li>
          ))}
        </ul>
      )}
      <ActionForm
        action={keepOwnWordAction}
        label="A word"
        className="grid grid-cols-[1fr_1.6fr_auto] items-start gap-x-3 max-[620px]:grid-cols-1"
        clearAfter
      >
        <TextField name="word" label="you type" placeholder="gubbins" mono />
        <TextField name="means" label="it means" placeholder="common mode choke" mono />
        <div className="min-[621px]:pt-[21px]">
          <SubmitButton>Save this word</SubmitButton>
        </div>
      </ActionForm>
    </section>
  );
}
