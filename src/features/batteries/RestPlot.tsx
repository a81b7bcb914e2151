import { useEffect, useState } from 'react';
import type { ChemistryRow } from '../../core/chemistry';
import { later } from '../../ui/later';

const Chart = later(
  () => import('./RestChart').then((m) => m.RestChart),
  () => <p className="note h-[230px]">Drawing the curve</p>,
);

/** Rest voltage over charge, with the reading on it. Fetched when the page is alive. */
export function RestPlot(props: {
  row: ChemistryRow;
  mark?: { volts: number; percent: number } | undefined;
}) {
  const [alive, setAlive] = useState(false);
  useEffect(() => setAlive(true), []);
  if (!alive) return null;
  return <Chart {...props} />;
}
