import { restoreDonorAction } from '../../../../features/donor/intake/actions';
import { ArchivedRows } from '../../../../features/donors/ArchivedRows';
import { loadArchive } from '../../../../features/donors/pages.server';
import { EmptyState } from '../../../../ui/feedback/EmptyState';
import { Evidence } from '../../../../ui/frame/Halves';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Archive' };

export default async function ArchivePage() {
  const lines = await loadArchive();
  return (
    <>
      <PageHead title="Archive" subtitle="Donors that left the lists; nothing of them is lost" />
      <Evidence>
        {lines.length > 0 ? (
          <ArchivedRows lines={lines} restore={restoreDonorAction} />
        ) : (
          <EmptyState title="The archive is empty">
            A donor that is archived at its Intake station can be brought back here.
          </EmptyState>
        )}
      </Evidence>
    </>
  );
}
