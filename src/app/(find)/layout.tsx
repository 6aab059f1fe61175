import type { ReactNode } from 'react';
import { unplugAction } from '../../features/donor/shared/actions';
import { FindLine } from '../../features/stock/find/FindLine';
import { PageFrame } from '../../ui/frame/Page';

/** Pages with the find line at their foot: all but a donor's, which has its own line. */
export default function FindLayout({ children }: { children: ReactNode }) {
  return <PageFrame foot={<FindLine unplug={unplugAction} />}>{children}</PageFrame>;
}
