import { ScanSheet } from '../../../../features/stock/labels/ScanSheet';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Scan a label' };

export default function ScanPage() {
  return (
    <>
      <PageHead title="Scan a label" subtitle="with the camera, or type the code that stands on it" />
      <ScanSheet />
    </>
  );
}
