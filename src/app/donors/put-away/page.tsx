import { ArchivedRows } from '../../../features/donors/ArchivedRows';
import { archivedLines } from '../../../services/dossier/donorLines';
import { FindLine } from '../../../features/stock/find/FindLine';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Evidence } from '../../../ui/frame/Halves';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Put away' };

export default async function PutAwayPage() {
  const lines = await archivedLines();
  return (
    <Page
      head={<PageHead title="Put away" message="Donors that left the lists; nothing of them is lost" />}
      foot={<FindLine />}
    >
      <Evidence>
        {lines.length > 0 ? (
          <ArchivedRows lines={lines} />
        ) : (
          <EmptyState title="Nothing is put away">
            A donor that is put away at its Intake station can be brought back here.
          </EmptyState>
        )}
      </Evidence>
    </Page>
  );
}
