import Link from '../../ui/frame/Link';
import { searchGuide, type GuideLine } from '../../core/guide';
import { routes } from '../../routes';
import { Evidence } from '../../ui/frame/Halves';

const hrefOf = (article: string, { id, page }: GuideLine): string =>
  page?.kind === 'chip'
    ? routes.chip(page.id)
    : page?.kind === 'topology'
      ? routes.topology(page.id)
      : routes.article(article, id);

/** What the Guide has on some words. */
export function GuideFound({ find }: { find: string }) {
  const hits = searchGuide(find);
  return (
    <Evidence>
      {hits.length === 0 ? (
        <p className="text-[13.5px]">
          The Guide has nothing on “{find}”. Try a part, a fault or a rule: snubber, glue, 105 °C, optocoupler.
        </p>
      ) : (
        <ul aria-label="Found in the Guide" className="dotted max-w-[900px]">
          {hits.map(({ article, line }) => (
            <li key={`${article.id} ${line.id}`} className="py-1.5 text-[13.5px]">
              <Link href={hrefOf(article.id, line)} className="font-semibold underline decoration-dotted">
                {line.name}
              </Link>{' '}
              <span className="text-[12px] text-ink-2">{article.title}</span>
              <span className="block">{line.text}</span>
              <span className="block text-[11.5px] text-ink-2">{line.source}</span>
            </li>
          ))}
        </ul>
      )}
    </Evidence>
  );
}
