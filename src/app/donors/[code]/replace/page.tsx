import { notFound } from 'next/navigation';
import { ReplaceSheet } from '../../../../features/donor/repair/ReplaceSheet';
import { replaceView } from '../../../../features/donor/repair/replace.server';
import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { word } from '../../../search';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Replace');

export default async function ReplacePage(props: StationProps) {
  const search = await props.searchParams;
  const { dossier, frame } = await donorOf(props);
  const view = (await replaceView(dossier, word(search.part) ?? '')) ?? notFound();
  return (
    <DonorPage frame={frame} station="test" branch="replace">
      <ReplaceSheet code={frame.code} view={view} />
    </DonorPage>
  );
}
