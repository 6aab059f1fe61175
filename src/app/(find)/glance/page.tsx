import Link from '../../../ui/frame/Link';
import { loadGlance } from '../../../features/home/pages.server';
import { GlanceSheet } from '../../../features/home/GlanceSheet';
import { PrintButton } from '../../../features/home/PrintButton';
import { routes } from '../../../routes';
import { PageHead } from '../../../ui/frame/Page';
import type { Search } from '../../search';

export const metadata = { title: 'The shop at a glance' };

export default async function GlancePage({ searchParams }: { searchParams: Search }) {
  const view = await loadGlance(await searchParams);
  return (
    <>
      <PageHead
        title="The shop at a glance"
        subtitle={view.title}
        actions={
          <span className="no-print flex flex-wrap items-center gap-3">
            <Link href={routes.glance({ month: view.before })} className="btn" data-tone="quiet">
              a month back
            </Link>
            {view.after !== undefined && (
              <Link href={routes.glance({ month: view.after })} className="btn" data-tone="quiet">
                a month on
              </Link>
            )}
            <PrintButton />
          </span>
        }
      />
      <GlanceSheet view={view} />
    </>
  );
}
