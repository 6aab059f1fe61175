import { GuideFound } from '../../../features/guide/GuideFound';
import { GuideSheet } from '../../../features/guide/GuideSheet';
import { routes } from '../../../routes';
import { PageHead } from '../../../ui/frame/Page';
import { ListSearch } from '../../../ui/list/ListSearch';
import { word, type Search } from '../../search';

export const metadata = { title: 'Guide' };

export default async function GuidePage({ searchParams }: { searchParams: Search }) {
  const find = word((await searchParams).find).trim();
  return (
    <>
      <PageHead title="Guide" subtitle="Cautions, rules of the trade, and the words Zorvek understands">
        <ListSearch
          action={routes.guide()}
          label="Find in the Guide"
          value={find}
          placeholder="a part, a fault, a rule"
          found=""
        />
      </PageHead>
      {find === '' ? <GuideSheet /> : <GuideFound find={find} />}
    </>
  );
}
