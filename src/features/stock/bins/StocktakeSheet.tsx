'use client';

import Link from '../../../ui/frame/Link';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SubmitButton, TextField } from '../../../ui/form/fields';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Next } from '../../../ui/judgement/parts';
import { countBinAction } from './actions';
import type { StocktakeView } from './view.server';
import { routes } from '../../../routes';

/** A drawer being counted: a field beside each lot, with what is booked. */
export function StocktakeSheet({ view }: { view: StocktakeView }) {
  return (
    <Halves
      judgement={
        <Judgement>
          <Claim label={`Counting ${view.bin}`}>
            {view.lots.length} {view.lots.length === 1 ? 'lot' : 'lots'} should be here
          </Claim>
          <Next>Count each bag, type the number, and save it. What you leave blank stays as it is.</Next>
          <p className="text-[13px]">
            <Link href={routes.bins()} className="underline decoration-dotted">
              all bins
            </Link>
          </p>
          <Caution>The ledger keeps what was booked before; a count can be undone.</Caution>
        </Judgement>
      }
    >
      {view.lots.length === 0 ? (
        <EmptyState title="This bin is empty by the book">
          A lot that lies here all the same is counted in as a new lot.
        </EmptyState>
      ) : (
        <ActionForm
          action={countBinAction.bind(null, view.bin)}
          label={`Count ${view.bin}`}
          className="max-w-[760px]"
          clearAfter
        >
          <ul className="dotted">
            {view.lots.map(({ code, message, booked, reserved }) => (
              <li
                key={code}
                className="grid grid-cols-[84px_1fr_150px_110px] items-start gap-x-3 py-1.5 text-[13.5px] max-[620px]:grid-cols-2"
              >
                <Link href={routes.lot(code)} className="ref pt-5">
                  {code}
                </Link>
                <span className="pt-5">{message}</span>
                <span className="pt-5 text-ink-2">
                  booked {booked}
                  {reserved > 0 && `, ${reserved} set aside`}
                </span>
                <TextField name={`counts.${code}`} label="counted" mono />
              </li>
            ))}
          </ul>
          <div className="mt-3">
            <SubmitButton tone="next">Save the count</SubmitButton>
          </div>
        </ActionForm>
      )}
    </Halves>
  );
}
