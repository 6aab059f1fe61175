import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { TestSheet } from '../../../../features/donor/test/TestSheet';
import { testView } from '../../../../features/donor/test/view.server';
import { word } from '../../../search';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Test');

export default async function TestPage(props: StationProps) {
  const { dossier, frame } = await donorOf(props);
  const wanted = word((await props.searchParams).part);
  return (
    <DonorPage frame={frame} station="test">
      <TestSheet frame={frame} view={await testView(dossier, wanted)} />
    </DonorPage>
  );
}
