import type { JobSummary } from '../../core/job';
import { jobPath } from '../../schemas/job-path';
import { Parcel, Pointer, Posts, TickBox } from '../../ui/Signs';
import { MiniRun } from '../../ui/StopShape';
import { STOP_TITLE } from '../job/stop-title';

const SIGNS: Record<JobSummary['next']['kind'], React.ReactNode> = {
  go: <Pointer size={44} />,
  held: <Posts size={38} />,
  waiting: <Parcel size={40} />,
  done: <TickBox size={30} />,
};

/** One job on the bench: its tag, its run, and what it waits for. The whole row opens it. */
export function JobRow({ job, first }: { job: JobSummary; first: boolean }) {
  return (
    <div className={`border-b border-rule ${first ? 'bg-ochre-wash' : ''}`}>
      <a
        href={jobPath(job.id, job.stop)}
        data-row=""
        className={`grid grid-cols-[122px_minmax(0,1.2fr)_190px_minmax(0,1fr)] max-[900px]:grid-cols-[110px_minmax(0,1fr)] gap-x-3 gap-y-1 items-center min-h-[72px] py-2 pl-3 pr-4 no-underline hover:bg-inset ${first ? 'shadow-[inset_5px_0_0_var(--color-ochre-fill)]' : ''}`}
      >
        <span className="tag mono">{job.tag}</span>
        <span className="leading-[1.2]">
          <b className="block text-[18px]">{job.unit}</b>
          <span className="text-[15px]">{job.place || job.model}</span>
          {job.symptom && <span className="note block">“{job.symptom}”</span>}
        </span>
        <span className="grid gap-1 max-[900px]:col-start-2">
          <MiniRun run={job.run} />
          <span className="text-[14px]">
            <b>{STOP_TITLE[job.stop]}</b>
            {job.off > 0 && `, ${job.off} off`}
          </span>
        </span>
        <span className="grid grid-cols-[52px_1fr] items-center gap-2 max-[900px]:col-start-2">
          {SIGNS[job.next.kind]}
          <span className="leading-[1.2]">
            <b className="block text-[19px]">{job.next.head}</b>
            <span className="note">{job.next.detail}</span>
          </span>
        </span>
      </a>
    </div>
  );
}
