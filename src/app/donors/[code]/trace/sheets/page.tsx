import { SheetsView } from '../../../../../features/donor/trace/sheets/SheetsView';
import { schematicSheets } from '../../../../../features/donor/trace/sheets/sheets.server';
import { PageFrame, PageHead } from '../../../../../ui/frame/Page';
import { word } from '../../../../search';
import { donorOf, type StationProps, titled } from '../../load';

export const generateMetadata = titled('Schematic');

export default async function SheetsPage(props: StationProps) {
  const search = await props.searchParams;
  const { dossier, donor, frame } = await donorOf(props);
  const paper = word(search.paper) === 'A3' ? 'A3' : 'A4';
  const by = word(search.by) === 'section' ? 'section' : 'whole';
  const isDone = frame.stages.some(({ id, state }) => id === 'trace' && state === 'done');
  const sheets = await schematicSheets(dossier, { paper, by, isDone });
  return (
    <PageFrame>
      <div className="no-print">
        <PageHead
          title="Schematic"
          subtitle={`${donor.code}, ${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'} of ${paper}`}
        />
      </div>
      <SheetsView code={donor.code} paper={paper} by={by} sheets={sheets} />
    </PageFrame>
  );
}
