import { format } from 'date-fns';
import { useEffect, useState } from 'react';
import type { Earlier } from '../../core/identity';
import type { Identity } from '../../core/job';
import { jobPath } from '../../schemas/job-path';
import { Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { Warn } from '../../ui/Signs';
import type { Refused } from '../job/store';
import { useJob, useLink } from '../job/use-job';
import { ScanField } from '../scan/ScanField';

const days = (n: number) => (n === 0 ? 'the same day' : n === 1 ? 'a day' : `${n} days`);

/** Which unit this is: its mark, whose it is, and what was done to it before. */
export function WhichUnit() {
  const { job, record } = useJob();
  const { identity } = job;
  const [mark, setMark] = useState(identity?.mark ?? '');
  const [owner, setOwner] = useState(identity?.owner ?? '');
  const [reach, setReach] = useState(identity?.reach ?? '');
  const [wrong, setWrong] = useState<Refused | null>(null);
  const earlier = useEarlier(job.id, identity);
  const keep = (more: Partial<Identity> = {}) => {
    const said = { mark, owner, reach, apart: identity?.apart ?? [], ...more };
    const refused = record('unit.identified', {
      ...(said.mark.trim() ? { mark: said.mark.trim() } : {}),
      ...(said.owner.trim() ? { owner: said.owner.trim() } : {}),
      ...(said.reach.trim() ? { reach: said.reach.trim() } : {}),
      ...(said.apart.length ? { apart: said.apart } : {}),
    });
    setWrong(refused);
    if (!refused) setMark(said.mark);
  };
  const changed =
    mark.trim() !== (identity?.mark ?? '') ||
    owner.trim() !== (identity?.owner ?? '') ||
    reach.trim() !== (identity?.reach ?? '');
  const near = (earlier?.near ?? []).filter((n) => !identity?.apart.includes(n.mark));
  return (
    <section className="grid gap-2 border-b border-rule pb-3" aria-label="Which unit this is">
      <h2 className="sec">Which unit this is</h2>
      <form
        className="grid gap-2"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          keep();
        }}
      >
        <ScanField
          label="Serial or asset mark"
          value={mark}
          onText={setMark}
          autoComplete="off"
          wrong={wrong?.path === '/mark' ? wrong.reason : undefined}
        />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Owner"
            value={owner}
            onChange={(e) => setOwner(e.target.value)}
            autoComplete="off"
          />
          <TextField
            label="Reached at"
            value={reach}
            onChange={(e) => setReach(e.target.value)}
            autoComplete="off"
          />
        </div>
        {wrong && wrong.path !== '/mark' && <Wrong>{wrong.reason}</Wrong>}
        {(changed || !identity) && (
          <Second type="submit" className="justify-self-start">
            {identity ? 'Keep it so' : 'Keep which unit it is'}
          </Second>
        )}
      </form>
      {near.map((n) => (
        <div
          key={n.mark}
          className="border border-ochre p-2 grid gap-2"
          role="group"
          aria-label={`Is it ${n.mark}?`}
        >
          <p className="flex gap-2">
            <span className="text-ochre">
              <Warn />
            </span>
            <span>
              <b>{n.mark}</b> is nearly the same mark: {n.unit}, {n.tag}. Read it once more.
            </span>
          </p>
          <span className="flex flex-wrap gap-2">
            <Second small onClick={() => keep({ mark: n.mark })}>
              It is {n.mark}
            </Second>
            <Second small onClick={() => keep({ apart: [...(identity?.apart ?? []), n.mark] })}>
              Another unit
            </Second>
          </span>
        </div>
      ))}
      {identity?.mark && earlier && (
        <ul className="rows" aria-label="Earlier jobs on this unit">
          {earlier.jobs.length === 0 && <li className="note">No earlier job on this unit.</li>}
          {earlier.jobs.map((j) => (
            <li key={j.id} className="leading-[1.25]">
              <a href={jobPath(j.id, 'hand over')}>
                <b className="mono">{j.tag}</b>
              </a>{' '}
              {format(new Date(j.openedAt), 'd MMM yyyy')}: “{j.symptom}”
              {j.comeback && (
                <b className="text-brick block">Came back after {days(j.days ?? 0)} with the same fault</b>
              )}
              {j.warranty && (
                <b className="block text-ochre">
                  {j.warranty.runs ? 'Our warranty runs until' : 'Our warranty ended'} {j.warranty.until}
                </b>
              )}
              <span className="note block">
                {j.owed && `owed: ${j.owed}; `}
                {j.mended.length ? j.mended.join(' and ') : 'nothing mended'}
                {j.handedOverAt
                  ? `, handed over ${format(new Date(j.handedOverAt), 'd MMM yyyy')}`
                  : ', not handed over'}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** What the record knows of this unit, asked again when its mark is kept. */
function useEarlier(job: string, identity: Identity | null): Earlier | null {
  const { unsent } = useLink();
  const [earlier, setEarlier] = useState<Earlier | null>(null);
  const mark = identity?.mark;
  useEffect(() => {
    if (!mark || unsent > 0) return;
    let gone = false;
    fetch(`/api/jobs/${job}/earlier`)
      .then(async (res) => {
        const data = res.ok ? ((await res.json()) as Earlier) : null;
        if (!gone) setEarlier(data);
      })
      // Without the server nothing earlier is known here.
      .catch(() => !gone && setEarlier(null));
    return () => {
      gone = true;
    };
  }, [job, mark, unsent]);
  return mark ? earlier : null;
}
