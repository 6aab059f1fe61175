import Form from 'next/form';
import { GradeMark } from '../../../ui/value/marks';
import type { HarvestView } from './view.server';
import { routes } from '../../../routes';

/** How many minutes there are: the plan is made again for them. */
export function MinutesForm({ code, minutes }: { code: string; minutes: number }) {
  return (
    <Form action={routes.station(code, 'harvest')} className="flex items-end gap-2.5">
      <label className="text-[12px] text-ink-2">
        minutes at hand
        <input
          name="minutes"
          inputMode="numeric"
          key={minutes}
          defaultValue={minutes}
          className="mt-1 block h-9 w-24 rounded-[3px] border border-rule-2 bg-lift px-2 font-mono text-[17px] text-ink"
        />
      </label>
      <button type="submit" className="btn">
        Plan them
      </button>
    </Form>
  );
}

/** The jobs in their order with the minutes they take, and what is left with the reason. */
export function HarvestPlan({ code, view }: { code: string; view: HarvestView }) {
  const { plan } = view;
  if (plan.jobs.length === 0 && plan.left.length === 0) return null;
  return (
    <section aria-label="Plan" className="mb-5">
      {plan.jobs.length > 0 && (
        <table className="rows plain" aria-label="Jobs in their order">
          <thead>
            <tr>
              <th data-align="end">by</th>
              <th>job</th>
              <th data-align="end">takes</th>
              <th>why</th>
            </tr>
          </thead>
          <tbody>
            {plan.jobs.map(({ id, title, ref, minutes, by, why, isSetup }) => (
              <tr key={id} data-setup={isSetup ? '' : undefined} className={isSetup ? 'text-ink-2' : undefined}>
                <td data-align="end" className="q">
                  {by}
                </td>
                <td className="font-medium">
                  {ref ? (
                    <a
                      href={routes.station(code, 'harvest', { part: ref, minutes: view.minutes })}
                      className="underline decoration-dotted"
                    >
                      {title}
                    </a>
                  ) : (
                    title
                  )}
                </td>
                <td data-align="end" className="q whitespace-nowrap">
                  {minutes}
                </td>
                <td className="text-ink-2">{why}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {plan.left.length > 0 && (
        <details className="mt-3">
          <summary className="cursor-pointer text-[13px] text-ink-2 underline decoration-dotted">
            Left for another day: {plan.left.length}
          </summary>
          <ul className="dotted mt-1 text-[13px]" aria-label="Left for another day">
            {plan.left.map(({ title, why }) => (
              <li key={title} className="grid grid-cols-[220px_1fr] gap-x-3 py-1 max-[620px]:grid-cols-1">
                <span>{title}</span>
                <span className="text-ink-2">{why}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

/** What came of the board so far. */
export function TakenLots({ lots }: { lots: HarvestView['lots'] }) {
  if (lots.length === 0) return null;
  return (
    <section className="mt-6" aria-label="Taken from this donor">
      <h2 className="label">
        Taken from this donor,{' '}
        <a href={routes.labels(lots.map(({ code }) => code))} className="underline decoration-dotted">
          {lots.length === 1 ? 'label of its lot' : `labels of its ${lots.length} lots`}
        </a>
      </h2>
      <ul className="dotted text-[13px]">
        {lots.map(({ code, message, grade, pieces, bin }) => (
          <li key={code} className="grid grid-cols-[84px_1fr_30px_60px_70px] items-baseline gap-x-3 py-1.5">
            <a className="ref" href={routes.lot(code)}>
              {code}
            </a>
            <span>{message}</span>
            <GradeMark grade={grade} />
            <span className="q text-right">{pieces}</span>
            <span className="font-mono">{bin}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
