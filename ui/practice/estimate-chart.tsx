'use client';

import dynamic from 'next/dynamic';

/** One’s estimates through time, drawn when the page is there. */
export const EstimateChart = dynamic(() => import('./estimate-lines').then((m) => m.EstimateLines), {
  ssr: false,
  loading: () => <div className="h-48" />,
});
