import Link from '../../../../ui/frame/Link';
import { donorReport } from '../../../../features/donor/record/report.server';
import { leftOutIn } from '../../../../features/donor/record/reportBundle';
import { ReportActions } from '../../../../features/donor/record/ReportActions';
import { ReportView } from '../../../../features/donor/record/ReportView';
import { routes } from '../../../../routes';
import { Evidence } from '../../../../ui/frame/Halves';
import { PageFrame, PageHead } from '../../../../ui/frame/Page';
import { word } from '../../../search';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Report');

export default async function ReportPage(props: StationProps) {
  const { dossier, donor } = await donorOf(props);
  const without = leftOutIn(word((await props.searchParams).without) ?? '');
  const { report, photos } = await donorReport(dossier, without);
  return (
    <PageFrame>
      <div className="no-print">
        <PageHead
          title="Report"
          subtitle={
            <>
              {donor.code}{' '}
              <Link href={routes.station(donor.code, 'record')} className="underline decoration-dotted">
                back to Record
              </Link>
            </>
          }
          actions={<ReportActions code={donor.code} without={without} />}
        />
      </div>
      <Evidence>
        <ReportView
          report={report}
          srcOf={new Map([...photos].map(([file, hash]) => [file, routes.picture(hash, 'medium')]))}
        />
      </Evidence>
    </PageFrame>
  );
}
