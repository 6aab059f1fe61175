import Link from '../../ui/frame/Link';
import { routes } from '../../routes';
import { Evidence } from '../../ui/frame/Halves';
import type { ArticleView } from './article.server';

/** A page of the Guide: rules of the trade, each with its source and the donors where it was met. */
export function ArticleSheet({ view: { article, met } }: { view: ArticleView }) {
  return (
    <Evidence>
      <p className="mb-3 max-w-[760px] text-[13.5px]">{article.intro}</p>
      <dl className="dotted max-w-[900px]">
        {article.lines.map(({ id, name, text, source }) => (
          <div
            key={id}
            id={id}
            className="grid grid-cols-[220px_1fr] gap-x-4 py-1.5 text-[13.5px] target:bg-ochre-wash max-[620px]:grid-cols-1"
          >
            <dt className="font-semibold">{name}</dt>
            <dd>
              {text}
              <span className="block text-[11.5px] text-ink-2">{source}</span>
              {met[id] && <MetIn codes={met[id]} />}
            </dd>
          </div>
        ))}
      </dl>
    </Evidence>
  );
}

/** The donors in which something was met. */
export function MetIn({ codes }: { codes: readonly string[] }) {
  return (
    <span className="block text-[12px] text-ink-2">
      met in{' '}
      {codes.map((code) => (
        <Link key={code} href={routes.donor(code)} className="ref mr-2">
          {code}
        </Link>
      ))}
    </span>
  );
}
