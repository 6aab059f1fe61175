import { loadTrends } from '../../../../features/donors/pages.server';
import { TrendsSheet } from '../../../../features/donors/TrendsSheet';
import { PageHead } from '../../../../ui/frame/Page';
import { word, type Search } from '../../../search';

export const metadata = { title: 'Over the years' };

export default async function TrendsPage({ searchParams }: { searchParams: Search }) {
  const view = await loadTrends(word((await searchParams).by));
  return (
    <>
      <PageHead title="Over the years" subtitle="what the donors of the shop come to, by when they were made" />
      <TrendsSheet view={view} />
    </>
  );
}
