import { CompareSheet } from '../../../../features/donors/CompareSheet';
import { loadComparison } from '../../../../features/donors/pages.server';
import { PageHead } from '../../../../ui/frame/Page';
import type { Search } from '../../../search';

export const metadata = { title: 'Compare' };

export default async function ComparePage({ searchParams }: { searchParams: Search }) {
  const view = await loadComparison(await searchParams);
  const years = view.subjects.flatMap(({ year }) => (year === undefined ? [] : [year]));
  const span = years.length > 1 ? Math.max(...years) - Math.min(...years) : 0;
  return (
    <>
      <PageHead
        title={
          view.subjects.length < 2
            ? 'Compare'
            : `${String(view.subjects.length)} donors${span > 0 ? `, ${String(span)} ${span === 1 ? 'year' : 'years'} apart` : ''}`
        }
        subtitle="side by side, role by role; watts worked out from the parts"
      />
      <CompareSheet view={view} />
    </>
  );
}
