import { useMemo } from 'react';
import { alternatives } from '../../core/recipe';
import { Pointer } from '../../ui/Signs';
import { useJob } from '../job/use-job';

/** Out through the back or up through the top: the ways in side by side, where there are several. */
export function WaysCompared() {
  const { job } = useJob();
  const ways = useMemo(() => alternatives(job), [job]);
  if (ways.length === 0) return null;
  return (
    <table className="plain text-[14px]">
      <caption className="text-left font-[650] pb-1">Ways in</caption>
      <thead>
        <tr>
          <th scope="col">By</th>
          <th scope="col">min</th>
          <th scope="col">flips</th>
          <th scope="col">tools</th>
        </tr>
      </thead>
      <tbody>
        {ways.map((w) => (
          <tr key={w.by} className={w.chosen ? 'font-[650]' : ''}>
            <td>
              <span className="flex gap-2 items-center">
                {w.chosen && <Pointer size={16} />} {w.by}
                {w.chosen && <span className="sr-only">, the quicker one, taken here</span>}
              </span>
            </td>
            <td>{w.minutes.toFixed(1)}</td>
            <td>{w.flips}</td>
            <td>{w.toolChanges}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
