import Link from '../../ui/frame/Link';
import { ActionButton } from '../../ui/feedback/ActionButton';
import { routes } from '../../routes';
import { dropSumAction } from './actions';
import type { KeptSumView } from './view.server';

/** Sums kept with a donor or a build, each worked out anew with what is known now. */
export function KeptSums({ code, sums }: { code: string; sums: readonly KeptSumView[] }) {
  return (
    <section aria-label="Sums kept" className="mt-5">
      <h2 className="label mb-1">Sums kept</h2>
      {sums.length === 0 && <p className="text-[13px] text-ink-2">None yet.</p>}
      <ul className="dotted text-[13.5px]">
        {sums.map(({ id, title, ref, answer, was, href }) => (
          <li key={id} className="flex flex-wrap items-baseline gap-x-3 gap-y-1 py-1.5">
            <Link href={href} className="underline">
              {title}
              {ref !== '' && `, ${ref}`}
            </Link>
            <b className="font-semibold">{answer}</b>
            <span className="text-[11.5px] text-ink-2">computed{was !== undefined && `; was: ${was}`}</span>
            <span className="no-print ml-auto">
              <ActionButton action={dropSumAction.bind(null, code, id)} tone="small" label={`Do not keep ${title}`}>
                Do not keep
              </ActionButton>
            </span>
          </li>
        ))}
      </ul>
      <Link href={routes.sums({ from: code })} className="no-print text-[13px] underline">
        Work something out for it
      </Link>
    </section>
  );
}
