import { lazy, Suspense, useEffect, useState } from 'react';
import type { ChemistryRow } from '../../core/chemistry';

const Chart = lazy(() => import('./RestChart').then((m) => ({ default: m.RestChart })));

/** Rest voltage over charge, with the reading on it. Fetched when the page is alive. */
export function RestPlot(props: {
  row: ChemistryRow;
  mark?: { volts: number; percent: number } | undefined;
}) {
  const [alive, setAlive] = useState(false);
  useEffect(() => setAlive(true), []);
  if (!alive) return null;
  return (
    <Suspense fallback={<p className="note h-[230px]">Drawing the curve</p>}>
      <Chart {...props} />
    </Suspense>
  );
}
