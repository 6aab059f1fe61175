import { GuideSheet } from '../../../features/guide/GuideSheet';
import { PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Guide' };

export default function GuidePage() {
  return (
    <>
      <PageHead title="Guide" subtitle="Cautions, and the words Zorvek understands" />
      <GuideSheet />
    </>
  );
}
