import { type JobSummary, STOPS } from '../../core/job';
import { STOP_TITLE } from '../job/stop-title';

/** The run as the bench shows it: how many jobs stand at each stop. */
export function BenchRun({ jobs }: { jobs: JobSummary[] }) {
  return (
    <ol className="run weave" aria-label="Jobs at each stop">
      {STOPS.map((s) => {
        const here = jobs.filter((j) => j.stop === s && !j.handedOver);
        return (
          <li key={s} data-status={here.length ? 'at' : 'not begun'}>
            <span className="stop">
              <svg className="shape" width="34" height="34" viewBox="0 0 34 34" aria-hidden="true">
                {here.length ? (
                  <rect x="1" y="1" width="32" height="32" fill="var(--color-bark)" />
                ) : (
                  <circle
                    cx="17"
                    cy="17"
                    r="7"
                    fill="var(--color-linen)"
                    stroke="var(--color-rule-strong)"
                    strokeWidth="1.5"
                  />
                )}
                {here.length > 0 && (
                  <text
                    x="17"
                    y="23"
                    textAnchor="middle"
                    fontSize="16"
                    fontWeight="700"
                    style={{ fill: 'var(--color-on-bark)', fontFamily: 'var(--font-mono)' }}
                  >
                    {here.length}
                  </text>
                )}
              </svg>
              <span className="words">
                <b>{STOP_TITLE[s]}</b>
                <small>
                  {here.length === 0
                    ? 'no job'
                    : here.length === 1
                      ? here[0]?.unit.toLowerCase()
                      : `${here.length} jobs`}
                </small>
              </span>
            </span>
          </li>
        );
      })}
    </ol>
  );
}
