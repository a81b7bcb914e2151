import { useState } from 'react';
import { type LoggedSeries, seriesOf } from '../../core/logged';
import { Refusal } from '../../core/refusal';
import { Dialog } from '../../ui/Dialog';
import { Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { later } from '../../ui/later';
import type { LogPlotProps } from './LogPlot';

/** The chart is fetched when somebody looks at a log, not before. */
const LogPlot = later(
  () => import('./LogPlot').then((m) => m.LogPlot),
  () => <p className="note">Drawing the log</p>,
);
const MOST_BYTES = 8 * 1024 * 1024;

/** The log of a meter from a file, and a reading picked from its plot. */
export function FromLog({
  expect,
  onReading,
}: Pick<LogPlotProps, 'expect'> & { onReading(value: number): void }) {
  const [series, setSeries] = useState<LoggedSeries | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const take = async ([chosen]: [File, ...File[]]) => {
    try {
      if (chosen.size > MOST_BYTES)
        throw new Refusal('the file is over 8 MB. Cut the log to the stretch that matters');
      const { default: Papa } = await import('papaparse');
      const { data } = Papa.parse<string[]>((await chosen.text()).replace(/^\uFEFF/, ''), {
        skipEmptyLines: 'greedy',
      });
      setSeries(seriesOf(data, expect.unit));
      setWrong(null);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setWrong(`${chosen.name}: ${error.message}`);
    }
  };
  return (
    <>
      <FileButton small label="Log of a meter, as CSV" accept=".csv,.txt,text/csv,text/plain" onFiles={take}>
        From a log
      </FileButton>
      {wrong && <Wrong>{wrong}</Wrong>}
      <Dialog open={series !== null} onClose={() => setSeries(null)} title={series?.name ?? 'Log'}>
        {series && (
          <LogPlot
            series={series}
            expect={expect}
            onPick={(x) => {
              setSeries(null);
              onReading(x);
            }}
          />
        )}
      </Dialog>
    </>
  );
}
