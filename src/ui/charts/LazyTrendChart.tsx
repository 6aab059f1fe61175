'use client';

import dynamic from 'next/dynamic';

/** The chart, loaded only when one is shown. */
export const LazyTrendChart = dynamic(() => import('./TrendChart'), {
  ssr: false,
  loading: () => <p className="h-[132px] text-[12px] text-ink-2">Drawing the chart …</p>,
});
