import Link from '../../ui/frame/Link';
import { QUESTIONS, sumsOf, type Question } from '../../core/sums';
import { routes } from '../../routes';

/** Sums that are not of one form: they stand in the list all the same. */
const OTHERS: Readonly<Record<Question, readonly { readonly title: string; readonly href: string }[]>> = {
  safe: [],
  stand: [],
  make: [{ title: 'Run a deck', href: routes.deck() }],
  fail: [{ title: 'What if, on a whole circuit', href: routes.whatIf() }],
};

/** Every sum under the question it answers. @param from what the page was opened from, which the others are opened from too */
export function SumList({ current, from }: { current?: string; from?: string | undefined }) {
  return (
    <nav aria-label="Sums" className="sum-list no-print">
      {(Object.entries(QUESTIONS) as [Question, string][]).map(([question, title]) => (
        <section key={question} aria-label={title}>
          <h2>{title}</h2>
          <ul>
            {sumsOf(question).map((sum) => (
              <li key={sum.id} data-here={sum.id === current ? '' : undefined}>
                <Link href={routes.sum(sum.id, { from })} aria-current={sum.id === current ? 'page' : undefined}>
                  {sum.title}
                </Link>
              </li>
            ))}
            {OTHERS[question].map(({ title: name, href }) => (
              <li key={href}>
                <Link href={href}>{name}</Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </nav>
  );
}
