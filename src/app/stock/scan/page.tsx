import { FindLine } from '../../../features/stock/find/FindLine';
import { ScanSheet } from '../../../features/stock/labels/ScanSheet';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Scan a label' };

export default function ScanPage() {
  return (
    <Page
      head={<PageHead title="Scan a label" message="with the camera, or type the code that stands on it" />}
      foot={<FindLine />}
    >
      <ScanSheet />
    </Page>
  );
}
