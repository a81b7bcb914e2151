import type { JobState } from '../../core/job';

/** Where the starting numbers come from: the map, closed jobs, what somebody said. */
export function Weights({ job }: { job: JobState }) {
  const { learned, map } = job;
  const said = map.elements.filter((e) => e.hearsay);
  const moved = learned?.weights.filter((w) => w.faults > 0) ?? [];
  return (
    <details className="text-[14px]">
      <summary className="min-h-[28px] cursor-pointer">
        {learned && learned.jobs > 0
          ? `Starting numbers from ${learned.jobs} closed ${learned.jobs === 1 ? 'job' : 'jobs'} on this model`
          : learned
            ? 'Starting numbers as on the map, and what other models taught of such parts'
            : 'Starting numbers as on the map, no closed job behind them'}
        {said.length > 0 && `, and hearsay on ${said.map((e) => e.id).join(', ')}`}
      </summary>
      <ul className="pl-4 list-disc">
        {moved.map((w) => (
          <li key={w.element}>
            {w.element}: at fault in {w.faults} of {learned?.jobs}, weight {Number(w.weight.toPrecision(3))}{' '}
            against {map.elements.find((e) => e.id === w.element)?.weight ?? '–'} on the map
          </li>
        ))}
        {said.map((e) => (
          <li key={e.id}>
            {e.id}: weight {e.hearsay?.weight} by hearsay, {e.hearsay?.source}; worth {e.hearsay?.count}{' '}
            faults of its own
          </li>
        ))}
        <li>Weights are relative: they say which element fails more often, not how often.</li>
      </ul>
    </details>
  );
}
