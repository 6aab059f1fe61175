import { notFound } from 'next/navigation';
import { articleById } from '../../../../core/guide';
import { ArticleSheet } from '../../../../features/guide/ArticleSheet';
import { loadArticle } from '../../../../features/guide/pages.server';
import { PageHead } from '../../../../ui/frame/Page';

interface Props {
  readonly params: Promise<{ article: string }>;
}

export const generateMetadata = async ({ params }: Props) => ({
  title: articleById((await params).article)?.title ?? 'Guide',
});

export default async function ArticlePage({ params }: Props) {
  const view = await loadArticle((await params).article);
  if (!view) notFound();
  return (
    <>
      <PageHead title={view.article.title} subtitle="Guide" />
      <ArticleSheet view={view} />
    </>
  );
}
