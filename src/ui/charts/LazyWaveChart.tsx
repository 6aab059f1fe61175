'use client';

import dynamic from 'next/dynamic';

/** The chart, loaded only when one is shown. */
export const LazyWaveChart = dynamic(() => import('./WaveChart'), {
  ssr: false,
  loading: () => <p className="h-[260px] text-[12px] text-ink-2">Drawing the chart …</p>,
});
