import { WhatIfList } from '../../../../features/whatif/WhatIfList';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'What if' };

export default function WhatIfPage() {
  return (
    <>
      <PageHead title="What if" subtitle="Circuits that run while you turn their values; nothing here is stored" />
      <WhatIfList />
    </>
  );
}
