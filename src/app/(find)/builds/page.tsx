import Link from '../../../ui/frame/Link';
import { loadBuilds } from '../../../features/builds/pages.server';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Evidence } from '../../../ui/frame/Halves';
import { PageHead } from '../../../ui/frame/Page';
import { Tag } from '../../../ui/value/marks';
import { routes } from '../../../routes';

export const metadata = { title: 'Builds' };

export default async function BuildsPage() {
  const lines = await loadBuilds(200);
  return (
    <>
      <PageHead
        title="Builds"
        subtitle="What the drawers are for"
        actions={
          <>
            <Link href={routes.wholeSupply()} className="btn">
              Use a whole supply
            </Link>
            <Link href={routes.design()} className="btn">
              Design from stock
            </Link>
            <Link href={routes.newBuild()} className="btn" data-tone="next">
              New build
            </Link>
          </>
        }
      />
      <Evidence>
        {lines.length === 0 ? (
          <EmptyState title="No build yet">
            Write down what you want to make and the parts it needs; stock is matched against each need.
          </EmptyState>
        ) : (
          <ul className="max-w-[980px]">
            {lines.map(({ code, title, message, hint, hintHref }) => (
              <li
                key={code}
                className="grid grid-cols-[104px_minmax(0,1.3fr)_minmax(0,1fr)_minmax(0,0.9fr)] items-center gap-3.5 border-b border-rule py-3 text-[13px] max-[620px]:grid-cols-[104px_1fr]"
              >
                <Tag code={code} />
                <Link href={routes.build(code)} className="text-[14.5px] font-semibold">
                  {title}
                </Link>
                <span className="text-ink-2 max-[620px]:col-start-2">{message}</span>
                {hintHref ? (
                  <Link href={hintHref} className="text-ochre max-[620px]:col-start-2">
                    {hint}
                  </Link>
                ) : (
                  <span className="text-ink-2 max-[620px]:col-start-2">{hint}</span>
                )}
              </li>
            ))}
          </ul>
        )}
      </Evidence>
    </>
  );
}
