import { FindLine } from '../../../features/stock/components/FindLine';
import { ScanSheet } from '../../../features/stock/components/ScanSheet';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Scan a label' };

export default function ScanPage() {
  return (
    <Page
      head={<PageHead title="Scan a label" says="with the camera, or type the code that stands on it" />}
      foot={<FindLine />}
    >
      <ScanSheet />
    </Page>
  );
}
