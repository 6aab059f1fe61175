'use client';

import dynamic from 'next/dynamic';

/** The chart, loaded only when one is shown: the library is a third of a page’s script. */
export const LazySumChart = dynamic(() => import('./SumChart'), {
  ssr: false,
  loading: () => <p className="h-[280px] text-[12px] text-ink-2">Drawing the curve …</p>,
});
