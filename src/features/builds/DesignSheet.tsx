import Link from 'next/link';
import { formatQuantity } from '../../core/quantity';
import { ActionButton } from '../../ui/feedback/ActionButton';
import { EmptyState } from '../../ui/feedback/EmptyState';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Caution, Claim, Section } from '../../ui/judgement/parts';
import { routes } from '../../routes';
import { keepDesignAction } from './actions';
import type { DesignQuery, DesignView } from './design.server';

const FIELDS: readonly { readonly name: keyof DesignQuery; readonly label: string; readonly placeholder: string }[] = [
  { name: 'from', label: 'input from', placeholder: '22V' },
  { name: 'to', label: 'to', placeholder: '26V' },
  { name: 'out', label: 'output', placeholder: '48V' },
  { name: 'amps', label: 'at', placeholder: '1A' },
  { name: 'ripple', label: 'ripple at most', placeholder: '1 % of it' },
];

/** A converter out of the drawers: what is asked on the left with what was found, the best of it on the right. */
export function DesignSheet({
  query,
  problem,
  designs,
  searched,
}: {
  query: DesignQuery;
  problem: string | undefined;
  designs: readonly DesignView[];
  searched: number;
}) {
  return (
    <Halves judgement={<Best query={query} best={designs[0]} />}>
      <form method="get" aria-label="What is wanted" className="flex flex-wrap items-end gap-3">
        {FIELDS.map(({ name, label, placeholder }) => (
          <label key={name} className="field w-[112px]" data-mono="">
            <span className="text-[12px] text-ink-2">{label}</span>
            <input name={name} defaultValue={query[name]} placeholder={placeholder} autoComplete="off" />
          </label>
        ))}
        <button type="submit" className="btn mb-1" data-tone="next">
          Look for designs
        </button>
      </form>
      {problem !== undefined && (
        <p role="alert" className="mt-3 text-[13.5px] font-semibold text-stop">
          {problem}
        </p>
      )}
      {problem === undefined && designs.length === 0 && (
        <EmptyState title="What is it to feed?">
          Volts in, volts out and amperes. Every fitting lot is weighed for every role, at every frequency.
        </EmptyState>
      )}
      {searched > 0 && (
        <p className="mt-3 text-[12.5px] text-ink-2">
          {searched.toLocaleString('en')} combinations weighed; the best that differ in their choke.
        </p>
      )}
      <ol className="mt-3 grid gap-5">
        {designs.map((design) => (
          <DesignRow key={design.id} query={query} design={design} />
        ))}
      </ol>
    </Halves>
  );
}

function DesignRow({ query, design }: { query: DesignQuery; design: DesignView }) {
  const { id, title, why, parts } = design;
  return (
    <li aria-label={title}>
      <div className="flex flex-wrap items-baseline gap-x-3 border-b border-rule-2 pb-1">
        <h2 className="text-[15px] font-semibold">{title}</h2>
        <span className="ml-auto">
          <ActionButton action={keepDesignAction.bind(null, query, id)}>Make a build of it</ActionButton>
        </span>
        <p className="w-full text-[12.5px] text-ink-2">{why}</p>
      </div>
      <ul>
        {parts.map(({ role, title: part, lot, bin, count, watts, stresses, notes }) => (
          <li
            key={role}
            className="grid grid-cols-[84px_1fr_76px] gap-x-3 border-b border-dotted border-rule-2 py-1.5 text-[13px]"
          >
            <span className="text-ink-2">{role}</span>
            <span>
              {count > 1 ? `${count} × ` : ''}
              <b>{part}</b>{' '}
              <Link href={routes.lot(lot)} className="ref">
                {lot}
              </Link>{' '}
              <span className="text-ink-2">bin {bin}</span>
              <span className="block text-[12px] text-ink-2">
                {stresses.map(({ text, isLimit }) => (
                  <span key={text} className={isLimit ? 'mr-3 font-semibold text-stop' : 'mr-3'}>
                    {isLimit && '△ '}
                    {text}
                  </span>
                ))}
                {notes.join('; ')}
              </span>
            </span>
            <span className="q text-right">{watts}</span>
          </li>
        ))}
      </ul>
    </li>
  );
}

function Best({ query, best }: { query: DesignQuery; best: DesignView | undefined }) {
  return (
    <Judgement>
      {best ? (
        <>
          <Claim label="Best of the drawers">
            {best.missing.length === 0 ? best.title : `${best.title}; ${best.missing.join(', ')} to buy`}
          </Claim>
          <Section label="Why">{best.why}.</Section>
          <Section label="What limits it">{best.limit}.</Section>
          {best.run && (
            <Section label="As it runs, with a usual switch and rectifier">
              {formatQuantity(best.run.volts, 'volt')} out with {formatQuantity(best.run.ripple, 'volt')} of ripple; the
              choke peaks at {formatQuantity(best.run.peak, 'ampere')}.
            </Section>
          )}
          <Section label="Controller, and the parts around it">
            {best.control ? (
              <>
                <p>
                  {best.control.title}
                  {best.control.lot && (
                    <>
                      {' '}
                      <Link href={routes.lot(best.control.lot)} className="ref">
                        {best.control.lot}
                      </Link>
                    </>
                  )}
                </p>
                <ul>
                  {best.control.outer.map(({ name, value, why }) => (
                    <li key={name} title={why} className="flex justify-between border-b border-dotted border-rule-2">
                      {name} <span className="q">{value}</span>
                    </li>
                  ))}
                </ul>
                <p className="mt-1 text-[12.5px] text-ink-2">{best.control.notes.join('; ')}.</p>
              </>
            ) : (
              'None that is known serves this circuit at these volts: choose one by its datasheet.'
            )}
          </Section>
          <p>
            <ActionButton action={keepDesignAction.bind(null, query, best.id)} tone="next">
              Make a build of it
            </ActionButton>
          </p>
        </>
      ) : (
        <Claim label="Design from stock">Nothing is asked yet</Claim>
      )}
      <Caution>
        Equations by textbooks, derating and heat by common practice; losses in cores are left out, snubber and
        compensation are not chosen here. Below 60 V DC only: for anything on the mains reuse a whole module.
      </Caution>
    </Judgement>
  );
}
