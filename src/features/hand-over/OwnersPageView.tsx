import type { Photo } from '../../core/job';
import { type OwnersPage, ownersPage } from '../../core/report';
import { Clock } from '../../ui/Clock';
import { useJob } from '../job/use-job';
import { SmallPicture } from '../photos/SmallPicture';
import { Thumbs } from '../photos/Thumbs';
import { SignatureDrawing } from './SignatureDrawing';
import { TwiceStrip } from './TwiceStrip';

/** What the owner reads: one page in plain words. */
export function OwnersPageView() {
  const { job } = useJob();
  const page = ownersPage(job);
  return (
    <>
      <Lines title="What was wrong" lines={page.wrong} none="Say what fails in Take in." />
      <Lines
        title="What was done"
        lines={page.done}
        none={page.handedOver ? 'Nothing was done to it.' : 'Nothing is done to it yet.'}
      />
      <Lines
        title="What was fitted"
        lines={page.fitted.map((f) => [f.name, f.stamps].filter(Boolean).join(', '))}
      />
      <Shown page={page} />
      {page.readings.length > 0 && (
        <section aria-label="Readings before and after">
          <h3 className="sec pb-1">Readings before and after</h3>
          {page.readings.map((r) => (
            <TwiceStrip key={r.what} reading={r} />
          ))}
        </section>
      )}
      <Lines title="What to watch" lines={page.watch} />
      <Lines
        title="Still owed"
        lines={page.owed.map((o) =>
          [o.what, o.due && `by ${o.due}`, o.settled && `done ${o.settled.at.slice(0, 10)}`]
            .filter(Boolean)
            .join(', '),
        )}
      />
      {page.warrantyUntil && (
        <Lines title="Warranty" lines={[`Of this workshop, until ${page.warrantyUntil}.`]} />
      )}
      <Chosen all={job.photos} chosen={job.ownersPictures} />
      {page.receipt && (
        <section aria-label="Signed for">
          <SignatureDrawing receipt={page.receipt} />
          <p className="border-t border-rule-strong max-w-[300px]">
            {page.receipt.name}, <Clock at={page.receipt.at} day />
          </p>
        </section>
      )}
    </>
  );
}

function Lines({ title, lines, none }: { title: string; lines: string[]; none?: string }) {
  if (lines.length === 0 && !none) return null;
  return (
    <section aria-label={title}>
      <h3 className="sec pb-1">{title}</h3>
      {lines.length === 0 && <p className="note">{none}</p>}
      {lines.map((l) => (
        <p key={l}>{l}</p>
      ))}
    </section>
  );
}

function Shown({ page }: { page: OwnersPage }) {
  if (page.shown.length === 0) return null;
  return (
    <section aria-label="Shown to work">
      <h3 className="sec pb-1">Shown to work</h3>
      <table className="plain">
        <tbody>
          {page.shown.map((s) => (
            <tr key={s.what}>
              <td className="py-1!">{s.what}</td>
              <td className="py-1! font-[600]">{s.result}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Pictures of the job: those that were tapped stand on the page, the others only here. */
function Chosen({ all, chosen }: { all: Photo[]; chosen: string[] }) {
  const { record } = useJob();
  if (all.length === 0) return null;
  const on = all.filter((p) => chosen.includes(p.id));
  const toggle = (id: string) =>
    record('pictures.chosen', {
      photos: chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id],
    });
  return (
    <section aria-label="Pictures">
      <h3 className={`sec pb-1 ${on.length ? '' : 'no-print'}`}>Pictures</h3>
      <div className="hidden print:block">
        <Thumbs photos={on} label="Pictures on the page" />
      </div>
      <p className="note no-print pb-1">
        {on.length
          ? `${on.length} of ${all.length} ${on.length === 1 ? 'stands' : 'stand'} on the page.`
          : 'Tap those that the owner should see.'}
      </p>
      <ul className="flex flex-wrap gap-3 no-print">
        {all.map((p) => (
          <li key={p.id} className="w-[132px]">
            <button
              type="button"
              aria-pressed={chosen.includes(p.id)}
              onClick={() => toggle(p.id)}
              className={`block w-full border-2 p-0 ${chosen.includes(p.id) ? 'border-slate-fill' : 'border-rule'}`}
            >
              <SmallPicture photo={p} />
            </button>
            <span className="note block leading-[1.2]">
              {chosen.includes(p.id) && <b>on the page </b>}
              {p.caption || p.stop}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
