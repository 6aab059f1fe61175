import { ImportSheet } from '../../../../features/types/ImportSheet';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Bring types in' };

export default function BringTypesPage() {
  return (
    <>
      <PageHead title="Bring types in" subtitle="from a spreadsheet, or from another bench" />
      <ImportSheet />
    </>
  );
}
