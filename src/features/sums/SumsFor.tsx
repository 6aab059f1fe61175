import Link from '../../ui/frame/Link';
import { SUMS } from '../../core/sums';
import type { RatingName } from '../../core/part';
import { routes } from '../../routes';

/** Sums that take something from the ratings of a part or a lot, opened with them filled in. */
export function SumsFor({ from, ratings }: { from: string; ratings: readonly RatingName[] }) {
  const fitting = SUMS.filter(({ fields }) => fields.some((field) => field.from && ratings.includes(field.from)));
  if (fitting.length === 0) return null;
  return (
    <details className="sums-for no-print">
      <summary>Sums with its values ({fitting.length})</summary>
      <ul>
        {fitting.map(({ id, title }) => (
          <li key={id}>
            <Link href={routes.sum(id, { from })} className="underline">
              {title}
            </Link>
          </li>
        ))}
      </ul>
    </details>
  );
}
