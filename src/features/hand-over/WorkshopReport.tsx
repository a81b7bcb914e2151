import { reportOf } from '../../core/report';
import { Clock } from '../../ui/Clock';
import { useJob } from '../job/use-job';
import { Thumbs } from '../photos/Thumbs';

/** Everything the record says, section by section. */
export function WorkshopReport() {
  const { job, events } = useJob();
  const sections = reportOf(job, events);
  return (
    <>
      {sections.length === 0 && (
        <p className="note">The report writes itself as the job goes on. Nothing is recorded yet.</p>
      )}
      {sections.map((s) => (
        <section key={s.title}>
          <h3 className="sec pb-1">{s.title}</h3>
          <table className="plain table-fixed">
            <tbody>
              {s.lines.map((l) => (
                <tr
                  key={`${l.at ?? ''} ${l.text} ${l.result ?? ''}`}
                  className="max-[760px]:grid max-[760px]:grid-cols-[104px_minmax(0,1fr)]"
                >
                  <td className="w-[116px] text-bark-2 py-1! text-[14px]">
                    {l.at && <Clock at={l.at} day />}
                  </td>
                  <td className="py-1! w-[50%] max-[760px]:w-auto">{l.text}</td>
                  <td className="py-1! font-[600] max-[760px]:col-start-2 max-[760px]:border-t-0! max-[760px]:empty:hidden">
                    {l.result}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ))}
      {job.photos.length > 0 && (
        <section>
          <h3 className="sec pb-2">Pictures</h3>
          <Thumbs photos={job.photos} label="Pictures of the report" />
        </section>
      )}
    </>
  );
}
