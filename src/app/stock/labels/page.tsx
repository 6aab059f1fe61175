import { unplugAction } from '../../../features/donor/shared/actions';
import { FindLine } from '../../../features/stock/find/FindLine';
import { LabelSheet } from '../../../features/stock/labels/LabelSheet';
import { labelSize } from '../../../features/stock/labels/labelSizes';
import { loadLabels } from '../../../features/stock/pages.server';
import { PageFrame, PageHead } from '../../../ui/frame/Page';
import { word, type Search } from '../../search';
import { originOf } from '../origin';

export const metadata = { title: 'Labels' };

export default async function LabelsPage({ searchParams }: { searchParams: Search }) {
  const search = await searchParams;
  const codes = word(search.lots)
    .split(',')
    .filter((code) => code.trim() !== '');
  const size = labelSize(word(search.size));
  const skip = Math.max(0, Math.min(200, Math.floor(Number(word(search.skip)) || 0)));
  const labels = await loadLabels(codes, await originOf(), size.id);
  return (
    <PageFrame foot={<FindLine unplug={unplugAction} />}>
      <div className="no-print">
        <PageHead
          title="Labels"
          subtitle={`${labels.length} ${labels.length === 1 ? 'label' : 'labels'}, ${size.label}`}
        />
      </div>
      <LabelSheet labels={labels} size={size.id} skip={skip} />
    </PageFrame>
  );
}
