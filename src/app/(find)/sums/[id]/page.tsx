import { notFound } from 'next/navigation';
import { QUESTIONS, sumById } from '../../../../core/sums';
import { loadSettings } from '../../../../features/shop/pages.server';
import { SumSheet } from '../../../../features/sums/SumSheet';
import { PageHead } from '../../../../ui/frame/Page';

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
  const query = new URLSearchParams(
    Object.entries(asked).flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : [])),
  ).toString();
  return (
    <>
      <PageHead title={sum.title} subtitle={`Sums, ${QUESTIONS[sum.question]}`} />
      <SumSheet key={`${id} ${query}`} id={id} query={query} touchLimit={settings.touchLimit} />
    </>
  );
}
