import { LabelSheet } from '../../../features/stock/components/LabelSheet';
import { lotLabels } from '../../../features/stock/views';
import { Page, PageHead } from '../../../ui/frame/Page';
import { word, type Search } from '../../search';
import { originOf } from '../origin';

export const metadata = { title: 'Labels' };

export default async function LabelsPage({ searchParams }: { searchParams: Search }) {
  const codes = word((await searchParams).lots)
    .split(',')
    .filter((code) => code.trim() !== '');
  const labels = await lotLabels(codes, await originOf());
  return (
    <Page
      head={
        <div className="no-print">
          <PageHead
            title="Labels"
            says={`${labels.length} ${labels.length === 1 ? 'label' : 'labels'}, 62 by 29 mm each`}
          />
        </div>
      }
    >
      <LabelSheet labels={labels} />
    </Page>
  );
}
