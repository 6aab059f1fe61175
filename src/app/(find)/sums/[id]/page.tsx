import Link from '../../../../ui/frame/Link';
import { notFound } from 'next/navigation';
import { QUESTIONS, sumById } from '../../../../core/sums';
import { loadOrigin } from '../../../../features/sums/pages.server';
import { loadSettings } from '../../../../features/shop/pages.server';
import { SumSheet } from '../../../../features/sums/SumSheet';
import { PageHead } from '../../../../ui/frame/Page';
import { Tag } from '../../../../ui/value/marks';

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export const dynamic = 'force-dynamic';

export async function generateMetadata({ params }: Props) {
  return { title: sumById((await params).id)?.title ?? 'Sums' };
}

export default async function SumPage({ params, searchParams }: Props) {
  const [{ id }, asked, { settings }] = await Promise.all([params, searchParams, loadSettings()]);
  const sum = sumById(id);
  if (!sum) notFound();
  const typed = Object.fromEntries(
    Object.entries(asked).flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : [])),
  );
  const found = await loadOrigin(sum, typed.from);
  // What was typed goes before what a part says.
  const query = new URLSearchParams({ ...found?.filled, ...typed }).toString();
  return (
    <>
      <PageHead
        title={sum.title}
        subtitle={`Sums, ${QUESTIONS[sum.question]}`}
        actions={
          found && (
            <Link href={found.origin.href} className="flex items-center gap-3 text-right text-[12.5px] text-ink-2">
              <span>
                back to <br />
                {found.origin.title}
              </span>
              <Tag code={found.origin.code} />
            </Link>
          )
        }
      />
      <SumSheet
        key={`${id} ${query}`}
        id={id}
        query={query}
        touchLimit={settings.touchLimit}
        origin={found?.origin.isKeeping ? { from: found.origin.from, code: found.origin.code } : undefined}
      />
    </>
  );
}
