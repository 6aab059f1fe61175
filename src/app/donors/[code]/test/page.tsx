import Link from '../../../../ui/frame/Link';
import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { TestSheet } from '../../../../features/donor/test/TestSheet';
import { testView } from '../../../../features/donor/test/view.server';
import type { RatingName } from '../../../../core/part';
import { SumsFor } from '../../../../features/sums/SumsFor';
import { routes } from '../../../../routes';
import { word } from '../../../search';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Test');

export default async function TestPage(props: StationProps) {
  const { dossier, frame } = await donorOf(props);
  const wanted = word((await props.searchParams).part);
  const part = (await dossier.parts()).find(({ part: { ref } }) => ref === wanted.toUpperCase());
  const sums = part && (
    <>
      <p className="no-print text-[13px]">
        <Link className="underline" href={routes.replace(frame.code, { part: part.part.ref })}>
          What takes the place of {part.part.ref}
        </Link>
      </p>
      <SumsFor from={`${frame.code}/${part.part.ref}`} ratings={Object.keys(part.ratings) as RatingName[]} />
    </>
  );
  return (
    <DonorPage frame={frame} station="test">
      <TestSheet frame={frame} view={await testView(dossier, wanted)} sums={sums} />
    </DonorPage>
  );
}
