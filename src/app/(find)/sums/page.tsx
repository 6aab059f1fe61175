import { SumsSheet } from '../../../features/sums/SumsSheet';
import { PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Sums' };

export default function SumsPage() {
  return (
    <>
      <PageHead title="Sums" subtitle="Single calculations, without a donor; nothing here is stored" />
      <SumsSheet />
    </>
  );
}
