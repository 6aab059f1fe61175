import Link from '../../../ui/frame/Link';
import { TypesSheet } from '../../../features/types/TypesSheet';
import { loadTypes } from '../../../features/types/pages.server';
import { PageHead } from '../../../ui/frame/Page';
import { word, type Search } from '../../search';
import { routes } from '../../../routes';

export const metadata = { title: 'Types' };

export default async function TypesPage({ searchParams }: { searchParams: Search }) {
  const search = await searchParams;
  const view = await loadTypes({
    query: word(search.find).trim(),
    kind: word(search.kind),
    order: word(search.order),
  });
  return (
    <>
      <PageHead
        title="Types"
        subtitle="what the shop knows of part numbers"
        actions={
          <>
            <a href={routes.typesFile('csv')} className="btn" download="types.csv">
              CSV
            </a>
            <a href={routes.typesFile('json')} className="btn" download="types.json">
              JSON
            </a>
            <Link href={routes.bringTypes()} className="btn">
              Bring a list in
            </Link>
            <Link href={routes.newType()} className="btn" data-tone="next">
              New type
            </Link>
          </>
        }
      />
      <TypesSheet view={view} />
    </>
  );
}
