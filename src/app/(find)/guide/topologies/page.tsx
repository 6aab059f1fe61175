import { WhatIfList } from '../../../../features/whatif/WhatIfList';
import { routes } from '../../../../routes';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Topologies' };

export default function TopologiesPage() {
  return (
    <>
      <PageHead
        title="Topologies"
        subtitle="What each is for, how it is told on a board, what is worth taking, what fails"
      />
      <WhatIfList hrefOf={(id) => routes.topology(id)} />
    </>
  );
}
